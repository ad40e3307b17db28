package fernwort.app.garage;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.store.Logbook;
import fernwort.app.store.WinterStore;
import fernwort.app.store.WinterStore.Outcome;
import fernwort.app.store.WinterStore.Season;
import fernwort.core.cold.Act;
import fernwort.core.cold.Draining;
import fernwort.core.cold.Filled;
import fernwort.core.cold.Harm;
import fernwort.core.cold.Leftovers;
import fernwort.core.cold.School;
import fernwort.core.cold.Schools;
import fernwort.core.cold.Spring;
import fernwort.core.cold.WinterPlan;
import fernwort.core.cold.WinterStep;
import fernwort.core.cold.WinterWish;
import fernwort.core.cold.Wintering;
import fernwort.core.frost.ColdWater;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.say.Saying;
import fernwort.core.tank.Reading;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Rigs on their way into the winter and out of it: what is planned, ticked, and still wet. */
@Service
public class Winters {

  private static final int MOST = 12;

  /** So many ticks are remembered; others are worked out again. */
  private static final int REMEMBERED = 400;

  private final Cache<Done, Wintering> done = Caffeine.newBuilder().maximumSize(REMEMBERED).build();
  private final WinterStore store;
  private final WinterText text;
  private final States states;
  private final JobDesk desk;
  private final Logbook logbook;
  private final Clock clock;

  Winters(
      WinterStore store,
      WinterText text,
      States states,
      JobDesk desk,
      Logbook logbook,
      Clock clock) {
    this.store = store;
    this.text = text;
    this.states = states;
    this.desk = desk;
    this.logbook = logbook;
    this.clock = clock;
  }

  /**
   * A sheet as it stands.
   *
   * @param cold the cold it is meant for (K)
   * @param steps its steps
   * @param ticks when each was ticked, by its number from 0
   * @param now how the rig stands after what is ticked
   */
  public record Sheet(
      String id,
      Season season,
      String title,
      String who,
      Instant started,
      Optional<Instant> ended,
      Outcome outcome,
      String school,
      double cold,
      List<WinterStep> steps,
      List<Saying> notes,
      Map<Integer, Instant> ticks,
      Map<Integer, Instant> begun,
      Wintering before,
      Wintering now) {}

  /** Returns the sheets of a rig, the newest first. */
  public List<Sheet> sheets(OpenRig rig) {
    return store.newest(rig.id(), MOST).stream().map(k -> sheet(rig, k)).toList();
  }

  /** Returns a sheet. */
  public Sheet sheet(OpenRig rig, String id) {
    return sheet(rig, store.get(rig.id(), id));
  }

  private Sheet sheet(OpenRig rig, WinterStore.Kept kept) {
    WinterText.Kept read = text.read(kept.text());
    List<Integer> ticked =
        kept.ticks().keySet().stream().filter(s -> s < read.steps().size()).toList();
    Wintering now = after(rig, kept.id(), read, ticked);
    return new Sheet(
        kept.id(),
        kept.season(),
        kept.title(),
        kept.who(),
        kept.started(),
        kept.ended(),
        kept.outcome(),
        read.school(),
        read.cold(),
        read.steps(),
        read.notes(),
        kept.ticks(),
        kept.begun(),
        read.before(),
        now);
  }

  /** What was ticked, done again from the start; one tick more costs one step. */
  private Wintering after(OpenRig rig, String sheet, WinterText.Kept read, List<Integer> ticked) {
    if (ticked.isEmpty()) {
      return read.before();
    }
    Done key = new Done(sheet, rig.version(), ticked);
    Wintering known = done.getIfPresent(key);
    if (known == null) {
      Wintering before = after(rig, sheet, read, ticked.subList(0, ticked.size() - 1));
      Act act = read.steps().get(ticked.getLast()).act();
      known = isThere(rig, act) ? act.on(rig.plumbing(), before) : before;
      done.put(key, known);
    }
    return known;
  }

  /** What a rig is after the ticks of a sheet. */
  private record Done(String sheet, int version, List<Integer> ticked) {
    private Done {
      ticked = List.copyOf(ticked);
    }
  }

