package fernwort.core.frost;

import fernwort.core.kind.end.Tank;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;

/** How places shelter what is in them, and how it loses heat there. */
public final class Shelter {

  /** Film on a line in still air (W/(m² K)). */
  private static final double STILL = 11;

  /** Of a cupboard, a bench, a locker inside, where nobody measured. */
  public static final double INSIDE = 0.6;

  /** Inside with cupboard doors open. */
  private static final double DOORS_OPEN = 0.9;

  private static final double KINEMATIC_VISCOSITY = 1.33e-5;
  private static final double PRANDTL = 0.71;
  private static final double AIR_CONDUCTIVITY = 0.0243;

  /** Of polyethylene (W/(m K)). */
  private static final double TANK_WALL = 0.40;

  /** The surface of a body that holds so much, a cube with fittings: c·V^(2/3). */
  private static final double CUBE = 6;

  private Shelter() {}

  /** Tells whether a place is out in the wind: under the floor or over the roof. */
  public static boolean isOpen(Rig rig, Place place) {
    return place.z() < rig.vehicle().floor() || place.z() > rig.vehicle().roof();
  }

  /** Returns the share of the warmth inside that a place keeps, guessed where nobody said. */
  public static double share(Rig rig, Place place) {
    return place.warmth().orElse(isOpen(rig, place) ? 0.0 : INSIDE);
  }

  static double share(Rig rig, Place place, FreezeForecast.Asked asked) {
    double share = share(rig, place);
    return asked.doorsOpen() && !isOpen(rig, place) ? Math.max(share, DOORS_OPEN) : share;
  }

  /** Returns a metre of a line where it is coldest. */
  static Cooling line(Rig rig, Line line, Place place, FreezeForecast.Asked asked) {
    PipeWall pipe =
        new PipeWall(
            line.bore(),
            line.material().wall(),
            line.material().conductivity(),
            line.insulation().orElse(0.0) + asked.moreInsulation());
    double film =
        isOpen(rig, place) ? Math.max(STILL, across(pipe.outside(), asked.wind())) : STILL;
    return Cooling.pipe(pipe, film);
  }

  /** A cylinder across the wind (Churchill and Bernstein 1977), W/(m² K). */
  static double across(double diameter, double wind) {
    double re = wind * diameter / KINEMATIC_VISCOSITY;
    double nu =
        0.3
            + 0.62
                * Math.sqrt(re)
                * Math.cbrt(PRANDTL)
                / Math.pow(1 + Math.pow(0.4 / PRANDTL, 2.0 / 3), 0.25)
                * Math.pow(1 + Math.pow(re / 282_000, 0.625), 0.8);
    return nu * AIR_CONDUCTIVITY / diameter;
  }

  /** A flat wall in wind (Jürges), W/(m² K). */
  static double flat(double wind) {
    return Math.max(8, 5.7 + 3.8 * wind);
  }

  /** Returns what a body loses per kelvin (W/K). */
  static double conductance(Network network, Part part, Place place, FreezeForecast.Asked asked) {
    double wind = isOpen(network.rig(), place) ? asked.wind() : 0;
    double holds = part.volume();
    double wall = 0.003;
    if (part.kind() instanceof Tank tank) {
      wall = tank.wall();
    }
    double area =
        part.kind() instanceof Tank tank
            ? TankSurface.of(tank.shape())
            : CUBE * Math.cbrt(holds * holds);
    double u = 1 / (1 / flat(wind) + wall / TANK_WALL);
    return area * u;
  }
}
