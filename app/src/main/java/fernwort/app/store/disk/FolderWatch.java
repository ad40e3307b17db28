package fernwort.app.store.disk;

import fernwort.app.store.DataFolder;
import fernwort.app.store.StoreTrouble;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Tells whether the data folder can be written: before a change, so that none is half made, and to
 * every page, so that people know.
 */
public final class FolderWatch {

  /** Below this much room nothing more is begun (bytes). */
  static final long NEEDED = 2L << 20;

  private static final long LOOK_AGAIN = 500_000_000;

  private static final String FULL = Says.NOTHING_CAN_BE_CHANGED_NOW.text();
  private static final String READ_ONLY = Says.NOTHING_CAN_BE_CHANGED_NOW_BECAUSE.text();
  private static final String GONE = Says.NOTHING_CAN_BE_CHANGED_NOW_BECAUSE_THE_DATA.text();
  private static final String EXCHANGED =
      Says.NOTHING_CAN_BE_CHANGED_NOW_BECAUSE_THE_DATA_FOLDER.text();

  private final DataFolder folder;
  private final @Nullable Object file;
  private final Reserve reserve;
  private volatile Optional<String> damage = Optional.empty();
  private volatile Optional<String> last = Optional.empty();
  private volatile long looked = System.nanoTime() - LOOK_AGAIN;

  public FolderWatch(DataFolder folder) {
    this.folder = folder;
    this.file = key(folder.database());
    this.reserve = Reserve.in(folder.path());
  }

  /**
   * Returns what keeps changes from being made, in a sentence; looked at twice a second at most.
   */
  public Optional<String> trouble() {
    if (System.nanoTime() - looked > LOOK_AGAIN) {
      last = look();
      looked = System.nanoTime();
    }
    return last;
  }

  /**
   * Lets a change begin.
   *
   * @throws StoreTrouble when none can be made now
   */
  void requireWritable() {
    last = look();
    looked = System.nanoTime();
    last.ifPresent(sentence -> {
      throw new StoreTrouble(sentence);
    });
  }

  /**
   * Looks through the database while it is open. What no longer reads as it was written is said
   * from then on in place of anything else, and nothing more is changed.
   */
  public Optional<String> lookThrough() {
    try {
      int parts = OrderedFiles.damaged(folder.database());
      damage =
          parts == 0
              ? Optional.empty()
              : Optional.of(
                  Says.NOTHING_CAN_BE_CHANGED_NOW_DAMAGED.filled(
                      folder.path(),
                      parts,
                      FolderOpening.newestSound(folder).map(Path::toString).orElse("FILE")));
    } catch (IOException e) {
      // It cannot be read now, which is no damage: the look at the folder says what is the matter.
      return trouble();
    }
    return damage;
  }

  private Optional<String> look() {
    if (damage.isPresent()) {
      return damage;
    }
    Path path = folder.path();
    Path database = folder.database();
    if (!Files.exists(database)) {
      return Optional.of(GONE.formatted(path));
    }
    if (file != null && !file.equals(key(database))) {
      return Optional.of(EXCHANGED.formatted(path));
    }
    if (!Files.isWritable(path) || !Files.isWritable(database)) {
      return Optional.of(READ_ONLY.formatted(path));
    }
    try {
      return hasRoom(path) ? Optional.empty() : Optional.of(FULL.formatted(path));
    } catch (IOException e) {
      return Optional.of(READ_ONLY.formatted(path));
    }
  }

  /** There is room when the reserve stands, made again if it was given up, and some besides. */
  private boolean hasRoom(Path path) throws IOException {
    long room = Reserve.room(path);
    if (room >= NEEDED && reserve.isThere()) {
      return true;
    }
    if (room < NEEDED + Reserve.SIZE) {
      return false;
    }
    reserve.make();
    folder.tighten();
    return true;
  }

  private static @Nullable Object key(Path file) {
    try {
      return Files.readAttributes(file, BasicFileAttributes.class).fileKey();
    } catch (IOException e) {
      return null;
    }
  }
}
