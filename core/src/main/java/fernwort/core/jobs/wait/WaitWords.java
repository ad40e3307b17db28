package fernwort.core.jobs.wait;

import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Pump;
import fernwort.core.plumbing.Connections;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Happening;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Moment;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import java.util.Locale;
import java.util.Optional;

/** What a run sheet says where something is waited for. */
public final class WaitWords {

  /** A tank that gains less than this is taken to be shut off (m³/s): half a litre in a day. */
  private static final double NO_FLOW = 1e-8;

  private static final String DRAWS_AIR =
      "It rattles and spits: there is no more to be had before the tank is where it should be.";

  /** What people time a tap with (m³). */
  private static final double JUG = 0.01;

  private final Plumbing plumbing;

  /** Prepares the words for a rig. */
  public WaitWords(Plumbing plumbing) {
    this.plumbing = plumbing;
  }

  /** Returns what to wait for. */
  public Saying words(Job.Until until, Optional<String> dryPump, boolean settles) {
    String label = label(until.part());
    if (dryPump.isPresent()) {
      return Saying.of(
          "Let it run until {} draws air, then switch it off at once.", label(dryPump.get()));
    }
    if (settles) {
      return Saying.of("Let it run until nothing moves any more.");
    }
    return switch (until.what()) {
      case FULL -> Saying.of("Fill slowly and stay with it until {} is full.", label);
      case FIRST_FULL -> Saying.of("Fill slowly and stay with it until the first tank is full.");
      case MARK ->
          Saying.of("Fill and stay with it until {} holds {}.", label, Amount.volume(until.mark()));
      case LEVEL -> Saying.of("Let the tanks come to one level.");
      case DRY -> Saying.of("Let it run until {} is empty.", label);
      case HOT -> Saying.of("Wait until {} is hot.", label);
      case POURED_OUT -> Saying.of("Pour slowly until {} is empty.", label);
      case PRESSURE -> Saying.of("Listen to {}.", label);
      case SLACK, RUNS -> Saying.of("Watch {}.", label);
    };
  }

  /**
   * Returns how one knows that it is so.
   *
   * @param sign where the first water shows, if it soon does
   * @param end how things stand then
   */
  public String notice(Job.Until until, Optional<Part> sign, boolean dryPump, Moment end) {
    String label = label(until.part());
    if (dryPump) {
      return DRAWS_AIR;
    }
    return switch (until.what()) {
      case FULL, FIRST_FULL ->
          sign.map(p -> "The first water shows at " + spot(p) + ".")
              .orElseGet(() -> gauge(until.part(), end));
      case MARK ->
          "Watch its gauge: it is to show %s.".formatted(Amount.share(share(until.part(), end)));
      case LEVEL -> "Nothing is heard in the line between them.";
      case DRY -> "The flow gurgles, then stops.";
      case HOT -> "It falls silent, or its lamp goes out.";
      case POURED_OUT -> label + " is light.";
      case PRESSURE, SLACK, RUNS -> "";
    };
  }

  private String gauge(String tank, Moment end) {
    boolean floats =
        plumbing.rig().part(tank).kind().tankPorts().stream().anyMatch(p -> !p.letsOut());
    boolean shut = end.gains().getOrDefault(tank, 0.0) < NO_FLOW;
    return floats && shut
        ? "The flow stops by itself: the float has shut."
        : "Watch its gauge: no water shows in time.";
  }

  private double share(String tank, Moment at) {
    return at.state().volume(tank) / plumbing.room(tank).capacity();
  }

  Optional<Saying> overrun(Happening h) {
    return h.kind() == Happening.Kind.FULL
        ? Optional.of(Saying.of("{} is full too", label(h.subject())))
        : HappeningWords.harm(plumbing.rig(), h).map(Saying::words);
  }

  /** Returns that a full tank may lose so much more by its overflow (m³). */
  public Saying maySiphon(String part, double more) {
    return Saying.of(
        "{} may siphon: up to {} more run out there", spot(part(part)), Amount.volume(more));
  }

  /** A tap that is opened no further than a narrow vent bears (m³/s), timed with a jug. */
  Saying openLess(double flow) {
    return Saying.of(
        "Open the tap only to {}, so far that a {} jug takes {}: the vent bears no more.",
        Amount.flow(flow),
        Amount.roughly(JUG),
        Amount.time(JUG / flow));
  }

  /** A fill that ends before its vent has to let water out. */
  Saying stopShort(Job.Until until) {
    return Saying.of(
        "Stop at {}: the vent of {} is too narrow for water, and the tank bulges once it is full.",
        Amount.volume(until.mark()),
        label(until.part()));
  }

  private Part part(String id) {
    return plumbing.rig().part(id);
  }

  /** Returns how one finds out whether a pump builds up pressure. */
  public Saying pressure(String pump, boolean on) {
    return Saying.words(
        (on ? "" : "Switch " + label(pump) + " on when you want water. ")
            + "Open a cold tap until it runs without spitting, then shut it and listen.");
  }

  /** Returns when a pump falls silent (s). */
  public String silence(Pump pump, double seconds) {
    if (pump.cutOut() >= pump.shutOffPressure()) {
      return "No switch stops the pump: it hums deeper when nothing runs. Do not leave it on so.";
    }
    return String.format(
        Locale.ROOT,
        "The pump stops within %.0f s. If it runs on, a tap is open or a line leaks.",
        seconds);
  }

  /** Returns what to do or look at while one waits. */
  public Saying check(Job.Until until, State state) {
    String label = label(until.part());
    if (until.what() == Job.Until.What.SLACK) {
      return feedsATap(until.part(), state)
          ? Saying.of(
              "Let the pressure off: open a tap on board, or loosen the hose at {} a turn.", label)
          : Saying.of("Let the pressure off: loosen the hose at {} a turn.", label);
    }
    return isFixture(until.part())
        ? Saying.of("Open {}.", label)
        : Saying.of("Let it run as long as you need; watch the gauge of {}.", label);
  }

  /** Returns what is true once one has seen it. */
  public String checked(Job.Until until) {
    if (until.what() == Job.Until.What.SLACK) {
      return "The hose goes soft; nothing hisses.";
    }
    return isFixture(until.part())
        ? "Water runs without spitting."
        : "The level moves as you expect.";
  }

  /** Tells whether what a hose brings comes to a tap as the handles stand. */
  private boolean feedsATap(String inlet, State state) {
    return Connections.of(plumbing, state.setting())
        .route(inlet, p -> p.kind().is(Purpose.HOLDS), p -> p.kind().is(Purpose.USE))
        .isPresent();
  }

  private boolean isFixture(String part) {
    return plumbing.rig().part(part).kind().is(Purpose.USE);
  }

  private String spot(Part part) {
    return "%s (%s)".formatted(part.label(), plumbing.rig().place(part.place()).label());
  }

  private String label(String part) {
    return plumbing.rig().part(part).label();
  }
}
