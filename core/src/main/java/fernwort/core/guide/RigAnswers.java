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

  /** Tells whether the supply draws from a fresh tank, as was said or as is usual. */
  public boolean draws(Tank tank) {
    return TankMaker.isDrawnFrom(this, tank);
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
   * @param stands what it stands on, if somebody said so
   */
  public record Van(
      Vehicle.Body body,
      double length,
      Optional<Double> floor,
      Optional<Double> rearLimit,
      Optional<Double> frontLimit,
      Optional<StandsOn> stands) {

    public Van {
      // Answers of an earlier Fernwort know nothing of these four.
      stands = Objects.requireNonNullElse(stands, Optional.empty());
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
      this(body, length, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** Returns what it stands on: what its silhouette usually does, if nobody said more. */
    public StandsOn standsOn() {
      return stands.orElse(
          switch (body) {
            case VAN -> StandsOn.VAN;
            case TRUCK -> StandsOn.TRUCK;
            case TRAILER -> StandsOn.TRAILER;
          });
    }
  }

  /** What a vehicle stands on. */
  public enum StandsOn {
    VAN(Vehicle.Body.VAN),
    TRUCK(Vehicle.Body.TRUCK),
    /** A living box on the bed of somebody else's truck. */
    SLIDE_IN(Vehicle.Body.TRUCK),
    TRAILER(Vehicle.Body.TRAILER),
    /** Two axles close together. */
    TANDEM(Vehicle.Body.TRAILER),
    /** A front axle that steers with the drawbar. */
    WAGON(Vehicle.Body.TRAILER);

    private final Vehicle.Body body;

    StandsOn(Vehicle.Body body) {
      this.body = body;
    }

    /** Returns the silhouette it is drawn with. */
    public Vehicle.Body body() {
      return body;
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
    FLOAT,
    /** A second float valve, lower down. */
    LOW_FLOAT,
    /** From a barrel beside the vehicle, by a pump that hangs in it. */
    BARREL,
    /** Through its outlet, from below. */
    OUTLET
  }

  /** What a tank is emptied by. */
  public enum Drain {
    NONE,
    CAP,
    VALVE,
    /** A valve with a hose on it. */
    HOSE,
    /** The tank itself is carried out and tipped. */
    CARRIED
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
   * @param venting how it breathes
   * @param passages how water comes from another tank, and whether the pump draws from this one
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
      List<Opening> openings,
      Venting venting,
      Passages passages) {
    public Tank {
      fills = Set.copyOf(fills);
      stands = Objects.requireNonNullElse(stands, Optional.empty());
      // Answers of an earlier Fernwort know nothing of these.
      venting = Objects.requireNonNullElse(venting, Venting.USUAL);
      passages = Objects.requireNonNullElse(passages, Passages.USUAL);
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
          List.of(),
          Venting.USUAL,
          Passages.USUAL);
    }

    /** Returns this tank filled from another one, too. */
    public Tank filledFrom(Optional<String> other) {
      return with(fills, neck, neckHeight, ventEnd, ventRises, other, openings);
    }

    /** Returns this tank filled from another one, too, by something that brings the water. */
    public Tank filledFrom(Optional<String> other, Passages how) {
      return new Tank(
          id,
          label,
          contents,
          litres,
          size,
          inside,
          stands,
          spot,
          bottom,
          fills,
          neck,
          neckHeight,
          ventEnd,
          ventRises,
          drain,
          other,
          openings,
          venting,
          how);
    }

    /** Returns this tank drawn from, or not. */
    public Tank drawn(boolean is) {
      return filledFrom(from, passages.drawing(is));
    }

    /** Returns this tank breathing otherwise. */
    public Tank breathing(Venting how) {
      return new Tank(
          id,
          label,
          contents,
          litres,
          size,
          inside,
          stands,
          spot,
          bottom,
          fills,
          neck,
          neckHeight,
          ventEnd,
          ventRises,
          drain,
          from,
          openings,
          how,
          passages);
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
          end, rises, drain, other, shown, venting, passages);
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
          openings,
          venting,
          passages);
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
   * @param branches what follows it in rigs that can do more than fill one tank
   */
  public record Mains(
      Spot spot,
      double height,
      boolean check,
      boolean regulator,
      boolean shutOff,
      boolean toTaps,
      InletBranches branches) {

    public Mains {
      branches = Objects.requireNonNullElse(branches, InletBranches.USUAL);
    }

    /**
     * Makes an inlet with a valve on each branch.
     *
     * @param height above the ground (m)
     */
    public Mains(
        Spot spot,
        double height,
        boolean check,
        boolean regulator,
        boolean shutOff,
        boolean toTaps) {
      this(spot, height, check, regulator, shutOff, toTaps, InletBranches.USUAL);
    }

    /** An inlet at the left side, with what it should have. */
    public static final Mains USUAL = new Mains(new Spot(0, 0), 0.9, true, true, true, false);
  }

  /** What can stand between a tank and the pump. */
  public enum Piece {
    SHUT_OFF,
    THREE_WAY,
    STRAINER,
    /** A valve on the tank's line and one on what else the pump draws from. */
    TWO_VALVES,
    /** A filter with a bowl that comes off. */
    FILTER,
    /** A tee with a valve and a capped end, to draw antifreeze by. */
    ANTIFREEZE_PORT
  }

  /** What the third port of a valve leads to. */
  public enum Third {
    OTHER_TANK,
    HOSE,
    DRAIN,
    /** The hose inlet, whose diverter leads there. */
    INLET
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
   * @param parts what somebody sees of it beyond its plate, and what is around it
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
      Optional<Heat> heat,
      PumpParts parts) {

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
          Optional.empty(),
          PumpParts.USUAL);
    }

    /** Returns this pump with other things around it. */
    public Pump with(PumpParts others) {
      return new Pump(
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
          heat,
          others);
    }

    /** Returns what moves the water, by what one sees. */
    public PumpParts.Mover mover() {
      return parts.mover().orElse(PumpParts.Mover.of(type));
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
      parts = Objects.requireNonNullElse(parts, PumpParts.USUAL);
    }
  }

  /**
   * The heater's place, and what is around it.
   *
   * @param spot where it is
   * @param height its bottom above the ground (m)
   * @param drain what lets its water out
   * @param bypass whether valves lead the water past it in winter
   * @param parts how these are built, and what else is around it
   */
  public record Heat(
      Spot spot, double height, HeaterDrain drain, boolean bypass, HeaterParts parts) {

    public Heat {
      parts = Objects.requireNonNullElse(parts, HeaterParts.USUAL);
    }

    /**
     * Makes a heater with nothing more around it.
     *
     * @param height its bottom above the ground (m)
     */
    public Heat(Spot spot, double height, HeaterDrain drain, boolean bypass) {
      this(spot, height, drain, bypass, HeaterParts.USUAL);
    }
  }

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
    /** Into the tank without a trap. */
    STRAIGHT,
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
   * @param parts what few gray tanks have
   */
  public record Waste(Set<Use> sharedTrap, boolean dumpValve, WasteParts parts) {

    /** A trap under each, and a valve. */
    public static final Waste USUAL = new Waste(Set.of(), true, WasteParts.USUAL);

    public Waste {
      sharedTrap = Set.copyOf(sharedTrap);
      parts = Objects.requireNonNullElse(parts, WasteParts.USUAL);
    }
  }

  /**
   * The low points of the lines.
   *
   * @param cold whether the cold run has a drain at its lowest spot
   * @param hot whether the hot run has one
   * @param by what opens there: a cap, unless somebody said otherwise
   */
  public record Lows(boolean cold, boolean hot, Drain by) {

    public Lows {
      by = Objects.requireNonNullElse(by, Drain.CAP);
    }

    /** Nothing said. */
    public static final Lows USUAL = new Lows(false, false, Drain.CAP);
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
