package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.compute.TooBusy;
import fernwort.app.store.Logbook;
import fernwort.app.store.WinterStore;
import fernwort.app.store.WinterStore.Outcome;
import fernwort.app.store.WinterStore.Season;
import fernwort.core.advice.ShorterWinter;
import fernwort.core.diary.Entry;
import fernwort.core.drain.Wintering;
import fernwort.core.frost.ColdWater;
import fernwort.core.hygiene.Upkeep;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.winter.FrostRisks;
import fernwort.core.winter.Spring;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.FrostVerdict;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Rigs on their way into the winter and out of it: what is planned, ticked, and still wet. */
@Service
public class Winters {

  private static final String SHEET = Says.BY_ITS_SHEET.text();
  private static final int AT_HAND = 20;

  /** Who asks what would shorten it waits as long as this. */
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private static final Duration LONGEST = Duration.ofMinutes(4);

  private final WinterStore store;
  private final WinterText text;
  private final Sleep sleep;
  private final States states;
  private final JobDesk desk;
  private final Workers workers;
  private final Logbook logbook;
  private final Diary diary;
  private final Clock clock;
  private final Cache<Asked, WinterizingMethods.Round> rounds =
      Caffeine.newBuilder().maximumSize(AT_HAND).build();

  private final Cache<Shortened, Awaited<Optional<ShorterWinter.Found>>> shorter =
      Caffeine.newBuilder().maximumSize(AT_HAND).build();

  /** What was asked to be made shorter. */
  private record Shortened(
      OpenRig.Content rig, State state, WinterizingMethod school, WinterWish wish) {}

  /** What ways through the winter were asked of. */
  private record Asked(OpenRig.Content rig, Wintering now, WinterWish wish) {}

  Winters(
      WinterStore store,
      WinterText text,
      Sleep sleep,
      States states,
      JobDesk desk,
      Workers workers,
      Logbook logbook,
      Diary diary,
      Clock clock) {
    this.store = store;
    this.text = text;
    this.sleep = sleep;
    this.states = states;
    this.desk = desk;
    this.workers = workers;
    this.logbook = logbook;
    this.diary = diary;
    this.clock = clock;
  }

  /** Returns what all schools make of a rig as it stands. */
  public List<WinterPlan> plans(OpenRig rig, WinterWish wish) {
    return Stream.of(WinterizingMethod.values()).map(school -> plan(rig, school, wish)).toList();
  }

  /**
   * Returns the one part that would shorten a way through the winter most, if one does. What was
   * begun goes on while somebody asks again.
   *
   * @throws TooBusy when it takes longer than anybody should wait
   */
  public Optional<ShorterWinter.Found> shorter(
      OpenRig rig, WinterizingMethod school, WinterWish wish) {
    State state = sleep.inUse(rig).state();
    return shorter
        .asMap()
        .compute(
            new Shortened(rig.content(), state, school, wish),
            (key, known) ->
                known == null || known.isEnded()
                    ? workers.begin(
                        LONGEST, () -> ShorterWinter.of(rig.network(), state, school, wish))
                    : known)
        .within(PATIENCE)
        .orElseThrow(() -> new TooBusy(Says.STILL_TRYING_PARTS.text()));
  }

  /** Returns what one school makes of it; what was made once is kept while nothing changes. */
  public WinterPlan plan(OpenRig rig, WinterizingMethod school, WinterWish wish) {
    Asked asked = new Asked(rig.content(), sleep.inUse(rig), wish);
    return rounds
        .get(asked, a -> WinterizingMethods.of(desk.book(rig).plans()).round(a.now(), a.wish()))
        .plan(school);
  }

  /**
   * Returns how to wake a rig.
   *
   * @throws Refusal when nothing was put to sleep
   */
  public WinterPlan spring(OpenRig rig) {
    Sleep.Sheet autumn =
        sleep
            .asleep(rig)
            .orElseThrow(() -> new Refusal(Says.YOU_HAVE_NOT_WINTERIZED_THIS_RIG.with()));
    return Spring.of(desk.book(rig).plans(), autumn.now(), autumn.before().state().setting());
  }

  /** Begins a school's sheet and returns its address. */
  @Transactional
  public String begin(OpenRig rig, WinterizingMethod school, WinterWish wish, String who) {
    WinterPlan plan = plan(rig, school, wish);
    leaveRunning(rig);
    return store.begin(
        rig.id(),
        Season.AUTUMN,
        school.title(),
        text.write(
            new WinterText.Kept(
                school.name(), wish.cold(), plan.before(), plan.steps(), plan.notes())),
        who);
  }

  /** Begins the sheet of spring and returns its address. */
  @Transactional
  public String wake(OpenRig rig, String who) {
    WinterPlan plan = spring(rig);
    leaveRunning(rig);
    return store.begin(
        rig.id(),
        Season.SPRING,
        "De-winterize",
        text.write(new WinterText.Kept("", 0, plan.before(), plan.steps(), plan.notes())),
        who);
  }

  /** Begins the sheet of a chore and returns its address. */
  @Transactional
  public String begin(OpenRig rig, Spring.Chore chore, String who) {
    if (sleep.asleep(rig).isPresent()) {
      throw new Refusal(Says.IT_IS_WINTERIZED_DE_WINTERIZE.with());
    }
    WinterPlan plan = Spring.of(desk.book(rig).plans(), chore, sleep.inUse(rig));
    leaveRunning(rig);
    return store.begin(
        rig.id(),
        Season.CARE,
        chore.title(),
        text.write(new WinterText.Kept(chore.name(), 0, plan.before(), plan.steps(), plan.notes())),
        who);
  }

