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
import fernwort.core.id.PartId;
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
            .orElseThrow(() -> new Refusal(Says.TIME_A_JUG_AT_ONE_TAP.with()));
    rigs.change(
        open,
        version,
        who,
        new Alteration.Fitted(r -> ModelFit.with(r, fit.losses().times(), fit.pump().times())));
    Done.say(to, Says.THE_RIG_IS_DESCRIBED.text());
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
                Says.FILLED_TO_EVERY_JOINT.filled(
                    tank.label(), trip.show(Measure.VOLUME, i * third))));
      }
      looks.add(
          new Field.Option(
              "over-" + tank.id(),
              Says.SIPHONS_ON.filled(Says.FILLED_UNTIL_IT_RAN.filled(tank.label()))));
      looks.add(
          new Field.Option(
              "gauge-" + tank.id(), Says.ITS_GAUGE_CALIBRATED_UNDER_LOG.filled(tank.label())));
    }
    looks.add(new Field.Option("labels", Says.EVERY_LINE_AND_HANDLE_LABELLED.text()));
    looks.add(new Field.Option("photo", Says.PHOTOGRAPHS_OF_EVERY_PLACE.text()));
    looks.add(new Field.Option("sanitized", Says.FLUSHED_AND_SANITIZED_UNDER_LOG.text()));
    List<String> done = form.ticks("commission", looks);
    return Question.of(
        "looks",
        Says.FILL_IN_THIRDS_AND_CHECK.text(),
        form,
        Says.STAND_BY_THE_TAP_WHILE_IT_FILLS.text(),
        () ->
            Question.Answer.rows(
                List.of(
                    new Question.Row(
                        "Done",
                        "%s of %s".formatted(done.size(), looks.size()),
                        Says.PROGRESS_IS_SAVED.text()))));
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
            "hold-before", Says.PRESSURE_AT_FIRST_ALL_TAPS.text(), Measure.PRESSURE, 2.5e5, "");
    double after =
        form.amount("hold-after", Says.AFTER_HALF_AN_HOUR.text(), Measure.PRESSURE, 2.5e5, "");
    double warm =
        form.amount("hold-warm", Says.TEMPERATURE_AT_FIRST.text(), Measure.TEMPERATURE, ROOM, "");
    double later =
        form.amount("hold-later", Says.TEMPERATURE_THEN.text(), Measure.TEMPERATURE, ROOM, "");
    double shut =
        form.amount(
            "hold-air",
            Says.AIR_TRAPPED_WITH_IT.text(),
            Measure.VOLUME,
            air > 0 ? air : 1e-4,
            Says.THE_ACCUMULATOR_OR_A_LITTLE.text());
    return Question.of(
        "hold",
        Says.DOES_THE_PRESSURE_HOLD.text(),
        form,
        Says.TRAPPED_AIR_FOLLOWS.text(),
        () -> {
          PressureHold hold = PressureHold.of(before, after, warm, later, shut);
          return Question.Answer.rows(
              List.of(
                  new Question.Row(
                      Says.BY_TEMPERATURE_ALONE.text(),
                      trip.show(Measure.PRESSURE, hold.expected()),
                      Says.P_1_013_BAR_T_T_1.text()),
                  new Question.Row(
                      hold.tight() ? Says.IT_HOLDS.text() : Says.IT_DROPS_MORE_THAN_THAT.text(),
                      trip.show(Measure.PRESSURE, Math.max(0, hold.drop())),
                      hold.tight()
                          ? Says.WITHIN_WHAT_A_GAUGE_SHOWS.text()
                          : Says.ABOUT_WENT_A_JOINT_A_TAP.filled(
                              trip.show(Measure.VOLUME, hold.leaked())))));
        });
  }

  private static Map<PartId, Double> timed(Trip trip, Form form) {
    Map<PartId, Double> timed = new TreeMap<>();
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

  private Optional<ModelFit> fit(Trip trip, Map<PartId, Double> timed) {
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
    Map<PartId, Double> timed = timed(trip, form);
    return Question.of(
        "jugs",
        Says.EACH_TAP_AGAINST_THE_MODEL.text(),
        form,
        Says.TIME_A_JUG_AT_EACH_TAP_COLD.text(),
        () -> jugAnswer(trip, timed));
  }

  private Question.Answer jugAnswer(Trip trip, Map<PartId, Double> timed) {
    State state =
        waterway
            .toTaps(trip.open())
            .orElseThrow(() -> new Refusal(Says.NO_TAP_OF_THIS_RIG_RUNS.with()));
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
          said.add(factor(Says.LOSSES_OF_FITTINGS_FITTED.text(), fit.losses()));
          said.add(factor(Says.PUMPS_FREE_FLOW_FITTED.text(), fit.pump()));
          said.add(
              new Question.Row(
                  Says.FLOWS_ARE_OFF_BY.text(),
                  String.format(Locale.ROOT, "%.0f %%", 100 * fit.off()),
                  String.format(
                      Locale.ROOT, Says.AS_DESCRIBED_A_JUG_TELLS_5.text(), 100 * fit.offBefore())));
        });
    return Question.Answer.tables(
        said,
        List.of(
            new Question.Table(
                Says.FLOW_AT_EACH_TAP.text(),
                List.of("tap", Says.THE_MODEL.text(), "timed", "so"),
                rows)));
  }

  private static Question.Row factor(String what, ModelFit.Factor factor) {
    return new Question.Row(
        what,
        String.format(Locale.ROOT, "times %.2f", factor.times()),
        factor.low() == factor.high()
            ? Says.THREE_TAPS_OR_MORE_TELL.text()
            : String.format(
                Locale.ROOT, Says.TO_WOULD_FIT_AS_WELL.text(), factor.low(), factor.high()));
  }

  private static String suggestion(double measured, double model) {
    if (measured <= 0) {
      return Says.NOT_TIMED_YET.text();
    }
    return switch (JugAgainstModel.verdict(measured, model)) {
      case NOTHING_EXPECTED -> Says.NOTHING_SHOULD_COME_HERE_LOOK.text();
      case NEARLY_SHUT -> Says.SOMETHING_IS_NEARLY_CLOSED.text();
      case LESS -> Says.LESS_LOOK_AT_THE_STRAINER.text();
      case AS_EXPECTED -> Says.AS_EXPECTED.text();
      case MORE -> Says.MORE_THAN_DESCRIBED_PUMP_OR_TAP.text();
    };
  }
}
