package fernwort.core.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.network.Water;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class LoadsTest {

  private static final DemoRig MARGINALIA = DemoRig.all().get(0);
  private static final DemoRig SAMPHIRE = DemoRig.all().get(1);
  private static final DemoRig TERN = DemoRig.all().get(2);
  private static final Network PLUMBING = Network.of(MARGINALIA.rig());

  @Test
  void aFullMainTankWeighsOnTheAxlesByTheLeverRule() {
    double litres = 100;
    double mass = litres / 1000 * Water.DENSITY;
    Loads loads = Loads.of(PLUMBING, Map.of(PartId.of("main"), litres / 1000));
    double middle = -0.4 + (1.12 - 0.012) / 2;
    assertThat(loads.front()).isCloseTo(mass * middle / 3.85, within(0.01));
    assertThat(loads.rear()).isCloseTo(mass * (1 - middle / 3.85), within(0.01));
    assertThat(loads.onRear()).isCloseTo(3120 + loads.rear(), within(1e-9));
  }

  @Property(tries = 200)
  void whatTheSupportsCarryIsWhatTheWaterWeighs(
      @ForAll @DoubleRange(max = 0.12) double main,
      @ForAll @DoubleRange(max = 0.09) double low,
      @ForAll @DoubleRange(max = 0.1) double gray) {
    Loads loads =
        Loads.of(
            PLUMBING,
            Map.of(PartId.of("main"), main, PartId.of("low"), low, PartId.of("gray"), gray));
    assertThat(loads.total()).isCloseTo((main + low + gray) * Water.DENSITY, within(1e-6));
    Loads twice = Loads.of(PLUMBING, Map.of(PartId.of("main"), main));
    assertThat(twice.front()).isLessThanOrEqualTo(loads.front() + 1e-9);
  }

  @Test
  void waterAheadOfATrailersAxleWeighsOnItsDrawbar() {
    Network trailer = Network.of(SAMPHIRE.rig());
    Loads loads = Loads.of(trailer, Map.of(PartId.of("tank"), 0.05));
    assertThat(loads.supports()).extracting(Bearing::label).endsWith("drawbar");
    assertThat(loads.front()).isNotZero();
    assertThat(loads.total()).isCloseTo(0.05 * Water.DENSITY, within(1e-6));
  }

  @Test
  void waterOnTheLeftLeansLeft() {
    assertThat(Loads.of(PLUMBING, Map.of(PartId.of("main"), 0.1)).left()).isPositive();
    assertThat(Loads.of(PLUMBING, Map.of(PartId.of("gray"), 0.1)).left()).isNegative();
  }

  @Test
  void aVehicleThatCannotStandIsSaidToNeedItsHitch() {
    Vehicle v = SAMPHIRE.rig().vehicle();
    Rig loose = RigEdit.of(SAMPHIRE.rig()).vehicle(v.standingOn(v.axles(), Optional.empty()));
    assertThatThrownBy(() -> Loads.of(Network.of(loose), Map.of()))
        .hasMessageContaining("describe the hitch");
  }

  @Test
  void axlesThatStandTogetherCarryTogether() {
    Vehicle v = MARGINALIA.rig().vehicle();
    Rig six =
        RigEdit.of(MARGINALIA.rig())
            .vehicle(
                v.standingOn(
                    List.of(
                        new Axle("rear", -0.6, 3000, 1500),
                        new Axle("middle", 0.6, 3000, 1500),
                        new Axle("front", 3.85, 2700, 2190)),
                    v.hitch()));
    Loads loads = Loads.of(Network.of(six), Map.of(PartId.of("main"), 0.1));
    assertThat(loads.supports().getFirst().label()).isEqualTo("rear + middle");
    assertThat(loads.supports().getFirst().highest()).isEqualTo(6000);
    assertThat(loads.supports().getFirst().x()).isCloseTo(0, within(1e-9));
  }

  @Test
  void everyOrderOfTheTanksIsTriedOnceAndTheBestStandsFirst() {
    Map<PartId, Double> full =
        Map.of(
            PartId.of("fore"),
            0.06,
            PartId.of("arch"),
            0.05,
            PartId.of("aft"),
            0.05,
            PartId.of("gray"),
            0.01);
    List<DrawOrders.Order> orders = DrawOrders.of(Network.of(TERN.rig()), full, 0.8);
    assertThat(orders).hasSize(6);
    assertThat(new HashSet<>(orders.stream().map(DrawOrders.Order::tanks).toList())).hasSize(6);
    assertThat(orders.stream().map(o -> -o.worst())).isSorted();
    for (DrawOrders.Order order : orders) {
      assertThat(order.course()).hasSize(1 + 4 * 3);
      assertThat(order.course().getFirst()).isEqualTo(orders.getFirst().course().getFirst());
      assertThat(order.worst())
          .isCloseTo(
              order.course().stream().mapToDouble(Loads::margin).min().orElseThrow(), within(1e-9));
      assertThat(order.course().getLast().total()).isLessThan(order.course().getFirst().total());
    }
  }

  private static Loads loads(double rear, double front, double drawbarEmpty, double drawbarLeast) {
    return new Loads(
        List.of(
            new Bearing("axle", 0, 500, 0, 1000),
            new Bearing("drawbar", 3, drawbarEmpty, drawbarLeast, 200)),
        rear,
        front,
        0);
  }

  @Test
  void theMarginIsTheSmallestToAnyLimit() {
    assertThat(loads(450, 0, 100, 0).margin()).isEqualTo(50);
    assertThat(loads(510, 0, 100, 0).margin()).isEqualTo(-10);
    assertThat(loads(0, 90, 100, 0).margin()).isEqualTo(10);
    assertThat(loads(450, 90, 100, 0).margin()).isEqualTo(10);
  }

  @Test
  void aDrawbarThatWasWeighedMustNotBecomeTooLightEither() {
    assertThat(loads(0, -40, 100, 50).margin()).isEqualTo(10);
    assertThat(loads(0, -60, 100, 50).margin()).isEqualTo(-10);
    // Nobody weighed it: what it carries is not known, and only the most counts.
    assertThat(loads(0, -40, 0, 50).margin()).isEqualTo(240);
    // Nothing is asked of it.
    assertThat(loads(0, -140, 100, 0).margin()).isEqualTo(240);
  }

  @Test
  void axlesCountAsOneGroupUpToOneMetreEighty() {
    Vehicle v = MARGINALIA.rig().vehicle();
    List<Axle> near = List.of(new Axle("rear", 0, 3000, 1500), new Axle("middle", 1.8, 3000, 1500));
    List<Axle> apart =
        List.of(new Axle("rear", 0, 3000, 1500), new Axle("front", 1.81, 3000, 1500));
    assertThatThrownBy(() -> Bearing.of(v.standingOn(near, Optional.empty())))
        .hasMessageContaining("one axle");
    assertThat(Bearing.of(v.standingOn(apart, Optional.empty()))).hasSize(2);
    List<Axle> three =
        List.of(
            new Axle("rear", 0, 3000, 1500),
            new Axle("middle", 3, 3000, 1500),
            new Axle("front", 6, 3000, 1500));
    assertThatThrownBy(() -> Bearing.of(v.standingOn(three, Optional.empty())))
        .hasMessageContaining("weighbridge");
  }

  @Test
  void waterIsNeitherMadeNorLostOnATripButWhatIsUsedUp() {
    Map<PartId, Double> full =
        Map.of(
            PartId.of("fore"),
            0.06,
            PartId.of("arch"),
            0.05,
            PartId.of("aft"),
            0.05,
            PartId.of("gray"),
            0.01);
    for (double share : new double[] {0, 0.3}) {
      for (DrawOrders.Order order : DrawOrders.of(Network.of(TERN.rig()), full, share)) {
        for (int i = 0; i < order.course().size(); i++) {
          double left = 0.17 - order.drawn().get(i) * (1 - share);
          assertThat(order.course().get(i).total()).isCloseTo(left * Water.DENSITY, within(1e-3));
        }
        assertThat(order.drawn().getLast()).isCloseTo(0.16, within(1e-9));
        assertThat(order.own()).isGreaterThanOrEqualTo(order.worst());
        assertThat(order.side())
            .isEqualTo(
                order.course().stream().mapToDouble(l -> Math.abs(l.left())).max().orElse(0));
      }
    }
  }

  @Test
  void aGrayTankThatIsFullTakesNoMoreAndNothingIsLostBeyondIt() {
    Network tern = Network.of(TERN.rig());
    double capacity = tern.room(PartId.of("gray")).capacity();
    Map<PartId, Double> full =
        Map.of(
            PartId.of("fore"),
            0.06,
            PartId.of("arch"),
            0.05,
            PartId.of("aft"),
            0.05,
            PartId.of("gray"),
            capacity);
    DrawOrders.Order order = DrawOrders.of(tern, full, 1).getFirst();
    assertThat(order.course().getLast().total()).isCloseTo(capacity * Water.DENSITY, within(1e-3));
  }

  @Test
  void loadsBetweenStretchesLieBetweenThem() {
    Map<PartId, Double> full =
        Map.of(PartId.of("fore"), 0.06, PartId.of("arch"), 0.05, PartId.of("aft"), 0.05);
    DrawOrders.Order order = DrawOrders.of(Network.of(TERN.rig()), full, 0).getFirst();
    for (int i = 0; i < order.drawn().size(); i++) {
      Loads there = order.course().get(i);
      assertThat(order.onRear(order.drawn().get(i))).isCloseTo(there.onRear(), within(1e-9));
      assertThat(order.onFront(order.drawn().get(i))).isCloseTo(there.onFront(), within(1e-9));
    }
    double middle = (order.drawn().get(1) + order.drawn().get(2)) / 2;
    assertThat(order.onRear(middle))
        .isCloseTo(
            (order.course().get(1).onRear() + order.course().get(2).onRear()) / 2, within(1e-9));
    assertThat(order.onRear(1)).isEqualTo(order.course().getLast().onRear());
    assertThat(DrawOrders.of(Network.of(TERN.rig()), Map.of(), 0).getFirst().onRear(0.1))
        .isPositive();
  }
}
