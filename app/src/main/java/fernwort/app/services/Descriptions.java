package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.Missing;
import fernwort.app.store.Restored;
import fernwort.app.store.RigStore;
import fernwort.core.describe.Alteration;
import fernwort.core.format.RigFormat;
import fernwort.core.id.PartId;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Problem;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigLimits;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** What rigs there are and how each is described, version by version. */
@Service
public class Descriptions {

  private final RigStore store;
  private final RigFormat format;
  private final JsonMapper mapper;
  private final Clogging clogging;
  private final ReentrantLock adding = new ReentrantLock();
  private final Cache<String, OpenRig> open = Caffeine.newBuilder().maximumSize(20).build();

  Descriptions(RigStore store, RigFormat format, JsonMapper mapper, Clogging clogging) {
    this.clogging = clogging;
    this.store = store;
    this.format = format;
    this.mapper = mapper;
  }

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
    OpenRig clean =
        Optional.ofNullable(open.getIfPresent(key(id, stored.version())))
            .orElseGet(() -> newest(id));
    Map<PartId, Double> clogged = clogging.of(clean, habits(stored));
    return clogged.isEmpty()
        ? clean
        : open.get(
            key(id, clean.version()) + new TreeMap<>(clogged),
            key -> OpenRig.of(id, clean.version(), clean.network(), clogged));
  }

  private OpenRig newest(String id) {
    RigStore.Described now = store.described(id);
    return open.get(key(id, now.version()), key -> OpenRig.of(id, now.version(), read(now.file())));
  }

  private static String key(String id, int version) {
    return id + "@" + version;
  }

  private Habits habits(RigStore.Stored stored) {
    return mapper.readValue(stored.habits(), Habits.class);
  }

  private Rig read(String description) {
    return format.readKept(description);
  }

  /** After a restore nothing is as it was at hand. */
  @EventListener
  void restored(Restored restored) {
    open.invalidateAll();
  }

  /**
   * Takes a rig file in and returns the new rig's address.
   *
   * @throws fernwort.core.rig.InvalidRigException with every fault, when it is no sound rig
   */
  public String add(byte[] file, String who) {
    return add(format.read(file), who, Says.IMPORTED_FROM_A_FILE.text());
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
      throw new Refusal(
          String.format(
              Locale.ROOT, Says.THE_RIG_WOULD_BE_D_BYTES_LARGE.text(), bytes, RigFormat.MOST_KEPT));
    }
    return text;
  }

  /**
   * Changes the description of a rig by one step, which can be undone.
   *
   * @param seen the version that the person looked at
   * @throws fernwort.app.store.StaleVersion when somebody changed it since
   * @throws fernwort.core.rig.InvalidRigException with every fault, when the step breaks the rig
   */
  public void change(OpenRig rig, int seen, String who, Alteration step) {
    Rig changed = step.on(rig.rig());
    List<Problem> before = RigLimits.problems(rig.rig());
    List<Problem> gained =
        RigLimits.problems(changed).stream().filter(p -> !before.contains(p)).toList();
    if (!gained.isEmpty()) {
      throw new InvalidRigException(gained);
    }
    store.change(rig.id(), seen, changed.name(), kept(changed), who, step.words(rig.rig()));
  }

  /** Takes the last step of the description back (−1) or puts it back (1), if there is one. */
  public Optional<String> step(String id, int by, String who) {
    return store.step(id, by, who, text -> read(text).name());
  }

  /** Tells whether there is a step to take back (first) and one to put back (second). */
  public boolean[] canStep(OpenRig rig) {
    return store.canStep(rig.id());
  }

  /** Returns the step by which a rig came to be as it is, such as what was taken back. */
  public Optional<String> last(OpenRig rig) {
    return store.last(rig.id());
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
        .orElseThrow(() -> new Missing(Says.THIS_RIG_HAS_NO_VERSION.filled(version)));
  }

  /** Tells whether a rig is as it was in a version. */
  public boolean is(OpenRig rig, int version) {
    return store
        .description(rig.id(), version)
        .map(this::read)
        .filter(rig.rig()::equals)
        .isPresent();
  }

  /** Puts a rig away, or takes it out again. */
  public void archive(String id, boolean away) {
    store.archive(id, away);
  }

  /** Returns a rig as a file. */
  public String export(String id) {
    return store.described(id).file();
  }
}
