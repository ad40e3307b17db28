package fernwort.core.jobs;

import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.run.Happening;
import fernwort.core.run.Moment;
import java.util.Optional;

/** What a run sheet says where something is waited for. */
final class WaitWords {

  private static final String DRAWS_AIR =
      "It rattles and spits: there is no more to be had before the tank is where it should be.";

  private final Plumbing plumbing;

  WaitWords(Plumbing plumbing) {
    this.plumbing = plumbing;
  }

  String words(Job.Until until, Optional<String> dryPump, boolean settles) {
    String label = label(until.part());
    if (dryPump.isPresent()) {
      return "Let it run until %s draws air, then switch it off at once."
          .formatted(label(dryPump.get()));
    }
    if (settles) {
      return "Let it run until nothing moves any more.";
    }
    return switch (until.what()) {
      case FULL -> "Fill slowly and stay with it until " + label + " is full.";
      case FIRST_FULL -> "Fill slowly and stay with it until the first tank is full.";
      case MARK ->
          "Fill and stay with it until %s holds %.1f L.".formatted(label, 1000 * until.mark());
      case LEVEL -> "Let the tanks come to one level.";
      case DRY -> "Let it run until " + label + " is empty.";
      case HOT -> "Wait until " + label + " is hot.";
      case POURED_OUT -> "Pour slowly until " + label + " is empty.";
      case PRESSURE -> "Listen to " + label + ".";
      case SLACK, RUNS -> check(until);
    };
  }

  /**
   * Returns how one knows that it is so.
   *
   * @param sign where the first water shows, if it soon does
   * @param end how things stand then
   */
  String notice(Job.Until until, Optional<Part> sign, boolean dryPump, Moment end) {
    String label = label(until.part());
    if (dryPump) {
      return DRAWS_AIR;
    }
    return switch (until.what()) {
      case FULL, FIRST_FULL ->
          sign.map(p -> "The first water shows at " + spot(p) + ".")
              .orElseGet(() -> gauge(until.part(), end));
      case MARK ->
          "Watch its gauge: it is to show %.0f %%.".formatted(100 * share(until.part(), end));
      case LEVEL -> "Nothing is heard in the line between them.";
      case DRY -> "The flow gurgles, then stops.";
      case HOT -> "It falls silent, or its lamp goes out.";
      case POURED_OUT -> label + " is light.";
      case PRESSURE, SLACK, RUNS -> "";
    };
  }

  private String gauge(String tank, Moment end) {
    boolean floats =
        plumbing.rig().part(tank).kind() instanceof Kind.Tank t
            && t.tankPorts().stream().anyMatch(p -> !p.letsOut());
    boolean shut = end.gains().getOrDefault(tank, 0.0) < 1e-8;
    return floats && shut
        ? "The flow stops by itself: the float has shut."
        : "Watch its gauge: no water shows in time.";
  }

  private double share(String tank, Moment at) {
    return at.state().volume(tank) / plumbing.room(tank).capacity();
  }

  Optional<String> overrun(Happening h) {
    return switch (h.kind()) {
      case FULL -> Optional.of(label(h.subject()) + " is full too");
      case RUNS_OUT -> Optional.of("water runs out at " + spot(plumbing.rig().part(h.subject())));
      case BULGES -> Optional.of(label(h.subject()) + " bulges");
      case SUCKED_IN -> Optional.of(label(h.subject()) + " is sucked in");
      case DRAWS_AIR -> Optional.of(label(h.subject()) + " draws air");
      case BACKS_UP -> Optional.of(label(h.subject()) + " backs up");
      case DRY, SIPHONS, CYCLES, RESTS, POURED_OUT, FLOAT_SHUTS, HOT, HAND -> Optional.empty();
    };
  }

  String maySiphon(String part, double more) {
    return "%s may siphon: up to %.1f L more run out there"
        .formatted(spot(part(part)), 1000 * more);
  }

  private Part part(String id) {
    return plumbing.rig().part(id);
  }

  String pressure(String pump, boolean on) {
    return (on ? "" : "Switch " + label(pump) + " on when you want water. ")
        + "Open a cold tap until it runs without spitting, then shut it and listen.";
  }

  String silence(double seconds) {
    return "The pump stops within %.0f s. If it runs on, a tap is open or a line leaks."
        .formatted(seconds);
  }

  String check(Job.Until until) {
    String label = label(until.part());
    if (until.what() == Job.Until.What.SLACK) {
      return "Let the pressure off: open a tap on board, or loosen the hose at "
          + label
          + " a turn.";
    }
    return isFixture(until.part())
        ? "Open " + label + "."
        : "Let it run as long as you need; watch the gauge of " + label + ".";
  }

  String checked(Job.Until until) {
    if (until.what() == Job.Until.What.SLACK) {
      return "The hose goes soft; nothing hisses.";
    }
    return isFixture(until.part())
        ? "Water runs without spitting."
        : "The level moves as you expect.";
  }

  private boolean isFixture(String part) {
    return plumbing.rig().part(part).kind() instanceof Kind.Fixture;
  }

  private String spot(Part part) {
    return "%s (%s)".formatted(part.label(), plumbing.rig().place(part.place()).label());
  }

  private String label(String part) {
    return plumbing.rig().part(part).label();
  }
}
