package fernwort.app.store.disk;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A disk under the database that is as unkind as a disk may be: of the pages written since the last
 * sync it keeps any and loses the others when the power fails; and it can be full. What stands in
 * the real file is what the process sees.
 */
public final class UncertainFiles extends FilePathWrapper {

  static final String SCHEME = "uncertain";
  static final int PAGE = 4096;

  /** Syncs of all files. */
  static final AtomicInteger SYNCS = new AtomicInteger();

  private static final Map<String, Disk> DISKS = new ConcurrentHashMap<>();

  /** Of all disks at once: whoever changes it locks {@link #SCHEME} while it tests. */
  private static volatile long room = Long.MAX_VALUE;

  private static volatile String broken = "";

  /** Makes it the layer under the database of this process. */
  public static void register() {
    FilePath.register(new UncertainFiles());
  }

  /** Leaves so much room for what is appended from now on (bytes). */
  static void leaveRoom(long bytes) {
    room = bytes;
  }

  /** Lets every write fail with these words; none for writing again. */
  static void breakWith(String words) {
    broken = words;
  }

  @Override
  public void delete() {
    long given = exists() ? size() : 0;
    super.delete();
    room = Math.max(room, room + given);
  }

  @Override
  public OutputStream newOutputStream(boolean append) throws IOException {
    return new FilterOutputStream(super.newOutputStream(append)) {
      @Override
      public void write(byte[] bytes, int from, int length) throws IOException {
        take(length);
        out.write(bytes, from, length);
      }
    };
  }

  private static void take(long bytes) throws IOException {
    if (!broken.isEmpty()) {
      throw new IOException(broken);
    }
    if (bytes > room) {
      throw new IOException("No space left on device");
    }
    room -= Math.max(0, bytes);
  }

  /** Returns the disk of a database's file. */
  static Disk disk(Path file) {
    return DISKS.computeIfAbsent(file.toString(), f -> new Disk());
  }

  @Override
  public String getScheme() {
    return SCHEME;
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    FileChannel file = super.open(mode);
    String path = getBase().toString().replaceFirst("^nio:", "");
    return new Uncertain(file, disk(Path.of(path)));
  }

  /** What is certainly on the disk, and what may be. */
  static final class Disk {

    private byte[] certain = new byte[0];
    private final List<Write> since = new ArrayList<>();
    private Runnable afterEachWrite = () -> {};

    private record Write(long position, byte[] bytes, boolean truncation) {}

    private synchronized void write(long position, byte[] bytes) {
      since.add(new Write(position, bytes, false));
      afterEachWrite.run();
    }

    /** Lets somebody look at the disk after every write. */
    synchronized void afterEachWrite(Runnable look) {
      afterEachWrite = look;
    }

    private synchronized void truncate(long size) {
      since.add(new Write(size, new byte[0], true));
    }

    private synchronized void sync() {
      SYNCS.incrementAndGet();
      certain = apply(certain, since);
      since.clear();
    }

    /** Returns what is found after the process was killed now: everything written. */
    synchronized byte[] afterKill() {
      return apply(certain, since);
    }

    /** Returns what is found after the power failed now, some pages kept and some lost. */
    synchronized byte[] afterPowerCut(Random random) {
      List<Write> kept = new ArrayList<>();
      double share = random.nextDouble();
      for (Write write : since) {
        if (write.truncation()) {
          if (random.nextBoolean()) {
            kept.add(write);
          }
          continue;
        }
        for (int at = 0; at < write.bytes().length; at += PAGE) {
          if (random.nextDouble() < share) {
            int end = Math.min(write.bytes().length, at + PAGE);
            kept.add(
                new Write(
                    write.position() + at,
                    java.util.Arrays.copyOfRange(write.bytes(), at, end),
                    false));
          }
        }
      }
      return apply(certain, kept);
    }

    private static byte[] apply(byte[] before, List<Write> writes) {
      byte[] after = before;
      for (Write write : writes) {
        int end = (int) write.position() + write.bytes().length;
        if (write.truncation() || end > after.length) {
          after =
              java.util.Arrays.copyOf(
                  after, write.truncation() ? (int) Math.min(write.position(), after.length) : end);
        }
        System.arraycopy(write.bytes(), 0, after, (int) write.position(), write.bytes().length);
      }
      return after;
    }

    /** Takes the file as it is for certain, as after a start. */
    synchronized void settle(Path file) throws IOException {
      certain = Files.readAllBytes(file);
      since.clear();
    }
  }

  private static final class Uncertain extends FileBaseDefault {

    private final FileChannel file;
    private final Disk disk;

    Uncertain(FileChannel file, Disk disk) {
      this.file = file;
      this.disk = disk;
    }

    @Override
    public synchronized int write(ByteBuffer source, long position) throws IOException {
      take(Math.max(0, position + source.remaining() - file.size()));
      byte[] bytes = new byte[source.remaining()];
      source.duplicate().get(bytes);
      disk.write(position, bytes);
      return file.write(source, position);
    }

    @Override
    public void force(boolean metaData) {
      disk.sync();
    }

    @Override
    protected void implTruncate(long size) throws IOException {
      disk.truncate(size);
      file.truncate(size);
    }

    @Override
    public int read(ByteBuffer target, long position) throws IOException {
      return file.read(target, position);
    }

    @Override
    public long size() throws IOException {
      return file.size();
    }

    @Override
    public FileLock tryLock(long position, long size, boolean shared) throws IOException {
      return file.tryLock(position, size, shared);
    }

    @Override
    protected void implCloseChannel() throws IOException {
      file.close();
    }
  }
}
