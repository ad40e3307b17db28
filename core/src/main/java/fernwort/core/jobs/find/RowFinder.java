package fernwort.core.jobs.find;

import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.network.Connections;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.ways.HandleDistance;
import fernwort.core.ways.HandleDistance.Pumped;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds the ways to fill several tanks, at once or one from the next. */
final class RowFinder extends Filling {

  RowFinder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  @Override
  void find() {
    inlets.forEach(this::fillAll);
    inlets.forEach(this::fillThrough);
    fillers().forEach(this::fillTogether);
    fillers().forEach(this::pourThrough);
    jugs.forEach(this::jugThrough);
    lows().forEach(this::liftThrough);
  }

  /** Tanks that fill one from the next: by what runs over, or through the link that joins them. */
  private void fillThrough(Part inlet) {
    if (!hasMains(inlet)) {
      return;
    }
    for (Part first : filled) {
      List<Part> row = row(inlet, first, List.of(inlet), Pumped.NO);
      if (row.size() > 1) {
        boolean linked = linked(row);
        fromTap(
            inlet,
            Job.Kind.FILL_ALL,
            "fill-through-" + first.id() + "-" + inlet.id(),
            Message.words(through(linked)),
            names(row, linked),
            linked
                ? isStaircase(row) ? downTheLink(row, inlet) : throughLink(row, inlet)
                : overflowing(row, inlet));
      }
    }
  }

  /** The same poured in by hand: what comes to the first goes on to the others. */
  private void pourThrough(Part filler) {
    for (Part first : filled) {
      List<Part> row = row(filler, first, fillers(), Pumped.NO);
      if (row.size() > 1) {
        boolean linked = linked(row);
        add(
            Job.Kind.FILL_ALL,
            "pour-through-" + first.id() + "-" + filler.id(),
            through(linked),
            Says.BY_HAND_AT_INSIDE.filled(filler.label(), names(row, linked)),
            pouring(onward(poured(List.of(first), filler), row, linked), first, filler),
            Caution.DRINKING_HOSE,
            Caution.STAY);
      }
    }
  }

  /** The same from a jug that is poured in. */
  private void jugThrough(Part jug) {
    for (Part first : filled) {
      List<Part> row = row(jug, first, jugs, Pumped.NO);
      if (row.size() > 1) {
        boolean linked = linked(row);
        boolean fit = ((PortableContainer) jug.kind()).drinkable();
        add(
            Job.Kind.FILL_ALL,
            "jug-through-" + first.id() + "-" + jug.id(),
            through(linked),
            Says.FROM.filled(jug.label(), names(row, linked)),
            List.of(
                Stage.of(
                    onward(jugged(first, jug), row, linked),
                    new Until(Until.What.POURED_OUT, jug.id())),
                putAway(jug)),
            minding(first, fit));
      }
    }
  }

  /** The same by a pump from something low. */
  private void liftThrough(Low low) {
    List<Part> others = lows().stream().map(Low::part).toList();
    for (Part first : filled) {
      List<Part> row = row(low.part(), first, others, Pumped.YES);
      if (row.size() > 1) {
        boolean linked = linked(row);
        add(
            Job.Kind.FILL_ALL,
            "lift-through-" + first.id() + "-" + low.part().id(),
            through(linked),
            low.by() + ": " + names(row, linked),
            lifting(row, low, linked),
            minding(first, low.fit(), Caution.STAY));
      }
    }
  }

  /** One lags behind in a narrow link: they come to one level and are filled up once more. */
  private List<Stage> lifting(List<Part> row, Low low, boolean linked) {
    Part first = row.getFirst();
    Goal goal = onward(lifted(first, low), row, linked);
    if (!linked) {
      return List.of(Stage.of(goal, low.until(Until.What.FULL, row.getLast())), lowered(low));
    }
    Stage filling = Stage.of(goal, low.until(Until.What.FIRST_FULL, first));
    if (low.source().kind() == Source.Kind.JUG) {
      return List.of(filling, lowered(low));
    }
    Stage levelling =
        Stage.of(onward(Goal.of(pumpsOff()), row, true), new Until(Until.What.LEVEL, first.id()));
    return List.of(filling, levelling, filling, lowered(low));
  }

  /** What comes to the first tank of a row goes on to the others. */
  private static Goal onward(Goal first, List<Part> row, boolean linked) {
    return first.letting(between(row)).and(linked ? joined(row) : fillable(row));
  }

  private static String through(boolean linked) {
    return linked ? Says.FILL_TANKS_TOGETHER.text() : Says.FILL_ALL_FRESH_TANKS.text();
  }

  private static String names(List<Part> row, boolean linked) {
    List<String> labels = row.stream().map(Part::label).toList();
    int last = labels.size() - 1;
    return linked
        ? String.join(", ", labels.subList(0, last)) + " and " + labels.get(last)
        : String.join(Says.THEN.text(), labels);
  }

  private List<Stage> overflowing(List<Part> row, Part inlet) {
    Goal goal = filling(row.getFirst(), inlet).goal();
    List<Stage> stages = new ArrayList<>();
    for (int i = 1; i < row.size(); i++) {
      Part tank = row.get(i - 1);
      runsOver(tank, row.get(i))
          .map(mark -> new Until(Until.What.RUNS_OVER, tank.id(), mark))
          .ifPresent(until -> stages.add(Stage.of(goal, until)));
    }
    stages.add(Stage.of(goal, new Until(Until.What.FULL, row.getLast().id())));
    return stages;
  }

