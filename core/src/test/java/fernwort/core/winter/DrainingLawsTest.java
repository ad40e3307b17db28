package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Tee;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.winter.sheets.Procedure;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class DrainingLawsTest {

  /** A line may end in a cell that is half wet, at each of its bends. */
  private static final double SOME_CELLS = 5.0 / EveryWay.CELLS;

  private static Wintering full(Network network, Slope slope) {
    return Filled.of(network, new State(network.rig().atRest(), Map.of(), slope));
  }

  @Property(tries = 150)
  void whatStaysIsWhatEverySimpleWayLeaves(@ForAll long seed) {
    Rig rig = WetHouses.rig(seed);
    Network network = Network.of(rig);
    Slope slope = WetHouses.slope(seed);
    Wintering now = full(network, slope);
    EveryWay most = new EveryWay(rig, slope, 0);
    EveryWay least = new EveryWay(rig, slope, 1);
    for (Turn step : WetHouses.steps(rig, seed)) {
      now = Procedure.run(network, now, List.of(step));
      most.step(step);
      least.step(step);
      for (Line line : rig.lines()) {
        assertThat(now.wetness().volume(line))
            .as("%s after %s", line, step)
            .isBetween(
                least.volume(line) - SOME_CELLS * line.volume(),
                most.volume(line) + SOME_CELLS * line.volume());
      }
      for (Part part : rig.parts()) {
        if (part.kind() instanceof Tee && part.volume() > 0) {
          assertThat(now.wetness().body(part.id()) > 0)
              .as("%s after %s", part, step)
              .isIn(least.isWet(part), most.isWet(part));
        }
      }
    }
  }

  /** A column ends just as high as the mixing tap from whose other side the air would come. */
  @Example
  void aTieIsEitherWay() {
    whatStaysIsWhatEverySimpleWayLeaves(-28_521);
  }

  /** Joins no water: a cap or tap is an end, and what opens there lets only air in or water out. */
  @Property(tries = 150)
  void openingOneMoreEndNeverLeavesMore(@ForAll long seed) {
    Rig rig = WetHouses.rig(seed);
    Network network = Network.of(rig);
    List<Turn> steps = WetHouses.steps(rig, seed);
    Wintering fewer = Procedure.run(network, full(network, WetHouses.slope(seed)), steps);
    for (Part part : rig.parts()) {
      if (part.kind() instanceof Plug) {
        Wintering more =
            Procedure.run(network, fewer, List.of(new Turn(part.id(), PositionId.of("off"))));
        for (Line line : rig.lines()) {
          assertThat(more.wetness().volume(line))
              .isLessThanOrEqualTo(fewer.wetness().volume(line) + 1e-12);
        }
      }
    }
  }

  @Property(tries = 100)
  void whatRanDryStaysDryHoweverItIsShutAgain(@ForAll long seed) {
    Rig rig = WetHouses.rig(seed);
    Network network = Network.of(rig);
    Wintering now =
        Procedure.run(network, full(network, WetHouses.slope(seed)), WetHouses.steps(rig, seed));
    List<Turn> shut = rig.handles().map(p -> new Turn(p.id(), p.rest().id())).toList();
    Wintering after = Procedure.run(network, now, shut);
    for (Line line : rig.lines()) {
      assertThat(after.wetness().volume(line))
          .isLessThanOrEqualTo(now.wetness().volume(line) + 1e-12);
    }
  }
}
