package fernwort.app.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.units.Units;
import fernwort.core.demo.DemoRig;
import fernwort.core.load.DrawOrders;
import fernwort.core.load.Loads;
import fernwort.core.network.Plumbing;
import fernwort.core.rig.State;
import fernwort.core.sizing.Demand;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SizingViewTest {

  private static final DemoRig RIG = DemoRig.all().getFirst();
  private static final Plumbing PLUMBING = Plumbing.of(RIG.rig());
  private static final State FULL =
      RIG.state().withVolume("main", 0.124).withVolume("low", 0.09).withVolume("gray", 0);

  private static Lasts lasts(State state) {
    return Lasts.of(PLUMBING, state, Habits.DEFAULT);
  }

  @Test
  void theStayIsShownAsReadFromFullAndForALitreMore() {
    List<SizingView.Row> rows =
        SizingView.stay(lasts(RIG.state()), lasts(FULL), Habits.DEFAULT, Units.METRIC);
    assertThat(rows)
        .extracting(SizingView.Row::what)
        .contains("As read", "One L more of gray room");
    assertThat(rows.getFirst().figure()).isEqualTo("2.6 days");
    assertThat(rows.getFirst().working()).contains("÷", "gray room");
  }

  @Test
  void whatTheDaysNeedIsHeldAgainstWhatTheTanksHold() {
    List<SizingView.Row> five =
        SizingView.need(Demand.of(Habits.DEFAULT, 5, 0), lasts(FULL), Units.METRIC);
    assertThat(five.get(0).working()).contains("enough");
    assertThat(five.get(1).working()).contains("too little");
    List<SizingView.Row> one =
        SizingView.need(Demand.of(Habits.DEFAULT, 1, 0), lasts(FULL), Units.METRIC);
    assertThat(one).allMatch(r -> r.working().contains("enough"));
  }

  @Test
  void loadsStandBesideTheirLimitsInThePersonsUnits() {
    Loads full = Loads.of(PLUMBING, FULL.volumes());
    Loads empty = Loads.of(PLUMBING, Map.of());
    List<SizingView.Weight> rows = SizingView.weight(empty, full, Units.of("lb"));
    assertThat(rows).extracting(SizingView.Weight::support).contains("rear axle", "front axle");
    assertThat(rows.getFirst().now()).isEqualTo("6878 lb");
    assertThat(rows).noneMatch(SizingView.Weight::over);
  }

  @Test
  void ordersAreNamedByTheirTanksAndChartedAgainstTheLimit() {
    List<DrawOrders.Order> orders = DrawOrders.of(PLUMBING, FULL.volumes(), 0.7);
    assertThat(SizingView.orders(RIG.rig(), orders, Units.METRIC))
        .hasSize(2)
        .allSatisfy(r -> assertThat(r.what()).contains(", then "));
    List<Chart> charts = SizingView.course(orders.getFirst(), orders.getLast(), Units.METRIC);
    assertThat(charts).hasSize(2).allSatisfy(c -> assertThat(c.lines()).hasSize(2));
    assertThat(charts).allMatch(c -> c.limitY() > 0 && c.limitY() < Chart.HEIGHT);
  }

  @Test
  void aChartKeepsWithinItsFrame() {
    String path = Chart.path(List.of(-5.0, 0.0, 50.0, 500.0), 0, 100);
    for (String point : path.substring(1).split("L")) {
      String[] xy = point.split(" ");
      assertThat(Double.parseDouble(xy[0])).isBetween(0.0, Chart.WIDTH);
      assertThat(Double.parseDouble(xy[1])).isBetween(0.0, Chart.HEIGHT);
    }
  }

  @Test
  void aRigWithoutAGrayTankIsToldToCatchItNotThatRoomIsMissing() {
    DemoRig samphire = DemoRig.all().get(1);
    Lasts lasts = Lasts.of(Plumbing.of(samphire.rig()), samphire.state(), Habits.DEFAULT);
    assertThat(SizingView.need(Demand.of(Habits.DEFAULT, 2, 0), lasts, Units.METRIC).getLast())
        .satisfies(r -> assertThat(r.working()).contains("no gray tank"));
  }
}