  /** The rig may have been changed since: what is gone is left out. */
  private static boolean isThere(OpenRig rig, Act act) {
    Map<String, Part> parts = rig.rig().partsById();
    return switch (act) {
      case Act.Put put ->
          parts.containsKey(put.part())
              && IntStream.of(0, 1)
                  .mapToObj(i ->
                      i == 0
                          ? parts.get(put.part()).kind().positions()
                          : parts.get(put.part()).kind().service())
                  .flatMap(List::stream)
                  .anyMatch(p -> p.id().equals(put.position()));
      case Act.RunDry run -> parts.containsKey(run.pump());
      case Act.Emptied emptied ->
          emptied.volumes().keySet().stream()
              .allMatch(t -> parts.containsKey(t) && parts.get(t).kind() instanceof Kind.Tank);
      case Act.Tilt _, Act.Blown _, Act.Filled _, Act.Heed _ -> true;
    };
  }

  /** Returns how a rig stands: after its sheets of autumn where one counts, else full of water. */
  public Wintering now(OpenRig rig) {
    return asleep(rig).map(sheet -> since(rig, sheet)).orElseGet(() -> inUse(rig));
  }

  /** What was turned, parked or read since the last tick counts, too. */
  private Wintering since(OpenRig rig, Sheet sheet) {
    Standing standing = states.of(rig);
    Instant last =
        sheet.ticks().values().stream().max(Comparator.naturalOrder()).orElse(sheet.started());
    Wintering now =
        new Wintering(
            new State(
                standing.state().setting(),
                sheet.now().state().volumes(),
                standing.state().slope()),
            sheet.now().service(),
            sheet.now().wetness(),
            sheet.now().glycol());
    now = Draining.of(rig.plumbing(), now);
    // What somebody read is so, whatever should have run out.
    for (Part tank : rig.plumbing().tanks()) {
      Logbook.Level level = standing.readings().get(tank.id());
      if (level != null && level.at().isAfter(last)) {
        now = now.withVolume(tank.id(), standing.state().volume(tank.id()));
      }
    }
    return now;
  }

  /** Returns a rig in use: its lines full, its tanks as they were read. */
  public Wintering inUse(OpenRig rig) {
    return Filled.of(rig.plumbing(), states.of(rig).state());
  }

  /** Returns the autumn's sheet that still counts: begun, ticked somewhere, and not woken since. */
  public Optional<Sheet> asleep(OpenRig rig) {
    for (Sheet sheet : sheets(rig)) {
      if (sheet.season() == Season.SPRING && sheet.outcome() == Outcome.DONE) {
        return Optional.empty();
      }
      if (sheet.season() == Season.AUTUMN && !sheet.ticks().isEmpty()) {
        return Optional.of(sheet);
      }
    }
    return Optional.empty();
  }

  /** Returns what to know before water or a pump is turned on in a rig that sleeps. */
  public Optional<Saying> beforeUse(OpenRig rig) {
    return asleep(rig)
        .map(sheet -> {
          Wintering now = since(rig, sheet);
          double dry =
              Filled.of(rig.plumbing(), now.state()).wetness().lines().keySet().stream()
                  .map(id -> rig.rig().lines().get(rig.plumbing().lineNumber(id)))
                  .mapToDouble(line -> line.volume() - now.wetness().volume(line))
                  .sum();
          List<String> off =
              now.service().keySet().stream()
                  .filter(id -> rig.rig().partsById().containsKey(id))
                  .map(id -> rig.rig().part(id).label())
                  .sorted()
                  .toList();
          return Saying.of(
              "It was put to sleep for the winter{}. Its lines take {} before water comes. Wake it"
                  + " first, under Cold, Spring.",
              off.isEmpty() ? "" : "; off, out or half way: " + String.join(", ", off),
              Amount.volume(dry));
        });
  }

  /** Returns the sheet that is being gone through, if one is. */
  public Optional<Sheet> running(OpenRig rig) {
    return sheets(rig).stream().filter(s -> s.outcome() == Outcome.RUNNING).findFirst();
  }

  /** Returns what all schools make of a rig as it stands. */
  public List<WinterPlan> plans(OpenRig rig, WinterWish wish) {
    return Schools.of(desk.book(rig).plans()).all(inUse(rig), wish);
  }

