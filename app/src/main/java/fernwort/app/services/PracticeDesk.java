package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.Missing;
import fernwort.app.store.PracticeStore;
import fernwort.core.fault.Fault;
import fernwort.core.fault.Observation;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Trial.Act;
import fernwort.core.jobs.mistake.Attempts;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.practice.Drill;
import fernwort.core.practice.Drills;
import fernwort.core.practice.Exercise;
import fernwort.core.practice.FindIt;
import fernwort.core.practice.HandOver;
import fernwort.core.practice.Leitner;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/**
 * Exercises that were handed out, and what came of them; what each person passed, and when it comes
 * back. Nothing of it touches a rig or its log.
 */
@Service
public class PracticeDesk {

  /** So many exercises are open at once; own choice. */
  private static final int MOST = 500;

  private static final Duration KEPT = Duration.ofHours(3);

  /** An exercise gets harder up to so many handles (1). */
  private static final int HARDEST = 4;

  /** It gets harder with so many that were passed (1); own choice. */
  private static final int PASSED_FOR_HARDER = 3;

  /** What is worked out for the score is waited for so long at most (s). */
  private static final long PATIENCE = 2;

  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_KEY = 200;

  private final JobDesk jobs;
  private final FaultDesk faults;
  private final PracticeStore store;
  private final Clock clock;
  private final Cache<String, Open> open =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

  /** Exercises whose outcome was counted, and whether they were passed. */
  private final Cache<String, Boolean> counted =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

  /** What takes long is worked out once, beside those who ask. */
  private final Cache<Of, CompletableFuture<List<HandOver.Lesson>>> lessons =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterAccess(KEPT).build();

  /** How many looks the finder takes for what is hidden, worked out while somebody looks. */
  private final Cache<String, CompletableFuture<Optional<Integer>>> best =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

  private record Of(String rig, int version) {}

  PracticeDesk(JobDesk jobs, FaultDesk faults, PracticeStore store, Clock clock) {
    this.jobs = jobs;
    this.faults = faults;
    this.store = store;
    this.clock = clock;
  }

  /** The sorts of exercise. */
  public enum Kind {
    JOB,
    WHAT_IF,
    FIND,
    EMERGENCY;

    /** Returns its name as programs write it. */
    public String written() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * Returns the sort of this name.
     *
     * @throws Refusal naming those there are
     */
    public static Kind of(String written) {
      return Arrays.stream(values())
          .filter(k -> k.written().equals(written))
          .findFirst()
          .orElseThrow(() -> new Refusal(Says.NO_SUCH_EXERCISE.with(written)));
    }
  }

  /**
   * An exercise that was handed out.
   *
   * @param id its name
   * @param version the version of the rig it was drawn for
   * @param person who practises
   * @param at when it was handed out
   */
  public record Open(
      String id, String rig, int version, String person, Kind kind, Exercise exercise, Instant at) {

    /** Returns the job, if it is one. */
    public Optional<Drill> drill() {
      return exercise instanceof Drill drill ? Optional.of(drill) : Optional.empty();
    }

    /** Returns under what it is remembered. */
    private String key() {
      String key = drill().map(d -> "job:" + d.job().id()).orElse(kind.written());
      return key.length() > LONGEST_KEY ? key.substring(0, LONGEST_KEY) : key;
    }
  }

  /**
   * Hands out an exercise: one that comes back for this person, or any.
   *
   * @param hard how many handles stand otherwise than at rest (1); empty for more as somebody gets
   *     better
   * @throws Refusal when the rig has nothing to practise
   */
  public Open draw(OpenRig rig, String person, Kind kind, Optional<Integer> hard) {
    Random random = new Random();
    int handles = Math.clamp(hard.orElseGet(() -> hardness(rig, person)), 0, HARDEST);
    JobBook book = jobs.book(rig);
    Drills drills = Drills.of(rig.network(), book.plans(), book.offered());
    Optional<? extends Exercise> drawn =
        switch (kind) {
          case JOB ->
              due(rig, person, book)
                  .flatMap(j -> drills.draw(j, handles, random))
                  .or(() -> drills.draw(handles, random));
          case WHAT_IF -> drills.whatIf(handles, random);
          case EMERGENCY -> drills.emergency(random);
          case FIND -> drills.findIt(faults.of(rig), random);
        };
    return hand(rig, person, kind, drawn);
  }

