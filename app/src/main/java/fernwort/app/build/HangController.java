package fernwort.app.build;

import fernwort.app.questions.Column;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.app.web.Field;
import fernwort.core.build.mount.Clearance;
import fernwort.core.build.mount.Hanging;
import fernwort.core.build.mount.UsualBuild;
import fernwort.core.describe.Alteration;
import fernwort.core.describe.TankResize;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.TankSupport;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What carries the tanks, and whether it holds. */
@Controller
@RequestMapping("/rigs/{id}/build/hang")
class HangController {

  private static final double KILO = 1000;

  private final Descriptions rigs;
  private final QuestionDesk desk;

  HangController(Descriptions rigs, QuestionDesk desk) {
    this.rigs = rigs;
    this.desk = desk;
  }

  @GetMapping
  String hang(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    desk.show(trip, "kept", trip.rig().tanks().map(t -> question(trip, t)).toList(), model);
    model.addAttribute("version", trip.open().version());
    model.addAttribute("tanks", trip.rig().tanks().toList());
    return "build/hang";
  }

  @PostMapping("/kept")
  String keep(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    return "redirect:/rigs/" + id + "/build/hang" + desk.keep(id, form, units);
  }

  /** Takes what was tried into the description of the rig. */
  @PostMapping("/{tank}")
  String describe(
      @PathVariable String id,
      @PathVariable PartId tank,
      @RequestParam int version,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      RedirectAttributes to) {
    OpenRig open = rigs.open(id);
    Trip trip = desk.trip(id, units);
    Part part = trip.rig().part(tank);
    if (!part.kind().is(Purpose.HOLDS)) {
      throw new Refusal(Says.IS_NOT_A_TANK_SUPPORTS_CARRY.with(part.label()));
    }
    Form form = trip.form();
    List<TankSupport> supports = supports(form, part, trip.rig().built().supports(tank));
    if (!form.problem().isEmpty()) {
      throw new Refusal(form.problem());
    }
    rigs.change(open, version, who, new Alteration.Supported(tank, supports));
    Done.say(to, Says.THE_SUPPORTS_OF_ARE_SAVED_UNDO.filled(part.label()));
    return "redirect:/rigs/" + id + "/build/hang#hang-" + tank;
  }

  /** What is asked of one tank. */
  private record Asked(
      double mass,
      double centre,
      double under,
      double sinks,
      Hanging.Moving moving,
      List<TankSupport> supports) {}

  private static Question question(Trip trip, Part tank) {
    Form form = trip.form();
    Asked asked = asked(trip, form, tank);
    return Question.of(
        "hang-" + tank.id(),
        tank.label(),
        form,
        Says.A_RIGID_TANK_ON_EQUAL_SPRINGS_F.text(),
        () -> answer(trip, tank, asked));
  }

  private static Asked asked(Trip trip, Form form, Part tank) {
    TankRoom room = trip.network().room(tank.id());
    PartId id = tank.id();
    double mass =
        form.amount(
            "hang-mass-" + id,
            Says.TANK_AND_WATER_FULL.text(),
            Measure.MASS,
            Hanging.fullMass(room),
            Says.WATER_TO_THE_BRIM.filled(Math.round(100 * Hanging.OWN)));
    double centre =
        form.amount(
            "hang-centre-" + id,
            Says.ITS_CENTRE_OF_MASS.text(),
            Measure.LENGTH,
            room.centroid(room.highest(Slope.LEVEL), Slope.LEVEL).x(),
            Says.OF_A_FULL_TANK_BY_ITS_SHAPE.text());
    Hanging.Moving usual = Hanging.Moving.USUAL;
    Hanging.Moving moving =
        new Hanging.Moving(
            form.number("hang-down-" + id, Says.BUMP_LOAD.text(), usual.down(), "g", ""),
            form.number(
                "hang-along-" + id, Says.BRAKING_TIMES_ITS_WEIGHT.text(), usual.along(), "g", ""),
            form.number(
                "hang-across-" + id,
                Says.IN_A_BEND_TIMES_ITS_WEIGHT.text(),
                usual.across(),
                "g",
                ""));
    double under =
        form.amount(
            "hang-under-" + id,
            Says.SUPPORT_REACHES_BELOW_THE_TANK.text(),
            Measure.LENGTH,
            0.01,
            "");
    double sinks =
        form.amount(
            "hang-sinks-" + id,
            Says.THE_VEHICLE_SINKS_WHEN_LOADED_BY.text(),
            Measure.LENGTH,
            0.04,
            Says.MEASURE_IT_EMPTY_THEN_LOADED.text());
    return new Asked(
        mass, centre, under, sinks, moving, supports(form, tank, trip.rig().built().supports(id)));
  }

