package fernwort.core.run.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wetness;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

class FrontsTest {

  /** What the steps of a run may be off by (m³). */
  private static final double ONE_GLASS = 2e-4;

  private static final DemoRig VAN = DemoRig.all().getFirst();

  private static Dry all(Network network, State state) {
    return Filled.of(network, state).with(Wetness.DRY).dry(network);
  }

  private static Simulation run(Network network, State state, Dry dry) {
    return Simulation.start(network, Hydraulics.of(network), state, Conditions.ORDINARY, dry);
  }

  private static double sum(Map<PartId, Double> of) {
    return of.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /** A tap of the van that gives water at once while its lines are full. */
  private record Tap(State open, PartId id) {}

  private static Tap tap(Network network) {
    State ready = VAN.state();
    for (Part part : network.rig().parts()) {
      if (part.kind() instanceof Pump) {
        ready = ready.with(part.id(), PositionId.of("on"));
      }
    }
    for (Part part : network.rig().parts()) {
      if (part.kind() instanceof Fixture) {
        for (var position : part.kind().positions()) {
          State open = ready.with(part.id(), position.id());
          if (run(network, open, Dry.NOTHING).moment().flows().fixture(part.id()) > 1e-5) {
            return new Tap(open, part.id());
          }
        }
      }
    }
    throw new AssertionError("no tap of the van runs");
  }

  @Test
  void theFirstWaterComesWhenTheLinesOnItsWayHaveFilled() {
    Network network = Network.of(VAN.rig());
    Tap tap = tap(network);
    Simulation dry = run(network, tap.open(), all(network, tap.open()));
    assertThat(dry.moment().flows().fixture(tap.id())).isZero();
    double lacked = dry.moment().lacking();
    double came = dry.runUntil(Event.Kind.AWAITED, tap.id(), false, 3600).orElseThrow();
    // Until then all that left the tanks is in the lines.
    double went = sum(tap.open().volumes()) - sum(dry.moment().state().volumes());
    assertThat(lacked - dry.moment().lacking()).isCloseTo(went, within(1e-6));
    assertThat(came).isGreaterThan(1);
    dry.runTo(came + 10);
    assertThat(dry.moment().flows().fixture(tap.id())).isPositive();
  }

  @Test
  void aLineThatFillsFromMainsTakesItsVolumeOverItsFlow() {
    Network network = Network.of(VAN.rig());
    Tap tap = tap(network);
    Simulation full = run(network, tap.open(), Dry.NOTHING);
    Line last =
        network.rig().lines().stream()
            .filter(l -> Math.abs(full.moment().flows().line(l.id())) > 1e-5)
            .filter(l -> l.to().part().equals(tap.id()) || l.from().part().equals(tap.id()))
            .findFirst()
            .orElseThrow();
    double flow = Math.abs(full.moment().flows().line(last.id()));
    Simulation dry = run(network, tap.open(), new Dry(Map.of(last.id(), last.volume()), Map.of()));
    double came = dry.runUntil(Event.Kind.AWAITED, tap.id(), false, 3600).orElseThrow();
    // The flow hardly changes in such a time.
    assertThat(came).isCloseTo(last.volume() / flow, within(0.05 * came));
  }

  /** Whatever the rig and its handles: no water is made or lost, and all that fills has come in. */
  @Property(tries = 80)
  void waterInDryLinesIsNeitherMadeNorLost(@ForAll @LongRange(min = 0, max = 20_000) long seed) {
    assertNothingIsMadeOrLost(seed);
  }

  /** Two tanks with an open pump's line between them, whose flow turns so often that steps grow. */
  @Test
  void aLineFillsToTheDropHoweverCoarseTheStepsAre() {
    assertNothingIsMadeOrLost(11_510);
  }

  private static void assertNothingIsMadeOrLost(long seed) {
    Network network = Network.of(RandomRigs.rig(seed));
    State state = RandomRigs.state(network.rig(), seed);
    Simulation dry = run(network, state, all(network, state));
    double lacked = dry.moment().lacking();
    double before = sum(dry.moment().state().volumes());
    dry.runTo(90);
    Moment end = dry.moment();
    double inLines = lacked - end.lacking();
    assertThat(inLines).isGreaterThanOrEqualTo(-1e-12);
    assertThat(before + sum(end.totals().supplied()))
        .isCloseTo(sum(end.state().volumes()) + inLines + end.totals().allOut(), within(ONE_GLASS));
  }
}
