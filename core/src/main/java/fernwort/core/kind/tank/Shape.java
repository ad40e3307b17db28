package fernwort.core.kind.tank;

import java.util.List;

/**
 * The outside shape of a tank; the inside is less by the wall on every side.
 *
 * <p>All dimensions are outside dimensions in metres, but for {@link DepthTable}, which was
 * measured with water and therefore holds inside figures.
 */
public sealed interface Shape {

  /** A box, length along x, width along y. */
  record Box(double length, double width, double height) implements Shape {}

  /** A cylinder that stands on its end. */
  record UprightCylinder(double diameter, double height) implements Shape {}

  /** A cylinder that lies along the vehicle, or across it. */
  record LyingCylinder(double diameter, double length, boolean across) implements Shape {}

  /**
   * A straight prism: a polygon seen from the left side, going through the width of the vehicle.
   *
   * @param section corners in order, each x forward and z up (m)
   * @param width extent along y (m)
   */
  record Prism(List<Corner> section, double width) implements Shape {
    public Prism {
      section = List.copyOf(section);
    }
  }

  /** A corner of a section. */
  record Corner(double x, double z) {}

  /** Boxes joined to one room, such as two lobes and the bridge over a wheel arch. */
  record Straddling(List<Block> blocks) implements Shape {
    public Straddling {
      blocks = List.copyOf(blocks);
    }
  }

  /** One box of a straddling tank, placed by its low corner. */
  record Block(double x, double y, double z, double length, double width, double height) {}

  /**
   * Volumes measured by filling: the tank is taken to be straight-sided between two rows.
   *
   * @param length inside length along x (m)
   * @param rows depths from low to high with the volume up to them
   */
  record DepthTable(double length, List<Row> rows) implements Shape {
    public DepthTable {
      rows = List.copyOf(rows);
    }
  }

  /** The volume (m³) up to a depth (m). */
  record Row(double depth, double volume) {}
}
