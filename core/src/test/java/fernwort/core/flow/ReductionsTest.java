package fernwort.core.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** What is known of networks that are joined alike changes no answer. */
class ReductionsTest {

  private final Random joined = new Random();

  @Property(tries = 200)
  void theFlowIsTheSameToTheLastDigit(@ForAll @LongRange(min = 0, max = 1 << 24) long seed) {
    Reductions known = new Reductions();
    for (int time = 0; time < 4; time++) {
      // Joined alike, with other heads and losses; the third has one reservoir more, or has one.
      joined.setSeed(seed);
      int reservoirs = (int) (seed % 3) + (time == 2 ? 1 : 0);
      FlowNetwork network = network(new Random(seed + time), reservoirs);
      SteadyFlow alone = network.solve();
      SteadyFlow withKnown = network.solve(known);
      assertThat(withKnown.flows()).containsExactly(alone.flows());
      assertThat(withKnown.heads()).containsExactly(alone.heads());
    }
  }

  private FlowNetwork network(Random heads, int reservoirs) {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int nodes = 5 + joined.nextInt(15);
    for (int n = 0; n < nodes; n++) {
      if (n < reservoirs) {
        net.reservoir(10 * heads.nextDouble());
      } else {
        net.junction(heads.nextDouble());
      }
    }
    for (int l = 0; l < 2 * nodes; l++) {
      double loss = 1e3 * (1 + heads.nextDouble());
      net.link(joined.nextInt(nodes), joined.nextInt(nodes), new Filtering(loss));
    }
    return net.build();
  }
}
