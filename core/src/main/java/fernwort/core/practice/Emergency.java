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
import java.util.stream.Stream;

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
    Optional<Loss> before = Loss.of(hydraulics, off.get(), from);
    if (before.filter(l -> l.broken() > RUNS).isEmpty()) {
      return Optional.empty();
    }
    List<Turn> right = new ArrayList<>();
    for (Part part : rig.handles().toList()) {
      for (Position position : part.kind().positions()) {
        State turned = from.with(part.id(), position.id());
        boolean stops =
            !from.setting().has(part.id(), position.id())
                && Loss.of(hydraulics, off.get(), turned)
                    .filter(l -> l.isStopped(before.get()))
                    .isPresent();
        if (stops) {
          right.add(new Turn(part.id(), position.id()));
        }
      }
    }
    return right.isEmpty()
        ? Optional.empty()
        : Optional.of(new Emergency(from, line, before.get().broken(), right));
  }

  /**
   * What water is lost.
   *
   * @param broken where the line is off (m³/s)
   * @param elsewhere at all other ends and taps (m³/s)
   */
  private record Loss(double broken, double elsewhere) {

    /** Returns it; nothing where the flow cannot be told. */
    static Optional<Loss> of(Hydraulics hydraulics, FaultyRig off, State noted) {
      try {
        Flows flows = hydraulics.solve(off.state(noted));
        double broken = off.outlets().stream().mapToDouble(flows::end).sum();
        double all =
            Stream.of(flows.ends(), flows.fixtures())
                .flatMap(m -> m.values().stream())
                .mapToDouble(q -> Math.max(0, q))
                .sum();
        return Optional.of(new Loss(broken, all - broken));
      } catch (UnsettledFlowException e) {
        return Optional.empty();
      }
    }

    /** What only lets the water out somewhere else does not stop it. */
    boolean isStopped(Loss before) {
      return broken < STOPPED * before.broken && elsewhere < before.elsewhere + RUNS;
    }
  }

  /** Tells whether a turn stops it. */
  public boolean isRight(Turn turn) {
    return right.contains(turn);
  }
}
