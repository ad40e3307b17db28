package fernwort.core.jobs.find;

import fernwort.core.id.PortId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Floats;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.HandleDistance.Pumped;
import java.util.List;

/** Finds the ways to fill one tank. */
final class FillFinder extends Filling {

  FillFinder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  @Override
  void find() {
    for (Part tank : filled) {
      int before = found();
      for (Part inlet : inlets) {
        fillFromMains(tank, inlet, inlets.size() > 1);
      }
      fillers().forEach(filler -> fillByHand(tank, filler));
      jugs.forEach(jug -> fillFromJug(tank, jug));
      lows().forEach(low -> lift(tank, low));
      if (found() == before && !isFilledThroughAnother(tank)) {
        missing("Fill " + tank.label(), why(tank));
      }
    }
  }

  /** What a tank lacks to be filled: more lift on a way that a pump already makes, or any way. */
  private String why(Part tank) {
    return lows().stream()
        .map(Low::part)
        .filter(low -> leadsThroughAPump(low, tank))
        .findFirst()
        .map(low -> Says.NO_PUMP_ON_THE_WAY_FROM_LIFTS.filled(low.label(), tank.label()))
        .orElseGet(() -> Says.IT_NEEDS_A_HOSE_INLET.filled(tank.label()));
  }

  private boolean leadsThroughAPump(Part low, Part tank) {
    Connections free = Connections.withHandlesFree(network);
    return network.pumps().stream()
        .filter(pump -> free.route(low.id(), p -> p.equals(tank), pump::equals).isPresent())
        .anyMatch(
            pump -> free.behind(pump.id(), PortId.OUT, pump::equals, tank::equals).isPresent());
  }

  private boolean isFilledThroughAnother(Part tank) {
    return inlets.stream()
            .filter(Finder::hasMains)
            .anyMatch(inlet -> isInARow(tank, List.of(inlet), Pumped.NO))
        || isInARow(tank, fillers(), Pumped.NO)
        || isInARow(tank, jugs, Pumped.NO)
        || isInARow(tank, lows().stream().map(Low::part).toList(), Pumped.YES);
  }

  private boolean isInARow(Part tank, List<Part> from, Pumped pumped) {
    return from.stream()
        .anyMatch(
            f -> filled.stream().anyMatch(first -> row(f, first, from, pumped).contains(tank)));
  }

  private void fillFromMains(Part tank, Part inlet, boolean many) {
    if (hasMains(inlet) && joins(inlet.id(), tank.id(), Pumped.NO)) {
      String by = Says.FROM_MAINS_WATER.filled((many ? " at " + inlet.label() : ""));
      fromTap(
          inlet,
          Job.Kind.FILL_FROM_MAINS,
          "fill-" + tank.id() + "-" + inlet.id(),
          Message.words("Fill " + tank.label()),
          by,
          List.of(filling(tank, inlet)));
      fillToFloats(tank, inlet, by);
    }
  }

  /**
   * A tank with several floats can be filled to each below the highest, which then shuts it off.
   */
  private void fillToFloats(Part tank, Part inlet, String by) {
    List<TankPort> floats = Floats.of(tank);
    for (TankPort low : floats.subList(0, Math.max(0, floats.size() - 1))) {
      Goal goal = plainly(tank, inlet).and(new Condition.Stops(tank.id(), low.id()));
      fromTap(
          inlet,
          Job.Kind.FILL_FROM_MAINS,
          "fill-" + tank.id() + "-" + inlet.id() + "-" + low.id(),
          Says.FILL_TO_ITS_LOWER_STOP.with(
              tank.label(), Amount.volume(Floats.shutsAt(network, tank, low))),
          by,
          List.of(Stage.of(goal, new Until(Until.What.FULL, tank.id()))));
    }
  }

  private void lift(Part tank, Low low) {
    if (joins(low.part().id(), tank.id(), Pumped.YES)) {
      add(
          Job.Kind.FILL_FROM_OUTSIDE,
          "lift-" + tank.id() + "-" + low.part().id(),
          "Fill " + tank.label(),
          low.by(),
          List.of(Stage.of(lifted(tank, low), low.until(Until.What.FULL, tank)), lowered(low)),
          minding(tank, low.fit(), Caution.STAY));
    }
  }

  private void fillByHand(Part tank, Part filler) {
    if (joins(filler.id(), tank.id(), Pumped.NO)) {
      add(
          Job.Kind.FILL_BY_HAND,
          "pour-" + tank.id() + "-" + filler.id(),
          "Fill " + tank.label(),
          Says.BY_HAND_AT.filled(filler.label()),
          pouring(List.of(tank), filler),
          Caution.DRINKING_HOSE,
          Caution.STAY);
    }
  }

  private void fillFromJug(Part tank, Part jug) {
    if (joins(jug.id(), tank.id(), Pumped.NO)) {
      boolean fit = ((PortableContainer) jug.kind()).drinkable();
      add(
          Job.Kind.FILL_FROM_JUG,
          "jug-" + tank.id() + "-" + jug.id(),
          "Fill " + tank.label(),
          "from " + jug.label(),
          List.of(
              Stage.of(jugged(tank, jug), new Until(Until.What.POURED_OUT, jug.id())),
              putAway(jug)),
          minding(tank, fit));
    }
  }
}
