package fernwort.app.board.layout;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.LongCoach;
import fernwort.core.rig.Place;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class BoardLayoutTest {

  static Stream<DemoRig> demoRigs() {
    return Stream.concat(DemoRig.all().stream(), Stream.of(LongCoach.of(4)));
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void everyPartAndEveryLineIsDrawn(DemoRig demo) {
    BoardLayout layout = BoardLayout.of(demo.rig());
    assertThat(layout.items()).hasSameSizeAs(demo.rig().parts());
    assertThat(layout.wires()).hasSameSizeAs(demo.rig().lines());
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void linesRunAtRightAnglesAndNeverOverAPartOrALabel(DemoRig demo) {
    BoardLayout layout = BoardLayout.of(demo.rig());
    List<Box> walls = new ArrayList<>();
    for (Item item : layout.items().values()) {
      walls.add(item.body());
      if (!item.labelInside() && !item.label().isEmpty()) {
        walls.add(item.labelBox());
      }
    }
    for (Wire wire : layout.wires()) {
      List<int[]> points = points(wire);
      for (int[] p : points.subList(1, points.size() - 1)) {
        assertThat(walls)
            .as("line %s at %d, %d", wire.line(), p[0], p[1])
            .noneMatch(
                b -> p[0] >= b.x() && p[0] <= b.right() && p[1] >= b.y() && p[1] <= b.bottom());
      }
    }
  }

  /** Every grid point of a line; fails where two corners are neither level nor upright. */
  private static List<int[]> points(Wire wire) {
    List<int[]> points = new ArrayList<>();
    for (int i = 0; i + 1 < wire.corners().size(); i++) {
      int[] a = wire.corners().get(i);
      int[] b = wire.corners().get(i + 1);
      assertThat(a[0] == b[0] || a[1] == b[1]).as("right angles of " + wire.line()).isTrue();
      int steps = Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]);
      for (int s = i == 0 ? 0 : 1; s <= steps; s++) {
        points.add(
            new int[] {
              a[0] + s * Integer.signum(b[0] - a[0]), a[1] + s * Integer.signum(b[1] - a[1])
            });
      }
    }
    return points;
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void noTwoPartsOrLabelsLieOverEachOther(DemoRig demo) {
    List<Item> items = List.copyOf(BoardLayout.of(demo.rig()).items().values());
    for (Item a : items) {
      for (Item b : items) {
        if (a != b) {
          assertThat(overlap(a.body(), b.body())).as(a.part() + " over " + b.part()).isFalse();
          assertThat(overlap(a.labelBox(), b.body())).as(a.part() + " on " + b.part()).isFalse();
          assertThat(overlap(a.labelBox(), b.labelBox()))
              .as(a.part() + " and " + b.part())
              .isFalse();
        }
      }
    }
  }

  private static boolean overlap(Box a, Box b) {
    return a.x() < b.right() && b.x() < a.right() && a.y() < b.bottom() && b.y() < a.bottom();
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void noTwoLinesShareAStretch(DemoRig demo) {
    Set<String> stretches = new HashSet<>();
    for (Wire wire : BoardLayout.of(demo.rig()).wires()) {
      List<int[]> points = points(wire);
      for (int i = 0; i + 1 < points.size(); i++) {
        int[] a = points.get(i);
        int[] b = points.get(i + 1);
        String stretch =
            "%d,%d %d".formatted(Math.min(a[0], b[0]), Math.min(a[1], b[1]), a[0] == b[0] ? 1 : 0);
        assertThat(stretches.add(stretch)).as("line %s at %s", wire.line(), stretch).isTrue();
      }
    }
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void theDrawingKeepsRearBeforeNoseAndHighAboveLow(DemoRig demo) {
    BoardLayout layout = BoardLayout.of(demo.rig());
    double floor = demo.rig().vehicle().floor();
    for (Place place : demo.rig().places()) {
      Box room = layout.rooms().get(place.id().value());
      if (room != null) {
        assertThat(room.bottom() <= layout.floor() + 1)
            .as(place.label() + " above the floor")
            .isEqualTo(place.z() >= floor);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void drawingTwiceGivesTheSameDrawing(DemoRig demo) {
    BoardLayout a = BoardLayout.of(demo.rig());
    BoardLayout b = BoardLayout.of(demo.rig());
    assertThat(a.items()).isEqualTo(b.items());
    assertThat(a.wires().stream().map(w -> w.path(0, 0)))
        .isEqualTo(b.wires().stream().map(w -> w.path(0, 0)).toList());
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void everyPlaceFitsAPhoneWithAllItsPartsAndLines(DemoRig demo) {
    for (Place place : demo.rig().places()) {
      BoardLayout layout = BoardLayout.of(demo.rig(), place, 366);
      long parts = demo.rig().parts().stream().filter(p -> p.place().equals(place.id())).count();
      assertThat(layout.items()).hasSize((int) parts + layout.tags().size());
      assertThat(layout.wires().stream().map(Wire::line)).containsAll(layout.tags().values());
      assertThat(layout.width() * Grid.CELL).isLessThanOrEqualTo(366);
    }
  }
}
