package fernwort.app.services;

import fernwort.app.store.DiaryStore;
import fernwort.app.store.Logbook;
import fernwort.app.store.RigStore;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Tank;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import fernwort.core.tank.Reading;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What stands with each rig: its handles, levels and slope, the journal of them, who travels. */
@Service
public class States {

  /** So many entries of a tank are looked through for what it held last. */
  private static final int MOST = 200;

  /** How far ahead a reading may be: clocks and time zones differ. */
  private static final Duration AHEAD = Duration.ofDays(1);

  private final RigStore store;
  private final Logbook logbook;
  private final DiaryStore diary;
  private final Calibrations calibrations;
  private final LiveLevels live;
  private final JsonMapper mapper;
  private final Clock clock;

  States(
      RigStore store,
      Logbook logbook,
      DiaryStore diary,
      Calibrations calibrations,
      LiveLevels live,
      JsonMapper mapper,
      Clock clock) {
    this.live = live;
    this.calibrations = calibrations;
    this.store = store;
    this.diary = diary;
    this.logbook = logbook;
    this.mapper = mapper;
    this.clock = clock;
  }

  /** Returns the level of a tank as it was read last; null where it never was. */
  public Logbook.@Nullable Level kept(OpenRig rig, PartId tank) {
    return logbook.levels(rig.id()).get(tank.value());
  }

  /**
   * Returns handles and levels as they stand: what a sensor tells, else what was read last. A tank
   * that was never read counts as empty.
   */
  public Standing of(OpenRig rig) {
    Logbook.Readings kept = logbook.readings(rig.id());
    Map<String, Logbook.Level> sensed = live.of(rig.id());
    Map<String, Logbook.Level> readings = new HashMap<>(kept.sound());
    readings.putAll(sensed);
    Map<PartId, Double> volumes = new HashMap<>();
    // The description may have changed since: parts gone, handles with other positions.
    rig.rig()
        .tanks()
        .map(x -> x.id().value())
        .filter(readings::containsKey)
        .forEach(tank -> volumes.put(PartId.of(tank), held(rig, PartId.of(tank), readings)));
    Map<PartId, PositionId> positions = new HashMap<>();
    logbook
        .handles(rig.id())
        .forEach((part, position) -> positions.put(PartId.of(part), PositionId.of(position)));
    return new Standing(
        new State(rig.rig().fitted(positions), volumes, parked(rig)),
        readings,
        kept.setAside(),
        Set.copyOf(sensed.keySet()));
  }

  /** Returns how a rig is parked. */
  public Slope parked(OpenRig rig) {
    RigStore.Stored stored = store.get(rig.id());
    return new Slope(stored.pitch(), stored.roll());
  }

  /**
   * Keeps how a rig is parked; its levels are read and reckoned on that slope from now on.
   *
   * @throws Refusal in one sentence, when nobody parks like that
   */
  public void park(OpenRig rig, Slope slope) {
    if (!slope.canBeParked()) {
      throw new Refusal(
          String.format(Locale.ROOT, Says.NOBODY_PARKS_AT_MORE_THAN_CHECK.text(), Slope.STEEPEST));
    }
    store.park(rig.id(), slope.pitch(), slope.roll());
  }

  private static double held(OpenRig rig, PartId tank, Map<String, Logbook.Level> readings) {
    Logbook.Level level = readings.get(tank.value());
    return level == null ? 0 : Math.min(level.volume(), rig.network().room(tank).capacity());
  }

  /**
   * Turns a handle, and with it what hangs on one switch with it.
   *
   * @throws Refusal in one sentence, when it has no such position
   */
  @Transactional
  public void turn(OpenRig rig, String part, PositionId position, String who) {
    rig.rig().position(PartId.of(part), position);
    Map<PartId, PositionId> along =
        rig.rig().gangOf(PartId.of(part)).isEmpty()
            ? Map.of()
            : rig.rig().movedAlong(of(rig).state().setting(), PartId.of(part), position);
    put(rig, part, position, who);
    along.forEach((other, to) -> put(rig, other.value(), to, who));
  }

  private void put(OpenRig rig, String part, PositionId position, String who) {
    logbook.turn(
        rig.id(), part, rig.rig().atRest().of(PartId.of(part)).value(), position.value(), who);
  }

