package fernwort.app.guide;

import fernwort.app.Missing;
import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Standing;
import fernwort.app.services.States;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.app.web.Visitor;
import fernwort.core.demo.ReadyAnswers;
import fernwort.core.describe.RigEdit;
import fernwort.core.guide.Guided;
import fernwort.core.guide.QuestionPage;
import fernwort.core.guide.WaterWalk;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Holds;
import fernwort.core.tank.Reading;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** The pages of questions about a rig, with the rig growing beside them. */
@Controller
class GuideController {

  static final List<GuidePage> PAGES =
      List.of(
          new VehiclePage(),
          new TanksPage(),
          new FillPage(),
          new VentsPage(),
          new SuctionPage(),
          new PumpQuestions(),
          new TapsPage(),
          new WastePage(),
          new LowsPage());

  /** The page after all questions: what came of them. */
  private static final String LOOK = "look";

  /** The button that was pressed. */
  private static final String DO = "do";

  private final Descriptions rigs;
  private final States states;
  private final Guides guides;
  private final PlanDrawing plans;
  private final Clock clock;

  GuideController(Descriptions rigs, States states, Guides guides, PlanDrawing plans, Clock clock) {
    this.rigs = rigs;
    this.states = states;
    this.guides = guides;
    this.plans = plans;
    this.clock = clock;
  }

  @PostMapping("/rigs/new/guide")
  String begin(
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String layout,
      @ModelAttribute("who") String who,
      HttpServletRequest request,
      HttpServletResponse response) {
    UnitChoice.byLanguage(request)
        .map(units -> Visitor.keeping(units, request))
        .ifPresent(kept -> response.addHeader(HttpHeaders.SET_COOKIE, kept.toString()));
    String called = name.isBlank() ? Says.MY_RIG.text() : RigEdit.shortened(name.strip());
    String id = guides.begin(ReadyAnswers.of(layout, called).orElse(RigAnswers.of(called)), who);
    return "redirect:/rigs/%s/guide/vehicle".formatted(id);
  }

  /** A page as a step of the way: where it leads, and whether one is there. */
  public record Step(String id, String title, boolean here) {}

  @GetMapping("/rigs/{id}/guide/{page}")
  String show(
      @PathVariable String id,
      @PathVariable String page,
      @RequestParam(defaultValue = "") String at,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    Guides.Given given = guides.given(rig);
    if (page.equals(LOOK)) {
      model.addAttribute("walk", walk(rig, given, at));
      return look(rig, given, levels(rig, units), Map.of(), units, model);
    }
    GuidePage asked = page(page);
    return ask(rig, given, asked, asked.cards(given.answers(), units), Map.of(), units, model);
  }

  @PostMapping("/rigs/{id}/guide/{page}")
  String answer(
      @PathVariable String id,
      @PathVariable String page,
      @RequestParam Map<String, String> form,
      @RequestHeader(name = "HX-Request", defaultValue = "false") boolean byScript,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      HttpServletRequest request,
      HttpServletResponse response,
      Model model) {
    GuidePage asked = page(page);
    if (byScript) {
      // What is kept while somebody types presses no button, though the browser names the last one.
      form.remove(DO);
    }
    FilledPage sheet = new FilledPage(form, units);
    RigAnswers answers = guides.answer(id, who, asked, sheet);
    OpenRig now = rigs.open(id);
    Optional<Units> other = UnitChoice.chosen(sheet);
    if (other.isPresent()) {
      ResponseCookie kept = Visitor.keeping(other.orElseThrow(), request);
      response.addHeader(HttpHeaders.SET_COOKIE, kept.toString());
      if (byScript) {
        // Every number on the page is in the units from before: it is loaded anew.
        response.setHeader("HX-Refresh", "true");
      }
    }
    if (sheet.errors().isEmpty() && !byScript) {
      boolean onward = "next".equals(form.get(DO));
      return "redirect:/rigs/%s/guide/%s".formatted(id, onward ? next(asked) : asked.id());
    }
    List<GuidePage.Card> cards = asked.cards(answers, units);
    return ask(
        now,
        new Guides.Given(answers, false),
        asked,
        typed(cards, form, sheet),
        sheet.errors(),
        units,
        model);
  }

  /** What could not be read stands in its field as it was typed. */
  private static List<GuidePage.Card> typed(
      List<GuidePage.Card> cards, Map<String, String> form, FilledPage sheet) {
    return cards.stream()
        .map(c ->
            c.holding(f ->
                sheet.errors().containsKey(f.name())
                    ? f.holding(form.getOrDefault(f.name(), ""))
                    : f))
        .toList();
  }

  private String ask(
      OpenRig rig,
      Guides.Given given,
      GuidePage asked,
      List<GuidePage.Card> cards,
      Map<String, String> errors,
      Units units,
      Model model) {
    fill(rig, given, asked.id(), units, model);
    model.addAttribute("heading", asked.title());
    model.addAttribute("number", PAGES.indexOf(asked) + 1);
    model.addAttribute("cards", cards);
    model.addAttribute("errors", errors);
    model.addAttribute(
        "valve",
        asked instanceof SuctionPage
            ? SuctionPage.pictures(given.answers().selector())
            : List.of());
    return "guide";
  }

