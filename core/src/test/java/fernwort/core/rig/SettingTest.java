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

  private static final Setting START = new Setting(Map.of("pump", "off", "bypass", "shut"));

  @Test
  void isAsItsPositionsHoweverItCameAbout() {
    Random random = new Random(3);
    List<String> parts = List.of("a", "b", "c", "d");
    Map<String, String> meant = new HashMap<>();
    parts.forEach(part -> meant.put(part, "1"));
    Setting setting = new Setting(meant);
    for (int turn = 0; turn < 200; turn++) {
      String part = parts.get(random.nextInt(parts.size()));
      String position = Integer.toString(random.nextInt(3));
      Setting before = setting;
      Map<String, String> stood = Map.copyOf(meant);
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
    assertThat(new Setting(Map.of("pump", "on"))).isNotEqualTo(new Setting(Map.of("heater", "on")));
    assertThat(START).isNotEqualTo(START.with("tap", "open"));
  }

  @Test
  void tellsHowEachPartStands() {
    assertThat(START.of("pump")).isEqualTo("off");
    assertThat(START.has("pump", "off")).isTrue();
    assertThat(START.has("pump", "on")).isFalse();
    assertThat(START.has("tap", "open")).isFalse();
    assertThat(START.with("tap", "open").of("tap")).isEqualTo("open");
    assertThat(START.positions().keySet()).containsExactly("bypass", "pump");
    assertThat(START).hasToString("{bypass=shut, pump=off}");
  }

  @Test
  void tellsWhatWasTurned() {
    assertThat(START.turnedFrom(START)).isEmpty();
    assertThat(START.with("pump", "on").turnedFrom(START)).containsExactly("pump");
  }

  @Test
  void saysWhichPartCannotBeSet() {
    assertThatThrownBy(() -> START.of("tee"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("\"tee\"");
  }

  @Test
  void cannotBeChangedThroughItsPositions() {
    assertThatThrownBy(() -> START.positions().put("pump", "on"))
        .isInstanceOf(UnsupportedOperationException.class);
  }
}
