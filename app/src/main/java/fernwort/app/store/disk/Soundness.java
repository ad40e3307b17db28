package fernwort.app.store.disk;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;
import org.h2.mvstore.SFChunk;
import org.h2.mvstore.SingleFileStore;
import org.h2.store.fs.FilePath;

/**
 * Whether a database's file still holds what was written to it: every chunk that is in use is
 * summed up and compared with what it summed up to when it was written.
 *
 * @param damage what is wrong, to go on "the database …"; nothing where all is as it was
 * @param complete whether every chunk was vouched for
 * @param found the chunks in use, summed up
 * @param created when the database was made (milliseconds)
 * @param version the version it opens at
 */
record Soundness(
    Optional<String> damage,
    boolean complete,
    List<ChunkSums.Chunk> found,
    long created,
    long version) {

  Soundness {
    found = List.copyOf(found);
  }

  /** The database's own reader, which tells which chunks are in use. */
  private static final class Chunks extends SingleFileStore {

    Chunks() {
      super(new HashMap<>(Map.of("readOnly", 1)));
    }

    List<SFChunk> inUse() {
      List<SFChunk> chunks = new ArrayList<>();
      getChunksFromLayoutMap().forEach(chunks::add);
      // The newest chunk holds the map of all the others.
      if (lastChunk != null && chunks.stream().noneMatch(c -> c.id == lastChunk.id)) {
        chunks.add(lastChunk);
      }
      return chunks;
    }
  }

  /**
   * Looks through the file of a database that nobody has open.
   *
   * @throws IOException when it cannot be read at all
   */
  static Soundness of(Path database) throws IOException {
    FilePath file = file(database);
    ChunkSums.Read sums = ChunkSums.read(file);
    Chunks chunks = new Chunks();
    try {
      chunks.open(file.toString(), true, null);
      try (MVStore _ = new MVStore.Builder().adoptFileStore(chunks).readOnly().open();
          FileChannel bytes = file.open("r")) {
        return compare(chunks, sums, bytes);
      }
    } catch (MVStoreException | IllegalArgumentException | IllegalStateException e) {
      return new Soundness(Optional.of(Says.IS_DAMAGED.text()), false, List.of(), -1, -1);
    }
  }

  private static Soundness compare(Chunks chunks, ChunkSums.Read sums, FileChannel bytes)
      throws IOException {
    boolean ofThis = sums.created() == chunks.getCreationTime();
    long version = chunks.lastChunkVersion();
    List<ChunkSums.Chunk> found = new ArrayList<>();
    int damaged = 0;
    boolean complete = ofThis;
    List<SFChunk> inUse = chunks.inUse();
    for (SFChunk chunk : inUse) {
      ChunkSums.Chunk now = ChunkSums.Chunk.read(bytes, chunk.block, chunk.len, chunk.version);
      Optional<ChunkSums.Chunk> then =
          sums.at(chunk.block).filter(c -> c.version() == chunk.version);
      complete &= then.isPresent();
      if (ofThis && then.isPresent() && !then.get().equals(now)) {
        damaged++;
      }
      found.add(now);
    }
    Optional<String> damage = Optional.empty();
    if (damaged > 0) {
      damage = Optional.of(Says.PARTS_READ_OTHERWISE.filled(damaged, inUse.size()));
    } else if (sums.created() >= 0 && !ofThis) {
      damage = Optional.of(Says.IS_ANOTHER.filled(ChunkSums.SUFFIX));
    } else if (ofThis && version < sums.synced()) {
      damage = Optional.of(Says.LACKS_WHAT_WAS_CONFIRMED.filled(ChunkSums.SUFFIX));
    }
    return new Soundness(damage, complete, found, chunks.getCreationTime(), version);
  }

  private static FilePath file(Path database) {
    return FilePath.get(DatabaseUrl.FILES + database);
  }

  /** Tells whether a database stood there that somebody vouched for. */
  static boolean isKnown(Path database) {
    return Files.exists(Path.of(database + ChunkSums.SUFFIX));
  }

  /** Forgets what was vouched for: another file is about to stand there. */
  static void forget(Path database) {
    ChunkSums.forget(file(database));
  }

  /** Looks through a file that is known to be right, and vouches for it from now on. */
  static void begin(Path database) throws IOException {
    forget(database);
    of(database).vouch(database);
  }

  /** Vouches from now on for everything that was found. */
  void vouch(Path database) throws IOException {
    ChunkSums.write(file(database), created, version, found);
  }
}
