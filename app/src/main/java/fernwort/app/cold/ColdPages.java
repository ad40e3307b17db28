package fernwort.app.cold;

import fernwort.app.board.PlanDrawing;
import fernwort.app.questions.NightAir;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.services.Weather;
import fernwort.app.services.Winters;
import fernwort.app.store.WinterStore.Outcome;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.advice.ShorterWinter;
import fernwort.core.advice.WinterChoice;
import fernwort.core.drain.Wintering;
import fernwort.core.say.Refusal;
import fernwort.core.winter.Forgotten;
import fernwort.core.winter.FrostRisks;
import fernwort.core.winter.sheets.FrostVerdict;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Cold screen. */
@Controller
@RequestMapping("/rigs/{id}/cold")
class ColdPages {

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  private final Descriptions rigs;
  private final Winters winters;
  private final Sleep sleep;
  private final QuestionDesk desk;
  private final PlanDrawing drawings;
  private final Weather weather;
  private final Clock clock;

  ColdPages(
      Descriptions rigs,
      Winters winters,
      Sleep sleep,
      QuestionDesk desk,
      PlanDrawing drawings,
      Weather weather,
      Clock clock) {
    this.drawings = drawings;
    this.weather = weather;
    this.clock = clock;
    this.rigs = rigs;
    this.winters = winters;
    this.sleep = sleep;
    this.desk = desk;
  }

  private static String day(Instant at) {
    return at.atZone(ZoneId.systemDefault()).format(DAY);
  }

  /** A sheet in the list of those that were. */
  record Past(String id, String title, String when, String how, boolean running) {}

  @GetMapping
  String cold(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    OpenRig rig = trip.open();
    WishPage.Asked asked = WishPage.of(trip);
    desk.show(trip, "winter", List.of(asked.question()), model);
    model.addAttribute("state", state(rig, asked.wish()));
    model.addAttribute("running", sleep.running(rig).map(Sleep.Sheet::id).orElse(""));
    model.addAttribute("sleeps", sleep.asleep(rig).isPresent());
    model.addAttribute("first", name(WinterizingMethod.values()[0]));
    model.addAttribute("past", sleep.sheets(rig).stream().map(ColdPages::past).toList());
    return "cold/cold";
  }

  private static Past past(Sleep.Sheet s) {
    String how =
        switch (s.outcome()) {
          case RUNNING -> Says.OF_TICKED.filled(s.ticks().size(), s.steps().size());
          case DONE -> "done";
          case LEFT -> Says.LEFT_AFTER_OF.filled(s.ticks().size(), s.steps().size());
        };
    return new Past(
        s.id(), s.title(), day(s.started()) + ", " + s.who(), how, s.outcome() == Outcome.RUNNING);
  }

  private String state(OpenRig rig, WinterWish wish) {
    Optional<Sleep.Sheet> asleep = sleep.asleep(rig);
    if (asleep.isEmpty()) {
      return Says.IN_USE_PIPES_FULL_OF_WATER.text();
    }
    Sleep.Sheet sheet = asleep.get();
    FrostVerdict verdict = FrostVerdict.of(FrostRisks.of(rig.network(), sheet.now(), wish.cold()));
    String how =
        Says.ON_BY_OF_STEPS_TICKED.filled(
            sheet.title(),
            day(sheet.started()),
            sheet.who(),
            sheet.ticks().size(),
            sheet.steps().size());
    return Says.HOW_IT_IS.filled(how, verdict.words(rig.rig()).capitalised());
  }

  /** What one school makes of the rig, with the one to ask for next: others may go in between. */
  @GetMapping("/schools/{school}")
  String oneOfTheSchools(
      @PathVariable String id,
      @PathVariable String school,
      @ModelAttribute("units") Units units,
      Model model) {
    WinterizingMethod now = named(school);
    Trip trip = desk.trip(id, units);
    model.addAttribute("rig", id);
    model.addAttribute("plan", plan(trip, now, units));
    model.addAttribute("next", after(now).map(ColdPages::name).orElse(""));
    if (after(now).isEmpty()) {
      compare(trip, units, model);
    }
    return "cold/one-school";
  }

  private PlanView plan(Trip trip, WinterizingMethod school, Units units) {
    WinterWish wish = WishPage.of(trip).wish();
    return PlanView.of(trip.open(), winters.plan(trip.open(), school, wish), wish, units);
  }

