package fernwort.app.store.disk;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A layer under the database that keeps its writes in an order that survives a power cut, and lends
 * it the folder's reserve when the disk is full. Addresses begin with {@code fernwort:}.
 */
public final class OrderedFiles extends FilePathWrapper {

  static final String SCHEME = "fernwort";

  private static final Map<String, OrderedChannel> OPEN = new ConcurrentHashMap<>();

  /** Makes the layer known to the database. */
  public static void register() {
    FilePath.register(new OrderedFiles());
  }

  @Override
  public String getScheme() {
    return SCHEME;
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    FileChannel file = super.open(mode);
    if (mode.equals("r")) {
      return file;
    }
    String path = getBase().toString();
    OrderedChannel channel =
        new OrderedChannel(
            file,
            Reserve.beside(getBase()),
            ChunkSums.open(getBase()),
            closed -> OPEN.remove(path, closed));
    OPEN.put(path, channel);
    return channel;
  }

  /**
   * Looks through a database's file while it is open.
   *
   * @return how many of its chunks do not read as they were written; none where it is not open
   */
  static int damaged(Path database) throws IOException {
    OrderedChannel channel = OPEN.get(database.toString());
    return channel == null ? 0 : channel.damaged();
  }
}
