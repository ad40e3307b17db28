package fernwort.core.winter;

import fernwort.core.id.PartId;
import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** What every school begins with: everything off, the heater cold, the tanks empty. */
final class Shutdown {

  private static final double COOLING = 3600;

  /** How long tanks that run out at once are looked at (s); own choice. */
  private static final double LOOKED_AT = 3600;

  private static final Set<Event.Kind> HARMS =
      Set.of(Event.Kind.BULGES, Event.Kind.SUCKED_IN, Event.Kind.BACKS_UP);

  private static final String MEANWHILE = Says.GO_ON_WITH_WHAT_FOLLOWS.text();

  /** What a tap gives, roughly (m³/s). */
  private static final double TAP = 8e-5;

  /** Less than this in a tank is what cannot be drawn anyway (m³). */
  private static final double NOTHING = 1e-4;

  private Shutdown() {}

  static void begin(WinterSheet sheet, Plans plans) {
    Network network = sheet.network();
    for (Part part : network.rig().parts()) {
      part.kind().restNote().ifPresent(note -> sheet.put(part, part.rest().id(), note));
      if (!isOnASwitch(network, part)) {
        cool(sheet, part);
      }
    }
    DrainingPoints opening = new DrainingPoints(sheet, false);
    opening.park();
    int before = sheet.steps().size();
    empty(sheet, plans);
    // One switch for both heats while the pump draws a tank down.
    network.rig().parts().stream()
        .filter(p -> isOnASwitch(network, p))
        .forEach(p -> cool(sheet, p));
    List<WinterStep> done = List.copyOf(sheet.steps().subList(before, sheet.steps().size()));
    opening.openAt(
        done.stream()
            .map(WinterStep::place)
            .filter(place -> !place.isEmpty())
            .collect(Collectors.toSet()),
        done.stream()
            .flatMap(step -> step.hand().stream())
            .map(WinterStep.Hand::part)
            .collect(Collectors.toSet()));
    sheet.nowWait();
  }

  private static boolean isOnASwitch(Network network, Part part) {
    return network.rig().gangOf(part.id()).isPresent();
  }

  /** A heater full of hot water cools before anybody drains it. */
  private static void cool(WinterSheet sheet, Part part) {
    boolean hot = part.kind().is(Purpose.HEATS) && part.kind().keeps() == Keeps.UNDER_ITS_DRAIN;
    if (hot && sheet.now().wetness().body(part.id()) > 0) {
      sheet.heed(
          part,
          WinterStep.Hand.of(part.id(), WinterStep.Sort.WAIT),
          Says.LET_IT_COOL_UNTIL_A_HOT_TAP.filled(part.label()),
          Says.HOT_WATER_SCALDS_AN_HOUR.text(),
          COOLING,
          true);
    }
  }

  /**
   * A tank that no fall empties is drawn by the taps, down to what its feed leaves; tells whether
   * one was.
   */
  private static boolean pumpOut(WinterSheet sheet, Plans plans, Plan fall) {
    Network network = sheet.network();
    Jobs jobs = Jobs.of(network);
    int before = sheet.steps().size();
    for (Part tank : network.tanks()) {
      double left = network.figures(tank, sheet.now().state().slope()).stranded();
      if (fall.after().volume(tank.id()) > left + NOTHING) {
        jobs.all().stream()
            .filter(j -> j.kind().is(Job.Is.FROM_TANK) && j.drawsFrom(tank.id()))
            .map(j -> plans.plan(j, sheet.now().state()))
            .filter(p -> p.trouble().isEmpty())
            .findFirst()
            .ifPresent(p -> draw(sheet, tank, left, p));
      }
    }
    return sheet.steps().size() > before;
  }

  private static void draw(WinterSheet sheet, Part tank, double left, Plan plan) {
    plan.moves().forEach(m -> sheet.put(sheet.network().rig().part(m.part()), m.to(), m.why()));
    double drawn = sheet.now().state().volume(tank.id()) - left;
    sheet.add(
        new WinterStep(
                new Operation.Emptied(Map.of(tank.id(), left)),
                tank.place(),
                Says.DRAW_BY_THE_TAPS_UNTIL_THE_PUMP.with(tank.label(), Amount.volume(drawn)),
                Says.GRAVITY_DOES_NOT_DRAIN_IT_CATCH.with(),
                drawn / TAP,
                true,
                0)
            .by(WinterStep.Hand.of(tank.id(), WinterStep.Sort.WAIT).running(drawn)));
  }

  /** What only opens something more is done before what is waited for: tanks run out at once. */
  private static List<Step> sideBySide(List<Step> steps, Network network) {
    List<Step> ordered = new ArrayList<>();
    List<Step> waits = new ArrayList<>();
    Set<PartId> moved = new HashSet<>();
    for (Step step : steps) {
      if (step instanceof Step.Wait) {
        waits.add(step);
      } else if (step instanceof Step.Move move) {
        boolean opens = !move.to().equals(network.rig().part(move.part()).rest().id());
        if (!opens || !moved.add(move.part())) {
          ordered.addAll(waits);
          waits.clear();
        }
        ordered.add(step);
      }
    }
    ordered.addAll(waits);
    return ordered;
  }

  /** Tells whether tanks that run out at once harm nothing within an hour, by running it. */
  private static boolean isHarmless(List<Step> steps, Plans plans, State from) {
    Simulation run = Simulation.start(plans.network(), from);
    List<Event> seen = new ArrayList<>();
    for (Step step : steps) {
      if (step instanceof Step.Move move) {
        seen.addAll(run.set(move.part(), move.to()));
      }
    }
    seen.addAll(run.runTo(run.time() + LOOKED_AT));
    return seen.stream().noneMatch(e -> e.begins() && HARMS.contains(e.kind()));
  }

  /** The tanks run out in an order that works, each way tried by running it. */
  private static void empty(WinterSheet sheet, Plans plans) {
    Network network = sheet.network();
    Set<PartId> full =
        network.tanks().stream()
            .map(Part::id)
            .filter(t -> sheet.now().state().volume(t) > NOTHING)
            .collect(Collectors.toSet());
    if (full.isEmpty()) {
      return;
    }
    Job emptying = EmptyingJob.of(network, full, false);
    Plan fall = plans.plan(emptying, sheet.now().state());
    Plan plan = pumpOut(sheet, plans, fall) ? plans.plan(emptying, sheet.now().state()) : fall;
    // What is shut after the last wait is opened again at once, to drain the rest.
    List<Step> steps = plan.steps();
    int last = steps.size();
    while (last > 0 && steps.get(last - 1) instanceof Step.Move) {
      last--;
    }
    List<Step> begun = steps.subList(0, last == 0 ? steps.size() : last);
    List<Step> atOnce = sideBySide(begun, network);
    boolean safe = isHarmless(atOnce, plans, sheet.now().state());
    for (Step step : safe ? atOnce : begun) {
      switch (step) {
        case Step.Move move -> sheet.put(network.rig().part(move.part()), move.to(), move.why());
        case Step.Wait wait -> {
          Part part = network.rig().part(wait.until().part());
          sheet.later(
              new WinterStep(
                      new Operation.Emptied(wait.levels()),
                      part.place(),
                      wait.words(),
                      Message.words(wait.notice() + MEANWHILE),
                      wait.seconds().expected(),
                      true,
                      0)
                  .by(WinterStep.Hand.of(part.id(), WinterStep.Sort.WAIT).running(wait.moved())));
        }
      }
    }
    plan.trouble().ifPresent(t -> sheet.note(Says.THE_TANKS_DO_NOT_ALL_RUN.with(t.words())));
  }
}
