package fernwort.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.say.Refusal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A setting is its map of positions, however it came about. */
class SettingTest {

  private static final Setting START =
      new Setting(
          Map.of(
              PartId.of("pump"), PositionId.of("off"), PartId.of("bypass"), PositionId.of("shut")));

  @Test
  void isAsItsPositionsHoweverItCameAbout() {
    Random random = new Random(3);
    List<PartId> parts = List.of(PartId.of("a"), PartId.of("b"), PartId.of("c"), PartId.of("d"));
    Map<PartId, PositionId> meant = new HashMap<>();
    parts.forEach(part -> meant.put(part, PositionId.of("1")));
    Setting setting = new Setting(meant);
    for (int turn = 0; turn < 200; turn++) {
      PartId part = parts.get(random.nextInt(parts.size()));
      PositionId position = PositionId.of(Integer.toString(random.nextInt(3)));
      Setting before = setting;
      Map<PartId, PositionId> stood = Map.copyOf(meant);
      setting = setting.with(part, position);
      meant.put(part, position);
      assertThat(setting.positions()).isEqualTo(meant);
      assertThat(setting).isEqualTo(new Setting(meant)).hasSameHashCodeAs(new Setting(meant));
      assertThat(before.positions()).as("the one it came from").isEqualTo(stood);
      assertThat(setting.equals(before)).isEqualTo(meant.equals(stood));
    }
  }

  @Test
  void anotherPartAtTheSamePositionIsAnotherSetting() {
    assertThat(new Setting(Map.of(PartId.of("pump"), PositionId.of("on"))))
        .isNotEqualTo(new Setting(Map.of(PartId.of("heater"), PositionId.of("on"))));
    assertThat(START).isNotEqualTo(START.with(PartId.of("tap"), PositionId.of("open")));
  }

  @Test
  void tellsHowEachPartStands() {
    assertThat(START.of(PartId.of("pump")).value()).isEqualTo("off");
    assertThat(START.has(PartId.of("pump"), PositionId.of("off"))).isTrue();
    assertThat(START.has(PartId.of("pump"), PositionId.of("on"))).isFalse();
    assertThat(START.has(PartId.of("tap"), PositionId.of("open"))).isFalse();
    assertThat(START.with(PartId.of("tap"), PositionId.of("open")).of(PartId.of("tap")).value())
        .isEqualTo("open");
    assertThat(START.positions().keySet()).containsExactly(PartId.of("bypass"), PartId.of("pump"));
    assertThat(START).hasToString("{bypass=shut, pump=off}");
  }

  @Test
  void tellsWhatWasTurned() {
    assertThat(START.turnedFrom(START)).isEmpty();
    assertThat(START.with(PartId.of("pump"), PositionId.of("on")).turnedFrom(START))
        .containsExactly(PartId.of("pump"));
  }

  @Test
  void saysWhichPartCannotBeSet() {
    assertThatThrownBy(() -> START.of(PartId.of("tee")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("\"tee\"");
  }

  @Test
  void cannotBeChangedThroughItsPositions() {
    assertThatThrownBy(() -> START.positions().put(PartId.of("pump"), PositionId.of("on")))
        .isInstanceOf(UnsupportedOperationException.class);
  }
}