  /** A chore that is done stands in the log, and is due again when its time has passed. */
  private void note(OpenRig rig, Sleep.Sheet sheet, String who) {
    switch (Spring.Chore.valueOf(sheet.school())) {
      case SANITIZE ->
          rig.rig()
              .tanks(Contents.FRESH)
              .forEach(
                  t -> diary.add(rig, new Entry.Sanitize(t.id(), SHEET), clock.instant(), who));
      case LOOK_FOR_LEAKS ->
          diary.add(
              rig, new Entry.Upkeep(Upkeep.LEAKS, Optional.empty(), SHEET), clock.instant(), who);
    }
  }

  private void leaveRunning(OpenRig rig) {
    sleep.running(rig).ifPresent(s -> store.end(s.id(), Outcome.LEFT));
  }

  /** Ticks a step: what it is about is so from now on, also on the Board. */
  @Transactional
  public void tick(OpenRig rig, String id, int seq, String who) {
    tick(rig, id, seq, clock.instant(), who);
  }

  private void tick(OpenRig rig, String id, int seq, Instant at, String who) {
    Sleep.Sheet sheet = sleep.sheet(rig, id);
    if (seq < 0 || seq >= sheet.steps().size()) {
      throw new Refusal(Says.THE_SHEET_HAS_NO_SUCH_STEP_LOAD.with());
    }
    if (sheet.ticks().containsKey(seq)) {
      return;
    }
    Operation act = sheet.steps().get(seq).act();
    if (Sleep.isThere(rig, act)) {
      onTheBoard(rig, act, who);
    }
    store.tick(id, seq, at, who);
  }

  /**
   * Ticks steps that were done a while ago, where there was no network; where somebody else ticked
   * them meanwhile, that both did stands in the log.
   *
   * @param at when it was done
   * @param act whether those after it that are done in one go are ticked with it
   */
  @Transactional
  public void tickBefore(OpenRig rig, String id, int seq, boolean act, Instant at, String who) {
    Optional<String> other = store.whoTicked(sleep.sheet(rig, id).id(), seq);
    Instant now = clock.instant();
    Instant then = at.isAfter(now) ? now : at;
    if (act) {
      tickAct(rig, id, seq, then, who);
    } else {
      tick(rig, id, seq, then, who);
    }
    if (other.filter(name -> !name.equals(who)).isPresent()) {
      String both = Says.ALSO_TICKED_BY.filled(seq + 1, sleep.sheet(rig, id).title(), who);
      diary.add(rig, new Entry.Note(both), then, who);
    }
  }

  /** Ticks a step and those after it that are done in one go with it at one place. */
  @Transactional
  public void tickAct(OpenRig rig, String id, int seq, String who) {
    tickAct(rig, id, seq, clock.instant(), who);
  }

  private void tickAct(OpenRig rig, String id, int seq, Instant at, String who) {
    List<Integer> acts = Groups.of(sleep.sheet(rig, id).steps());
    if (seq < 0 || seq >= acts.size()) {
      throw new Refusal(Says.THE_SHEET_HAS_NO_SUCH_STEP_LOAD.with());
    }
    for (int i = seq; i < acts.size() && acts.get(i).equals(acts.get(seq)); i++) {
      tick(rig, id, i, at, who);
    }
  }

  private void onTheBoard(OpenRig rig, Operation act, String who) {
    switch (act) {
      case Operation.Put put -> {
        boolean handle =
            rig.rig().part(put.part()).kind().positions().stream()
                .anyMatch(p -> p.id().equals(put.position()));
        if (handle) {
          states.turn(rig, put.part().value(), put.position(), who);
        }
      }
      case Operation.Emptied emptied ->
          emptied.volumes().forEach((tank, volume) -> read(rig, tank.value(), volume, who));
      case Operation.Tilt tilt -> states.park(rig, new Slope(tilt.pitch(), tilt.roll()));
      case Operation.RunDry _,
          Operation.DrawnDry _,
          Operation.Blown _,
          Operation.Filled _,
          Operation.Heed _ -> {}
    }
  }

  private void read(OpenRig rig, String tank, double volume, String who) {
    states.reckon(rig, PartId.of(tank), volume, who);
  }

  /** Begins the wait of a step. */
  public void beginWait(OpenRig rig, String id, int seq, String who) {
    store.beginWait(sleep.sheet(rig, id).id(), seq, who);
  }

  /** What an autumn's sheet has come to, for the log. */
  private static String safe(OpenRig rig, Sleep.Sheet sheet) {
    FrostVerdict verdict = FrostVerdict.of(FrostRisks.of(rig.network(), sheet.now(), sheet.cold()));
    String cold = String.format(Locale.ROOT, "%.0f °C", sheet.cold() - ColdWater.ZERO);
    return Says.DOWN_TO.filled(verdict.words(rig.rig()), cold);
  }

  /** Takes a tick back; handles stay where they are until they are ticked again. */
  public void untick(OpenRig rig, String id, int seq) {
    store.untick(sleep.sheet(rig, id).id(), seq);
  }

  /** Ends a sheet as done, with a line in the log, or leaves it. */
  @Transactional
  public void end(OpenRig rig, String id, boolean done, String who) {
    Sleep.Sheet sheet = sleep.sheet(rig, id);
    if (sheet.outcome() != Outcome.RUNNING) {
      return;
    }
    store.end(id, done ? Outcome.DONE : Outcome.LEFT);
    if (done && sheet.season() == Season.CARE) {
      note(rig, sheet, who);
    }
    if (done) {
      logbook.job(
          rig.id(),
          id,
          Says.OF_STEPS_TICKED.filled(
              sheet.title(),
              sheet.ticks().size(),
              sheet.steps().size(),
              sheet.season() == Season.AUTUMN ? ", " + safe(rig, sheet) : ""),
          who);
    }
  }
}
