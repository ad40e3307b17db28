package fernwort.core.glycol;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Plugs and mixtures worked out by hand, in litres. */
class GlycolSumsTest {

  private static final double LITRE = 1e-3;
  private static final Offset<Double> EXACT = within(1e-9);

  private static void assertFlow(Flow flow, double litres, double strength) {
    assertThat(flow.volume()).isCloseTo(litres * LITRE, within(1e-12));
    assertThat(flow.strength()).isCloseTo(strength, EXACT);
  }

  @Test
  void aLineMovesAsAPlug() {
    Element.Pipe pipe = new Element.Pipe(LITRE, 0);
    assertFlow(pipe.push(new Flow(0.4 * LITRE, 0.5)), 0.4, 0);
    assertThat(pipe.strength()).isCloseTo(0.2, EXACT);
    // 0.6 L of water, then 0.2 L of what came first.
    assertFlow(pipe.push(new Flow(0.8 * LITRE, 0.5)), 0.8, 0.125);
    assertThat(pipe.strength()).isCloseTo(0.5, EXACT);
    assertThat(pipe.held()).isCloseTo(LITRE, EXACT);
    assertThat(pipe.volume()).isEqualTo(LITRE);
    assertThat(new Element.Pipe(LITRE, 0.3).strength()).isCloseTo(0.3, EXACT);
  }

  @Test
  void airInALineLeavesAtItsEnd() {
    Element.Pipe pipe =
        new Element.Pipe(
            LITRE,
            List.of(
                new Element.Pipe.Plug(0.3 * LITRE, 0.1, false),
                new Element.Pipe.Plug(0.7 * LITRE, 0, true)));
    assertThat(pipe.held()).isCloseTo(0.3 * LITRE, EXACT);
    assertFlow(pipe.push(new Flow(0.5 * LITRE, 0.5)), 0, 0);
    assertThat(pipe.held()).isCloseTo(0.8 * LITRE, EXACT);
    // (0.5 · 0.5 + 0.3 · 0.1) / 0.8
    assertThat(pipe.strength()).isCloseTo(0.35, EXACT);
    assertFlow(pipe.push(new Flow(0.4 * LITRE, 0.5)), 0.2, 0.1);
    Element.Pipe dry = new Element.Pipe(LITRE, List.of(new Element.Pipe.Plug(LITRE, 0.4, true)));
    assertThat(dry.strength()).isZero();
    assertThat(dry.held()).isZero();
  }

  @Test
  void aBodyFillsFirstAndThenMixes() {
    Element.Vessel body = new Element.Vessel(LITRE, 0.4 * LITRE, 0.1);
    assertFlow(body.push(new Flow(0.5 * LITRE, 0.5)), 0, 0);
    assertThat(body.held()).isCloseTo(0.9 * LITRE, EXACT);
    // (0.4 · 0.1 + 0.5 · 0.5) / 0.9
    assertThat(body.strength()).isCloseTo(0.29 / 0.9, EXACT);
    // A tenth of a litre fills it to 0.34, two tenths push through: 0.5 - 0.16 · e^(-0.2).
    Flow out = body.push(new Flow(0.3 * LITRE, 0.5));
    double strength = 0.5 - 0.16 * Math.exp(-0.2);
    assertThat(body.strength()).isCloseTo(strength, EXACT);
    assertFlow(out, 0.2, 0.5 - 5 * (strength - 0.34));
    assertThat(body.held()).isCloseTo(LITRE, EXACT);
    assertThat(body.volume()).isEqualTo(LITRE);
    assertThat(new Element.Vessel(LITRE, 0.3).held()).isEqualTo(LITRE);
  }

  @Test
  void whatHoldsNothingLetsAllPass() {
    Flow flow = new Flow(LITRE, 0.3);
    assertThat(new Element.Pipe(0, 0).push(flow)).isEqualTo(flow);
    assertThat(new Element.Vessel(0, 0).push(flow)).isEqualTo(flow);
    assertThat(new Element.Pipe(0, 0).strength()).isZero();
  }

  @Test
  void anOutletRunsColouredWhenTheLineIsFullOfIt() {
    Chain line = new Chain(List.of(new Element.Pipe(LITRE, 0)));
    assertThat(line.pushUntil(0.5, 0.45, 1)).isCloseTo(LITRE, within(2e-6));
    assertThat(line.flush(0.005, 1)).isCloseTo(LITRE, within(2e-6));
    assertThat(line.atOutlet()).isZero();
    assertThat(new Chain(List.of(new Element.Pipe(LITRE, 0))).pushUntil(0.5, 0.45, 0.5 * LITRE))
        .isEqualTo(0.5 * LITRE);
  }

  @Test
  void aMixedBodyTakesItsLogarithm() {
    Chain body = new Chain(List.of(new Element.Vessel(LITRE, 0)));
    // 0.5 · (1 - e^(-x)) = 0.45 at x = ln 10.
    assertThat(body.pushUntil(0.5, 0.45, 1)).isCloseTo(2.302585 * LITRE, within(2e-6));
    assertThat(body.elements().getFirst().strength()).isCloseTo(0.45, within(1e-3));
    // From 0.45 to 0.005: ln 90, in the body as well as at the outlet.
    assertThat(body.flush(0.005, 1)).isCloseTo(4.49981 * LITRE, within(4e-6));
    assertThat(body.flush(0.0001, LITRE)).isEqualTo(LITRE);
  }

  @Test
  void aPushGoesThroughOneAfterAnother() {
    Chain chain = new Chain(List.of(new Element.Pipe(LITRE, 0), new Element.Vessel(LITRE, 0)));
    assertThat(chain.volume()).isCloseTo(2 * LITRE, EXACT);
    chain.push(0, 0.5);
    assertThat(chain.elements().getFirst().strength()).isZero();
    chain.push(1.5 * LITRE, 0.5);
    // Half a litre came into the body: 0.5 · (1 - e^(-0.5)).
    double mixed = 0.5 * (1 - Math.exp(-0.5));
    assertThat(chain.elements().get(1).strength()).isCloseTo(mixed, within(1e-3));
    assertThat(chain.atOutlet()).isCloseTo(mixed, within(1e-3));
    Chain half = new Chain(List.of(new Element.Vessel(LITRE, 0, 0)));
    half.push(0.5 * LITRE, 0.5);
    assertThat(half.atOutlet()).isZero();
    assertThat(half.elements().getFirst().held()).isCloseTo(0.5 * LITRE, EXACT);
  }

  @Test
  void aWayThatHoldsNothingEndsAtOnce() {
    Chain nothing = new Chain(List.of());
    assertThat(nothing.volume()).isZero();
    Chain thin = new Chain(List.of(new Element.Pipe(0, 0)));
    assertThat(thin.pushUntil(0.5, 0.45, 1)).isCloseTo(1e-9, within(1e-12));
    assertThat(thin.atOutlet()).isEqualTo(0.5);
    assertThat(thin.flush(0.005, 1)).isCloseTo(1e-9, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0",
    "0.05, -1.65",
    "0.1, -3.3",
    "0.2, -7.2",
    "0.3, -12.8",
    "0.4, -21.1",
    "0.5, -33.3",
    "0.55, -42.2",
    "0.6, -51.1",
    "1, -51.1",
    "-0.1, 0",
  })
  void freezingPointsLieOnStraightLines(double strength, double celsius) {
    assertThat(FreezingPoint.of(strength) - 273.15).isCloseTo(celsius, EXACT);
  }
}
