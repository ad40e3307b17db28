package fernwort.app.workbench;

import fernwort.app.questions.Column;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.bench.JugAgainstModel;
import fernwort.core.bench.Obstacle;
import fernwort.core.bench.PiecedLine;
import fernwort.core.bench.VentWidth;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.TimedJug;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Lines on the bench: pieces in a row, a timed jug against the model, and vents. */
final class LinePage {

  private static final double LITRES_PER_MINUTE = 1e-3 / 60;

  private static final List<Column> PIECE =
      Stream.concat(
              Stream.of(
                  Column.amount("bore", "bore", Measure.LENGTH),
                  Column.amount("length", "length", Measure.LENGTH)),
              Stream.of(Obstacle.values()).map(o -> Column.number(id(o), o.words(), id(o))))
          .toList();

  /** A line as many rigs have it: an elbow or two, and a narrow fitting on the way. */
  private static final List<List<String>> USUAL =
      List.of(
          List.of("13", "3 m", "2", "", "", "", "", "1"),
          List.of("9", "50", "", "", "", "1"),
          List.of("13", "2 m", "1", "1", "", "", "1", "", "1"));

  private final Trip trip;

  private LinePage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    LinePage page = new LinePage(trip);
    return List.of(page.pieces(), page.jug(), page.vent());
  }

  // --- pieces in a row ---------------------------------------------------------------------------

  private Question pieces() {
    Form form = trip.form();
    double pressure =
        form.amount("bench-pressure", Says.PRESSURE_AVAILABLE.text(), Measure.PRESSURE, 0.5e5, "");
    List<Form.Row> rows =
        form.table(
            "piece",
            Says.PIECES_IN_THE_ORDER_OF_THE_WATER.text(),
            Says.A_ROW_FOR_EACH_SIZE_ON_THE_WAY.text(),
            PIECE,
            USUAL);
    return Question.of(
        "pieces",
        Says.FLOW_THROUGH_A_LINE_OF_GIVEN.text(),
        form,
        Says.WHAT_ELBOWS_AND_TEES_TAKE.text(),
        () -> pieces(PiecedLine.of(rows.stream().map(LinePage::piece).toList(), pressure)));
  }

  private Question.Answer pieces(PiecedLine line) {
    List<List<String>> rows =
        IntStream.range(0, line.pieces().size()).mapToObj(i -> row(line, i)).toList();
    return Question.Answer.tables(
        List.of(
            new Question.Row(
                "Flow",
                trip.show(Measure.FLOW, line.flow()),
                Says.WHERE_ALL_PIECES_TOGETHER_TAKE.filled(
                    trip.show(Measure.PRESSURE, line.pressure())))),
        List.of(
            new Question.Table(
                Says.PIECE_BY_PIECE.text(),
                List.of("piece", "takes", "share", Says.ONE_SIZE_UP_GIVES.text()),
                rows)));
  }

  private List<String> row(PiecedLine line, int index) {
    PiecedLine.Piece piece = line.pieces().get(index);
    double takes = line.takes(index);
    return List.of(
        Says.LONG.filled(
            trip.show(Measure.LENGTH, piece.bore()), trip.show(Measure.LENGTH, piece.length())),
        trip.show(Measure.PRESSURE, takes),
        String.format(
            Locale.ROOT,
            "%.0f %%%s",
            100 * takes / line.pressure(),
            index == line.bottleneck() ? Says.THE_BOTTLENECK.text() : ""),
        "%s with %s"
            .formatted(
                trip.show(Measure.FLOW, line.withNextBore(index).flow()),
                trip.show(Measure.LENGTH, piece.nextBore())));
  }

  private static PiecedLine.Piece piece(Form.Row row) {
    double coefficient =
        Stream.of(Obstacle.values()).mapToDouble(o -> row.number(id(o)) * o.coefficient()).sum();
    return new PiecedLine.Piece(row.number("bore"), row.number("length"), coefficient);
  }

  private static String id(Obstacle obstacle) {
    return obstacle.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  // --- a timed jug against the model -------------------------------------------------------------

  private Question jug() {
    Form form = trip.form();
    List<Part> fixtures =
        trip.rig().parts().stream().filter(p -> p.kind().is(Purpose.USE)).toList();
    String chosen =
        fixtures.isEmpty()
            ? ""
            : form.choice(
                "bench-fixture",
                Says.TIMED_AT.text(),
                fixtures.stream().map(p -> new Field.Option(p.id().value(), p.label())).toList());
    double jug = form.amount("bench-jug", Says.THE_JUG_HOLDS.text(), Measure.VOLUME, 5e-3, "");
    List<Double> seconds =
        form.numbers("bench-seconds", Says.SECONDS_EACH_GO.text(), Says.ONLY_THIS_TAP_OPEN.text());
    return Question.of(
        "timed",
        Says.A_TIMED_JUG_AGAINST_THE_MODEL.text(),
        form,
        Says.HANDLES_AS_THEY_ARE_ON_THE_BOARD.text(),
        () -> {
          if (chosen.isEmpty() || seconds.isEmpty()) {
            throw new Refusal(Says.TIME_A_JUG_AT_A_TAP.with());
          }
          TimedJug timed = TimedJug.of(jug, seconds);
          return timed(JugAgainstModel.of(trip.network(), trip.now(), PartId.of(chosen), timed));
        });
  }

  private Question.Answer timed(JugAgainstModel against) {
    return Question.Answer.rows(
        List.of(
            new Question.Row(
                "Timed",
                trip.show(Measure.FLOW, against.timed().flow()),
                Says.GOES_SPREAD.filled(
                    against.timed().goes(), trip.show(Measure.FLOW, against.timed().spread()))),
            new Question.Row(
                Says.THE_MODEL_EXPECTS.text(),
                trip.show(Measure.FLOW, against.expected()),
                "at %s"
                    .formatted(
                        against
                            .pressure()
                            .map(p -> trip.show(Measure.PRESSURE, p))
                            .orElse(Says.NO_PRESSURE_SET_THE_HANDLES.text()))),
            new Question.Row(
                "So",
                String.format(Locale.ROOT, "%.0f %% of it", 100 * against.share()),
                suggestion(against.verdict()))));
  }

  private static String suggestion(JugAgainstModel.Verdict verdict) {
    return switch (verdict) {
      case NOTHING_EXPECTED -> Says.WITH_THESE_HANDLES_NOTHING.text();
      case NEARLY_SHUT -> Says.SOMETHING_IS_NEARLY_CLOSED.text();
      case LESS -> Says.LOOK_AT_THE_FILTER_THE_AERATOR.text();
      case AS_EXPECTED -> Says.AS_NEAR_AS_MEASURED_FIGURES_COME.text();
      case MORE -> Says.THE_PUMP_GIVES.text();
    };
  }

  // --- vents -------------------------------------------------------------------------------------

  private Question vent() {
    Form form = trip.form();
    double filling =
        form.amount(
            "vent-filling",
            Says.FILLED_AT.text(),
            Measure.FLOW,
            20 * LITRES_PER_MINUTE,
            Says.THE_STRONGEST_TAP.text());
    double length =
        form.amount("vent-length", Says.LENGTH_OF_THE_VENT.text(), Measure.LENGTH, 2, "");
    double rise =
        form.amount(
            "vent-rise",
            Says.IT_RISES_OVER_THE_TANKS_TOP_BY.text(),
            Measure.LENGTH,
            0.5,
            Says.ITS_CREST.text());
    double limit =
        form.amount(
            "vent-limit",
            Says.THE_TANK_BEARS.text(),
            Measure.PRESSURE,
            0.1e5,
            Says.DEFAULT_0_1_BAR_FOR_A_FLAT.text());
    return Question.of(
        "vent",
        Says.HOW_WIDE_A_VENT.text(),
        form,
        Says.AIR_WHILE_IT_FILLS_WATER_ONCE.text(),
        () -> {
          List<VentWidth> bores = VentWidth.of(length, rise, filling, limit);
          List<List<String>> rows = bores.stream().map(this::vent).toList();
          return Question.Answer.tables(
              List.of(widest(bores)),
              List.of(
                  new Question.Table(
                      Says.PRESSURE_IN_THE_TANK.text(),
                      List.of(
                          "bore", Says.AIR_LEAVING.text(), Says.WATER_LEAVING.text(), "verdict"),
                      rows)));
        });
  }

  /** The answer: the narrowest vent that holds. */
  private Question.Row widest(List<VentWidth> bores) {
    return VentWidth.narrowest(bores)
        .map(vent ->
            new Question.Row(
                trip.show(Measure.LENGTH, vent.bore()),
                Says.IS_THE_NARROWEST_THAT_HOLDS.text(),
                Says.IN_THE_TANK_ONCE_WATER_LEAVES.filled(little(vent.withWater()))))
        .orElseGet(() ->
            new Question.Row(
                Says.NONE_OF_THESE.text(), Says.HOLDS.text(), Says.LOWER_THE_VENT.text()));
  }

  private List<String> vent(VentWidth vent) {
    return List.of(
        trip.show(Measure.LENGTH, vent.bore()),
        little(vent.withAir()),
        little(vent.withWater()),
        switch (vent.verdict()) {
          case HOLDS -> Says.HOLDS.text();
          case ONLY_AIR -> Says.ONLY_WITH_AIR.text();
          case TOO_NARROW -> Says.TOO_NARROW.text();
        });
  }

  private String little(double pressure) {
    return pressure < 500 ? Says.NEXT_TO_NONE.text() : trip.show(Measure.PRESSURE, pressure);
  }
}
