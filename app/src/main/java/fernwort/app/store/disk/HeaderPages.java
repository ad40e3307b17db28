package fernwort.app.store.disk;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;

/**
 * The two copies of the page at the start of a database's file that names the chunk from which the
 * newest is looked for.
 *
 * <p>The database names one only now and then. From there it finds the newest by way of those in
 * between, and one of these that was given up may be written over. Ended in that moment, the file
 * leads to what was there before it. So every chunk is named, in the copy that names the older one:
 * whichever page a disk loses, one copy names a chunk that is whole.
 */
final class HeaderPages {

  /** What a disk writes whole or not at all (bytes); also a block of the database. */
  static final int PAGE = 4096;

  /** The room of both copies (bytes). */
  static final int LENGTH = 2 * PAGE;

  private static final String CHUNK = "chunk";
  private static final String BLOCK = "block";
  private static final String VERSION = "version";
  private static final String CHECKSUM = "fletcher";

  /** Said of a database that was shut down in order: it is not, once a chunk was written. */
  private static final String CLEAN = "clean";

  private HeaderPages() {}

  /** A page and where it belongs (bytes from the start of the file). */
  record Page(ByteBuffer bytes, long position) {}

  /** Tells whether what is about to be written at the start of a block may be a chunk. */
  static boolean isChunk(ByteBuffer written, long position) {
    byte[] first = (CHUNK + ":").getBytes(StandardCharsets.ISO_8859_1);
    return position >= LENGTH
        && written.remaining() >= PAGE
        && written.slice(written.position(), first.length).equals(ByteBuffer.wrap(first));
  }

  /**
   * Returns the page that names a chunk, unless a copy names a newer one: a chunk that is moved
   * needs no name.
   *
   * @param chunk the chunk, from its start
   * @param position where it is written (bytes from the start of the file)
   * @param copies both copies as they stand in the file
   */
  static Optional<Page> naming(ByteBuffer chunk, long position, ByteBuffer copies) {
    Map<String, String> first = copy(copies.slice(0, PAGE));
    Map<String, String> second = copy(copies.slice(PAGE, PAGE));
    boolean secondIsNewer = version(second) > version(first);
    HashMap<String, String> newer = new HashMap<>(secondIsNewer ? second : first);
    Map<String, String> written = parsed(firstLine(chunk.slice()));
    if (newer.isEmpty() || version(written) < version(newer)) {
      return Optional.empty();
    }
    // A name of the same version is of a chunk that was moved, or that a power cut took.
    boolean intoSecond = secondIsNewer == (version(written) == version(newer));
    newer.remove(CLEAN);
    newer.remove(CHECKSUM);
    newer.put(CHUNK, written.getOrDefault(CHUNK, ""));
    newer.put(BLOCK, Long.toHexString(position / PAGE));
    newer.put(VERSION, written.getOrDefault(VERSION, ""));
    return Optional.of(new Page(page(newer), intoSecond ? PAGE : 0));
  }

  /** Returns the version that a chunk made, from its start; −1 where it says none. */
  static long version(ByteBuffer chunk) {
    return version(parsed(firstLine(chunk.slice())));
  }

  private static long version(Map<String, String> map) {
    return DataUtils.readHexLong(map, VERSION, -1);
  }

  /** Returns what a copy says; nothing where it is not whole. */
  private static Map<String, String> copy(ByteBuffer page) {
    String line = firstLine(page);
    Map<String, String> said = parsed(line);
    int end = line.lastIndexOf("," + CHECKSUM);
    if (end < 0) {
      return Map.of();
    }
    byte[] summed = line.substring(0, end).getBytes(StandardCharsets.ISO_8859_1);
    int checksum = DataUtils.getFletcher32(summed, 0, summed.length);
    return Integer.toHexString(checksum).equals(said.get(CHECKSUM)) ? said : Map.of();
  }

  private static String firstLine(ByteBuffer page) {
    String text = StandardCharsets.ISO_8859_1.decode(page.slice(0, PAGE)).toString();
    return text.substring(0, Math.max(0, text.indexOf('\n'))).strip();
  }

  /** Returns what a line says; nothing where it is no map. */
  private static Map<String, String> parsed(String line) {
    try {
      return DataUtils.parseMap(line);
    } catch (MVStoreException e) {
      return Map.of();
    }
  }

  private static ByteBuffer page(HashMap<String, String> map) {
    StringBuilder text = DataUtils.appendMap(new StringBuilder(), map);
    byte[] bytes = text.toString().getBytes(StandardCharsets.ISO_8859_1);
    DataUtils.appendMap(text, CHECKSUM, DataUtils.getFletcher32(bytes, 0, bytes.length));
    text.append('\n');
    return ByteBuffer.allocate(PAGE)
        .put(text.toString().getBytes(StandardCharsets.ISO_8859_1))
        .clear();
  }
}
