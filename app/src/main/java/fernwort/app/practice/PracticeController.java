package fernwort.app.practice;

import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.PracticeDesk;
import fernwort.app.store.PracticeStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Address;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Trial.Act;
import fernwort.core.jobs.mistake.Attempts;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.kind.Position;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which jobs are practised. */
@Controller
@RequestMapping("/rigs/{id}/practise")
class PracticeController {

  private static final List<Integer> MINUTES = List.of(1, 5, 15);
  private static final int MOST = 100;

  private final Descriptions rigs;
  private final PracticeDesk desk;
  private final ExercisePages pages;
  private final PlanDrawing drawings;

  PracticeController(
      Descriptions rigs, PracticeDesk desk, ExercisePages pages, PlanDrawing drawings) {
    this.drawings = drawings;
    this.rigs = rigs;
    this.desk = desk;
    this.pages = pages;
  }

  /**
   * What an exercise is asked, as it stands in the address.
   *
   * @param acts what was done so far
   * @param done whether that is all
   * @param on id of the part that was picked; empty for none
   */
  record Asked(List<String> acts, boolean done, String on) {}

  /** A position that a handle can be put in, with the acts that puts it there. */
  record Way(String words, boolean now, List<String> acts) {}

  /** A handle. */
  record Handle(String label, String place, List<Way> ways) {}

  /** A tank as it stands now. */
  record Tank(String label, String holds, List<String> untilFull) {}

  /** A wait that can be chosen. */
  record Wait(int minutes, List<String> acts) {}

  /** Something that was practised before. */
  record Passed(String words, String when) {}

  @GetMapping
  String begin(@PathVariable String id, @ModelAttribute("who") String who, Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("kinds", PracticeDesk.Kind.values());
    desk.soon(rig);
    model.addAttribute("person", who);
    model.addAttribute(
        "progress",
        desk.progress(rig, who).stream()
            .map(k -> new Passed(what(rig, k.what()), when(k)))
            .toList());
    return "practice/begin";
  }

  private String what(OpenRig rig, String key) {
    return switch (key) {
      case "what-if" -> Says.WHERE_THE_WATER_GOES.text();
      case "find" -> Says.SOMETHING_IS_WRONG.text();
      case "emergency" -> Says.WATER_RUNS_OUT.text();
      default -> desk.job(rig, key).map(j -> j.title().toString()).orElse(key);
    };
  }

  private static String when(PracticeStore.Kept kept) {
    return kept.passedOn()
        .map(d -> Says.PASSED_ON.filled(d, kept.due()))
        .orElseGet(() -> Says.MISSED_SO_FAR.filled(kept.due()));
  }

  @PostMapping
  String draw(
      @PathVariable String id,
      @RequestParam Optional<Integer> hard,
      @RequestParam(defaultValue = "job") String kind,
      @RequestParam(defaultValue = "") String job,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    PracticeDesk.Open made =
        job.isEmpty()
            ? desk.draw(rig, who, PracticeDesk.Kind.of(kind), hard)
            : desk.draw(rig, who, job);
    return "redirect:/rigs/" + id + "/practise/" + made.id();
  }

  /** A job that a borrower practises, and the mistake that it prevents. */
  record LessonRow(String job, String title, String prevents, String mistake, String passed) {}

  /** What a borrower practises before they take the rig. */
  @GetMapping("/hand-over")
  String handOver(
      @PathVariable String id,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    Optional<List<PracticeDesk.Lesson>> worked = desk.handOver(rig, who);
    List<PracticeDesk.Lesson> lessons = worked.orElse(List.of());
    model.addAttribute("ready", worked.isPresent());
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("person", who);
    model.addAttribute(
        "lessons",
        lessons.stream()
            .map(l ->
                new LessonRow(
                    l.job().id(),
                    units.say(l.job().name()),
                    units.say(l.worst().leads()),
                    units.say(l.worst().words()),
                    l.passedOn().map(d -> Says.PASSED_THE.filled(d)).orElse("")))
            .toList());
    long passed = lessons.stream().filter(l -> l.passedOn().isPresent()).count();
    model.addAttribute("passed", passed);
    model.addAttribute("all", !lessons.isEmpty() && passed == lessons.size());
    return "practice/hand-over";
  }

