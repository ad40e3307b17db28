package fernwort.app.workbench;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.describe.RigEdit;
import fernwort.core.effort.Effort;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Point;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.rig.TankPort;
import fernwort.core.road.Drive;
import fernwort.core.run.Happening;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import fernwort.core.say.Times;
import fernwort.core.tank.Parked;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.IntStream;

/** Slopes, drains and drives: where the water goes when the ground is not level. */
final class SlopePage {

  /** How long the computing may watch one tank gurgle. */
  private static final Duration GURGLING = Duration.ofMillis(250);

  private static final double HOURS = 6 * 3600;

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
              trip.plumbing().tanks().stream().map(t -> parkedRow(t, slope)).toList();
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      "Each tank there",
                      List.of(
                          "tank",
                          "usable",
                          "stranded",
                          "gauge makes of it",
                          "drain leaves",
                          "park to empty"),
                      rows)));
        });
  }

  private List<String> parkedRow(Part part, Slope slope) {
    Kind.Tank tank = trip.plumbing().joined(part);
    var room = trip.plumbing().room(part.id());
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
    List<Part> tanks = trip.plumbing().tanks();
    String chosen =
        tanks.isEmpty()
            ? ""
            : form.choice(
                "drain-tank",
                "Tank",
                tanks.stream().map(t -> new Field.Option(t.id(), t.label())).toList());
    double bore = form.amount("drain-bore", "Bore of the drain line", Measure.LENGTH, 0.019, "");
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
          return Question.Answer.rows(drained(trip.rig().part(chosen), bore, length, drop));
        });
  }

  private List<Question.Row> drained(Part part, double bore, double length, double drop) {
    Kind.Tank tank = (Kind.Tank) part.kind();
    TankPort port =
        tank.tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.DRAIN)
            .findFirst()
            .or(() ->
                tank.tankPorts().stream().filter(p -> p.use() == TankPort.Use.FEED).findFirst())
            .orElseThrow(() -> new Refusal(part.label() + " has neither drain nor outlet"));
    Rig bench = bench(part, port, bore, length, drop);
    double holds = trip.now().volume(part.id());
    State start = new State(bench.atRest(), Map.of(part.id(), holds), trip.now().slope());
    Simulation run = Simulation.start(Plumbing.of(bench), start);
    double first = run.moment().flows().end("bench-end");
    double seconds = emptied(run);
    double left = run.moment().state().volume(part.id());
    return List.of(
        new Question.Row(
            "Runs for",
            String.format(Locale.ROOT, "%.0f min %02.0f s", Math.floor(seconds / 60), seconds % 60),
            "from %s as read, through %s"
                .formatted(
                    volume(holds), port.use() == TankPort.Use.DRAIN ? "its drain" : "its outlet")),
        new Question.Row("At first", trip.show(Measure.FLOW, first), "slower as the level falls"),
        new Question.Row("Stays", volume(left), "below the port, on the slope as it stands"));
  }

  /** Runs on until no more comes, and returns when that is (s). */
  private static double emptied(Simulation run) {
    while (run.time() < HOURS) {
      for (Happening h : run.runToNext(HOURS)) {
        if (h.kind() == Happening.Kind.RUNS_OUT && !h.begins()) {
          return h.at();
        }
      }
    }
    return run.time();
  }

  /** The tank alone with a drain line and an open vent at its top. */
  private Rig bench(Part part, TankPort port, double bore, double length, double drop) {
    Kind.Tank tank = (Kind.Tank) part.kind();
    double top = trip.plumbing().room(part.id()).highest(Slope.LEVEL);
    TankPort vent =
        new TankPort("bench-vent", TankPort.Use.VENT, new Point(port.at().x(), port.at().y(), top));
    Part alone = part.with(tank.withPorts(List.of(port, vent)));
    Rig whole = trip.rig();
    Rig rig =
        new Rig(
            whole.name(),
            "",
            whole.vehicle(),
            whole.places(),
            List.of(
                alone,
                end(
                    "bench-end",
                    part,
                    part.height() + port.at().z() - drop,
                    Kind.OpenEnd.Role.DRAIN),
                end("bench-air", part, part.height() + top + 0.3, Kind.OpenEnd.Role.VENT)),
            List.of());
    Rig drained =
        RigEdit.of(rig).connect(line("bench-drain", alone, port.id(), "bench-end", bore, length));
    return RigEdit.of(drained)
        .connect(line("bench-vent-line", alone, vent.id(), "bench-air", 0.02, 0.3));
  }

  private static Part end(String id, Part beside, double height, Kind.OpenEnd.Role role) {
    return new Part(
        id, id, beside.place(), beside.x(), beside.y(), height, 0, new Kind.OpenEnd(role));
  }

  private static Line line(
      String id, Part tank, String port, String end, double bore, double length) {
    return new Line(
        id,
        id,
        tank.port(port),
        new PortRef(end, "in"),
        bore,
        length,
        Line.Material.PVC_HOSE,
        3.5,
        List.of());
  }

  // --- siphons -----------------------------------------------------------------------------------

  private Question siphon() {
    return Question.of(
        "siphon",
        "Does an overflow siphon",
        trip.form(),
        "Each tank brim-full but for a glass, handles as they stand, pumps off and taps shut, left for"
            + " six hours. A tank whose only opening is its overflow is taken to hold its water back by"
            + " the vacuum over it; a wide hose lets air up beside the water, and may run on.",
        () -> {
          List<Question.Row> rows = new ArrayList<>();
          for (Part tank : trip.plumbing().tanks()) {
            double capacity = trip.plumbing().room(tank.id()).capacity();
            State full =
                Drive.shutDown(trip.rig(), trip.now()).withVolume(tank.id(), capacity - 2e-4);
            rows.add(siphons(tank, Simulation.start(trip.plumbing(), full)));
          }
          return Question.Answer.rows(rows);
        });
  }

  /** Watches a brim-full tank; one that gurgles on for hours is left after a while, and said so. */
  private Question.Row siphons(Part tank, Simulation run) {
    Effort effort = Effort.of(GURGLING);
    List<Happening> seen = new ArrayList<>();
    boolean toTheEnd = true;
    try {
      effort.on(() -> {
        while (run.time() < HOURS) {
          seen.addAll(run.runToNext(HOURS));
        }
        return seen;
      });
    } catch (EffortExceededException e) {
      toTheEnd = false;
    }
    double lost = run.moment().totals().allOut();
    String loses = lost < 1e-5 ? "loses nothing" : "loses " + volume(lost);
    boolean siphons =
        lost > 1e-4 && seen.stream().anyMatch(h -> h.kind() == Happening.Kind.SIPHONS);
    if (siphons) {
      return new Question.Row(
          tank.label(), loses, "△ it siphons: admit air at the crest, or shut its travel valve");
    }
    if (!toTheEnd) {
      return new Question.Row(
          tank.label(),
          loses + " in the first " + Times.of(run.time()),
          "it runs over in gulps, and was not watched to its end");
    }
    return new Question.Row(
        tank.label(),
        loses,
        lost < 1e-5 ? "nothing runs out" : "it runs over, and stops by itself");
  }

  // --- drives ------------------------------------------------------------------------------------

  private Question drive() {
    Form form = trip.form();
    List<Field.Option> options = new ArrayList<>();
    IntStream.range(0, Drive.READY.size())
        .forEach(
            i -> options.add(new Field.Option(Integer.toString(i), Drive.READY.get(i).words())));
    options.add(new Field.Option("own", "my own, below"));
    String chosen = form.choice("drive", "The drive", options);
    String text =
        form.rows(
            "drive-own",
            "My own",
            "300 s; climb 8 %; bend 0\n6 s; climb 0 %; brake 3",
            "A line for each stretch: seconds; climb in percent; then bend (left is positive) or brake"
                + " or gain, each in m/s². A brisk bend is 2.5, hard braking 4.");
    return Question.of(
        "drive",
        "What a drive loses",
        form,
        "From full tanks. The range: tips a fifth less and a quarter more than given, and tails that"
            + " siphon late or as soon as they may. Slosh is not modelled and adds to it.",
        () -> {
          Drive drive =
              chosen.equals("own") ? own(text) : Drive.READY.get(Integer.parseInt(chosen));
          Drive.Losses open = drive.losses(trip.plumbing(), trip.full());
          Optional<State> shutState = Drive.travelValvesShut(trip.rig(), trip.full());
          Optional<Drive.Losses> shut = shutState.map(s -> drive.losses(trip.plumbing(), s));
          Rig raised = Drive.withRaisedVents(trip.rig());
          Drive.Losses aired = drive.losses(Plumbing.of(raised), trip.full());
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
            title, List.of(first, "as it stands", "travel valves shut", "raised, with air"), rows));
  }

  private String lost(Drive.@org.jspecify.annotations.Nullable Lost lost) {
    return lost == null || lost.high() < 1e-5
        ? "nothing"
        : "%s (%s to %s)"
            .formatted(volume(lost.expected()), volume(lost.low()), volume(lost.high()));
  }

  private static Drive own(String text) {
    List<Drive.Stretch> stretches = new ArrayList<>();
    for (String line : text.lines().filter(l -> !l.isBlank()).toList()) {
      String[] cells = line.strip().split("\\s*;\\s*");
      if (cells.length < 2) {
        throw new Refusal(
            "My own: “%s” needs seconds and a climb, parted by semicolons".formatted(line));
      }
      double seconds = Form.plain("Seconds", cells[0].replaceAll("\\s*s$", ""));
      double climb = Form.plain("Climb", bare(cells[1], "climb", "%")) / 100;
      double bend = 0;
      double forward = 0;
      for (int i = 2; i < cells.length; i++) {
        String cell = cells[i];
        if (cell.startsWith("bend")) {
          bend = Form.plain("Bend", bare(cell, "bend", ""));
        } else if (cell.startsWith("brake")) {
          forward = -Form.plain("Brake", bare(cell, "brake", ""));
        } else if (cell.startsWith("gain")) {
          forward = Form.plain("Gain", bare(cell, "gain", ""));
        } else {
          throw new Refusal("My own: “%s” is neither bend, brake nor gain".formatted(cell));
        }
      }
      if (!(seconds > 0 && seconds <= 86_400) || Math.abs(climb) > 0.5) {
        throw new Refusal("My own: “%s” is no road; check its seconds and climb".formatted(line));
      }
      stretches.add(new Drive.Stretch(seconds, climb, 0, forward, bend));
    }
    return new Drive("My own", stretches);
  }

  private static String bare(String cell, String word, String sign) {
    return cell.replace(word, "").replace(sign, "").strip();
  }

  private String volume(double si) {
    return trip.show(Measure.VOLUME, si);
  }
}
