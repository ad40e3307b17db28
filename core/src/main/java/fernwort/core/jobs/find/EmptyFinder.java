package fernwort.core.jobs.find;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Dumps;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.HandleDistance.Pumped;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Finds the ways to empty gray tanks and to shed fresh water. */
final class EmptyFinder extends Finder {

  /** Drains that are offered for each tank. */
  private static final int MOST_DRAINS = 2;

  /** A can that somebody carries holds no more than this (m³); own choice, 25 kg. */
  private static final double CARRIED = 0.025;

  /** Water is carried for others in tanks of this size and more (m³); own choice. */
  private static final double HAULED = 0.3;

  EmptyFinder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  @Override
  void find() {
    empty();
  }

  private static boolean hasDrain(Part tank) {
    return ((Tank) tank.kind()).tankPorts().stream().anyMatch(p -> p.use() == TankPort.Use.DRAIN);
  }

  private void empty() {
    List<Part> dumps = Dumps.of(network).ends();
    List<Part> grays = rig.tanks(Contents.GRAY).toList();
    for (Part gray : grays) {
      int before = found();
      dumps.forEach(d -> emptyGray(List.of(gray), d, "empty-" + gray.id() + "-" + d.id()));
      if (found() == before && isCan(gray)) {
        carryOut(gray);
      }
      if (found() == before) {
        missing(
            "Dump " + gray.label(),
            hasDrain(gray)
                ? Says.IT_NEEDS_A_DRAIN_VALVE.filled(gray.label())
                : Says.HAS_NO_DRAIN_FIT_A_DRAIN.filled(gray.label()));
      }
    }
    if (grays.size() > 1) {
      dumps.forEach(d -> {
        List<Part> all = grays.stream().filter(g -> joins(g.id(), d.id(), Pumped.EITHER)).toList();
        if (all.size() > 1) {
          emptyGray(all, d, "empty-all-" + d.id());
        }
      });
    }
    filled.forEach(this::shed);
  }

  /** Tells whether a tank is a can under the sink: small, and without a drain. */
  private boolean isCan(Part gray) {
    return !hasDrain(gray) && network.room(gray.id()).capacity() <= CARRIED;
  }

  /** A can is unhooked, carried out, tipped out and put back. */
  private void carryOut(Part can) {
    add(
        Job.Kind.EMPTY_GRAY,
        "empty-" + can.id() + "-carried",
        "Empty " + can.label(),
        Says.CARRIED_OUT.text(),
        List.of(Stage.of(Goal.of(Map.of()), new Until(Until.What.CARRIED_OUT, can.id()))),
        Caution.SEWAGE,
        Caution.LOCAL_RULES);
  }

  /**
   * Empties gray tanks by one outlet, one after another: hose on, valve open, valve shut, cap on.
   */
  private void emptyGray(List<Part> grays, Part dump, String id) {
    for (Set<DrivenBy.Kind> drives : List.of(FALLING, PUMPED)) {
      Pumped pumped = drives == PUMPED ? Pumped.YES : Pumped.NO;
      if (!grays.stream().allMatch(g -> joins(g.id(), dump.id(), pumped))) {
        continue;
      }
      List<Stage> stages = new ArrayList<>();
      for (Part gray : grays) {
        stages.add(
            Stage.of(
                Goal.of(
                        Map.of(dump.id(), OpenEnd.HOSE.id()),
                        List.of(Need.of(tank(gray), new End(End.Kind.DUMP, dump.id()), drives)))
                    .and(new Condition.Breathes(gray.id())),
                new Until(Until.What.DRY, gray.id())));
        Map<PartId, PositionId> off = stopped(dump, drives);
        if (off.size() > 1) {
          stages.add(Stage.of(Goal.of(off).and(new Condition.Quiet(gray.id()))));
        }
        stages.add(Stage.ifPossible(held(gray, dump, off)));
      }
      Goal capped = Goal.of(Map.of(dump.id(), OpenEnd.CAPPED.id()));
      for (Part gray : grays) {
        capped = capped.and(new Condition.Quiet(gray.id()));
      }
      stages.add(Stage.of(capped));
      add(
          Job.Kind.EMPTY_GRAY,
          id + (drives == PUMPED ? "-pump" : ""),
          grays.size() > 1 ? Says.DUMP_ALL_GRAY_TANKS.text() : "Dump " + grays.getFirst().label(),
          drives == PUMPED
              ? Says.BY_PUMP_OUT_OF.filled(dump.label())
              : Says.BY_GRAVITY_OUT_OF.filled(dump.label()),
          stages,
          Caution.SEWAGE,
          Caution.LOCAL_RULES);
    }
  }

  /** The hose still on, whatever pumps the gray water out off. */
  private Map<PartId, PositionId> stopped(Part dump, Set<DrivenBy.Kind> drives) {
    Map<PartId, PositionId> off = new LinkedHashMap<>();
    off.put(dump.id(), OpenEnd.HOSE.id());
    if (drives == PUMPED) {
      off.putAll(allTo(Position.OFF.id(), p -> p.kind().is(Purpose.CUTS)));
    }
    return off;
  }

