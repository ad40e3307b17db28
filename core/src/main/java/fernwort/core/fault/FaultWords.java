package fernwort.core.fault;

import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is wrong, what mends it, and what there is to look at, in words. */
public final class FaultWords {

  private static final double MINUTE = 60;

  /** Shares of what is likely, in words; own choice. */
  private static final double VERY = 0.6;

  private static final double QUITE = 0.25;
  private static final double PERHAPS = 0.05;

  private final Rig rig;

  /** Words for a rig. */
  public FaultWords(Rig rig) {
    this.rig = rig;
  }

  /** Returns what people call a part, line or place. */
  public String label(String id) {
    return rig.parts().stream()
        .filter(p -> p.id().value().equals(id))
        .map(Part::label)
        .findFirst()
        .or(() ->
            rig.lines().stream()
                .filter(l -> l.id().value().equals(id))
                .map(this::label)
                .findFirst())
        .or(() ->
            rig.places().stream()
                .filter(p -> p.id().value().equals(id))
                .map(Place::label)
                .findFirst())
        .orElse(id);
  }

  /** A line that is called as something else is, too, is told from that by what it joins. */
  private String label(Line line) {
    long called =
        Stream.of(
                rig.lines().stream().map(Line::label),
                rig.parts().stream().map(Part::label),
                rig.places().stream().map(Place::label))
            .flatMap(labels -> labels)
            .filter(line.label()::equals)
            .count();
    return called == 1
        ? line.label()
        : Says.LINE_BETWEEN.filled(
            line.label(), rig.part(line.from().part()).label(), rig.part(line.to().part()).label());
  }

  private String position(PartId part, PositionId position) {
    return rig.part(part).kind().positions().stream()
        .filter(p -> p.id().equals(position))
        .map(Position::words)
        .findFirst()
        .orElse(position.value());
  }

  /** Returns what is wrong. */
  public Message wrong(Fault fault) {
    String label = label(fault.on().value());
    if (fault.kind().isOfPosition()) {
      String at = position(fault.on().part(), fault.position().orElse(PositionId.NONE));
      return (fault.kind() == FaultKind.MISPLACED ? Says.STANDS_AT : Says.DID_NOT_ARRIVE)
          .with(label, at);
    }
    return sentence(fault.kind()).with(label);
  }

  private static Says sentence(FaultKind kind) {
    return switch (kind) {
      case MISPLACED -> Says.STANDS_AT;
      case NOT_ARRIVED -> Says.DID_NOT_ARRIVE;
      case NO_POWER -> Says.HAS_NO_POWER;
      case LEAKS_PAST -> Says.LETS_WATER_PAST;
      case STUCK_OPEN -> Says.NO_LONGER_CLOSES;
      case STUCK_CLOSED -> Says.DOES_NOT_OPEN;
      case REVERSED -> Says.WRONG_WAY_ROUND;
      case CLOGGED -> Says.IS_CLOGGED;
      case LEAKING -> Says.LEAKS;
      case KINKED -> Says.IS_KINKED;
      case FROZEN -> Says.IS_FROZEN;
      case BLOCKED -> Says.IS_BLOCKED;
      case AIR_LOCKED -> Says.AIR_STANDS_IN;
      case DETACHED -> Says.IS_OFF;
      case SIPHONS -> Says.SIPHONS;
      case DRAWS_AIR -> Says.DRAWS_AIR;
      case DEAD -> Says.IS_DEAD;
      case SWITCH_OPEN -> Says.SWITCH_DOES_NOT_START;
      case WORN -> Says.IS_WORN;
      case RUNS_ON -> Says.SWITCH_DOES_NOT_STOP;
      case LEAKS_BACK -> Says.RUNS_BACK;
      case JAMMED -> Says.IS_JAMMED;
      case NO_SUPPLY -> Says.NO_WATER_COMES;
      case WEAK_SUPPLY -> Says.LITTLE_WATER_COMES;
      case STUCK_LOW -> Says.IS_STUCK_LOW;
      case EMPTIER -> Says.IS_EMPTIER;
      case FULLER -> Says.IS_FULLER;
      case GAUGE_STUCK -> Says.GAUGE_IS_STUCK;
      case NOT_HEATING -> Says.DOES_NOT_HEAT;
      case CROSSES -> Says.MIXES_INSIDE;
      case NO_AIR -> Says.HAS_NO_AIR;
      case DRY -> Says.IS_DRY;
    };
  }

