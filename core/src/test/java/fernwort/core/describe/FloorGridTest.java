package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.guide.Guided;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Five fields along a vehicle and three across it. */
class FloorGridTest {

  /** From 1 m behind the axle to 4 m ahead of it, 2 m wide. */
  private static final FloorGrid PLAN = new FloorGrid(-1, 5, 2);

  @ParameterizedTest
  @CsvSource({"0, 0, -0.5, 0.64", "0, 1, -0.5, 0", "2, 2, 1.5, -0.64", "4, 1, 3.5, 0"})
  void aFieldHasItsMiddle(int along, int side, double x, double y) {
    FloorGrid.Cell cell = new FloorGrid.Cell(along, side);
    Point middle = PLAN.point(cell, 0.7);
    assertThat(middle.x()).isCloseTo(x, within(1e-12));
    assertThat(middle.y()).isCloseTo(y, within(1e-12));
    assertThat(middle.z()).isEqualTo(0.7);
    assertThat(PLAN.cell(x, y)).isEqualTo(cell);
  }

  @ParameterizedTest
  @CsvSource({
    "-0.01, 0.31, 0, 1",
    "0.01, 0.33, 1, 0",
    "3.99, -0.33, 4, 2",
    "-7, 5, 0, 0",
    "9, -5, 4, 2"
  })
  void aPointIsInTheFieldThatIsNearest(double x, double y, int along, int side) {
    assertThat(PLAN.cell(x, y)).isEqualTo(new FloorGrid.Cell(along, side));
  }

  @Test
  void aDrawbarIsNoPartOfThePlan() {
    RigAnswers none = RigAnswers.of("x");
    for (Vehicle.Body body : Vehicle.Body.values()) {
      Vehicle vehicle = Guided.of(none.on("x", 2, new RigAnswers.Van(body, 4))).rig().vehicle();
      FloorGrid plan = FloorGrid.of(vehicle);
      assertThat(plan.rear()).isEqualTo(vehicle.rear());
      assertThat(plan.length()).as("%s", body).isCloseTo(4, within(1e-9));
      assertThat(plan.width()).isEqualTo(vehicle.width());
    }
  }
}
