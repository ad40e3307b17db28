package fernwort.app.store;

import fernwort.app.Refusal;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * The folder that holds one person's data. Claimed by one running copy at a time; the claim is a
 * lock that the operating system drops by itself when the process ends, however it ends.
 */
public final class DataFolder {

  private final Path folder;
  private final FileChannel channel;
  private final FileLock lock;

  private DataFolder(Path folder, FileChannel channel, FileLock lock) {
    this.folder = folder;
    this.channel = channel;
    this.lock = lock;
  }

  /**
   * Claims a folder, making it if need be.
   *
   * @throws Refusal when it cannot be written, or another copy runs on it
   */
  public static DataFolder claim(Path folder) {
    try {
      Files.createDirectories(folder);
      FileChannel channel =
          FileChannel.open(
              folder.resolve("fernwort.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      FileLock lock = channel.tryLock();
      if (lock == null) {
        throw taken(folder);
      }
      return new DataFolder(folder, channel, lock);
    } catch (OverlappingFileLockException e) {
      throw taken(folder);
    } catch (IOException e) {
      throw new Refusal(
          "The data folder %s cannot be written (%s). Choose another with --data DIR."
              .formatted(folder, e.getMessage()));
    }
  }

  private static Refusal taken(Path folder) {
    return new Refusal(
        "Fernwort already runs on the data folder %s. Use that copy, stop it, or choose another folder with --data DIR."
            .formatted(folder));
  }

  /** Returns the address of the database in this folder; each commit waits for the disk. */
  public String databaseUrl() {
    return "jdbc:h2:file:%s;DATABASE_TO_LOWER=TRUE;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE"
        .formatted(folder.resolve("fernwort"));
  }

  /** Gives the folder up. */
  public void release() throws IOException {
    lock.release();
    channel.close();
  }
}
