package fernwort.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.say.Refusal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A setting is its map of positions, however it came about. */
class SettingTest {

  private static final Setting START =
      new Setting(Map.of(PartId.of("pump"), "off", PartId.of("bypass"), "shut"));

  @Test
  void isAsItsPositionsHoweverItCameAbout() {
    Random random = new Random(3);
    List<PartId> parts = List.of(PartId.of("a"), PartId.of("b"), PartId.of("c"), PartId.of("d"));
    Map<PartId, String> meant = new HashMap<>();
    parts.forEach(part -> meant.put(part, "1"));
    Setting setting = new Setting(meant);
    for (int turn = 0; turn < 200; turn++) {
      PartId part = parts.get(random.nextInt(parts.size()));
      String position = Integer.toString(random.nextInt(3));
      Setting before = setting;
      Map<PartId, String> stood = Map.copyOf(meant);
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
    assertThat(new Setting(Map.of(PartId.of("pump"), "on")))
        .isNotEqualTo(new Setting(Map.of(PartId.of("heater"), "on")));
    assertThat(START).isNotEqualTo(START.with(PartId.of("tap"), "open"));
  }

  @Test
  void tellsHowEachPartStands() {
    assertThat(START.of(PartId.of("pump"))).isEqualTo("off");
    assertThat(START.has(PartId.of("pump"), "off")).isTrue();
    assertThat(START.has(PartId.of("pump"), "on")).isFalse();
    assertThat(START.has(PartId.of("tap"), "open")).isFalse();
    assertThat(START.with(PartId.of("tap"), "open").of(PartId.of("tap"))).isEqualTo("open");
    assertThat(START.positions().keySet()).containsExactly(PartId.of("bypass"), PartId.of("pump"));
    assertThat(START).hasToString("{bypass=shut, pump=off}");
  }

  @Test
  void tellsWhatWasTurned() {
    assertThat(START.turnedFrom(START)).isEmpty();
    assertThat(START.with(PartId.of("pump"), "on").turnedFrom(START))
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
    assertThatThrownBy(() -> START.positions().put(PartId.of("pump"), "on"))
        .isInstanceOf(UnsupportedOperationException.class);
  }
}
