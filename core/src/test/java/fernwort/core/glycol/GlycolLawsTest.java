package fernwort.core.glycol;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class GlycolLawsTest {

  private static List<Element> elements(Random random) {
    List<Element> chain = new ArrayList<>();
    for (int i = 0; i < 1 + random.nextInt(6); i++) {
      double volume = 1e-5 + 2e-3 * random.nextDouble();
      double share = random.nextDouble();
      chain.add(
          random.nextBoolean()
              ? new Element.Vessel(volume, share * volume, 0)
              : new Element.Pipe(
                  volume,
                  List.of(
                      new Element.Pipe.Plug(share * volume, 0, true),
                      new Element.Pipe.Plug((1 - share) * volume, 0, false))));
    }
    return chain;
  }

  @Property(tries = 200)
  void noGlycolIsLost(@ForAll long seed) {
    Random random = new Random(seed);
    List<Element> elements = elements(random);
    double in = 0;
    double out = 0;
    for (int i = 0; i < 400; i++) {
      Flow flow = new Flow(1e-5, 0.4);
      in += flow.volume() * flow.strength();
      for (Element element : elements) {
        if (flow.volume() > 0) {
          flow = element.push(flow);
        }
      }
      out += flow.volume() * flow.strength();
    }
    double held = elements.stream().mapToDouble(e -> e.held() * e.strength()).sum();
    assertThat(held + out).isCloseTo(in, within(1e-9 * 400));
    assertThat(elements).allMatch(e -> e.held() <= e.volume() + 1e-12);
    assertThat(elements).allMatch(e -> e.strength() <= 0.4 + 1e-9);
  }

  @Test
  void colouredMeansAsStrongAsAsked() {
    Chain chain = new Chain(elements(new Random(3)));
    double pushed = chain.pushUntil(0.5, 0.45, 0.1);
    assertThat(chain.atOutlet()).isGreaterThanOrEqualTo(0.45);
    assertThat(pushed).isGreaterThan(0.5 * chain.volume());
    double flushed = chain.flush(0.005, 0.1);
    assertThat(chain.elements()).allMatch(e -> e.strength() <= 0.005);
    assertThat(flushed).isBetween(chain.volume(), 0.1);
  }

  @Test
  void theFreezingPointFollowsTheTable() {
    assertThat(FreezingPoint.of(0.25) - 273.15).isCloseTo(-10.0, within(1e-9));
    assertThat(FreezingPoint.of(0.9) - 273.15).isCloseTo(-51.1, within(1e-9));
    assertThat(FreezingPoint.stands(0.4, 273.15 - 18.1)).isTrue();
    assertThat(FreezingPoint.stands(0.4, 273.15 - 18.2)).isFalse();
  }
}
