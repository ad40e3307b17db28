package fernwort.app.rigs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.Refusal;
import fernwort.app.format.RigFormat;
import fernwort.app.store.Logbook;
import fernwort.app.store.RigStore;
import fernwort.app.store.backup.Backups;
import fernwort.core.hazard.Warning;
import fernwort.core.plumbing.Levels;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Problem;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigLimits;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import fernwort.core.tank.Reading;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.Ways;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Everything that can be asked of a rig and done to it; used by the pages and the API alike. */
@Service
public class Rigs {

  private static final double STEEPEST = 20;

  /** How far ahead a reading may be: clocks and time zones differ. */
  private static final Duration AHEAD = Duration.ofDays(1);

  private final RigStore store;
  private final Logbook logbook;
  private final RigFormat format;
  private final JsonMapper mapper;
  private final Clock clock;
  private final ReentrantLock adding = new ReentrantLock();
  private final Cache<String, OpenRig> open = Caffeine.newBuilder().maximumSize(20).build();

  Rigs(RigStore store, Logbook logbook, RigFormat format, JsonMapper mapper, Clock clock) {
    this.store = store;
    this.logbook = logbook;
    this.format = format;
    this.mapper = mapper;
    this.clock = clock;
  }

  /**
   * Where things stand now.
   *
   * @param readings the newest of each tank
   * @param setAside tanks whose newest reading cannot be shown
   */
  public record Standing(State state, Map<String, Logbook.Level> readings, List<String> setAside) {}

  /** What is open, and what would go wrong. */
  public record Outlook(Ways ways, List<Warning> warnings) {}

  /** What one turn of a handle would change. */
  public record Preview(Outlook before, Outlook after) {}

  /** Returns the rigs by name. */
  public List<RigStore.Summary> all() {
    return store.all();
  }

  /**
   * Returns a rig, prepared.
   *
   * @throws Refusal when there is none with this address
   */
  public OpenRig open(String id) {
    RigStore.Stored stored = store.get(id);
    return open.get(
        id + "@" + stored.version(),
        key -> OpenRig.of(id, stored.version(), read(stored.description())));
  }

  private Rig read(String description) {
    return format.readKept(description);
  }

  /** After a restore nothing is as it was at hand. */
  @EventListener
  void restored(Backups.Restored restored) {
    open.invalidateAll();
  }

  /**
   * Takes a rig file in and returns the new rig's address.
   *
   * @throws fernwort.core.rig.InvalidRigException with every fault, when it is no sound rig
   */
  public String add(byte[] file, String who) {
    return add(format.read(file), who, "Taken in from a file");
  }

  /** Keeps a new rig and returns its address. */
  public String add(Rig rig, String who, String what) {
    String description = kept(rig);
    // Two of one name at once would both find its address free.
    adding.lock();
    try {
      return store.add(
          rig.name(),
          description,
          Habits.DEFAULT.people(),
          mapper.writeValueAsString(Habits.DEFAULT),
          who,
          what);
    } finally {
      adding.unlock();
    }
  }

  /** Returns a rig as it is kept, where it is not larger than can be read again. */
  private String kept(Rig rig) {
    String text = format.write(rig);
    int bytes = text.getBytes(StandardCharsets.UTF_8).length;
    if (bytes > RigFormat.MOST_KEPT) {
      throw new IllegalArgumentException(
          "The rig would be %,d bytes large, and there is room for %,d; leave out parts, lines or points"
              .formatted(bytes, RigFormat.MOST_KEPT));
    }
    return text;
  }

  /**
   * Changes the description of a rig by one step, which can be undone.
   *
   * @param seen the version that the person looked at
   * @param what the step in a few words
   * @throws fernwort.app.store.StaleVersion when somebody changed it since
   * @throws fernwort.core.rig.InvalidRigException with every fault, when the step breaks the rig
   */
  public void change(OpenRig rig, int seen, String who, String what, UnaryOperator<Rig> step) {
    Rig changed = step.apply(rig.rig());
    List<Problem> before = RigLimits.problems(rig.rig());
    List<Problem> gained =
        RigLimits.problems(changed).stream().filter(p -> !before.contains(p)).toList();
    if (!gained.isEmpty()) {
      throw new InvalidRigException(gained);
    }
    store.change(rig.id(), seen, changed.name(), kept(changed), who, what);
  }

  /** Takes the last step of the description back (−1) or puts it back (1), if there is one. */
  public Optional<String> step(String id, int by, String who) {
    return store.step(id, by, who, text -> read(text).name());
  }

  /** Tells whether there is a step to take back (first) and one to put back (second). */
  public boolean[] canStep(OpenRig rig) {
    return store.canStep(rig.id());
  }

