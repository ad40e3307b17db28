package fernwort.app.jobs;

import fernwort.app.board.NextLines;
import fernwort.app.board.PlanDrawing;
import fernwort.app.compute.TooBusy;
import fernwort.app.live.LiveDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.services.States;
import fernwort.app.store.RunStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.id.PartId;
import fernwort.core.jobs.find.FillToMark;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.plan.Offer;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collector;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The jobs of a rig, and the plan of one from how the handles stand. */
@Controller
@RequestMapping("/rigs/{id}/jobs")
class JobsController {

  private static final int NEWEST = 8;

  /** A page waits so long for slips before it says that they are being tried. */
  private static final Duration PATIENCE = Duration.ofMillis(900);

  /** As long as this somebody waits for a page; after it the jobs stand there as they are. */
  private static final Duration FIRST_PATIENCE = Duration.ofMillis(150);

  /** What the page asks for by itself may take longer. */
  private static final Duration LONG_PATIENCE = Duration.ofSeconds(8);

  /** Says of a page that it is not to be kept for where there is no network. */
  private static final String UNFINISHED = "X-Unfinished";

  private final Descriptions rigs;
  private final States states;
  private final Sleep sleep;
  private final JobDesk desk;
  private final JobRuns runs;
  private final RunStore store;
  private final PlanDrawing drawings;
  private final NextLines next;
  private final LiveDesk live;

  JobsController(
      Descriptions rigs,
      States states,
      Sleep sleep,
      JobDesk desk,
      JobRuns runs,
      RunStore store,
      PlanDrawing drawings,
      NextLines next,
      LiveDesk live) {
    this.next = next;
    this.live = live;
    this.drawings = drawings;
    this.sleep = sleep;
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.runs = runs;
    this.store = store;
  }

  /** A job in the list: whether it is so already, and what stands in its way, if anything does. */
  record Row(String id, String title, String by, boolean so, String trouble) {
    /** Returns it without its means where no other row has the same title. */
    Row among(List<Row> rows) {
      boolean only = rows.stream().filter(r -> r.title.equals(title)).count() == 1;
      return only ? new Row(id, title, "", so, trouble) : this;
    }

    static Row of(Offer offer, boolean so, Units units) {
      String trouble = offer.trouble().map(Plan.Trouble::words).map(units::say).orElse("");
      return of(offer.job(), so, trouble, units);
    }

    static Row of(Job job, boolean so, String trouble, Units units) {
      return new Row(job.id(), units.say(job.title()), job.by(), so, trouble);
    }
  }

  /**
   * What a person comes for, with the ways to do it on this rig.
   *
   * @param title what it is
   * @param first the ways that are seen at once
   * @param more the others
   */
  record Card(String title, List<Row> first, List<Row> more) {

    /** The titles, in the order in which people ask for them. */
    static final List<String> ORDER =
        List.of(
            "Fill",
            "Use",
            Says.DUMP_AND_DRAIN.text(),
            "Move",
            Says.HOT_WATER.text(),
            "Outside",
            Says.DRIVE_AND_PARK.text());

    private static final int SEEN = 2;

    /** Puts the jobs on the cards, in the order in which people ask for them. */
    static List<Card> of(Map<String, List<Row>> groups) {
      List<Card> cards = new ArrayList<>();
      for (String title : ORDER) {
        List<Row> all = groups.getOrDefault(title, List.of());
        List<Row> rows = all.stream().map(row -> row.among(all)).toList();
        if (!rows.isEmpty()) {
          int seen = Math.min(rows.size() == SEEN + 1 ? SEEN + 1 : SEEN, rows.size());
          cards.add(new Card(title, rows.subList(0, seen), rows.subList(seen, rows.size())));
        }
      }
      return cards;
    }
  }

  /** A run in the list. */
  record RunRow(String id, String title, String who, boolean running) {}

  @GetMapping
  String jobs(
      @PathVariable String id,
      @ModelAttribute("units") Units units,
      Model model,
      HttpServletResponse response) {
    OpenRig rig = rigs.open(id);
    if (!list(rig, FIRST_PATIENCE, units, model)) {
      response.setHeader(UNFINISHED, "true");
    }
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("next", next.of(rig, units));
    model.addAttribute(
        "runs",
        store.newest(id, NEWEST).stream()
            .map(r ->
                new RunRow(
                    r.id(),
                    units.say(Message.kept(r.title())),
                    r.who(),
                    r.outcome() == RunStore.Outcome.RUNNING))
            .toList());
    return "jobs/jobs";
  }

