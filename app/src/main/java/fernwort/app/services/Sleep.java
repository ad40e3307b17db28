package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.store.Logbook;
import fernwort.app.store.WinterStore;
import fernwort.app.store.WinterStore.Outcome;
import fernwort.app.store.WinterStore.Season;
import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Rewetting;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.water.Dry;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterStep;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;

/** How rigs stand after what was ticked on their sheets of winter, and what came since. */
@Service
public class Sleep {

  private static final int MOST = 12;

  /** So many ticks are remembered; others are worked out again. */
  private static final int REMEMBERED = 400;

  private final Cache<Done, Wintering> done = Caffeine.newBuilder().maximumSize(REMEMBERED).build();
  private final WinterStore store;
  private final WinterText text;
  private final States states;
  private final Logbook logbook;

  Sleep(WinterStore store, WinterText text, States states, Logbook logbook) {
    this.store = store;
    this.text = text;
    this.states = states;
    this.logbook = logbook;
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
      List<Message> notes,
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
    WinterText.Kept read = fitted(rig, kept.season(), text.read(rig.rig(), kept.text()));
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

  /**
   * What was kept of a rig that may have been changed since, as it applies to the rig today. Every
   * sheet but that of spring begins with a rig in use, so that what was added since is full, too.
   */
  private static WinterText.Kept fitted(OpenRig rig, Season season, WinterText.Kept read) {
    Wintering before = read.before().fitted(rig.network());
    return new WinterText.Kept(
        read.school(),
        read.cold(),
        season == Season.SPRING ? before : Filled.of(rig.network(), before.state()),
        read.steps(),
        read.notes());
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
      Operation act = read.steps().get(ticked.getLast()).act();
      known = isThere(rig, act) ? act.on(rig.network(), before) : before;
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
  static boolean isThere(OpenRig rig, Operation act) {
    Map<PartId, Part> parts = rig.rig().partsById();
    return switch (act) {
      case Operation.Put put ->
          parts.containsKey(put.part())
              && IntStream.of(0, 1)
                  .mapToObj(i ->
                      i == 0
                          ? parts.get(put.part()).kind().positions()
                          : parts.get(put.part()).kind().service())
                  .flatMap(List::stream)
                  .anyMatch(p -> p.id().equals(put.position()));
      case Operation.RunDry run -> parts.containsKey(run.pump());
      case Operation.DrawnDry drawn -> parts.containsKey(drawn.pump());
      case Operation.Emptied emptied ->
          emptied.volumes().keySet().stream()
              .allMatch(t -> parts.containsKey(t) && parts.get(t).kind().is(Purpose.HOLDS));
      case Operation.Tilt _, Operation.Blown _, Operation.Filled _, Operation.Heed _ -> true;
    };
  }

  /** Returns how a rig stands: after its sheets of autumn where one counts, else full of water. */
  public Wintering now(OpenRig rig) {
    return asleep(rig).map(sheet -> since(rig, sheet)).orElseGet(() -> inUse(rig));
  }

  /**
   * What was turned, parked or read since the last tick counts, too, and where water came again.
   */
  private Wintering since(OpenRig rig, Sheet sheet) {
    Instant last =
        sheet.ticks().values().stream().max(Comparator.naturalOrder()).orElse(sheet.started());
    Wintering now = sheet.now().on(states.parked(rig));
    for (Logbook.Entry entry : logbook.changesSince(rig.id(), last)) {
      now = Rewetting.of(rig.network(), after(rig, entry, now));
      now = Draining.of(rig.network(), now);
    }
    Standing standing = states.of(rig);
    now =
        new Wintering(
            new State(standing.state().setting(), now.state().volumes(), standing.state().slope()),
            now.service(),
            now.wetness(),
            now.glycol());
    now = Draining.of(rig.network(), now);
    // What somebody read is so, whatever should have run out.
    for (Part tank : rig.network().tanks()) {
      Logbook.Level level = standing.readings().get(tank.id().value());
      if (level != null && level.at().isAfter(last)) {
        now = now.withVolume(tank.id(), standing.state().volume(tank.id()));
      }
    }
    return now;
  }

  /** A line of the journal done to a rig; what the rig no longer has is left out. */
  private static Wintering after(OpenRig rig, Logbook.Entry entry, Wintering now) {
    String subject = entry.subject();
    Optional<Part> part = Optional.ofNullable(rig.rig().partsById().get(PartId.of(subject)));
    String value = entry.kind() == Logbook.Kind.UNDO ? entry.before() : entry.after();
    boolean position =
        part.filter(
                p -> p.kind().positions().stream().anyMatch(at -> at.id().value().equals(value)))
            .isPresent();
    if (position) {
      return now.with(rig.rig(), PartId.of(subject), PositionId.of(value));
    }
    return Logbook.Level.parse(value)
        .filter(level -> part.filter(p -> p.kind().is(Purpose.HOLDS)).isPresent())
        .map(level -> now.withVolume(PartId.of(subject), level.volume()))
        .orElse(now);
  }

  /** Returns a rig in use: its lines full, its tanks as they were read. */
  public Wintering inUse(OpenRig rig) {
    return Filled.of(rig.network(), states.of(rig).state());
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
  public Optional<Message> beforeUse(OpenRig rig) {
    return asleep(rig)
        .map(sheet -> {
          Wintering now = since(rig, sheet);
          List<String> off =
              now.service().keySet().stream()
                  .filter(id -> rig.rig().partsById().containsKey(id))
                  .map(id -> rig.rig().part(id).label())
                  .sorted()
                  .toList();
          return Says.IT_IS_WINTERIZED_ITS_LINES_TAKE.with(
              off.isEmpty() ? "" : Says.OFF_OUT_OR_HALF_WAY.filled(String.join(", ", off)),
              Amount.volume(now.dry(rig.network()).all()));
        });
  }

  /** Returns what the lines of a rig lack before water passes them: nothing where it is in use. */
  public Dry dry(OpenRig rig) {
    return asleep(rig).map(s -> since(rig, s).dry(rig.network())).orElse(Dry.NOTHING);
  }

  /** Returns the sheet that is being gone through, if one is. */
  public Optional<Sheet> running(OpenRig rig) {
    return sheets(rig).stream().filter(s -> s.outcome() == Outcome.RUNNING).findFirst();
  }
}