  /** Returns what one school makes of it. */
  public WinterPlan plan(OpenRig rig, School school, WinterWish wish) {
    return Schools.of(desk.book(rig).plans()).plan(school, inUse(rig), wish);
  }

  /**
   * Returns how to wake a rig.
   *
   * @throws Refusal when nothing was put to sleep
   */
  public WinterPlan spring(OpenRig rig) {
    Sheet autumn =
        asleep(rig)
            .orElseThrow(
                () -> new Refusal("No autumn's record counts: nothing here was put to sleep"));
    return Spring.of(desk.book(rig).plans(), autumn.now(), autumn.before().state().setting());
  }

  /** Begins a school's sheet and returns its address. */
  @Transactional
  public String begin(OpenRig rig, School school, WinterWish wish, String who) {
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
        "Wake it in spring",
        text.write(new WinterText.Kept("", 0, plan.before(), plan.steps(), plan.notes())),
        who);
  }

  private void leaveRunning(OpenRig rig) {
    running(rig).ifPresent(s -> store.end(s.id(), Outcome.LEFT));
  }

  /** Ticks a step: what it is about is so from now on, also on the Board. */
  @Transactional
  public void tick(OpenRig rig, String id, int seq, String who) {
    Sheet sheet = sheet(rig, id);
    if (seq < 0 || seq >= sheet.steps().size()) {
      throw new Refusal("The sheet has no such step; load it anew");
    }
    if (sheet.ticks().containsKey(seq)) {
      return;
    }
    Act act = sheet.steps().get(seq).act();
    if (isThere(rig, act)) {
      onTheBoard(rig, act, who);
    }
    store.tick(id, seq, who);
  }

  private void onTheBoard(OpenRig rig, Act act, String who) {
    switch (act) {
      case Act.Put put -> {
        boolean handle =
            rig.rig().part(put.part()).kind().positions().stream()
                .anyMatch(p -> p.id().equals(put.position()));
        if (handle) {
          states.turn(rig, put.part(), put.position(), who);
        }
      }
      case Act.Emptied emptied ->
          emptied.volumes().forEach((tank, volume) -> read(rig, tank, volume, who));
      case Act.Tilt tilt -> states.park(rig, new Slope(tilt.pitch(), tilt.roll()));
      case Act.RunDry _, Act.Blown _, Act.Filled _, Act.Heed _ -> {}
    }
  }

  private void read(OpenRig rig, String tank, double volume, String who) {
    states.record(
        rig,
        tank,
        new Reading.Volume(volume),
        String.format(Locale.ROOT, "%.0f L, as reckoned", volume * 1000),
        clock.instant(),
        who);
  }

  /** Begins the wait of a step. */
  public void beginWait(OpenRig rig, String id, int seq, String who) {
    store.beginWait(sheet(rig, id).id(), seq, who);
  }

  /** What an autumn's sheet has come to, for the log. */
  private static String safe(OpenRig rig, Sheet sheet) {
    long dangers =
        Leftovers.of(rig.plumbing(), sheet.now(), sheet.cold()).stream()
            .filter(r -> r.harm() == Harm.DANGER)
            .count();
    String cold = String.format(Locale.ROOT, "%.0f °C", sheet.cold() - ColdWater.ZERO);
    return dangers == 0
        ? "nothing is left that breaks down to " + cold
        : dangers + " left that break something in frost";
  }

  /** Takes a tick back; handles stay where they are until they are ticked again. */
  public void untick(OpenRig rig, String id, int seq) {
    store.untick(sheet(rig, id).id(), seq);
  }

  /** Ends a sheet as done, with a line in the log, or leaves it. */
  @Transactional
  public void end(OpenRig rig, String id, boolean done, String who) {
    Sheet sheet = sheet(rig, id);
    if (sheet.outcome() != Outcome.RUNNING) {
      return;
    }
    store.end(id, done ? Outcome.DONE : Outcome.LEFT);
    if (done) {
      logbook.job(
          rig.id(),
          id,
          "%s: %s of %s steps ticked%s"
              .formatted(
                  sheet.title(),
                  sheet.ticks().size(),
                  sheet.steps().size(),
                  sheet.season() == Season.AUTUMN ? ", " + safe(rig, sheet) : ""),
          who);
    }
  }
}
