package fernwort.app.jobs;

import fernwort.app.Missing;
import fernwort.app.live.RuleDesk;
import fernwort.app.questions.Form;
import fernwort.app.services.Descriptions;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.AutomationStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.core.id.PartId;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.jobs.automation.AutomationCheck;
import fernwort.core.jobs.automation.AutomationRun;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.run.HappeningWords;
import fernwort.core.say.Refusal;
import fernwort.core.say.Times;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.databind.json.JsonMapper;

/** What motor valves do by themselves: entered, checked for hazards, run on the simulated rig. */
@Controller
@RequestMapping("/rigs/{id}/automations")
class AutomationsController {

  private static final double HOUR = 3600;
  private static final int MOST_EVENTS = 40;

  /** The name of a rule that a job becomes is no longer (characters). */
  private static final int LONGEST_NAME = 40;

  private final Descriptions rigs;
  private final States states;
  private final AutomationStore store;
  private final JsonMapper mapper;
  private final JobDesk desk;
  private final RuleDesk rules;

  AutomationsController(
      Descriptions rigs,
      States states,
      AutomationStore store,
      JsonMapper mapper,
      JobDesk desk,
      RuleDesk rules) {
    this.rules = rules;
    this.rigs = rigs;
    this.desk = desk;
    this.states = states;
    this.store = store;
    this.mapper = mapper;
  }

  /** An automation in the list, with what it can bring about. */
  record Row(String id, String words, List<String> findings, String broken) {}

  @GetMapping
  String automations(
      @PathVariable String id,
      @RequestParam(defaultValue = "") PartId tap,
      @RequestParam(defaultValue = "6") double hours,
      @RequestParam(defaultValue = "false") boolean run,
      @RequestParam(defaultValue = "false") boolean leak,
      @RequestParam(defaultValue = "") String purpose,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    State now = states.of(rig).state();
    AutomationCheck check = AutomationCheck.of(rig.network());
    List<Row> rows = new ArrayList<>();
    List<Automation> sound = new ArrayList<>();
    List<AutomationCheck.Finding> alone = new ArrayList<>();
    for (AutomationStore.Kept kept : store.all(id)) {
      EnteredAutomation entered = mapper.readValue(kept.rule(), EnteredAutomation.class);
      try {
        Automation automation = entered.on(rig.rig(), job -> plan(rig, job));
        sound.add(automation);
        List<AutomationCheck.Finding> found = check.findings(automation, now);
        alone.addAll(found);
        rows.add(new Row(kept.id(), entered.words(rig.rig()), words(found, units), ""));
      } catch (Refusal e) {
        rows.add(
            new Row(
                kept.id(),
                entered.words(rig.rig()),
                List.of(),
                Says.IT_NO_LONGER_FITS_THE_RIG.filled(units.say(e.saying()))));
      }
    }
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("rows", rows);
    model.addAttribute("together", words(check.together(sound, alone, now), units));
    model.addAttribute("purposes", EnteredAutomation.Offer.ALL);
    model.addAttribute("asked", EnteredAutomation.Offer.of(purpose));
    model.addAttribute("tanks", rig.network().tanks());
    List<Part> actors = Automation.actors(rig.rig());
    model.addAttribute("canMove", !actors.isEmpty());
    model.addAttribute("valves", actors.stream().filter(p -> fits(p, purpose)).toList());
    model.addAttribute("letOut", actors.stream().filter(p -> p.kind().is(Purpose.TURNS)).toList());
    model.addAttribute(
        "movers", purpose.equals(Automation.Aim.TOP_UP.name()) ? movers(rig) : List.of());
    model.addAttribute(
        "taps", rig.rig().parts().stream().filter(p -> p.kind().is(Purpose.USE)).toList());
    model.addAttribute("tap", tap.value());
    model.addAttribute("hours", hours);
    model.addAttribute("leak", leak);
    if (run && !sound.isEmpty()) {
      State from =
          rig.rig().partsById().containsKey(tap) && rig.rig().part(tap).kind() instanceof Tap kind
              ? now.with(tap, kind.cold().id())
              : now;
      AutomationRun.Course course =
          AutomationRun.run(
              rig.network(),
              sound,
              from,
              Math.clamp(hours, 0.1, 48) * HOUR,
              leak ? 600 : Double.POSITIVE_INFINITY);
      model.addAttribute("course", course(rig, course, units));
    }
    return "jobs/automations";
  }

  /** Tells whether a motor is of the sort that an aim turns. */
  private static boolean fits(Part actor, String purpose) {
    boolean round = actor.kind().is(Purpose.CIRCULATES);
    return switch (purpose) {
      case "CIRCULATE" -> round;
      case "STOP_WHEN_DRY" -> actor.kind().is(Purpose.DRIVES) && !round;
      case "DRAIN_IN_FROST" -> actor.kind().is(Purpose.TURNS);
      default -> !round;
    };
  }

  private Plan plan(OpenRig rig, String job) {
    JobBook book = desk.book(rig);
    Job found =
        book.jobs()
            .byId(job)
            .orElseThrow(() -> new Refusal(Says.THE_RIG_HAS_NO_JOB_CHOOSE.with(job)));
    return book.plans().plan(found, states.of(rig).state());
  }