  /**
   * The list alone, once every job has been looked at.
   *
   * @throws TooBusy when that takes longer
   */
  @GetMapping("/list")
  String list(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    if (!list(rigs.open(id), LONG_PATIENCE, units, model)) {
      throw new TooBusy(Says.THE_JOBS_ARE_STILL_BEING_CHECKED.text());
    }
    return "jobs/list";
  }

  /**
   * The jobs on their cards. Where looking at each takes longer than somebody waits, they stand
   * there all the same, with nothing said of what is in their way.
   *
   * @return whether each has been looked at
   */
  private boolean list(OpenRig rig, Duration patience, Units units, Model model) {
    JobBook book = desk.book(rig);
    Optional<List<Offer>> offers = desk.offers(rig, states.of(rig).state(), patience);
    List<Jobs.Cannot> cannot = new ArrayList<>(book.jobs().cannot());
    for (Offer offer : offers.orElse(List.of())) {
      if (offer.wanting()) {
        String why = offer.trouble().map(Plan.Trouble::words).map(units::say).orElse("");
        cannot.add(new Jobs.Cannot(units.say(offer.job().name()), why));
      }
    }
    State now = states.of(rig).state();
    model.addAttribute("rig", rig.id());
    model.addAttribute("looking", offers.isEmpty());
    model.addAttribute(
        "cards", offers.map(o -> cards(book, o, now, units)).orElseGet(() -> bare(book, units)));
    model.addAttribute("cannot", cannot);
    return offers.isPresent();
  }

  /** Puts what a rig offers on cards. */
  static List<Card> cards(JobBook book, List<Offer> offers, State now, Units units) {
    return Card.of(
        offers.stream()
            .filter(offer -> !offer.wanting())
            .collect(
                grouped(
                    Offer::job,
                    offer -> Row.of(offer, book.plans().isSo(offer.job(), now), units))));
  }

  private static List<Card> bare(JobBook book, Units units) {
    return Card.of(
        book.jobs().all().stream()
            .collect(grouped(job -> job, job -> Row.of(job, false, "", units))));
  }

  private static <T> Collector<T, ?, Map<String, List<Row>>> grouped(
      Function<T, Job> job, Function<T, Row> row) {
    return Collectors.groupingBy(
        one -> job.apply(one).kind().group(), Collectors.mapping(row, Collectors.toList()));
  }

  @GetMapping("/{job}")
  String job(
      @PathVariable String id,
      @PathVariable String job,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("job", view(rig, job, units));
    State now = states.of(rig).state();
    model.addAttribute("drawing", drawings.of(rig, now));
    Plan plan = desk.plan(rig, job, now);
    model.addAttribute("numbers", numbers(plan));
    model.addAttribute("byMotors", live.isLive(id) && isByMotors(rig, plan));
    model.addAttribute("asleep", sleep.beforeUse(rig).map(units::say).orElse(""));
    return "jobs/job";
  }

  /** Tells whether every handle that a plan turns has a motor. */
  private static boolean isByMotors(OpenRig rig, Plan plan) {
    return plan.trouble().isEmpty()
        && !plan.moves().isEmpty()
        && plan.moves().stream().allMatch(m -> rig.rig().part(m.part()).kind().setsItself());
  }

  /** The numbers of the steps at each part, for the drawing. */
  private static Map<String, String> numbers(Plan plan) {
    Map<String, String> numbers = new LinkedHashMap<>();
    for (int i = 0; i < plan.steps().size(); i++) {
      String number = Integer.toString(i + 1);
      PartId part =
          switch (plan.steps().get(i)) {
            case Step.Move move -> move.part();
            case Step.Wait wait -> wait.until().part();
          };
      numbers.merge(part.value(), number, (first, next) -> first + "·" + next);
    }
    return numbers;
  }

  /** The same job, filling no further than to a mark. */
  @GetMapping("/{job}/to")
  String toMark(
      @PathVariable String id,
      @PathVariable String job,
      @RequestParam String amount,
      @ModelAttribute("units") Units units,
      RedirectAttributes to) {
    Job filling = desk.book(rigs.open(id)).job(job);
    BigDecimal litres =
        BigDecimal.valueOf(1000 * units.parse(Says.THE_MARK.text(), Measure.VOLUME, amount))
            .setScale(1, RoundingMode.HALF_UP);
    if (litres.signum() <= 0) {
      throw new Refusal(Says.THE_MARK_HAS_TO_BE_ABOVE_NOTHING.with());
    }
    to.addAttribute("id", id).addAttribute("job", FillToMark.name(filling, litres));
    return "redirect:/rigs/{id}/jobs/{job}";
  }