  /** All methods against each other, once each is worked out, and the one to take. */
  private void compare(Trip trip, Units units, Model model) {
    WinterWish wish = WishPage.of(trip).wish();
    List<WinterPlan> plans = winters.plans(trip.open(), wish);
    model.addAttribute("compared", Compared.all(trip.open(), plans, wish, units));
    WinterChoice.among(plans, trip.rig())
        .ifPresent(choice -> {
          model.addAttribute("choice", name(choice.plan().school()));
          model.addAttribute("choiceTitle", choice.plan().school().title());
          model.addAttribute("why", units.say(choice.why()));
        });
  }

  private static Optional<WinterizingMethod> after(WinterizingMethod school) {
    return Stream.of(WinterizingMethod.values())
        .filter(s -> s.ordinal() == school.ordinal() + 1)
        .findFirst();
  }

  private static String name(WinterizingMethod school) {
    return school.name().toLowerCase(Locale.ROOT);
  }

  /** What all schools make of the rig. */
  @GetMapping("/schools")
  String schools(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    compare(trip, units, model);
    model.addAttribute("rig", id);
    model.addAttribute("name", trip.rig().name());
    model.addAttribute(
        "plans",
        Stream.of(WinterizingMethod.values()).map(school -> plan(trip, school, units)).toList());
    return "cold/schools";
  }

  /** The sheet of the method to take, as it hangs on the door. */
  @GetMapping("/sheet-to-take")
  String toTake(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    List<WinterPlan> plans = winters.plans(trip.open(), WishPage.of(trip).wish());
    WinterizingMethod method =
        WinterChoice.among(plans, trip.rig())
            .map(choice -> choice.plan().school())
            .orElse(WinterizingMethod.values()[0]);
    return school(id, name(method), units, model);
  }

  @GetMapping("/school/{school}")
  String school(
      @PathVariable String id,
      @PathVariable String school,
      @ModelAttribute("units") Units units,
      Model model) {
    Trip trip = desk.trip(id, units);
    model.addAttribute("rig", id);
    model.addAttribute("name", trip.rig().name());
    model.addAttribute("plan", plan(trip, named(school), units));
    return "cold/school";
  }

  /** The one part that would shorten a school's sheet most; each is put in and tried. */
  @GetMapping("/school/{school}/shorter")
  String shorter(
      @PathVariable String id,
      @PathVariable String school,
      @ModelAttribute("units") Units units,
      Model model) {
    Trip trip = desk.trip(id, units);
    WinterizingMethod way = named(school);
    Optional<ShorterWinter.Found> found =
        winters.shorter(trip.open(), way, WishPage.of(trip).wish());
    model.addAttribute("rig", id);
    model.addAttribute("name", trip.rig().name());
    model.addAttribute("school", school);
    model.addAttribute("heading", way.title());
    model.addAttribute("words", found.map(f -> units.say(f.words())).orElse(""));
    model.addAttribute("saves", found.map(f -> units.say(ShorterWinter.saves(f))).orElse(""));
    return "cold/shorter";
  }

  /** What each single step of a school's sheet does when it is forgotten; each is tried. */
  @GetMapping("/school/{school}/forgotten")
  String forgotten(
      @PathVariable String id,
      @PathVariable String school,
      @ModelAttribute("units") Units units,
      Model model) {
    Trip trip = desk.trip(id, units);
    OpenRig rig = trip.open();
    WinterWish wish = WishPage.of(trip).wish();
    WinterPlan plan = winters.plan(rig, named(school), wish);
    List<Omission> omissions =
        Forgotten.of(rig.network(), plan, wish.cold()).stream()
            .map(f ->
                new Omission(
                    units.say(plan.steps().get(f.step()).words()),
                    f.dangers(),
                    LeftView.of(rig, f.keeps(), units)))
            .toList();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("school", school);
    model.addAttribute("heading", plan.school().title());
    model.addAttribute("omissions", omissions);
    model.addAttribute("harmless", plan.steps().size() - omissions.size());
    return "cold/forgotten";
  }

  /** A step that is forgotten, with what it then keeps. */
  record Omission(String step, long dangers, LeftView keeps) {}

