package fernwort.app.sizing;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.bench.NarrowFitting;
import fernwort.core.bench.WasteLine;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Driven;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.WasteRuns;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.PumpAndLines;
import fernwort.core.sizing.PumpCycle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What pump and lines give at the fixtures, and what would do better. */
final class PumpPage {

  private static final double USUAL_VESSEL = 0.7e-3;
  private static final int LINES_SHOWN = 5;

  private final Trip trip;

  private PumpPage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    PumpPage page = new PumpPage(trip);
    Form form = trip.form();
    List<PartId> together = page.together(form);
    Optional<PumpAndLines> figures;
    String problem = "";
    try {
      figures = Optional.of(PumpAndLines.of(trip.network(), trip.now(), together));
    } catch (Refusal e) {
      figures = Optional.empty();
      problem = trip.units().say(e.saying());
    }
    List<Question> questions = new ArrayList<>();
    if (figures.isPresent()) {
      questions.add(new WeakestTap(trip, figures.get()).question());
      questions.add(page.duty(figures.get()));
      questions.add(page.fixtures(form, figures.get()));
      questions.add(page.lines(figures.get()));
      questions.add(page.cycling(figures.get()));
    } else {
      String why = problem;
      questions.add(
          Question.of(
              "fixtures",
              Says.AT_THE_TAPS.text(),
              form,
              "",
              () -> {
                throw new Refusal(why);
              }));
    }
    questions.add(page.narrow());
    questions.add(page.drains());
    return questions;
  }

  private List<PartId> together(Form form) {
    List<Part> fixtures =
        trip.rig().parts().stream().filter(p -> p.kind().is(Purpose.USE)).toList();
    return form
        .ticks(
            "together",
            fixtures.stream()
                .map(f -> new Field.Option(f.id().value(), f.label() + " open"))
                .toList())
        .stream()
        .map(PartId::of)
        .toList();
  }

  // --- at the fixtures -----------------------------------------------------------------------

  private Question fixtures(Form form, PumpAndLines figures) {
    String open = trip.names(figures.together());
    List<List<String>> rows =
        figures.fixtures().stream()
            .map(f ->
                List.of(
                    trip.label(f.fixture()),
                    trip.flow(f.rated()),
                    share(trip, f.alone(), f.rated()),
                    trip.pressure(f.pressure()),
                    figures.together().contains(f.fixture())
                        ? share(trip, f.together(), f.rated())
                        : "closed",
                    trip.pressure(f.needs())))
            .toList();
    return Question.of(
        "fixtures",
        Says.AT_THE_TAPS.text(),
        form,
        Says.WITH_NONE_TICKED.text(),
        () ->
            Question.Answer.tables(
                List.of(),
                List.of(
                    new Question.Table(
                        Says.ALONE_AND_WITH_OPEN.filled(open),
                        List.of(
                            "tap",
                            "rated",
                            "alone",
                            Says.PRESSURE_THERE.text(),
                            "together",
                            Says.PRESSURE_NEEDED.text()),
                        rows))));
  }

  /** A flow with its share of what a tap is made for. */
  static String share(Trip trip, double flow, double rated) {
    String mark = flow < PumpAndLines.ENOUGH * rated ? "△ " : "";
    return String.format(
        Locale.ROOT, "%s%s, %.0f\u00a0%%", mark, trip.flow(flow), 100 * flow / rated);
  }

  // --- which pump ----------------------------------------------------------------------------

  private Question duty(PumpAndLines figures) {
    PumpAndLines.Need need = figures.need();
    List<Question.Row> rows = new ArrayList<>();
    rows.add(
        new Question.Row(
            Says.TOGETHER_THEY_NEED.text(),
            "%s at %s".formatted(trip.flow(need.flow()), trip.pressure(need.pressure())),
            need.given() >= need.pressure()
                ? Says.THE_PUMP_ADDS_AT_THAT_FLOW.filled(trip.pressure(need.given()))
                : need.given() > 0
                    ? Says.THE_PUMP_ADDS_ONLY_AT_THAT_FLOW.filled(trip.pressure(need.given()))
                    : Says.MORE_THAN_THE_PUMPS_FREE_FLOW.text()));
    for (PumpAndLines.Suction s : figures.suction()) {
      rows.add(
          new Question.Row(
              "%s lifts".formatted(trip.label(s.pump())),
              trip.length(Math.max(0, s.lift())),
              Says.ABOVE_THE_OUTLET_OF_BY_ITSELF.filled(
                  trip.label(s.tank()),
                  trip.length(s.primes()),
                  s.works()
                      ? Says.IT_PRIMES_ITSELF.text()
                      : Says.IT_WILL_NOT_HANG_IT_LOWER.text())));
    }
    return Question.of(
        "pump",
        Says.WHICH_PUMP_DOES_IT.text(),
        trip.form(),
        Says.PLATES_ARE_TYPICAL_SIZES.text(),
        () ->
            new Question.Answer(
                rows,
                List.of(
                    new Question.Table(
                        Says.OTHER_PUMPS_ON_THESE_LINES_OPEN.filled(trip.names(figures.together())),
                        List.of(
                            Says.FREE_FLOW.text(),
                            "cut-out",
                            Says.GIVES_TOGETHER.text(),
                            Says.WORST_TAP_GETS.text()),
                        figures.pumps().stream()
                            .map(t ->
                                List.of(
                                    trip.flow(t.what()),
                                    trip.pressure(t.pressure()),
                                    trip.flow(t.total()),
                                    worst(t)))
                            .toList())),
                curve(need)));
  }

  /** What the supply pump adds over its flow, and what the taps need. */
  private List<Chart> curve(PumpAndLines.Need need) {
    Optional<Driven> pump =
        trip.rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.SUPPLIES))
            .map(p -> (Driven) p.kind())
            .findFirst();
    if (pump.isEmpty()) {
      return List.of();
    }
    double most = trip.units().in(Measure.FLOW, Math.max(pump.get().freeFlow(), need.flow()));
    List<Double> at = Chart.with(Chart.rounds(most), trip.units().in(Measure.FLOW, need.flow()));
    double free = trip.units().in(Measure.FLOW, pump.get().freeFlow());
    double shut = pump.get().shutOffPressure();
    double wanted = trip.units().in(Measure.FLOW, need.flow());
    return List.of(
        new Chart(
            Says.WHAT_THE_PUMP_GIVES.text(),
            new Chart.Axis("flow", trip.units().unit(Measure.FLOW).sign()),
            new Chart.Axis("pressure", trip.units().unit(Measure.PRESSURE).sign()),
            at,
            List.of(
                new Chart.Course(
                    Says.THE_PUMP_GIVES.text(),
                    Chart.Style.EXPECTED,
                    trip.in(
                        Measure.PRESSURE,
                        Chart.over(at, q -> q > free ? Double.NaN : shut * (1 - q / free)))),
                new Chart.Course(
                    Says.THE_TAPS_NEED.text(),
                    Chart.Style.DOTS,
                    trip.in(
                        Measure.PRESSURE,
                        Chart.over(at, q -> q == wanted ? need.pressure() : Double.NaN))))));
  }

  static String worst(PumpAndLines.Trial trial) {
    String mark = trial.worst() < PumpAndLines.ENOUGH ? "△ " : "";
    return String.format(Locale.ROOT, Says.OF_RATED.text(), mark, 100 * trial.worst());
  }

  // --- which bores ---------------------------------------------------------------------------

  private Question lines(PumpAndLines figures) {
    List<List<String>> taken =
        figures.lines().stream()
            .limit(LINES_SHOWN)
            .map(t ->
                List.of(
                    trip.line(t.line()).label(),
                    trip.length(trip.line(t.line()).bore()),
                    trip.flow(t.flow()),
                    trip.pressure(t.pressure())))
            .toList();
    List<List<String>> wider =
        figures.wider().stream()
            .map(t ->
                List.of(
                    trip.line(t.subject()).label(),
                    "%s → %s"
                        .formatted(
                            trip.length(trip.line(t.subject()).bore()), trip.length(t.what())),
                    trip.flow(t.total()),
                    worst(t)))
            .toList();
    List<List<String>> bores =
        figures.bores().stream()
            .map(t -> List.of(trip.length(t.what()), trip.flow(t.total()), worst(t)))
            .toList();
    return Question.of(
        "lines",
        Says.WHICH_PIPE_SIZE_IS_ENOUGH.text(),
        trip.form(),
        Says.INSIDE_DIAMETERS_AS_WATER_MEETS.text(),
        () ->
            Question.Answer.tables(
                List.of(),
                List.of(
                    new Question.Table(
                        Says.WHAT_TAKES_THE_PRESSURE.text(),
                        List.of("line", "bore", "flow", "takes"),
                        taken),
                    new Question.Table(
                        Says.ONE_SIZE_UP.text(),
                        List.of("line", "bore", Says.GIVES_TOGETHER.text(), "worst"),
                        wider),
                    new Question.Table(
                        Says.THE_WHOLE_WAY_AT_ONE_SIZE.text(),
                        List.of("bore", Says.GIVES_TOGETHER.text(), Says.WORST_TAP_GETS.text()),
                        bores))));
  }

  // --- cycling -------------------------------------------------------------------------------

  private Question cycling(PumpAndLines figures) {
    Form form = trip.form();
    double vessel =
        form.amount(
            "vessel",
            "Accumulator",
            Measure.VOLUME,
            vesselOnBoard().orElse(USUAL_VESSEL),
            vesselOnBoard().isPresent()
                ? Says.AS_DESCRIBED_ON_THIS_RIG.text()
                : Says.A_USUAL_SMALL_ONE.text());
    double precharge =
        form.amount(
            "precharge",
            Says.ITS_AIR_WITHOUT_WATER.text(),
            Measure.PRESSURE,
            pump().map(Pump::cutIn).orElse(2e5) - 0.1e5,
            Says.A_LITTLE_UNDER_THE_PUMPS_CUT_IN.text());
    return Question.of(
        "cycling",
        Says.STARTS_OF_THE_PUMP.text(),
        form,
        Says.MORE_THAN_ABOUT_10_STARTS.text(),
        () -> {
          Pump pump =
              pump().orElseThrow(() -> new Refusal(Says.NO_PUMP_WITH_A_PRESSURE_SWITCH.with()));
          double gives = PumpCycle.HOSES + PumpCycle.takesUp(pump, vessel, precharge);
          List<List<String>> rows =
              figures.fixtures().stream()
                  .map(f ->
                      List.of(
                          trip.label(f.fixture()),
                          trip.flow(f.alone() / 2),
                          starts(PumpCycle.perMinute(pump, f.alone() / 2, PumpCycle.HOSES)),
                          starts(PumpCycle.perMinute(pump, f.alone() / 2, gives)),
                          Says.RUNS_THROUGH.text()))
                  .toList();
          return Question.Answer.tables(
              List.of(
                  new Question.Row(
                      Says.THE_ACCUMULATOR_GIVES.text(),
                      trip.show(Measure.VOLUME, gives - PumpCycle.HOSES),
                      Says.BETWEEN_CUT_IN_AND_CUT.filled(
                          trip.pressure(pump.cutIn()), trip.pressure(pump.cutOut())))),
              List.of(
                  new Question.Table(
                      Says.WITH_THE_TAP_HALF_OPEN.text(),
                      List.of("tap", "flow", "bare", "accumulator", Says.PUMP_WITH_BYPASS.text()),
                      rows)));
        });
  }

  private static String starts(double perMinute) {
    if (perMinute == 0) {
      return Says.RUNS_THROUGH.text();
    }
    return String.format(Locale.ROOT, Says.A_MINUTE.text(), perMinute > 10 ? "△ " : "", perMinute);
  }

  private Optional<Pump> pump() {
    return kinds(Pump.class)
        .filter(p -> p.duty() == Pump.Duty.SUPPLY && !p.works().byHand())
        .findFirst();
  }

  private Optional<Double> vesselOnBoard() {
    return trip.rig().parts().stream()
        .filter(p -> p.kind().is(Purpose.CUSHIONS) && p.volume() > 0)
        .map(Part::volume)
        .findFirst();
  }

  private <K extends Kind> Stream<K> kinds(Class<K> kind) {
    return trip.rig().parts().stream().map(Part::kind).filter(kind::isInstance).map(kind::cast);
  }

  // --- a narrow fitting ----------------------------------------------------------------------

  private Question narrow() {
    Form form = trip.form();
    double bore =
        form.amount(
            "fitting-line", Says.INSIDE_DIAMETER_OF_THE_LINE.text(), Measure.LENGTH, 0.013, "");
    double fitting =
        form.amount(
            "fitting-bore",
            Says.INSIDE_DIAMETER_OF_THE_FITTING.text(),
            Measure.LENGTH,
            0.009,
            Says.LOOK_THROUGH_IT.text());
    double flow = form.amount("fitting-flow", "Flow", Measure.FLOW, 10e-3 / 60, "");
    double count = form.number("fitting-count", Says.HOW_MANY_OF_THEM.text(), 2, "", "");
    return Question.of(
        "narrow",
        Says.WHAT_A_NARROW_FITTING_COSTS.text(),
        form,
        Says.SUDDEN_NARROWING_1_2.text(),
        () -> {
          NarrowFitting costs = NarrowFitting.of(bore, fitting, flow, count);
          return Question.Answer.rows(
              List.of(
                  new Question.Row(
                      Says.THEY_TAKE.text(),
                      trip.pressure(costs.takes()),
                      String.format(
                          Locale.ROOT,
                          Says.AS_MUCH_AS_M_OF_THE_LINE.text(),
                          costs.asLine(),
                          trip.pressure(costs.metre())))));
        });
  }

  // --- drains --------------------------------------------------------------------------------

  private Question drains() {
    return Question.of(
        "drains",
        Says.DRAIN_LINES.text(),
        trip.form(),
        Says.A_SMALL_DRAIN_FALLS_AT_LEAST_1.text(),
        () -> {
          List<List<String>> rows = WasteLine.of(trip.network()).stream().map(this::drain).toList();
          if (rows.isEmpty()) {
            throw new Refusal(Says.NO_TAPS_WASTE_IS_JOINED.with());
          }
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      Says.FROM_EACH_WASTE_TO_ITS_TANK.text(),
                      List.of("from", "line", "falls", Says.CARRIES_HALF_FULL.text(), "verdict"),
                      rows)));
        });
  }

  private List<String> drain(WasteLine waste) {
    WasteRuns.Run run = waste.run();
    return List.of(
        trip.label(run.fixture()),
        run.line().label(),
        waste.isSteep()
            ? Says.STRAIGHT_DOWN.text()
            : String.format(
                Locale.ROOT,
                "%s, 1 in %.0f",
                trip.length(run.fall()),
                1 / Math.max(1e-3, run.gradient())),
        trip.flow(waste.halfFull()),
        switch (waste.verdict()) {
          case DOES_NOT_FALL -> Says.DOES_NOT_FALL.text();
          case TOO_FLAT -> Says.TOO_FLAT.text();
          case TOO_NARROW -> Says.NARROWER_THAN.filled(trip.flow(waste.rated()));
          case GOOD -> "good";
        });
  }
}
