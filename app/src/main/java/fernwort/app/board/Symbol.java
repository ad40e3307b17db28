package fernwort.app.board;

import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;

/**
 * A part as it is drawn by itself, outside the Board: as it looks to the person in front of it.
 *
 * @param figure how it is drawn
 * @param angle where a lever points (degrees clockwise from the right)
 * @param position id of its position; empty for none
 * @param halfWidth half the width of figures that have no width of their own (px)
 */
public record Symbol(String figure, double angle, String position, double halfWidth) {

  private static final double WIDTH = 24;

  /** Draws a part in a position. */
  public static Symbol of(Part part, String position) {
    return new Symbol(figure(part.kind()), angle(part.kind(), position), position, WIDTH);
  }

  static double angle(Kind kind, String position) {
    return kind instanceof Kind.Valve valve ? -valve.stop(position).angle() : 0;
  }

  static String figure(Kind kind) {
    return switch (kind) {
      case Kind.Tank k -> "tank";
      case Kind.TwoWayValve k -> k.motor().isPresent() ? "motor" : "valve";
      case Kind.ThreeWayValve k -> "valve";
      case Kind.Fixture k ->
          k.use() == Kind.Fixture.Type.TOILET
              ? "toilet"
              : k.use() == Kind.Fixture.Type.SHOWER ? "shower" : "tap";
      case Kind.Manifold k -> "manifold";
      case Kind.Tee k -> "tee";
      case Kind.CheckValve k -> "check";
      case Kind.Strainer k -> "strainer";
      case Kind.DrainTrap k -> "trap";
      case Kind.LeakTray k -> "tray";
      case Kind.Heater k -> "heater";
      case Kind.OpenEnd k -> k.role() == Kind.OpenEnd.Role.DUMP ? "dump" : "end";
      case Kind.Plug k -> "cap";
      case Kind.AirAdmittanceValve k -> "air";
      case Kind.HoseInlet k -> "inlet";
      case Kind.GravityFiller k -> "filler";
      case Kind.Regulator k -> "regulator";
      case Kind.Filter k -> "filter";
      case Kind.Pump k -> "pump";
      case Kind.Accumulator k -> "surge";
      case Kind.PortableContainer k -> "jug";
      case Kind.Macerator k -> "pump";
    };
  }
}
