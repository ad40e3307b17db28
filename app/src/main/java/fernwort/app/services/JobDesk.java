package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.compute.TooBusy;
import fernwort.app.store.Restored;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.mistake.Remedy;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.plan.Offer;
import fernwort.core.jobs.plan.Offers;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.water.Dry;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Hands out the book of jobs of each rig. */
@Component
public class JobDesk {

  /** Who asks for slips and nothing else waits as long as this. */
  private static final Duration PATIENCE = Duration.ofSeconds(11);

  private static final Duration LONGEST = Duration.ofMinutes(2);

  /** So long after the last look a plan that nobody waits for ends. */
  private static final Duration LOOKED_AWAY = Duration.ofMinutes(1);

  private final Cache<OpenRig.Content, JobBook> books =
      Caffeine.newBuilder().maximumSize(10).build();
  private final Cache<Look, Awaited<List<Offer>>> looks =
      Caffeine.newBuilder().maximumSize(10).build();
  private final Cache<Planned, Awaited<Plan>> plans =
      Caffeine.newBuilder().maximumSize(200).build();
  private final Cache<Asked, Awaited<List<Slip>>> slips =
      Caffeine.newBuilder().maximumSize(50).build();
  private final Cache<Asked, Awaited<List<Mended>>> remedies =
      Caffeine.newBuilder().maximumSize(20).build();
  private final ExecutorService looking =
      Executors.newSingleThreadExecutor(
          Thread.ofPlatform().daemon().name(Says.LOOKING_AT_JOBS.text()).factory());

  /** Cards of many jobs, whose readers need no passphrase, keep the owner's list from nothing. */
  private final ExecutorService planning =
      Executors.newSingleThreadExecutor(
          Thread.ofPlatform().daemon().name(Says.PLANNING_CARDS.text()).factory());

  private final Workers workers;
  private final Sleep sleep;
  private final AiredLines aired;

  JobDesk(Workers workers, Sleep sleep, AiredLines aired) {
    this.workers = workers;
    this.aired = aired;
    this.sleep = sleep;
  }

  /** What the jobs were looked at with: what the tanks hold, whatever the handles. */
  private record Look(OpenRig.Content rig, Map<PartId, Double> volumes, Slope slope) {}

  /** What a plan was asked of. */
  private record Planned(OpenRig.Content rig, String job, State from, Dry dry) {}

  /** What slips were asked of. */
  private record Asked(OpenRig.Content rig, String job, State from) {}

  /**
   * A change of plumbing that takes the harm out of slips of a job.
   *
   * @param remedy the change
   * @param slips what every slip leads to with it
   */
  public record Mended(Remedy remedy, List<Slip> slips) {}

  /** After a restore nothing is as it was at hand. */
  @EventListener
  void restored(Restored restored) {
    books.invalidateAll();
    looks.invalidateAll();
    plans.invalidateAll();
    slips.invalidateAll();
    remedies.invalidateAll();
  }

  /**
   * Returns every job that a rig's layout allows, with what stands in its way, if all have been
   * looked at within some time; otherwise the looking goes on.
   *
   * @param now what the tanks hold, and how the vehicle stands
   */
  public Optional<List<Offer>> offers(OpenRig rig, State now, Duration patience) {
    Offers offers = book(rig).offers();
    return looks
        .asMap()
        .compute(
            new Look(rig.content(), now.volumes(), now.slope()),
            (key, known) ->
                known == null || known.isEnded() ? begin(() -> offers.oneByOne(now)) : known)
        .within(patience);
  }

  /**
   * On one thread for everybody: who wants to fill a tank does not stand in line behind mistakes,
   * and who opens a page does not share the processors with many rigs being looked at.
   */
  private <T> Awaited<T> begin(Callable<T> work) {
    Awaited<T> awaited = new Awaited<>(LONGEST, LONGEST, work);
    looking.execute(awaited);
    return awaited;
  }

