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
        form.amount("bench-pressure", "Pressure available", Measure.PRESSURE, 0.5e5, "");
    List<Form.Row> rows =
        form.table(
            "piece",
            "Pieces, in the order of the water",
            "A row for each size on the way; how many of each stand in it.",
            PIECE,
            USUAL);
    return Question.of(
        "pieces",
        "Flow through a line of given pieces",
        form,
        "What elbows and tees take is rounded from handbooks; small moulded ones take up to half as"
            + " much again.",
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
                "where all pieces together take %s"
                    .formatted(trip.show(Measure.PRESSURE, line.pressure())))),
        List.of(
            new Question.Table(
                "Piece by piece", List.of("piece", "takes", "share", "one size up gives"), rows)));
  }

  private List<String> row(PiecedLine line, int index) {
    PiecedLine.Piece piece = line.pieces().get(index);
    double takes = line.takes(index);
    return List.of(
        "%s, %s long"
            .formatted(
                trip.show(Measure.LENGTH, piece.bore()), trip.show(Measure.LENGTH, piece.length())),
        trip.show(Measure.PRESSURE, takes),
        String.format(
            Locale.ROOT,
            "%.0f %%%s",
            100 * takes / line.pressure(),
            index == line.bottleneck() ? ", the bottleneck" : ""),
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
                "Timed at",
                fixtures.stream().map(p -> new Field.Option(p.id(), p.label())).toList());
    double jug = form.amount("bench-jug", "The jug holds", Measure.VOLUME, 5e-3, "");
    List<Double> seconds = form.numbers("bench-seconds", "Seconds, each go", "Only this tap open.");
    return Question.of(
        "timed",
        "A timed jug against the model",
        form,
        "Handles as they are on the Board, this tap alone opened cold, supply pumps on. The model"
            + " does not know kinks, scale or a weak battery: that is what the difference is for.",
        () -> {
          if (chosen.isEmpty() || seconds.isEmpty()) {
            throw new Refusal("Time a jug at a tap and enter its seconds");
          }
          TimedJug timed = TimedJug.of(jug, seconds);
          return timed(JugAgainstModel.of(trip.network(), trip.now(), chosen, timed));
        });
  }

  private Question.Answer timed(JugAgainstModel against) {
    return Question.Answer.rows(
        List.of(
            new Question.Row(
                "Timed",
                trip.show(Measure.FLOW, against.timed().flow()),
                against.timed().goes()
                    + " goes, spread "
                    + trip.show(Measure.FLOW, against.timed().spread())),
            new Question.Row(
                "The model expects",
                trip.show(Measure.FLOW, against.expected()),
                "at %s"
                    .formatted(
                        against
                            .pressure()
                            .map(p -> trip.show(Measure.PRESSURE, p))
                            .orElse("no pressure: set the handles for this tap"))),
            new Question.Row(
                "So",
                String.format(Locale.ROOT, "%.0f %% of it", 100 * against.share()),
                suggestion(against.verdict()))));
  }

  private static String suggestion(JugAgainstModel.Verdict verdict) {
    return switch (verdict) {
      case NOTHING_EXPECTED -> "with these handles nothing should come: look at the Board first";
      case NEARLY_SHUT ->
          "something is nearly closed: a kink, a clogged strainer or aerator, a handle half way,"
              + " a filter due";
      case LESS ->
          "look at the filter, the aerator and the voltage at the pump, then at the fittings";
      case AS_EXPECTED -> "as near as measured figures come";
      case MORE ->
          "the pump gives more than its plate here says, or the tap is larger: correct them";
    };
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
          List<List<String>> rows =
              VentWidth.of(length, rise, filling, limit).stream().map(this::vent).toList();
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      "Pressure in the tank",
                      List.of("bore", "air leaving", "water leaving", "verdict"),
                      rows)));
        });
  }

  private List<String> vent(VentWidth vent) {
    return List.of(
        trip.show(Measure.LENGTH, vent.bore()),
        little(vent.withAir()),
        little(vent.withWater()),
        switch (vent.verdict()) {
          case HOLDS -> "holds";
          case ONLY_AIR -> "△ only with air";
          case TOO_NARROW -> "△ too narrow";
        });
  }

  private String little(double pressure) {
    return pressure < 500 ? "next to none" : trip.show(Measure.PRESSURE, pressure);
  }
}
