package fernwort.core.jobs.wait;

import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
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

  private static final String DRAWS_AIR = Says.IT_RATTLES_AND_SPITS.text();

  /** What people time a tap with (m³). */
  private static final double JUG = 0.01;

  /** What to do where one tank fills from the next and the last runs over too early. */
  static final String TRAPPED = Says.IF_IT_RUNS_OVER_MUCH_EARLIER_AIR.text();

  private final Network network;

  /** Prepares the words for a rig. */
  public WaitWords(Network network) {
    this.network = network;
  }

  /** Returns what to wait for. */
  public Message words(Job.Until until, Optional<ElementId> dryPump, boolean settles) {
    String label = label(until.part());
    if (dryPump.isPresent()) {
      return Says.LET_IT_RUN_UNTIL_DRAWS_AIR.with(label(dryPump.get().part()));
    }
    if (settles) {
      return Says.LET_IT_RUN_UNTIL_NOTHING_MOVES.with();
    }
    return switch (until.what()) {
      case FULL -> Says.FILL_SLOWLY_AND_STAY.with(label);
      case FIRST_FULL -> Says.FILL_SLOWLY_AND_STAY_WITH_IT_UNTIL_THE_FIRST.with();
      case MARK -> Says.FILL_AND_STAY.with(label, Amount.volume(until.mark()));
      case RUNS_OVER -> Says.STAY_WITH_IT_UNTIL_RUNS.with(label);
      case LEVEL -> Says.LET_THE_TANKS_COME_TO_ONE_LEVEL.with();
      case DRY -> Says.LET_IT_RUN_UNTIL_IS_EMPTY.with(label);
      case HOT -> Says.WAIT_UNTIL_IS_HOT.with(label);
      case POURED_OUT -> Says.POUR_SLOWLY_UNTIL_IS_EMPTY.with(label);
      case PRESSURE -> Says.LISTEN_TO.with(label);
      case SLACK, RUNS, RUNS_HOT, POURED_FULL, HOSE_IN, HOSE_OUT, CARRIED_OUT, LET_OUT, PRIMED ->
          Says.WATCH.with(label);
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
      return Says.IT_RATTLES_AND_SPITS_THE_TANK.text();
    }
    if (dryPump) {
      return DRAWS_AIR;
    }
    return switch (until.what()) {
      case FULL, FIRST_FULL ->
          sign.map(p -> Says.THE_FIRST_WATER_SHOWS_AT.filled(spot(p)))
              .orElseGet(() -> gauge(until.part(), end));
      case MARK ->
          Says.WATCH_ITS_GAUGE_IT_SHOULD_SHOW.filled(Amount.share(share(until.part(), end)));
      case RUNS_OVER -> Says.THE_GAUGE_OF_STANDS.filled(label);
      case LEVEL -> Says.NOTHING_IS_HEARD_IN_THE_LINE.text();
      case DRY -> Says.THE_FLOW_GURGLES_THEN_STOPS.text();
      case HOT -> Says.IT_FALLS_SILENT_OR_ITS_LAMP_GOES.text();
      case POURED_OUT -> Says.IS_LIGHT.filled(label);
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

  private String gauge(PartId tank, Moment end) {
    boolean floats =
        network.rig().part(tank).kind().tankPorts().stream().anyMatch(p -> !p.letsOut());
    boolean shut = end.gains().getOrDefault(tank, 0.0) < NO_FLOW;
    return floats && shut
        ? Says.THE_FLOW_STOPS_BY_ITSELF.text()
        : Says.WATCH_ITS_GAUGE_NO_WATER_SHOWS.text();
  }

  private double share(PartId tank, Moment at) {
    return at.state().volume(tank) / network.room(tank).capacity();
  }

  Optional<Message> overrun(Event h) {
    return h.kind() == Event.Kind.FULL
        ? Optional.of(Says.IS_FULL_TOO.with(label(h.subject().part())))
        : HappeningWords.harm(network.rig(), h).map(Message::words);
  }

  /** Returns that a tank that a siphon sucks in may fold and run on. */
  public Message runsOn(PartId tank, Moment now) {
    return HappeningWords.runsOn(label(tank), now.state().volume(tank));
  }

  /** Returns that a full tank may lose so much more by its overflow (m³). */
  public Message maySiphon(PartId part, double more) {
    return Says.MAY_SIPHON_UP_TO_MORE_RUN.with(spot(part(part)), Amount.volume(more));
  }

  /** A tap that is opened no further than a narrow vent bears (m³/s), timed with a jug. */
  Message openLess(double flow) {
    return Says.OPEN_THE_TAP_ONLY.with(
        Amount.flow(flow), Amount.roughly(JUG), Amount.time(JUG / flow));
  }

  /** A fill that ends before its vent has to let water out. */
  Message stopShort(Job.Until until) {
    return Says.STOP_AT_THE_VENT.with(Amount.volume(until.mark()), label(until.part()));
  }

  private Part part(PartId id) {
    return network.rig().part(id);
  }

  /**
   * Returns how one finds out whether a pump builds up pressure, and gets the air out.
   *
   * @param pump the pump
   * @param on whether it is on
   * @param taps ids of the taps that it is to serve
   */
  public Message pressure(PartId pump, boolean on, Set<PartId> taps) {
    String first = on ? "" : Says.SWITCH_ON_WHEN_YOU_WANT_WATER.filled(label(pump));
    String last = Says.UNTIL_IT_RUNS_WITHOUT_SPITTING.text();
    if (taps.size() > 1) {
      return Says.OPEN_THE_COLD_SIDE_OF_EACH_TAP.with(
          first, last, taps.stream().map(this::label).collect(Collectors.joining(", ")));
    }
    String tap = taps.stream().findFirst().map(this::label).orElse(Says.A_COLD_TAP.text());
    return Message.words(first + "Open " + tap + " " + last);
  }

  /** Returns when a pump falls silent (s). */
  public String silence(PartId id, Pump pump, double seconds) {
    if (pump.cutOut() >= pump.shutOffPressure()) {
      return Says.NO_SWITCH_STOPS_IT_HUMS_DEEPER.filled(label(id));
    }
    return String.format(Locale.ROOT, Says.STOPS_WITHIN_S_IF_IT_RUNS.text(), label(id), seconds);
  }

  /** Returns what to do or look at while one waits. */
  public Message check(Job.Until until, State state) {
    String label = label(until.part());
    if (until.what() == Job.Until.What.SLACK) {
      return feedsATap(until.part(), state)
          ? Says.LET_THE_PRESSURE_OFF_OPEN_A_TAP.with(label)
          : Says.LET_THE_PRESSURE_OFF_LOOSEN.with(label);
    }
    if (until.what() == Job.Until.What.RUNS_HOT) {
      return Says.OPEN_THE_HOT_SIDE.with(hotSides(label));
    }
    return isFixture(until.part())
        ? Says.OPEN.with(label)
        : Says.FILL_SLOWLY_TAKES_MORE_STOP.with(label, Amount.volume(room(until.part(), state)));
  }

  /** The tap that is run, and the others that have a hot side. */
  private String hotSides(String first) {
    List<String> hot =
        Stream.concat(
                Stream.of(first),
                network.rig().parts().stream()
                    .filter(p -> p.kind().is(Purpose.USE) && p.kind().ports().contains(PortId.HOT))
                    .filter(p -> network.hasLine(p.port(PortId.HOT)))
                    .map(Part::label))
            .distinct()
            .toList();
    return hot.size() > 1 ? Says.EACH_TAP_ONE_AFTER_ANOTHER.filled(String.join(", ", hot)) : first;
  }

  /**
   * Returns how long water is sent round.
   *
   * @param seconds that the pump takes for what is in the tank (s)
   */
  public Message round(PartId tank, double seconds) {
    return Says.LET_IT_RUN_FOR_THE_PUMP_NEEDS.with(Amount.time(seconds), label(tank));
  }

  private double room(PartId tank, State state) {
    double full = network.figures(part(tank), state.slope()).full();
    return Math.max(0, full - state.volume(tank));
  }

  /** Returns what is true once one has seen it. */
  public String checked(Job.Until until) {
    if (until.what() == Job.Until.What.SLACK) {
      return Says.THE_HOSE_GOES_SOFT_NOTHING.text();
    }
    return isFixture(until.part())
        ? Says.WATER_RUNS_WITHOUT_SPITTING.text()
        : Says.THE_LEVEL_MOVES_AS_YOU_EXPECT.text();
  }

  /** Tells whether what a hose brings comes to a tap as the handles stand. */
  private boolean feedsATap(PartId inlet, State state) {
    return Connections.of(network, state.setting())
        .route(inlet, p -> p.kind().is(Purpose.HOLDS), p -> p.kind().is(Purpose.USE))
        .isPresent();
  }

  private boolean isFixture(PartId part) {
    return network.rig().part(part).kind().is(Purpose.USE);
  }

  private String spot(Part part) {
    return "%s (%s)".formatted(part.label(), network.rig().place(part.place()).label());
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }
}
