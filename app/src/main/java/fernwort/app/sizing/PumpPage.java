package fernwort.app.sizing;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.bench.NarrowFitting;
import fernwort.core.bench.WasteLine;
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
    List<String> together = page.together(form);
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
              "At the taps",
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

  private List<String> together(Form form) {
    List<Part> fixtures =
        trip.rig().parts().stream().filter(p -> p.kind().is(Purpose.USE)).toList();
    return form.ticks(
        "together",
        fixtures.stream().map(f -> new Field.Option(f.id(), f.label() + " open")).toList());
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
        "At the taps",
        form,
        "With none ticked, the two that take most in the house are opened together. Handles as they"
            + " stand on the Board, supply pumps on, mains off, near-empty tanks taken to be"
            + " half full. △ marks less than 60 % of the rated flow: our own mark.",
        () ->
            Question.Answer.tables(
                List.of(),
                List.of(
                    new Question.Table(
                        "Alone, and with %s open".formatted(open),
                        List.of(
                            "fixture",
                            "rated",
                            "alone",
                            "pressure there",
                            "together",
                            "pressure needed"),
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
            "Together they need",
            "%s at %s".formatted(trip.flow(need.flow()), trip.pressure(need.pressure())),
            need.given() >= need.pressure()
                ? "the pump adds %s at that flow: enough".formatted(trip.pressure(need.given()))
                : need.given() > 0
                    ? "the pump adds only %s at that flow".formatted(trip.pressure(need.given()))
                    : "more than the pump's free flow: it cannot give each its rated flow at once"));
    for (PumpAndLines.Suction s : figures.suction()) {
      rows.add(
          new Question.Row(
              "%s lifts".formatted(trip.label(s.pump())),
              trip.length(Math.max(0, s.lift())),
              "above the outlet of %s; by itself it lifts water dry by %s: %s"
                  .formatted(
                      trip.label(s.tank()),
                      trip.length(s.primes()),
                      s.works() ? "it primes itself" : "△ it will not; hang it lower")));
    }
    return Question.of(
        "pump",
        "Which pump does it",
        trip.form(),
        "Plates are typical sizes, not products: read the one on the pump you can get. A stronger pump"
            + " needs thicker cable and its own fuse, and a regulator where fittings hold less.",
        () ->
            new Question.Answer(
                rows,
                List.of(
                    new Question.Table(
                        "Other pumps on these lines, %s open"
                            .formatted(trip.names(figures.together())),
                        List.of("free flow", "cut-out", "gives together", "worst tap gets"),
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
            "What the pump gives and what the taps need",
            new Chart.Axis("flow", trip.units().unit(Measure.FLOW).sign()),
            new Chart.Axis("pressure", trip.units().unit(Measure.PRESSURE).sign()),
            at,
            List.of(
                new Chart.Course(
                    "the pump gives",
                    Chart.Style.EXPECTED,
                    trip.in(
                        Measure.PRESSURE,
                        Chart.over(at, q -> q > free ? Double.NaN : shut * (1 - q / free)))),
                new Chart.Course(
                    "the taps need",
                    Chart.Style.DOTS,
                    trip.in(
                        Measure.PRESSURE,
                        Chart.over(at, q -> q == wanted ? need.pressure() : Double.NaN))))));
  }

  static String worst(PumpAndLines.Trial trial) {
    String mark = trial.worst() < PumpAndLines.ENOUGH ? "△ " : "";
    return String.format(Locale.ROOT, "%s%.0f %% of rated", mark, 100 * trial.worst());
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
        "Which pipe size is enough",
        trip.form(),
        "Inside diameters, as water meets them; pipe is often sold by its outside.",
        () ->
            Question.Answer.tables(
                List.of(),
                List.of(
                    new Question.Table(
                        "What takes the pressure", List.of("line", "bore", "flow", "takes"), taken),
                    new Question.Table(
                        "One size up", List.of("line", "bore", "gives together", "worst"), wider),
                    new Question.Table(
                        "The whole way at one size",
                        List.of("bore", "gives together", "worst tap gets"),
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
            vesselOnBoard().isPresent() ? "As described on this rig." : "A usual small one.");
    double precharge =
        form.amount(
            "precharge",
            "Its air without water",
            Measure.PRESSURE,
            pump().map(Pump::cutIn).orElse(2e5) - 0.1e5,
            "A little under the pump's cut-in.");
    return Question.of(
        "cycling",
        "Starts of the pump",
        form,
        "More than about 10 starts a minute is heard and wears the switch: our own mark. A pump with an"
            + " inner bypass starts once and runs on. It takes full current while the tap is"
            + " open. Without either, hoses give way by about 25 mL: an estimate.",
        () -> {
          Pump pump =
              pump().orElseThrow(() -> new Refusal("No pump with a pressure switch is described"));
          double gives = PumpCycle.HOSES + PumpCycle.takesUp(pump, vessel, precharge);
          List<List<String>> rows =
              figures.fixtures().stream()
                  .map(f ->
                      List.of(
                          trip.label(f.fixture()),
                          trip.flow(f.alone() / 2),
                          starts(PumpCycle.perMinute(pump, f.alone() / 2, PumpCycle.HOSES)),
                          starts(PumpCycle.perMinute(pump, f.alone() / 2, gives)),
                          "runs through"))
                  .toList();
          return Question.Answer.tables(
              List.of(
                  new Question.Row(
                      "The accumulator gives",
                      trip.show(Measure.VOLUME, gives - PumpCycle.HOSES),
                      "between cut-in %s and cut-out %s, by Boyle's law"
                          .formatted(trip.pressure(pump.cutIn()), trip.pressure(pump.cutOut())))),
              List.of(
                  new Question.Table(
                      "With the tap half open",
                      List.of("fixture", "flow", "bare", "accumulator", "pump with bypass"),
                      rows)));
        });
  }

  private static String starts(double perMinute) {
    if (perMinute == 0) {
      return "runs through";
    }
    return String.format(Locale.ROOT, "%s%.0f a minute", perMinute > 10 ? "△ " : "", perMinute);
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
        form.amount("fitting-line", "Inside diameter of the line", Measure.LENGTH, 0.013, "");
    double fitting =
        form.amount(
            "fitting-bore",
            "Inside diameter of the fitting",
            Measure.LENGTH,
            0.009,
            "Look through it.");
    double flow = form.amount("fitting-flow", "Flow", Measure.FLOW, 10e-3 / 60, "");
    double count = form.number("fitting-count", "How many of them", 2, "", "");
    return Question.of(
        "narrow",
        "What a narrow fitting costs",
        form,
        "Sudden narrowing ½(1 − β²) and widening (1 − β²)², after Borda and Carnot, on the speed inside"
            + " the fitting; β is fitting over line.",
        () -> {
          NarrowFitting costs = NarrowFitting.of(bore, fitting, flow, count);
          return Question.Answer.rows(
              List.of(
                  new Question.Row(
                      "They take",
                      trip.pressure(costs.takes()),
                      String.format(
                          Locale.ROOT,
                          "as much as %.1f m of the line itself, which takes %s a metre",
                          costs.asLine(),
                          trip.pressure(costs.metre())))));
        });
  }

  // --- drains --------------------------------------------------------------------------------

  private Question drains() {
    return Question.of(
        "drains",
        "Drain lines",
        trip.form(),
        "A small drain falls at least 1 in 48, as plumbing codes ask of pipes to 65 mm; your local code"
            + " comes first. It should run no more than half full, or it gulps air and empties its"
            + " trap.",
        () -> {
          List<List<String>> rows = WasteLine.of(trip.network()).stream().map(this::drain).toList();
          if (rows.isEmpty()) {
            throw new Refusal("No tap's waste is joined to a line");
          }
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      "From each waste to its tank or end",
                      List.of("from", "line", "falls", "carries half full", "verdict"),
                      rows)));
        });
  }

  private List<String> drain(WasteLine waste) {
    WasteRuns.Run run = waste.run();
    return List.of(
        trip.label(run.fixture()),
        run.line().label(),
        waste.isSteep()
            ? "straight down"
            : String.format(
                Locale.ROOT,
                "%s, 1 in %.0f",
                trip.length(run.fall()),
                1 / Math.max(1e-3, run.gradient())),
        trip.flow(waste.halfFull()),
        switch (waste.verdict()) {
          case DOES_NOT_FALL -> "△ does not fall";
          case TOO_FLAT -> "△ too flat";
          case TOO_NARROW -> "△ narrower than %s".formatted(trip.flow(waste.rated()));
          case GOOD -> "good";
        });
  }
}
