package fernwort.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.kind.end.Tank;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class GaugeCurveTest {

  @Test
  void looksInOrderAreTheCurveItself() {
    GaugeCurve curve =
        GaugeCurve.of(
            List.of(
                new GaugeCurve.Point(0, 0),
                new GaugeCurve.Point(4, 0.06),
                new GaugeCurve.Point(1, 0.01)));
    assertThat(curve.doubt()).isZero();
    assertThat(curve.holds(1)).isCloseTo(0.01, within(1e-12));
    assertThat(curve.holds(2.5)).isBetween(0.03, 0.04);
    assertThat(curve.holds(9)).isEqualTo(0.06);
  }

  @Test
  void looksOutOfOrderAreTakenAtTheirMean() {
    GaugeCurve curve =
        GaugeCurve.of(
            List.of(
                new GaugeCurve.Point(0, 0),
                new GaugeCurve.Point(1, 0.03),
                new GaugeCurve.Point(2, 0.01),
                new GaugeCurve.Point(3, 0.05)));
    assertThat(curve.points()).contains(new GaugeCurve.Point(1.5, 0.02));
    assertThat(curve.doubt()).isGreaterThan(0.003);
  }

  @Property(tries = 200)
  void theCurveOnlyRises(@ForAll long seed) {
    List<GaugeCurve.Point> looks = anyLooks(seed);
    GaugeCurve curve = GaugeCurve.of(looks);
    for (double shows = -1; shows < 13; shows += 0.1) {
      assertThat(curve.holds(shows)).isLessThanOrEqualTo(curve.holds(shows + 0.1) + 1e-12);
    }
    // Of 200,000 seeds the worst is 0.15 further off than a flat line.
    assertThat(curve.doubt()).isLessThanOrEqualTo(flat(looks) + 0.2);
  }

  /** Of looks that tell nothing it makes no more than a flat line does. */
  @Test
  void onTheWholeTheCurveIsNoFurtherOffThanAFlatLine() {
    double curves = 0;
    double flats = 0;
    for (long seed = 0; seed < 2000; seed++) {
      List<GaugeCurve.Point> looks = anyLooks(seed);
      curves += GaugeCurve.of(looks).doubt();
      flats += flat(looks);
    }
    assertThat(curves).isLessThanOrEqualTo(1.01 * flats);
  }

  private static List<GaugeCurve.Point> anyLooks(long seed) {
    Random random = new Random(seed);
    List<GaugeCurve.Point> looks = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      looks.add(new GaugeCurve.Point(i, random.nextDouble()));
    }
    return looks;
  }

  /** How far looks are off their mean: root of the mean square. */
  private static double flat(List<GaugeCurve.Point> looks) {
    double mean = looks.stream().mapToDouble(GaugeCurve.Point::holds).average().orElseThrow();
    return Math.sqrt(
        looks.stream().mapToDouble(l -> Math.pow(l.holds() - mean, 2)).average().orElseThrow());
  }

  @Test
  void straightLooksStayStraight() {
    GaugeCurve curve =
        GaugeCurve.of(
            List.of(
                new GaugeCurve.Point(0, 0),
                new GaugeCurve.Point(1, 0.01),
                new GaugeCurve.Point(4, 0.04)));
    assertThat(curve.holds(0.3)).isCloseTo(0.003, within(1e-12));
    assertThat(curve.holds(3.1)).isCloseTo(0.031, within(1e-12));
  }

  @Test
  void twoReadingsAndAFillMakeACurve() {
    // A box of 80 L by four steps; 30 L move it from one step to two, which stand for 20 by shape:
    // the fill is put about the middle of the two, at 15 and 45 L.
    GaugeCurve curve =
        GaugeCurve.of(List.of(), List.of(new GaugeCurve.Fill(1, 2, 0.03)), s -> 0.02 * s, 4);
    assertThat(curve.holds(1)).isCloseTo(0.015, within(1e-12));
    assertThat(curve.holds(2)).isCloseTo(0.045, within(1e-12));
    assertThat(curve.holds(0)).isZero();
    assertThat(curve.holds(4)).isCloseTo(0.08, within(1e-12));
    assertThatThrownBy(
            () -> GaugeCurve.of(List.of(), List.of(new GaugeCurve.Fill(2, 2, 0.03)), s -> s, 4))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("before");
  }

  @Test
  void twoLooksAreTooFew() {
    List<GaugeCurve.Point> two = List.of(new GaugeCurve.Point(0, 0), new GaugeCurve.Point(1, 0.01));
    assertThatThrownBy(() -> GaugeCurve.of(two)).isInstanceOf(Refusal.class);
  }

  @Test
  void everyMarkOfAStickIsWhereThatMuchIsRead() {
    for (DemoRig demo : DemoRig.all()) {
      Network network = Network.of(demo.rig());
      for (Part part : network.tanks()) {
        Tank tank = (Tank) part.kind();
        TankRoom room = network.room(part.id());
        for (Slope slope : List.of(Slope.LEVEL, new Slope(3, -2))) {
          Dipstick stick = Dipstick.of(tank, room, slope, 3.785411784e-3);
          assertThat(stick.marks()).hasSizeGreaterThan(5);
          double step = stick.marks().get(1).volume() - stick.marks().get(0).volume();
          assertThat(step / 3.785411784e-4)
              .isCloseTo(Math.rint(step / 3.785411784e-4), within(1e-6));
          for (Dipstick.Mark mark : stick.marks()) {
            assertThat(new Reading.Stick(mark.wet()).volume(tank, room, slope))
                .isCloseTo(mark.volume(), within(1e-5));
          }
          assertThat(stick.marks())
              .isSortedAccordingTo(java.util.Comparator.comparingDouble(Dipstick.Mark::wet));
        }
      }
    }
  }
}
