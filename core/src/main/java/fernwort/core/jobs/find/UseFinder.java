package fernwort.core.jobs.find;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.HandleDistance.Pumped;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds rinsing outside, heating and sending round. */
final class UseFinder extends Finder {

  UseFinder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  @Override
  void find() {
    rinses();
    hot();
  }

  private void rinses() {
    List<Part> points = parts(p -> p.kind().is(Purpose.OUTSIDE));
    if (points.isEmpty()) {
      missing(Says.USE_AN_OUTSIDE_SHOWER.text(), Says.IT_NEEDS_AN_OUTSIDE_SHOWER.text());
    }
    for (Part point : points) {
      List<Part> tap = List.of(point);
      for (Part inlet : inlets) {
        if (hasMains(inlet) && joins(inlet.id(), point.id(), Pumped.NO)) {
          Source source = new Source(Source.Kind.MAINS, inlet.id());
          rinse(
              point,
              inlet,
              "",
              Says.FROM_MAINS_WATER_INSIDE.text(),
              Goal.of(
                      Map.of(inlet.id(), HoseInlet.MAINS.id()),
                      needs(source, tap, MAINS),
                      opened(tap))
                  .and(new Condition.PumpsOff(inlet.id())));
        }
      }
      for (Part tank : filled) {
        boolean pumped = joins(tank.id(), point.id(), Pumped.YES);
        boolean falls = joins(tank.id(), point.id(), Pumped.NO);
        String from = "from " + tank.label();
        if (pumped) {
          rinse(point, tank, "", from, rinsing(tank, tap, PUMPED));
        }
        if (falls) {
          String suffix = pumped ? "-fall" : "";
          String by = from + (pumped ? Says.BY_GRAVITY_INSIDE.text() : "");
          rinse(point, tank, suffix, by, rinsing(tank, tap, FALLING));
        }
      }
    }
  }

  private static Goal rinsing(Part tank, List<Part> tap, Set<DrivenBy.Kind> drives) {
    return Goal.of(Map.of(), needs(tank(tank), tap, drives), opened(tap))
        .and(new Condition.Breathes(tank.id()));
  }

  private void rinse(Part point, Part source, String suffix, String by, Goal goal) {
    add(
        Job.Kind.RINSE,
        "rinse-" + point.id() + "-" + source.id() + suffix,
        Says.USE_THE_OUTSIDE_SHOWER_AT.filled(point.label()),
        by,
        List.of(Stage.of(goal, new Until(Until.What.RUNS, point.id()))),
        Caution.LOCAL_RULES);
  }

  private void hot() {
    List<Part> heaters = parts(p -> p.kind().is(Purpose.HEATS));
    if (heaters.isEmpty()) {
      missing(Says.HEAT_WATER.text(), Says.IT_NEEDS_A_HEATER_BETWEEN.text());
    }
    for (Part heater : heaters) {
      List<Source> sources = new ArrayList<>();
      fresh.forEach(t -> sources.add(tank(t)));
      inlets.stream()
          .filter(Finder::hasMains)
          .forEach(i -> sources.add(new Source(Source.Kind.MAINS, i.id())));
      sources.forEach(s -> heat(heater, s));
    }
    parts(p -> p.kind().is(Purpose.CIRCULATES)).forEach(this::recirculate);
  }

  private void heat(Part heater, Source source) {
    boolean mains = source.kind() == Source.Kind.MAINS;
    Pumped pumped = mains ? Pumped.NO : Pumped.EITHER;
    Optional<Part> tap =
        joins(source.part(), heater.id(), pumped) ? mixer(heater) : Optional.empty();
    tap.ifPresent(t -> {
      Need need =
          new Need(
              source,
              new End(End.Kind.FIXTURE, t.id()),
              mains ? MAINS : joins(source.part(), t.id(), Pumped.YES) ? PUMPED : FALLING,
              Optional.of(heater.id()));
      Map<PartId, PositionId> first = new LinkedHashMap<>();
      first.put(heater.id(), Position.OFF.id());
      Map<PartId, PositionId> then = new LinkedHashMap<>();
      // A tap that runs meanwhile cools it, and empties its tank.
      then.putAll(shutTaps());

      then.put(heater.id(), Kind.ON);
      if (mains) {
        first.put(source.part(), HoseInlet.MAINS.id());
        then.put(source.part(), HoseInlet.MAINS.id());
      }
      Map<PartId, PositionId> probe = Map.of(t.id(), Tap.HOT.id());
      // A tank that the pump draws from without air is strained while one turns on.
      List<Condition> breathes = mains ? List.of() : List.of(new Condition.Breathes(source.part()));
      add(
          Job.Kind.HEAT,
          "heat-" + heater.id() + "-" + source.part(),
          Says.HEAT_WATER_IN.filled(heater.label()),
          "from " + (mains ? Says.MAINS_WATER.text() : rig.part(source.part()).label()),
          List.of(
              Stage.of(
                  Goal.of(first, List.of(need), probe).and(breathes),
                  new Until(Until.What.RUNS, t.id())),
              Stage.of(
                  Goal.of(then, List.of(need), probe).and(breathes),
                  new Until(Until.What.HOT, heater.id()))),
          Caution.HEATER,
          Caution.SCALDING);
    });
  }

  /** A tap that mixes in what comes from a heater. */
  private Optional<Part> mixer(Part heater) {
    return rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.USE) && p.kind().ports().contains(PortId.HOT))
        .filter(p -> joins(heater.id(), p.id(), Pumped.NO))
        .findFirst();
  }

  private Map<PartId, PositionId> shutTaps() {
    return allTo(Tap.SHUT.id(), p -> p.kind().is(Purpose.USE));
  }

  private void recirculate(Part pump) {
    Optional<Part> heater =
        parts(p -> p.kind().is(Purpose.HEATS)).stream()
            .filter(h -> joins(pump.id(), h.id(), Pumped.EITHER))
            .filter(h -> joins(h.id(), pump.id(), Pumped.EITHER))
            .findFirst();
    Optional<Part> tap = heater.flatMap(this::mixer);
    Goal goal =
        Goal.of(
            Map.of(pump.id(), Kind.ON),
            List.of(),
            tap.map(t -> Map.of(t.id(), Tap.HOT.id())).orElse(Map.of()));
    add(
        Job.Kind.RECIRCULATE,
        "round-" + pump.id(),
        Says.CIRCULATE_HOT_WATER_WITH.filled(pump.label()),
        "",
        List.of(
            Stage.of(
                goal.and(
                    new Condition.GoesRound(pump.id(), heater.map(Part::id), tap.map(Part::id))))),
        Caution.SCALDING);
  }
}