  private JobView view(OpenRig rig, String job, Units units) {
    JobBook book = desk.book(rig);
    State now = states.of(rig).state();
    Job found = book.job(job);
    Plan plan = desk.plan(rig, job, now);
    List<JobView.Other> others =
        book.alternatives(found).stream()
            .map(o -> {
              Plan other = desk.plan(rig, o.id(), now);
              return new JobView.Other(
                  o.id(),
                  units.say(o.name()),
                  other.trouble().isPresent()
                      ? Says.NOT_NOW.text()
                      : JobView.sum(rig, other, units));
            })
            .toList();
    return JobView.of(rig, book, plan, others, units);
  }

  @PostMapping("/{job}/begin")
  String begin(
      @PathVariable String id, @PathVariable String job, @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    return "redirect:/rigs/" + id + "/runs/" + runs.begin(rig, job, who);
  }

  /** A change of plumbing to try, how much harm it leaves, and whether it is being tried. */
  record Try(String id, String words, int harmful, boolean tried) {}

  /** The slips of one job, on the rig as it is or with a change of plumbing tried on it. */
  @GetMapping("/{job}/slips")
  String slips(
      @PathVariable String id,
      @PathVariable String job,
      @RequestParam(defaultValue = "") String fix,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    State now = states.of(rig).state();
    model.addAttribute("rig", id);
    model.addAttribute("job", job);
    model.addAttribute("fix", fix);
    Optional<List<Slip>> tried = desk.slips(rig, job, now, PATIENCE);
    if (tried.isEmpty()) {
      return "jobs/slips-wait";
    }
    List<Slip> slips = tried.get();
    Optional<JobDesk.Mended> mended =
        fix.isEmpty() ? Optional.empty() : mended(rig, job, now, slips, fix);
    List<Slip> shown = mended.map(JobDesk.Mended::slips).orElse(slips);
    model.addAttribute("slips", JobView.SlipRow.of(harmful(shown), units));
    model.addAttribute("harmless", shown.size() - harmful(shown).size());
    model.addAttribute("before", harmful(slips).size());
    model.addAttribute("mendable", !harmful(slips).isEmpty());
    model.addAttribute("tried", mended.map(m -> m.remedy().words()).orElse(""));
    return "jobs/slips";
  }

  private Optional<JobDesk.Mended> mended(
      OpenRig rig, String job, State now, List<Slip> slips, String fix) {
    return desk.remedies(rig, job, now, slips, PATIENCE).stream()
        .flatMap(List::stream)
        .filter(m -> m.remedy().id().equals(fix))
        .findFirst();
  }

  /** The changes of plumbing that take the harm out of some of a job's slips. */
  @GetMapping("/{job}/slips/fixes")
  String fixes(
      @PathVariable String id,
      @PathVariable String job,
      @RequestParam(defaultValue = "") String fix,
      Model model) {
    OpenRig rig = rigs.open(id);
    State now = states.of(rig).state();
    Optional<List<JobDesk.Mended>> fixes =
        desk.slips(rig, job, now, PATIENCE)
            .flatMap(slips -> desk.remedies(rig, job, now, slips, PATIENCE));
    model.addAttribute("rig", id);
    model.addAttribute("job", job);
    model.addAttribute("fix", fix);
    model.addAttribute("waiting", fixes.isEmpty());
    model.addAttribute(
        "fixes",
        fixes.stream()
            .flatMap(List::stream)
            .map(m ->
                new Try(
                    m.remedy().id(),
                    m.remedy().words(),
                    harmful(m.slips()).size(),
                    m.remedy().id().equals(fix)))
            .toList());
    return "jobs/fixes";
  }

  private static List<Slip> harmful(List<Slip> slips) {
    return slips.stream().filter(s -> s.grade() != Slip.Grade.HARMLESS).toList();
  }

  /** What a bump does to the rig as it stands. */
  @GetMapping("/bumps")
  String bumps(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    List<Slip> bumps = desk.book(rig).slips().bumps(states.of(rig).state());
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("slips", JobView.SlipRow.of(harmful(bumps), units));
    model.addAttribute("harmless", bumps.size() - harmful(bumps).size());
    return "jobs/bumps";
  }

  /** A page for the cupboard door. */
  @GetMapping("/{job}/sheet")
  String sheet(
      @PathVariable String id,
      @PathVariable String job,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("job", JobView.fromRest(rig, desk.book(rig), job, units));
    model.addAttribute("workedOut", JobView.workedOutFrom(rig, units));
    return "jobs/sheet";
  }
}