  @GetMapping("/{drill}")
  String drill(
      @PathVariable String id,
      @PathVariable String drill,
      @RequestParam(defaultValue = "") List<String> act,
      @RequestParam(defaultValue = "false") boolean done,
      @RequestParam(defaultValue = "") String on,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig open = rigs.open(id);
    PracticeDesk.Open given = desk.exercise(open, drill);
    model.addAttribute("kind", given.kind().written());
    if (given.drill().isEmpty()) {
      return pages.page(open, given, new Asked(act, done, on), units, model);
    }
    Rig rig = open.rig();
    List<String> told = act.stream().filter(a -> !a.isBlank()).limit(MOST).toList();
    List<Act> acts = told.stream().map(a -> ActText.read(a, rig)).toList();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.name());
    model.addAttribute("drill", drill);
    model.addAttribute("job", given.drill().orElseThrow().job().title());
    model.addAttribute("told", told);
    model.addAttribute("did", acts.stream().map(a -> ActText.words(a, rig)).toList());
    model.addAttribute("back", told.isEmpty() ? told : told.subList(0, told.size() - 1));
    model.addAttribute("done", done);
    if (done) {
      judged(desk.judge(open, given, acts), acts, rig, model);
      model.addAttribute("anew", desk.isMissed(given));
      model.addAttribute("jobId", given.drill().orElseThrow().job().id());
    } else {
      board(open, given, told, acts, units, model);
    }
    return "practice/drill";
  }

  private void board(
      OpenRig open,
      PracticeDesk.Open given,
      List<String> told,
      List<Act> acts,
      Units units,
      Model model) {
    Rig rig = open.rig();
    State now =
        new Trial(open.network(), open.hydraulics())
            .run(given.exercise().from(), acts, Map.of())
            .outcome()
            .end();
    model.addAttribute("handles", rig.handles().map(p -> handle(p, rig, now, told)).toList());
    model.addAttribute("drawing", drawings.toPick(open, now));
    model.addAttribute("picked", Set.of());
    model.addAttribute(
        "links",
        rig.handles()
            .collect(
                Collectors.toMap(
                    p -> p.id().value(),
                    p ->
                        Address.of(
                            ExercisePages.PAGE,
                            Map.of("act", with(told, ActText.next(p, now.setting()))),
                            given.rig(),
                            given.id()))));
    model.addAttribute(
        "tanks",
        rig.tanks()
            .map(t ->
                new Tank(
                    t.label(),
                    units.show(Measure.VOLUME, now.volume(t.id())),
                    with(told, ActText.full(t.id()))))
            .toList());
    model.addAttribute(
        "waits", MINUTES.stream().map(m -> new Wait(m, with(told, ActText.wait(m)))).toList());
  }

  private static Handle handle(Part part, Rig rig, State now, List<String> told) {
    List<Way> ways = new ArrayList<>();
    for (Position position : part.kind().positions()) {
      ways.add(
          new Way(
              position.words(),
              now.setting().has(part.id(), position.id()),
              with(told, ActText.turn(part.id(), position.id()))));
    }
    return new Handle(part.label(), rig.place(part.place()).label(), ways);
  }

  private static List<String> with(List<String> told, String more) {
    List<String> all = new ArrayList<>(told);
    all.add(more);
    return all;
  }

  private static void judged(Attempts.Verdict verdict, List<Act> acts, Rig rig, Model model) {
    model.addAttribute("passed", verdict.passed());
    model.addAttribute(
        "verdict",
        verdict.passed()
            ? Says.PASSED.filled(verdict.turns(), verdict.best())
            : (verdict.reached() ? Says.DONE_WITH_HARM : Says.NOT_DONE).text());
    // That the job is not done stands above already.
    boolean harm = verdict.grade() != Slip.Grade.NUISANCE;
    model.addAttribute("leads", harm ? verdict.leads().toString() : "");
    model.addAttribute(
        "left",
        verdict.left().isEmpty() || verdict.passed()
            ? ""
            : Says.STANDS_WRONG.filled(String.join(", ", verdict.left())));
    model.addAttribute(
        "astray",
        verdict.passed()
            ? ""
            : verdict
                .astray()
                .map(i -> Says.WENT_ASTRAY.filled(ActText.words(acts.get(i), rig)))
                .orElse(""));
    model.addAttribute("right", verdict.right().stream().map(a -> ActText.words(a, rig)).toList());
  }
}
