package fernwort.core.jobs.plan;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.network.DrawDown;
import fernwort.core.network.Network;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.Source;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a tank gains or loses while it is used and filled at once, and how long that lasts. */
final class NetUse {

  /** So long a float takes to find its level at most (s); own choice. */
  private static final double SETTLING = 240;

  /** For so long what comes and goes is watched (s); own choice. */
  private static final double WATCHED = 240;

  /** A tank that gains or loses less than this share of what is drawn stays; own choice. */
  private static final double STEADY = 0.02;

  private final Network network;
  private final Job job;

  NetUse(Network network, Job job) {
    this.network = network;
    this.job = job;
  }

  /**
   * Says it for the first tap that a job names, which stands open then; empty where the job does
   * not use and fill a tank at once, or nothing runs.
   *
   * @param run as things are once the job is set up; it stays as it is
   */
  Optional<Message> said(Simulation run) {
    Map<PartId, PositionId> taps = job.taps();
    return taps.isEmpty()
        ? Optional.empty()
        : tank().flatMap(t -> said(run.copy(), t, taps.entrySet().iterator().next()));
  }

  /** By its run, not by its first moment: a float that is shut just then opens soon. */
  private Optional<Message> said(Simulation used, PartId tank, Map.Entry<PartId, PositionId> tap) {
    used.set(tap.getKey(), tap.getValue());
    if (used.moment().flows().fixture(tap.getKey()) < Flows.TRICKLE) {
      return Optional.empty();
    }
    double began = used.time();
    used.runTo(began + SETTLING);
    double from = used.time();
    double before = used.moment().state().volume(tank);
    Optional<Double> dry = used.runUntil(Event.Kind.DRY, tank, from + WATCHED);
    double net = (used.moment().state().volume(tank) - before) / Math.max(1, used.time() - from);
    double drawn = used.moment().flows().fixture(tap.getKey());
    double left = dry.isPresent() || net >= 0 ? 0 : left(used, tank) / -net;
    Message balance =
        Math.abs(net) < STEADY * drawn
            ? Says.WHILE_RUNS_STAYS.with(
                label(tap.getKey()),
                label(tank),
                Amount.volume(used.moment().state().volume(tank)),
                Amount.flow(drawn))
            : Says.WHILE_RUNS_NET_COME_IN_AND_GO.with(
                label(tap.getKey()),
                label(tank),
                net < 0 ? "loses" : "gains",
                Amount.flow(Math.abs(net)),
                Amount.flow(Math.max(0, drawn + net)),
                Amount.flow(drawn));
    boolean ends = net < -STEADY * drawn;
    return Optional.of(
        ends ? Says.IT_LASTS.with(balance, Amount.time(used.time() - began + left)) : balance);
  }

  /** What can still be drawn from a tank (m³). */
  private double left(Simulation used, PartId tank) {
    return DrawDown.drawable(network, used.moment().state(), tank);
  }

  /** The tank that the job draws from and lets the mains fill at once, if it does. */
  private Optional<PartId> tank() {
    List<Need> needs = job.stages().stream().flatMap(s -> s.goal().needs().stream()).toList();
    return needs.stream()
        .filter(n -> n.source().kind() == Source.Kind.TANK)
        .map(n -> n.source().part())
        .filter(t -> job.kind().is(Job.Is.RUNS_TAPS))
        .filter(t -> needs.stream().anyMatch(n -> n.end().part().equals(t)))
        .findFirst();
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }
}
