package fernwort.app.build;

import fernwort.app.board.PlanDrawing;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Waterway;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.app.web.Field;
import fernwort.core.bench.JugAgainstModel;
import fernwort.core.build.check.ModelFit;
import fernwort.core.build.check.PressureHold;
import fernwort.core.describe.Alteration;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The first filling: looks, a pressure that holds, jugs against the model. */
@Controller
@RequestMapping("/rigs/{id}/build/commission")
class CommissionController {

  private static final double ROOM = 293.15;

  private final Descriptions rigs;
  private final QuestionDesk desk;
  private final Waterway waterway;
  private final PlanDrawing drawings;

  CommissionController(
      Descriptions rigs, QuestionDesk desk, Waterway waterway, PlanDrawing drawings) {
    this.drawings = drawings;
    this.rigs = rigs;
    this.desk = desk;
    this.waterway = waterway;
  }

  @GetMapping
  String commission(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    desk.show(trip, "kept", List.of(looks(trip), pressure(trip), jugs(trip)), model);
    model.addAttribute("version", trip.open().version());
    model.addAttribute("drawing", drawings.of(trip.open()));
    model.addAttribute("fits", !timed(trip, trip.form()).isEmpty());
    return "build/commission";
  }

  @PostMapping("/kept")
  String keep(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    return "redirect:/rigs/" + id + "/build/commission" + desk.keep(id, form, units);
  }

  /** Takes the fitted losses into the description, where somebody agrees. */
  @PostMapping("/fit")
  String take(
      @PathVariable String id,
      @RequestParam int version,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      RedirectAttributes to) {
    OpenRig open = rigs.open(id);
    Trip trip = desk.trip(id, units);
    ModelFit fit =
        fit(trip, timed(trip, trip.form()))
            .orElseThrow(() -> new Refusal("Time a jug at one tap at least; nothing was changed"));
    rigs.change(
        open,
        version,
        who,
        new Alteration.Fitted(r -> ModelFit.with(r, fit.losses().times(), fit.pump().times())));
    Done.say(to, "The rig is described with the fitted losses now; undo it under Rig.");
    return "redirect:/rigs/" + id + "/build/commission#jugs";
  }

  private static Question looks(Trip trip) {
    Form form = trip.form();
    List<Field.Option> looks = new ArrayList<>();
    for (Part tank : trip.rig().tanks(Contents.FRESH).toList()) {
      double third = trip.network().room(tank.id()).capacity() / 3;
      for (int i = 1; i <= 3; i++) {
        looks.add(
            new Field.Option(
                "third-" + tank.id() + "-" + i,
                "%s: filled to %s, every joint and support looked at with a dry tissue"
                    .formatted(tank.label(), trip.show(Measure.VOLUME, i * third))));
      }
      looks.add(
          new Field.Option(
              "over-" + tank.id(),
              "%s: filled until it ran over; the overflow stopped when the fill did, nothing"
                      .formatted(tank.label())
                  + " siphons on"));
      looks.add(
          new Field.Option(
              "gauge-" + tank.id(),
              "%s: its gauge calibrated, under Log, Gauges".formatted(tank.label())));
    }
    looks.add(new Field.Option("labels", "Every line and handle labelled, under Jobs, Labels"));
    looks.add(
        new Field.Option(
            "photo", "Photographs of every place, before panels go on, with the tags"));
    looks.add(new Field.Option("sanitized", "Flushed and sanitized, under Log, Maintenance"));
    List<String> done = form.ticks("commission", looks);
    return Question.of(
        "looks",
        "Fill in thirds and check",
        form,
        "Stand by the tap while it fills. A vehicle fills up by its axles, too: level, on wheels,"
            + " nobody under it.",
        () ->
            Question.Answer.rows(
                List.of(
                    new Question.Row(
                        "Done",
                        "%s of %s".formatted(done.size(), looks.size()),
                        "progress is saved"))));
  }

