package fernwort.core.run;

import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
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
      case FULL -> what + (h.begins() ? " is full to its vent" : " is below its vent again");
      case DRY -> what + (h.begins() ? " is down to its outlet" : " has water over its outlet");
      case RUNS_OUT -> h.begins() ? "Water runs out at " + what : what + " stops running";
      case SIPHONS -> what + (h.begins() ? " siphons: it drains on by itself" : " stops siphoning");
      case DRAWS_AIR -> what + (h.begins() ? " draws air" : " has water again");
      case CYCLES -> what + (h.begins() ? " starts and stops on its switch" : " runs evenly");
      case RESTS -> what + (h.begins() ? " stops: nothing is drawn" : " runs");
      case BULGES -> what + (h.begins() ? " bulges: its air cannot get out" : " stops bulging");
      case SUCKED_IN -> what + (h.begins() ? " is sucked in: no air comes in" : " gets air again");
      case POURED_OUT -> what + (h.begins() ? " is poured out" : " is full again");
      case BACKS_UP ->
          h.begins() ? "Waste of " + what + " backs up: its tank is full" : what + " drains again";
      case FLOAT_SHUTS -> "The float valve of " + what + (h.begins() ? " closes" : " opens");
      case HOT -> what + (h.begins() ? " is hot: its thermostat turns it off" : " heats again");
      case AWAITED ->
          h.begins() ? "The lines to " + what + " fill first" : "The first water comes to " + what;
      case HAND -> what + " was set";
    };
  }

  /** Returns what goes wrong, in the middle of a sentence, such as "Fresh bulges"; if it does. */
  public static Optional<String> harm(Rig rig, Event h) {
    return switch (h.kind()) {
      case RUNS_OUT -> Optional.of("water runs out at " + spot(rig, h.subject()));
      case BULGES -> Optional.of(name(rig, h) + " bulges");
      case SUCKED_IN -> Optional.of(name(rig, h) + " is sucked in");
      case DRAWS_AIR -> Optional.of(name(rig, h) + " draws air");
      case BACKS_UP -> Optional.of("waste of " + name(rig, h) + " comes back up");
      case FULL, DRY, SIPHONS, CYCLES, RESTS, POURED_OUT, FLOAT_SHUTS, HOT, AWAITED, HAND ->
          Optional.empty();
    };
  }

  private static String spot(Rig rig, String id) {
    Part part = rig.part(id);
    return "%s (%s)".formatted(part.label(), rig.place(part.place()).label());
  }

  private static String name(Rig rig, Event h) {
    if (h.kind() == Event.Kind.SIPHONS) {
      return rig.lines().stream()
          .filter(l -> l.id().equals(h.subject()))
          .findFirst()
          .map(Line::label)
          .orElse(h.subject());
    }
    return rig.part(h.subject()).label();
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
      return String.format(Locale.ROOT, "%d min %02d s", whole / 60, whole % 60);
    }
    return String.format(Locale.ROOT, "%d h %02d min", whole / 3600, whole / 60 % 60);
  }
}
