package fernwort.core.sizing;

import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.Shape.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Outlines of spaces and tanks as one sees them from the vehicle's side, rear end at x = 0. */
final class SideView {

  /** As many corners look round. */
  private static final int ROUND = 48;

  private SideView() {}

  static List<Corner> of(WhatFits.Space space) {
    return switch (space) {
      case WhatFits.Space.Square s -> rectangle(s.length(), s.height());
      case WhatFits.Space.OverArch s ->
          List.of(
              new Corner(0, 0),
              new Corner(s.before(), 0),
              new Corner(s.before(), s.archHeight()),
              new Corner(s.before() + s.arch(), s.archHeight()),
              new Corner(s.before() + s.arch(), 0),
              new Corner(s.length(), 0),
              new Corner(s.length(), s.height()),
              new Corner(0, s.height()));
      case WhatFits.Space.Tapering s ->
          List.of(
              new Corner(0, 0),
              new Corner(s.length(), 0),
              new Corner(s.length(), s.lowHeight()),
              new Corner(0, s.height()));
    };
  }

  static List<Corner> of(Shape shape) {
    return switch (shape) {
      case Shape.Box b -> rectangle(b.length(), b.height());
      case Shape.UprightCylinder c -> rectangle(c.diameter(), c.height());
      case Shape.LyingCylinder c ->
          c.across() ? circle(c.diameter()) : rectangle(c.length(), c.diameter());
      case Shape.Prism p -> p.section();
      case Shape.Straddling s -> straddling(s.blocks());
      case Shape.DepthTable t -> List.of();
    };
  }

  private static List<Corner> rectangle(double length, double height) {
    return List.of(
        new Corner(0, 0), new Corner(length, 0), new Corner(length, height), new Corner(0, height));
  }

  private static List<Corner> circle(double diameter) {
    double radius = diameter / 2;
    return IntStream.range(0, ROUND)
        .mapToObj(i -> {
          double angle = 2 * Math.PI * i / ROUND;
          return new Corner(radius + radius * Math.cos(angle), radius + radius * Math.sin(angle));
        })
        .toList();
  }

  /** Blocks side by side: along their floors one way, along their tops back. */
  private static List<Corner> straddling(List<Shape.Block> blocks) {
    List<Corner> corners = new ArrayList<>();
    for (Shape.Block b : blocks) {
      corners.add(new Corner(b.x(), b.z()));
      corners.add(new Corner(b.x() + b.length(), b.z()));
    }
    for (Shape.Block b : blocks.reversed()) {
      corners.add(new Corner(b.x() + b.length(), b.z() + b.height()));
      corners.add(new Corner(b.x(), b.z() + b.height()));
    }
    return corners;
  }
}
