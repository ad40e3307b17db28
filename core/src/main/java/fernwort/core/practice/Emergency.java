package fernwort.core.practice;

import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultyRig;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.hydraulics.UnsettledFlowException;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Position;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Water runs where it should not: a hose has come off, a line leaks, a tank runs over as it is
 * filled. The one turn that stops it, against the clock.
 *
 * @param from how handles and levels are
 * @param mishap what has happened
 * @param on id of the line, or of the tank that runs over
 * @param flow how much runs out (m³/s)
 * @param right each single turn that stops it
 */
public record Emergency(State from, Mishap mishap, ElementId on, double flow, List<Turn> right)
    implements Exercise {

  /** Less is no emergency (m³/s): 1 L/min; own choice. */
  private static final double RUNS = 1e-3 / 60;

  /** A leak is one from here on (m³/s): 0.3 L/min; own choice. */
  private static final double LEAKS = 0.3e-3 / 60;

  /** It has stopped when less than this runs (share of before). */
  private static final double STOPPED = 0.05;

  /** A tank that runs over is watched for so long (s); own choice. */
  private static final double WATCHED = 30;

  /** A first turn is made within so long (s); own choice. */
  public static final double IN_TIME = 30;

  /** What can happen. */
  public enum Mishap {
    COMES_OFF,
    LEAKS,
    RUNS_OVER
  }

  public Emergency {
    right = List.copyOf(right);
  }

  /**
   * Lets a line come off, or leak; nothing where little runs out, or no one turn stops it.
   *
   * @param mishap what happens to it
   */
  static Optional<Emergency> of(Rig rig, State from, Mishap mishap, LineId line) {
    boolean leaks = mishap == Mishap.LEAKS;
    Optional<FaultyRig> broken =
        FaultyRig.of(rig, new Fault(line, leaks ? FaultKind.LEAKING : FaultKind.DETACHED));
    if (broken.isEmpty()) {
      return Optional.empty();
    }
    FaultyRig off = broken.get();
    Hydraulics hydraulics = Hydraulics.of(Network.of(off.rig()));
    return Loss.of(hydraulics, off, from)
        .filter(l -> l.broken() > (leaks ? LEAKS : RUNS))
        .flatMap(before ->
            stopped(
                    rig,
                    from,
                    turned ->
                        Loss.of(hydraulics, off, turned).filter(l -> l.isStopped(before, RUNS)))
                .map(right -> new Emergency(from, mishap, line, before.broken(), right)));
  }

  /** Lets a tank be full while it is filled; nothing where none runs over, or no turn stops it. */
  static Optional<Emergency> over(
      Network network, Hydraulics hydraulics, State filling, PartId tank) {
    State full = filling.withVolume(tank, network.room(tank).capacity());
    Set<PartId> ends = new HashSet<>();
    Optional<Loss> before = Loss.of(network, hydraulics, full, ends);
    return before
        .filter(l -> l.broken() > RUNS * WATCHED)
        .flatMap(b ->
            stopped(
                    network.rig(),
                    full,
                    turned ->
                        Loss.of(network, hydraulics, turned, ends)
                            .filter(l -> l.isStopped(b, RUNS * WATCHED)))
                .map(right ->
                    new Emergency(full, Mishap.RUNS_OVER, tank, b.broken() / WATCHED, right)));
  }

  /** The single turns after which it has stopped; nothing where there are none. */
  private static Optional<List<Turn>> stopped(
      Rig rig, State from, Function<State, Optional<Loss>> after) {
    List<Turn> right = new ArrayList<>();
    for (Part part : rig.handles().toList()) {
      for (Position position : part.kind().positions()) {
        if (!from.setting().has(part.id(), position.id())
            && after.apply(from.with(part.id(), position.id())).isPresent()) {
          right.add(new Turn(part.id(), position.id()));
        }
      }
    }
    return right.isEmpty() ? Optional.empty() : Optional.of(right);
  }

  /**
   * What water is lost: as it flows now (m³/s), or in the time that it is watched (m³).
   *
   * @param broken where it should not run (m³/s, or m³)
   * @param spilt at all other ends (m³/s, or m³)
   * @param drawn at taps (m³/s, or m³)
   */
  private record Loss(double broken, double spilt, double drawn) {

    /** Returns it; nothing where the flow cannot be told. */
    static Optional<Loss> of(Hydraulics hydraulics, FaultyRig off, State noted) {
      try {
        Flows flows = hydraulics.solve(off.state(noted));
        double broken = off.outlets().stream().mapToDouble(flows::end).sum();
        return Optional.of(new Loss(broken, sum(flows.ends()) - broken, sum(flows.fixtures())));
      } catch (UnsettledFlowException e) {
        return Optional.empty();
      }
    }

    /**
     * Returns what runs out in the time that it is watched; nothing where it cannot be told.
     *
     * @param ends where it runs over; filled in where it is empty
     */
    static Optional<Loss> of(
        Network network, Hydraulics hydraulics, State state, Set<PartId> ends) {
      try {
        Simulation run = Simulation.start(network, hydraulics, state, Conditions.ORDINARY);
        run.runTo(WATCHED);
        Map<PartId, Double> out = run.moment().totals().out();
        if (ends.isEmpty()) {
          ends.addAll(out.keySet());
        }
        double broken = ends.stream().mapToDouble(e -> out.getOrDefault(e, 0.0)).sum();
        return Optional.of(new Loss(broken, sum(out) - broken, sum(run.moment().totals().drawn())));
      } catch (UnsettledFlowException e) {
        return Optional.empty();
      }
    }

    private static double sum(Map<PartId, Double> through) {
      return through.values().stream().mapToDouble(q -> Math.max(0, q)).sum();
    }

    /**
     * What only lets the water out somewhere else does not stop it, nor does what takes it from a
     * tap to the ground.
     */
    boolean isStopped(Loss before, double more) {
      return broken < STOPPED * before.broken
          && spilt < before.spilt + more
          && drawn < before.drawn + more;
    }
  }

  /** Tells whether a turn stops it. */
  public boolean isRight(Turn turn) {
    return right.contains(turn);
  }
}
