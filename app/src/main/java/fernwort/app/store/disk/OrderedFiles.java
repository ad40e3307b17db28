package fernwort.app.store.disk;

import java.io.IOException;
import java.nio.channels.FileChannel;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A layer under the database that keeps its writes in an order that survives a power cut, and lends
 * it the folder's reserve when the disk is full. Addresses begin with {@code fernwort:}.
 */
public final class OrderedFiles extends FilePathWrapper {

  static final String SCHEME = "fernwort";

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
    return mode.equals("r") ? file : new OrderedChannel(file, Reserve.beside(getBase()));
  }
}
