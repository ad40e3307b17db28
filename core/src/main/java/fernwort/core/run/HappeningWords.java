package fernwort.core.run;

import fernwort.core.id.ElementId;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What happens in a run, in the words of the people it happens to. */
public final class HappeningWords {

  /** What a person would want to be stopped at. */
  private static final Set<Event.Kind> SERIOUS =
      Set.of(
          Event.Kind.FULL,
          Event.Kind.DRY,
          Event.Kind.RUNS_OUT,
          Event.Kind.SIPHONS,
          Event.Kind.DRAWS_AIR,
          Event.Kind.BULGES,
          Event.Kind.BURSTS,
          Event.Kind.SUCKED_IN,
          Event.Kind.POURED_OUT,
          Event.Kind.BACKS_UP,
          Event.Kind.FLOAT_SHUTS,
          Event.Kind.HOT);

  private HappeningWords() {}

  /** Tells whether it is worth stopping at. */
  public static boolean isSerious(Event h) {
    return h.begins() && SERIOUS.contains(h.kind());
  }

  /** Returns it as a sentence without its time. */
  public static String of(Rig rig, Event h) {
    String what = name(rig, h);
    return switch (h.kind()) {
      case FULL ->
          what
              + (h.begins()
                  ? Says.IS_FULL_TO_ITS_VENT.text()
                  : Says.IS_BELOW_ITS_VENT_AGAIN.text());
      case DRY ->
          what
              + (h.begins()
                  ? Says.IS_DOWN_TO_ITS_OUTLET.text()
                  : Says.HAS_WATER_OVER_ITS_OUTLET.text());
      case RUNS_OUT ->
          h.begins() ? Says.WATER_RUNS_OUT_AT.filled(what) : Says.STOPS_RUNNING.filled(what);
      case SIPHONS ->
          what
              + (h.begins()
                  ? Says.SIPHONS_IT_DRAINS_ON_BY_ITSELF.text()
                  : Says.STOPS_SIPHONING.text());
      case DRAWS_AIR -> what + (h.begins() ? Says.DRAWS_AIR.text() : Says.HAS_WATER_AGAIN.text());
      case CYCLES ->
          what
              + (h.begins() ? Says.STARTS_AND_STOPS_ON_ITS_SWITCH.text() : Says.RUNS_EVENLY.text());
      case RESTS -> what + (h.begins() ? Says.STOPS_NOTHING_IS_DRAWN.text() : " runs");
      case BULGES ->
          what
              + (h.begins()
                  ? Says.BULGES_ITS_AIR_CANNOT_GET_OUT.text()
                  : Says.STOPS_BULGING.text());
      case BURSTS ->
          what + (h.begins() ? Says.MAY_BURST.text() : Says.IS_PRESSED_LESS_AGAIN.text());
      case SUCKED_IN ->
          what
              + (h.begins()
                  ? Says.IS_SUCKED_IN_NO_AIR_COMES_IN.text()
                  : Says.GETS_AIR_AGAIN.text());
      case POURED_OUT ->
          what + (h.begins() ? Says.IS_POURED_OUT.text() : Says.IS_FULL_AGAIN.text());
      case BACKS_UP ->
          h.begins()
              ? Says.WASTE_OF_BACKS_UP_ITS_TANK.filled(what)
              : Says.DRAINS_AGAIN.filled(what);
      case FLOAT_SHUTS -> Says.THE_FLOAT_VALVE_OF.filled(what, (h.begins() ? " closes" : " opens"));
      case HOT ->
          what + (h.begins() ? Says.IS_HOT_ITS_THERMOSTAT_TURNS.text() : Says.HEATS_AGAIN.text());
      case AWAITED ->
          h.begins()
              ? Says.THE_LINES_TO_FILL_FIRST.filled(what)
              : Says.THE_FIRST_WATER_COMES_TO.filled(what);
      case HAND -> Says.WAS_SET.filled(what);
    };
  }

  /** Returns what goes wrong, in the middle of a sentence, such as "Fresh bulges"; if it does. */
  public static Optional<String> harm(Rig rig, Event h) {
    return switch (h.kind()) {
      case RUNS_OUT -> Optional.of(Says.WATER_RUNS_OUT_AT_INSIDE.filled(spot(rig, h.subject())));
      case BULGES -> Optional.of(name(rig, h) + " bulges");
      case BURSTS -> Optional.of(name(rig, h) + Says.MAY_BURST.text());
      case SUCKED_IN -> Optional.of(Says.IS_SUCKED_IN.filled(name(rig, h)));
      case DRAWS_AIR -> Optional.of(Says.DRAWS_AIR_OF.filled(name(rig, h)));
      case BACKS_UP -> Optional.of(Says.WASTE_OF_COMES_BACK_UP.filled(name(rig, h)));
      case FULL, DRY, SIPHONS, CYCLES, RESTS, POURED_OUT, FLOAT_SHUTS, HOT, AWAITED, HAND ->
          Optional.empty();
    };
  }

  /**
   * Returns what a run, which holds the walls of its tanks stiff, cannot show: a tank that a siphon
   * sucks in may fold, and then the siphon runs on.
   *
   * @param tank its label
   * @param holds what it still holds (m³)
   */
  public static Message runsOn(String tank, double holds) {
    return Says.ITS_WALLS_FOLD.with(tank, Amount.volume(holds));
  }

  private static String spot(Rig rig, ElementId id) {
    Part part = rig.part(id.part());
    return "%s (%s)".formatted(part.label(), rig.place(part.place()).label());
  }

  private static String name(Rig rig, Event h) {
    if (h.kind() == Event.Kind.SIPHONS) {
      return rig.lines().stream()
          .filter(l -> l.id().equals(h.subject()))
          .findFirst()
          .map(Line::label)
          .orElse(h.subject().value());
    }
    return rig.part(h.subject().part()).label();
  }

  /**
   * Returns a time of a run as people say it.
   *
   * @param seconds since the beginning (s)
   */
  public static String time(double seconds) {
    long whole = Math.round(seconds);
    if (whole < 60) {
      return whole + " s";
    }
    if (whole < 3600) {
      return String.format(Locale.ROOT, Says.MIN_S.text(), whole / 60, whole % 60);
    }
    return String.format(Locale.ROOT, Says.H_MIN.text(), whole / 3600, whole / 60 % 60);
  }
}