  /** One handle at first, and one more for every few things that somebody has passed (1). */
  private int hardness(OpenRig rig, String person) {
    long passed =
        store.of(rig.id(), name(person)).stream().filter(k -> k.passedOn().isPresent()).count();
    return 1 + (int) (passed / PASSED_FOR_HARDER);
  }

  /**
   * Hands out a drill of one job.
   *
   * @throws Refusal when it cannot be practised
   */
  public Open draw(OpenRig rig, String person, String job) {
    JobBook book = jobs.book(rig);
    return hand(
        rig,
        person,
        Kind.JOB,
        Drills.of(rig.network(), book.plans(), book.offered())
            .draw(book.job(job), 1, new Random()));
  }

  private Open hand(OpenRig rig, String person, Kind kind, Optional<? extends Exercise> drawn) {
    Exercise exercise = drawn.orElseThrow(() -> new Refusal(Says.NO_JOB_TO_PRACTISE.with()));
    Open made =
        new Open(
            UUID.randomUUID().toString(),
            rig.id(),
            rig.version(),
            name(person),
            kind,
            exercise,
            clock.instant());
    open.put(made.id(), made);
    if (exercise instanceof FindIt hidden) {
      best.put(made.id(), aside("best-looks", () -> hidden.best(faults.of(rig))));
    }
    return made;
  }

  private static String name(String person) {
    String name = person.strip();
    return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
  }

  private Optional<Job> due(OpenRig rig, String person, JobBook book) {
    LocalDate today = today();
    return store.of(rig.id(), name(person)).stream()
        .filter(k -> k.what().startsWith("job:") && !k.due().isAfter(today))
        .map(k -> k.what().substring("job:".length()))
        .flatMap(id -> book.offered(job -> job.id().equals(id)))
        .findFirst();
  }

  /** Returns the job that is remembered under a key, if the rig still has it. */
  public Optional<Job> job(OpenRig rig, String key) {
    return jobs.book(rig).jobs().byId(key.replaceFirst("^job:", ""));
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
  }

  /**
   * Returns an exercise of a rig.
   *
   * @throws Missing when it was not handed out, or long ago, or the rig has changed since
   */
  public Open exercise(OpenRig rig, String id) {
    Open found = open.getIfPresent(id);
    if (found == null || !found.rig().equals(rig.id()) || found.version() != rig.version()) {
      throw new Missing(Says.NO_SUCH_DRILL.text());
    }
    return found;
  }

  /** Returns since when somebody has been at an exercise (s). */
  public double taken(Open exercise) {
    return Duration.between(exercise.at(), clock.instant()).toMillis() / 1000.0;
  }

  /**
   * Judges what somebody did in a job.
   *
   * @throws Missing when it is another sort of exercise
   */
  public Attempts.Verdict judge(OpenRig rig, Open drill, List<Act> acts) {
    Drill job = drill.drill().orElseThrow(() -> new Missing(Says.NO_SUCH_DRILL.text()));
    Attempts.Verdict verdict =
        Attempts.of(rig.network(), jobs.book(rig).plans()).judge(job.job(), job.from(), acts);
    remember(drill, verdict.passed());
    return verdict;
  }

  /** Remembers what came of an exercise; the first time counts, what is looked at again not. */
  public void remember(Open exercise, boolean passed) {
    if (exercise.person().isEmpty() || counted.asMap().putIfAbsent(exercise.id(), passed) != null) {
      return;
    }
    LocalDate today = today();
    Optional<PracticeStore.Kept> before =
        store.of(exercise.rig(), exercise.person()).stream()
            .filter(k -> k.what().equals(exercise.key()))
            .findFirst();
    Leitner next =
        before
            .map(k -> new Leitner(k.box(), k.due()))
            .orElseGet(() -> Leitner.fresh(today))
            .after(passed, today);
    store.keep(
        exercise.rig(),
        exercise.person(),
        new PracticeStore.Kept(
            exercise.key(),
            next.box(),
            next.due(),
            passed ? Optional.of(today) : before.flatMap(PracticeStore.Kept::passedOn)));
  }

