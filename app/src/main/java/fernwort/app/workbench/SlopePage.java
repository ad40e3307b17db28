package fernwort.app.workbench;

import fernwort.app.questions.Column;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.bench.BrimFull;
import fernwort.core.bench.DrainedTank;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
import fernwort.core.road.Road;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Landmarks;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import fernwort.core.say.Times;
import fernwort.core.tank.Parked;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Slopes, drains and drives: where the water goes when the ground is not level. */
final class SlopePage {

  private static final String OWN = "own";

  /** How a stretch bends, with the acceleration to the left that people call so (m/s²). */
  private enum Bend {
    STRAIGHT("straight", 0),
    GENTLE_LEFT(Says.GENTLY_LEFT.text(), 1.2),
    GENTLE_RIGHT(Says.GENTLY_RIGHT.text(), -1.2),
    BRISK_LEFT(Says.BRISKLY_LEFT.text(), 2.5),
    BRISK_RIGHT(Says.BRISKLY_RIGHT.text(), -2.5);

    private final String words;
    private final double left;

    Bend(String words, double left) {
      this.words = words;
      this.left = left;
    }
  }

  /** How a stretch is driven, with the acceleration forwards that people call so (m/s²). */
  private enum Pace {
    STEADY("steadily", 0),
    PULLS(Says.PULLING_AWAY.text(), 1.8),
    BRAKES("braking", -2),
    BRAKES_HARD(Says.BRAKING_HARD.text(), -4);

    private final String words;
    private final double forward;

    Pace(String words, double forward) {
      this.words = words;
      this.forward = forward;
    }
  }

  private static final List<Column> STRETCH =
      List.of(
          Column.number("seconds", "seconds", ""),
          Column.number("climb", Says.CLIMBS.text(), "climb"),
          Column.number("camber", Says.LEFT_SIDE_UP.text(), "camber"),
          Column.choice(
              "bend",
              "bends",
              Stream.of(Bend.values())
                  .map(b -> new Field.Option(b.name(), said(b.words, b.left)))
                  .toList()),
          Column.choice(
              "pace",
              "driven",
              Stream.of(Pace.values())
                  .map(p -> new Field.Option(p.name(), said(p.words, p.forward)))
                  .toList()));

  private static final List<List<String>> USUAL =
      List.of(List.of("300", "8"), List.of("6", "", "", "", Pace.BRAKES_HARD.name()));

  private static String said(String words, double acceleration) {
    return acceleration == 0
        ? words
        : String.format(Locale.ROOT, "%s, %.1f m/s²", words, Math.abs(acceleration));
  }

  private final Trip trip;

