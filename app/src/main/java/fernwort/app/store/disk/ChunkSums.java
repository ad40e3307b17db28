package fernwort.app.store.disk;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.zip.CRC32C;
import org.h2.store.fs.FilePath;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What each chunk of a database's file summed up to when it was written, in a small file beside it.
 * The database itself sums up only the start and the end of a chunk: a bit that turns over in the
 * middle is another litre, and no error.
 *
 * <p>A line a chunk, and one after each sync that says up to which version all is on the disk. Each
 * line has its own sum. They are not synced: what is lost of them makes a chunk one that nobody can
 * vouch for, never one that is damaged.
 */
final class ChunkSums implements Closeable {

  private static final Logger LOG = LoggerFactory.getLogger(ChunkSums.class);

  /** What the file is called, after the name of the database's file. */
  static final String SUFFIX = ".sums";

  private static final String CREATED = "created";
  private static final String CHUNK = "chunk";
  private static final String SYNCED = "synced";

  /** More lines than these are written anew where most of them say nothing any more. */
  private static final int MOST_LINES = 50_000;

  /** Lines for each chunk above which most say nothing any more. */
  private static final int FULL_OF_OLD = 4;

  private static final HexFormat HEX = HexFormat.of();
  private static final int HEXADECIMAL = 16;

  private final FilePath path;
  private final FileChannel out;
  private final Read said;
  private int lines;

  private ChunkSums(FilePath path, FileChannel out, Read said, int lines) {
    this.path = path;
    this.out = out;
    this.said = said;
    this.lines = lines;
  }

  /**
   * A chunk as it was written.
   *
   * @param block where it begins (blocks from the start of the file)
   * @param blocks how long it is (blocks)
   * @param version the version of the database that it made
   * @param sum its CRC-32C
   */
  record Chunk(long block, int blocks, long version, int sum) {

    /** Sums up a chunk. */
    static Chunk of(long block, long version, ByteBuffer bytes) {
      CRC32C sum = new CRC32C();
      sum.update(bytes.slice());
      return new Chunk(block, bytes.remaining() / HeaderPages.PAGE, version, (int) sum.getValue());
    }

    /** Sums up what a file holds now where a chunk is or was. */
    static Chunk read(FileChannel file, long block, int blocks, long version) throws IOException {
      ByteBuffer bytes = ByteBuffer.allocate(blocks * HeaderPages.PAGE);
      long from = block * HeaderPages.PAGE;
      while (bytes.hasRemaining() && file.read(bytes, from + bytes.position()) >= 0) {
        // Until it is read, or the file ends.
      }
      return of(block, version, bytes.clear());
    }

    static Chunk read(FileChannel file, Chunk chunk) throws IOException {
      return read(file, chunk.block, chunk.blocks, chunk.version);
    }
  }

  /** What a file of sums says. */
  static final class Read {

    private final NavigableMap<Long, Chunk> chunks = new TreeMap<>();
    private long created = -1;
    private long synced = -1;

    /** When the database was made that they are of (milliseconds); −1 where that is not said. */
    long created() {
      return created;
    }

    /** The version up to which all was on the disk; −1 where that is not said. */
    long synced() {
      return synced;
    }

    Collection<Chunk> chunks() {
      return List.copyOf(chunks.values());
    }

    /** Returns what was written at a block. */
    Optional<Chunk> at(long block) {
      return Optional.ofNullable(chunks.get(block));
    }

    /** Takes in a chunk in the place of those it was written over. */
    private void put(Chunk chunk) {
      Map.Entry<Long, Chunk> before = chunks.lowerEntry(chunk.block());
      if (before != null && before.getKey() + before.getValue().blocks() > chunk.block()) {
        chunks.remove(before.getKey());
      }
      chunks.subMap(chunk.block(), chunk.block() + chunk.blocks()).clear();
      chunks.put(chunk.block(), chunk);
    }

    private void line(String line) {
      int end = line.lastIndexOf(' ');
      if (end < 0 || !sum(line.substring(0, end)).equals(line.substring(end + 1))) {
        return;
      }
      String[] words = line.substring(0, end).split(" ");
      switch (words[0]) {
        case CREATED -> created = hex(words[1]);
        case SYNCED -> synced = Math.max(synced, hex(words[1]));
        case CHUNK ->
            put(new Chunk(hex(words[1]), (int) hex(words[2]), hex(words[3]), (int) hex(words[4])));
        default -> {
          // A later Fernwort says more.
        }
      }
    }

