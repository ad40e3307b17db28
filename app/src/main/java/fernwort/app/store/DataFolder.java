package fernwort.app.store;

import fernwort.core.say.Refusal;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The folder that holds one person's data: the database, its copies, backups and the log. Claimed
 * by one running copy at a time; the claim is a lock that the operating system drops by itself when
 * the process ends, however it ends.
 *
 * <p>The claim is laid on a file in the folder, and on one beside it in the folder for temporary
 * files, so that a second copy does not start where the first one's folder was taken away.
 */
public final class DataFolder implements AutoCloseable {

  /** What the database's file is called. */
  public static final String DATABASE = "fernwort.mv.db";

  private static final String LOCK = "fernwort.lock";

  private final Path folder;
  private final List<FileLock> locks;

  private DataFolder(Path folder, List<FileLock> locks) {
    this.folder = folder;
    this.locks = List.copyOf(locks);
  }

  /**
   * Claims a folder, making it if need be. Its files belong to their owner alone.
   *
   * @throws Refusal when it cannot be written, or another copy runs on it
   */
  public static DataFolder claim(Path folder) {
    if (folder.toString().contains(";")) {
      throw new Refusal(Says.THE_DATA_FOLDER_HAS_A_SEMICOLON.with(folder));
    }
    List<FileLock> locks = new ArrayList<>();
    try {
      Files.createDirectories(folder);
      besides(folder).ifPresent(path -> addIfPossible(folder, path, locks));
      locks.add(lock(folder, folder.resolve(LOCK)));
      DataFolder claimed = new DataFolder(folder, locks);
      claimed.tighten();
      return claimed;
    } catch (FileAlreadyExistsException e) {
      throw new Refusal(Says.IS_A_FILE_AND_THE_DATA_NEED.with(folder));
    } catch (IOException e) {
      throw new Refusal(Says.THE_DATA_FOLDER_CANNOT.with(folder, plain(e)));
    }
  }

  private static String plain(IOException e) {
    return switch (e) {
      case java.nio.file.AccessDeniedException denied -> Says.IT_BELONGS_TO_SOMEBODY_ELSE.text();
      case java.nio.file.FileSystemException f when f.getReason() != null -> f.getReason();
      default -> String.valueOf(e.getMessage());
    };
  }

  private static FileLock lock(Path folder, Path file) throws IOException {
    FileChannel channel =
        FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    try {
      FileLock lock = channel.tryLock();
      if (lock != null) {
        return lock;
      }
    } catch (OverlappingFileLockException e) {
      channel.close();
      throw taken(folder);
    }
    channel.close();
    throw taken(folder);
  }

  private static void addIfPossible(Path folder, Path file, List<FileLock> locks) {
    try {
      locks.add(lock(folder, file));
    } catch (IOException notOurs) {
      // Another user's file of the same name, or no such folder: the lock inside the folder holds.
    }
  }

  private static Optional<Path> besides(Path folder) {
    try {
      String name = Integer.toHexString(folder.toRealPath().toString().hashCode());
      return Optional.of(
          Path.of(System.getProperty("java.io.tmpdir"), "fernwort-" + name + ".lock"));
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  private static Refusal taken(Path folder) {
    return new Refusal(Says.FERNWORT_ALREADY_RUNS.with(folder));
  }

  /** Makes the folder and everything in it readable and writable by their owner alone. */
  public void tighten() throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path file : files.toList()) {
        tighten(file);
      }
    }
  }

  private static void tighten(Path file) throws IOException {
    try {
      PosixFileAttributeView view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
      if (view != null && !Files.isSymbolicLink(file)) {
        view.setPermissions(
            PosixFilePermissions.fromString(Files.isDirectory(file) ? "rwx------" : "rw-------"));
      }
    } catch (NoSuchFileException gone) {
      // Given up between listing and looking, as temporary files are.
    }
  }

  /** Returns the folder. */
  public Path path() {
    return folder;
  }

  /** Returns the database's file. */
  public Path database() {
    return folder.resolve(DATABASE);
  }

  /** Gives the folder up. */
  public void release() throws IOException {
    for (FileLock lock : locks) {
      lock.release();
      lock.acquiredBy().close();
    }
  }

  /** Gives the folder free for another copy. */
  @Override
  public void close() {
    for (FileLock lock : locks) {
      try {
        lock.acquiredBy().close();
      } catch (IOException e) {
        // The system lets go of it when the process ends.
      }
    }
  }
}