  private SlopePage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    SlopePage page = new SlopePage(trip);
    return List.of(page.parked(), page.drain(), page.siphon(), page.drive());
  }

  // --- parked ------------------------------------------------------------------------------------

  private Question parked() {
    Form form = trip.form();
    double pitch =
        form.number("slope-pitch", Says.NOSE_UP.text(), 2, "°", Says.NEGATIVE_FOR_NOSE_DOWN.text());
    double roll =
        form.number(
            "slope-roll",
            Says.LEFT_SIDE_UP_FIRST.text(),
            0,
            "°",
            Says.A_LEVEL_APP_OR_A_MARBLE.text());
    return Question.of(
        "parked",
        Says.PARKED_ON_A_SLOPE.text(),
        form,
        Says.THE_WAY_TO_PARK_THAT_LEAVES.text(),
        () -> {
          if (Math.abs(pitch) > 30 || Math.abs(roll) > 30) {
            throw new Refusal(Says.NOBODY_PARKS_AT_MORE_THAN_30.with());
          }
          Slope slope = new Slope(pitch, roll);
          List<List<String>> rows =
              trip.network().tanks().stream().map(t -> parkedRow(t, slope)).toList();
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      Says.EACH_TANK_THERE.text(),
                      List.of(
                          "tank",
                          "usable",
                          "stranded",
                          Says.GAUGE_WOULD_READ.text(),
                          Says.LEFT_AFTER_DRAINING.text(),
                          Says.PARK_TO_EMPTY.text()),
                      rows)));
        });
  }

  private List<String> parkedRow(Part part, Slope slope) {
    Tank tank = trip.network().joined(part);
    var room = trip.network().room(part.id());
    double holds = trip.now().volume(part.id());
    Parked there = Parked.of(tank, room, holds, slope);
    boolean drain = tank.tankPorts().stream().anyMatch(p -> p.use() == TankPort.Use.DRAIN);
    Slope best = Parked.bestToDrain(tank, room);
    double least = Parked.of(tank, room, room.capacity(), best).leftAfterDraining();
    return List.of(
        part.label(),
        volume(there.figures().usable()),
        volume(there.figures().stranded()),
        Says.INSTEAD_OF.filled(volume(there.senderSays()), volume(holds)),
        drain ? volume(there.leftAfterDraining()) : Says.NO_DRAIN.text(),
        drain
            ? Says.NOSE_LEFT_LEAVES.filled(signed(best.pitch()), signed(best.roll()), volume(least))
            : "–");
  }

  private static String signed(double degrees) {
    return degrees == 0 ? "0" : String.format(Locale.ROOT, "%+.1f", degrees);
  }

  // --- drain time --------------------------------------------------------------------------------

  private Question drain() {
    Form form = trip.form();
    List<Part> tanks = trip.network().tanks();
    String chosen =
        tanks.isEmpty()
            ? ""
            : form.choice(
                "drain-tank",
                "Tank",
                tanks.stream().map(t -> new Field.Option(t.id().value(), t.label())).toList());
    double bore =
        form.amount(
            "drain-bore", Says.INSIDE_DIAMETER_OF_THE_DRAIN.text(), Measure.LENGTH, 0.019, "");
    double length = form.amount("drain-length", Says.ITS_LENGTH.text(), Measure.LENGTH, 0.5, "");
    double drop =
        form.amount("drain-drop", Says.ITS_END_BELOW_THE_PORT.text(), Measure.LENGTH, 0.2, "");
    return Question.of(
        "drain",
        Says.HOW_LONG_DRAINING_TAKES.text(),
        form,
        Says.BY_GRAVITY_VENTED_TWO_ELBOWS.text(),
        () -> {
          if (chosen.isEmpty()) {
            throw new Refusal(Says.THE_RIG_HAS_NO_TANK_TO_DRAIN.with());
          }
          return Question.Answer.rows(
              drained(chosen, new DrainedTank.DrainLine(bore, length, drop)));
        });
  }

  private List<Question.Row> drained(String tank, DrainedTank.DrainLine line) {
    DrainedTank drained = DrainedTank.of(trip.network(), trip.now(), PartId.of(tank), line);
    boolean drain = drained.through().use() == TankPort.Use.DRAIN;
    return List.of(
        new Question.Row(
            Says.RUNS_FOR.text(),
            Times.of(drained.seconds()),
            Says.FROM_AS_READ_THROUGH.filled(
                volume(trip.now().volume(PartId.of(tank))),
                drain ? Says.ITS_DRAIN.text() : Says.ITS_OUTLET.text())),
        new Question.Row(
            Says.AT_FIRST.text(),
            trip.show(Measure.FLOW, drained.first()),
            Says.SLOWER_AS_THE_LEVEL_FALLS.text()),
        new Question.Row(
            "Stays", volume(drained.stays()), Says.BELOW_THE_PORT_ON_THE_SLOPE.text()));
  }

  // --- siphons -----------------------------------------------------------------------------------

  private Question siphon() {
    return Question.of(
        "siphon",
        Says.DOES_AN_OVERFLOW_SIPHON.text(),
        trip.form(),
        Says.EACH_TANK_BRIM_FULL.text(),
        () -> {
          return Question.Answer.rows(
              BrimFull.of(trip.network(), trip.now()).stream().map(this::brimFull).toList());
        });
  }

  private Question.Row brimFull(BrimFull tank) {
    String label = trip.label(tank.tank());
    String loses = tank.losesNothing() ? Says.LOSES_NOTHING.text() : "loses " + volume(tank.lost());
    if (tank.folds().isPresent()) {
      Message more = HappeningWords.runsOn(label, tank.folds().getAsDouble());
      return new Question.Row(label, loses, Says.IT_SIPHONS_AND.filled(trip.units().say(more)));
    }
    if (tank.siphons()) {
      return new Question.Row(label, loses, Says.IT_SIPHONS_ADMIT_AIR.text());
    }
    if (!tank.isToTheEnd()) {
      return new Question.Row(
          label,
          Says.IN_THE_FIRST.filled(loses, Times.of(tank.watched())),
          Says.IT_RUNS_OVER_IN_GULPS_AND_WAS.text());
    }
    return new Question.Row(
        label,
        loses,
        tank.losesNothing()
            ? Says.NOTHING_RUNS_OUT.text()
            : Says.IT_RUNS_OVER_AND_STOPS_BY_ITSELF.text());
  }

  // --- drives ------------------------------------------------------------------------------------

  private Question drive() {
    Form form = trip.form();
    List<Field.Option> options = new ArrayList<>();
    IntStream.range(0, Drive.READY.size())
        .forEach(
            i -> options.add(new Field.Option(Integer.toString(i), Drive.READY.get(i).words())));
    options.add(new Field.Option(OWN, Says.MY_OWN.text()));
    String chosen = form.choice("drive", Says.THE_DRIVE.text(), options);
    List<Form.Row> own =
        chosen.equals(OWN)
            ? form.table(
                "stretch",
                Says.MY_OWN_STRETCH_BY_STRETCH.text(),
                Says.DOWNHILL_IS_NEGATIVE.text(),
                STRETCH,
                USUAL)
            : List.of();
    return Question.of(
        "drive",
        Says.WHAT_A_DRIVE_LOSES.text(),
        form,
        Says.FROM_FULL_TANKS_THE_RANGE.text(),
        () -> {
          Drive drive = chosen.equals(OWN) ? own(own) : Drive.READY.get(Integer.parseInt(chosen));
          Road road = Road.of(Landmarks.of(trip.network()));
          Drive.Losses open = drive.losses(road, trip.full());
          Optional<State> shutState = Drive.travelValvesShut(trip.rig(), trip.full());
          Optional<Drive.Losses> shut = shutState.map(s -> drive.losses(road, s));
          Rig raised = Drive.withRaisedVents(trip.rig());
          Drive.Losses aired = drive.losses(Network.of(raised), trip.full());
          List<Question.Table> tables = new ArrayList<>();
          losses(drive.words(), Says.LEAVES_AT.text(), Drive.Losses::ends, open, shut, aired)
              .ifPresent(tables::add);
          losses(
                  Says.THE_SAME_BY_TANK.text(),
                  Says.LOST_FROM.text(),
                  Drive.Losses::tanks,
                  open,
                  shut,
                  aired)
              .ifPresent(tables::add);
          return tables.isEmpty()
              ? Question.Answer.rows(
                  List.of(
                      new Question.Row(
                          drive.words(),
                          Says.LOSES_NOTHING.text(),
                          Says.AT_ANY_END_IN_ANY_VARIANT.text())))
              : Question.Answer.tables(List.of(), tables);
        });
  }

  private Optional<Question.Table> losses(
      String title,
      String first,
      Function<Drive.Losses, Map<PartId, Drive.Lost>> of,
      Drive.Losses open,
      Optional<Drive.Losses> shut,
      Drive.Losses aired) {
    Set<PartId> ids = new TreeSet<>(of.apply(open).keySet());
    shut.ifPresent(s -> ids.addAll(of.apply(s).keySet()));
    ids.addAll(of.apply(aired).keySet());
    if (ids.isEmpty()) {
      return Optional.empty();
    }
    List<List<String>> rows =
        ids.stream()
            .map(id ->
                List.of(
                    trip.label(id),
                    lost(of.apply(open).get(id)),
                    shut.map(s -> lost(of.apply(s).get(id))).orElse(Says.NO_VALVE.text()),
                    lost(of.apply(aired).get(id))))
            .toList();
    return Optional.of(
        new Question.Table(
            title,
            List.of(
                first,
                Says.AS_IT_STANDS.text(),
                Says.TRAVEL_VALVES_CLOSED.text(),
                Says.RAISED_WITH_AIR.text()),
            rows));
  }

  private String lost(Drive.@org.jspecify.annotations.Nullable Lost lost) {
    return lost == null || lost.high() < 1e-5
        ? "nothing"
        : "%s (%s to %s)"
            .formatted(volume(lost.expected()), volume(lost.low()), volume(lost.high()));
  }

  private static Drive own(List<Form.Row> rows) {
    if (rows.isEmpty()) {
      throw new Refusal(Says.GIVE_AT_LEAST_ONE_STRETCH_HOW.with());
    }
    return new Drive(
        Says.MY_OWN_FIRST.text(),
        rows.stream()
            .map(r ->
                new Drive.Stretch(
                    r.number("seconds"),
                    r.number("climb") / 100,
                    r.number("camber"),
                    Pace.valueOf(r.choice("pace")).forward,
                    Bend.valueOf(r.choice("bend")).left))
            .toList());
  }

  private String volume(double si) {
    return trip.show(Measure.VOLUME, si);
  }
}
