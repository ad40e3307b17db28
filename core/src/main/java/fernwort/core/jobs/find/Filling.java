package fernwort.core.jobs.find;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Floats;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.say.Message;
import fernwort.core.ways.HandleDistance.Pumped;
import fernwort.core.ways.OneSetting;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What finders of fills share: how water is let in, and which tanks fill one from the next. */
abstract class Filling extends Finder {

  Filling(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  final List<Part> fillers() {
    return parts(p -> p.kind().is(Purpose.POURED_INTO));
  }

  /**
   * Returns the tanks that water from a first one comes to, one after another, and by no other way;
   * only the first where there are none, nothing where water does not come to that.
   *
   * @param inlet lets water into the first
   * @param others let water into tanks in the same manner
   */
  final List<Part> row(Part inlet, Part first, List<Part> others, Pumped pumped) {
    if (!joins(inlet.id(), first.id(), pumped)) {
      return List.of();
    }
    List<Part> row = new ArrayList<>(List.of(first));
    Optional<Part> next = next(first, row, others, pumped);
    while (next.isPresent()) {
      row.add(next.get());
      next = next(next.get(), row, others, pumped);
    }
    return row;
  }

  /** The one that it runs over into stands before others that a handle could join with it. */
  private Optional<Part> next(Part full, List<Part> but, List<Part> inlets, Pumped pumped) {
    return filled.stream()
        .filter(t -> !but.contains(t) && holdsTheSame(t, full))
        .filter(t -> inlets.stream().noneMatch(i -> joins(i.id(), t.id(), pumped)))
        .filter(t -> joins(full.id(), t.id(), Pumped.NO) && OneSetting.joins(network, full, t))
        .min(
            Comparator.comparing((Part t) -> !isJoinedAtRest(full, t))
                .thenComparingInt(t -> turns.from(full.id(), rest).to(t.id(), Pumped.NO))
                .thenComparing(Part::id));
  }

  final boolean isJoinedAtRest(Part near, Part far) {
    return Connections.of(network, rest).route(near.id(), p -> false, far::equals).isPresent();
  }

  /**
   * Something low that a pump draws from.
   *
   * @param part where the water is, or its hose
   * @param giving the position in which it gives water
   * @param fit whether it is fit to drink
   */
  record Low(Part part, Source source, Position giving, boolean fit, String by) {

    /** Returns when no more comes, or a tank is full of it. */
    Until until(Until.What full, Part tank) {
      return source.kind() == Source.Kind.JUG
          ? new Until(Until.What.POURED_OUT, part.id())
          : new Until(full, tank.id());
    }
  }

  /** Returns low supplies outside, and the jugs, bladders and barrels that a pump can draw from. */
  final List<Low> lows() {
    List<Low> lows = new ArrayList<>();
    for (Part inlet : inlets) {
      lows.add(
          new Low(
              inlet,
              new Source(Source.Kind.OUTSIDE, inlet.id()),
              HoseInlet.OUTSIDE,
              ((HoseInlet) inlet.kind()).drinksOutside(),
              Says.BY_PUMP_FROM_A_LOW_SUPPLY_AT.filled(inlet.label())));
    }
    for (Part jug : jugs) {
      lows.add(
          new Low(
              jug,
              new Source(Source.Kind.JUG, jug.id()),
              PortableContainer.POURING,
              ((PortableContainer) jug.kind()).drinkable(),
              Says.BY_PUMP_FROM.filled(jug.label())));
    }
    return lows;
  }

  /** What a tank wants that a pump fills from something low. */
  final Goal lifted(Part tank, Low low) {
    Goal goal =
        Goal.of(
                Map.of(low.part().id(), low.giving().id()),
                List.of(Need.of(low.source(), into(tank), PUMPED)))
            .and(
                new Condition.Breathes(tank.id()),
                new Condition.Tight(tank.id()),
                new Condition.Relieved(tank.id(), low.part().id()));
    return spoils(tank, low.fit()) ? goal.accepting(Warning.Code.UNSAFE_WATER) : goal;
  }

  /** Pumps off, and what was drawn from as it rests. */
  final Stage lowered(Low low) {
    Map<PartId, PositionId> after = new LinkedHashMap<>(pumpsOff());
    after.put(low.part().id(), low.part().rest().id());
    return Stage.of(Goal.of(after));
  }

  /** What a tank wants that a jug is poured into. */
  static Goal jugged(Part tank, Part jug) {
    Need need = Need.of(new Source(Source.Kind.JUG, jug.id()), into(tank), FALLING);
    Goal goal =
        Goal.of(Map.of(jug.id(), PortableContainer.POURING.id()), List.of(need))
            .and(new Condition.Breathes(tank.id()), new Condition.Tight(tank.id()));
    boolean fit = ((PortableContainer) jug.kind()).drinkable();
    return spoils(tank, fit) ? goal.accepting(Warning.Code.UNSAFE_WATER) : goal;
  }

  /** The jug put away, the neck shut. */
  final Stage putAway(Part jug) {
    Map<PartId, PositionId> after = new LinkedHashMap<>();
    after.put(jug.id(), jug.rest().id());
    after.putAll(allTo(GravityFiller.SHUT.id(), p -> p.kind().is(Purpose.POURED_INTO)));
    return Stage.of(Goal.of(after));
  }

  /** Tells whether water that is not fit to drink comes into a tank that is drunk from. */
  static boolean spoils(Part tank, boolean fit) {
    return !fit && ((Tank) tank.kind()).contents() == Contents.FRESH;
  }

  /** Returns what to mind with others when water that may not be fit to drink is let in. */
  static Caution[] minding(Part tank, boolean fit, Caution... others) {
    return Stream.concat(
            Stream.of(others), spoils(tank, fit) ? Stream.of(Caution.UNSAFE_SOURCE) : Stream.of())
        .toArray(Caution[]::new);
  }

  /** Adds a job that fills by a hose from a tap: at its end the hose comes off. */
  final void fromTap(
      Part inlet, Job.Kind kind, String id, Message title, String by, List<Stage> filling) {
    List<Stage> stages = new ArrayList<>(filling);
    stages.addAll(hoseOff(inlet));
    add(kind, id, title, by, stages, Caution.STAY);
  }

  final Stage filling(Part tank, Part inlet) {
    Goal goal = plainly(tank, inlet);
    List<TankPort> floats = Floats.of(tank);
    if (floats.size() > 1) {
      goal = goal.and(new Condition.GoesOn(fromMains(tank, inlet), floats.getLast().id()));
    }
    return Stage.of(goal, new Until(Until.What.FULL, tank.id()));
  }

  static Goal plainly(Part tank, Part inlet) {
    return Goal.of(Map.of(inlet.id(), HoseInlet.MAINS.id()), List.of(fromMains(tank, inlet)))
        .and(fillable(tank.id(), inlet.id()))
        .accepting(Warning.Code.FILLING_UNWATCHED);
  }

  static Need fromMains(Part tank, Part inlet) {
    return Need.of(new Source(Source.Kind.MAINS, inlet.id()), into(tank), MAINS);
  }

  /** The tap outside is shut, the pressure let off, and only then the hose taken off. */
  private static List<Stage> hoseOff(Part inlet) {
    return List.of(
        Stage.of(
            Goal.of(Map.of(inlet.id(), HoseInlet.HOSE.id())).and(new Condition.Quiet(inlet.id())),
            new Until(Until.What.SLACK, inlet.id())),
        Stage.of(
            Goal.of(Map.of(inlet.id(), HoseInlet.CAPPED.id()))
                .and(new Condition.Quiet(inlet.id()))));
  }

  static Goal poured(List<Part> tanks, Part filler) {
    Goal goal = Goal.of(Map.of(filler.id(), GravityFiller.OPEN.id()));
    for (Part tank : tanks) {
      goal =
          goal.and(
              new Condition.Joined(filler.id(), tank.id()),
              new Condition.Breathes(tank.id()),
              new Condition.Tight(tank.id()));
    }
    return goal;
  }

  static List<Stage> pouring(List<Part> tanks, Part filler) {
    return pouring(poured(tanks, filler), tanks.getFirst(), filler);
  }

  /** Hose in, fill, hose out, cap on. */
  static List<Stage> pouring(Goal goal, Part tank, Part filler) {
    return List.of(
        Stage.of(goal, new Until(Until.What.HOSE_IN, filler.id())),
        Stage.of(goal, new Until(Until.What.POURED_FULL, tank.id())),
        Stage.of(goal, new Until(Until.What.HOSE_OUT, filler.id())),
        capped(filler));
  }

  static Stage capped(Part filler) {
    return Stage.of(Goal.of(Map.of(filler.id(), GravityFiller.SHUT.id())));
  }
}
