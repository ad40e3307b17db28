package fernwort.app.services;

import fernwort.app.compute.TooBusy;
import java.time.Duration;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * Where mistakes are tried, and what else takes longer than a page should: a few at a time for
 * everybody, the others in a queue that is not long.
 */
@Component
public class Workers implements DisposableBean {

  /** As long as this somebody may look away before what they asked for ends. */
  private static final Duration LOOKED_AWAY = Duration.ofSeconds(20);

  private static final int AT_ONCE = 2;
  private static final int WAITING = 24;

  private final ThreadPoolExecutor threads =
      new ThreadPoolExecutor(
          AT_ONCE,
          AT_ONCE,
          1,
          TimeUnit.MINUTES,
          new ArrayBlockingQueue<>(WAITING),
          Thread.ofPlatform().daemon().name("workers-", 1).factory());

  Workers() {
    threads.allowCoreThreadTimeOut(true);
  }

  /**
   * Begins to compute something that somebody waits for.
   *
   * @param longest how long it may take
   * @throws TooBusy when the queue is full
   */
  public <T> Awaited<T> begin(Duration longest, Callable<T> work) {
    return begin(longest, LOOKED_AWAY, work);
  }

  /** The same, ended once nobody has looked for some time. */
  public <T> Awaited<T> begin(Duration longest, Duration lookedAway, Callable<T> work) {
    Awaited<T> awaited = new Awaited<>(longest, lookedAway, work);
    try {
      threads.execute(awaited);
    } catch (RejectedExecutionException e) {
      throw new TooBusy(Says.MUCH_IS_BEING_TRIED.text());
    }
    awaited.endWhenNobodyLooks();
    return awaited;
  }

  @Override
  public void destroy() {
    threads.shutdownNow();
  }
}
