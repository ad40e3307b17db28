package fernwort.app.store.disk;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.h2.store.fs.FileBaseDefault;

/**
 * A file whose long writes become visible last page first.
 *
 * <p>The database appends chunks, each with a footer in its last page that says it is whole. A disk
 * may keep any of the pages written since the last sync and lose the others; a footer kept and a
 * page before it lost is a damaged database. So all of a chunk but its last page is written and
 * synced, and only then the footer. What was written earlier is synced first: a chunk may lie where
 * an older one was given up, and the newer state that no longer needs it must not be lost; and the
 * file's header points to the newest chunk, which must then be whole. To that end the header is
 * written along with every footer.
 */
final class OrderedChannel extends FileBaseDefault {

  private static final int PAGE = HeaderPages.PAGE;

  private final FileChannel file;
  private final Reserve reserve;
  private final Optional<ChunkSums> sums;
  private final Consumer<OrderedChannel> closed;
  private boolean unsynced;
  private long newest = -1;

  /**
   * Lays the order over a file.
   *
   * @param sums what its chunks sum up to, where that is noted
   * @param closed is told when it is closed
   */
  OrderedChannel(
      FileChannel file,
      Reserve reserve,
      Optional<ChunkSums> sums,
      Consumer<OrderedChannel> closed) {
    this.file = file;
    this.reserve = reserve;
    this.sums = sums;
    this.closed = closed;
  }

  @Override
  public synchronized int write(ByteBuffer source, long position) throws IOException {
    int length = source.remaining();
    sync();
    Optional<HeaderPages.Page> name = name(source, position);
    sumUp(source, position);
    // The header at the start is two copies of one page; either serves.
    if (length > PAGE && position > 0) {
      int last = length % PAGE == 0 ? PAGE : length % PAGE;
      ByteBuffer body = source.slice(source.position(), length - last);
      writeWhole(body, position);
      file.force(false);
      source.position(source.position() + length - last);
      writeWhole(source, position + length - last);
    } else {
      writeWhole(source, position);
    }
    if (name.isPresent()) {
      writeWhole(name.get().bytes(), name.get().position());
    }
    unsynced = true;
    return length;
  }

  /** Notes what a chunk sums up to before it is written. */
  private void sumUp(ByteBuffer written, long position) throws IOException {
    if (sums.isPresent() && HeaderPages.isChunk(written, position)) {
      long version = HeaderPages.version(written);
      newest = Math.max(newest, version);
      sums.get().writing(ChunkSums.Chunk.of(position / PAGE, version, written));
    }
  }

  /** Returns the page of the header that names what is written, if that is a chunk to be named. */
  private Optional<HeaderPages.Page> name(ByteBuffer written, long position) throws IOException {
    if (!HeaderPages.isChunk(written, position)) {
      return Optional.empty();
    }
    ByteBuffer copies = ByteBuffer.allocate(HeaderPages.LENGTH);
    while (copies.hasRemaining() && file.read(copies, copies.position()) >= 0) {
      // Until both copies, or what there is of them, are read.
    }
    return HeaderPages.naming(written, position, copies.clear());
  }

  private void writeWhole(ByteBuffer source, long position) throws IOException {
    int start = source.position();
    try {
      writeAll(source, position);
    } catch (IOException full) {
      if (!Reserve.isNoRoom(full) || !reserve.release()) {
        throw full;
      }
      source.position(start);
      writeAll(source, position);
    }
  }

  private void writeAll(ByteBuffer source, long position) throws IOException {
    long at = position;
    while (source.hasRemaining()) {
      at += file.write(source, at);
    }
  }

  private void sync() throws IOException {
    if (unsynced) {
      file.force(false);
      unsynced = false;
    }
  }

  @Override
  public synchronized void force(boolean metaData) throws IOException {
    long written = newest;
    file.force(metaData);
    unsynced = false;
    if (sums.isPresent()) {
      sums.get().synced(written);
    }
  }

  /** Returns how many chunks do not read as they were written since the file was looked through. */
  int damaged() throws IOException {
    int damaged = 0;
    for (ChunkSums.Chunk chunk : sums.map(ChunkSums::chunks).orElse(List.of())) {
      damaged += readsOtherwise(chunk) ? 1 : 0;
    }
    return damaged;
  }

  /** One that was written over meanwhile is another chunk. */
  private synchronized boolean readsOtherwise(ChunkSums.Chunk chunk) throws IOException {
    if (sums.flatMap(s -> s.at(chunk.block())).filter(chunk::equals).isEmpty()) {
      return false;
    }
    return !ChunkSums.Chunk.read(file, chunk).equals(chunk);
  }

  @Override
  protected synchronized void implTruncate(long size) throws IOException {
    sync();
    if (sums.isPresent()) {
      sums.get().cut(size / PAGE);
    }
    file.truncate(size);
    unsynced = true;
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
    closed.accept(this);
    try (file) {
      if (sums.isPresent()) {
        sums.get().close();
      }
    }
  }
}
