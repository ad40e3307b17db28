package fernwort.app.garage;

import fernwort.app.store.Logbook;
import fernwort.app.store.RigStore;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
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
import java.util.TreeMap;
import java.util.function.DoubleFunction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What stands with each rig: its handles, levels and slope, the journal of them, who travels. */
@Service
public class States {

  private static final double STEEPEST = 20;

  /** How far ahead a reading may be: clocks and time zones differ. */
  private static final Duration AHEAD = Duration.ofDays(1);

  private final RigStore store;
  private final Logbook logbook;
  private final JsonMapper mapper;
  private final Clock clock;

  States(RigStore store, Logbook logbook, JsonMapper mapper, Clock clock) {
    this.store = store;
    this.logbook = logbook;
    this.mapper = mapper;
    this.clock = clock;
  }

  /** Returns handles and levels as they stand. A tank that was never read counts as empty. */
  public Standing of(OpenRig rig) {
    Map<String, Logbook.Level> readings = logbook.levels(rig.id());
    Map<String, Double> volumes = new HashMap<>();
    // The description may have changed since: parts gone, handles with other positions.
    rig.rig()
        .tanks()
        .map(Part::id)
        .filter(readings::containsKey)
        .forEach(tank -> volumes.put(tank, held(rig, tank, readings)));
    Map<String, String> positions = new HashMap<>(rig.rig().atRest().positions());
    logbook
        .handles(rig.id())
        .forEach((part, position) -> keepIfThere(rig, positions, part, position));
    return new Standing(
        new State(new Setting(positions), volumes, parked(rig)),
        readings,
        logbook.setAside(rig.id()));
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
    if (!(Math.abs(slope.pitch()) <= STEEPEST && Math.abs(slope.roll()) <= STEEPEST)) {
      throw new Refusal(
          String.format(
              Locale.ROOT, "Nobody parks at more than %.0f°; check the degrees", STEEPEST));
    }
    store.park(rig.id(), slope.pitch(), slope.roll());
  }

  private static double held(OpenRig rig, String tank, Map<String, Logbook.Level> readings) {
    Logbook.Level level = readings.get(tank);
    return level == null ? 0 : Math.min(level.volume(), rig.plumbing().room(tank).capacity());
  }

  private static void keepIfThere(
      OpenRig rig, Map<String, String> positions, String part, String position) {
    boolean there =
        positions.containsKey(part)
            && rig.rig().part(part).kind().positions().stream()
                .anyMatch(p -> p.id().equals(position));
    if (there) {
      positions.put(part, position);
    }
  }

  /**
   * Turns a handle.
   *
   * @throws Refusal in one sentence, when it has no such position
   */
  public void turn(OpenRig rig, String part, String position, String who) {
    rig.rig().position(part, position);
    logbook.turn(rig.id(), part, rig.rig().atRest().of(part), position, who);
  }

  /**
   * Keeps a reading of a tank.
   *
   * @param shown the reading as it was given, such as "62 %"
   * @throws Refusal in one sentence, when the tank cannot hold or show that
   */
  public void record(
      OpenRig rig, String tank, Reading reading, String shown, Instant at, String who) {
    logbook.read(rig.id(), tank, level(rig, tank, reading, shown, at), who);
  }

  private Logbook.Level level(OpenRig rig, String tank, Reading reading, String shown, Instant at) {
    Part part = rig.rig().part(tank);
    if (!(part.kind() instanceof Kind.Tank kind)) {
      throw new Refusal(part.label() + " is no tank; pick a tank to read");
    }
    if (at.isBefore(Instant.EPOCH)) {
      throw new Refusal("The time of the reading is before 1970; give when you looked");
    }
    if (at.isAfter(clock.instant().plus(AHEAD))) {
      throw new Refusal("The time of the reading is more than a day ahead; give when you looked");
    }
    double volume = reading.volume(kind, rig.plumbing().room(tank), parked(rig));
    return new Logbook.Level(volume, at.truncatedTo(ChronoUnit.MICROS), shown);
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
    Map<String, String> positions = new TreeMap<>(state.setting().positions());
    for (Map.Entry<String, String> handle : positions.entrySet()) {
      boolean there =
          rig.rig().handles().anyMatch(p -> p.id().equals(handle.getKey()))
              && rig.rig().part(handle.getKey()).kind().positions().stream()
                  .anyMatch(p -> p.id().equals(handle.getValue()));
      if (!there) {
        throw new Refusal(
            "The rig was changed since: it has no “%s” that can stand so any more. Nothing was kept; rehearse again"
                .formatted(handle.getKey()));
      }
    }
    positions.forEach((part, position) -> {
      if (!before.state().setting().of(part).equals(position)) {
        turn(rig, part, position, who);
      }
    });
    for (Part tank : rig.plumbing().tanks()) {
      if (before.readings().containsKey(tank.id())) {
        double volume =
            Math.clamp(state.volume(tank.id()), 0, rig.plumbing().room(tank.id()).capacity());
        record(
            rig, tank.id(), new Reading.Volume(volume), shown.apply(volume), clock.instant(), who);
      }
    }
  }

  /** Takes the last change back. */
  public Optional<Logbook.Entry> undo(OpenRig rig, String who) {
    return logbook.undo(rig.id(), who);
  }

  /** Puts the change taken back last into force again. */
  public Optional<Logbook.Entry> redo(OpenRig rig, String who) {
    return logbook.redo(rig.id(), who);
  }

  /** Returns the newest lines of the journal. */
  public List<Logbook.Entry> journal(OpenRig rig, int most) {
    return logbook.journal(rig.id(), most);
  }

  /** Tells whether there is something to undo (first) and to redo (second). */
  public boolean[] canUndoRedo(OpenRig rig) {
    return logbook.canUndoRedo(rig.id());
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
