package fernwort.core.jobs.plan;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.run.Simulation;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.Source;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a tank gains or loses while it is used and filled at once, and how long that lasts. */
final class NetUse {

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

  private Optional<Message> said(Simulation used, PartId tank, Map.Entry<PartId, PositionId> tap) {
    used.set(tap.getKey(), tap.getValue());
    double net = used.moment().gains().getOrDefault(tank, 0.0);
    double drawn = used.moment().flows().fixture(tap.getKey());
    if (drawn < Flows.TRICKLE) {
      return Optional.empty();
    }
    Message balance =
        Says.WHILE_RUNS_NET_COME_IN_AND_GO.with(
            label(tap.getKey()),
            label(tank),
            net < 0 ? "loses" : "gains",
            Amount.flow(Math.abs(net)),
            Amount.flow(drawn + net),
            Amount.flow(drawn));
    return Optional.of(
        net < 0 ? Says.IT_LASTS.with(balance, Amount.time(left(used, tank) / -net)) : balance);
  }

  /** What can still be drawn from a tank (m³). */
  private double left(Simulation used, PartId tank) {
    State state = used.moment().state();
    double stranded = network.figures(network.rig().part(tank), state.slope()).stranded();
    return Math.max(0, state.volume(tank) - stranded);
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
