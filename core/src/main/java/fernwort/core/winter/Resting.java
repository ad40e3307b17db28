package fernwort.core.winter;

import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Purpose;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import fernwort.core.winter.sheets.Act;
import fernwort.core.winter.sheets.Sheet;
import fernwort.core.winter.sheets.WinterStep;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** What every school begins with: everything off, the heater cold, the tanks empty. */
final class Resting {

  private static final double COOLING = 3600;

  /** What a tap gives, roughly (m³/s). */
  private static final double TAP = 8e-5;

  /** Less than this in a tank is what cannot be drawn anyway (m³). */
  private static final double NOTHING = 1e-4;

  private Resting() {}

  static void begin(Sheet sheet, Plans plans) {
    Plumbing plumbing = sheet.plumbing();
    for (Part part : plumbing.rig().parts()) {
      part.kind().restNote().ifPresent(note -> sheet.put(part, part.rest().id(), note));
      boolean hot = part.kind().is(Purpose.HEATS) && part.kind().keeps() == Keeps.UNDER_ITS_DRAIN;
      if (hot && sheet.now().wetness().body(part.id()) > 0) {
        sheet.heed(
            part.place(),
            part.label() + ": let it cool until a hot tap runs cold",
            "Hot water scalds. An hour or more.",
            COOLING,
            true);
      }
    }
    empty(sheet, plans);
  }

  /**
   * A tank that no fall empties is drawn by the taps, down to what its feed leaves; tells whether
   * one was.
   */
  private static boolean pumpOut(Sheet sheet, Plans plans, Plan fall) {
    Plumbing plumbing = sheet.plumbing();
    Jobs jobs = Jobs.of(plumbing);
    int before = sheet.steps().size();
    for (Part tank : plumbing.tanks()) {
      double left = plumbing.figures(tank, sheet.now().state().slope()).stranded();
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

  private static void draw(Sheet sheet, Part tank, double left, Plan plan) {
    plan.moves().forEach(m -> sheet.put(sheet.plumbing().rig().part(m.part()), m.to(), m.why()));
    double drawn = sheet.now().state().volume(tank.id()) - left;
    sheet.add(
        new WinterStep(
            new Act.Emptied(Map.of(tank.id(), left)),
            tank.place(),
            Saying.of(
                "Draw {} by the taps until the pump sucks air: {}",
                tank.label(),
                Amount.volume(drawn)),
            Saying.words(
                "No fall empties it. Catch it in cans, or empty the gray tank in between."),
            drawn / TAP,
            true,
            0));
  }

  /** The tanks run out in an order that works, each way tried by running it. */
  private static void empty(Sheet sheet, Plans plans) {
    Plumbing plumbing = sheet.plumbing();
    Set<String> full =
        plumbing.tanks().stream()
            .map(Part::id)
            .filter(t -> sheet.now().state().volume(t) > NOTHING)
            .collect(Collectors.toSet());
    if (full.isEmpty()) {
      return;
    }
    Job emptying = EmptyingJob.of(plumbing, full, false);
    Plan fall = plans.plan(emptying, sheet.now().state());
    Plan plan = pumpOut(sheet, plans, fall) ? plans.plan(emptying, sheet.now().state()) : fall;
    for (Step step : plan.steps()) {
      switch (step) {
        case Step.Move move -> sheet.put(plumbing.rig().part(move.part()), move.to(), move.why());
        case Step.Wait wait -> {
          Part part = plumbing.rig().part(wait.until().part());
          sheet.add(
              new WinterStep(
                  new Act.Emptied(wait.levels()),
                  part.place(),
                  wait.words(),
                  Saying.words(wait.notice()),
                  wait.seconds().expected(),
                  true,
                  0));
        }
      }
    }
    plan.trouble()
        .ifPresent(t ->
            sheet.note(
                Saying.of(
                    "The tanks do not all run out by themselves: {}. Draw the rest by a tap, or"
                        + " pump it out.",
                    t.words())));
  }
}
