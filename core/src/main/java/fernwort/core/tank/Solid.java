package fernwort.core.tank;

import fernwort.core.kind.tank.Point;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * A closed polyhedron in the tank's frame, its faces ordered counter-clockwise seen from outside.
 */
final class Solid {

  /** Each face as x, y, z of its corners in one row (m). */
  private final double[][] faces;

  /** Faces this near to each other touch (m). */
  private static final double TOUCHING = 1e-6;

  private Solid(double[][] faces) {
    this.faces = faces;
  }

  static Solid box(double x0, double y0, double z0, double x1, double y1, double z1) {
    return new Solid(
        new double[][] {
          {x0, y0, z0, x0, y1, z0, x1, y1, z0, x1, y0, z0},
          {x0, y0, z1, x1, y0, z1, x1, y1, z1, x0, y1, z1},
          {x0, y0, z0, x1, y0, z0, x1, y0, z1, x0, y0, z1},
          {x0, y1, z0, x0, y1, z1, x1, y1, z1, x1, y1, z0},
          {x0, y0, z0, x0, y0, z1, x0, y1, z1, x0, y1, z0},
          {x1, y0, z0, x1, y1, z0, x1, y1, z1, x1, y0, z1},
        });
  }

  /**
   * A prism.
   *
   * @param base corners of one end face, counter-clockwise seen from the far end
   * @param along from that end to the other
   */
  static Solid prism(List<Point> base, Point along) {
    int n = base.size();
    double[][] faces = new double[n + 2][];
    double[] low = new double[3 * n];
    double[] high = new double[3 * n];
    for (int i = 0; i < n; i++) {
      Point p = base.get(i);
      Point q = base.get((i + 1) % n);
      put(low, n - 1 - i, p);
      put(high, i, p.plus(along));
      double[] side = new double[12];
      put(side, 0, p);
      put(side, 1, q);
      put(side, 2, q.plus(along));
      put(side, 3, p.plus(along));
      faces[i] = side;
    }
    faces[n] = low;
    faces[n + 1] = high;
    return new Solid(faces);
  }

  private static void put(double[] row, int index, Point p) {
    row[3 * index] = p.x();
    row[3 * index + 1] = p.y();
    row[3 * index + 2] = p.z();
  }

  /**
   * Returns the lowest (first) and highest (second) coordinate of the corners along a direction.
   */
  double[] extent(Point up) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double[] face : faces) {
      for (int i = 0; i < face.length; i += 3) {
        double h = up.x() * face[i] + up.y() * face[i + 1] + up.z() * face[i + 2];
        low = Math.min(low, h);
        high = Math.max(high, h);
      }
    }
    return new double[] {low, high};
  }

  /** Tells whether a point is in the box around this solid, or as near as this (m). */
  boolean holds(Point p, double near) {
    double[][] box = box();
    double[] at = {p.x(), p.y(), p.z()};
    for (int axis = 0; axis < 3; axis++) {
      if (at[axis] < box[axis][0] - near || at[axis] > box[axis][1] + near) {
        return false;
      }
    }
    return true;
  }

  /**
   * Returns the lowest coordinate along a direction of what the boxes around two solids share (m);
   * infinite when they do not touch.
   */
  double lowestShared(Solid other, Point up) {
    double[][] mine = box();
    double[][] its = other.box();
    double[] normal = {up.x(), up.y(), up.z()};
    double lowest = 0;
    for (int axis = 0; axis < 3; axis++) {
      double low = Math.max(mine[axis][0], its[axis][0]);
      double high = Math.min(mine[axis][1], its[axis][1]);
      if (low > high + TOUCHING) {
        return Double.POSITIVE_INFINITY;
      }
      lowest += Math.min(normal[axis] * low, normal[axis] * high);
    }
    return lowest;
  }

  private double[][] box() {
    return new double[][] {
      extent(new Point(1, 0, 0)), extent(new Point(0, 1, 0)), extent(new Point(0, 0, 1))
    };
  }

  /** Returns the coordinates of the corners along a direction, with repeats. */
  DoubleStream levels(Point up) {
    return Arrays.stream(faces)
        .flatMapToDouble(face ->
            IntStream.range(0, face.length / 3)
                .mapToDouble(i ->
                    up.x() * face[3 * i] + up.y() * face[3 * i + 1] + up.z() * face[3 * i + 2]));
  }

  /**
   * Adds this solid's share under a plane to {@code sum}.
   *
   * @param up unit normal of the plane
   * @param level the plane's coordinate along it (m)
   * @param sum volume (m³) and its first moments in x, y and z (m⁴), added to in place
   */
  void addBelow(Point up, double level, double[] sum) {
    double ax = up.x() * level;
    double ay = up.y() * level;
    double az = up.z() * level;
    double[] cut = new double[2 * longestFace() + 6];
    for (double[] face : faces) {
      int corners = clip(face, up, level, cut);
      for (int i = 1; i + 1 < corners; i++) {
        addTetrahedron(ax, ay, az, cut, 3 * i, sum);
      }
    }
  }

  private int longestFace() {
    int longest = 0;
    for (double[] face : faces) {
      longest = Math.max(longest, face.length);
    }
    return longest;
  }

  /** Clips a face to the half space below the plane; returns the corners left in {@code cut}. */
  private static int clip(double[] face, Point up, double level, double[] cut) {
    int count = 0;
    int last = face.length - 3;
    double px = face[last];
    double py = face[last + 1];
    double pz = face[last + 2];
    double pd = up.x() * px + up.y() * py + up.z() * pz - level;
    for (int i = 0; i < face.length; i += 3) {
      double qx = face[i];
      double qy = face[i + 1];
      double qz = face[i + 2];
      double qd = up.x() * qx + up.y() * qy + up.z() * qz - level;
      if (pd < 0 != qd < 0) {
        double t = pd / (pd - qd);
        cut[3 * count] = px + t * (qx - px);
        cut[3 * count + 1] = py + t * (qy - py);
        cut[3 * count + 2] = pz + t * (qz - pz);
        count++;
      }
      if (qd < 0) {
        cut[3 * count] = qx;
        cut[3 * count + 1] = qy;
        cut[3 * count + 2] = qz;
        count++;
      }
      px = qx;
      py = qy;
      pz = qz;
      pd = qd;
    }
    return count;
  }

  private static void addTetrahedron(
      double ax, double ay, double az, double[] cut, int i, double[] sum) {
    double bx = cut[0] - ax;
    double by = cut[1] - ay;
    double bz = cut[2] - az;
    double cx = cut[i] - ax;
    double cy = cut[i + 1] - ay;
    double cz = cut[i + 2] - az;
    double dx = cut[i + 3] - ax;
    double dy = cut[i + 4] - ay;
    double dz = cut[i + 5] - az;
    double volume =
        (bx * (cy * dz - cz * dy) - by * (cx * dz - cz * dx) + bz * (cx * dy - cy * dx)) / 6;
    sum[0] += volume;
    sum[1] += volume * (ax + (bx + cx + dx) / 4);
    sum[2] += volume * (ay + (by + cy + dy) / 4);
    sum[3] += volume * (az + (bz + cz + dz) / 4);
  }
}
