package fernwort.core.hygiene;

import fernwort.core.budget.Daily;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.kind.Care;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something about the water that falls due: by days, and for filters and pumps by use as well.
 *
 * @param subject id of the part, "leaks", or "gauge:" with a tank's id
 * @param what what is to be done
 * @param every after how long (days)
 * @param last when it was done last, if it was noted
 * @param due when it is due; at once where it was never noted
 * @param use what passed since, where use counts
 * @param putOff the reason why it was put off, if it was
 * @param source where the interval is from
 */
public record Upkeep(
    String subject,
    String what,
    int every,
    Optional<Instant> last,
    Instant due,
    Optional<Use> use,
    Optional<String> putOff,
    String source) {

  /** What was noted is looked through so far back: nobody leaves a cartridge in for longer. */
  public static final Duration MEMORY = Duration.ofDays(1100);

  /**
   * Use since the last time.
   *
   * @param passed water that passed, by the log (m³)
   * @param lasts what may pass (m³)
   * @param flow at what flow a pump moves it, where hours count (m³/s)
   */
  public record Use(double passed, double lasts, Optional<Double> flow) {

    /** Returns how many times its clean loss it takes, where it doubles when that has passed. */
    public double clogging() {
      return 1 + passed / lasts;
    }

    /** Returns for how long a pump ran for it (s), where hours count. */
    public Optional<Double> ran() {
      return flow.map(f -> passed / f);
    }

    /** Returns for how long it may run (s), where hours count. */
    public Optional<Double> mayRun() {
      return flow.map(f -> lasts / f);
    }
  }

  /** The look for leaks, noted in the place of a part. */
  public static final PartId LEAKS = PartId.of("leaks");

  /** Clogging is told in steps of so much, which nobody feels at a tap. */
  private static final double FELT = 0.05;

  /**
   * Returns how many times its clean loss each filter takes by its use, where it is known when a
   * filter's loss has doubled and it is felt.
   */
  public static Map<PartId, Double> clogging(List<Upkeep> all, Rig rig) {
    Map<PartId, Double> clogged = new HashMap<>();
    for (Upkeep u : all) {
      u.use()
          .filter(use ->
              rig.partsById().get(PartId.of(u.subject())) instanceof Part part
                  && part.kind().clogs())
          .map(use -> FELT * Math.round(use.clogging() / FELT))
          .filter(factor -> factor > 1)
          .ifPresent(factor -> clogged.put(PartId.of(u.subject()), factor));
    }
    return clogged;
  }

  /** Tells whether it is due at a time. */
  public boolean isDue(Instant now) {
    return !due.isAfter(now);
  }

  /**
   * Returns all that falls due in a rig, the soonest first.
   *
   * @param entries what was noted
   * @param days what was used day by day
   * @param zone where those days are
   */
  public static List<Upkeep> of(
      Rig rig, List<Entry> entries, List<Daily> days, ZoneId zone, Instant now) {
    Making making = new Making(entries, days, zone, now);
    for (Part part : rig.parts()) {
      for (Care care : part.kind().care(part.label())) {
        making.add((care.ofGauge() ? "gauge:" : "") + part.id(), care);
      }
    }
    making.add(
        LEAKS.value(), Care.of(Says.LOOK_FOR_LEAKS_WITH_THE_PRESSURE.text(), Care.A_QUARTER));
    making.found.sort(Comparator.comparing(Upkeep::due).thenComparing(Upkeep::what));
    return making.found;
  }

  /** Collects what is due. */
  private static final class Making {

    private final List<Entry> entries;
    private final List<Daily> days;
    private final ZoneId zone;
    private final Instant now;
    private final List<Upkeep> found = new ArrayList<>();

    private Making(List<Entry> entries, List<Daily> days, ZoneId zone, Instant now) {
      this.entries = entries;
      this.days = days;
      this.zone = zone;
      this.now = now;
    }

    /** Of several pumps that feed taps each counts as if all had gone through it: never less. */
    private void add(String subject, Care care) {
      Optional<Instant> last = last(subject);
      Instant due = due(last, care.days());
      Optional<Use> use = care.lasts().map(lasts -> new Use(passed(last), lasts, care.flow()));
      boolean isUsedUp = use.filter(u -> u.passed() >= u.lasts()).isPresent();
      add(subject, care.what(), care.days(), last, isUsedUp ? now : due, use, care.source());
    }

    /** What passed since something was done (m³). */
    private double passed(Optional<Instant> last) {
      return days.stream()
          .mapToDouble(d -> d.used() * last.map(done -> after(done, d.day())).orElse(1.0))
          .sum();
    }

    /** The share of a day, as far as it has come, that lies after something was done. */
    private double after(Instant done, LocalDate day) {
      long begins = day.atStartOfDay(zone).toEpochSecond();
      long ends =
          Math.min(now.getEpochSecond(), day.plusDays(1).atStartOfDay(zone).toEpochSecond());
      double share = (ends - done.getEpochSecond()) / (double) Math.max(1, ends - begins);
      return Math.clamp(share, 0, 1);
    }

    private void add(
        String subject,
        String what,
        int every,
        Optional<Instant> last,
        Instant due,
        Optional<Use> use,
        String source) {
      Optional<Entry> putOff =
          entries.stream()
              .filter(e ->
                  e.what() instanceof Entry.Upkeep u
                      && u.part().value().equals(subject)
                      && u.putOff().isPresent())
              .filter(e -> last.isEmpty() || e.at().isAfter(last.get()))
              .max(Comparator.comparing(Entry::at));
      Instant later =
          putOff
              .map(e -> ((Entry.Upkeep) e.what()).putOff().orElse(due))
              .filter(p -> p.isAfter(due))
              .orElse(due);
      found.add(
          new Upkeep(
              subject, what, every, last, later, use, putOff.map(e -> e.what().note()), source));
    }

    private Instant due(Optional<Instant> last, int every) {
      return last.map(l -> l.plus(Duration.ofDays(every))).orElse(now);
    }

    private Optional<Instant> last(String subject) {
      return entries.stream()
          .filter(e -> !e.at().isAfter(now))
          .filter(e ->
              switch (e.what()) {
                case Entry.Sanitize w -> w.tank().value().equals(subject);
                case Entry.Upkeep w -> w.part().value().equals(subject) && w.putOff().isEmpty();
                case Entry.Reading _,
                    Entry.Fill _,
                    Entry.Dump _,
                    Entry.Haul _,
                    Entry.People _,
                    Entry.Away _,
                    Entry.Note _ ->
                    false;
              })
          .map(Entry::at)
          .max(Comparator.naturalOrder());
    }
  }
}