  /** Tells whether an exercise was missed at first: passing it later does not count. */
  public boolean isMissed(Open exercise) {
    return Boolean.FALSE.equals(counted.getIfPresent(exercise.id()));
  }

  /** Tells whether what is named is what is wrong, or is mended by the same repair. */
  public boolean isFound(OpenRig rig, FindIt hidden, Fault named) {
    return named.equals(hidden.fault()) || faults.of(rig).isMendedAs(hidden.fault(), named);
  }

  /**
   * Returns how many looks the finder takes for a hidden fault; nothing where it does not find it,
   * or is still at it.
   */
  public Optional<Integer> best(Open exercise) {
    CompletableFuture<Optional<Integer>> looks = best.getIfPresent(exercise.id());
    return looks == null
        ? Optional.empty()
        : looks
            .copy()
            .completeOnTimeout(Optional.empty(), PATIENCE, TimeUnit.SECONDS)
            .exceptionally(failed -> Optional.empty())
            .join();
  }

  /** Returns what is seen of a hidden fault where somebody looks. */
  public String see(OpenRig rig, FindIt hidden, Observation look) {
    return faults.of(rig).see(hidden.fault(), look, hidden.from()).orElse(Observation.UNSURE);
  }

  /** Returns what a person practised on a rig. */
  public List<PracticeStore.Kept> progress(OpenRig rig, String person) {
    return store.of(rig.id(), name(person));
  }

  /**
   * A lesson of a hand-over.
   *
   * @param passedOn when this person passed it last, if they ever did
   */
  public record Lesson(Job job, Slip worst, Optional<LocalDate> passedOn) {}

  /**
   * Returns what a borrower practises, the most needed first; nothing while it is being worked out.
   */
  public Optional<List<Lesson>> handOver(OpenRig rig, String person) {
    Map<String, LocalDate> passed = new LinkedHashMap<>();
    progress(rig, person).forEach(k -> k.passedOn().ifPresent(d -> passed.put(k.what(), d)));
    return Optional.ofNullable(
            soon(rig).copy().completeOnTimeout(null, PATIENCE, TimeUnit.SECONDS).join())
        .map(all ->
            all.stream()
                .map(l ->
                    new Lesson(
                        l.job(), l.worst(), Optional.ofNullable(passed.get("job:" + l.job().id()))))
                .toList());
  }

  /** Begins what takes long, for whoever asks next; what fails is begun anew then. */
  public CompletableFuture<List<HandOver.Lesson>> soon(OpenRig rig) {
    Of key = new Of(rig.id(), rig.version());
    return lessons.get(
        key,
        k -> {
          CompletableFuture<List<HandOver.Lesson>> all = aside("lessons-soon", () -> lessons(rig));
          all.whenComplete((done, failed) -> {
            if (failed != null) {
              lessons.invalidate(key);
            }
          });
          return all;
        });
  }

  private static <T> CompletableFuture<T> aside(String name, Supplier<T> work) {
    return CompletableFuture.supplyAsync(work, run -> Thread.ofVirtual().name(name).start(run));
  }

  /** From handles at rest and tanks half full: what somebody finds who takes a rig over. */
  private List<HandOver.Lesson> lessons(OpenRig rig) {
    JobBook book = jobs.book(rig);
    State rest = new State(rig.rig().atRest(), Map.of(), Slope.LEVEL);
    for (var tank : rig.network().tanks()) {
      rest = rest.withVolume(tank.id(), rig.network().room(tank.id()).capacity() / 2);
    }
    Map<Job, List<Slip>> mistakes = new LinkedHashMap<>();
    for (Job job : book.offered()) {
      if (book.plans().plan(job, rest).trouble().isEmpty()) {
        mistakes.put(job, book.slips().of(job, rest));
      }
    }
    return HandOver.pick(mistakes);
  }
}
