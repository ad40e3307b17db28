package fernwort.core.live.rule;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.Value;
import fernwort.core.network.Turn;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** How a rule goes on, step by step, and what it does when anything goes wrong. */
class RuleRunTest {

  private static final Turn OPEN = new Turn(PartId.of("fill"), PositionId.of("open"));
  private static final Turn SHUT = new Turn(PartId.of("fill"), PositionId.of("shut"));

  private final Map<String, Value> values = new HashMap<>();
  private final Map<PartId, PositionId> positions =
      new HashMap<>(Map.of(PartId.of("fill"), PositionId.of("shut")));
  private final Set<PartId> failed = new HashSet<>();
  private final Sight sight =
      new Sight() {
        @Override
        public Optional<Value> value(String signal) {
          return Optional.ofNullable(values.get(signal));
        }

        @Override
        public PositionId position(PartId part) {
          return positions.get(part);
        }

        @Override
        public boolean failed(PartId part) {
          return failed.contains(part);
        }
      };
  private final RuleRun run =
      new RuleRun(
          new Rule(
              "keep",
              List.of(new Rule.Amount("level", false, 20, 2, 10)),
              List.of(),
              List.of(
                  new Rule.Move(OPEN),
                  new Rule.Until(List.of(new Rule.Amount("level", true, 80, 2, 0)))),
              600,
              List.of(SHUT),
              List.of(SHUT)));
  private double now;

  private void level(double level) {
    values.put("level", new Value.Amount(level));
  }

  private List<RuleRun.Deed> later(double seconds) {
    now += seconds;
    return run.go(sight, true, now);
  }

  private void begin() {
    level(19);
    later(1);
    later(10);
    positions.put(PartId.of("fill"), PositionId.of("open"));
    later(1);
  }

  @Test
  void itWaitsUntilItsReasonHasLastedThenActsAndPutsBack() {
    level(50);
    assertThat(later(1)).isEmpty();
    level(19);
    assertThat(later(1)).isEmpty();
    assertThat(later(9)).isEmpty();
    assertThat(later(1)).containsExactly(new RuleRun.Begun(), new RuleRun.Moves(OPEN));
    assertThat(later(5)).isEmpty();
    positions.put(PartId.of("fill"), PositionId.of("open"));
    level(60);
    assertThat(later(5)).isEmpty();
    level(80);
    assertThat(later(5)).containsExactly(new RuleRun.Moves(SHUT));
    positions.put(PartId.of("fill"), PositionId.of("shut"));
    assertThat(later(5)).containsExactly(new RuleRun.Ended());
    assertThat(run.isActing()).isFalse();
  }

  @Test
  void aReasonThatFluttersAtTheMarkBeginsOnce() {
    List<RuleRun.Deed> begun = new ArrayList<>();
    begin();
    level(81);
    later(1);
    positions.put(PartId.of("fill"), PositionId.of("shut"));
    later(1);
    for (int i = 0; i < 50; i++) {
      level(i % 2 == 0 ? 19.5 : 21.5);
      later(2).stream().filter(RuleRun.Begun.class::isInstance).forEach(begun::add);
    }
    assertThat(begun).hasSizeLessThanOrEqualTo(1);
  }

  @Test
  void aSignalThatIsLostPutsItSafe() {
    begin();
    values.remove("level");
    assertThat(later(1))
        .containsExactly(new RuleRun.Moves(SHUT), new RuleRun.BrokenOff(RuleRun.Why.SIGNAL_LOST));
    assertThat(run.isActing()).isFalse();
  }

  @Test
  void aMotorThatDoesNotArrivePutsItSafe() {
    level(19);
    later(1);
    later(10);
    failed.add(PartId.of("fill"));
    assertThat(later(5))
        .containsExactly(new RuleRun.Moves(SHUT), new RuleRun.BrokenOff(RuleRun.Why.MOTOR_FAILED));
  }

  @Test
  void whatTakesTooLongIsPutSafe() {
    begin();
    assertThat(later(500)).isEmpty();
    assertThat(later(120))
        .contains(new RuleRun.Moves(SHUT), new RuleRun.BrokenOff(RuleRun.Why.TOO_LONG));
  }

  @Test
  void afterItWasBrokenOffItBeginsAgainOnlyWhenItsReasonHasGoneAndComeBack() {
    begin();
    values.remove("level");
    later(1);
    positions.put(PartId.of("fill"), PositionId.of("shut"));
    level(19);
    for (int i = 0; i < 20; i++) {
      assertThat(later(10)).noneMatch(RuleRun.Begun.class::isInstance);
    }
    level(50);
    later(10);
    level(19);
    later(1);
    assertThat(later(10)).anyMatch(RuleRun.Begun.class::isInstance);
  }

  @Test
  void itDoesNotBeginWhileAnotherHoldsItsPart() {
    level(19);
    run.go(sight, false, 1);
    assertThat(run.go(sight, false, 20)).isEmpty();
    assertThat(run.go(sight, true, 21)).contains(new RuleRun.Begun());
  }

  @Test
  void aSensorThatNobodyCanTrustBeginsNothing() {
    assertThat(later(100)).isEmpty();
    assertThat(later(100)).isEmpty();
  }
}