  /**
   * Keeps a reading of a tank.
   *
   * @param shown the reading as it was given, such as "62 %"
   * @throws Refusal in one sentence, when the tank cannot hold or show that
   */
  @Transactional
  public void record(
      OpenRig rig, PartId tank, Reading reading, String shown, Instant at, String who) {
    keep(rig, tank, level(rig, tank, reading, shown, at), false, who);
  }

  /**
   * Keeps what a tank is reckoned to hold: nobody looked.
   *
   * @param volume what it holds now (m³)
   */
  @Transactional
  public void reckon(OpenRig rig, PartId tank, double volume, String who) {
    String shown = String.format(Locale.ROOT, Says.L_AS_EXPECTED.text(), volume * 1000);
    Reading reading = new Reading.Volume(volume);
    keep(rig, tank, level(rig, tank, reading, shown, clock.instant()), true, who);
  }

  private void keep(OpenRig rig, PartId tank, Logbook.Level level, boolean reckoned, String who) {
    Entry entry =
        new Entry(
            UUID.randomUUID().toString(),
            level.at(),
            new Entry.Reading(tank, level.volume(), level.shown(), reckoned, ""));
    diary.add(rig.id(), entry, parked(rig), who);
    relevel(rig, tank, who);
  }

  /**
   * Brings the level of a tank to what the log says of it last: the newest look, fill to the brim
   * or dump, with what was poured in and let out since.
   */
  @Transactional
  public void relevel(OpenRig rig, PartId tank, String who) {
    Optional<Logbook.Level> last =
        Levelling.of(rig, parked(rig), tank, diary.ofTank(rig.id(), tank.value(), MOST));
    Optional<Logbook.Level> now = Optional.ofNullable(logbook.levels(rig.id()).get(tank.value()));
    if (last.isPresent() && !last.equals(now)) {
      logbook.read(rig.id(), tank.value(), last.get(), who);
    }
  }

  private Logbook.Level level(OpenRig rig, PartId tank, Reading reading, String shown, Instant at) {
    Tank kind = tank(rig, tank);
    if (at.isBefore(Instant.EPOCH)) {
      throw new Refusal(Says.THE_TIME_OF_THE_READING.with());
    }
    if (at.isAfter(clock.instant().plus(AHEAD))) {
      throw new Refusal(Says.THE_TIME_OF_THE_READING_IS_MORE_THAN_A_DAY.with());
    }
    double volume = volume(rig, tank, kind, reading, parked(rig));
    return new Logbook.Level(volume, at.truncatedTo(ChronoUnit.MICROS), shown);
  }

  /** What a reading stands for: a step of a sender by the jugs that were poured in, if any were. */
  private double volume(OpenRig rig, PartId tank, Tank kind, Reading reading, Slope slope) {
    double drawn = reading.volume(kind, rig.network().room(tank), slope);
    return reading instanceof Reading.Steps steps
        ? calibrations
            .ofSteps(rig, tank)
            .map(c -> Math.clamp(c.holds(steps.lit()), 0, rig.network().room(tank).capacity()))
            .orElse(drawn)
        : drawn;
  }

  /**
   * Returns what a reading of a tank stands for (m³).
   *
   * @param slope how the vehicle stood
   * @throws Refusal in one sentence, when the tank cannot hold or show that
   */
  public double volume(OpenRig rig, PartId tank, Reading reading, Slope slope) {
    return volume(rig, tank, tank(rig, tank), reading, slope);
  }

  private static Tank tank(OpenRig rig, PartId id) {
    Part part = rig.rig().part(id);
    if (part.kind() instanceof Tank tank) {
      return tank;
    }
    throw new Refusal(Says.IS_NOT_A_TANK_PICK_A_TANK.with(part.label()));
  }

