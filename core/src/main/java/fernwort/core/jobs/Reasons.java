package fernwort.core.jobs;

import fernwort.core.kind.Accumulator;
import fernwort.core.kind.AirAdmittanceValve;
import fernwort.core.kind.CheckValve;
import fernwort.core.kind.DrainTrap;
import fernwort.core.kind.Filter;
import fernwort.core.kind.Fitting;
import fernwort.core.kind.Fixture;
import fernwort.core.kind.GravityFiller;
import fernwort.core.kind.Heater;
import fernwort.core.kind.HoseInlet;
import fernwort.core.kind.LeakTray;
import fernwort.core.kind.Macerator;
import fernwort.core.kind.Manifold;
import fernwort.core.kind.Motor;
import fernwort.core.kind.OpenEnd;
import fernwort.core.kind.Plug;
import fernwort.core.kind.PortableContainer;
import fernwort.core.kind.Pump;
import fernwort.core.kind.Regulator;
import fernwort.core.kind.Strainer;
import fernwort.core.kind.Tank;
import fernwort.core.kind.Tee;
import fernwort.core.kind.Valve;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Saying;
import fernwort.core.ways.Source;
import fernwort.core.ways.Turns.Turn;
import fernwort.core.ways.Way;
import java.util.Locale;
import java.util.Optional;

/**
 * Why a turn belongs to a plan: what would be wrong at its end if this one handle had stayed. And
 * what one sees, hears or feels when it is made.
 */
final class Reasons {

  private final Rig rig;
  private final Scout scout;

  Reasons(Scout scout) {
    this.scout = scout;
    rig = scout.plumbing().rig();
  }

  /**
   * Returns what a turn is for.
   *
   * @param turn the turn
   * @param before where the part was
   * @param after the setting that the whole stage leads to
   */
  Saying why(Turn turn, String before, Setting after) {
    Part part = rig.part(turn.part());
    Optional<Fault> without = scout.fault(after.with(turn.part(), before));
    return without
        .map(f -> why(f, part, turn.position()))
        .orElse(Saying.of("It keeps the steps around it safe."));
  }

  /** Returns what a part is put somewhere for, when this would be wrong without it. */
  Saying why(Fault fault, Part part, String to) {
    return switch (fault) {
      case Fault.Misplaced f -> Saying.words(purpose(part, to));
      case Fault.Missing f ->
          Saying.of(
              "Without it no water comes from {} to {}.",
              name(f.need().source()),
              label(f.need().end().part()));
      case Fault.Stray f ->
          Saying.words(
              scout.goal().of(Condition.Quiet.class).stream()
                      .anyMatch(q -> q.source().equals(f.way().source().part()))
                  ? "Otherwise water still runs from " + way(f.way()) + "."
                  : "Otherwise water runs from " + way(f.way()) + " as well.");
      case Fault.Danger f -> Saying.of("Otherwise: {}.", f.warning().title());
      case Fault.Airless f -> Saying.words("It lets " + label(f.tank()) + " breathe.");
      case Fault.Unlinked f ->
          Saying.of("It joins {} with {} below their water.", label(f.from()), label(f.to()));
      case Fault.Apart f ->
          Saying.of("Without it nothing runs from {} to {}.", label(f.from()), label(f.to()));
      case Fault.NotRound f ->
          f.heater()
              .map(h ->
                  Saying.of(
                      "Without it {} sends nothing round through {}.", label(f.pump()), label(h)))
              .orElseGet(() -> Saying.of("Without it {} turns nothing round.", label(f.pump())));
      case Fault.Joined f -> Saying.of("It parts {} from {}.", label(f.from()), label(f.to()));
      case Fault.Leaking f ->
          Saying.of(
              "Otherwise what goes into {} runs out at {}.",
              label(f.tank()),
              label(f.way().end().part()));
      case Fault.StopsShort f ->
          Saying.of("Without it the lower float of {} shuts too soon.", label(f.tank()));
      case Fault.ShutIn f ->
          Saying.of("Once {} is full, what still comes has to get out.", label(f.tank()));
      case Fault.PumpOn f -> Saying.words(label(f.pump()) + " must not push while the hose gives.");
      case Fault.Unfed f -> Saying.words("Otherwise " + label(f.pump()) + " draws air.");
      case Fault.Bypassed f ->
          Saying.words("Otherwise water goes round " + label(f.filter()) + ".");
      case Fault.Keeping f ->
          Saying.of(
              "Otherwise water stays in {}.", f.tank().isEmpty() ? "the lines" : label(f.tank()));
      case Fault.Disproved f -> Saying.of("Otherwise {}.", f.harm().words());
    };
  }

