package fernwort.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.SignalKind.Where;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a message of a sensor says, and that nonsense says nothing. */
class SignalReaderTest {

  private final LiveBench bench =
      new LiveBench()
          .with("litres", SignalKind.LEVEL, Where.PART, LiveBench.TANK.value())
          .with(
              "share",
              SignalKind.LEVEL,
              Where.PART,
              LiveBench.TANK.value(),
              Signal.As.SHARE,
              0.01,
              "")
          .with(
              "height",
              SignalKind.LEVEL,
              Where.PART,
              LiveBench.TANK.value(),
              Signal.As.HEIGHT,
              0.001,
              "")
          .with(
              "nested",
              SignalKind.LEVEL,
              Where.PART,
              LiveBench.TANK.value(),
              Signal.As.VOLUME,
              0.001,
              "/tank/0/l")
          .with("leak", SignalKind.LEAK, Where.PLACE, "garage")
          .with("air", SignalKind.TEMPERATURE, Where.PLACE, "garage")
          .withMotor("motor", LiveBench.VALVE);

  private double read(String name, String message) {
    return ((Value.Amount) bench.say(name, message).orElseThrow()).amount();
  }

  @Test
  void aLevelIsReadInLitresAsAShareAndAsAHeight() {
    assertThat(read("litres", "42.5")).isCloseTo(0.0425, within(1e-12));
    assertThat(read("share", "50")).isCloseTo(bench.capacity() / 2, within(1e-12));
    double depth = bench.network.room(LiveBench.TANK).highest(fernwort.core.rig.Slope.LEVEL);
    assertThat(read("height", Double.toString(depth * 1000)))
        .isCloseTo(bench.capacity(), within(1e-6));
    assertThat(read("nested", "{\"tank\": [{\"l\": 12}]}")).isCloseTo(0.012, within(1e-12));
  }

  @Test
  void aSensorThatTellsALittleMoreThanTheTankHoldsTellsAFullTank() {
    assertThat(read("share", "104")).isEqualTo(bench.capacity());
    assertThat(bench.say("share", "150")).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        " ",
        "not a number",
        "1e999",
        "-1e999",
        "NaN",
        "Infinity",
        "0x10",
        "12 L",
        "-5",
        "1,5",
        "{\"l\": 4}",
        "[1]",
        "null",
        "1e-999999999",
        "99999999999999999999999999999999999999999999"
      })
  void nonsenseIsNoLevel(String message) {
    bench.say("litres", "20");
    assertThat(bench.say("litres", message).filter(v -> !v.equals(new Value.Amount(0)))).isEmpty();
    assertThat(bench.amount("litres")).isLessThanOrEqualTo(0.02);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"tank\": [{\"l\": \"many\"}]}",
        "{\"tank\": []}",
        "{\"tank\": [{\"l\": {}}]}",
        "{",
        "12",
        "{\"tank\": [{\"l\": null}]}",
        "{\"tank\": [{\"l\": true}]}"
      })
  void aPointerThatLeadsNowhereIsNoLevel(String message) {
    assertThat(bench.say("nested", message)).isEmpty();
  }

  @Test
  void deepAndHugePayloadsSayNothing() {
    assertThat(bench.say("nested", "[".repeat(60_000))).isEmpty();
    assertThat(bench.say("nested", "{\"a\":".repeat(10_000))).isEmpty();
    assertThat(bench.say("litres", "9".repeat(1_000_000))).isEmpty();
  }

  /** Whatever a sensor babbles, a level stays between nothing and all that the tank holds. */
  @Property(tries = 300)
  void whateverIsSaidALevelIsOneOfTheTank(@ForAll String message) {
    Optional<Value> value = bench.say("litres", message);
    value.ifPresent(v -> assertThat(((Value.Amount) v).amount()).isBetween(0.0, bench.capacity()));
  }

  @ParameterizedTest
  @CsvSource({
    "true,true",
    "1,true",
    "ON,true",
    "wet,true",
    "Leak,true",
    "false,false",
    "0,false",
    "off,false",
    "dry,false"
  })
  void aContactIsReadByItsUsualWords(String message, boolean wet) {
    assertThat(bench.say("leak", message)).contains(new Value.Contact(wet));
  }

  @Test
  void aContactOfOtherWordsSaysNothing() {
    assertThat(bench.say("leak", "perhaps")).isEmpty();
    assertThat(bench.say("leak", "")).isEmpty();
  }

  @Test
  void aTemperatureThatNothingCanHaveIsNone() {
    assertThat(read("air", "-3.5")).isEqualTo(-3.5);
    assertThat(bench.say("air", "-127")).isEmpty();
    assertThat(bench.say("air", "850")).isEmpty();
  }

  @Test
  void aMotorTellsWhereItIsByTheTextsItIsSent() {
    assertThat(bench.say("motor", "OPEN")).contains(new Value.Stop(PositionId.of("open")));
    assertThat(bench.say("motor", "shut")).contains(new Value.Stop(PositionId.of("shut")));
    assertThat(bench.say("motor", "half")).isEmpty();
  }

  @Test
  void whatCannotBeBoundIsRefusedByName() {
    assertThatThrownBy(() -> bind(SignalKind.LEVEL, Where.PART, "pump", "van/x"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Pump is not a tank");
    assertThatThrownBy(() -> bind(SignalKind.LEVEL, Where.LINE, "s1", "van/x"))
        .hasMessageContaining("“level” cannot be of this: line");
    assertThatThrownBy(() -> bind(SignalKind.FLOW, Where.LINE, "nowhere", "van/x"))
        .hasMessageContaining("no line “nowhere”");
    assertThatThrownBy(() -> bind(SignalKind.LEVEL, Where.PART, "fore", "van/#"))
        .hasMessageContaining("wildcard");
    assertThatThrownBy(() -> bind(SignalKind.LEVEL, Where.PART, "fore", "$SYS/uptime"))
        .hasMessageContaining("belongs to the broker");
    assertThatThrownBy(() -> bind(SignalKind.SWITCH, Where.PART, "fore", "van/x"))
        .hasMessageContaining("how high");
    assertThatThrownBy(() ->
            new Signal.Drive(
                "van/x",
                Map.of(PositionId.of("open"), "GO", PositionId.of("shut"), "GO"),
                PositionId.NONE))
        .hasMessageContaining("same text");
  }

  private void bind(SignalKind kind, Where where, String id, String topic) {
    new Signal(
            "one",
            kind,
            new Signal.Subject(
                where, id.equals("nowhere") ? LineId.of(id) : bench.demo.rig().element(id)),
            Signal.As.VOLUME,
            Optional.empty(),
            "",
            new Signal.Source(topic, "", 1, 0),
            Optional.empty())
        .checked(bench.demo.rig());
  }

  @Test
  void aSignalWhoseThingIsGoneIsLeftOutAndTheOthersStay() {
    Signal gone =
        new Signal(
            "gone",
            SignalKind.LEVEL,
            new Signal.Subject(Where.PART, PartId.of("no-more")),
            Signal.As.VOLUME,
            Optional.empty(),
            "",
            new Signal.Source("van/gone", "", 1, 0),
            Optional.empty());
    LiveRig live =
        LiveRig.of(
            bench.network,
            fernwort.core.hazard.Hazards.of(bench.network),
            List.of(gone, bench.live().signals().getFirst()));
    assertThat(live.signals()).extracting(Signal::name).containsExactly("litres");
  }
}
