package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.describe.TankResize;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankFigures;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * A tank seen from the left, to scale, with its ports and its figures.
 *
 * @param width width of the drawing (px)
 * @param height height of the drawing (px)
 * @param outline path of its inside
 * @param usableTop height of the highest water (px from the top)
 * @param usableBottom height of the lowest outlet (px from the top)
 * @param ports its ports
 * @param figures its litres in words
 */
public record TankPicture(
    double width,
    double height,
    String outline,
    double usableTop,
    double usableBottom,
    List<Port> ports,
    List<String> figures) {

  /** A port where it is drawn, and where its name stands. */
  public record Port(String name, double x, double y, double nameY) {}

  private static final double WIDEST = 300;
  private static final double TALLEST = 190;
  private static final double EDGE = 8;

  static TankPicture of(Tank tank, Units units) {
    TankRoom room = TankRoom.of(tank);
    double high = room.highest(Slope.LEVEL);
    double length = TankResize.length(tank);
    double scale = Math.min(WIDEST / length, TALLEST / high);
    double bottom = EDGE + high * scale;
    TankFigures figures = TankFigures.of(tank, room, Slope.LEVEL);
    return new TankPicture(
        2 * EDGE + length * scale,
        2 * EDGE + high * scale,
        outline(tank, length, high, scale, bottom),
        bottom - scale * room.level(figures.full(), Slope.LEVEL),
        bottom - scale * room.level(figures.stranded(), Slope.LEVEL),
        tank.tankPorts().stream().map(p -> port(p, scale, bottom)).toList(),
        List.of(
            Says.TO_THE_BRIM.filled(units.show(Measure.VOLUME, figures.capacity())),
            units.show(Measure.VOLUME, figures.usable()) + " usable",
            Says.STRANDED_BELOW_THE_OUTLET.filled(units.show(Measure.VOLUME, figures.stranded())),
            Says.UNREACHABLE_ABOVE_THE_VENT.filled(
                units.show(Measure.VOLUME, figures.unreachable()))));
  }

  private static Port port(TankPort p, double scale, double bottom) {
    double y = bottom - scale * p.at().z();
    return new Port(p.id().value(), EDGE + scale * p.at().x(), y, y < bottom / 2 ? y + 14 : y - 6);
  }

  private static String outline(
      Tank tank, double length, double high, double scale, double bottom) {
    return switch (tank.shape()) {
      case Shape.LyingCylinder s when s.across() -> circle(scale * length / 2, bottom);
      case Shape.Prism s ->
          "M"
              + s.section().stream()
                  .map(c ->
                      at(
                          EDGE + scale * Math.min(c.x(), length),
                          bottom - scale * Math.min(c.z(), high)))
                  .collect(Collectors.joining("L"))
              + "Z";
      case Shape.Straddling s ->
          s.blocks().stream()
              .map(b ->
                  box(
                      EDGE + scale * b.x(),
                      bottom - scale * Math.min(b.z() + b.height(), high),
                      scale * Math.min(b.length(), length - b.x()),
                      scale * Math.min(b.height(), high - b.z())))
              .collect(Collectors.joining());
      case Shape.Box _, Shape.UprightCylinder _, Shape.LyingCylinder _, Shape.DepthTable _ ->
          box(EDGE, bottom - scale * high, scale * length, scale * high);
    };
  }

  private static String circle(double r, double bottom) {
    return String.format(
        Locale.ROOT,
        "M%.1f %.1fa%.1f %.1f 0 1 0 %.1f 0a%.1f %.1f 0 1 0 %.1f 0Z",
        EDGE,
        bottom - r,
        r,
        r,
        2 * r,
        r,
        r,
        -2 * r);
  }

  private static String box(double x, double y, double width, double height) {
    return String.format(Locale.ROOT, Says.M_H_V_H_Z.text(), x, y, width, height, -width);
  }

  private static String at(double x, double y) {
    return String.format(Locale.ROOT, "%.1f %.1f", x, y);
  }
}
