package fernwort.core.live;

import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.Optional;

/**
 * Finds fills and dumps in what the level of one tank does: it has risen, or fallen, by much within
 * a short time, and then it stays. Not for use by several threads.
 */
public final class LevelCourse {

  /** So much up is a fill (share of the tank); own choice. */
  private static final double FILL = 0.05;

  /** So much down is a dump (share of the tank); own choice: nobody draws that much so fast. */
  private static final double DUMP = 0.2;

  /** Within so long (s); own choice. */
  private static final double WINDOW = 900;

  /** A level is remembered so often for that (s); own choice. */
  private static final double STEP = 15;

  /** It is over when the level stayed within this (share of the tank); own choice. */
  private static final double STAYS = 0.005;

  /** For so long (s); own choice: a hose is put down for a moment, too. */
  private static final double CALM = 120;

  private record Sample(Now at, double volume) {}

  /** What a level does. */
  public enum What {
    FILL,
    DUMP
  }

  /**
   * A fill or dump that is over.
   *
   * @param begun when it began
   * @param from what the tank held then (m³)
   * @param to what it holds now (m³)
   */
  public record Passed(What what, Now begun, double from, double to) {}

  private record Going(What what, Now begun, double from, double furthest, Now since) {}

  private final double capacity;
  private final boolean dumped;
  private final Deque<Sample> past = new ArrayDeque<>();
  private Optional<Going> going = Optional.empty();

  /**
   * Begins to watch.
   *
   * @param capacity of the tank (m³)
   * @param dumped whether it is a tank that is dumped; others are filled
   */
  public LevelCourse(double capacity, boolean dumped) {
    this.capacity = capacity;
    this.dumped = dumped;
  }

  /** Tells whether a fill or dump is going on. */
  public boolean isGoing() {
    return going.isPresent();
  }

  /**
   * Takes a level that can be acted on.
   *
   * @param volume what the tank holds (m³)
   * @return the fill or dump that is over with it, if one is
   */
  public Optional<Passed> take(double volume, Now now) {
    if (going.isPresent()) {
      return goOn(going.get(), volume, now);
    }
    if (past.isEmpty() || now.steady() - past.getLast().at().steady() >= STEP) {
      past.addLast(new Sample(now, volume));
    }
    while (past.getFirst().at().steady() < now.steady() - WINDOW) {
      past.removeFirst();
    }
    begins(volume, now);
    return Optional.empty();
  }

  private void begins(double volume, Now now) {
    Comparator<Sample> least = Comparator.comparingDouble(Sample::volume);
    // Of equal levels the last: before that it only stood there.
    Sample from =
        past.stream()
            .reduce((one, next) -> {
              int order = least.compare(one, next);
              return (dumped ? order > 0 : order < 0) ? one : next;
            })
            .orElseThrow();
    double change = dumped ? from.volume() - volume : volume - from.volume();
    if (change >= (dumped ? DUMP : FILL) * capacity) {
      going =
          Optional.of(
              new Going(dumped ? What.DUMP : What.FILL, from.at(), from.volume(), volume, now));
      past.clear();
    }
  }

  private Optional<Passed> goOn(Going on, double volume, Now now) {
    double further = dumped ? on.furthest() - volume : volume - on.furthest();
    if (further > STAYS * capacity) {
      going = Optional.of(new Going(on.what(), on.begun(), on.from(), volume, now));
      return Optional.empty();
    }
    if (now.steady() - on.since().steady() < CALM) {
      return Optional.empty();
    }
    going = Optional.empty();
    return Optional.of(new Passed(on.what(), on.begun(), on.from(), on.furthest()));
  }
}
