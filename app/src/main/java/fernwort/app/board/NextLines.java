package fernwort.app.board;

import fernwort.app.questions.NightAir;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Diary;
import fernwort.app.services.Forecast;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.services.States;
import fernwort.app.services.Weather;
import fernwort.app.store.RunStore;
import fernwort.app.units.Units;
import fernwort.core.advice.Advice;
import fernwort.core.advice.Advisor;
import fernwort.core.drain.Wintering;
import fernwort.core.frost.FreezeForecast;
import fernwort.core.hygiene.Upkeep;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.sizing.Lasts;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What to do next on a rig, as Today and Jobs say it. */
@Component
public final class NextLines {

  private final States states;
  private final JobDesk desk;
  private final RunStore runs;
  private final Diary diary;
  private final QuestionDesk questions;
  private final Sleep sleep;
  private final Weather weather;
  private final Clock clock;

  NextLines(
      States states,
      JobDesk desk,
      RunStore runs,
      Diary diary,
      QuestionDesk questions,
      Sleep sleep,
      Weather weather,
      Clock clock) {
    this.states = states;
    this.desk = desk;
    this.runs = runs;
    this.diary = diary;
    this.questions = questions;
    this.sleep = sleep;
    this.weather = weather;
    this.clock = clock;
  }

  /**
   * A line of what is next.
   *
   * @param grade how bad it is to leave it, in small letters
   * @param words what to do and why
   * @param link where it is done, from the rig's address; empty for nowhere
   * @param act what the button says
   */
  public record Line(String grade, String words, String link, String act) {}

  /**
   * What is next.
   *
   * @param lines what is lost first before the others
   * @param otherwise what is said where there are none
   */
  public record Next(List<Line> lines, String otherwise) {}

  /** Returns what is next on a rig. */
  public Next of(OpenRig rig, Units units) {
    State state = states.of(rig).state();
    Lasts lasts = sleep.asleep(rig).isPresent() ? Lasts.NOTHING : diary.lasts(rig);
    return new Next(lines(rig, state, lasts, units), units.say(Advisor.otherwise(lasts)));
  }

  private List<Line> lines(OpenRig rig, State state, Lasts lasts, Units units) {
    JobBook book = desk.book(rig);
    Optional<RunStore.Run> begun =
        runs.newest(rig.id(), 1).stream()
            .filter(run -> run.outcome() == RunStore.Outcome.RUNNING)
            .findFirst();
    return Advisor.of(
            book.plans(),
            book.offers(),
            state,
            lasts,
            new Advisor.Noted(
                begun.map(run -> Message.kept(run.title())),
                overdue(rig),
                frost(questions.trip(rig.id(), units))))
        .stream()
        .map(advice -> line(advice, begun, units))
        .toList();
  }

  /**
   * What freezes first tonight, by the same air as the page Tonight; nothing where nobody told the
   * weather, or where the rig is winterized.
   */
  private Optional<Advisor.Frost> frost(Trip trip) {
    LocalDateTime moment = LocalDateTime.ofInstant(clock.instant(), ZoneId.systemDefault());
    Optional<Forecast.Night> forecast = weather.night(trip.open(), moment.toLocalDate());
    if (forecast.isEmpty() && !NightAir.isGiven(trip.kept(), moment)) {
      return Optional.empty();
    }
    Wintering now = sleep.now(trip.open());
    FreezeForecast.Asked asked = NightAir.asked(trip.form(), forecast);
    FreezeForecast night = FreezeForecast.of(trip.network(), now, asked);
    return Advisor.Frost.of(night, asked.outside().lowest(), NightAir::clock, forecast.isPresent());
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
          case DUMP, FILL -> Says.PLAN_IT.text();
        });
  }
}
