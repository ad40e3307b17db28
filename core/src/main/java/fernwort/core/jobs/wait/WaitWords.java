package fernwort.core.jobs.wait;

import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Moment;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a run sheet says where something is waited for. */
public final class WaitWords {

  /** A tank that gains less than this is taken to be shut off (m³/s): half a litre in a day. */
  private static final double NO_FLOW = 1e-8;

  private static final String DRAWS_AIR = "It rattles and spits: there is no more water to draw.";

  /** What people time a tap with (m³). */
  private static final double JUG = 0.01;

  /** What to do where one tank fills from the next and the last runs over too early. */
  static final String TRAPPED =
      " If it runs over much earlier, air is trapped: close the tap, wait 5 min until no more"
          + " bubbles come, then fill the rest.";

  private final Network network;

  /** Prepares the words for a rig. */
  public WaitWords(Network network) {
    this.network = network;
  }

  /** Returns what to wait for. */
  public Message words(Job.Until until, Optional<String> dryPump, boolean settles) {
    String label = label(until.part());
    if (dryPump.isPresent()) {
      return Message.of(
          "Let it run until {} draws air, then switch it off at once.", label(dryPump.get()));
    }
    if (settles) {
      return Message.of("Let it run until nothing moves any more.");
    }
    return switch (until.what()) {
      case FULL -> Message.of("Fill slowly and stay with it until {} is full.", label);
      case FIRST_FULL -> Message.of("Fill slowly and stay with it until the first tank is full.");
      case MARK ->
          Message.of(
              "Fill and stay with it until {} holds {}.", label, Amount.volume(until.mark()));
      case RUNS_OVER -> Message.of("Stay with it until {} runs over into the next tank.", label);
      case LEVEL -> Message.of("Let the tanks come to one level.");
      case DRY -> Message.of("Let it run until {} is empty.", label);
      case HOT -> Message.of("Wait until {} is hot.", label);
      case POURED_OUT -> Message.of("Pour slowly until {} is empty.", label);
      case PRESSURE -> Message.of("Listen to {}.", label);
      case SLACK, RUNS, RUNS_HOT, POURED_FULL, HOSE_IN, HOSE_OUT, CARRIED_OUT, LET_OUT, PRIMED ->
          Message.of("Watch {}.", label);
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
    if (dryPump && until.what() == Job.Until.What.DRY) {
      return "It rattles and spits: the tank is empty.";
    }
    if (dryPump) {
      return DRAWS_AIR;
    }
    return switch (until.what()) {
      case FULL, FIRST_FULL ->
          sign.map(p -> "The first water shows at " + spot(p) + ".")
              .orElseGet(() -> gauge(until.part(), end));
      case MARK ->
          "Watch its gauge: it should show %s.".formatted(Amount.share(share(until.part(), end)));
      case RUNS_OVER ->
          "The gauge of %s stands still, and that of the next begins to rise.".formatted(label);
      case LEVEL -> "Nothing is heard in the line between them.";
      case DRY -> "The flow gurgles, then stops.";
      case HOT -> "It falls silent, or its lamp goes out.";
      case POURED_OUT -> label + " is light.";
      case POURED_FULL,
          PRESSURE,
          SLACK,
          RUNS,
          RUNS_HOT,
          HOSE_IN,
          HOSE_OUT,
          CARRIED_OUT,
          LET_OUT,
          PRIMED ->
          "";
    };
  }

  private String gauge(String tank, Moment end) {
    boolean floats =
        network.rig().part(tank).kind().tankPorts().stream().anyMatch(p -> !p.letsOut());
    boolean shut = end.gains().getOrDefault(tank, 0.0) < NO_FLOW;
    return floats && shut
        ? "The flow stops by itself: the float has closed."
        : "Watch its gauge: no water shows in time.";
  }

  private double share(String tank, Moment at) {
    return at.state().volume(tank) / network.room(tank).capacity();
  }

  Optional<Message> overrun(Event h) {
    return h.kind() == Event.Kind.FULL
        ? Optional.of(Message.of("{} is full too", label(h.subject())))
        : HappeningWords.harm(network.rig(), h).map(Message::words);
  }

  /** Returns that a full tank may lose so much more by its overflow (m³). */
  public Message maySiphon(String part, double more) {
    return Message.of(
        "{} may siphon: up to {} more run out there", spot(part(part)), Amount.volume(more));
  }

  /** A tap that is opened no further than a narrow vent bears (m³/s), timed with a jug. */
  Message openLess(double flow) {
    return Message.of(
        "Open the tap only to {}, until a {} jug takes {}: the vent takes no more.",
        Amount.flow(flow),
        Amount.roughly(JUG),
        Amount.time(JUG / flow));
  }

  /** A fill that ends before its vent has to let water out. */
  Message stopShort(Job.Until until) {
    return Message.of(
        "Stop at {}: the vent of {} is too narrow for water, and the tank bulges once it is full.",
        Amount.volume(until.mark()),
        label(until.part()));
  }

  private Part part(String id) {
    return network.rig().part(id);
  }

  /**
   * Returns how one finds out whether a pump builds up pressure, and gets the air out.
   *
   * @param pump the pump
   * @param on whether it is on
   * @param taps ids of the taps that it is to serve
   */
  public Message pressure(String pump, boolean on, Set<String> taps) {
    String first = on ? "" : "Switch " + label(pump) + " on when you want water. ";
    String last = "until it runs without spitting, then close it and listen.";
    if (taps.size() > 1) {
      return Message.words(
          first
              + "Open the cold side of each tap once, the nearest first, "
              + last
              + " ("
              + taps.stream().map(this::label).collect(Collectors.joining(", "))
              + ")");
    }
    String tap = taps.stream().findFirst().map(this::label).orElse("a cold tap");
    return Message.words(first + "Open " + tap + " " + last);
  }

  /** Returns when a pump falls silent (s). */
  public String silence(String id, Pump pump, double seconds) {
    if (pump.cutOut() >= pump.shutOffPressure()) {
      return "No switch stops %s: it hums deeper when nothing runs. Do not leave it on so."
          .formatted(label(id));
    }
    return String.format(
        Locale.ROOT,
        "%s stops within %.0f s. If it runs on, a tap is open or a line leaks.",
        label(id),
        seconds);
  }

  /** Returns what to do or look at while one waits. */
  public Message check(Job.Until until, State state) {
    String label = label(until.part());
    if (until.what() == Job.Until.What.SLACK) {
      return feedsATap(until.part(), state)
          ? Message.of(
              "Let the pressure off: open a tap on board, or loosen the hose at {} a turn.", label)
          : Message.of("Let the pressure off: loosen the hose at {} a turn.", label);
    }
    if (until.what() == Job.Until.What.RUNS_HOT) {
      return Message.of(
          "Open the hot side of {} until it runs without spitting, then close it.",
          hotSides(label));
    }
    return isFixture(until.part())
        ? Message.of("Open {}.", label)
        : Message.of(
            "Fill slowly: {} takes {} more. Stop when its gauge shows full or water comes up.",
            label,
            Amount.volume(room(until.part(), state)));
  }

  /** The tap that is run, and the others that have a hot side. */
  private String hotSides(String first) {
    List<String> hot =
        Stream.concat(
                Stream.of(first),
                network.rig().parts().stream()
                    .filter(p -> p.kind().is(Purpose.USE) && p.kind().ports().contains("hot"))
                    .filter(p -> network.hasLine(p.port("hot")))
                    .map(Part::label))
            .distinct()
            .toList();
    return hot.size() > 1
        ? "each tap, one after another (%s),".formatted(String.join(", ", hot))
        : first;
  }

  /**
   * Returns how long water is sent round.
   *
   * @param seconds that the pump takes for what is in the tank (s)
   */
  public Message round(String tank, double seconds) {
    return Message.of(
        "Let it run for {}: the pump needs that long for what is in {}. Twice that if it was cloudy.",
        Amount.time(seconds),
        label(tank));
  }

  private double room(String tank, State state) {
    double full = network.figures(part(tank), state.slope()).full();
    return Math.max(0, full - state.volume(tank));
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
    return Connections.of(network, state.setting())
        .route(inlet, p -> p.kind().is(Purpose.HOLDS), p -> p.kind().is(Purpose.USE))
        .isPresent();
  }

  private boolean isFixture(String part) {
    return network.rig().part(part).kind().is(Purpose.USE);
  }

  private String spot(Part part) {
    return "%s (%s)".formatted(part.label(), network.rig().place(part.place()).label());
  }

  private String label(String part) {
    return network.rig().part(part).label();
  }
}