  private static Question pressure(Trip trip) {
    Form form = trip.form();
    double air =
        trip.rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.CUSHIONS))
            .mapToDouble(Part::volume)
            .sum();
    double before =
        form.amount(
            "hold-before",
            "Pressure at first, all taps closed, pump off",
            Measure.PRESSURE,
            2.5e5,
            "");
    double after = form.amount("hold-after", "After half an hour", Measure.PRESSURE, 2.5e5, "");
    double warm = form.amount("hold-warm", "Temperature at first", Measure.TEMPERATURE, ROOM, "");
    double later = form.amount("hold-later", "Temperature then", Measure.TEMPERATURE, ROOM, "");
    double shut =
        form.amount(
            "hold-air",
            "Air trapped with it",
            Measure.VOLUME,
            air > 0 ? air : 1e-4,
            "The accumulator, or a little in the lines.");
    return Question.of(
        "hold",
        "Does the pressure hold",
        form,
        "Trapped air follows its temperature at one volume. A soft hose loses a little at"
            + " first: check again after ten minutes. Never above what the weakest part bears, and"
            + " never air instead of water.",
        () -> {
          PressureHold hold = PressureHold.of(before, after, warm, later, shut);
          return Question.Answer.rows(
              List.of(
                  new Question.Row(
                      "By temperature alone",
                      trip.show(Measure.PRESSURE, hold.expected()),
                      "(p + 1.013 bar) · T₂/T₁ − 1.013 bar"),
                  new Question.Row(
                      hold.tight() ? "It holds" : "△ It drops more than that",
                      trip.show(Measure.PRESSURE, Math.max(0, hold.drop())),
                      hold.tight()
                          ? "within what a gauge shows"
                          : "about %s went: a joint, a tap that drips, a leaking check valve"
                              .formatted(trip.show(Measure.VOLUME, hold.leaked())))));
        });
  }

  private static Map<String, Double> timed(Trip trip, Form form) {
    Map<String, Double> timed = new TreeMap<>();
    for (Part part : trip.rig().parts()) {
      if (part.kind().is(Purpose.USE)) {
        double flow = form.amount("jug-" + part.id(), part.label(), Measure.FLOW, 0, "");
        if (flow > 0) {
          timed.put(part.id(), flow);
        }
      }
    }
    return timed;
  }

  private Optional<ModelFit> fit(Trip trip, Map<String, Double> timed) {
    try {
      return timed.isEmpty()
          ? Optional.empty()
          : waterway.toTaps(trip.open()).map(state -> ModelFit.of(trip.network(), state, timed));
    } catch (Refusal e) {
      return Optional.empty();
    }
  }

  private Question jugs(Trip trip) {
    Form form = trip.form();
    Map<String, Double> timed = timed(trip, form);
    return Question.of(
        "jugs",
        "Each tap against the model",
        form,
        "Time a jug at each tap, cold, full open, the others closed, as the taps run from the tank;"
            + " 0 leaves one out. The fit multiplies the losses of all fittings, which nobody"
            + " measures, until the flows come nearest.",
        () -> jugAnswer(trip, timed));
  }

  private Question.Answer jugAnswer(Trip trip, Map<String, Double> timed) {
    State state =
        waterway
            .toTaps(trip.open())
            .orElseThrow(() ->
                new Refusal("No tap of this rig runs by itself, so there is nothing to time"));
    Hydraulics hydraulics = trip.open().hydraulics();
    List<List<String>> rows = new ArrayList<>();
    for (Part part : trip.rig().parts()) {
      if (part.kind().is(Purpose.USE)) {
        double model =
            hydraulics
                .solve(JugAgainstModel.alone(trip.network(), state, part.id()))
                .fixture(part.id());
        double measured = timed.getOrDefault(part.id(), 0.0);
        rows.add(
            List.of(
                part.label(),
                trip.show(Measure.FLOW, model),
                measured > 0 ? trip.show(Measure.FLOW, measured) : "–",
                suggestion(measured, model)));
      }
    }
    List<Question.Row> said = new ArrayList<>();
    fit(trip, timed)
        .ifPresent(fit -> {
          said.add(factor("Losses of fittings, fitted", fit.losses()));
          said.add(factor("Pumps' free flow, fitted", fit.pump()));
          said.add(
              new Question.Row(
                  "Flows are off by",
                  String.format(Locale.ROOT, "%.0f %%", 100 * fit.off()),
                  String.format(
                      Locale.ROOT,
                      "%.0f %% as described; a jug tells 5 %%",
                      100 * fit.offBefore())));
        });
    return Question.Answer.tables(
        said,
        List.of(
            new Question.Table(
                "Flow at each tap", List.of("tap", "the model", "timed", "so"), rows)));
  }

  private static Question.Row factor(String what, ModelFit.Factor factor) {
    return new Question.Row(
        what,
        String.format(Locale.ROOT, "times %.2f", factor.times()),
        factor.low() == factor.high()
            ? "three taps or more tell it; until then it stays"
            : String.format(
                Locale.ROOT, "%.2f to %.2f would fit as well", factor.low(), factor.high()));
  }

  private static String suggestion(double measured, double model) {
    if (measured <= 0) {
      return "not timed yet";
    }
    return switch (JugAgainstModel.verdict(measured, model)) {
      case NOTHING_EXPECTED -> "nothing should come here: look at the handles first";
      case NEARLY_SHUT ->
          "△ something is nearly closed: a kink, a cap left in, an aerator full of chips";
      case LESS -> "less: look at the strainer, the filter, the voltage at the pump";
      case AS_EXPECTED -> "as expected";
      case MORE -> "more than described: pump or tap are larger";
    };
  }
}
