package fernwort.core.fault;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a fault does to the water of a rig whose sink is open and whose pump is on. */
class FaultyRigTest {

  private static final DemoRig TERN = DemoRig.called("tern");
  private static final State DRAWING = TERN.state().with(PartId.of("sink"), PositionId.of("cold"));
  private static final double SOUND =
      sink(
          new FaultyRig(
              TERN.rig(),
              java.util.Map.of(),
              java.util.Map.of(),
              java.util.List.of(),
              java.util.Set.of()));

  private static double sink(FaultyRig rig) {
    return flows(rig).fixture(PartId.of("sink"));
  }

  private static Flows flows(FaultyRig rig) {
    return Hydraulics.of(Network.of(rig.rig())).solve(rig.state(DRAWING));
  }

  private static FaultyRig with(String on, FaultKind kind, PositionId position) {
    return FaultyRig.of(
            TERN.rig(), new Fault(TERN.rig().element(on), kind, Optional.ofNullable(position)))
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "d4, BLOCKED, , 0, 0.01",
    "d4, FROZEN, , 0, 0.01",
    "d4, DETACHED, , 0, 0.2",
    "d2, DRAWS_AIR, , 0, 0.9",
    "c1, KINKED, , 0.1, 0.98",
    "sediment, CLOGGED, , 0.05, 0.9",
    "strainer, CLOGGED, , 0, 0.6",
    "sink, CLOGGED, , 0.2, 0.7",
    "pump, DEAD, , 0, 0.01",
    "pump, SWITCH_OPEN, , 0, 0.01",
    "pump, NO_POWER, , 0, 0.01",
    "pump, WORN, , 0.3, 0.95",
    "fore, EMPTIER, , 0, 0.5",
    "delivery, MISPLACED, tanks, 0, 0.01",
    "fore-motor, NOT_ARRIVED, shut, 0, 0.01",
  })
  void aFaultTakesWaterFromTheTap(
      String on, FaultKind kind, PositionId position, double least, double most) {
    assertThat(sink(with(on, kind, position)) / SOUND).isBetween(least, most);
  }

  @ParameterizedTest
  @CsvSource({
    "pump, RUNS_ON", "inlet-check, STUCK_CLOSED", "inlet-check, REVERSED", "loop-check, STUCK_OPEN",
    "fore, FULLER", "sump, LEAKS_PAST", "shower, CROSSES", "gray-vent, BLOCKED"
  })
  void aFaultElsewhereLeavesTheTapNearlyAsItIs(String on, FaultKind kind) {
    assertThat(sink(with(on, kind, null)) / SOUND).isBetween(0.85, 1.15);
  }

  @Test
  void aLeakLosesAboutALitreAMinute() {
    FaultyRig leaking = with("d5", FaultKind.LEAKING, null);
    assertThat(flows(leaking).end(leaking.outlets().getFirst()) * 60_000).isBetween(0.4, 1.6);
  }

  @Test
  void whatAKindCannotHaveIsNotDrawn() {
    assertThat(FaultyRig.of(TERN.rig(), new Fault(TERN.rig().element("fore"), FaultKind.WORN)))
        .isEmpty();
    assertThat(FaultyRig.of(TERN.rig(), new Fault(TERN.rig().element("d4"), FaultKind.DEAD)))
        .isEmpty();
  }
}
