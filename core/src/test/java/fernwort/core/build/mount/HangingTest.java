package fernwort.core.build.mount;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.rig.TankSupport;
import fernwort.core.rig.TankSupport.Type;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Loads on supports and bolts, by hand. */
class HangingTest {

  private static final Hanging.Moving MOVING = new Hanging.Moving(2, 0.8, 0.5);

  private static TankSupport strap(double along, int bolts) {
    return new TankSupport(PartId.of("tank"), Type.STRAP, along, 0.05, bolts, 2000, 1500);
  }

  private static Hanging hung(double kilograms, double centre, TankSupport... supports) {
    return Hanging.of(kilograms, centre, 0, 0, 0.4, List.of(supports), MOVING);
  }

  @Test
  void twoStrapsShareByTheirLevers() {
    // 100 kg, straps at 0.2 and 0.8 m, centre at 0.4 m: the rear one bears (0.8 − 0.4)/0.6 = 2/3.
    Hanging hung = hung(100, 0.4, strap(0.2, 2), strap(0.8, 2));
    double weight = 100 * 9.80665;
    assertThat(hung.loads().getFirst().still()).isCloseTo(weight * 2 / 3, within(1e-9));
    assertThat(hung.loads().getLast().still()).isCloseTo(weight / 3, within(1e-9));
    // On a bump twice that, on two bolts: 653.8 N each; braking 0.8 · 980.7 on four: 196.1 N.
    assertThat(hung.loads().getFirst().pull()).isCloseTo(653.78, within(0.01));
    assertThat(hung.loads().getFirst().shear()).isCloseTo(196.13, within(0.01));
    // 653.8/2000 + 196.1/1500 = 0.458.
    assertThat(hung.loads().getFirst().used()).isCloseTo(0.4576, within(1e-4));
    // 1307.6 N on 0.05 m by 0.4 m: 65.4 kPa.
    assertThat(hung.loads().getFirst().pressure()).isCloseTo(65_378, within(1.0));
    assertThat(hung.fallsWithoutOne()).isTrue();
    TankSupport shelf = new TankSupport(PartId.of("tank"), Type.SHELF, 0.5, 0.5, 4, 2000, 1500);
    assertThat(hung(100, 0.5, shelf).fallsWithoutOne()).isFalse();
    assertThat(hung.moveToCentre()).isCloseTo(-0.1, within(1e-12));
  }

  @Test
  void ofThreeTheWorstIsWithOneSlack() {
    // 120 kg at the middle of 0, 0.5 and 1 m: 392.3 N each. Without the middle one the ends bear
    // half, 588.4; without an end the tank's centre lies over the middle one, which bears it all.
    Hanging hung = hung(120, 0.5, strap(0, 2), strap(0.5, 2), strap(1, 2));
    assertThat(hung.loads()).allSatisfy(l -> assertThat(l.still()).isCloseTo(392.27, within(0.01)));
    assertThat(hung.loads().get(0).slack()).isCloseTo(588.4, within(0.01));
    assertThat(hung.loads().get(1).slack()).isCloseTo(1176.8, within(0.01));
    assertThat(hung.loads().get(1).pull()).isCloseTo(1176.8, within(0.01));
    assertThat(hung.fallsWithoutOne()).isFalse();
  }

  @Test
  void boltsThatDoNotHoldAreCounted() {
    // 300 kg on one shelf with two bolts: 5884 N on a bump, 2942 each of 2000; shear 1176.8 of
    // 1500.
    Hanging hung = hung(300, 0.3, strap(0.3, 2));
    Hanging.Load load = hung.loads().getFirst();
    assertThat(load.used()).isCloseTo(2941.995 / 2000 + 1176.798 / 1500, within(1e-4));
    assertThat(load.holds()).isFalse();
    assertThat(load.fastenersNeeded()).isEqualTo(5);
    assertThat(hung(300, 0.3, strap(0.3, 5)).loads().getFirst().holds()).isTrue();
  }

