package fernwort.app.log;

import fernwort.app.questions.Column;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Calibrations;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.budget.Budget;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.DrawDown;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.tank.Dipstick;
import fernwort.core.tank.GaugeCurve;
import fernwort.core.tank.GaugeScale;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Gauges: calibrated by jugs, and scales for sticks at true size. */
@Controller
@RequestMapping("/rigs/{id}/log/gauges")
class GaugesController {

  private final Descriptions rigs;
  private final QuestionDesk desk;
  private final Diary diary;
  private final Clock clock;

  GaugesController(Descriptions rigs, QuestionDesk desk, Diary diary, Clock clock) {
    this.rigs = rigs;
    this.desk = desk;
    this.diary = diary;
    this.clock = clock;
  }

  @GetMapping
  String gauges(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    desk.show(
        trip, "gauges", trip.rig().tanks().map(tank -> calibration(trip, tank)).toList(), model);
    model.addAttribute("tanks", trip.rig().tanks().toList());
    return "log/gauges";
  }

  @PostMapping("/gauges")
  String keep(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    return "redirect:/rigs/" + id + "/log/gauges" + desk.keep(id, form, units);
  }

  /** Two rows or more: what was poured in all, and what the gauge showed then. */
  private static Question calibration(Trip trip, Part tank) {
    Tank kind = (Tank) tank.kind();
    boolean steps = kind.gauge().showsSteps();
    Form form = trip.form();
    List<Form.Row> jugs =
        form.table(
            Calibrations.rows(tank.id()),
            Says.POURED_IN_AND_WHAT_IT_SHOWED.text(),
            Says.BEGIN_EMPTY_AND_LEVEL.text(),
            List.of(
                Column.amount("holds", Says.IN_IT_BY_THEN.text(), Measure.VOLUME),
                shown(steps, "shows", Says.IT_SHOWS.text())),
            List.of());
    List<Form.Row> fills =
        form.table(
            Calibrations.fills(tank.id()),
            Says.OR_TWO_READINGS_AND_A_FILL.text(),
            Says.LEVEL_WHATEVER_IS_IN_IT_READ.text(),
            List.of(
                shown(steps, "before", Says.BEFORE_IT_SHOWS.text()),
                Column.amount("poured", Says.POURED_IN.text(), Measure.VOLUME),
                shown(steps, "after", Says.AFTER_IT_SHOWS.text())),
            List.of());
    return Question.of(
        "cal-" + tank.id(),
        tank.label(),
        form,
        Says.THE_CURVE_ONLY_RISES.text(),
        () -> answer(trip, new GaugeScale(kind, trip.network().room(tank.id())), jugs, fills));
  }

  private static Column shown(boolean steps, String id, String words) {
    return steps
        ? Column.number(id, Says.STEPS.filled(words), "")
        : Column.amount(id, Says.WET_ON_THE_STICK.filled(words), Measure.LENGTH);
  }

  private static Question.Answer answer(
      Trip trip, GaugeScale scale, List<Form.Row> jugs, List<Form.Row> fills) {
    boolean steps = scale.tank().gauge().showsSteps();
    GaugeCurve curve =
        GaugeCurve.of(
            jugs.stream()
                .map(r -> new GaugeCurve.Point(r.number("shows"), r.number("holds")))
                .toList(),
            fills.stream()
                .map(r ->
                    new GaugeCurve.Fill(r.number("before"), r.number("after"), r.number("poured")))
                .toList(),
            scale::volume,
            scale.most());
    List<List<String>> table = new ArrayList<>();
    int lies = 0;
    for (GaugeCurve.Point point : curve.points()) {
      boolean lying = scale.liesAt(point);
      lies += lying ? 1 : 0;
      table.add(
          List.of(
              steps
                  ? String.format(Locale.ROOT, "%.1f", point.shows())
                  : trip.show(Measure.LENGTH, point.shows()),
              trip.show(Measure.VOLUME, point.holds()),
              trip.show(Measure.VOLUME, scale.volume(point.shows())),
              lying ? Says.IT_LIES_HERE.text() : "agrees"));
    }
    return Question.Answer.tables(
        List.of(
            new Question.Row(
                Says.A_READING_IS_OFF_BY.text(),
                trip.show(Measure.VOLUME, curve.doubt()),
                Says.ROOT_OF_THE_MEAN_SQUARE.text()),
            new Question.Row(
                Says.AGAINST_THE_TANK_AS_DRAWN.text(),
                lies == 0 ? "agrees" : Says.OF_ITS_READINGS_LIE.filled(lies),
                Says.HALF_A_STEP_OF_EIGHT.text())),
        List.of(
            new Question.Table(
                Says.WHAT_IT_STANDS_FOR.text(),
                List.of(
                    Says.IT_SHOWS.text(),
                    Says.BY_WHAT_WAS_POURED.text(),
                    Says.BY_THE_TANKS_SHAPE.text(),
                    ""),
                table)));
  }

