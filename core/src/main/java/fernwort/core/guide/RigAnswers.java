package fernwort.core.guide;

import fernwort.core.kind.line.Filter;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Face;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * What somebody has answered about a rig so far. Everything may still be missing; lengths are in
 * metres, volumes in cubic metres, pressures in pascals.
 *
 * @param name what the rig is called
 * @param people how many travel
 * @param vehicle the vehicle
 * @param tanks its tanks, fresh and gray
 * @param mains the hose inlet; there is none while it leads nowhere
 * @param suction what the water passes between tank and pump, in order
 * @param selector the three-way valve among these
 * @param pump the pump and what follows it
 * @param taps where water is used
 * @param waste how it runs off
 * @param lows the low points
 * @param bores the bores, asked once for all
 */
public record RigAnswers(
    String name,
    int people,
    Van vehicle,
    List<Tank> tanks,
    Mains mains,
    List<Piece> suction,
    Selector selector,
    Pump pump,
    List<Tap> taps,
    Waste waste,
    Lows lows,
    Bores bores) {

  public RigAnswers {
    Objects.requireNonNull(mains, "mains");
    tanks = List.copyOf(tanks);
    suction = List.copyOf(suction);
    taps = List.copyOf(taps);
  }

  /** Returns a rig of which nothing has been said but its name. */
  public static RigAnswers of(String name) {
    return new RigAnswers(
        name,
        2,
        new Van(Vehicle.Body.VAN, 5.4),
        List.of(),
        Mains.USUAL,
        List.of(),
        Selector.USUAL,
        Pump.USUAL,
        List.of(),
        Waste.USUAL,
        Lows.USUAL,
        Bores.USUAL);
  }

  /** Returns these about a vehicle of some name, with so many people. */
  public RigAnswers on(String called, int travelling, Van van) {
    return new RigAnswers(
        called, travelling, van, tanks, mains, suction, selector, pump, taps, waste, lows, bores);
  }

  /** Returns these with other tanks. */
  public RigAnswers with(List<Tank> others) {
    return new RigAnswers(
        name, people, vehicle, others, mains, suction, selector, pump, taps, waste, lows, bores);
  }

  /** Returns these with another hose inlet. */
  public RigAnswers filledBy(Mains inlet) {
    return new RigAnswers(
        name, people, vehicle, tanks, inlet, suction, selector, pump, taps, waste, lows, bores);
  }

  /** Returns these with other pieces between tank and pump. */
  public RigAnswers drawing(List<Piece> pieces, Selector valve) {
    return new RigAnswers(
        name, people, vehicle, tanks, mains, pieces, valve, pump, taps, waste, lows, bores);
  }

  /** Returns these with another pump. */
  public RigAnswers pumping(Pump other) {
    return new RigAnswers(
        name, people, vehicle, tanks, mains, suction, selector, other, taps, waste, lows, bores);
  }

  /** Returns these with other taps. */
  public RigAnswers tapping(List<Tap> others) {
    return new RigAnswers(
        name, people, vehicle, tanks, mains, suction, selector, pump, others, waste, lows, bores);
  }

  /** Returns these with wastes that run off otherwise. */
  public RigAnswers running(Waste other) {
    return new RigAnswers(
        name, people, vehicle, tanks, mains, suction, selector, pump, taps, other, lows, bores);
  }

  /** Returns these with other low points and bores. */
  public RigAnswers low(Lows spots, Bores all) {
    return new RigAnswers(
        name, people, vehicle, tanks, mains, suction, selector, pump, taps, waste, spots, all);
  }

  /** Returns the tanks for some water, in the order in which they were named. */
  public List<Tank> tanks(Contents contents) {
    return tanks.stream().filter(t -> t.contents() == contents).toList();
  }

  /**
   * The vehicle.
   *
   * @param body its silhouette
   * @param length from bumper to bumper, without a drawbar (m)
   * @param floor its floor above the ground, if somebody measured (m)
   * @param rearLimit what the plate says its rear or only axle may carry (kg)
   * @param frontLimit the same of the front axle (kg)
   */
  public record Van(
      Vehicle.Body body,
      double length,
      Optional<Double> floor,
      Optional<Double> rearLimit,
      Optional<Double> frontLimit) {

    public Van {
      // Answers of an earlier Fernwort know nothing of these three.
      floor = Objects.requireNonNullElse(floor, Optional.empty());
      rearLimit = Objects.requireNonNullElse(rearLimit, Optional.empty());
      frontLimit = Objects.requireNonNullElse(frontLimit, Optional.empty());
    }

    /**
     * Makes a vehicle of which nobody measured the floor or read the plate.
     *
     * @param length from bumper to bumper, without a drawbar (m)
     */
    public Van(Vehicle.Body body, double length) {
      this(body, length, Optional.empty(), Optional.empty(), Optional.empty());
    }
  }

  /**
   * A spot on the plan of the vehicle, seen from above.
   *
   * @param along the fifth of its length, 0 at the rear to 4 at the nose
   * @param side 0 left, 1 in the middle, 2 right
   */
  public record Spot(int along, int side) {
    public Spot {
      if (along < 0 || along > 4 || side < 0 || side > 2) {
        throw new IllegalArgumentException("no spot of the plan: " + along + ", " + side);
      }
    }
  }

  /** Where a tank stands: over the floor, or under it in wind and frost. */
  public enum Stands {
    INSIDE,
    UNDERNEATH
  }

  /** How water comes into a tank. */
  public enum Fill {
    NECK,
    JUG,
    MAINS,
    FLOAT
  }

  /** What a tank is emptied by. */
  public enum Drain {
    NONE,
    CAP,
    VALVE
  }

  /**
   * An opening that somebody has shown on a face of a tank.
   *
   * @param port what it is, as the tank's opening is called
   * @param face the face
   * @param across from the rear edge; on the rear and front face from the right one (m), outside or
   *     inside as the tank was measured
   * @param up from the lower edge; on top and bottom from the right one (m)
   */
  public record Opening(String port, Face face, double across, double up) {}

  /**
   * Sizes of a tank from outside (m): along the vehicle, across it, and high.
   *
   * @param length along the vehicle, outside (m)
   * @param width across the vehicle, outside (m)
   * @param height outside (m)
   */
  public record Size(double length, double width, double height) {

    /**
     * Returns a size as high as it must be to hold a volume (m³) at a length and width.
     *
     * @param length outside (m)
     * @param width outside (m)
     * @param volume what it holds (m³)
     */
    public static Size holding(double length, double width, double volume, boolean inside) {
      double walls = inside ? 0 : 2 * TankSizes.USUAL_WALL;
      return new Size(length, width, volume / ((length - walls) * (width - walls)) + walls);
    }
  }

  /**
   * A tank.
   *
   * @param id short name, unique among the tanks
   * @param label what people call it
   * @param contents the water it is for
   * @param litres what its label says (m³)
   * @param size its sizes, if somebody measured
   * @param inside whether they were measured inside
   * @param stands whether it stands inside or hangs underneath, if somebody said so
   * @param spot where it stands
   * @param bottom its bottom above the ground (m)
   * @param fills how it is filled
   * @param neck where its neck is
   * @param neckHeight the mouth of the neck above the ground (m)
   * @param ventEnd where its vent ends above the ground (m)
   * @param ventRises whether the vent rises above that first
   * @param drain what it is emptied by
   * @param from the tank that it is filled from by a pump of its own, by short name
   * @param openings openings that somebody has shown; the others stand where they usually do
   */
  public record Tank(
      String id,
      String label,
      Contents contents,
      Optional<Double> litres,
      Optional<Size> size,
      boolean inside,
      Optional<Stands> stands,
      Spot spot,
      double bottom,
      Set<Fill> fills,
      Spot neck,
      double neckHeight,
      double ventEnd,
      boolean ventRises,
      Drain drain,
      Optional<String> from,
      List<Opening> openings) {
    public Tank {
      fills = Set.copyOf(fills);
      stands = Objects.requireNonNullElse(stands, Optional.empty());
      // Answers of an earlier Fernwort know nothing of these two.
      from = Objects.requireNonNullElse(from, Optional.empty());
      openings = List.copyOf(Objects.requireNonNullElse(openings, List.of()));
    }

    /**
     * Makes a tank that is filled from no other, its openings where they usually are.
     *
     * @param bottom its bottom above the ground (m)
     * @param neckHeight its filler neck above the ground (m)
     * @param ventEnd the end of its vent above the ground (m)
     */
    public Tank(
        String id,
        String label,
        Contents contents,
        Optional<Double> litres,
        Optional<Size> size,
        boolean inside,
        Spot spot,
        double bottom,
        Set<Fill> fills,
        Spot neck,
        double neckHeight,
        double ventEnd,
        boolean ventRises,
        Drain drain) {
      this(
          id,
          label,
          contents,
          litres,
          size,
          inside,
          Optional.empty(),
          spot,
          bottom,
          fills,
          neck,
          neckHeight,
          ventEnd,
          ventRises,
          drain,
          Optional.empty(),
          List.of());
    }

    /** Returns this tank filled from another one, too. */
    public Tank filledFrom(Optional<String> other) {
      return with(fills, neck, neckHeight, ventEnd, ventRises, other, openings);
    }

    /** Returns this tank with openings that were shown. */
    public Tank opened(List<Opening> shown) {
      return with(fills, neck, neckHeight, ventEnd, ventRises, from, shown);
    }

    /** Returns this tank filled otherwise, its neck at a spot and height (m). */
    public Tank filled(Set<Fill> ways, Spot neckAt, double height) {
      return with(ways, neckAt, height, ventEnd, ventRises, from, openings);
    }

    /** Returns this tank with a vent that ends elsewhere (m above the ground). */
    public Tank vented(double end, boolean rises) {
      return with(fills, neck, neckHeight, end, rises, from, openings);
    }

    private Tank with(
        Set<Fill> ways,
        Spot neckAt,
        double height,
        double end,
        boolean rises,
        Optional<String> other,
        List<Opening> shown) {
      return new Tank(
          id, label, contents, litres, size, inside, stands, spot, bottom, ways, neckAt, height,
          end, rises, drain, other, shown);
    }

    /** Returns this tank inside or underneath. */
    public Tank standing(Stands where) {
      return new Tank(
          id,
          label,
          contents,
          litres,
          size,
          inside,
          Optional.of(where),
          spot,
          bottom,
          fills,
          neck,
          neckHeight,
          ventEnd,
          ventRises,
          drain,
          from,
          openings);
    }
  }

  /**
   * The hose inlet.
   *
   * @param spot where it is
   * @param height above the ground (m)
   * @param check whether a check valve follows it
   * @param regulator whether a pressure regulator does
   * @param shutOff whether a valve shuts it
   * @param toTaps whether it leads to the taps as well as to the tanks that it fills
   */
  public record Mains(
      Spot spot, double height, boolean check, boolean regulator, boolean shutOff, boolean toTaps) {

    /** An inlet at the left side, with what it should have. */
    public static final Mains USUAL = new Mains(new Spot(0, 0), 0.9, true, true, true, false);
  }

  /** What can stand between a tank and the pump. */
  public enum Piece {
    SHUT_OFF,
    THREE_WAY,
    STRAINER
  }

  /** What the third port of a valve leads to. */
  public enum Third {
    OTHER_TANK,
    HOSE,
    DRAIN
  }

  /** What a three-way valve joins in one position of its handle. */
  public enum Joins {
    NOTHING,
    TANK_AND_PUMP,
    THIRD_AND_PUMP,
    TANK_AND_THIRD,
    ALL
  }

  /** Where a handle points, seen from in front. */
  public enum Points {
    RIGHT(0, Says.POINTS_RIGHT.text()),
    UP(90, Says.POINTS_UP.text()),
    LEFT(180, Says.POINTS_LEFT.text()),
    DOWN(270, Says.POINTS_DOWN.text());

    private final double angle;
    private final String words;

    Points(double angle, String words) {
      this.angle = angle;
      this.words = words;
    }

    /** Returns the angle: 0 right, 90 up (degrees). */
    public double angle() {
      return angle;
    }

    /** Returns how it looks. */
    public String words() {
      return words;
    }
  }

  /** One position of a handle. */
  public record Position(Points points, Joins joins) {}

  /**
   * The three-way valve before the pump.
   *
   * @param third what its third port leads to
   * @param positions what it joins, position by position
   */
  public record Selector(Third third, List<Position> positions) {

    /** A valve that chooses one or the other, and is shut in between. */
    public static final Selector USUAL =
        new Selector(
            Third.HOSE,
            List.of(
                new Position(Points.LEFT, Joins.TANK_AND_PUMP),
                new Position(Points.UP, Joins.NOTHING),
                new Position(Points.RIGHT, Joins.THIRD_AND_PUMP)));

    public Selector {
      positions = List.copyOf(positions);
    }
  }

  /** How water is made hot. */
  public enum Hot {
    NONE,
    STORAGE,
    INSTANT
  }

  /**
   * The pump, by its plate, and what follows it.
   *
   * @param type how it moves water
   * @param spot where it is
   * @param height above the ground (m)
   * @param flow at no pressure (m³/s)
   * @param cutOut pressure at which its switch stops it (Pa)
   * @param accumulator whether one follows
   * @param filters what the water passes then, in order
   * @param hot the heater
   * @param heaterVolume what it holds (m³)
   * @param manifolds whether the lines to the taps leave from manifolds
   * @param heat where the heater is and what is around it, if somebody said so
   */
  public record Pump(
      fernwort.core.kind.machine.Pump.Type type,
      Spot spot,
      double height,
      double flow,
      double cutOut,
      boolean accumulator,
      List<Filter.Grade> filters,
      Hot hot,
      double heaterVolume,
      boolean manifolds,
      Optional<Heat> heat) {

    /**
     * Makes a pump with a heater beside it.
     *
     * @param height above the ground (m)
     * @param flow at no pressure (m³/s)
     * @param cutOut pressure at which its switch stops it (Pa)
     * @param heaterVolume what the heater holds (m³)
     */
    public Pump(
        fernwort.core.kind.machine.Pump.Type type,
        Spot spot,
        double height,
        double flow,
        double cutOut,
        boolean accumulator,
        List<Filter.Grade> filters,
        Hot hot,
        double heaterVolume,
        boolean manifolds) {
      this(
          type,
          spot,
          height,
          flow,
          cutOut,
          accumulator,
          filters,
          hot,
          heaterVolume,
          manifolds,
          Optional.empty());
    }

    /** A diaphragm pump as most vans have it. */
    public static final Pump USUAL =
        new Pump(
            fernwort.core.kind.machine.Pump.Type.DIAPHRAGM,
            new Spot(1, 1),
            0.85,
            10e-3 / 60,
            2.4e5,
            false,
            List.of(),
            Hot.NONE,
            0.01,
            false);

    public Pump {
      filters = List.copyOf(filters);
      heat = Objects.requireNonNullElse(heat, Optional.empty());
    }
  }

  /**
   * The heater's place, and what is around it.
   *
   * @param spot where it is
   * @param height its bottom above the ground (m)
   * @param drain what lets its water out
   * @param bypass whether three valves lead the water past it in winter
   */
  public record Heat(Spot spot, double height, HeaterDrain drain, boolean bypass) {}

  /** What lets the water of a heater out. */
  public enum HeaterDrain {
    PLUG,
    VALVE
  }

  /** The places at which water is used. */
  public enum Use {
    SINK,
    BASIN,
    SHOWER,
    TOILET,
    DRINKING,
    OUTSIDE
  }

  /** Where the waste of a tap goes. */
  public enum Runs {
    TANK,
    GROUND
  }

  /**
   * A tap.
   *
   * @param use what it is
   * @param spot where it is
   * @param height above the ground (m)
   * @param runs where its waste goes; outside it needs nothing
   * @param water whether hot water comes to it too, if somebody said so
   */
  public record Tap(Use use, Spot spot, double height, Runs runs, Optional<Water> water) {

    public Tap {
      water = Objects.requireNonNullElse(water, Optional.empty());
    }

    /**
     * Makes a tap that is as such taps usually are.
     *
     * @param height above the ground (m)
     */
    public Tap(Use use, Spot spot, double height, Runs runs) {
      this(use, spot, height, runs, Optional.empty());
    }

    /** Returns what comes to it where there is hot water. */
    public Water gives() {
      return water.orElse(
          switch (use) {
            case SINK, BASIN, SHOWER -> Water.COLD_AND_HOT;
            case TOILET, DRINKING, OUTSIDE -> Water.COLD;
          });
    }
  }

  /** What water comes to a tap. */
  public enum Water {
    COLD,
    COLD_AND_HOT
  }

  /**
   * How waste runs off.
   *
   * @param sharedTrap the uses that share one trap; the others have their own
   * @param dumpValve whether a valve shuts the gray tank's outlet
   */
  public record Waste(Set<Use> sharedTrap, boolean dumpValve) {

    /** A trap under each, and a valve. */
    public static final Waste USUAL = new Waste(Set.of(), true);

    public Waste {
      sharedTrap = Set.copyOf(sharedTrap);
    }
  }

  /**
   * The low points of the lines.
   *
   * @param cold whether the cold run has a drain at its lowest spot
   * @param hot whether the hot run has one
   */
  public record Lows(boolean cold, boolean hot) {

    /** Nothing said. */
    public static final Lows USUAL = new Lows(false, false);
  }

  /**
   * Bores (m), asked once for all.
   *
   * @param supply of supply lines (m)
   * @param fill of fill lines (m)
   * @param waste of waste lines (m)
   * @param vent of vent lines (m)
   */
  public record Bores(double supply, double fill, double waste, double vent) {

    /** What is usual: 13, 30, 32 and 16 mm. */
    public static final Bores USUAL = new Bores(0.013, 0.03, 0.032, 0.016);
  }
}