  private static List<TankSupport> supports(Form form, Part tank, List<TankSupport> described) {
    Tank kind = (Tank) tank.kind();
    double length = TankResize.length(kind);
    List<Column> columns =
        List.of(
            Column.choice(
                "type",
                "what",
                Arrays.stream(TankSupport.Type.values())
                    .map(t -> new Field.Option(t.name(), t.name().toLowerCase(Locale.ROOT)))
                    .toList()),
            Column.amount("along", Says.FROM_THE_REAR.text(), Measure.LENGTH),
            Column.amount("width", Says.WIDTH_OF_THE_SUPPORT.text(), Measure.LENGTH),
            Column.number("bolts", "fasteners", ""),
            Column.number("pull", Says.EACH_IN_PULL_KN.text(), ""),
            Column.number("shear", Says.EACH_IN_SHEAR_KN.text(), ""));
    List<List<String>> normal =
        described.isEmpty()
            ? List.of(usual(0.2 * length), usual(0.8 * length))
            : described.stream().map(HangController::row).toList();
    return form
        .table(
            "support-" + tank.id(),
            Says.WHAT_CARRIES_IT.text(),
            Says.WORKING_LOADS_AS_THEIR_MAKER.text(),
            columns,
            normal)
        .stream()
        .map(r ->
            new TankSupport(
                tank.id(),
                TankSupport.Type.valueOf(r.choice("type")),
                r.number("along"),
                Math.max(0.001, r.number("width")),
                (int) Math.clamp(Math.rint(r.number("bolts")), 0, 100),
                KILO * r.number("pull"),
                KILO * r.number("shear")))
        .toList();
  }

  private static List<String> usual(double along) {
    return row(
        new TankSupport(
            PartId.NONE,
            TankSupport.Type.STRAP,
            along,
            0.05,
            2,
            UsualBuild.PULL,
            UsualBuild.SHEAR));
  }

  private static List<String> row(TankSupport s) {
    return List.of(
        s.type().name(),
        Form.shown(Math.rint(KILO * s.along())) + " mm",
        Form.shown(Math.rint(KILO * s.width())) + " mm",
        Integer.toString(s.fasteners()),
        Form.shown(s.pull() / KILO),
        Form.shown(s.shear() / KILO));
  }

  private static Question.Answer answer(Trip trip, Part tank, Asked asked) {
    Tank kind = (Tank) tank.kind();
    TankRoom room = trip.network().room(tank.id());
    Hanging hung =
        Hanging.of(
            asked.mass(),
            asked.centre(),
            room.centroid(room.highest(Slope.LEVEL), Slope.LEVEL).z(),
            room.highest(Slope.LEVEL),
            TankResize.width(kind),
            asked.supports(),
            asked.moving());
    List<List<String>> rows = new ArrayList<>();
    for (Hanging.Load load : hung.loads()) {
      rows.add(
          List.of(
              "%s at %s"
                  .formatted(
                      load.support().type().name().toLowerCase(Locale.ROOT),
                      trip.show(Measure.LENGTH, load.support().along())),
              newtons(load.still()),
              newtons(load.braking()),
              newtons(load.moving()),
              newtons(load.slack() * asked.moving().down()),
              newtons(load.pull()),
              newtons(load.shear()),
              String.format(
                  Locale.ROOT,
                  "%s%.0f %%",
                  load.holds() ? "" : "△ ",
                  100 * Math.min(99.99, load.used())),
              pressure(trip, kind, load)));
    }
    List<Question.Row> said = new ArrayList<>();
    hung.fullest().ifPresent(l -> said.add(verdict(trip, hung, l)));
    said.addAll(standing(trip, hung));
    pressed(trip, kind, hung).ifPresent(said::add);
    said.addAll(clearance(trip, tank, asked));
    return new Question.Answer(
        said,
        List.of(
            new Question.Table(
                Says.WHAT_EACH_CARRIES.text(),
                List.of(
                    "support",
                    "standing",
                    "braking",
                    Says.BUMP_OR_BRAKING.text(),
                    Says.WITH_ONE_SLACK.text(),
                    Says.PULL_EACH_BOLT.text(),
                    Says.SHEAR_EACH_BOLT.text(),
                    Says.OF_ITS_LIMIT.text(),
                    Says.ON_THE_TANKS_WALL.text()),
                rows)),
        List.of(),
        hung.loads().isEmpty()
            ? List.of()
            : List.of(LoadPicture.of(trip, tank, asked.mass(), hung)));
  }

  private static Question.Row verdict(Trip trip, Hanging hung, Hanging.Load fullest) {
    String margin =
        String.format(Locale.ROOT, Says.TIMES_THE_LOAD.text(), 1 / Math.max(1e-9, fullest.used()));
    if (hung.loads().stream().allMatch(Hanging.Load::holds)) {
      return new Question.Row(
          Says.FASTENERS_HOLD.text(), margin, Says.OF_THE_MOST_LOADED_PULL.text());
    }
    return new Question.Row(
        Says.FASTENERS_DO_NOT_HOLD.text(),
        margin,
        Says.AT_OF_THE_SAME_WOULD_DO.filled(
            trip.show(Measure.LENGTH, fullest.support().along()),
            fullest.support().fasteners() == 0
                ? "some"
                : Integer.toString(fullest.fastenersNeeded()),
            moved(trip, hung)));
  }

