package fernwort.core.bench;

import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.sizing.TimedJug;
import java.util.Optional;

/**
 * A flow timed with a jug at a fixture, held against what the model expects there.
 *
 * @param timed what was timed
 * @param expected what the model expects (m³/s)
 * @param pressure at the fixture (Pa); empty where nothing reaches it
 * @param verdict what the difference points at
 */
public record JugAgainstModel(
    TimedJug timed, double expected, Optional<Double> pressure, Verdict verdict) {

  /** Less flow than this nobody would call one (m³/s). */
  private static final double NOTHING = 1e-7;

  /** Below half something is nearly closed, below four fifths something is in the way. */
  private static final double NEARLY_SHUT = 0.5;

  private static final double LESS = 0.8;
  private static final double MORE = 1.25;

  /** What a difference points at. */
  public enum Verdict {
    NOTHING_EXPECTED,
    NEARLY_SHUT,
    LESS,
    AS_EXPECTED,
    MORE
  }

  /**
   * Holds a timed jug against the model: the handles as they stand, this fixture alone opened cold,
   * supply pumps on.
   */
  public static JugAgainstModel of(Network network, State state, PartId fixture, TimedJug timed) {
    Flows flows = Hydraulics.of(network).solve(alone(network, state, fixture));
    double expected = flows.fixture(fixture);
    return new JugAgainstModel(
        timed, expected, flows.pressure(fixture, PortId.COLD), verdict(timed.flow(), expected));
  }

  /** Returns what was timed over what is expected. */
  public double share() {
    return timed.flow() / Math.max(expected, NOTHING);
  }

  /**
   * Returns what a timed flow points at where another is expected.
   *
   * @param timed what was timed (m³/s)
   * @param expected what the model expects (m³/s)
   */
  public static Verdict verdict(double timed, double expected) {
    if (expected < NOTHING) {
      return Verdict.NOTHING_EXPECTED;
    }
    double share = timed / expected;
    if (share < NEARLY_SHUT) {
      return Verdict.NEARLY_SHUT;
    }
    if (share < LESS) {
      return Verdict.LESS;
    }
    return share > MORE ? Verdict.MORE : Verdict.AS_EXPECTED;
  }

  /** Returns a state with one fixture alone open, cold, and the supply pumps on. */
  public static State alone(Network network, State from, PartId fixture) {
    State state = from;
    for (Part part : network.rig().parts()) {
      if (part.kind() instanceof Tap tap) {
        Position position = part.id().equals(fixture) ? tap.cold() : part.rest();
        state = state.with(part.id(), position.id());
      } else if (part.kind().is(Purpose.SUPPLIES)) {
        state = state.with(part.id(), Kind.ON);
      }
    }
    return state;
  }
}
