package fernwort.app.rehearse;

import fernwort.app.Missing;
import fernwort.app.services.OpenRig;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * All rehearsals that somebody watches. One clock moves them all, each for its share of time; one
 * that nobody has watched for a while is given up. Each page that watches has a thread of its own,
 * so the clock waits for none.
 */
@Component
class RehearsalRoom implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(RehearsalRoom.class);
  private static final Duration BEAT = Duration.ofMillis(200);
  private static final long GIVEN_UP = Duration.ofSeconds(90).toNanos();
  private static final int MOST = 40;

  private final Map<String, Seat> seats = new ConcurrentHashMap<>();
  private volatile Optional<ScheduledExecutorService> clock = Optional.empty();

  /** A rehearsal with the page that watches it. */
  private static final class Seat {
    final Rehearsal rehearsal;
    volatile Optional<Watching> watching = Optional.empty();
    volatile long seen = System.nanoTime();

    Seat(Rehearsal rehearsal) {
      this.rehearsal = rehearsal;
    }
  }

  /**
   * Starts a rehearsal and returns its address.
   *
   * @throws Refusal when too many are running
   */
  String start(OpenRig rig, Simulation from) {
    if (seats.size() >= MOST) {
      throw new Refusal(Says.REHEARSALS_ARE_RUNNING_CLOSE.filled(MOST));
    }
    String id = UUID.randomUUID().toString();
    seats.put(id, new Seat(new Rehearsal(rig, from)));
    return id;
  }

  /**
   * Returns a rehearsal.
   *
   * @throws Refusal when it was given up
   */
  Rehearsal get(String id) {
    return seat(id).rehearsal;
  }

  private Seat seat(String id) {
    Seat seat = seats.get(id);
    if (seat == null) {
      throw new Missing(Says.THIS_REHEARSAL_HAS_ENDED_START.text());
    }
    seat.seen = System.nanoTime();
    return seat;
  }

  /**
   * Lets a page watch a rehearsal; it takes the place of the one that watched before.
   *
   * @throws Refusal when the rehearsal was given up
   */
  void watch(String id, SseEmitter page, Function<Rehearsal, Snapshot> look) {
    Seat seat = seat(id);
    Watching watching =
        new Watching(page, () -> look.apply(seat.rehearsal), () -> seat.seen = System.nanoTime());
    synchronized (seat) {
      seat.watching.ifPresent(Watching::end);
      seat.watching = Optional.of(watching);
    }
    Thread.ofVirtual()
        .name("watching " + id)
        .start(() -> {
          watching.run();
          leave(seat, watching);
        });
  }

  /** The page has gone: the run stands still until it comes back, or is given up. */
  private static void leave(Seat seat, Watching watching) {
    synchronized (seat) {
      if (seat.watching.filter(w -> w == watching).isPresent()) {
        seat.watching = Optional.empty();
        seat.rehearsal.pause();
      }
    }
  }

  /** Returns how many rehearsals are kept. */
  int size() {
    return seats.size();
  }

  /** Returns how many pages watch. */
  long watched() {
    return seats.values().stream().filter(s -> s.watching.isPresent()).count();
  }

  private void beat() {
    for (Map.Entry<String, Seat> entry : seats.entrySet()) {
      Seat seat = entry.getValue();
      try {
        seat.rehearsal.tick(BEAT.toMillis() / 1000.0);
      } catch (RuntimeException e) {
        LOG.warn("a rehearsal broke off", e);
        seat.rehearsal.pause();
      }
      seat.watching.ifPresent(Watching::tell);
      if (System.nanoTime() - seat.seen > GIVEN_UP) {
        seats.remove(entry.getKey());
        seat.watching.ifPresent(Watching::end);
      }
    }
  }

  @Override
  public void start() {
    ScheduledExecutorService started =
        Executors.newSingleThreadScheduledExecutor(
            work -> Thread.ofPlatform().daemon().name("rehearsals").unstarted(work));
    started.scheduleAtFixedRate(this::beat, 0, BEAT.toMillis(), TimeUnit.MILLISECONDS);
    clock = Optional.of(started);
  }

  /** Before the web server stops, so that it has no open stream to wait for. */
  @Override
  public void stop() {
    clock.ifPresent(ScheduledExecutorService::shutdownNow);
    clock = Optional.empty();
    seats.values().forEach(seat -> seat.watching.ifPresent(Watching::end));
  }

  @Override
  public boolean isRunning() {
    return clock.isPresent();
  }
}
