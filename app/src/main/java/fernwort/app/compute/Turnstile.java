package fernwort.app.compute;

import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Lets heavy computations in: one at a time for each rig, and as many in all as there are
 * processors. Whoever waits too long is told so instead. Ordinary pages queue as well, beside them:
 * who notes or ticks something does not wait behind those that only look.
 */
@Component
public class Turnstile {

  private static final Duration PATIENCE = Duration.ofSeconds(12);

  private final Duration patience;

  /** A page waits no longer than this; a slow reader ahead of it must not keep it out. */
  private static final Duration PAGE_WAITS = Duration.ofSeconds(3);

  private final Semaphore pages = new Semaphore(Runtime.getRuntime().availableProcessors(), true);
  private final Semaphore all = new Semaphore(Runtime.getRuntime().availableProcessors(), true);
  private final ConcurrentHashMap<String, Place> places = new ConcurrentHashMap<>();

  @Autowired
  public Turnstile() {
    this(PATIENCE);
  }

  Turnstile(Duration patience) {
    this.patience = patience;
  }

  /** A rig's place in the queue, kept while somebody is at it. */
  private static final class Place {
    final Semaphore free = new Semaphore(1, true);
    int users;
  }

  /**
   * Computes something for a rig when it is its turn.
   *
   * @throws TooBusy when its turn does not come in time
   */
  public <T> T let(String rig, Callable<T> work) throws Exception {
    long end = System.nanoTime() + patience.toNanos();
    Place place = enter(rig);
    try {
      if (!place.free.tryAcquire(end - System.nanoTime(), TimeUnit.NANOSECONDS)) {
        throw busy();
      }
      try {
        return inAll(end, work);
      } finally {
        place.free.release();
      }
    } finally {
      leave(rig, place);
    }
  }

  /** Makes a page when others are done, or when it has waited long enough. */
  <T> T page(Callable<T> work) throws Exception {
    boolean inTurn = pages.tryAcquire(PAGE_WAITS.toNanos(), TimeUnit.NANOSECONDS);
    try {
      return work.call();
    } finally {
      if (inTurn) {
        pages.release();
      }
    }
  }

  private <T> T inAll(long end, Callable<T> work) throws Exception {
    if (!all.tryAcquire(Math.max(0, end - System.nanoTime()), TimeUnit.NANOSECONDS)) {
      throw busy();
    }
    try {
      return work.call();
    } finally {
      all.release();
    }
  }

  private static TooBusy busy() {
    return new TooBusy(Says.FERNWORT_IS_STILL_COMPUTING.text());
  }

  private Place enter(String rig) {
    return places.compute(
        rig,
        (id, known) -> {
          Place place = known == null ? new Place() : known;
          place.users++;
          return place;
        });
  }

  private void leave(String rig, Place place) {
    places.computeIfPresent(rig, (id, known) -> --place.users == 0 ? null : known);
  }

  /** Returns how many rigs somebody computes or waits for. */
  int size() {
    return places.size();
  }
}