  /** The jobs by which one tank is topped up from another with nothing that a hand turns. */
  private List<Job> movers(OpenRig rig) {
    return desk.book(rig).jobs().all().stream()
        .filter(j -> j.kind() == Job.Kind.MOVE)
        .filter(j ->
            plan(rig, j.id()).moves().stream()
                .allMatch(m -> rig.rig().part(m.part()).kind().setsItself()))
        .toList();
  }

  private static List<String> words(List<AutomationCheck.Finding> findings, Units units) {
    return findings.stream()
        .map(f ->
            "%s, %s. %s"
                .formatted(units.say(f.warning().title()), f.when(), units.say(f.warning().fix())))
        .toList();
  }

  /** What came of a run, in words. */
  record CourseView(List<String> events, List<String> tanks, String lost) {}

  private static CourseView course(OpenRig rig, AutomationRun.Course course, Units units) {
    List<String> events = new ArrayList<>();
    for (AutomationRun.Noted event : course.events()) {
      event.turn().ifPresent(t -> events.add(Times.of(event.at()) + ": " + turned(rig.rig(), t)));
      event
          .happening()
          .filter(HappeningWords::isSerious)
          .ifPresent(
              h -> events.add(Times.of(event.at()) + ": " + HappeningWords.of(rig.rig(), h)));
    }
    List<String> tanks =
        rig.network().tanks().stream()
            .map(t ->
                Says.HELD_TO.filled(
                    t.label(),
                    units.show(Measure.VOLUME, course.lowest().getOrDefault(t.id(), 0.0)),
                    units.show(Measure.VOLUME, course.highest().getOrDefault(t.id(), 0.0))))
            .toList();
    return new CourseView(
        events.stream().limit(MOST_EVENTS).toList(),
        tanks,
        units.show(Measure.VOLUME, course.lost()));
  }

  private static String turned(Rig rig, Turn turn) {
    return rig.part(turn.part()).label()
        + " turned: "
        + rig.position(turn.part(), turn.position()).words();
  }

  @PostMapping
  String add(
      @PathVariable String id,
      @RequestParam String purpose,
      @RequestParam(defaultValue = "") PartId tank,
      @RequestParam(defaultValue = "") PartId other,
      @RequestParam(defaultValue = "") PartId valve,
      @RequestParam(defaultValue = "") String second,
      @RequestParam(defaultValue = "20") String low,
      @RequestParam(defaultValue = "90") String high,
      @RequestParam(defaultValue = "") String purge) {
    OpenRig rig = rigs.open(id);
    EnteredAutomation entered =
        new EnteredAutomation(
            purpose,
            tank.value(),
            other.value(),
            valve.value(),
            second,
            Form.plain(Says.LOWER_MARK.text(), low),
            Form.plain(Says.UPPER_MARK.text(), high),
            purge);
    entered.on(rig.rig(), job -> plan(rig, job));
    store.add(rig.id(), mapper.writeValueAsString(entered));
    return "redirect:/rigs/" + id + "/automations";
  }

  /** One becomes a rule for the real motors: it tells only, until it is let act. */
  @PostMapping("/{automation}/rule")
  String rule(@PathVariable String id, @PathVariable String automation, RedirectAttributes done) {
    OpenRig rig = rigs.open(id);
    AutomationStore.Kept kept =
        store.all(rig.id()).stream()
            .filter(a -> a.id().equals(automation))
            .findFirst()
            .orElseThrow(() -> new Missing(Says.THAT_AUTOMATION_IS_GONE.text()));
    EnteredAutomation entered = mapper.readValue(kept.rule(), EnteredAutomation.class);
    String name =
        (entered.purpose() + "-" + (entered.tank().isEmpty() ? entered.valve() : entered.tank()))
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("-$", "");
    rules.keep(
        rig.id(), name, entered.words(rig.rig()), entered.on(rig.rig(), job -> plan(rig, job)));
    Done.say(done, Says.THE_RULE_TELLS_ONLY.filled(name));
    return "redirect:/rigs/" + id + "/rules";
  }

  /** A job whose handles all have motors becomes a rule at a button, as things stand. */
  @PostMapping("/job")
  String job(
      @PathVariable String id,
      @RequestParam String job,
      @ModelAttribute("units") Units units,
      RedirectAttributes done) {
    OpenRig rig = rigs.open(id);
    String name = job.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    String clipped = name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    Plan plan = desk.plan(rig, job, states.of(rig).state());
    rules.keep(rig.id(), clipped, units.say(plan.job().name()), plan);
    Done.say(done, Says.THE_RULE_TELLS_ONLY.filled(clipped));
    return "redirect:/rigs/" + id + "/rules";
  }

  @PostMapping("/{automation}/remove")
  String remove(@PathVariable String id, @PathVariable String automation) {
    store.remove(rigs.open(id).id(), automation);
    return "redirect:/rigs/" + id + "/automations";
  }
}
