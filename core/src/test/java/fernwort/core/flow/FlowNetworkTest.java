package fernwort.core.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;

/** Steady flow in networks put together by hand and at random. */
class FlowNetworkTest {

  private static Pipe pipe(double bore, double length) {
    return Pipe.of(bore, length, 1.5e-6, 1, Fluid.WATER);
  }

  @Test
  void aPipeAloneCarriesWhatItsOwnLawSays() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int high = net.reservoir(3);
    int low = net.reservoir(1);
    int link = net.link(high, low, pipe(0.013, 4));
    SteadyFlow flow = net.build().solve();
    assertThat(flow.flows()[link]).isCloseTo(pipe(0.013, 4).flow(2), within(1e-10));
  }

  @Test
  void twoEqualPipesShareEvenlyAndWaterTurnsRoundWithTheHeads() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int high = net.reservoir(2);
    int middle = net.junction(0);
    int low = net.reservoir(0);
    int one = net.link(high, middle, pipe(0.013, 2));
    int two = net.link(middle, high, pipe(0.013, 2));
    int out = net.link(middle, low, pipe(0.010, 2));
    double[] flows = net.build().solve().flows();
    assertThat(flows[one]).isCloseTo(-flows[two], within(1e-12));
    assertThat(flows[out]).isCloseTo(2 * flows[one], within(1e-12));
  }

  @Test
  void aCheckValveShutsAgainstTheHeadAndTakesItsCrackingWithIt() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int high = net.reservoir(5);
    int a = net.junction(0);
    int low = net.reservoir(0);
    net.link(high, a, pipe(0.013, 1));
    int check = net.link(a, low, new OneWay(0.3));
    SteadyFlow open = net.build().solve();
    assertThat(open.heads()[a]).isCloseTo(0.3, within(1e-3));
    assertThat(open.flows()[check]).isPositive();

    FlowNetwork.Builder turned = FlowNetwork.builder();
    int up = turned.reservoir(5);
    int b = turned.junction(0);
    int down = turned.reservoir(0);
    turned.link(up, b, pipe(0.013, 1));
    int shut = turned.link(down, b, new OneWay(0.3));
    SteadyFlow still = turned.build().solve();
    assertThat(still.flows()[shut]).isCloseTo(0, within(1e-11));
    assertThat(still.heads()[b]).isCloseTo(5, within(1e-6));
  }

  @Test
  void aRegulatorHoldsItsPressureWhateverIsDrawn() {
    for (double rated : new double[] {1e-6, 5e-5, 2e-4}) {
      FlowNetwork.Builder net = FlowNetwork.builder();
      int mains = net.reservoir(40);
      int a = net.junction(0);
      int b = net.junction(0);
      net.link(mains, a, pipe(0.013, 5));
      net.link(a, b, new PressureControl(20, OneWay.FREE_END));
      net.link(b, net.reservoir(0), new Orifice(rated, 20, Double.POSITIVE_INFINITY));
      SteadyFlow flow = net.build().solve();
      assertThat(flow.heads()[b]).isCloseTo(20, within(1e-3));
    }
  }

  @Test
  void aRegulatorThatIsGivenLessThanItsSettingLetsItThrough() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int mains = net.reservoir(10);
    int a = net.junction(0);
    net.link(mains, a, new PressureControl(20, OneWay.FREE_END));
    net.link(a, net.reservoir(0), new Orifice(1e-4, 10, Double.POSITIVE_INFINITY));
    assertThat(net.build().solve().heads()[a]).isCloseTo(10, within(1e-3));
  }

  @Test
  void stillWaterBehindARegulatorStandsAtItsSetting() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int mains = net.reservoir(40);
    int a = net.junction(0);
    int end = net.junction(1);
    net.link(mains, a, new PressureControl(20, OneWay.FREE_END));
    net.link(a, end, pipe(0.01, 3));
    assertThat(net.build().solve().heads()[end]).isEqualTo(20);
  }

  @Test
  void aRestrictorCapsWhatAnOpenTapPasses() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int link = net.link(net.reservoir(40), net.reservoir(0), new Orifice(1e-4, 20, 6e-5));
    assertThat(net.build().solve().flows()[link]).isBetween(6e-5, 6.1e-5);
  }

  @Test
  void aLoopWithoutAnyReservoirTurnsAtTheFlowOfItsPump() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int a = net.junction(1);
    int b = net.junction(1.5);
    int pump = net.link(a, b, new Lift(3, 2e-4, true));
    int back = net.link(b, a, pipe(0.013, 6));
    SteadyFlow flow = net.build().solve();
    assertThat(flow.flows()[pump]).isPositive().isCloseTo(flow.flows()[back], within(1e-12));
    assertThat(flow.heads()[b]).isGreaterThan(flow.heads()[a]);
  }

  @Test
  void twoPumpsAgainstEachOtherSettle() {
    FlowNetwork.Builder net = FlowNetwork.builder();
    int tank = net.reservoir(0);
    int one = net.junction(0);
    int two = net.junction(0);
    int strong = net.link(tank, one, new Lift(30, 2e-4, true));
    int weak = net.link(tank, two, new Lift(10, 2e-4, true));
    net.link(one, two, pipe(0.013, 2));
    net.link(two, net.reservoir(0), new Orifice(5e-5, 20, Double.POSITIVE_INFINITY));
    double[] flows = net.build().solve().flows();
    assertThat(flows[strong]).isPositive();
    assertThat(flows[weak]).isCloseTo(0, within(1e-10));
  }

  @Property
  void lossRisesWithFlowAndTurnsWithIt(
      @ForAll @Scale(8) @DoubleRange(min = 1e-7, max = 1e-3) double flow,
      @ForAll @Scale(4) @DoubleRange(min = 0.005, max = 0.03) double bore) {
    Pipe pipe = pipe(bore, 2);
    assertThat(pipe.loss(1.01 * flow)).isGreaterThan(pipe.loss(flow));
    assertThat(pipe.loss(-flow)).isEqualTo(-pipe.loss(flow));
    assertThat(pipe.flow(pipe.loss(flow))).isCloseTo(flow, within(1e-6 * flow + 1e-12));
    double[] law = new double[2];
    pipe.at(flow, law, 0);
    double step = 1e-5 * flow;
    double slope = (pipe.loss(flow + step) - pipe.loss(flow - step)) / (2 * step);
    boolean atABend =
        Math.abs(pipe.reynolds(flow) - Friction.LAMINAR) < 1
            || Math.abs(pipe.reynolds(flow) - Friction.TURBULENT) < 1;
    if (!atABend) {
      assertThat(law[1]).isCloseTo(slope, within(0.01 * slope));
    }
  }

  /** Colebrook and White's own equation, with what was found put in on both sides. */
  @Property(tries = 300)
  void theFrictionFactorSolvesItsEquation(
      @ForAll @Scale(2) @DoubleRange(min = 4e3, max = 1e8) double reynolds,
      @ForAll @Scale(8) @DoubleRange(min = 0, max = 0.05) double roughness) {
    double x = 1 / Math.sqrt(new Friction(roughness).factor(reynolds));
    double other = -2 * Math.log10(roughness / 3.7 + 2.51 * x / reynolds);
    assertThat(x).isCloseTo(other, within(1e-9 * x));
  }

  @Property(tries = 300)
  void everyRandomNetworkBalances(@ForAll @LongRange(min = 0, max = 1 << 24) long seed) {
    Random random = new Random(seed);
    FlowNetwork.Builder net = FlowNetwork.builder();
    int nodes = 4 + random.nextInt(20);
    for (int n = 0; n < nodes; n++) {
      if (n < 2 || random.nextInt(5) == 0) {
        net.reservoir(10 * random.nextDouble());
      } else {
        net.junction(random.nextDouble());
      }
    }
    for (int l = 0; l < 2 * nodes; l++) {
      net.link(random.nextInt(nodes), random.nextInt(nodes), law(random));
    }
    FlowNetwork network = net.build();
    SteadyFlow flow = network.solve();
    double[] gain = new double[nodes];
    for (int l = 0; l < network.linkCount(); l++) {
      gain[network.from(l)] -= flow.flows()[l];
      gain[network.to(l)] += flow.flows()[l];
      assertThat(flow.flows()[l]).isFinite();
    }
    for (int n = 0; n < nodes; n++) {
      if (!network.isReservoir(n)) {
        assertThat(gain[n]).isCloseTo(0, within(1e-9));
      }
    }
  }

  private static Loss law(Random random) {
    return switch (random.nextInt(6)) {
      case 0 -> new OneWay(random.nextDouble());
      case 1 -> new Lift(5 + 20 * random.nextDouble(), 1e-4, random.nextBoolean());
      case 2 -> new Orifice(1e-4, 20, random.nextBoolean() ? 5e-5 : Double.POSITIVE_INFINITY);
      case 3 -> new Filtering(1e4 * random.nextDouble());
      default -> pipe(0.006 + 0.02 * random.nextDouble(), 0.2 + 5 * random.nextDouble());
    };
  }

  @Test
  void waterIsThinnerWhenWarmAndRefusedWhenFrozen() {
    assertThat(Fluid.waterAt(15)).isEqualTo(Fluid.WATER);
    assertThat(Fluid.waterAt(20).viscosity()).isCloseTo(1.002e-3, within(1.5e-5));
    assertThat(Fluid.waterAt(4).density()).isCloseTo(999.97, within(0.05));
    assertThat(Fluid.waterAt(60).viscosity()).isLessThan(0.5e-3);
    assertThatThrownBy(() -> Fluid.waterAt(-3)).hasMessageContaining("0 and 100");
  }
}
