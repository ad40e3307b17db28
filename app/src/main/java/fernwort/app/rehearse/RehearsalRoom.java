package fernwort.app.rehearse;

import fernwort.app.Refusal;
import fernwort.app.rigs.OpenRig;
import fernwort.core.network.run.Simulation;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/**
 * All rehearsals that somebody watches. One clock moves them all, each for its share of time; one
 * that nobody has watched for a while is given up.
 */
@Component
class RehearsalRoom {

  private static final Duration BEAT = Duration.ofMillis(200);
  private static final long GIVEN_UP = Duration.ofSeconds(90).toNanos();
  private static final int MOST = 40;

  private final Map<String, Seat> seats = new ConcurrentHashMap<>();
  private final ScheduledExecutorService clock =
      Executors.newSingleThreadScheduledExecutor(
          work -> Thread.ofPlatform().daemon().name("rehearsals").unstarted(work));

  /** A rehearsal with whoever watches it. */
  private static final class Seat {
    final Rehearsal rehearsal;
    volatile Optional<Consumer<Rehearsal>> watcher = Optional.empty();
    volatile long seen = System.nanoTime();

    Seat(Rehearsal rehearsal) {
      this.rehearsal = rehearsal;
    }
  }

  RehearsalRoom() {
    clock.scheduleAtFixedRate(this::beat, 0, BEAT.toMillis(), TimeUnit.MILLISECONDS);
  }

  /**
   * Starts a rehearsal and returns its address.
   *
   * @throws IllegalArgumentException when too many are running
   */
  String start(OpenRig rig, Simulation from) {
    if (seats.size() >= MOST) {
      throw new IllegalArgumentException(
          "%d rehearsals are running; close one of them first".formatted(MOST));
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
      throw new Refusal("This rehearsal has ended; start another from the Board");
    }
    seat.seen = System.nanoTime();
    return seat;
  }

  /** Tells a rehearsal's watcher of every beat; a new watcher takes the place of the last. */
  void watch(String id, Consumer<Rehearsal> watcher) {
    seat(id).watcher = Optional.of(watcher);
  }

  /** The watcher has gone: the run ends unless it comes back soon. */
  void leave(String id, Consumer<Rehearsal> watcher) {
    Seat seat = seats.get(id);
    if (seat != null && seat.watcher.filter(w -> w == watcher).isPresent()) {
      seat.watcher = Optional.empty();
      seat.rehearsal.pause();
    }
  }

  int size() {
    return seats.size();
  }

  private void beat() {
    for (Map.Entry<String, Seat> entry : seats.entrySet()) {
      Seat seat = entry.getValue();
      try {
        seat.rehearsal.tick(BEAT.toMillis() / 1000.0);
        seat.watcher.ifPresent(w -> {
          w.accept(seat.rehearsal);
          seat.seen = System.nanoTime();
        });
      } catch (RuntimeException e) {
        seat.watcher = Optional.empty();
        seat.rehearsal.pause();
      }
      if (System.nanoTime() - seat.seen > GIVEN_UP) {
        seats.remove(entry.getKey());
      }
    }
  }

  @PreDestroy
  void close() {
    clock.shutdownNow();
  }
}