  private static String moved(Trip trip, Hanging hung) {
    double by = hung.moveToCentre();
    return Math.abs(by) < 0.005
        ? Says.THEY_STAND_EVENLY_ABOUT.text()
        : Says.ALL_OF_THEM_FURTHER_WOULD_SHARE.filled(
            trip.show(Measure.LENGTH, Math.abs(by)), by > 0 ? "forward" : "back");
  }

  private static List<Question.Row> standing(Trip trip, Hanging hung) {
    List<Question.Row> rows = new ArrayList<>();
    if (hung.tips()) {
      rows.add(
          new Question.Row(
              Says.IT_TIPS.text(),
              trip.show(Measure.LENGTH, hung.centre()),
              Says.ITS_CENTRE_LIES_BEYOND_THE_LAST.text()));
    }
    if (hung.sideways()) {
      rows.add(
          new Question.Row(
              Says.TIPS_SIDEWAYS.text(),
              Says.IN_A_BEND.text(),
              Says.A_STRAP_OVER_IT_OR_A_WALL.text()));
    }
    if (hung.fallsWithoutOne()) {
      rows.add(
          new Question.Row(
              Says.ONE_SLACK_SUPPORT_LETS_IT_FALL.text(),
              Says.OF_THEM.filled(hung.loads().size()),
              Says.A_THIRD_OR_A_SHELF_UNDER.text()));
    }
    hung.loads().stream()
        .filter(l -> l.braking() < 0)
        .findFirst()
        .ifPresent(l ->
            rows.add(
                new Question.Row(
                    Says.BRAKING_LIFTS_IT_AT.filled(trip.show(Measure.LENGTH, l.support().along())),
                    newtons(-l.braking()),
                    Says.ITS_BOLTS_OR_A_STRAP.text())));
    return rows;
  }

  /** A strap alone dents a flat wall; a board spreads it. */
  private static Optional<Question.Row> pressed(Trip trip, Tank tank, Hanging hung) {
    return hung.loads().stream()
        .filter(l -> !l.support().type().isUnder() && l.pressure() > tank.highestPressure())
        .max(Comparator.comparingDouble(Hanging.Load::pressure))
        .map(l ->
            new Question.Row(
                Says.IT_PRESSES_THE_TANKS_WALL.text(),
                trip.show(Measure.PRESSURE, l.pressure()),
                Says.ITS_WALL_IS_TAKEN_TO_BEAR.filled(
                    trip.show(Measure.PRESSURE, tank.highestPressure()),
                    spread(trip, tank, hung, l))));
  }

  /** A board no longer than the tank has room for; where that is not enough, more supports. */
  private static String spread(Trip trip, Tank tank, Hanging hung, Hanging.Load load) {
    double wide = load.support().width() * load.pressure() / tank.highestPressure();
    double room = TankResize.length(tank) / hung.loads().size();
    return wide <= room
        ? Says.A_BOARD_OR_TRAY_WIDE_BETWEEN.filled(trip.show(Measure.LENGTH, wide))
        : Says.CARRY_IT_ON_A_SHELF_OR_TRAY.text();
  }

  private static List<Question.Row> clearance(Trip trip, Part tank, Asked asked) {
    Tank kind = (Tank) tank.kind();
    Clearance clearance =
        Clearance.of(
            trip.rig().vehicle(),
            tank.height() - kind.wall(),
            tank.height() + TankResize.height(kind) + kind.wall(),
            asked.under(),
            asked.sinks());
    if (tank.height() >= trip.rig().vehicle().floor()) {
      return List.of();
    }
    return List.of(
        new Question.Row(
            clearance.spare() < 0
                ? Says.TOO_LOW.text()
                : Says.OVER_THE_LOWEST_PERMITTED_LINE.text(),
            trip.show(Measure.LENGTH, Math.abs(clearance.spare())),
            Says.BELOW_THE_FRAME_A_GUARD.filled(
                Says.ITS_LOWEST_POINT.filled(trip.show(Measure.LENGTH, clearance.lowest())))),
        new Question.Row(
            clearance.above() < 0.05 ? Says.HARDLY_ROOM_ABOVE_IT.text() : Says.ROOM_ABOVE_IT.text(),
            trip.show(Measure.LENGTH, Math.max(0, clearance.above())),
            Says.TO_THE_FLOOR_FOR_FITTINGS.text()));
  }

  private static String pressure(Trip trip, Tank tank, Hanging.Load load) {
    if (load.support().type().isUnder()) {
      return "spread";
    }
    String shown = trip.show(Measure.PRESSURE, load.pressure());
    return load.pressure() > tank.highestPressure() ? "△ " + shown : shown;
  }

  static String newtons(double force) {
    return Double.isFinite(force)
        ? String.format(Locale.ROOT, "%.0f N", force)
        : Says.NO_BOLT.text();
  }
}