  private static Goal held(Part gray, Part dump, Map<PartId, PositionId> off) {
    return Goal.of(off)
        .and(new Condition.Quiet(gray.id()), new Condition.Parted(gray.id(), dump.id()));
  }

  private void shed(Part tank) {
    Stream<Part> drains =
        rig.parts().stream()
            .filter(p -> isDrain(p) && p.height() < top(tank))
            .filter(p -> joins(tank.id(), p.id(), Pumped.NO))
            .sorted(
                Comparator.comparingInt(p -> turns.from(tank.id(), rest).to(p.id(), Pumped.NO)));
    List<Part> nearest = drains.limit(MOST_DRAINS).toList();
    nearest.forEach(drain -> shed(tank, drain));
    int drained = found();
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.OUTSIDE))
        .forEach(point -> deliver(tank, point));
    if (nearest.isEmpty() && found() == drained) {
      missing("Drain " + tank.label(), Says.IT_NEEDS_A_DRAIN_THAT_LIES_LOWER.filled(tank.label()));
    }
  }

  /** Lets a tank out by a hose point into somebody else's tank: by gravity, else by its pump. */
  private void deliver(Part tank, Part point) {
    boolean falls = point.height() < top(tank) && joins(tank.id(), point.id(), Pumped.NO);
    boolean large = network.room(tank.id()).capacity() >= HAULED;
    boolean pumped =
        large && point.height() > tank.height() && joins(tank.id(), point.id(), Pumped.YES);
    if (falls) {
      deliver(tank, point, FALLING, "");
    }
    if (pumped) {
      deliver(tank, point, PUMPED, "-pump");
    }
  }

  private void deliver(Part tank, Part point, Set<DrivenBy.Kind> drives, String suffix) {
    Need need = Need.of(tank(tank), new End(End.Kind.FIXTURE, point.id()), drives);
    Goal goal =
        Goal.of(Map.of(point.id(), ((Tap) point.kind()).cold().id()), List.of(need))
            .and(new Condition.Breathes(tank.id()));
    Map<PartId, PositionId> shut = new LinkedHashMap<>(pumpsOff());
    shut.put(point.id(), Tap.SHUT.id());
    add(
        Job.Kind.DELIVER,
        "deliver-" + tank.id() + "-" + point.id() + suffix,
        Says.DELIVER_WATER_FROM.filled(tank.label()),
        (drives == PUMPED
                ? Says.BY_PUMP_OUT_OF_INSIDE.text()
                : Says.BY_GRAVITY_OUT_OF_INSIDE.text())
            + point.label(),
        List.of(Stage.of(goal, new Until(Until.What.DRY, tank.id())), Stage.of(Goal.of(shut))),
        Caution.DRINKING_HOSE,
        Caution.STAY);
  }

  private double top(Part tank) {
    return tank.height() + network.room(tank.id()).highest(Slope.LEVEL);
  }

  private static boolean isDrain(Part part) {
    return part.kind().is(Purpose.CAP) || part.kind().is(Purpose.DRAINS);
  }

  private void shed(Part tank, Part drain) {
    Need need = Need.of(tank(tank), new End(End.Kind.GROUND, drain.id()), FALLING);
    boolean capped = drain.hasHandle();
    Goal goal =
        Goal.of(capped ? Map.of(drain.id(), open(drain).id()) : Map.of(), List.of(need))
            .and(new Condition.Breathes(tank.id()))
            .accepting(Warning.Code.OPEN_TO_GROUND);
    Map<PartId, PositionId> shut = new LinkedHashMap<>(tailShut(drain));
    if (capped) {
      shut.put(drain.id(), drain.rest().id());
    }
    add(
        Job.Kind.SHED,
        "shed-" + tank.id() + "-" + drain.id(),
        "Drain " + tank.label(),
        "at " + drain.label(),
        List.of(
            Stage.of(goal, new Until(Until.What.DRY, tank.id())),
            Stage.of(Goal.of(shut).and(new Condition.Quiet(tank.id())))),
        Caution.LOCAL_RULES,
        Caution.UNDER_VEHICLE);
  }

  private static Position open(Part drain) {
    return drain.kind().is(Purpose.INLET) ? HoseInlet.OPEN : Plug.OUT;
  }

  /** The valve that stands next to a drain's tail, shut; nothing where none does. */
  private Map<PartId, PositionId> tailShut(Part drain) {
    Line line = rig.linesByPort().get(drain.port(PortId.IN));
    if (line == null) {
      return Map.of();
    }
    Part next = rig.part(line.other(drain.port(PortId.IN)).part());
    return next.kind() instanceof Valve valve
        ? valve.shut().map(s -> Map.of(next.id(), s.id())).orElse(Map.of())
        : Map.of();
  }
}