  /**
   * Takes a state over as that of the rig, all of it or nothing. Tanks that nobody ever read stay
   * so: what they held when it began was a guess.
   *
   * @param shown writes a volume (m³) as the reading is to be shown
   * @throws Refusal naming the part that is gone or changed since
   */
  @Transactional
  public void adopt(OpenRig rig, State state, DoubleFunction<String> shown, String who) {
    Standing before = of(rig);
    Map<PartId, PositionId> positions = new TreeMap<>(state.setting().positions());
    for (Map.Entry<PartId, PositionId> handle : positions.entrySet()) {
      boolean there =
          rig.rig().handles().anyMatch(p -> p.id().equals(handle.getKey()))
              && rig.rig().part(handle.getKey()).kind().positions().stream()
                  .anyMatch(p -> p.id().equals(handle.getValue()));
      if (!there) {
        throw new Refusal(Says.THE_RIG_WAS_CHANGED_SINCE.with(handle.getKey()));
      }
    }
    positions.forEach((part, position) -> {
      if (!before.state().setting().of(part).equals(position)) {
        put(rig, part.value(), position, who);
      }
    });
    for (Part tank : rig.network().tanks()) {
      if (before.readings().containsKey(tank.id().value())) {
        double volume =
            Math.clamp(state.volume(tank.id()), 0, rig.network().room(tank.id()).capacity());
        Reading reading = new Reading.Volume(volume);
        keep(
            rig,
            tank.id(),
            level(rig, tank.id(), reading, shown.apply(volume), clock.instant()),
            true,
            who);
      }
    }
  }

  /** Takes the last change back, with what moved on one switch with it. */
  @Transactional
  public Optional<Logbook.Entry> undo(OpenRig rig, String who) {
    return revert(rig, false, who);
  }

  private Optional<Logbook.Entry> revert(OpenRig rig, boolean forward, String who) {
    Map<PartId, PositionId> along = new HashMap<>();
    logbook
        .next(rig.id(), forward)
        .filter(e ->
            e.kind() == Logbook.Kind.TURN && rig.rig().gangOf(PartId.of(e.subject())).isPresent())
        .ifPresent(e ->
            along.putAll(
                rig.rig()
                    .movedAlong(
                        of(rig).state().setting(),
                        PartId.of(e.subject()),
                        PositionId.of(forward ? e.after() : e.before()))));
    Optional<Logbook.Entry> reverted = revertOne(rig, forward, who);
    while (logbook
        .next(rig.id(), forward)
        .filter(e -> e.kind() == Logbook.Kind.TURN)
        .filter(e ->
            along.remove(PartId.of(e.subject()), PositionId.of(forward ? e.after() : e.before())))
        .isPresent()) {
      revertOne(rig, forward, who);
    }
    return reverted;
  }

  private Optional<Logbook.Entry> revertOne(OpenRig rig, boolean forward, String who) {
    Optional<Logbook.Entry> reverted =
        forward ? logbook.redo(rig.id(), who) : logbook.undo(rig.id(), who);
    reverted.ifPresent(
        e -> stand(rig, e, forward ? DiaryStore.Standing.STANDS : DiaryStore.Standing.TAKEN_BACK));
    return reverted;
  }

  /** A reading that is taken back on the Board counts no more in the log, either. */
  private void stand(OpenRig rig, Logbook.Entry line, DiaryStore.Standing standing) {
    if (line.kind() == Logbook.Kind.READING) {
      Logbook.Level.parse(line.after())
          .flatMap(level -> diary.reading(rig.id(), line.subject(), level))
          .ifPresent(id -> diary.stand(rig.id(), id, standing));
    }
  }

  /** Puts the change taken back last into force again, with what moved on one switch with it. */
  @Transactional
  public Optional<Logbook.Entry> redo(OpenRig rig, String who) {
    return revert(rig, true, who);
  }

  /** Returns the newest lines of the journal. */
  public List<Logbook.Entry> journal(OpenRig rig, int most) {
    return logbook.journal(rig.id(), most);
  }

  /** Returns the newest lines of the journal before a time. */
  public List<Logbook.Entry> journal(OpenRig rig, int most, Optional<Instant> before) {
    return logbook.journal(rig.id(), most, before);
  }

  /** Returns what the journal has come to. */
  public Logbook.End end(OpenRig rig) {
    return logbook.end(rig.id());
  }

  /** Returns who travels and what they use. */
  public Habits habits(OpenRig rig) {
    return mapper.readValue(store.get(rig.id()).habits(), Habits.class);
  }

  /** Keeps who travels and what they use. */
  public void setHabits(OpenRig rig, Habits habits) {
    store.setHabits(rig.id(), habits.people(), mapper.writeValueAsString(habits));
  }
}
