package fernwort.core.hygiene;

import fernwort.core.budget.Daily;
import fernwort.core.diary.Entry;
import fernwort.core.kind.Accumulator;
import fernwort.core.kind.Contents;
import fernwort.core.kind.Filter;
import fernwort.core.kind.Fitting;
import fernwort.core.kind.Fixture;
import fernwort.core.kind.GravityFiller;
import fernwort.core.kind.Heater;
import fernwort.core.kind.HoseInlet;
import fernwort.core.kind.LeakTray;
import fernwort.core.kind.Macerator;
import fernwort.core.kind.OpenEnd;
import fernwort.core.kind.Plug;
import fernwort.core.kind.PortableContainer;
import fernwort.core.kind.Pump;
import fernwort.core.kind.Strainer;
import fernwort.core.kind.Tank;
import fernwort.core.kind.Valve;
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

  /**
   * Use since the last time.
   *
   * @param passed water that passed, as far as the log tells (m³)
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

  /** The look for leaks, which is no part. */
  public static final String LEAKS = "leaks";

  private static final String OURS = "Our own default; the maker's word and local rules first";

  /** What passes a cartridge of which nobody said when it clogs (m³). */
  private static final double CARTRIDGE = 2;

  private static final int HALF_A_YEAR = 182;
  private static final int A_QUARTER = 91;
  private static final int A_YEAR = 365;

  /** Clogging is told in steps of so much, which nobody feels at a tap. */
  private static final double FELT = 0.05;

  /** A diaphragm pump is worn after so many hours (s). */
  private static final double PUMP_LIFE = 500 * 3600.0;

  /** Taps let through so much of what a pump gives at no pressure. */
  private static final double AT_TAPS = 0.6;

  /**
   * Returns how many times its clean loss each filter takes by its use, where it is known when a
   * filter's loss has doubled and it is felt.
   */
  public static Map<String, Double> clogging(List<Upkeep> all, Rig rig) {
    Map<String, Double> clogged = new HashMap<>();
    for (Upkeep u : all) {
      u.use()
          .filter(use ->
              rig.partsById().get(u.subject()) instanceof Part part
                  && part.kind() instanceof Filter f
                  && f.doubling().isPresent())
          .map(use -> FELT * Math.round(use.clogging() / FELT))
          .filter(factor -> factor > 1)
          .ifPresent(factor -> clogged.put(u.subject(), factor));
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
      switch (part.kind()) {
        case Tank tank -> {
          if (tank.contents() == Contents.FRESH) {
            making.add(part.id(), "Sanitize " + part.label(), HALF_A_YEAR, OURS);
          }
          if (tank.gauge().showsSteps()) {
            making.add(
                "gauge:" + part.id(),
                "Check the gauge of %s against a stick or jugs".formatted(part.label()),
                HALF_A_YEAR,
                OURS);
          }
        }
        case Filter filter ->
            making.byUse(
                part.id(),
                "Change the cartridge of " + part.label(),
                HALF_A_YEAR,
                filter.doubling().orElse(CARTRIDGE),
                filter.doubling().isPresent()
                    ? "Days: " + OURS + ". Litres: until its loss has doubled, as entered"
                    : OURS);
        case Strainer _ ->
            making.add(part.id(), "Rinse the screen of " + part.label(), A_QUARTER, OURS);
        case Heater heater -> {
          if (heater.works() == Heater.Type.STORAGE) {
            making.add(
                part.id(),
                "Look at the anode of %s, if it has one, and flush it".formatted(part.label()),
                A_YEAR,
                OURS);
          }
        }
        case LeakTray tray -> {
          if (tray.contact()) {
            making.add(
                part.id(),
                "Wet the contact of %s and wait for its word".formatted(part.label()),
                HALF_A_YEAR,
                OURS);
          }
        }
        case Accumulator _ ->
            making.add(part.id(), "Check the air of " + part.label(), A_YEAR, OURS);
        case HoseInlet _ ->
            making.add(
                part.id(),
                "Look at the drinking-water hose of %s, renew it when stiff"
                    .formatted(part.label()),
                A_YEAR,
                OURS);
        case Pump pump -> {
          String look = "Listen to %s, look at its joints and its strainer".formatted(part.label());
          if (pump.duty() == Pump.Duty.SUPPLY && !pump.works().byHand()) {
            making.byHours(part.id(), look, AT_TAPS * pump.freeFlow());
          } else if (!pump.works().byHand()) {
            making.add(part.id(), look, HALF_A_YEAR, OURS);
          }
        }
        case Fitting _,
            Macerator _,
            Valve _,
            Fixture _,
            GravityFiller _,
            OpenEnd _,
            Plug _,
            PortableContainer _ -> {}
      }
    }
    making.add(LEAKS, "Look for leaks with the pressure on", A_QUARTER, OURS);
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

    private void add(String subject, String what, int every, String source) {
      Optional<Instant> last = last(subject);
      add(subject, what, every, last, due(last, every), Optional.empty(), source);
    }

    /** Of several pumps that feed taps each counts as if all had gone through it: never less. */
    private void byHours(String subject, String what, double flow) {
      byUse(
          subject,
          what,
          HALF_A_YEAR,
          PUMP_LIFE * flow,
          Optional.of(flow),
          "Days: "
              + OURS
              + ". Hours: litres used over six tenths of its free flow, a new head after 500 h");
    }

    private void byUse(String subject, String what, int every, double lasts, String source) {
      byUse(subject, what, every, lasts, Optional.empty(), source);
    }

    private void byUse(
        String subject,
        String what,
        int every,
        double lasts,
        Optional<Double> flow,
        String source) {
      Optional<Instant> last = last(subject);
      double passed =
          days.stream()
              .mapToDouble(d -> d.used() * last.map(done -> after(done, d.day())).orElse(1.0))
              .sum();
      Instant due = passed >= lasts ? now : due(last, every);
      add(subject, what, every, last, due, Optional.of(new Use(passed, lasts, flow)), source);
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
                      && u.part().equals(subject)
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
                case Entry.Sanitize w -> w.tank().equals(subject);
                case Entry.Upkeep w -> w.part().equals(subject) && w.putOff().isEmpty();
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