  /** Returns what mends it. */
  public String mend(FaultKind kind) {
    return (switch (kind) {
          case MISPLACED -> Says.PUT_IT_RIGHT;
          case NOT_ARRIVED -> Says.CHECK_ITS_MOTOR;
          case NO_POWER -> Says.CHECK_ITS_FUSE;
          case LEAKS_PAST, STUCK_OPEN, STUCK_CLOSED, STUCK_LOW -> Says.RENEW_THE_VALVE;
          case REVERSED -> Says.TURN_IT_ROUND;
          case CLOGGED -> Says.CLEAN_IT;
          case LEAKING -> Says.MEND_THE_LEAK;
          case KINKED -> Says.STRAIGHTEN_IT;
          case FROZEN -> Says.THAW_IT;
          case BLOCKED -> Says.FREE_IT;
          case AIR_LOCKED -> Says.LET_THE_AIR_OUT;
          case DETACHED -> Says.PUT_IT_BACK_ON;
          case SIPHONS -> Says.BREAK_THE_SIPHON;
          case DRAWS_AIR -> Says.TIGHTEN_THE_SUCTION;
          case DEAD, WORN -> Says.RENEW_THE_PUMP;
          case SWITCH_OPEN, RUNS_ON -> Says.RENEW_THE_SWITCH;
          case LEAKS_BACK -> Says.RENEW_THE_HEAD;
          case JAMMED -> Says.CLEAR_THE_BLADES;
          case NO_SUPPLY, WEAK_SUPPLY -> Says.LOOK_AT_THE_TAP;
          case EMPTIER -> Says.FILL_IT;
          case FULLER, GAUGE_STUCK -> Says.DRAIN_IT;
          case NOT_HEATING -> Says.CHECK_THE_HEATER;
          case CROSSES -> Says.RENEW_THE_MIXER;
          case NO_AIR -> Says.PUMP_IT_UP;
          case DRY -> Says.POUR_WATER_IN;
        })
        .text();
  }

  /** Returns what to have at hand for that, to buy it first; empty where hands are enough. */
  public String needs(FaultKind kind) {
    return switch (kind) {
      case MISPLACED, REVERSED, JAMMED, NO_SUPPLY, WEAK_SUPPLY, EMPTIER, DRY, AIR_LOCKED -> "";
      case NOT_ARRIVED -> Says.NEEDS_A_MOTOR.text();
      case NO_POWER -> Says.NEEDS_A_FUSE.text();
      case LEAKS_PAST, STUCK_OPEN, STUCK_CLOSED, STUCK_LOW -> Says.NEEDS_THE_SAME_VALVE.text();
      case CLOGGED -> Says.NEEDS_A_CARTRIDGE.text();
      case LEAKING, DETACHED, KINKED -> Says.NEEDS_HOSE_AND_CLIPS.text();
      case FROZEN -> Says.NEEDS_WARMTH.text();
      case BLOCKED -> Says.NEEDS_A_BRUSH.text();
      case DRAWS_AIR -> Says.NEEDS_A_SEAL.text();
      case SIPHONS -> Says.NEEDS_AN_AIR_VALVE.text();
      case DEAD, WORN -> Says.NEEDS_A_PUMP.text();
      case SWITCH_OPEN, RUNS_ON -> Says.NEEDS_A_SWITCH.text();
      case LEAKS_BACK -> Says.NEEDS_A_HEAD.text();
      case FULLER, GAUGE_STUCK -> Says.NEEDS_A_SENDER.text();
      case NOT_HEATING -> Says.NEEDS_WHO_IS_LICENSED.text();
      case CROSSES -> Says.NEEDS_A_MIXER.text();
      case NO_AIR -> Says.NEEDS_AN_AIR_PUMP.text();
    };
  }

