package fernwort.core.guide.answers;

import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Contents;
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
    List<TankAnswers> tanks,
    Mains mains,
    List<Piece> suction,
    Selector selector,
    PumpAnswers pump,
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
        PumpAnswers.USUAL,
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
  public RigAnswers with(List<TankAnswers> others) {
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
  public RigAnswers pumping(PumpAnswers other) {
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
  public boolean draws(TankAnswers tank) {
    return TankTies.isDrawnFrom(this, tank);
  }

  /** Returns the tanks for some water, in the order in which they were named. */
  public List<TankAnswers> tanks(Contents contents) {
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
    TANK_AND_PUMP(PortId.A, PortId.B),
    THIRD_AND_PUMP(PortId.A, PortId.C),
    TANK_AND_THIRD(PortId.B, PortId.C),
    ALL(PortId.A, PortId.B, PortId.C);

    private final List<PortId> ports;

    Joins(PortId... ports) {
      this.ports = List.of(ports);
    }

    /** Returns the ports it joins: a leads to the pump, b to the tank, c to whatever is third. */
    public List<List<PortId>> groups() {
      return ports.isEmpty() ? List.of() : List.of(ports);
    }
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
  public record Lows(boolean cold, boolean hot, TankAnswers.Drain by) {

    public Lows {
      by = Objects.requireNonNullElse(by, TankAnswers.Drain.CAP);
    }

    /** Nothing said. */
    public static final Lows USUAL = new Lows(false, false, TankAnswers.Drain.CAP);
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
