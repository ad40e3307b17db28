package fernwort.app.compute;

import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Lets computations in. Heavy ones: one at a time for each rig, and as many in all as there are
 * processors. Ordinary pages queue beside them, and who notes or ticks something waits for neither.
 * Of each there is a bound, so that what asks for health or hears an alarm always finds a thread;
 * whoever waits too long is told so instead.
 */
@Component
public class Turnstile {

  private static final Duration PATIENCE = Duration.ofSeconds(12);

  private final Duration patience;

  /** A page waits no longer than this; a slow reader ahead of it must not keep it out. */
  private static final Duration PAGE_WAITS = Duration.ofSeconds(3);

  /** So many more pages come in past slow ones, and then no more. */
  private static final int PAST_SLOW_ONES = 2;

  /** So many notes, turns and looks at Today are answered at once. */
  private static final int SOON = 6;

  private final int processors = Runtime.getRuntime().availableProcessors();
  private final Semaphore pages = new Semaphore(processors, true);
  private final Semaphore past = new Semaphore(PAST_SLOW_ONES, true);
  private final Semaphore soon = new Semaphore(SOON, true);
  private final Semaphore all = new Semaphore(processors, true);
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
        return within(all, end, work);
      } finally {
        place.free.release();
      }
    } finally {
      leave(rig, place);
    }
  }

  /**
   * Makes a page when others are done; past them when it has waited long enough, a few at a time.
   *
   * @throws TooBusy when its turn does not come in time
   */
  <T> T page(Callable<T> work) throws Exception {
    long end = System.nanoTime() + patience.toNanos();
    boolean inTurn = pages.tryAcquire(PAGE_WAITS.toNanos(), TimeUnit.NANOSECONDS);
    return inTurn ? within(pages, work) : within(past, end, work);
  }

  /**
   * Answers what is noted, turned or ticked.
   *
   * @throws TooBusy when its turn does not come in time
   */
  <T> T soon(Callable<T> work) throws Exception {
    return within(soon, System.nanoTime() + patience.toNanos(), work);
  }

  private static <T> T within(Semaphore turns, long end, Callable<T> work) throws Exception {
    if (!turns.tryAcquire(Math.max(0, end - System.nanoTime()), TimeUnit.NANOSECONDS)) {
      throw busy();
    }
    return within(turns, work);
  }

  /** Computes with a turn that was taken, and gives it back. */
  private static <T> T within(Semaphore turns, Callable<T> work) throws Exception {
    try {
      return work.call();
    } finally {
      turns.release();
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
