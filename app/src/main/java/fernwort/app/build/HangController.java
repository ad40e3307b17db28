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
      @PathVariable String tank,
      @RequestParam int version,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      RedirectAttributes to) {
    OpenRig open = rigs.open(id);
    Trip trip = desk.trip(id, units);
    Part part = trip.rig().part(tank);
    if (!part.kind().is(Purpose.HOLDS)) {
      throw new Refusal(part.label() + " is not a tank; supports carry tanks");
    }
    Form form = trip.form();
    List<TankSupport> supports = supports(form, part, trip.rig().built().supports(tank));
    if (!form.problem().isEmpty()) {
      throw new Refusal(form.problem());
    }
    rigs.change(open, version, who, new Alteration.Supported(tank, supports));
    Done.say(to, "The supports of %s are saved; undo it under Rig.".formatted(part.label()));
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
        "A rigid tank on equal springs: F = W/n + W·(x_c − x̄)(x − x̄)/Σ(x − x̄)². Defaults: EN"
            + " 12195-1 for 0.8 g along and 0.5 g across, twice its weight on a bump is ours; your"
            + " country's code comes first. What holds up a tank under a vehicle is for people"
            + " licensed for its structure and registration. Never under a vehicle that stands on a"
            + " jack alone.",
        () -> answer(trip, tank, asked));
  }

  private static Asked asked(Trip trip, Form form, Part tank) {
    TankRoom room = trip.network().room(tank.id());
    String id = tank.id();
    double mass =
        form.amount(
            "hang-mass-" + id,
            "Tank and water, full",
            Measure.MASS,
            Hanging.fullMass(room),
            "Water to the brim and "
                + Math.round(100 * Hanging.OWN)
                + " % for the tank, an estimate.");
    double centre =
        form.amount(
            "hang-centre-" + id,
            "Its centre of mass, from its inside rear",
            Measure.LENGTH,
            room.centroid(room.highest(Slope.LEVEL), Slope.LEVEL).x(),
            "Of a full tank, by its shape.");
    Hanging.Moving usual = Hanging.Moving.USUAL;
    Hanging.Moving moving =
        new Hanging.Moving(
            form.number("hang-down-" + id, "Bump load", usual.down(), "g", ""),
            form.number("hang-along-" + id, "Braking, times its weight", usual.along(), "g", ""),
            form.number(
                "hang-across-" + id, "In a bend, times its weight", usual.across(), "g", ""));
    double under =
        form.amount(
            "hang-under-" + id, "Support reaches below the tank by", Measure.LENGTH, 0.01, "");
    double sinks =
        form.amount(
            "hang-sinks-" + id,
            "The vehicle sinks when loaded by",
            Measure.LENGTH,
            0.04,
            "Measure it: empty, then loaded.");
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
            Column.amount("along", "from the rear", Measure.LENGTH),
            Column.amount("width", "width of the support", Measure.LENGTH),
            Column.number("bolts", "fasteners", ""),
            Column.number("pull", "each in pull, kN", ""),
            Column.number("shear", "each in shear, kN", ""));
    List<List<String>> normal =
        described.isEmpty()
            ? List.of(usual(0.2 * length), usual(0.8 * length))
            : described.stream().map(HangController::row).toList();
    return form
        .table(
            "support-" + tank.id(),
            "What carries it",
            "Working loads as their maker rates them, in what they hold in; the defaults are bolts"
                + " M8 in thin sheet with plates, an estimate.",
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
            "", TankSupport.Type.STRAP, along, 0.05, 2, UsualBuild.PULL, UsualBuild.SHEAR));
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
                "What each carries",
                List.of(
                    "support",
                    "standing",
                    "braking",
                    "bump or braking",
                    "with one slack",
                    "pull, each bolt",
                    "shear, each bolt",
                    "of its limit",
                    "on the tank's wall"),
                rows)),
        List.of(),
        hung.loads().isEmpty()
            ? List.of()
            : List.of(LoadPicture.of(trip, tank, asked.mass(), hung)));
  }

  private static Question.Row verdict(Trip trip, Hanging hung, Hanging.Load fullest) {
    String margin =
        String.format(Locale.ROOT, "%.1f times the load", 1 / Math.max(1e-9, fullest.used()));
    if (hung.loads().stream().allMatch(Hanging.Load::holds)) {
      return new Question.Row(
          "Fasteners hold",
          margin,
          "of the most loaded, pull and shear together, moving, with the worst slack");
    }
    return new Question.Row(
        "△ Fasteners do not hold",
        margin,
        "at %s: %s of the same would do, or stronger ones; %s"
            .formatted(
                trip.show(Measure.LENGTH, fullest.support().along()),
                fullest.support().fasteners() == 0
                    ? "some"
                    : Integer.toString(fullest.fastenersNeeded()),
                moved(trip, hung)));
  }

  private static String moved(Trip trip, Hanging hung) {
    double by = hung.moveToCentre();
    return Math.abs(by) < 0.005
        ? "they stand evenly about its centre already"
        : "all of them %s further %s would share it evenly"
            .formatted(trip.show(Measure.LENGTH, Math.abs(by)), by > 0 ? "forward" : "back");
  }

  private static List<Question.Row> standing(Trip trip, Hanging hung) {
    List<Question.Row> rows = new ArrayList<>();
    if (hung.tips()) {
      rows.add(
          new Question.Row(
              "△ It tips",
              trip.show(Measure.LENGTH, hung.centre()),
              "its centre lies beyond the last support: one of them is lifted; move one past it"));
    }
    if (hung.fallsWithoutOne()) {
      rows.add(
          new Question.Row(
              "One slack support lets it fall",
              hung.loads().size() + " of them",
              "a third, or a shelf under it, holds it when a strap or bolt fails"));
    }
    hung.loads().stream()
        .filter(l -> l.braking() < 0)
        .findFirst()
        .ifPresent(l ->
            rows.add(
                new Question.Row(
                    "Braking lifts it at %s"
                        .formatted(trip.show(Measure.LENGTH, l.support().along())),
                    newtons(-l.braking()),
                    "its bolts or a strap over the tank must hold it down")));
    return rows;
  }

  /** A strap alone dents a flat wall; a board spreads it. */
  private static Optional<Question.Row> pressed(Trip trip, Tank tank, Hanging hung) {
    return hung.loads().stream()
        .filter(l -> !l.support().type().isUnder() && l.pressure() > tank.highestPressure())
        .max(Comparator.comparingDouble(Hanging.Load::pressure))
        .map(l ->
            new Question.Row(
                "△ It presses the tank's wall",
                trip.show(Measure.PRESSURE, l.pressure()),
                "its wall is taken to bear %s: %s"
                    .formatted(
                        trip.show(Measure.PRESSURE, tank.highestPressure()),
                        spread(trip, tank, hung, l))));
  }

  /** A board no longer than the tank has room for; where that is not enough, more supports. */
  private static String spread(Trip trip, Tank tank, Hanging hung, Hanging.Load load) {
    double wide = load.support().width() * load.pressure() / tank.highestPressure();
    double room = TankResize.length(tank) / hung.loads().size();
    return wide <= room
        ? "a board or tray %s wide between spreads it".formatted(trip.show(Measure.LENGTH, wide))
        : "carry it on a shelf or tray under its whole floor, or by more straps";
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
            clearance.spare() < 0 ? "△ Too low" : "Over the lowest permitted line",
            trip.show(Measure.LENGTH, Math.abs(clearance.spare())),
            "its lowest point is %s over the ground, loaded; a branch or a rut reaches what hangs"
                    .formatted(trip.show(Measure.LENGTH, clearance.lowest()))
                + " below the frame: a guard, and nothing soft"),
        new Question.Row(
            clearance.above() < 0.05 ? "△ Hardly room above it" : "Room above it",
            trip.show(Measure.LENGTH, Math.max(0, clearance.above())),
            "to the floor, for fittings and the vent; a bend needs some 50 mm"));
  }

  private static String pressure(Trip trip, Tank tank, Hanging.Load load) {
    if (load.support().type().isUnder()) {
      return "spread";
    }
    String shown = trip.show(Measure.PRESSURE, load.pressure());
    return load.pressure() > tank.highestPressure() ? "△ " + shown : shown;
  }

  static String newtons(double force) {
    return Double.isFinite(force) ? String.format(Locale.ROOT, "%.0f N", force) : "no bolt";
  }
}
