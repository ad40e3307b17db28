package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.ReadyRig;
import fernwort.core.drain.Draining;
import fernwort.core.drain.EverythingOpen;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.jobs.SmallHouses;
import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Plan, run, review and Winter tell the same litres for the same handles. */
class OneLawOfDrainingTest {

  /** What a run leaves that ends when the flow is a trickle (m³). */
  private static final double A_TRICKLE = 1e-3;

  /** What {@link EverythingOpen} stops at, and once more for rounding (m³). */
  private static final double A_FEW_DROPS = 2 * EverythingOpen.WORTH_A_TURN;

  private static State empty(Rig rig) {
    return new State(rig.atRest(), Map.of(), Slope.LEVEL);
  }

  /** Opened at once, as the review has it, or one after another: what ran dry stays dry. */
  @Property(tries = 150)
  void theReviewTellsWhatWinterLeavesOnLevelGround(@ForAll long seed) {
    assertReviewTellsWhatWinterLeaves(SmallHouses.rig(seed));
  }

  @Test
  void theReviewTellsWhatWinterLeavesOfTheReadyLayouts() {
    ReadyRig.all().forEach(ready -> assertReviewTellsWhatWinterLeaves(ready.rig()));
  }

  private static void assertReviewTellsWhatWinterLeaves(Rig rig) {
    Network network = Network.of(rig);
    WinterSheet sheet = new WinterSheet(network, Filled.of(network, empty(rig)));
    DrainingPoints winter = new DrainingPoints(sheet, false);
    winter.open(Set.of());
    winter.turnOn();
    Wintering review = EverythingOpen.of(network, empty(rig));
    // What its pump throws out when it runs dry is no matter of the handles.
    Wintering turned = Filled.of(network, empty(rig));
    for (WinterStep step : sheet.steps()) {
      turned = step.act() instanceof Operation.Put put ? put.on(network, turned) : turned;
    }
    assertThat(inLines(rig, review))
        .as(rig.name())
        .isCloseTo(inLines(rig, turned), within(A_FEW_DROPS));
  }

  /**
   * A plan to empty a tank ends, when it is run, where Winter says that the tank runs out to; but
   * for one that runs through another tank, which has to fill first.
   */
  @Property(tries = 100)
  void aTankThatAPlanEmptiesHoldsWhatWinterSays(@ForAll long seed) {
    Rig rig = SmallHouses.rig(seed);
    State before = SmallHouses.state(rig, seed);
    Network network = Network.of(rig);
    for (Part tank : network.tanks()) {
      Plan plan = Plans.of(network).plan(EmptyingJob.of(network, Set.of(tank.id()), false), before);
      boolean throughAnother =
          network.tanks().stream()
              .anyMatch(t -> plan.after().volume(t.id()) > before.volume(t.id()) + A_TRICKLE);
      if (plan.trouble().isEmpty() && plan.notes().isEmpty() && !throughAnother) {
        State asPlanned = before.with(plan.after().setting());
        Wintering winter = Draining.of(network, Filled.of(network, asPlanned));
        assertThat(plan.after().volume(tank.id()))
            .isCloseTo(winter.state().volume(tank.id()), within(A_TRICKLE));
      }
    }
  }

  /** When a plan has emptied the lines, no handle that Winter tries lets more out of them. */
  @Property(tries = 60)
  void afterAPlanThatEmptiesTheLinesWinterFindsNoHandleToTurn(@ForAll long seed) {
    Rig rig = SmallHouses.rig(seed);
    State before = SmallHouses.state(rig, seed);
    Network network = Network.of(rig);
    Plan plan = Plans.of(network).plan(EmptyingJob.of(network, Set.of(), true), before);
    if (plan.trouble().isPresent()) {
      return;
    }
    Wintering left = Draining.of(network, Filled.of(network, plan.after()));
    Levels levels = Levels.of(network, left.state());
    for (Turn turn : EverythingOpen.candidates(network, left)) {
      Part part = rig.part(turn.part());
      boolean handle = Stream.of(Purpose.TURNS, Purpose.CLOSES).anyMatch(part.kind()::is);
      if (handle
          && part.kind().positions().stream().anyMatch(p -> p.id().equals(turn.position()))) {
        Wintering more = EverythingOpen.after(network, left, levels, turn);
        boolean drainsATank =
            network.tanks().stream()
                .anyMatch(t -> more.state().volume(t.id()) < left.state().volume(t.id()) - 1e-6);
        assertThat(drainsATank || inLines(rig, more) > inLines(rig, left) - 1e-5)
            .as("%s lets more out", turn)
            .isTrue();
      }
    }
  }

  private static double inLines(Rig rig, Wintering now) {
    double held = 0;
    for (Line line : rig.lines()) {
      held += now.wetness().volume(line);
    }
    return held;
  }
}
