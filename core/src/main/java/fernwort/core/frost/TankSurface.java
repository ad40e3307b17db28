package fernwort.core.frost;

import fernwort.core.kind.tank.Shape;
import java.util.List;

/** The surface by which a tank loses its warmth, from its dimensions. */
final class TankSurface {

  private TankSurface() {}

  /** Returns the outside surface of a tank (m²). */
  static double of(Shape shape) {
    return switch (shape) {
      case Shape.Box b -> box(b.length(), b.width(), b.height());
      case Shape.UprightCylinder c -> cylinder(c.diameter(), c.height());
      case Shape.LyingCylinder c -> cylinder(c.diameter(), c.length());
      case Shape.Prism p -> prism(p.section(), p.width());
      case Shape.Straddling s -> blocks(s.blocks());
      case Shape.DepthTable t -> measured(t);
    };
  }

  private static double box(double length, double width, double height) {
    return 2 * (length * width + length * height + width * height);
  }

  private static double cylinder(double diameter, double length) {
    return Math.PI * diameter * (diameter / 2 + length);
  }

  /** Both ends by the shoelace formula, and the walls between. */
  private static double prism(List<Shape.Corner> section, double width) {
    double twice = 0;
    double around = 0;
    for (int i = 0; i < section.size(); i++) {
      Shape.Corner a = section.get(i);
      Shape.Corner b = section.get((i + 1) % section.size());
      twice += a.x() * b.z() - b.x() * a.z();
      around += Math.hypot(b.x() - a.x(), b.z() - a.z());
    }
    return Math.abs(twice) + around * width;
  }

  /** Each block by itself, but for the faces at which two of them meet. */
  private static double blocks(List<Shape.Block> blocks) {
    double surface = 0;
    for (int i = 0; i < blocks.size(); i++) {
      Shape.Block a = blocks.get(i);
      surface += box(a.length(), a.width(), a.height());
      for (Shape.Block b : blocks.subList(i + 1, blocks.size())) {
        surface -= 2 * meeting(a, b);
      }
    }
    return surface;
  }

  /** The face that two blocks share, if they touch (m²). */
  private static double meeting(Shape.Block a, Shape.Block b) {
    double x = overlap(a.x(), a.length(), b.x(), b.length());
    double y = overlap(a.y(), a.width(), b.y(), b.width());
    double z = overlap(a.z(), a.height(), b.z(), b.height());
    if (x < 0 || y < 0 || z < 0) {
      return 0;
    }
    double least = Math.min(x, Math.min(y, z));
    if (least == x) {
      return y * z;
    }
    return least == y ? x * z : x * y;
  }

  private static double overlap(double a, double along, double b, double reach) {
    return Math.min(a + along, b + reach) - Math.max(a, b);
  }

  /** As the box of its length and depth that holds as much. */
  private static double measured(Shape.DepthTable table) {
    double depth = table.rows().getLast().depth() - table.rows().getFirst().depth();
    double width = table.rows().getLast().volume() / (table.length() * depth);
    return box(table.length(), width, depth);
  }
}