  /** What a tank holds on level ground when it begins to run over into the next one (m³). */
  private Optional<Double> runsOver(Part tank, Part next) {
    Connections joined = Connections.of(network, rest);
    return tank.kind().tankPorts().stream()
        .filter(p -> joined.leaving(tank, p.id()::equals, next::equals).isPresent())
        .map(p -> network.room(tank.id()).volumeBelow(p.at(), Slope.LEVEL))
        .min(Comparator.naturalOrder());
  }

  /**
   * Fills tanks through the link between them. One lags behind in a narrow link, so they are let
   * come to one level and filled up once more.
   */
  private List<Stage> throughLink(List<Part> row, Part inlet) {
    Part first = row.getFirst();
    Stage filling =
        Stage.of(
            onward(filling(first, inlet).goal(), row, true),
            new Until(Until.What.FIRST_FULL, first.id()));
    Stage levelling =
        Stage.of(
            onward(Goal.of(Map.of(inlet.id(), HoseInlet.HOSE.id())), row, true),
            new Until(Until.What.LEVEL, first.id()));
    return List.of(filling, levelling, filling);
  }

  /** Tells whether each tank of a row stands lower than the water of the one before it. */
  private boolean isStaircase(List<Part> row) {
    for (int i = 1; i < row.size(); i++) {
      Part low = row.get(i);
      double top = low.height() + network.room(low.id()).highest(Slope.LEVEL);
      if (row.get(i - 1).height() < top) {
        return false;
      }
    }
    return true;
  }

  /**
   * Fills low tanks through a high one: the link stands open until the lowest is full, is shut, and
   * the high one filled up last.
   */
  private List<Stage> downTheLink(List<Part> row, Part inlet) {
    Part first = row.getFirst();
    Stage through =
        Stage.of(
            onward(filling(first, inlet).goal(), row, true),
            new Until(Until.What.FULL, row.getLast().id()));
    Stage up =
        Stage.of(
            filling(first, inlet).goal().and(new Condition.Quiet(first.id())),
            new Until(Until.What.FULL, first.id()));
    return List.of(through, up);
  }

  /** Water may run from each tank of a row to its neighbours. */
  private static List<Need> between(List<Part> row) {
    List<Need> between = new ArrayList<>();
    for (int i = 1; i < row.size(); i++) {
      between.add(Need.of(tank(row.get(i - 1)), into(row.get(i)), FALLING));
      between.add(Need.of(tank(row.get(i)), into(row.get(i - 1)), FALLING));
    }
    return between;
  }

  /** Each tank of a row is linked with the one before it and can be filled. */
  private static List<Condition> joined(List<Part> row) {
    List<Condition> joined = new ArrayList<>();
    for (int i = 1; i < row.size(); i++) {
      joined.add(new Condition.Linked(row.get(i - 1).id(), row.get(i).id()));
    }
    joined.addAll(fillable(row));
    return joined;
  }

  private static List<Condition> fillable(List<Part> row) {
    List<Condition> fillable = new ArrayList<>();
    for (Part far : row.subList(1, row.size())) {
      fillable.add(new Condition.Breathes(far.id()));
      fillable.add(new Condition.Tight(far.id()));
    }
    return fillable;
  }

  /**
   * Tells whether water passes between tanks of a row long before they are full: of itself, or
   * through a valve where none runs over into the next.
   */
  private boolean linked(List<Part> row) {
    HandleDistance low =
        HandleDistance.of(
            network, Levels.of(network, new State(rest, network.halfFull(), Slope.LEVEL)));
    for (int i = 1; i < row.size(); i++) {
      Part near = row.get(i - 1);
      Part far = row.get(i);
      int least = low.from(near.id(), rest).to(far.id(), Pumped.NO);
      if (least == 0 || least < HandleDistance.NEVER && !isJoinedAtRest(near, far)) {
        return true;
      }
    }
    return false;
  }

  private void fillAll(Part inlet) {
    List<Part> tanks =
        filled.stream()
            .filter(t -> hasMains(inlet) && joins(inlet.id(), t.id(), Pumped.NO))
            .sorted(Comparator.comparingDouble(Part::height))
            .toList();
    if (tanks.size() > 1) {
      fromTap(
          inlet,
          Job.Kind.FILL_ALL,
          "fill-all-" + inlet.id(),
          Says.FILL_ALL_FRESH_TANKS.with(),
          Says.FROM_MAINS_WATER_INSIDE.text(),
          tanks.stream().map(t -> filling(t, inlet)).toList());
    }
  }

  /** A neck that feeds several tanks at once. */
  private void fillTogether(Part filler) {
    List<Part> tanks = filled.stream().filter(t -> joins(filler.id(), t.id(), Pumped.NO)).toList();
    if (tanks.size() > 1 && tanks.stream().allMatch(t -> holdsTheSame(t, tanks.getFirst()))) {
      add(
          Job.Kind.FILL_ALL,
          "pour-all-" + filler.id(),
          Says.FILL_ALL_FRESH_TANKS_TOGETHER.text(),
          Says.BY_HAND_AT.filled(filler.label()),
          pouring(tanks, filler),
          Caution.DRINKING_HOSE,
          Caution.STAY);
    }
  }
}