  /** A strip of the scale: from where on the stick it goes, and its marks. */
  record Strip(double x, double length, String title, List<Line> lines) {}

  /** A mark: its height on the sheet, its length, and what stands beside it. */
  record Line(double y, double length, String words) {}

  private static final double STRIP = 240;
  private static final double TOP = 20;
  private static final double EACH = 45;

  /** The scale at true size, in strips that fit a sheet, with a line to check the printer. */
  @GetMapping(value = "/{tank}/dipstick.svg", produces = "image/svg+xml")
  String dipstick(
      @PathVariable String id,
      @PathVariable String tank,
      @RequestParam(defaultValue = "0") double pitch,
      @RequestParam(defaultValue = "0") double roll,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    Part part = rig.rig().part(PartId.of(tank));
    if (!(part.kind() instanceof Tank kind)) {
      throw new Refusal(Says.IS_NOT_A_TANK_A_STICK_GOES.with(part.label()));
    }
    Slope slope = new Slope(pitch, roll);
    if (!slope.canBeParked()) {
      throw new Refusal(Says.NOBODY_PARKS_LIKE.with());
    }
    Dipstick stick =
        Dipstick.of(
            kind, rig.network().room(PartId.of(tank)), slope, 1 / units.in(Measure.VOLUME, 1));
    boolean fresh = kind.contents() == Contents.FRESH;
    Budget budget = diary.budget(rig, clock.instant());
    int people =
        budget.people() > 0 ? budget.people() : diary.asked(rig, clock.instant()).habits().people();
    double aDay = people * budget.fresh().rate().expected();
    double stranded = fresh ? DrawDown.of(rig.network(), slope).stranded(PartId.of(tank)) : 0;
    List<Strip> strips = new ArrayList<>();
    double length = stick.length() * 1000;
    for (double from = 0; from < length; from += STRIP) {
      double low = from;
      double high = Math.min(length, from + STRIP);
      List<Line> lines =
          stick.marks().stream()
              .filter(m -> m.wet() * 1000 >= low && m.wet() * 1000 <= high)
              .map(m ->
                  new Line(
                      TOP + high - m.wet() * 1000,
                      m.main() ? 14 : 7,
                      m.main()
                          ? units.show(Measure.VOLUME, m.volume())
                              + (fresh ? days(m.volume() - stranded, aDay) : "")
                          : ""))
              .toList();
      strips.add(
          new Strip(
              10 + strips.size() * EACH,
              high - low,
              String.format(Locale.ROOT, "%.0f to %.0f mm", low, high),
              lines));
    }
    model.addAttribute("label", part.label());
    model.addAttribute("people", fresh ? Says.DAYS_FOR.filled(EntryWords.people(people)) : "");
    model.addAttribute("slope", String.format(Locale.ROOT, Says.PITCH_ROLL.text(), pitch, roll));
    model.addAttribute("strips", strips);
    model.addAttribute("width", Math.max(130, 20 + strips.size() * EACH));
    model.addAttribute("height", TOP + STRIP + 24);
    return "log/dipstick-svg";
  }

  /** For how long so much can be drawn (m³). */
  private static String days(double drawn, double aDay) {
    return String.format(Locale.ROOT, " · %.1f d", Math.max(0, drawn) / aDay);
  }
}