    private String text() {
      StringBuilder text = new StringBuilder();
      text.append(summed(CREATED + " " + Long.toHexString(created)));
      text.append(summed(SYNCED + " " + Long.toHexString(synced)));
      chunks.values().forEach(chunk -> text.append(summed(ChunkSums.line(chunk))));
      return text.toString();
    }
  }

  /** Forgets what is known of a database's file: another is about to stand there. */
  static void forget(FilePath database) {
    beside(database).delete();
  }

  /** Returns where the sums of a database's file are. */
  static FilePath beside(FilePath database) {
    return FilePath.get(database + SUFFIX);
  }

  /** Reads the sums of a database's file; a line that is not whole says nothing. */
  static Read read(FilePath database) throws IOException {
    Read read = new Read();
    FilePath path = beside(database);
    if (path.exists()) {
      try (InputStream in = path.newInputStream()) {
        new String(in.readAllBytes(), StandardCharsets.ISO_8859_1).lines().forEach(read::line);
      }
    }
    return read;
  }

  /**
   * Writes the sums of a database's file anew.
   *
   * @param created when the database was made (milliseconds)
   * @param synced the version up to which all is on the disk
   */
  static void write(FilePath database, long created, long synced, Collection<Chunk> chunks)
      throws IOException {
    Read sums = new Read();
    sums.created = created;
    sums.synced = synced;
    chunks.forEach(sums::put);
    write(beside(database), sums);
  }

  private static void write(FilePath path, Read sums) throws IOException {
    FilePath half = FilePath.get(path + ".half");
    half.delete();
    try (FileChannel out = half.open("rw")) {
      append(out, sums.text());
      out.force(false);
    }
    half.moveTo(path, true);
  }

  /**
   * Opens the sums of a database's file to add to; nothing where it has none, which is so until a
   * start has looked it through.
   */
  static Optional<ChunkSums> open(FilePath database) throws IOException {
    FilePath path = beside(database);
    if (!path.exists()) {
      return Optional.empty();
    }
    Read said = read(database);
    return Optional.of(new ChunkSums(path, path.open("rw"), said, said.chunks.size()));
  }

  /** A chunk is about to be written. */
  synchronized void writing(Chunk chunk) {
    said.put(chunk);
    add(line(chunk));
  }

  /** Everything up to a version is on the disk. */
  synchronized void synced(long version) {
    if (version > said.synced) {
      said.synced = version;
      add(SYNCED + " " + Long.toHexString(version));
    }
  }

  /** The file ends from now on at a block. */
  synchronized void cut(long end) {
    said.chunks.values().removeIf(chunk -> chunk.block() + chunk.blocks() > end);
  }

  synchronized Optional<Chunk> at(long block) {
    return said.at(block);
  }

  /** Returns what was written since the file was begun and not written over. */
  synchronized Collection<Chunk> chunks() {
    return said.chunks();
  }

  /** A line that finds no room is left out: what it would have said is then not known. */
  private void add(String line) {
    try {
      append(out, summed(line));
      lines++;
      if (lines > MOST_LINES && lines > FULL_OF_OLD * said.chunks.size()) {
        lines = said.chunks.size();
        out.truncate(0);
        append(out, said.text());
      }
    } catch (IOException noRoom) {
      LOG.debug("the sums of the database could not be written", noRoom);
    }
  }

  private static String line(Chunk chunk) {
    return String.join(
        " ",
        CHUNK,
        Long.toHexString(chunk.block()),
        Integer.toHexString(chunk.blocks()),
        Long.toHexString(chunk.version()),
        HEX.toHexDigits(chunk.sum()));
  }

  private static String summed(String line) {
    return line + " " + sum(line) + "\n";
  }

  private static String sum(String line) {
    CRC32C sum = new CRC32C();
    sum.update(line.getBytes(StandardCharsets.ISO_8859_1));
    return HEX.toHexDigits((int) sum.getValue());
  }

  private static long hex(String digits) {
    return Long.parseLong(digits, HEXADECIMAL);
  }

  private static void append(FileChannel out, String text) throws IOException {
    ByteBuffer bytes = ByteBuffer.wrap(text.getBytes(StandardCharsets.ISO_8859_1));
    long at = out.size();
    while (bytes.hasRemaining()) {
      at += out.write(bytes, at);
    }
  }

  @Override
  public void close() throws IOException {
    out.close();
  }

  @Override
  public String toString() {
    return path.toString();
  }
}
