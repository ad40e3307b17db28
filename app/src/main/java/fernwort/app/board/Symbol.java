package fernwort.app.board;

import fernwort.core.kind.Accumulator;
import fernwort.core.kind.AirAdmittanceValve;
import fernwort.core.kind.CheckValve;
import fernwort.core.kind.DrainTrap;
import fernwort.core.kind.Filter;
import fernwort.core.kind.Fixture;
import fernwort.core.kind.GravityFiller;
import fernwort.core.kind.Heater;
import fernwort.core.kind.HoseInlet;
import fernwort.core.kind.Kind;
import fernwort.core.kind.LeakTray;
import fernwort.core.kind.Macerator;
import fernwort.core.kind.Manifold;
import fernwort.core.kind.OpenEnd;
import fernwort.core.kind.Plug;
import fernwort.core.kind.PortableContainer;
import fernwort.core.kind.Pump;
import fernwort.core.kind.Regulator;
import fernwort.core.kind.Strainer;
import fernwort.core.kind.Tank;
import fernwort.core.kind.Tee;
import fernwort.core.kind.ThreeWayValve;
import fernwort.core.kind.TwoWayValve;
import fernwort.core.kind.Valve;
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
    return kind instanceof Valve valve ? -valve.stop(position).angle() : 0;
  }

  static String figure(Kind kind) {
    return switch (kind) {
      case Tank k -> "tank";
      case TwoWayValve k -> k.motor().isPresent() ? "motor" : "valve";
      case ThreeWayValve k -> "valve";
      case Fixture k ->
          k.use() == Fixture.Type.TOILET
              ? "toilet"
              : k.use() == Fixture.Type.SHOWER ? "shower" : "tap";
      case Manifold k -> "manifold";
      case Tee k -> "tee";
      case CheckValve k -> "check";
      case Strainer k -> "strainer";
      case DrainTrap k -> "trap";
      case LeakTray k -> "tray";
      case Heater k -> "heater";
      case OpenEnd k -> k.role() == OpenEnd.Role.DUMP ? "dump" : "end";
      case Plug k -> "cap";
      case AirAdmittanceValve k -> "air";
      case HoseInlet k -> "inlet";
      case GravityFiller k -> "filler";
      case Regulator k -> "regulator";
      case Filter k -> "filter";
      case Pump k -> "pump";
      case Accumulator k -> "surge";
      case PortableContainer k -> "jug";
      case Macerator k -> "pump";
    };
  }
}
