package fernwort.core.advice;

import fernwort.core.frost.FreezeForecast;
import fernwort.core.hazard.Severity;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.plan.Offers;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Quantity;
import fernwort.core.sizing.Lasts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.function.Predicate;

/** Says what to do next: the water that ends soonest first, with the job that helps. */
public final class Advisor {

  /** What ends within this is worth a line (days): a night and the drive after it; own choice. */
  private static final double SOON = 1.5;

  /** What ends within this spoils the day (days); own choice. */
  private static final double TODAY = 0.5;

  /** Less than this is none (days). */
  private static final double NONE = 0.02;

  /** More lines than this nobody reads in the morning. */
  private static final int MOST = 3;

  private static final Set<Job.Kind> FILLS =
      Set.of(
          Job.Kind.FILL_FROM_MAINS,
          Job.Kind.FILL_BY_HAND,
          Job.Kind.FILL_FROM_JUG,
          Job.Kind.FILL_FROM_OUTSIDE);

  private final Plans plans;
  private final Offers offers;
  private final State state;

  private Advisor(Plans plans, Offers offers, State state) {
    this.plans = plans;
    this.offers = offers;
    this.state = state;
  }

  /**
   * Returns what to do next, the worst first, at most three lines.
   *
   * @param plans plans the jobs of the rig
   * @param offers its jobs; only those that are advised are looked at
   * @param state how it is
   * @param lasts how long its water lasts
   * @param noted what the log tells
   */
  public static List<Advice> of(Plans plans, Offers offers, State state, Lasts lasts, Noted noted) {
    return new Advisor(plans.brief(), offers, state).all(lasts, noted);
  }

  /**
   * What the log tells.
   *
   * @param halfDone name of the job that somebody is in the middle of
   * @param overdue what has to be looked after and was not
   * @param frost what the night does, where something freezes
   */
  public record Noted(Optional<Message> halfDone, List<String> overdue, Optional<Frost> frost) {

    public Noted {
      overdue = List.copyOf(overdue);
    }

    /** Nothing was noted. */
    public static final Noted NOTHING = new Noted(Optional.empty(), List.of(), Optional.empty());
  }

  /**
   * What freezes first tonight.
   *
   * @param lowest the lowest temperature outside (K)
   * @param part what people call it
   * @param hour when it is at 0 °C, as a clock shows it
   * @param bursts whether a fifth of it or of another part is ice before the morning
   * @param simulated whether the weather is that of the demo
   */
  public record Frost(double lowest, String part, String hour, boolean bursts, boolean simulated) {

    /**
     * Returns what freezes first in a night, if anything does.
     *
     * @param clock says a time of the night (s)
     * @param simulated whether the weather is that of the demo
     */
    public static Optional<Frost> of(
        FreezeForecast night, double lowest, DoubleFunction<String> clock, boolean simulated) {
      boolean bursts = night.exposures().stream().anyMatch(e -> e.stops().isPresent());
      return night.exposures().stream()
          .filter(e -> e.zero().isPresent())
          .findFirst()
          .map(e ->
              new Frost(lowest, e.label(), clock.apply(e.zero().orElseThrow()), bursts, simulated));
    }
  }

  /** Returns what is said where nothing has to be done: how long the water lasts. */
  public static Message otherwise(Lasts lasts) {
    return lasts.fresh().isEmpty() || Double.isInfinite(lasts.days())
        ? Message.NOTHING
        : AdviceWords.WATER_FOR.with(
            AdviceWords.about(lasts.days()),
            lasts.ends() == Lasts.Ends.GRAY
                ? Says.GRAY_IS_FULL.text()
                : Says.FRESH_WATER_ENDS.text());
  }

  private List<Advice> all(Lasts lasts, Noted noted) {
    List<Advice> all = new ArrayList<>();
    noted
        .halfDone()
        .map(AdviceWords.GO_ON::with)
        .map(words -> new Advice(Advice.What.GO_ON, Severity.WARNING, words, Optional.empty()))
        .ifPresent(all::add);
    noted.frost().map(Advisor::keep).ifPresent(all::add);
    Optional<Double> gray = lasts.grayDays().filter(days -> days < SOON);
    gray.ifPresent(days -> all.add(dump(days)));
    if (!lasts.fresh().isEmpty() && lasts.freshDays() < SOON) {
      all.add(fill(lasts.freshDays()));
    }
    if (!noted.overdue().isEmpty()) {
      int more = noted.overdue().size() - 1;
      Message words =
          AdviceWords.MAINTAIN.with(
              noted.overdue().getFirst(), more == 0 ? "" : Says.AND_MORE.filled(more));
      all.add(new Advice(Advice.What.MAINTAIN, Severity.NOTE, words, Optional.empty()));
    }
    return all.stream()
        .sorted(Comparator.comparing(Advice::grade).thenComparing(Advice::what))
        .limit(MOST)
        .toList();
  }

  private static Advice keep(Frost frost) {
    return new Advice(
        Advice.What.KEEP_FROM_FROST,
        frost.bursts() ? Severity.WARNING : Severity.NOTE,
        (frost.simulated() ? AdviceWords.SIMULATED_FROST : AdviceWords.FROST)
            .with(new Amount(Quantity.TEMPERATURE, frost.lowest()), frost.part(), frost.hour()),
        Optional.empty());
  }

  private Advice dump(double days) {
    Part tank =
        plans.network().tanks().stream()
            .filter(t -> t.kind().holds(Contents.GRAY))
            .max(Comparator.comparingDouble(this::share))
            .orElseThrow();
    return new Advice(
        Advice.What.DUMP,
        grade(days),
        days < NONE
            ? AdviceWords.DUMP_NOW.with(tank.label())
            : AdviceWords.DUMP.with(tank.label(), AdviceWords.about(days)),
        possible(j -> j.kind() == Job.Kind.EMPTY_GRAY && concerns(j, tank)));
  }

  private Advice fill(double days) {
    return new Advice(
        Advice.What.FILL,
        grade(days),
        days < NONE ? AdviceWords.FILL_NOW.with() : AdviceWords.FILL.with(AdviceWords.about(days)),
        possible(j -> FILLS.contains(j.kind())));
  }

  private static Severity grade(double days) {
    return days < TODAY ? Severity.WARNING : Severity.NOTE;
  }

  private double share(Part tank) {
    return state.volume(tank.id()) / plans.network().room(tank.id()).capacity();
  }

  private boolean concerns(Job job, Part tank) {
    return job.tanks(plans.network().rig()).contains(tank.id());
  }

  /** The first of some jobs that can be done as things are. */
  private Optional<Job> possible(Predicate<Job> which) {
    return offers.jobs().stream()
        .filter(which)
        .filter(offers::isPossible)
        .filter(j -> plans.plan(j, state).trouble().isEmpty())
        .findFirst();
  }
}
