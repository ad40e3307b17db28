package fernwort.app.rehearse;

import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One page that watches a rehearsal, on a thread of its own: it gets the newest look at the run
 * whenever it has taken the last, so that a slow one misses looks and holds up nobody.
 */
final class Watching implements Runnable {

  /** So often something is sent even if nothing changed, to notice a page that has gone. */
  private static final long HEARTBEAT = 2_000;

  private final SseEmitter emitter;
  private final Supplier<Snapshot> look;
  private final Runnable seen;
  private final Semaphore news = new Semaphore(1);
  private volatile boolean over;

  /**
   * Prepares to watch.
   *
   * @param look returns how the run stands
   * @param seen is called whenever the page has taken a look
   */
  Watching(SseEmitter emitter, Supplier<Snapshot> look, Runnable seen) {
    this.emitter = emitter;
    this.look = look;
    this.seen = seen;
  }

  /** Says that there is something new; never waits. */
  void tell() {
    if (news.availablePermits() == 0) {
      news.release();
    }
  }

  /** Ends it soon; never waits. */
  void end() {
    over = true;
    news.release();
  }

  @Override
  public void run() {
    @Nullable Snapshot last = null;
    try {
      while (true) {
        boolean told = news.tryAcquire(HEARTBEAT, TimeUnit.MILLISECONDS);
        news.drainPermits();
        if (over) {
          emitter.complete();
          return;
        }
        Snapshot now = look.get();
        if (!told || !now.equals(last)) {
          emitter.send(now, MediaType.APPLICATION_JSON);
          last = now;
        }
        seen.run();
      }
    } catch (IOException | IllegalStateException gone) {
      // The page has gone, and with it whoever could be told.
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