  @PreDestroy
  void end() {
    looking.shutdownNow();
    planning.shutdownNow();
  }

  /**
   * Plans a job from how things stand, in a rig that sleeps through the lines that are dry.
   *
   * @throws fernwort.core.say.Refusal when the rig has no such job
   */
  public Plan plan(OpenRig rig, String job, State from) {
    return plan(rig, job, from, 0, Set.of());
  }

  /**
   * The same, if it has been planned within some time; otherwise the planning goes on, and what was
   * planned once is at hand.
   *
   * @throws fernwort.core.say.Refusal when the rig has no such job
   */
  public Optional<Plan> plan(OpenRig rig, String job, State from, Duration patience) {
    Job found = book(rig).job(job);
    Dry dry = dry(rig);
    return plans
        .asMap()
        .compute(
            new Planned(rig.content(), job, from, dry),
            (key, known) ->
                known == null || known.isEnded()
                    ? planned(() -> book(rig).plans().plan(found, from, dry, 0, Set.of()))
                    : known)
        .within(patience);
  }

  private Awaited<Plan> planned(Callable<Plan> work) {
    Awaited<Plan> awaited = new Awaited<>(LONGEST, LOOKED_AWAY, work);
    planning.execute(awaited);
    awaited.endWhenNobodyLooks();
    return awaited;
  }

  /**
   * Plans what is left of a job.
   *
   * @param stage the stage to begin with
   * @param stuck ids of parts that have to stay as they are
   * @throws fernwort.core.say.Refusal when the rig has no such job
   */
  public Plan plan(OpenRig rig, String job, State from, int stage, Set<PartId> stuck) {
    return book(rig).plans().plan(book(rig).job(job), from, dry(rig), stage, stuck);
  }

  /** What lines lack: in a rig that sleeps, or since a tank ran dry. */
  private Dry dry(OpenRig rig) {
    Dry asleep = sleep.dry(rig);
    return asleep.equals(Dry.NOTHING) ? aired.of(rig) : asleep;
  }

  /**
   * Returns what every single slip of a job leads to, the worst first, once it has been tried.
   *
   * @throws fernwort.core.say.Refusal when the rig has no such job
   * @throws TooBusy when it takes longer than anybody should wait
   */
  public List<Slip> slips(OpenRig rig, String job, State from) {
    return slips(rig, job, from, PATIENCE)
        .orElseThrow(() -> new TooBusy(Says.THE_MISTAKES_ARE_STILL_BEING.text()));
  }

  /** The same, if it has been tried within some time; otherwise the trying goes on. */
  public Optional<List<Slip>> slips(OpenRig rig, String job, State from, Duration patience) {
    Job found = book(rig).job(job);
    return awaited(
            slips, new Asked(rig.content(), job, from), () -> book(rig).slips().of(found, from))
        .within(patience);
  }

  /** Returns the changes of plumbing that fix slips of a job, once all have been tried. */
  public Optional<List<Mended>> remedies(
      OpenRig rig, String job, State from, List<Slip> without, Duration patience) {
    return awaited(
            remedies,
            new Asked(rig.content(), job, from),
            () -> mending(book(rig).remedies(), job, from, without))
        .within(patience);
  }

  private static List<Mended> mending(
      List<Remedy> remedies, String job, State from, List<Slip> without) {
    List<Mended> mended = new ArrayList<>();
    for (Remedy remedy : remedies) {
      remedy.mending(job, from, without).ifPresent(s -> mended.add(new Mended(remedy, s)));
    }
    return mended;
  }

  private <T> Awaited<T> awaited(Cache<Asked, Awaited<T>> kept, Asked asked, Callable<T> work) {
    return kept.asMap()
        .compute(
            asked,
            (key, known) ->
                known == null || known.isEnded() ? workers.begin(LONGEST, work) : known);
  }

  /** Returns the jobs of a rig, found once for each description. */
  public JobBook book(OpenRig rig) {
    return books.get(rig.content(), key -> JobBook.of(rig));
  }
}
