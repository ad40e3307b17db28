package fernwort.core.budget;

import fernwort.core.diary.Entry;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.DrawDown;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import fernwort.core.tank.TankFigures;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * What is learnt from the log of a rig by a time: what people use, when fresh water ends, when gray
 * is full, and what does not fit.
 *
 * @param at when it is asked (s since 1970)
 * @param crew who is on board when
 * @param fresh what is learnt of fresh water
 * @param gray what is learnt of gray water, where the rig has a tank for it
 * @param entered what a person was said to use in a day (m³)
 * @param enough whether enough was read to go by what is learnt
 * @param ends when the first of the two ends (s since 1970)
 * @param oddities what does not fit, the weightiest first
 */
public record Budget(
    double at,
    Crew crew,
    ConsumptionFilter fresh,
    Optional<ConsumptionFilter> gray,
    double entered,
    boolean enough,
    Range ends,
    List<Anomaly> oddities) {

  /** What is older is not looked at: people and weather change. */
  public static final Duration MEMORY = Duration.ofDays(28);

  /** So many looks are needed before what is learnt is gone by. */
  private static final int FEWEST = 3;

  /** They have to lie so far apart (s). */
  private static final double APART = 18 * 3600;

  private static final double DAY = 24 * 3600;

  /** Where habits say that nobody uses anything, somebody does (m³ a person-day). */
  private static final double LEAST = 1e-3;

  /** Days have their shape where people are. */
  public record Asked(Slope slope, Habits habits, ZoneId zone, Instant at) {}

  /**
   * Learns from entries, in any order; those after the time asked tell of plans only: who will be
   * on board.
   */
  public static Budget of(Network network, Collection<Entry> entries, Asked asked) {
    Instant oldest = asked.at().minus(MEMORY);
    List<Entry> recent = entries.stream().filter(e -> isRecent(e, oldest)).toList();
    Habits habits = asked.habits();
    double entered = Math.max(LEAST, habits.freshPerDay() / Math.max(1, habits.people()));
    double at = Facts.seconds(asked.at());
    DayShape shape = DayShape.in(asked.zone());
    Crew usual = Facts.crew(shape, habits.people(), recent);
    List<Fact> freshFacts = Facts.of(network, Contents.FRESH, asked.slope(), usual, recent);
    Store fresh = fresh(network, asked.slope());
    List<Fact> sound = withoutStuck(freshFacts, usual, entered, at);
    ConsumptionFilter freshLearnt = ConsumptionFilter.leaning(fresh, usual, sound, entered, at);
    Crew crew = freshLearnt.crew();
    double said = lastEstimate(freshFacts, at).orElse(entered);
    double share = habits.freshPerDay() > 0 ? habits.grayPerDay() / habits.freshPerDay() : 1;
    List<Fact> grayFacts =
        withoutEstimates(Facts.of(network, Contents.GRAY, asked.slope(), crew, recent));
    Optional<ConsumptionFilter> gray =
        store(network, asked.slope())
            .map(s ->
                ConsumptionFilter.of(
                    s,
                    crew,
                    grayFacts,
                    Math.max(LEAST, share * freshLearnt.rate().expected()),
                    at));
    List<Anomaly> oddities =
        new ArrayList<>(
            Anomaly.of(
                new Anomaly.Looked(fresh, crew, shape, freshFacts, freshLearnt, entered, at)));
    boolean enough = isEnough(sound, at);
    if (enough) {
      gray.flatMap(g -> Anomaly.grayShort(freshLearnt, g, share, grayFacts, at))
          .ifPresent(oddities::add);
    }
    return new Budget(at, crew, freshLearnt, gray, said, enough, ends(freshLearnt, gray), oddities);
  }

  /** Who is on board counts however long ago it was noted. */
  private static boolean isRecent(Entry entry, Instant oldest) {
    return switch (entry.what()) {
      case Entry.People _, Entry.Away _ -> true;
      case Entry.Reading _,
          Entry.Fill _,
          Entry.Dump _,
          Entry.Haul _,
          Entry.Sanitize _,
          Entry.Upkeep _,
          Entry.Note _ ->
          entry.at().isAfter(oldest);
    };
  }

  /** From a gauge that stands still only the first look is believed. */
  private static List<Fact> withoutStuck(List<Fact> facts, Crew crew, double entered, double at) {
    return Anomaly.stuck(facts, crew, entered, at)
        .map(a ->
            facts.stream()
                .filter(f -> !(f instanceof Fact.Seen) || f.at() <= a.from() || f.at() > a.to())
                .toList())
        .orElse(facts);
  }

  private static Optional<Double> lastEstimate(List<Fact> facts, double at) {
    return facts.stream()
        .filter(f -> f.at() <= at)
        .filter(Fact.Estimate.class::isInstance)
        .map(f -> ((Fact.Estimate) f).perPersonDay())
        .reduce((a, b) -> b);
  }

  private static List<Fact> withoutEstimates(List<Fact> facts) {
    return facts.stream().filter(f -> !(f instanceof Fact.Estimate)).toList();
  }

  private static boolean isEnough(List<Fact> facts, double at) {
    double[] looks =
        facts.stream()
            .filter(f -> f instanceof Fact.Seen && f.at() <= at)
            .mapToDouble(Fact::at)
            .toArray();
    return looks.length >= FEWEST && looks[looks.length - 1] - looks[0] >= APART;
  }

  /** Returns the fresh water of a rig as one store, on a slope. */
  public static Store fresh(Network network, Slope slope) {
    double capacity = 0;
    double stranded = 0;
    DrawDown down = DrawDown.of(network, slope);
    for (Part tank : network.rig().tanks(Contents.FRESH).toList()) {
      capacity += network.figures(tank, slope).full();
      stranded += down.stranded(tank.id());
    }
    return new Store(capacity, stranded, false);
  }

  private static Optional<Store> store(Network network, Slope slope) {
    List<Part> tanks = network.rig().tanks(Contents.GRAY).toList();
    double capacity = 0;
    for (Part tank : tanks) {
      TankFigures figures = network.figures(tank, slope);
      capacity += figures.full();
    }
    return tanks.isEmpty() ? Optional.empty() : Optional.of(new Store(capacity, capacity, true));
  }

  /** What was seen of one store in all, with its doubt, in order of time. */
  public static List<Fact.Seen> looks(
      Network network, Contents contents, Collection<Entry> entries, Asked asked) {
    Crew crew = Facts.crew(DayShape.in(asked.zone()), asked.habits().people(), entries);
    double at = Facts.seconds(asked.at());
    return Facts.of(network, contents, asked.slope(), crew, entries).stream()
        .filter(f -> f.at() <= at)
        .filter(Fact.Seen.class::isInstance)
        .map(Fact.Seen.class::cast)
        .toList();
  }

  /**
   * Returns how long water lasts from the time asked: by the log for what was ever read, else as it
   * was worked out from levels and entered habits.
   */
  public Lasts lasting(Lasts worked) {
    Lasts lasts = fresh.isKnown() ? worked.withFresh(perDay(fresh), days(fresh.ends())) : worked;
    return gray.filter(ConsumptionFilter::isKnown)
        .map(g -> lasts.withGray(perDay(g), days(g.ends())))
        .orElse(lasts);
  }

  /** Returns how many are on board at the time asked. */
  public int people() {
    return crew.at(at);
  }

  private double perDay(ConsumptionFilter of) {
    return people() * of.rate().expected();
  }

  private double days(Range ends) {
    double seconds = ends.expected() - at;
    return seconds >= Crew.FAR ? Double.POSITIVE_INFINITY : Math.max(0, seconds / DAY);
  }

  private static Range ends(ConsumptionFilter fresh, Optional<ConsumptionFilter> gray) {
    Range ends = fresh.ends();
    if (gray.isEmpty() || !gray.get().isKnown()) {
      return ends;
    }
    Range full = gray.get().ends();
    return new Range(
        Math.min(ends.low(), full.low()),
        Math.min(ends.expected(), full.expected()),
        Math.min(ends.high(), full.high()));
  }
}
