package fernwort.core.frost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.network.Network;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class FrostLawsTest {

  private static final double HOUR = 3600;

  private static Curve night(double evening, double lowest) {
    return new Curve(List.of(0.0, 7 * HOUR, 14 * HOUR), List.of(evening, lowest, evening));
  }

  @Property(tries = 200)
  void theNightIsWhatSmallStepsMakeOfIt(
      @ForAll @DoubleRange(min = 265, max = 278) double evening,
      @ForAll @DoubleRange(min = 250, max = 272) double lowest,
      @ForAll @DoubleRange(min = 0.2, max = 8) double conductance,
      @ForAll @DoubleRange(min = 0, max = 30) double heating) {
    Curve air = night(evening, lowest);
    Cooling body = new Cooling(0.004, conductance, heating);
    Night night = Night.of(body, air, 280);
    double t = 280;
    double least = t;
    double zero = -1;
    double step = 2;
    for (double at = 0; at < air.length(); at += step) {
      double flow = conductance * (air.at(at + step / 2) - t) + heating;
      t += step * flow / ColdWater.heat(body.volume());
      least = Math.min(least, t);
      if (zero < 0 && t <= ColdWater.ZERO) {
        zero = at + step;
      }
    }
    assertThat(night.lowest()).isCloseTo(least, within(0.02));
    if (least < ColdWater.ZERO - 0.1) {
      assertThat(night.zero().orElseThrow()).isCloseTo(zero, within(0.01 * zero + 60));
    }
    if (least > ColdWater.ZERO + 0.1) {
      assertThat(night.zero()).isEmpty();
    }
  }

  @Property(tries = 100)
  void colderIsNeverLater(
      @ForAll @DoubleRange(min = 255, max = 275) double lowest,
      @ForAll @DoubleRange(min = 0.1, max = 10) double colder) {
    Cooling body = new Cooling(0.002, 1.5, 0);
    Night mild = Night.of(body, night(276, lowest), 279);
    Night hard = Night.of(body, night(276 - colder, lowest - colder), 279);
    assertThat(hard.zero().orElse(1e9)).isLessThanOrEqualTo(mild.zero().orElse(1e9) + 1e-3);
    assertThat(hard.stops().orElse(1e9)).isLessThanOrEqualTo(mild.stops().orElse(1e9) + 1e-3);
    assertThat(hard.ice()).isGreaterThanOrEqualTo(mild.ice() - 1e-9);
  }

  @Test
  void warmthInsulationAndDrainingHelp() {
    DemoRig rig = DemoRig.all().getFirst();
    Network network = Network.of(rig.rig());
    Wintering now = Filled.of(network, rig.state());
    FreezeForecast.Asked asked =
        new FreezeForecast.Asked(night(272, 262), 288, 3, 288, false, 0, Set.of());
    FreezeForecast tonight = FreezeForecast.of(network, now, asked);
    assertThat(tonight.exposures().getFirst().zero()).isPresent();
    assertThat(FreezeForecast.of(network, now, asked.insulated(0.02)).watts())
        .isLessThan(tonight.watts());
    assertThat(FreezeForecast.of(network, now, asked.withDoorsOpen()).coldest().orElseThrow())
        .isLessThanOrEqualTo(tonight.coldest().orElseThrow() + 0.1);
    ElementId first = tonight.exposures().getFirst().id();
    assertThat(FreezeForecast.of(network, now, asked.draining(Set.of(first))).exposures())
        .extracting(FreezeForecast.Exposure::id)
        .doesNotContain(first);
    FreezeForecast.BatteryEnd end =
        FreezeForecast.battery(network, now, asked, tonight.energy() / 2).orElseThrow();
    assertThat(end.ends()).isBetween(0.0, asked.outside().length());
    assertThat(end.zero().orElse(1e9)).isGreaterThan(end.ends());
  }

  @Test
  void whatHoldsNoWaterNamesNoColdThatItStands() {
    DemoRig rig = DemoRig.all().getFirst();
    Network network = Network.of(rig.rig());
    Wintering now = Filled.of(network, rig.state());
    FreezeForecast.Asked asked =
        new FreezeForecast.Asked(night(272, 262), 288, 3, 288, false, 0, Set.of());
    FreezeForecast tonight = FreezeForecast.of(network, now, asked);
    Set<ElementId> wet =
        tonight.exposures().stream()
            .map(FreezeForecast.Exposure::id)
            .collect(java.util.stream.Collectors.toSet());
    assertThat(tonight.coldest()).isPresent();
    assertThat(FreezeForecast.of(network, now, asked.draining(wet)).coldest()).isEmpty();
  }

  @Test
  void nothingFreezesInTheColdestNightThatItStands() {
    DemoRig rig = DemoRig.all().getLast();
    Network network = Network.of(rig.rig());
    Wintering now = Filled.of(network, rig.state());
    Curve outside = night(272, 262);
    FreezeForecast.Asked asked = new FreezeForecast.Asked(outside, 288, 3, 288, false, 0, Set.of());
    double coldest = FreezeForecast.of(network, now, asked).coldest().orElseThrow();
    for (double more : new double[] {0.1, -0.2}) {
      Curve shifted = outside.warmer(coldest + more - outside.lowest());
      boolean freezes =
          FreezeForecast.of(
                  network, now, new FreezeForecast.Asked(shifted, 288, 3, 288, false, 0, Set.of()))
              .exposures()
              .stream()
              .anyMatch(e -> e.zero().isPresent());
      assertThat(freezes).isEqualTo(more < 0);
    }
  }

  @Test
  void windAcrossAPipeFollowsTheCorrelation() {
    // Churchill and Bernstein 1977 at Re = 3383 in air at 0 °C: Nu = 29.97 by hand.
    double h = Shelter.across(0.015, 3);
    assertThat(h * 0.015 / 0.0243).isCloseTo(29.97, within(0.1));
    assertThat(Shelter.flat(0)).isEqualTo(8);
    assertThat(Shelter.flat(5)).isCloseTo(24.7, within(1e-9));
  }
}
