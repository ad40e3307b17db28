package fernwort.core.drain;

import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Heater;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * A rig with everything open that is made to be opened and lets air in or water out, handles, caps,
 * bowls and heaters' drains: what of its water nothing lets out but a spanner.
 *
 * <p>All that its kind says is opened to drain it ({@link Kind#drained}) is opened at once; then,
 * one after another, whichever single turn lets most out, such as the other way of a valve, each
 * tried by draining the rig with it.
 */
public final class EverythingOpen {

  /** A turn is worth it for this much less {@link #weight} (m³); own choice, a few drops. */
  public static final double WORTH_A_TURN = 3e-6;

  /** More turns than this one after another are not tried; own choice. */
  public static final int MOST_TURNS = 24;

  /** A body that cracks weighs as much as so much water in a line (m³); own choice. */
  private static final double A_BODY = 1e-3;

  private EverythingOpen() {}

  /** Returns a rig in use, its tanks as in a state, once all of it is open and has run out. */
  public static Wintering of(Network network, State state) {
    Wintering now = Filled.of(network, state);
    for (Part part : network.rig().parts()) {
      Optional<PositionId> open = part.kind().drained();
      if (open.isPresent() && !part.kind().is(Purpose.TRAPS)) {
        now = now.with(network.rig(), part.id(), open.get());
      }
    }
    now = Draining.of(network, now);
    for (int times = 0; times < MOST_TURNS; times++) {
      Optional<Turn> more =
          best(network, now, EverythingOpen::isMeant, w -> weight(network, w), WORTH_A_TURN);
      if (more.isEmpty()) {
        return now;
      }
      now = after(network, now, Levels.of(network, now.state()), more.get());
    }
    return now;
  }

  /** Tells whether a turn is one that the part is made for: nothing is undone with a spanner. */
  public static boolean isMeant(Turn turn) {
    return !turn.position().equals(Kind.UNDONE);
  }

  /** Returns what is opened of some parts to drain them, in their order. */
  public static List<Turn> turns(List<Part> parts) {
    List<Turn> turns = new ArrayList<>();
    for (Part part : parts) {
      part.kind().drained().ifPresent(open -> turns.add(new Turn(part.id(), open)));
    }
    return turns;
  }

  /**
   * Returns the turn after which least stays.
   *
   * @param now the rig, drained as it stands
   * @param which the turns that come into question
   * @param weight how much stays, or how bad that is (m³)
   * @param worth by how much less a turn is worth it (m³)
   */
  public static Optional<Turn> best(
      Network network,
      Wintering now,
      Predicate<Turn> which,
      ToDoubleFunction<Wintering> weight,
      double worth) {
    double least = weight.applyAsDouble(now) - worth;
    Turn best = null;
    Levels levels = Levels.of(network, now.state());
    for (Turn turn : candidates(network, now)) {
      if (which.test(turn)) {
        double after = weight.applyAsDouble(after(network, now, levels, turn));
        if (after < least) {
          least = after;
          best = turn;
        }
      }
    }
    return Optional.ofNullable(best);
  }

  /**
   * Returns a rig after one turn, drained again.
   *
   * @param levels of its tanks and on its slope, as it is
   */
  public static Wintering after(Network network, Wintering now, Levels levels, Turn turn) {
    return Draining.of(network, now.with(network.rig(), turn.part(), turn.position()), levels);
  }

  /** Returns whatever opens something that is not open, and starts nothing. */
  public static List<Turn> candidates(Network network, Wintering now) {
    List<Turn> turns = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      Stream.concat(part.kind().positions().stream(), part.kind().service().stream())
          .map(Position::id)
          .distinct()
          .filter(p -> opens(part, p) && !isSo(now, part, p) && leads(now, part, p))
          .forEach(p -> turns.add(new Turn(part.id(), p)));
    }
    return turns;
  }

  /**
   * Tells whether a position opens a part; on a plug that an instant heater may have none counts.
   */
  private static boolean opens(Part part, PositionId position) {
    boolean plug = position.equals(Heater.DRAINED.id());
    return part.kind().opensToDrain(position) && (!plug || part.kind().drained().isPresent());
  }

  private static boolean isSo(Wintering now, Part part, PositionId position) {
    return now.has(part, position) || now.state().setting().has(part.id(), position);
  }

  /** Tells whether a turn of a valve joins what it does not join as it is. */
  private static boolean leads(Wintering now, Part part, PositionId position) {
    Kind kind = part.kind();
    if (!kind.is(Purpose.TURNS) || kind.service().stream().anyMatch(p -> p.id().equals(position))) {
      return true;
    }
    PositionId stands = now.state().setting().of(part.id());
    List<Link> joined = kind.links(now.has(part, Valve.HALF) ? kind.halfWay(stands) : stands);
    return !joined.containsAll(kind.links(position));
  }

  /**
   * Returns how bad what stays in lines and bodies is (m³): its volume, and more for each body that
   * cracks.
   */
  public static double weight(Network network, Wintering now) {
    double weight = 0;
    for (Line line : network.rig().lines()) {
      weight += now.wetness().volume(line);
    }
    for (Part part : network.rig().parts()) {
      double held = now.wetness().body(part.id());
      boolean cracks = held > part.volume() / 2 || held > 0 && part.kind().is(Purpose.TURNS);
      weight += held + (cracks ? A_BODY * held / part.volume() : 0);
    }
    return weight;
  }
}
