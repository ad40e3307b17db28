package fernwort.core.practice;

import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultyRig;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.hydraulics.UnsettledFlowException;
import fernwort.core.kind.Position;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A hose has come off, and water runs out: the one turn that stops it, against the clock.
 *
 * @param from how handles and levels are
 * @param line the line that is off
 * @param flow how much runs out (m³/s)
 * @param right each single turn that stops it
 */
public record Emergency(State from, String line, double flow, List<Turn> right)
    implements Exercise {

  /** Less is no emergency (m³/s): 1 L/min; own choice. */
  private static final double RUNS = 1e-3 / 60;

  /** It has stopped when less than this runs (share of before). */
  private static final double STOPPED = 0.05;

  /** A first turn is made within so long (s); own choice. */
  public static final double IN_TIME = 30;

  public Emergency {
    right = List.copyOf(right);
  }

  /** Lets a line come off; nothing where little runs out, or no one turn stops it. */
  static Optional<Emergency> of(Rig rig, State from, String line) {
    Optional<FaultyRig> off = FaultyRig.of(rig, new Fault(line, FaultKind.DETACHED));
    if (off.isEmpty()) {
      return Optional.empty();
    }
    Hydraulics hydraulics = Hydraulics.of(Network.of(off.get().rig()));
    double before = out(hydraulics, off.get(), from);
    if (!(before > RUNS)) {
      return Optional.empty();
    }
    List<Turn> right = new ArrayList<>();
    for (Part part : rig.handles().toList()) {
      for (Position position : part.kind().positions()) {
        boolean turned = !from.setting().has(part.id(), position.id());
        if (turned && stops(hydraulics, off.get(), from, part, position, before)) {
          right.add(new Turn(part.id(), position.id()));
        }
      }
    }
    return right.isEmpty()
        ? Optional.empty()
        : Optional.of(new Emergency(from, line, before, right));
  }

  private static boolean stops(
      Hydraulics hydraulics,
      FaultyRig off,
      State from,
      Part part,
      Position position,
      double before) {
    // What drains by itself once more is opened is no way to stop it: all ends are looked at.
    double after = out(hydraulics, off, from.with(part.id(), position.id()));
    return after < STOPPED * before;
  }

  /** What runs out where the line is off (m³/s); more than any where that cannot be told. */
  private static double out(Hydraulics hydraulics, FaultyRig off, State noted) {
    try {
      Flows flows = hydraulics.solve(off.state(noted));
      return off.outlets().stream().mapToDouble(flows::end).sum();
    } catch (UnsettledFlowException e) {
      return Double.NaN;
    }
  }

  /** Tells whether a turn stops it. */
  public boolean isRight(Turn turn) {
    return right.contains(turn);
  }
}