  /**
   * Returns what to do first where a sound rig would show what was seen, as its handles are noted:
   * what is switched off is switched on, or it is told that it is on.
   */
  public Message asNoted(State noted, List<Observation> seen) {
    String off = String.join(", ", switchedOff(noted, seen));
    return off.isEmpty() ? Says.AS_NOTED.with() : Says.IS_NOTED_OFF.with(off);
  }

  /** Returns what is switched off that the water comes by, or that was looked at itself. */
  public List<String> switchedOff(State noted, List<Observation> seen) {
    return rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.DRIVES) && noted.setting().has(p.id(), Kind.OFF))
        .filter(p ->
            p.kind().is(Purpose.SUPPLIES) || seen.stream().anyMatch(o -> o.on().equals(p.id())))
        .map(Part::label)
        .toList();
  }

  /** Returns the handles to set and what to look at then. */
  public Message ask(Observation look) {
    String set =
        look.positions().entrySet().stream()
            .filter(e -> !rig.part(e.getKey()).kind().is(Purpose.USE))
            .map(e -> set(rig.part(e.getKey()), e.getValue()))
            .collect(Collectors.joining(" "));
    return set.isEmpty() ? question(look) : Message.of("{} {}", set, question(look));
  }

  private String set(Part part, PositionId to) {
    PositionId from =
        part.kind().positions().stream()
            .map(Position::id)
            .filter(p -> !p.equals(to))
            .findFirst()
            .orElse(to);
    return rig.act(part, from, to);
  }

  private Message question(Observation look) {
    String label = label(look.on().value());
    Optional<String> open =
        look.positions().entrySet().stream()
            .filter(e -> rig.part(e.getKey()).kind().is(Purpose.USE))
            .filter(e -> !rig.part(e.getKey()).rest().id().equals(e.getValue()))
            .map(e -> opened(e.getKey(), e.getValue()))
            .findFirst();
    return switch (look.kind()) {
      case WATER ->
          open.isPresent()
              ? Says.OPEN_AND_LOOK.with(open.get())
              : Says.LOOK_HOW_IT_RUNS.with(label);
      case WARMTH -> Says.FEEL_HOW_WARM.with(label);
      case PUMP ->
          open.isPresent()
              ? Says.LISTEN_WITH.with(label, open.get())
              : look.positions().isEmpty()
                  ? Says.LISTEN.with(label)
                  : Says.LISTEN_CLOSED.with(label);
      case LEVEL ->
          (look.positions().isEmpty() ? Says.WATCH_LEVEL : Says.WATCH_LEVEL_CLOSED)
              .with(label, Math.round(look.watched() / MINUTE));
      case DRAIN -> Says.WATCH_THE_DRAIN.with(open.orElse(label));
      case WET -> Says.FEEL_FOR_WATER.with(label);
      case BUCKET -> Says.RUN_INTO_BUCKET.with(label);
      case DIP -> Says.DIP_IT.with(label);
      case HANDLE -> Says.LOOK_AT_HANDLE.with(label);
      case POWER ->
          (rig.part(look.on().part()).kind().is(Purpose.HEATS)
                  ? Says.MEASURE_LAMP
                  : Says.MEASURE_POWER)
              .with(label);
      case INSPECT ->
          (rig.lines().stream().anyMatch(l -> l.id().equals(look.on()))
                  ? Says.FEEL_ALONG
                  : rig.partsById().containsKey(look.on()) ? Says.OPEN_IT : Says.FEEL_ALONG_ALL)
              .with(label);
    };
  }

  /**
   * Returns what is done before a look, in the order of it; empty where a look hurts nobody.
   *
   * @param look what is looked at
   * @param before for the state that the rig is in
   */
  public String before(Observation look, BeforeUndoing before) {
    return switch (look.kind()) {
      case INSPECT -> rig.partsById().containsKey(look.on()) ? before.at(look.on()).words() : "";
      case BUCKET -> before.at(look.on()).words();
      default -> "";
    };
  }

  /**
   * Returns what stops water that runs inside, before anybody looks for where it comes from; empty
   * where nobody saw any.
   */
  public String stop(List<Observation> seen, BeforeUndoing before) {
    return seen.stream()
        .filter(o -> o.kind() == Look.WET && o.value().equals("wet"))
        .findFirst()
        .map(o -> before.at(o.on()).words())
        .orElse("");
  }

  private String opened(PartId part, PositionId position) {
    Part tap = rig.part(part);
    return tap.kind().positions().size() > 2
        ? tap.label() + ", " + warmth(position).orElseGet(() -> position(part, position))
        : tap.label();
  }

  private static Optional<String> warmth(PositionId position) {
    return switch (position.value()) {
      case "cold" -> Optional.of(Says.COLD.text());
      case "hot" -> Optional.of(Says.HOT.text());
      default -> Optional.empty();
    };
  }

  /** Returns what was seen, in words. */
  public String seen(Observation look, String value) {
    return switch (look.kind()) {
      case HANDLE -> position(look.on().part(), PositionId.of(value));
      case INSPECT -> inspected(look.on(), value);
      default -> word(look.kind(), value).map(Says::text).orElse(value);
    };
  }

  private String inspected(ElementId on, String value) {
    if (value.equals(Observation.FINE)) {
      return Says.ALL_IS_WELL.text();
    }
    return FaultKind.of(value)
        .map(k -> wrong(new Fault(on, k, Optional.of(PositionId.NONE))).toString())
        .orElseGet(() -> Says.SOMETHING_WITH.filled(label(value)));
  }

  private static Optional<Says> word(Look kind, String value) {
    return Optional.ofNullable(
        switch (value) {
          case "none" -> Says.NOTHING;
          case "weak" -> Says.LITTLE;
          case "normal" -> kind == Look.DRAIN ? Says.GOES_AWAY : Says.AS_USUAL;
          case "spitting" -> Says.WATER_AND_AIR;
          case "runs" -> kind == Look.PUMP ? Says.RUNS_ON_AND_ON : Says.IT_RUNS;
          case "silent" -> Says.SILENT;
          case "starts-again" -> Says.STARTS_AGAIN;
          case "hums" -> Says.HUMS;
          case "trips" -> Says.TRIPS;
          case "falls" -> Says.FALLS;
          case "steady" -> Says.STEADY;
          case "rises" -> Says.RISES;
          case "jumps" -> Says.JUMPS;
          case "slow" -> Says.GOES_SLOWLY;
          case "backs-up" -> Says.COMES_BACK;
          case "gurgles" -> Says.GURGLES;
          case "smells" -> Says.SMELLS;
          case "dry" -> Says.DRY_THERE;
          case "wet" -> Says.WET_THERE;
          case "as-shown" -> Says.IT_TELLS_THE_TRUTH;
          case "emptier" -> Says.THERE_IS_LESS;
          case "fuller" -> Says.THERE_IS_MORE;
          case "yes" -> Says.YES;
          case "no" -> Says.NO;
          case "cold" -> Says.COLD;
          case "lukewarm" -> Says.LUKEWARM;
          case "hot" -> Says.HOT;
          default -> null;
        });
  }

  /** Returns how likely a share (1) of what is possible is, in words. */
  public static String likely(double share) {
    if (share >= VERY) {
      return Says.VERY_LIKELY.text();
    }
    return (share >= QUITE ? Says.LIKELY : share >= PERHAPS ? Says.POSSIBLE : Says.NOT_EXCLUDED)
        .text();
  }
}
