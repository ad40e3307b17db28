package fernwort.app.workbench;

import fernwort.app.questions.Column;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.bench.BrimFull;
import fernwort.core.bench.DrainedTank;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
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
    GENTLE_LEFT("gently left", 1.2),
    GENTLE_RIGHT("gently right", -1.2),
    BRISK_LEFT("briskly left", 2.5),
    BRISK_RIGHT("briskly right", -2.5);

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
    PULLS("pulling away", 1.8),
    BRAKES("braking", -2),
    BRAKES_HARD("braking hard", -4);

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
          Column.number("climb", "climbs (%)", "climb"),
          Column.number("camber", "left side up (°)", "camber"),
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
    double pitch = form.number("slope-pitch", "Nose up", 2, "°", "Negative for nose down.");
    double roll = form.number("slope-roll", "Left side up", 0, "°", "A level app, or a marble.");
    return Question.of(
        "parked",
        "Parked on a slope",
        form,
        "The way to park that leaves least below the drain was looked for up to 3° each way.",
        () -> {
          if (Math.abs(pitch) > 30 || Math.abs(roll) > 30) {
            throw new Refusal("Nobody parks at more than 30°; check the degrees");
          }
          Slope slope = new Slope(pitch, roll);
          List<List<String>> rows =
              trip.network().tanks().stream().map(t -> parkedRow(t, slope)).toList();
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      "Each tank there",
                      List.of(
                          "tank",
                          "usable",
                          "stranded",
                          "gauge would read",
                          "left after draining",
                          "park to empty"),
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
        "%s instead of %s".formatted(volume(there.senderSays()), volume(holds)),
        drain ? volume(there.leftAfterDraining()) : "no drain",
        drain
            ? "nose %s°, left %s°: leaves %s"
                .formatted(signed(best.pitch()), signed(best.roll()), volume(least))
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
                tanks.stream().map(t -> new Field.Option(t.id(), t.label())).toList());
    double bore =
        form.amount("drain-bore", "Inside diameter of the drain line", Measure.LENGTH, 0.019, "");
    double length = form.amount("drain-length", "Its length", Measure.LENGTH, 0.5, "");
    double drop = form.amount("drain-drop", "Its end below the port", Measure.LENGTH, 0.2, "");
    return Question.of(
        "drain",
        "How long draining takes",
        form,
        "By gravity, vented, two elbows and a valve counted. Drain only where it is permitted; gray"
            + " water goes into a dump point.",
        () -> {
          if (chosen.isEmpty()) {
            throw new Refusal("The rig has no tank to drain");
          }
          return Question.Answer.rows(
              drained(chosen, new DrainedTank.DrainLine(bore, length, drop)));
        });
  }

  private List<Question.Row> drained(String tank, DrainedTank.DrainLine line) {
    DrainedTank drained = DrainedTank.of(trip.network(), trip.now(), tank, line);
    boolean drain = drained.through().use() == TankPort.Use.DRAIN;
    return List.of(
        new Question.Row(
            "Runs for",
            Times.of(drained.seconds()),
            "from %s as read, through %s"
                .formatted(volume(trip.now().volume(tank)), drain ? "its drain" : "its outlet")),
        new Question.Row(
            "At first", trip.show(Measure.FLOW, drained.first()), "slower as the level falls"),
        new Question.Row(
            "Stays", volume(drained.stays()), "below the port, on the slope as it stands"));
  }

  // --- siphons -----------------------------------------------------------------------------------

  private Question siphon() {
    return Question.of(
        "siphon",
        "Does an overflow siphon",
        trip.form(),
        "Each tank brim-full but for a glass, handles as they are, pumps off and taps closed, left for"
            + " six hours. A tank whose only opening is its overflow is taken to hold its water back by"
            + " the vacuum over it; a wide hose lets air up beside the water, and may run on.",
        () -> {
          return Question.Answer.rows(
              BrimFull.of(trip.network(), trip.now()).stream().map(this::brimFull).toList());
        });
  }

  private Question.Row brimFull(BrimFull tank) {
    String label = trip.label(tank.tank());
    String loses = tank.losesNothing() ? "loses nothing" : "loses " + volume(tank.lost());
    if (tank.siphons()) {
      return new Question.Row(
          label, loses, "△ it siphons: admit air at the crest, or close its travel valve");
    }
    if (!tank.isToTheEnd()) {
      return new Question.Row(
          label,
          loses + " in the first " + Times.of(tank.watched()),
          "it runs over in gulps, and was not watched to its end");
    }
    return new Question.Row(
        label,
        loses,
        tank.losesNothing() ? "nothing runs out" : "it runs over, and stops by itself");
  }

  // --- drives ------------------------------------------------------------------------------------

  private Question drive() {
    Form form = trip.form();
    List<Field.Option> options = new ArrayList<>();
    IntStream.range(0, Drive.READY.size())
        .forEach(
            i -> options.add(new Field.Option(Integer.toString(i), Drive.READY.get(i).words())));
    options.add(new Field.Option(OWN, "my own"));
    String chosen = form.choice("drive", "The drive", options);
    List<Form.Row> own =
        chosen.equals(OWN)
            ? form.table(
                "stretch", "My own, stretch by stretch", "Downhill is negative.", STRETCH, USUAL)
            : List.of();
    return Question.of(
        "drive",
        "What a drive loses",
        form,
        "From full tanks. The range: it tips a fifth less or a quarter more than given, and tails"
            + " siphon late or early. Slosh is not modelled and adds to it.",
        () -> {
          Drive drive = chosen.equals(OWN) ? own(own) : Drive.READY.get(Integer.parseInt(chosen));
          Drive.Losses open = drive.losses(trip.network(), trip.full());
          Optional<State> shutState = Drive.travelValvesShut(trip.rig(), trip.full());
          Optional<Drive.Losses> shut = shutState.map(s -> drive.losses(trip.network(), s));
          Rig raised = Drive.withRaisedVents(trip.rig());
          Drive.Losses aired = drive.losses(Network.of(raised), trip.full());
          List<Question.Table> tables = new ArrayList<>();
          losses(drive.words(), "leaves at", Drive.Losses::ends, open, shut, aired)
              .ifPresent(tables::add);
          losses("The same by tank", "lost from", Drive.Losses::tanks, open, shut, aired)
              .ifPresent(tables::add);
          return tables.isEmpty()
              ? Question.Answer.rows(
                  List.of(
                      new Question.Row(
                          drive.words(), "loses nothing", "at any end, in any variant")))
              : Question.Answer.tables(List.of(), tables);
        });
  }

  private Optional<Question.Table> losses(
      String title,
      String first,
      Function<Drive.Losses, Map<String, Drive.Lost>> of,
      Drive.Losses open,
      Optional<Drive.Losses> shut,
      Drive.Losses aired) {
    Set<String> ids = new TreeSet<>(of.apply(open).keySet());
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
                    shut.map(s -> lost(of.apply(s).get(id))).orElse("no valve"),
                    lost(of.apply(aired).get(id))))
            .toList();
    return Optional.of(
        new Question.Table(
            title,
            List.of(first, "as it stands", "travel valves closed", "raised, with air"),
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
      throw new Refusal("Give at least one stretch: how long, and how steep");
    }
    return new Drive(
        "My own",
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
