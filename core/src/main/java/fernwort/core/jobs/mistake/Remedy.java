package fernwort.core.jobs.mistake;

import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
import fernwort.core.ways.HandleDistance;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A change of plumbing or habit that may make slips harmless, to be tried on a copy of the rig.
 *
 * @param id short name for addresses
 * @param words what to do, as a sentence
 * @param changed the rig with it done; the same for a habit
 */
public record Remedy(String id, String words, Rig changed) {

  private static final String LAST_LOOK = "last-look";

  /** Returns the changes that suit a rig. */
  public static List<Remedy> of(Network network) {
    Rig rig = network.rig();
    List<Remedy> remedies = new ArrayList<>();
    remedies.add(new Remedy(LAST_LOOK, Says.MAKE_IT_A_HABIT_TO_LOOK_ROUND.text(), rig));
    rig.tanks().forEach(tank -> floats(network, tank, remedies));
    raisedVents(rig, remedies);
    for (Part part : rig.parts()) {
      if (part.kind().is(Purpose.DRAINS)) {
        remedies.add(
            new Remedy(
                "cap-" + part.id(),
                Says.PUT_A_CAP.filled(part.label()),
                RigEdit.of(rig).change(part.id(), p -> p.with(new Plug(true)))));
      }
    }
    return remedies;
  }

  /** A float valve at a fill that the mains can come to. */
  private static void floats(Network network, Part tank, List<Remedy> remedies) {
    Tank kind = (Tank) tank.kind();
    HandleDistance turns = HandleDistance.full(network);
    boolean fromMains =
        network.sources().stream()
            .filter(s -> s.kind().is(Purpose.MAINS))
            .anyMatch(s ->
                turns.from(s.id(), network.rig().atRest()).to(tank.id(), HandleDistance.Pumped.NO)
                    < HandleDistance.NEVER);
    boolean hasFill = kind.tankPorts().stream().anyMatch(p -> p.use() == TankPort.Use.FILL);
    if (fromMains && hasFill) {
      List<TankPort> ports =
          kind.tankPorts().stream()
              .map(p ->
                  p.use() == TankPort.Use.FILL
                      ? new TankPort(p.id(), TankPort.Use.FLOAT, p.at())
                      : p)
              .toList();
      remedies.add(
          new Remedy(
              "float-" + tank.id(),
              Says.PUT_A_FLOAT_VALVE_AT_THE_FILL.filled(tank.label()),
              RigEdit.of(network.rig()).change(tank.id(), p -> p.with(kind.withPorts(ports)))));
    }
  }

  /** A raised loop that admits air, in place of the valves on the overflows. */
  private static void raisedVents(Rig rig, List<Remedy> remedies) {
    Map<PartId, PositionId> valves = Drive.travelValves(rig);
    if (!valves.isEmpty()) {
      Rig changed = Drive.withRaisedVents(rig);
      for (PartId valve : valves.keySet()) {
        changed = RigEdit.of(changed).remove(valve);
      }
      remedies.add(
          new Remedy(
              "raised-vents",
              Says.RAISE_THE_OVERFLOW_OVER_ITS_TANK.filled(
                  String.join(
                      " and ", valves.keySet().stream().map(v -> rig.part(v).label()).toList())),
              changed));
    }
  }

  /** Returns how things stand on the changed rig: as they did, new parts at rest. */
  public State state(State before) {
    Map<PartId, PositionId> positions = new TreeMap<>(changed.atRest().positions());
    before
        .setting()
        .positions()
        .forEach((part, position) -> {
          if (positions.containsKey(part)
              && changed.part(part).kind().positions().stream()
                  .anyMatch(p -> p.id().equals(position))) {
            positions.put(part, position);
          }
        });
    return new State(new Setting(positions), before.volumes(), before.slope());
  }

  /**
   * Returns what every single slip of a job leads to with this done, the worst first; empty when it
   * mends nothing: the job cannot be done any more, or its slips do as much harm as without.
   *
   * @param job id of the job
   * @param before how things stand
   * @param without the slips of the job without this
   */
  public Optional<List<Slip>> mending(String job, State before, List<Slip> without) {
    Network network = Network.of(changed);
    Plans plans = Plans.of(network);
    Slips slips = Slips.of(network, plans);
    State from = state(before);
    return Jobs.of(network)
        .byId(job)
        .filter(j -> plans.plan(j, from).trouble().isEmpty())
        .map(j -> (id.equals(LAST_LOOK) ? slips.withLastLook() : slips).of(j, from))
        .filter(with -> isLess(with, without));
  }

  /** Tells whether fewer slips are grave, or as many and fewer bad, and so on. */
  static boolean isLess(List<Slip> with, List<Slip> without) {
    for (Slip.Grade grade : Slip.Grade.values()) {
      long now = with.stream().filter(s -> s.grade() == grade).count();
      long then = without.stream().filter(s -> s.grade() == grade).count();
      if (now != then && grade != Slip.Grade.HARMLESS) {
        return now < then;
      }
    }
    return false;
  }
}
