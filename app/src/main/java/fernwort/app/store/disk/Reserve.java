package fernwort.app.store.disk;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Random;
import org.h2.message.DbException;
import org.h2.store.fs.FilePath;

/**
 * Room that a data folder sets aside for the day its disk is full: a file that is given up so that
 * what the database is in the middle of can still be written. It closes for good when a write
 * fails, and nobody could read on.
 */
public final class Reserve {

  static final String NAME = "fernwort.reserve";

  /** More than the database writes at one time (bytes). */
  static final int SIZE = 8 << 20;

  private final FilePath file;

  private Reserve(FilePath file) {
    this.file = file;
  }

  /** Returns the reserve of the folder that a file lies in. */
  static Reserve beside(FilePath other) {
    return new Reserve(FilePath.get(other.getParent() + "/" + NAME));
  }

  /** Returns the reserve of a folder. */
  public static Reserve in(Path folder) {
    return new Reserve(FilePath.get(folder.resolve(NAME).toString()));
  }

  boolean isThere() {
    return file.exists();
  }

  /**
   * Sets the room aside, if it is not. The bytes are at random, since some disks keep runs of zeros
   * in no room at all.
   */
  public void make() throws IOException {
    if (isThere() && file.size() == SIZE) {
      return;
    }
    byte[] block = new byte[1 << 16];
    new Random().nextBytes(block);
    try (OutputStream out = file.newOutputStream(false)) {
      for (int written = 0; written < SIZE; written += block.length) {
        out.write(block);
      }
    } catch (IOException e) {
      release();
      throw e;
    }
  }

  /** Gives the room up; false when there was none. */
  boolean release() {
    try {
      boolean there = isThere();
      file.delete();
      return there;
    } catch (DbException e) {
      return false;
    }
  }

  /** Tells whether a write failed because nothing more fits. */
  static boolean isNoRoom(Throwable fault) {
    for (Throwable at = fault; at != null; at = at.getCause()) {
      String said = String.valueOf(at.getMessage()).toLowerCase(Locale.ROOT);
      if (said.contains("no space left") || said.contains("quota") || said.contains("disk full")) {
        return true;
      }
    }
    return false;
  }

  /** Returns the room that a folder's disk has for us (bytes). */
  static long room(Path folder) throws IOException {
    return Files.getFileStore(folder).getUsableSpace();
  }
}
