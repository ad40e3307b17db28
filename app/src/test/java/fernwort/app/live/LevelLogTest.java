package fernwort.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.OwnCopy;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.LiveLevels;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.LiveStore;
import fernwort.app.store.ReadingStore;
import fernwort.core.diary.Entry;
import fernwort.core.hazard.Hazards;
import fernwort.core.id.PartId;
import fernwort.core.live.LiveRig;
import fernwort.core.live.Now;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.Slope;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** What level sensors write into the log: readings, and fills and dumps once they are over. */
class LevelLogTest {

  @TempDir Path home;
  private OwnCopy copy;
  private OpenRig rig;
  private LiveRig live;
  private LevelLog log;
  private Now now = new Now(Instant.now().minusSeconds(7200), 0);

  @BeforeEach
  void start() {
    copy = OwnCopy.start(home);
    copy.add("tern");
    rig = copy.bean(Descriptions.class).open("tern");
    Signal level =
        new Signal(
            "fore",
            SignalKind.LEVEL,
            new Signal.Subject(SignalKind.Where.PART, PartId.of("fore")),
            Signal.As.VOLUME,
            Optional.empty(),
            "",
            new Signal.Source("van/fore", "", 0.001, 0),
            Optional.empty());
    live = LiveRig.of(rig.network(), Hazards.of(rig.network()), List.of(level));
    log =
        new LevelLog(
            new Room.House(
                copy.bean(Descriptions.class),
                copy.bean(States.class),
                copy.bean(Diary.class),
                copy.bean(LiveStore.class),
                copy.bean(ReadingStore.class),
                copy.bean(LiveLevels.class),
                copy.bean(LiveEvents.class),
                copy.bean(AlarmBar.class),
                copy.bean(AlarmSwitches.class),
                copy.bean(JsonMapper.class)));
  }

  @AfterEach
  void stop() {
    copy.close();
  }

  /** Lets the tank go from one level to another in so many seconds. */
  private void go(double from, double to, int seconds) {
    for (int second = 0; second < seconds; second++) {
      now = now.plus(1);
      double litres = from + (to - from) * second / seconds;
      live.take("fore", Double.toString(litres), false, Slope.LEVEL, now);
      log.follow(rig, live.told(now), now);
    }
  }

  private List<Entry.What> noted(Entry.Kind kind) {
    return copy.bean(Diary.class).recent(rig, Instant.now().minusSeconds(7300)).stream()
        .map(Entry::what)
        .filter(w -> w.kind() == kind)
        .toList();
  }

  @Test
  void aFillIsNotedOnceWithWhatWasThereBeforeAndAfter() {
    go(20, 20, 300);
    go(20, 60, 300);
    assertThat(noted(Entry.Kind.FILL)).isEmpty();
    int readings = noted(Entry.Kind.READING).size();
    go(60, 60, 300);
    assertThat(noted(Entry.Kind.FILL))
        .singleElement()
        .satisfies(f -> {
          assertThat(((Entry.Fill) f).volume().orElseThrow()).isCloseTo(0.04, within(0.002));
          assertThat(f.note()).isEqualTo("seen by the level sensor");
        });
    assertThat(noted(Entry.Kind.READING)).hasSizeBetween(readings + 1, readings + 2);
    assertThat(copy.bean(States.class).kept(rig, PartId.of("fore")).volume())
        .isCloseTo(0.06, within(0.001));
  }

  @Test
  @Tag("sweep")
  void aFillThatSomebodyNotedByHandIsNotNotedAgain() {
    go(20, 20, 200);
    copy.bean(Diary.class)
        .add(
            rig,
            new Entry.Fill(PartId.of("fore"), Optional.of(0.04), Entry.Bought.UNKNOWN, false, ""),
            now.wall(),
            "Ida");
    go(20, 60, 300);
    go(60, 60, 300);
    assertThat(noted(Entry.Kind.FILL)).hasSize(1);
  }
}