  /** What hangs on the handles of a rig that sleeps, for whoever comes next. */
  @GetMapping("/tag")
  String tag(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    OpenRig rig = trip.open();
    Sleep.Sheet sheet =
        sleep
            .asleep(rig)
            .orElseThrow(() -> new Refusal(Says.YOU_HAVE_NOT_WINTERIZED_THIS_RIG.with()));
    Wintering now = sleep.now(rig);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("state", state(rig, WishPage.of(trip).wish()));
    model.addAttribute("since", day(sheet.started()));
    model.addAttribute("who", sheet.who());
    model.addAttribute(
        "off",
        now.service().entrySet().stream()
            .filter(e -> rig.rig().partsById().containsKey(e.getKey()))
            .map(e -> LeftView.turned(rig, e.getKey(), e.getValue()))
            .sorted()
            .toList());
    model.addAttribute(
        "antifreeze",
        now.glycol().keySet().stream().map(part -> LeftView.label(rig, part)).sorted().toList());
    model.addAttribute(
        "left", LeftView.of(rig, FrostRisks.of(rig.network(), now, sheet.cold()), units));
    model.addAttribute("dry", units.show(Measure.VOLUME, now.dry(rig.network()).all()));
    return "cold/tag";
  }

  private static WinterizingMethod named(String school) {
    return WinterizingMethod.named(school)
        .orElseThrow(() -> new Refusal(Says.THERE_IS_NO_METHOD_PICK_ONE.with(school)));
  }

  @PostMapping("/school/{school}/begin")
  String begin(
      @PathVariable String id,
      @PathVariable String school,
      @ModelAttribute("units") Units units,
      @ModelAttribute("who") String who) {
    Trip trip = desk.trip(id, units);
    String sheet = winters.begin(trip.open(), named(school), WishPage.of(trip).wish(), who);
    return "redirect:/rigs/%s/cold/sheets/%s".formatted(id, sheet);
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
  }

  /** Keeps what was entered on a question and shows its page anew. */
  @PostMapping("/{page:winter|tonight}")
  String keep(
      @PathVariable String id,
      @PathVariable String page,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    String where = page.equals("winter") ? "" : "/" + page;
    Map<String, String> entered = new HashMap<>(form);
    if (form.containsKey("night-lowest")) {
      entered.put(NightAir.GIVEN_ON, today().toString());
    }
    return "redirect:/rigs/" + id + "/cold" + where + desk.keep(id, entered, units);
  }

  @GetMapping("/tonight")
  String tonight(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    model.addAttribute("drawing", drawings.of(trip.open(), trip.now()));
    desk.show(
        trip,
        "tonight",
        TonightPage.of(trip, sleep.now(trip.open()), weather.night(trip.open(), today())),
        model);
    return "cold/tonight";
  }

  @GetMapping("/spring")
  String spring(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    boolean sleeps = sleep.asleep(rig).isPresent();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("sleeps", sleeps);
    if (sleeps) {
      WinterPlan plan = winters.spring(rig);
      model.addAttribute("steps", StepsView.of(rig, plan.steps(), Map.of(), Map.of(), units));
      model.addAttribute("notes", plan.notes().stream().map(units::say).toList());
    }
    return "cold/spring";
  }

  @PostMapping("/spring/begin")
  String wake(@PathVariable String id, @ModelAttribute("who") String who) {
    return "redirect:/rigs/%s/cold/sheets/%s".formatted(id, winters.wake(rigs.open(id), who));
  }

  /** What is still wet, and what one more turn would let out. */
  @GetMapping("/left")
  String left(
      @PathVariable String id,
      @RequestParam(name = "try", defaultValue = "") List<String> tries,
      @ModelAttribute("units") Units units,
      Model model) {
    Trip trip = desk.trip(id, units);
    OpenRig rig = trip.open();
    WinterWish wish = WishPage.of(trip).wish();
    Wintering now = sleep.now(rig);
    List<Operation> acts = tries.stream().map(t -> Tries.read(rig, t)).toList();
    Wintering tried = now;
    for (Operation act : acts) {
      tried = Tries.on(rig, tried, act);
    }
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("state", state(rig, wish));
    model.addAttribute("inUse", sleep.asleep(rig).isEmpty() && tries.isEmpty());
    LeftView left = LeftView.of(rig, FrostRisks.withHelp(rig.network(), tried, wish.cold()), units);
    model.addAttribute("left", left);
    model.addAttribute("drawing", drawings.of(rig, tried.state()));
    model.addAttribute(
        "marks",
        left.rows().stream().collect(Collectors.toMap(LeftView.Row::id, LeftView.Row::onDrawing)));
    model.addAttribute(
        "before", LeftView.of(rig, FrostRisks.of(rig.network(), now, wish.cold()), units));
    model.addAttribute("tries", acts.stream().map(act -> Tries.words(rig, act, units)).toList());
    model.addAttribute(
        "tried", tries.stream().map(t -> "try=" + t + "&").reduce("", String::concat));
    return "cold/left";
  }
}