  private static String purpose(Part part, String to) {
    boolean rests = part.rest().id().equals(to);
    return switch (part.kind()) {
      case Heater k ->
          rests ? "Nothing may heat while its water is touched." : "There is water in it now.";
      case Pump k -> rests ? "Nothing may push while you turn or leave." : "Now its way is open.";
      case Macerator k -> rests ? "It must not run dry." : "Now its way is open.";
      case HoseInlet k ->
          rests
              ? "The job is done with the hose."
              : to.equals(HoseInlet.HOSE.id())
                  ? "A hose comes off only when its tap is shut."
                  : "The way behind it is ready for the water.";
      case OpenEnd k ->
          rests
              ? "So that nothing drips on the way."
              : to.equals(OpenEnd.HOSE.id()) ? "The hose comes first." : "What comes leaves here.";
      case PortableContainer k -> rests ? "It is done with." : "Now the water can go in.";
      case GravityFiller k -> rests ? "So that no dirt gets in." : "This is where it goes in.";
      case Plug k -> rests ? "So that nothing runs out." : "The water leaves here.";
      case Fixture k -> "A tap that is shut wastes nothing.";
      case Tank _, Valve _, Fitting _ -> "This is how it is left.";
    };
  }

  private String way(Way way) {
    return name(way.source()) + " to " + label(way.end().part());
  }

  String name(Source source) {
    return switch (source.kind()) {
      case MAINS -> "the mains";
      case OUTSIDE -> "outside water";
      case WASTE -> "the waste of " + label(source.part());
      case TANK, JUG -> label(source.part());
    };
  }

  private String label(String part) {
    return rig.part(part).label();
  }

  private static String hose(String to) {
    if (to.equals(HoseInlet.MAINS.id())) {
      return "A hiss in the hose, no drip at the fitting.";
    }
    if (to.equals(HoseInlet.OUTSIDE.id())) {
      return "The hose end is under water, off the ground.";
    }
    if (to.equals(HoseInlet.HOSE.id())) {
      return "The tap outside is shut; nothing hisses any more.";
    }
    return to.equals(HoseInlet.OPEN.id())
        ? "Air or water comes as the cap loosens."
        : "Hose drained, its ends joined; cap hand-tight.";
  }

  /** Returns what one sees, hears or feels when a part is put in a position. */
  static String notice(Part part, String to) {
    boolean rests = part.rest().id().equals(to);
    return switch (part.kind()) {
      case Heater k -> rests ? "Its lamp is out." : "Its lamp is on; it ticks as it warms.";
      case Pump k when k.works().byHand() ->
          rests ? "It stays still." : "A few strokes until water comes.";
      case Pump k -> rests ? "It falls silent." : "It hums, and slows as pressure builds up.";
      case Macerator k -> rests ? "It falls silent." : "It growls evenly.";
      case HoseInlet k -> hose(to);
      case Valve k ->
          k.motor()
              .map(Motor::travelTime)
              .map(s -> String.format(Locale.ROOT, "The motor turns it within %.0f s.", s))
              .orElse("It goes to its stop without force.");
      case OpenEnd k ->
          rests
              ? "The cap sits, no drip."
              : to.equals(OpenEnd.HOSE.id())
                  ? "The hose is locked on and falls all the way."
                  : "The cap is off, and no hose on it.";
      case Plug k -> rests ? "The cap sits, no drip." : "Air or water comes as it loosens.";
      case PortableContainer k -> rests ? "Empty and shut." : "It glugs.";
      case GravityFiller k -> rests ? "The cap clicks." : "Look in: no dirt.";
      case Fixture k -> rests ? "No drip." : "Water runs without spitting.";
      case Tank k -> "";
      case CheckValve k -> "";
      case AirAdmittanceValve k -> "";
      case Regulator k -> "";
      case Strainer k -> "";
      case Filter k -> "";
      case Accumulator k -> "";
      case Tee k -> "";
      case Manifold k -> "";
      case DrainTrap k -> "";
      case LeakTray k -> "";
    };
  }
}
