package fernwort.app.workbench;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import fernwort.core.flow.SteadyFlow;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Position;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.PumpAndLines;
import fernwort.core.sizing.TimedJug;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Lines on the bench: pieces in a row, a timed jug against the model, and vents. */
final class LinePage {

  private static final double SMOOTH = 1.5e-6;
  private static final double LITRES_PER_MINUTE = 1e-3 / 60;

  /** Air at 15 °C (kg/m³, Pa·s). */
  private static final Fluid AIR = new Fluid(1.225, 1.79e-5);

  private final Trip trip;

  private LinePage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    LinePage page = new LinePage(trip);
    return List.of(page.pieces(), page.jug(), page.vent());
  }

  // --- pieces in a row ---------------------------------------------------------------------------

  private record Piece(double bore, double length, double k) {
    Pipe pipe() {
      return Pipe.of(bore, length, SMOOTH, k, Fluid.WATER);
    }
  }

  private Question pieces() {
    Form form = trip.form();
    double pressure =
        form.amount("bench-pressure", "Pressure to spend", Measure.PRESSURE, 0.5e5, "");
    String text =
        form.rows(
            "bench-pieces",
            "Pieces, in order",
            "13 mm; 3 m; 2\n9 mm; 0.05 m; 1.5\n13 mm; 2 m; 3",
            "A line for each: bore; length; sum of its fittings' K.");
    return Question.of(
        "pieces",
        "Flow through a line of given pieces",
        form,
        "About 0.9 for an elbow, 1.5 for a tee's branch, 0.5 for a sharp entrance, 1 for the free"
            + " end.",
        () -> {
          List<Piece> pieces = text.lines().filter(l -> !l.isBlank()).map(this::piece).toList();
          if (pieces.isEmpty() || !(pressure > 0)) {
            throw new Refusal("Give a pressure and at least one piece");
          }
          double flow = through(pieces, pressure);
          List<List<String>> rows = new ArrayList<>();
          int worst = 0;
          for (int i = 0; i < pieces.size(); i++) {
            worst = takes(pieces.get(i), flow) > takes(pieces.get(worst), flow) ? i : worst;
          }
          for (int i = 0; i < pieces.size(); i++) {
            rows.add(row(pieces, i, flow, pressure, i == worst));
          }
          return Question.Answer.tables(
              List.of(
                  new Question.Row(
                      "Flow",
                      trip.show(Measure.FLOW, flow),
                      "where all pieces together take %s"
                          .formatted(trip.show(Measure.PRESSURE, pressure)))),
              List.of(
                  new Question.Table(
                      "Piece by piece",
                      List.of("piece", "takes", "share", "one bore more gives"),
                      rows)));
        });
  }

  private List<String> row(
      List<Piece> pieces, int index, double flow, double pressure, boolean worst) {
    Piece piece = pieces.get(index);
    double next =
        PumpAndLines.BORES.stream()
            .filter(b -> b > piece.bore() + 5e-4)
            .findFirst()
            .orElse(piece.bore() * 1.25);
    List<Piece> wider = new ArrayList<>(pieces);
    wider.set(index, new Piece(next, piece.length(), piece.k()));
    double takes = takes(piece, flow);
    return List.of(
        "%s, %s long"
            .formatted(
                trip.show(Measure.LENGTH, piece.bore()), trip.show(Measure.LENGTH, piece.length())),
        trip.show(Measure.PRESSURE, takes),
        String.format(
            Locale.ROOT, "%.0f %%%s", 100 * takes / pressure, worst ? ", the bottleneck" : ""),
        "%s with %s"
            .formatted(
                trip.show(Measure.FLOW, through(wider, pressure)),
                trip.show(Measure.LENGTH, next)));
  }

  private Piece piece(String line) {
    String[] cells = line.strip().split("\\s*;\\s*");
    if (cells.length != 3) {
      throw new Refusal(
          "Pieces: “%s” needs bore, length and K, parted by semicolons".formatted(line));
    }
    Units units = trip.units();
    double bore = units.parse("Bore", Measure.LENGTH, cells[0]);
    double length = units.parse("Length", Measure.LENGTH, cells[1]);
    if (!(bore > 1e-3 && bore < 0.3 && length > 0 && length < 200)) {
      throw new Refusal("Pieces: “%s” is no pipe; check its bore and length".formatted(line));
    }
    return new Piece(bore, length, Form.plain("K", cells[2]));
  }

  private static double takes(Piece piece, double flow) {
    return Fluid.WATER.pressure(piece.pipe().loss(flow));
  }

  private static double through(List<Piece> pieces, double pressure) {
    FlowNetwork.Builder line = FlowNetwork.builder();
    int at = line.reservoir(Fluid.WATER.head(pressure));
    for (int i = 0; i < pieces.size(); i++) {
      int next = i == pieces.size() - 1 ? line.reservoir(0) : line.junction(0);
      line.link(at, next, pieces.get(i).pipe());
      at = next;
    }
    SteadyFlow flow = line.build().solve();
    return flow.flows()[0];
  }

  // --- a timed jug against the model -------------------------------------------------------------

  private Question jug() {
    Form form = trip.form();
    List<Part> fixtures =
        trip.rig().parts().stream().filter(p -> p.kind() instanceof Kind.Fixture).toList();
    String chosen =
        fixtures.isEmpty()
            ? ""
            : form.choice(
                "bench-fixture",
                "Timed at",
                fixtures.stream().map(p -> new Field.Option(p.id(), p.label())).toList());
    double jug = form.amount("bench-jug", "The jug holds", Measure.VOLUME, 5e-3, "");
    List<Double> seconds = form.numbers("bench-seconds", "Seconds, each go", "Only this tap open.");
    return Question.of(
        "timed",
        "A timed jug against the model",
        form,
        "Handles as they stand on the Board, this tap alone opened cold, supply pumps on. The model"
            + " does not know kinks, scale or a weak battery: that is what the difference is for.",
        () -> {
          if (chosen.isEmpty() || seconds.isEmpty()) {
            throw new Refusal("Time a jug at a tap and enter its seconds");
          }
          TimedJug timed = TimedJug.of(jug, seconds);
          Flows flows = Hydraulics.of(trip.plumbing()).solve(open(chosen));
          double expected = flows.fixture(chosen);
          double share = timed.flow() / Math.max(expected, 1e-9);
          return Question.Answer.rows(
              List.of(
                  new Question.Row(
                      "Timed",
                      trip.show(Measure.FLOW, timed.flow()),
                      String.format(
                          Locale.ROOT,
                          "%d goes, spread %s",
                          timed.goes(),
                          trip.show(Measure.FLOW, timed.spread()))),
                  new Question.Row(
                      "The model expects",
                      trip.show(Measure.FLOW, expected),
                      "at %s"
                          .formatted(
                              flows
                                  .pressure(chosen, "cold")
                                  .map(p -> trip.show(Measure.PRESSURE, p))
                                  .orElse("no pressure: set the handles for this tap"))),
                  new Question.Row(
                      "So",
                      String.format(Locale.ROOT, "%.0f %% of it", 100 * share),
                      suggestion(share, expected))));
        });
  }

  private static String suggestion(double share, double expected) {
    if (expected < 1e-7) {
      return "with these handles nothing should come: look at the Board first";
    }
    if (share < 0.5) {
      return "something is nearly shut: a kink, a clogged strainer or aerator, a handle half way,"
          + " a filter due";
    }
    if (share < 0.8) {
      return "look at the filter, the aerator and the voltage at the pump, then at K of the fittings";
    }
    if (share > 1.25) {
      return "the pump gives more than its plate here says, or the tap is larger: correct them";
    }
    return "as near as measured figures come";
  }

  private State open(String fixture) {
    State state = trip.now();
    for (Part part : trip.rig().parts()) {
      if (part.kind() instanceof Kind.Fixture tap) {
        Position position = part.id().equals(fixture) ? tap.cold() : part.rest();
        state = state.with(part.id(), position.id());
      } else if (part.kind() instanceof Kind.Pump pump && pump.duty() == Kind.Pump.Duty.SUPPLY) {
        state = state.with(part.id(), Kind.ON);
      }
    }
    return state;
  }

  // --- vents -------------------------------------------------------------------------------------

  private Question vent() {
    Form form = trip.form();
    double filling =
        form.amount(
            "vent-filling",
            "Filled at",
            Measure.FLOW,
            20 * LITRES_PER_MINUTE,
            "The strongest tap.");
    double length = form.amount("vent-length", "Length of the vent", Measure.LENGTH, 2, "");
    double rise =
        form.amount(
            "vent-rise", "It rises over the tank's top by", Measure.LENGTH, 0.5, "Its crest.");
    double limit =
        form.amount(
            "vent-limit",
            "The tank bears",
            Measure.PRESSURE,
            0.1e5,
            "Default 0.1 bar for a flat-sided plastic tank: an estimate; ask its maker.");
    return Question.of(
        "vent",
        "How wide a vent",
        form,
        "Air while it fills, water once it is full and somebody is late to the tap: then the tank"
            + " bears the rise and what the water loses on its way. Three elbows are counted.",
        () -> {
          List<List<String>> rows = new ArrayList<>();
          for (double bore : PumpAndLines.BORES) {
            Pipe air = Pipe.of(bore, length, SMOOTH, 4.2, AIR);
            Pipe water = Pipe.of(bore, length, SMOOTH, 4.2, Fluid.WATER);
            double pressed = AIR.pressure(air.loss(filling));
            double full = Fluid.WATER.pressure(rise + water.loss(filling));
            rows.add(
                List.of(
                    trip.show(Measure.LENGTH, bore),
                    little(pressed),
                    little(full),
                    full <= limit
                        ? "holds"
                        : pressed <= limit ? "△ only with air" : "△ too narrow"));
          }
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      "Pressure in the tank",
                      List.of("bore", "air leaving", "water leaving", "verdict"),
                      rows)));
        });
  }

  private String little(double pressure) {
    return pressure < 500 ? "next to none" : trip.show(Measure.PRESSURE, pressure);
  }
}