  /** Returns the steps by which a description came about, the newest first. */
  public List<RigStore.Version> versions(String id) {
    return store.versions(id);
  }

  /**
   * Returns a rig as it was in a version.
   *
   * @throws Refusal when there is no such version
   */
  public Rig version(String id, int version) {
    return store
        .description(id, version)
        .map(this::read)
        .orElseThrow(() -> new Refusal("This rig has no version " + version + "."));
  }

  /** Puts a rig away, or takes it out again. */
  public void archive(String id, boolean away) {
    store.archive(id, away);
  }

  /** Returns a rig as a file. */
  public String export(String id) {
    return store.get(id).description();
  }

  /** Returns handles and levels as they stand. A tank that was never read counts as empty. */
  public Standing standing(OpenRig rig) {
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
   * @throws IllegalArgumentException in one sentence, when nobody parks like that
   */
  public void park(OpenRig rig, Slope slope) {
    if (!(Math.abs(slope.pitch()) <= STEEPEST && Math.abs(slope.roll()) <= STEEPEST)) {
      throw new IllegalArgumentException(
          "Nobody parks at more than %.0f°; check the degrees".formatted(STEEPEST));
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

  /** Works out what is open and what would go wrong. */
  public Outlook outlook(OpenRig rig, State state) {
    return outlook(rig, state.setting(), Levels.of(rig.plumbing(), state));
  }

  private static Outlook outlook(OpenRig rig, Setting setting, Levels levels) {
    Ways ways = OpenWays.find(rig.plumbing(), setting, levels);
    return new Outlook(ways, rig.hazards().warnings(setting, levels, ways));
  }

  /**
   * Works out what turning one handle would change, without turning it.
   *
   * @throws IllegalArgumentException in one sentence, when it has no such position
   */
  public Preview preview(OpenRig rig, State state, String part, String position) {
    rig.rig().position(part, position);
    Levels levels = Levels.of(rig.plumbing(), state);
    return new Preview(
        outlook(rig, state.setting(), levels),
        outlook(rig, state.setting().with(part, position), levels));
  }

  /**
   * Turns a handle.
   *
   * @throws IllegalArgumentException in one sentence, when it has no such position
   */
  public void turn(OpenRig rig, String part, String position, String who) {
    rig.rig().position(part, position);
    logbook.turn(rig.id(), part, rig.rig().atRest().of(part), position, who);
  }

  /**
   * Keeps a reading of a tank.
   *
   * @param shown the reading as it was given, such as "62 %"
   * @throws IllegalArgumentException in one sentence, when the tank cannot hold or show that
   */
  public void record(
      OpenRig rig, String tank, Reading reading, String shown, Instant at, String who) {
    logbook.read(rig.id(), tank, level(rig, tank, reading, shown, at), who);
  }

  private Logbook.Level level(OpenRig rig, String tank, Reading reading, String shown, Instant at) {
    Part part = rig.rig().part(tank);
    if (!(part.kind() instanceof Kind.Tank kind)) {
      throw new IllegalArgumentException(part.label() + " is no tank; pick a tank to read");
    }
    if (at.isBefore(Instant.EPOCH)) {
      throw new IllegalArgumentException(
          "The time of the reading is before 1970; give when you looked");
    }
    if (at.isAfter(clock.instant().plus(AHEAD))) {
      throw new IllegalArgumentException(
          "The time of the reading is more than a day ahead; give when you looked");
    }
    double volume = reading.volume(kind, rig.plumbing().room(tank), parked(rig));
    return new Logbook.Level(volume, at.truncatedTo(ChronoUnit.MICROS), shown);
  }

  /**
   * Takes a state over as that of the rig, all of it or nothing. Tanks that nobody ever read stay
   * so: what they held when it began was a guess.
   *
   * @param shown writes a volume (m³) as the reading is to be shown
   * @throws IllegalArgumentException naming the part that is gone or changed since
   */
  @Transactional
  public void adopt(OpenRig rig, State state, DoubleFunction<String> shown, String who) {
    Standing before = standing(rig);
    Map<String, String> positions = new TreeMap<>(state.setting().positions());
    for (Map.Entry<String, String> handle : positions.entrySet()) {
      boolean there =
          rig.rig().handles().anyMatch(p -> p.id().equals(handle.getKey()))
              && rig.rig().part(handle.getKey()).kind().positions().stream()
                  .anyMatch(p -> p.id().equals(handle.getValue()));
      if (!there) {
        throw new IllegalArgumentException(
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

  /** Works out how long the water lasts. */
  public Lasts lasts(OpenRig rig, State state) {
    return Lasts.of(rig.plumbing(), state, habits(rig));
  }
}
