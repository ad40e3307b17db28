package fernwort.core.demo;

import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;

/** Three made-up weeks of a demo rig's log that end with what its tanks hold. */
public final class DemoLog {

  private static final int DAYS = 21;

  /** What each is taken to use in a day at first, and what it really is (m³). */
  private static final double ENTERED = 0.012;

  private static final double USED = 0.0135;

  /** What of a day is used from the evening look to the morning one. */
  private static final double NIGHT = 0.4;

  private static final double GRAY_SHARE = 0.8;
  private static final double STICK = 0.6e-3;

  private static final String[] PLACES = {"Harbour tap", "Old mill spring", "Fairground"};

  private final DemoRig demo;
  private final Network network;
  private final Instant end;
  private final Random random;
  private final List<Entry> entries = new ArrayList<>();
  private final Map<PartId, Double> holds = new HashMap<>();
  private int people = 2;

  private DemoLog(DemoRig demo, Network network, Instant end) {
    this.demo = demo;
    this.network = network;
    this.end = end;
    random = new Random(demo.id().hashCode());
  }

  /**
   * Returns the log of a demo rig.
   *
   * @param end when its tanks were read last
   */
  public static List<Entry> of(DemoRig demo, Network network, Instant end) {
    DemoLog log = new DemoLog(demo, network, end);
    log.live();
    return Collections.unmodifiableList(log.entries);
  }

  /** Back from the end, so that the last level is what the tanks hold: what was used is added. */
  private void live() {
    demo.litres().forEach((tank, litres) -> holds.put(tank, litres / 1000));
    add(at(DAYS, 9), new Entry.People(2, 0, Optional.of(ENTERED), "The two of us"));
    for (int day = 0; day < DAYS; day++) {
      people = day >= 8 && day < 11 ? 4 : 2;
      boolean away = day == 14;
      evening(day, away);
      morning(day);
    }
    add(at(11, 16), new Entry.People(4, 0, Optional.empty(), "Friends for the weekend"));
    add(at(8, 10), new Entry.People(2, 0, Optional.empty(), "They left"));
    add(at(15, 9), new Entry.Away(at(14, 8), "Night in the hut"));
    add(at(19, 11), new Entry.Note("Pump rattled until its strainer was rinsed"));
    add(at(20, 10), new Entry.Sanitize(fresh().id(), "50 mg/L for four hours, rinsed twice"));
    filter()
        .ifPresent(
            f -> add(at(18, 12), new Entry.Upkeep(f.id(), Optional.empty(), "New cartridge")));
  }

  private Instant at(int daysBefore, int hour) {
    return end.truncatedTo(ChronoUnit.DAYS)
        .minus(Duration.ofDays(daysBefore))
        .plus(Duration.ofHours(hour));
  }

  private void add(Instant at, Entry.What what) {
    String id = "%s-%s-%s".formatted(demo.id(), entries.size(), end);
    entries.add(
        new Entry(
            UUID.nameUUIDFromBytes(id.getBytes(StandardCharsets.UTF_8)).toString(), at, what));
  }

  private Part fresh() {
    return network.rig().tanks(Contents.FRESH).findFirst().orElseThrow();
  }

  private Optional<Part> gray() {
    return network.rig().tanks(Contents.GRAY).findFirst();
  }

  private Optional<Part> filter() {
    return network.rig().parts().stream().filter(p -> p.kind().is(Purpose.FILTERS)).findFirst();
  }

  private double full(Part tank) {
    return network.figures(tank, Slope.LEVEL).full();
  }

  /** What was used between the morning and the evening of a day before the end. */
  private void evening(int day, boolean away) {
    double share = day == 0 ? 1 : NIGHT;
    use(away ? 0 : share * people * USED * differs());
    look(at(day + 1, 20));
  }

  private void morning(int day) {
    use((1 - NIGHT) * people * USED * differs());
    look(at(day + 1, 8));
  }

  private double differs() {
    return 1 + 0.25 * random.nextGaussian();
  }

  /** Back in time what was used is in the tank still; one that is full by then was filled after. */
  private void use(double used) {
    Part fresh = fresh();
    double amount = Math.max(0, used);
    double before = holds.getOrDefault(fresh.id(), 0.0) + amount;
    holds.put(fresh.id(), before);
    gray().ifPresent(g -> holds.merge(g.id(), -GRAY_SHARE * amount, Double::sum));
  }

  private void look(Instant at) {
    Part fresh = fresh();
    if (holds.getOrDefault(fresh.id(), 0.0) > 0.93 * full(fresh)) {
      filled(fresh, at);
    }
    gray()
        .filter(g -> holds.getOrDefault(g.id(), 0.0) < 0.1 * full(g))
        .ifPresent(g -> {
          add(
              at.plus(Duration.ofMinutes(40)),
              new Entry.Dump(g.id(), Optional.empty(), "At the site"));
          double before = 0.7 * full(g);
          holds.put(g.id(), before);
          read(g, at.plus(Duration.ofMinutes(30)), before);
        });
    if (random.nextInt(4) != 0) {
      read(fresh, at, holds.getOrDefault(fresh.id(), 0.0));
    }
    gray()
        .filter(g -> random.nextInt(2) == 0)
        .ifPresent(g -> read(g, at, holds.getOrDefault(g.id(), 0.0)));
  }

  private void filled(Part tank, Instant at) {
    double poured = 0.55 * full(tank) + 0.1 * full(tank) * random.nextDouble();
    holds.merge(tank.id(), -poured, Double::sum);
    boolean full = random.nextBoolean();
    add(
        at.plus(Duration.ofMinutes(20)),
        new Entry.Fill(
            tank.id(),
            full ? Optional.empty() : Optional.of(Math.round(poured * 1000) / 1000.0),
            new Entry.Bought(
                Optional.of(BigDecimal.valueOf(random.nextInt(5)).setScale(2)),
                PLACES[random.nextInt(PLACES.length)],
                Optional.of(random.nextBoolean())),
            false,
            ""));
  }

  private void read(Part tank, Instant at, double volume) {
    double seen =
        Math.clamp(volume + STICK * random.nextGaussian(), 0, network.room(tank.id()).capacity());
    add(
        at,
        new Entry.Reading(
            tank.id(), seen, String.format(Locale.ROOT, "%.0f L", 1000 * seen), false, ""));
  }
}