  private void fill(OpenRig rig, Guides.Given given, String here, Units units, Model model) {
    model.addAttribute("rig", rig.id());
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("parted", given.parted());
    model.addAttribute("steps", steps(here));
    model.addAttribute("of", PAGES.size());
    model.addAttribute("drawing", plans.of(rig));
    model.addAttribute("holds", holds(rig, states.habits(rig), units));
  }

  private static List<Step> steps(String here) {
    List<Step> steps = new ArrayList<>();
    PAGES.forEach(p -> steps.add(new Step(p.id(), p.title(), p.id().equals(here))));
    steps.add(new Step(LOOK, "Check", here.equals(LOOK)));
    return steps;
  }

  /** What the rig holds, and for how long that lasts. */
  private static String holds(OpenRig rig, Habits habits, Units units) {
    Holds holds = Holds.of(rig.network(), habits);
    String litres =
        Says.FRESH_GRAY.filled(
            units.show(Measure.VOLUME, holds.fresh()), units.show(Measure.VOLUME, holds.gray()));
    if (holds.fresh() == 0 || habits.freshPerDay() == 0) {
      return litres;
    }
    return String.format(
        Locale.ROOT,
        Says.FULL_THE_FRESH_WATER_LASTS_DAYS.text(),
        litres,
        holds.lasts().freshDays());
  }

  private String look(
      OpenRig rig,
      Guides.Given given,
      List<Field> levels,
      Map<String, String> errors,
      Units units,
      Model model) {
    fill(rig, given, LOOK, units, model);
    if (!model.containsAttribute("walk")) {
      model.addAttribute("walk", Walk.NOWHERE);
    }
    model.addAttribute("look", LookBack.of(rig, given.answers(), units));
    model.addAttribute(
        "parts",
        rig.rig().parts().stream()
            .filter(p -> !p.kind().is(Purpose.JOINS))
            .sorted(Comparator.comparing(Part::label))
            .toList());
    model.addAttribute("tanks", levels);
    model.addAttribute("slips", errors);
    return "guide-look";
  }

  /**
   * Where the water at one part comes from and goes to.
   *
   * @param id the part
   * @param label what it is called
   * @param stands its positions with their ways
   * @param beside what it is joined to, where no water comes by it
   * @param lines the lines on these
   * @param page where it is put right, after the address of the rig
   */
  public record Walk(
      String id,
      String label,
      List<WaterWalk.Stands> stands,
      List<String> beside,
      Set<String> lines,
      String page) {

    /** Nobody has picked a part yet. */
    static final Walk NOWHERE = new Walk("", "", List.of(), List.of(), Set.of(), "");
  }

  private static Walk walk(OpenRig rig, Guides.Given given, String at) {
    if (at.isEmpty()) {
      return Walk.NOWHERE;
    }
    Guided made = Guided.of(given.answers());
    WaterWalk walk = WaterWalk.of(rig.network(), made.running(), PartId.of(at));
    QuestionPage page = made.pages().get(walk.part().id());
    return new Walk(
        at,
        walk.part().label(),
        walk.stands(),
        walk.beside(),
        walk.lines().stream().map(LineId::value).collect(Collectors.toSet()),
        // What came in by the editor is put right there.
        page == null ? "/rig?part=" + at : "/guide/" + page.id());
  }

  private List<Field> levels(OpenRig rig, Units units) {
    Standing now = states.of(rig);
    return rig.network().tanks().stream()
        .map(t ->
            Field.number(
                t.id().value(),
                t.label(),
                now.readings().containsKey(t.id().value())
                    ? units.number(Measure.VOLUME, now.state().volume(t.id()))
                    : "",
                units.unit(Measure.VOLUME).sign(),
                ""))
        .toList();
  }

  @PostMapping("/rigs/{id}/guide/levels")
  String levels(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    FilledPage sheet = new FilledPage(form, units);
    rig.network().tanks().forEach(tank -> record(rig, tank, sheet, who));
    if (sheet.errors().isEmpty()) {
      return "redirect:/rigs/%s/board".formatted(id);
    }
    List<Field> typed =
        levels(rig, units).stream()
            .map(f -> sheet.errors().containsKey(f.name()) ? f.holding(sheet.text(f.name())) : f)
            .toList();
    return look(rigs.open(id), guides.given(rig), typed, sheet.errors(), units, model);
  }

  /** Records what a tank holds; what cannot be is noted at its field, the others are recorded. */
  private void record(OpenRig rig, Part tank, FilledPage sheet, String who) {
    if (sheet.text(tank.id().value()).isEmpty()) {
      return;
    }
    Units units = sheet.units();
    try {
      double volume =
          units.parse(Says.NOW.filled(tank.label()), Measure.VOLUME, sheet.text(tank.id().value()));
      states.record(
          rig,
          tank.id(),
          new Reading.Volume(volume),
          units.show(Measure.VOLUME, volume),
          clock.instant(),
          who);
    } catch (Refusal refusal) {
      sheet.error(tank.id().value(), units.say(refusal.saying()));
    }
  }

  private static GuidePage page(String id) {
    return PAGES.stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Missing(Says.THERE_IS_NO_PAGE_OF_QUESTIONS.filled(id)));
  }

  private static String next(GuidePage page) {
    int next = PAGES.indexOf(page) + 1;
    return next < PAGES.size() ? PAGES.get(next).id() : LOOK;
  }
}
