package fernwort.app.sizing;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Marked;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.core.sizing.PressureAlong;
import fernwort.core.sizing.PumpAndLines;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** Why the weakest tap is weak: the pressure on the way to it, and what would help. */
final class WeakestTap {

  /** A line that takes so much of what is lost on the way stands out. */
  private static final double MUCH = 0.25;

  private static final double SOME = 0.1;

  /** With less than this nobody tells a difference at the tap. */
  private static final double GAIN = 0.03;

  /** Two ends of one part are drawn so far from each other at least (m). */
  private static final double STEP = 0.001;

  private final Trip trip;
  private final PumpAndLines figures;

  WeakestTap(Trip trip, PumpAndLines figures) {
    this.trip = trip;
    this.figures = figures;
  }

  /** Why the weakest tap is weak: where on its way the pressure goes. */
  Question question() {
    PressureAlong way = figures.weakest();
    String tap = trip.label(way.tap());
    PumpAndLines.AtFixture at =
        figures.fixtures().stream()
            .filter(f -> f.fixture().equals(way.tap()))
            .findFirst()
            .orElseThrow();
    return Question.of(
        "weakest",
        Says.WHY_IS_THE_WEAKEST.filled(tap),
        trip.form(),
        Says.WITH_OPEN_WHAT_A_PART_TAKES.filled(trip.names(figures.together())),
        () -> {
          List<Question.Row> rows = new ArrayList<>();
          rows.add(
              new Question.Row(
                  "%s gets".formatted(tap),
                  PumpPage.share(trip, at.together(), at.rated()),
                  Says.OF_WHAT_IT_IS_MADE_FOR.text()));
          for (PressureAlong.Loss loss :
              way.losses().subList(0, Math.min(2, way.losses().size()))) {
            rows.add(
                new Question.Row(
                    "%s takes".formatted(named(loss)),
                    trip.pressure(loss.pressure()),
                    Says.OF_THAT_ARE_LOST_ON_THE_WAY.filled(trip.pressure(way.lost()))));
          }
          if (way.climb() > SOME * way.lost()) {
            rows.add(
                new Question.Row(
                    Says.HEIGHT_TAKES.text(),
                    trip.pressure(way.climb()),
                    Says.THE_TAP_IS_SO_MUCH_ABOVE.text()));
          }
          rows.addAll(helps(at.together() / at.rated()));
          // Where nothing comes at all there is no way to draw.
          List<Chart> charts = way.stops().isEmpty() ? List.of() : List.of(along(way, tap));
          return new Question.Answer(rows, List.of(), charts, List.of()).on(drawn(way));
        });
  }

  private String named(PressureAlong.Loss loss) {
    return loss.isLine() ? trip.line(loss.id()).label() : trip.label(loss.id());
  }

  /** The changes that help the weakest tap most, with what each gives it. */
  private List<Question.Row> helps(double now) {
    Stream<Help> wider =
        figures.wider().stream()
            .map(t -> new Help(Says.WITH_ONE_SIZE_UP_IN.filled(trip.line(t.subject()).label()), t));
    Stream<Help> pumps =
        figures.pumps().stream()
            .map(t ->
                new Help(
                    Says.WITH_A_PUMP_OF.filled(trip.flow(t.what()), trip.pressure(t.pressure())),
                    t));
    Stream<Help> bores =
        figures.bores().stream()
            .map(t -> new Help(Says.WITH_ALL_LINES_AT.filled(trip.length(t.what())), t));
    return Stream.of(wider, pumps, bores)
        .flatMap(all -> all.max(Comparator.comparingDouble(h -> h.trial().worst())).stream())
        .filter(h -> h.trial().worst() > now + GAIN)
        .sorted(Comparator.comparingDouble((Help h) -> h.trial().worst()).reversed())
        .map(h ->
            new Question.Row(
                h.what(),
                PumpPage.worst(h.trial()),
                Says.AT_THE_WEAKEST_TAP_INSTEAD_OF.filled(percent(now))))
        .toList();
  }

  private record Help(String what, PumpAndLines.Trial trial) {}

  private static String percent(double share) {
    return String.format(Locale.ROOT, "%.0f %%", 100 * share);
  }

  private Chart along(PressureAlong way, String tap) {
    List<Double> at = new ArrayList<>();
    double last = -1;
    for (PressureAlong.Stop stop : way.stops()) {
      // Two ends at one place: the second a hair further on, so that the step is seen.
      last = Math.max(stop.along(), last + STEP);
      at.add(last);
    }
    return new Chart(
        Says.PRESSURE_ON_THE_WAY_TO.filled(tap),
        new Chart.Axis(Says.FROM_THE_PUMP.text(), trip.units().unit(Measure.LENGTH).sign()),
        new Chart.Axis("pressure", trip.units().unit(Measure.PRESSURE).sign()),
        trip.in(Measure.LENGTH, at),
        List.of(
            new Chart.Course(
                "pressure",
                Chart.Style.EXPECTED,
                trip.in(
                    Measure.PRESSURE,
                    way.stops().stream().map(PressureAlong.Stop::pressure).toList()))));
  }

  /** The way on the drawing: the pressure at its parts, the lines that take most standing out. */
  private Marked drawn(PressureAlong way) {
    Map<String, Marked.Mark> marks = new HashMap<>();
    for (PressureAlong.Stop stop : way.stops()) {
      String there = trip.pressure(stop.pressure());
      marks.put(stop.part().value(), new Marked.Mark(Marked.Weight.NONE, there, there + " there"));
    }
    for (PressureAlong.Loss loss : way.losses()) {
      Marked.Weight weight =
          loss.pressure() > MUCH * way.lost()
              ? Marked.Weight.DANGER
              : loss.pressure() > SOME * way.lost() ? Marked.Weight.WARNING : Marked.Weight.NONE;
      String taken = "takes " + trip.pressure(loss.pressure());
      marks.merge(
          loss.id().value(),
          new Marked.Mark(weight, "", taken),
          (there, takes) -> new Marked.Mark(weight, there.text(), there.words() + ", " + taken));
    }
    return new Marked(Says.THE_WAY_OF_THE_WATER.text(), marks);
  }
}
