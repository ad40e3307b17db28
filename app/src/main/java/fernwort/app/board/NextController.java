package fernwort.app.board;

import fernwort.app.questions.NightAir;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.services.States;
import fernwort.app.store.RunStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.advice.Advice;
import fernwort.core.advice.Advisor;
import fernwort.core.drain.Wintering;
import fernwort.core.frost.FreezeForecast;
import fernwort.core.hygiene.Upkeep;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.sizing.Lasts;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What to do next, beside the Board; fetched once the Board is there, for jobs are planned. */
@Controller
class NextController {

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final RunStore runs;
  private final Diary diary;
  private final QuestionDesk questions;
  private final Sleep sleep;
  private final Clock clock;

  /** Until this a time of day is worth saying (days). */
  private static final double NEAR = 2;

  /** Later than this nobody plans by (days). */
  private static final double FAR = 30;

  private static final DateTimeFormatter HOUR =
      DateTimeFormatter.ofPattern("EEE HH':00'", Locale.ENGLISH);

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  NextController(
      Descriptions rigs,
      States states,
      JobDesk desk,
      RunStore runs,
      Diary diary,
      QuestionDesk questions,
      Sleep sleep,
      Clock clock) {
    this.questions = questions;
    this.sleep = sleep;
    this.clock = clock;
    this.diary = diary;
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.runs = runs;
  }

  /**
   * A line of what is next.
   *
   * @param grade how bad it is to leave it, in small letters
   * @param words what to do and why
   * @param link where it is done, from the rig's address; empty for nowhere
   * @param act what the button says
   */
  record Line(String grade, String words, String link, String act) {}

  /**
   * The water of one sort as a bar.
   *
   * @param sort its name for styles: fresh or gray
   * @param what what it is
   * @param level what of how much
   * @param share how full (0 to 100)
   * @param until when it ends, or is full
   */
  record Bar(String sort, String what, String level, double share, String until) {}

  @GetMapping("/rigs/{id}/next")
  String next(
      @PathVariable String id,
      @RequestParam(defaultValue = "true") boolean bars,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    State state = states.of(rig).state();
    JobBook book = desk.book(rig);
    Lasts lasts = Lasts.of(rig.network(), state, states.habits(rig));
    Optional<RunStore.Run> begun =
        runs.newest(id, 1).stream()
            .filter(run -> run.outcome() == RunStore.Outcome.RUNNING)
            .findFirst();
    List<Advice> advice =
        Advisor.of(
            book.plans(),
            book.offered(),
            state,
            lasts,
            new Advisor.Noted(
                begun.map(run -> Message.kept(run.title())),
                overdue(rig),
                frost(questions.trip(id, units))));
    model.addAttribute("rig", id);
    model.addAttribute("bars", bars ? bars(rig, lasts, units) : List.of());
    model.addAttribute("otherwise", units.say(Advisor.otherwise(lasts)));
    model.addAttribute("lines", advice.stream().map(a -> line(a, begun, units)).toList());
    return "board/next";
  }

  /** What freezes first tonight, by the same air as the page Tonight. */
  private Optional<Advisor.Frost> frost(Trip trip) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    Wintering now = sleep.now(trip.open());
    FreezeForecast.Asked asked = NightAir.asked(trip.form(), today);
    FreezeForecast night = FreezeForecast.of(trip.network(), now, asked);
    return Advisor.Frost.of(night, asked.outside().lowest(), NightAir::clock);
  }

  private List<Bar> bars(OpenRig rig, Lasts lasts, Units units) {
    List<Bar> bars = new ArrayList<>();
    if (!lasts.fresh().isEmpty()) {
      bars.add(bar(rig, "fresh", "Fresh", lasts.fresh(), "lasts until ", lasts.freshDays(), units));
    }
    lasts
        .grayDays()
        .ifPresent(
            days -> bars.add(bar(rig, "gray", "Gray", lasts.gray(), "full about ", days, units)));
    return bars;
  }

  private Bar bar(
      OpenRig rig,
      String sort,
      String what,
      List<Lasts.Share> tanks,
      String words,
      double days,
      Units units) {
    double holds = tanks.stream().mapToDouble(Lasts.Share::holds).sum();
    double full = tanks.stream().mapToDouble(t -> rig.network().room(t.tank()).capacity()).sum();
    return new Bar(
        sort,
        what,
        units.show(Measure.VOLUME, Amount.roughly(holds).si())
            + " of "
            + units.show(Measure.VOLUME, Amount.roughly(full).si()),
        Math.clamp(100 * holds / full, 0, 100),
        until(words, days));
  }

  /** One date, to the hour where it is near and to the day where it is not. */
  private String until(String words, double days) {
    if (days > FAR) {
      return "";
    }
    ZonedDateTime at = clock.instant().atZone(ZoneId.systemDefault()).plusSeconds(seconds(days));
    return words + at.format(days < NEAR ? HOUR : DAY);
  }

  private static long seconds(double days) {
    return Math.round(days * Duration.ofDays(1).toSeconds());
  }

  /** What is due by its days and was done before; use is counted on the page itself. */
  private List<String> overdue(OpenRig rig) {
    Instant now = clock.instant();
    return Upkeep.of(
            rig.rig(),
            diary.recent(rig, now.minus(Upkeep.MEMORY)),
            List.of(),
            ZoneId.systemDefault(),
            now)
        .stream()
        .filter(u -> u.last().isPresent() && u.isDue(now))
        .map(Upkeep::what)
        .toList();
  }

  private static Line line(Advice advice, Optional<RunStore.Run> begun, Units units) {
    return new Line(
        advice.grade().name().toLowerCase(Locale.ROOT),
        units.say(advice.words()),
        switch (advice.what()) {
          case GO_ON -> begun.map(run -> "/runs/" + run.id()).orElse("");
          case KEEP_FROM_FROST -> "/cold/tonight";
          case MAINTAIN -> "/log/upkeep";
          case DUMP, FILL -> advice.job().map(job -> "/jobs/" + job.id()).orElse("");
        },
        switch (advice.what()) {
          case GO_ON -> "Continue";
          case KEEP_FROM_FROST, MAINTAIN -> "See";
          case DUMP, FILL -> "Plan it";
        });
  }
}