  @Test
  void aCentreBeyondTheSupportsTips() {
    assertThat(hung(50, 0.9, strap(0.2, 2), strap(0.8, 2)).tips()).isTrue();
    assertThat(hung(50, 0.9, strap(0.2, 2), strap(0.8, 2)).loads().getFirst().still()).isNegative();
    assertThatThrownBy(() -> hung(50, 0.5)).isInstanceOf(Refusal.class);
  }

  @Property(tries = 300)
  void loadsAndLeversBalance(@ForAll long seed) {
    Random random = new Random(seed);
    List<TankSupport> supports = new ArrayList<>();
    for (int i = 0; i < 2 + random.nextInt(4); i++) {
      supports.add(strap(i * 0.3 + 0.2 * random.nextDouble(), 2));
    }
    double centre = random.nextDouble();
    Hanging hung = Hanging.of(80, centre, 0, 0, 0.4, supports, MOVING);
    double sum = hung.loads().stream().mapToDouble(Hanging.Load::still).sum();
    double moment = hung.loads().stream().mapToDouble(l -> l.still() * l.support().along()).sum();
    assertThat(sum).isCloseTo(hung.weight(), within(1e-6));
    assertThat(moment).isCloseTo(hung.weight() * centre, within(1e-6));
    hung.loads().forEach(l -> assertThat(l.slack()).isGreaterThanOrEqualTo(l.still() - 1e-9));
  }

  @Test
  void whatHangsLoadedIsHeldAgainstTheLowestPermittedLine() {
    var vehicle = DemoRig.all().getFirst().rig().vehicle();
    Clearance clearance =
        Clearance.of(vehicle, vehicle.clearance() + 0.1, vehicle.floor() - 0.03, 0.02, 0.04);
    assertThat(clearance.spare()).isCloseTo(0.04, within(1e-12));
    assertThat(clearance.above()).isCloseTo(0.03, within(1e-12));
    assertThat(clearance.lowest()).isCloseTo(vehicle.clearance() + 0.04, within(1e-12));
  }

  /** 1327 N with the centre 0.35 m over shelves 0.219 m apart, at 0.8 g: 1697 N go to the front. */
  @Test
  void brakingLoadsTheFrontAndLiftsTheRear() {
    List<TankSupport> shelves =
        List.of(
            new TankSupport(PartId.of("tank"), TankSupport.Type.SHELF, 0.075, 0.48, 4, 2000, 2500),
            new TankSupport(PartId.of("tank"), TankSupport.Type.SHELF, 0.294, 0.48, 4, 2000, 2500));
    Hanging under =
        Hanging.of(135.34, 0.19, 0.35, 0.7, 0.4, shelves, new Hanging.Moving(1, 0.8, 0.5));
    assertThat(under.loads().getLast().braking()).isCloseTo(2394, within(10.0));
    assertThat(under.loads().getFirst().braking()).isCloseTo(-1067, within(10.0));
    assertThat(under.loads().getFirst().pull()).isCloseTo(1067 / 4.0, within(3.0));
  }

  @Test
  void whatHangsSwingsForwardAndPullsAtTheRear() {
    List<TankSupport> straps =
        List.of(
            new TankSupport(PartId.of("tank"), TankSupport.Type.STRAP, 0.1, 0.05, 2, 2000, 2500),
            new TankSupport(PartId.of("tank"), TankSupport.Type.STRAP, 0.5, 0.05, 2, 2000, 2500));
    Hanging hung = Hanging.of(100, 0.3, 0.15, 0.3, 0.4, straps, new Hanging.Moving(1, 0.8, 0.5));
    double weight = 100 * Hanging.GRAVITY;
    double more = 0.8 * weight * 0.15 / 0.4;
    assertThat(hung.loads().getFirst().braking()).isCloseTo(weight / 2 + more, within(1.0));
    assertThat(hung.loads().getLast().braking()).isCloseTo(weight / 2 - more, within(1.0));
  }
}
