package fernwort.core.rig;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The closed set of part kinds: which ports each has, and what a hand can change about it.
 *
 * <p>The first position of each kind is how it is left at rest.
 */
public sealed interface Kind {

  /** Returns the names of the ports. */
  List<String> ports();

  /**
   * Returns what a hand can set, the position at rest first; empty when there is nothing to set.
   */
  default List<Position> positions() {
    return List.of();
  }

  /** Returns the position it takes by itself when the power fails, if it takes one. */
  default Optional<String> unpowered() {
    return Optional.empty();
  }

  /**
   * Returns how a hand leaves it when nothing is to run: shut, off, stowed, its cap on; empty when
   * there is nothing to set.
   */
  default Optional<Position> rest() {
    return positions().stream().findFirst();
  }

  /**
   * Returns what draining takes off, takes out or leaves half way beside what is set in use, as it
   * is in use first; empty for most kinds.
   */
  default List<Position> service() {
    return List.of();
  }

  /** Tells what it is there for. */
  default Set<Purpose> purposes() {
    return Set.of();
  }

  /** Tells whether it is there for something. */
  default boolean is(Purpose purpose) {
    return purposes().contains(purpose);
  }

  /** Tells which way water goes at one of its ports. */
  default PortFlow flow(String port) {
    return PortFlow.by(port);
  }

  /** Tells how it stands in the run of lines. */
  default InLine inLine() {
    return InLine.END;
  }

  /** Returns where water or air leaves the lines at it in a position. */
  default List<Mouth> mouths(String position) {
    return List.of();
  }

  /** Returns the two ports by which it stands in a line, that by which water comes in first. */
  default Optional<InOut> through() {
    return ports().equals(IN_OUT) ? Optional.of(new InOut("in", "out")) : Optional.empty();
  }

  /** Tells what frost does to it. */
  Frost frost();

  /** Tells whether a burst of air clears its body. */
  default boolean blowsClear() {
    return false;
  }

  /** Tells whether a tap at its full pressure can burst it, so that a regulator comes first. */
  default boolean bursts() {
    return false;
  }

  /** Tells whether water in it or from it is for drinking. */
  default boolean forDrinking() {
    return false;
  }

  /** Returns what water loses in its body at a flow (Pa; m³/s). */
  default double loss(double flow) {
    return 0;
  }

  /** Tells whether air comes and goes by it while a tank fills or empties. */
  default boolean letsAir() {
    return false;
  }

  /** Tells what water is met by whoever puts it in a position. */
  default Wets wets(String position) {
    return Wets.NOTHING;
  }

  /** What water somebody meets who handles a part. */
  enum Wets {
    NOTHING,
    /** What stands behind it, as with a hose that comes off. */
    BEHIND,
    /** What runs out of it before or after, as with a cap. */
    AT_MOUTH
  }

  /** Tells whether a position is the one in which it is left. */
  default boolean rests(String position) {
    return rest().filter(p -> p.id().equals(position)).isPresent();
  }

  /** Tells when putting it in a position comes among other turns. */
  default Rank rank(String position) {
    return Rank.WAY_OPEN;
  }

  /**
   * Tells whether it lets water or heat in or out, so that a job opens it only where it is about
   * that.
   */
  default boolean onlyOnPurpose() {
    return false;
  }

  /** Tells whether a motor or switch sets it, so that an automation can. */
  default boolean setsItself() {
    return false;
  }

  /**
   * Returns the ways for water through it in a position; those of a kind with nothing to set do not
   * depend on it.
   */
  default List<Link> links(String position) {
    return List.of();
  }

  /** Returns the ways for water through it that there are in any position, each once. */
  default List<Link> links() {
    List<Position> all = positions();
    return all.isEmpty()
        ? links("")
        : all.stream().flatMap(p -> links(p.id()).stream()).distinct().toList();
  }

  /** A bowl, or the plug of a trap, that is off. */
  String OFF = "off";

  /** The position of everything with a switch in which it runs. */
  String ON = "on";

  /** A fitting that is undone: open at both of its ends, its body tipped out. */
  String UNDONE = "undone";

  /** What can be undone with a spanner or a thumb, as a last resort. */
  List<Position> FITTED =
      List.of(new Position("fitted", "fitted"), new Position(UNDONE, "undone and tipped out"));

  /** A bowl that screws off. */
  List<Position> BOWL = List.of(new Position(ON, "bowl on"), new Position(OFF, "bowl off"));

  /** Ports of everything that water passes straight through. */
  List<String> IN_OUT = List.of("in", "out");

  /** A kind that sits in a line and has no handle: nobody opens, shuts or switches it. */
  sealed interface Fitting extends Kind
      permits CheckValve,
          AirAdmittanceValve,
          Regulator,
          Strainer,
          Filter,
          Accumulator,
          Tee,
          Manifold,
          DrainTrap,
          LeakTray {

    @Override
    default InLine inLine() {
      return InLine.PASSED;
    }
  }

  /** What moves water on while it is worked, by a motor, a foot or a hand. */
  sealed interface Driven extends Kind permits Pump, Macerator {

    /** Returns the flow at no pressure (m³/s). */
    double freeFlow();

    /** Returns the pressure at no flow (Pa). */
    double shutOffPressure();

    /** Returns how high it draws water up to itself (m). */
    double selfPriming();

    /** Tells whether its own valves let nothing back through it while it runs. */
    boolean holdsBack();

    /** Returns how long it may run dry, where its papers say so (s). */
    Optional<Double> dryRun();

    /** Returns how long one like it may run dry. */
    DryRun usualDryRun();

    /** Returns the pressure about which its switch holds it, if it has one (Pa). */
    default OptionalDouble held() {
      return OptionalDouble.empty();
    }
  }

  /** A kind whose handle joins some of its ports. */
  sealed interface Valve extends Kind permits TwoWayValve, ThreeWayValve {

    /** Returns the positions of the handle with what each joins. */
    List<Stop> stops();

    /** Returns the motor, when it has one. */
    Optional<Motor> motor();

    /** Returns what shuts it, if somebody said so. */
    Optional<Design> design();

    /** What shuts a valve, which says what it keeps when it has run dry. */
    enum Design {
      BALL,
      GATE,
      BUTTERFLY,
      NEEDLE
    }

    /** The position of a ball valve's handle half way, in which nothing stays round the ball. */
    String HALF = "half";

    /** Tells whether a ball shuts it; so it is unless told. */
    default boolean hasBall() {
      return design().orElse(Design.BALL) == Design.BALL;
    }

    /** Returns the stop that a ball half way is nearest to: one that joins ports, if there is. */
    default Optional<Stop> opened() {
      return stops().stream()
          .filter(s -> !s.joins().isEmpty() && !s.id().equals(HALF))
          .min(BY_HANDLE);
    }

    /** A ball can be left half way by hand; a motor valve can only be undone. */
    @Override
    default List<Position> service() {
      boolean own = stops().stream().anyMatch(s -> s.id().equals(HALF));
      if (motor().isPresent()) {
        return FITTED;
      }
      return hasBall() && !own && opened().isPresent()
          ? List.of(new Position("turned", "at a stop"), new Position(HALF, "half way open"))
          : List.of();
    }

    /** Returns the stop with this id. */
    default Stop stop(String id) {
      return stops().stream()
          .filter(s -> s.id().equals(id))
          .findFirst()
          .orElseThrow(() -> new IllegalArgumentException("no position \"" + id + "\""));
    }

    @Override
    default Frost frost() {
      return Frost.CRACKS;
    }

    @Override
    default boolean blowsClear() {
      return true;
    }

    @Override
    default Optional<InOut> through() {
      return Optional.of(new InOut("a", "b"));
    }

    @Override
    default PortFlow flow(String port) {
      return PortFlow.EITHER;
    }

    @Override
    default Rank rank(String position) {
      return stop(position).joins().isEmpty() ? Rank.WAY_SHUT : Rank.WAY_OPEN;
    }

    @Override
    default boolean setsItself() {
      return motor().isPresent();
    }

    /** Two ports that are joined lead to each other, more of them to the middle of the body. */
    @Override
    default List<Link> links(String position) {
      List<String> ports = ports();
      List<Link> links = new ArrayList<>();
      for (List<String> group : stop(position).joins()) {
        int[] joined = group.stream().mapToInt(ports::indexOf).toArray();
        if (joined.length == 2) {
          links.addAll(Link.both(joined[0], joined[1], Link.Law.FREE));
        } else {
          for (int port : joined) {
            links.addAll(Link.both(port, ports.size(), Link.Law.FREE));
          }
        }
      }
      return links;
    }

    /** Returns the stop that joins nothing, if there is one. */
    default Optional<Stop> shut() {
      return stops().stream().filter(s -> s.joins().isEmpty()).min(BY_HANDLE);
    }

    @Override
    default Optional<String> unpowered() {
      return motor().flatMap(Motor::unpowered);
    }

    /** The stop that joins nothing, or the one that a diverter's handle lies lowest in. */
    @Override
    default Optional<Position> rest() {
      return shut().or(() -> stops().stream().min(BY_HANDLE)).map(Stop::position);
    }

    /** Stops in an order that does not depend on how a file lists them. */
    Comparator<Stop> BY_HANDLE = Comparator.comparingDouble(Stop::angle).thenComparing(Stop::id);

    @Override
    default List<Position> positions() {
      return stops().stream().map(Stop::position).toList();
    }
  }

  /**
   * Where a hose from outside is joined: a tap under pressure, or water that something must draw.
   *
   * @param mainsPressure pressure expected at the tap (Pa)
   * @param outsideHeight height of the surface of water to be drawn, above the ground (m)
   * @param tapFlow what tap and hose give into a bucket, if somebody timed it (m³/s); without it
   *     they hold their pressure whatever is drawn
   * @param outsideDrinkable whether the outside water is fit to drink; it is not unless somebody
   *     says so
   */
  record HoseInlet(
      double mainsPressure,
      double outsideHeight,
      Optional<Double> tapFlow,
      Optional<Boolean> outsideDrinkable)
      implements Kind {

    /** Nothing comes in or out. */
    public static final Position CAPPED = new Position("capped", "cap on");

    /** A hose is on, and the tap outside is shut. */
    public static final Position HOSE = new Position("hose", "hose on, tap shut");

    /** The tap outside gives its pressure. */
    public static final Position MAINS = new Position("mains", "hose from a tap");

    /** Something has to draw. */
    public static final Position OUTSIDE = new Position("outside", "hose in outside water");

    /** Open to the air. */
    public static final Position OPEN = new Position("open", "cap off, no hose");

    /** Makes an inlet whose tap nobody timed. */
    public HoseInlet(double mainsPressure, double outsideHeight) {
      this(mainsPressure, outsideHeight, Optional.empty());
    }

    /** Makes an inlet whose outside water nobody drinks. */
    public HoseInlet(double mainsPressure, double outsideHeight, Optional<Double> tapFlow) {
      this(mainsPressure, outsideHeight, tapFlow, Optional.empty());
    }

    /** Tells whether outside water may be drunk. */
    public boolean drinksOutside() {
      return outsideDrinkable.orElse(false);
    }

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.SOURCE);
    }

    @Override
    public boolean onlyOnPurpose() {
      return true;
    }

    @Override
    public Rank rank(String position) {
      return rests(position) || position.equals(HOSE.id())
          ? Rank.HOSE_OR_CAP_AWAY
          : Rank.HOSE_GIVES;
    }

    @Override
    public List<Mouth> mouths(String position) {
      if (position.equals(OPEN.id())) {
        return List.of(new Mouth(0, Mouth.Onto.GROUND));
      }
      return position.equals(OUTSIDE.id()) ? List.of(new Mouth(0, Mouth.Onto.WATER)) : List.of();
    }

    @Override
    public Wets wets(String position) {
      return position.equals(HOSE.id()) ? Wets.NOTHING : Wets.BEHIND;
    }

    @Override
    public Frost frost() {
      return Frost.AS_ITS_LINE;
    }

    @Override
    public List<String> ports() {
      return List.of("out");
    }

    @Override
    public List<Position> positions() {
      return List.of(CAPPED, HOSE, MAINS, OUTSIDE, OPEN);
    }
  }

  /** A neck with a cap, into which water is poured. */
  record GravityFiller() implements Kind {

    public static final Position SHUT = new Position("shut", "cap on");
    public static final Position OPEN = new Position("open", "cap off");

    @Override
    public List<Link> links(String position) {
      return position.equals(OPEN.id()) ? Link.both(0, 1, Link.Law.FREE) : List.of();
    }

    @Override
    public PortFlow flow(String port) {
      return port.equals("mouth") ? PortFlow.IN : PortFlow.OUT;
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.CAP_OFF;
    }

    @Override
    public List<Mouth> mouths(String position) {
      return position.equals(OPEN.id()) ? List.of(new Mouth(0, Mouth.Onto.GROUND)) : List.of();
    }

    @Override
    public boolean letsAir() {
      return true;
    }

    @Override
    public Frost frost() {
      return Frost.AS_ITS_LINE;
    }

    @Override
    public List<String> ports() {
      return List.of("mouth", "out");
    }

    @Override
    public List<Position> positions() {
      return List.of(SHUT, OPEN);
    }
  }

  /** The free end of a line. */
  record OpenEnd(Role role) implements Kind {

    public static final Position CAPPED = new Position("capped", "cap on");
    public static final Position HOSE = new Position("hose", "dump hose to the drain");
    public static final Position OPEN = new Position("open", "cap off, no hose");

    /** What the end is for; a dump end has a cap and takes a dump hose. */
    public enum Role {
      VENT,
      OVERFLOW,
      DRAIN,
      DUMP
    }

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.END);
    }

    @Override
    public boolean onlyOnPurpose() {
      return true;
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.CAP_OFF;
    }

    @Override
    public List<Mouth> mouths(String position) {
      if (role != Role.DUMP || position.equals(OPEN.id())) {
        return List.of(new Mouth(0, Mouth.Onto.GROUND));
      }
      return position.equals(HOSE.id()) ? List.of(new Mouth(0, Mouth.Onto.DRAIN)) : List.of();
    }

    @Override
    public boolean letsAir() {
      return role == Role.VENT || role == Role.OVERFLOW;
    }

    @Override
    public Wets wets(String position) {
      return Wets.AT_MOUTH;
    }

    @Override
    public Frost frost() {
      return Frost.AS_ITS_LINE;
    }

    @Override
    public List<String> ports() {
      return List.of("in");
    }

    @Override
    public List<Position> positions() {
      return role == Role.DUMP ? List.of(CAPPED, HOSE, OPEN) : List.of();
    }
  }

  /**
   * A tank.
   *
   * @param contents the water it is meant for
   * @param shape outside shape
   * @param wall wall thickness (m)
   * @param tankPorts its openings
   * @param gauge how its level is read
   * @param highestPressure the air pressure at which to warn; a cautious default unless known (Pa)
   * @param lowestPressure the vacuum at which to warn, as a negative number (Pa)
   */
  record Tank(
      Contents contents,
      Shape shape,
      double wall,
      List<TankPort> tankPorts,
      Gauge gauge,
      double highestPressure,
      double lowestPressure)
      implements Kind {
    public Tank {
      tankPorts = List.copyOf(tankPorts);
    }

    @Override
    public List<Mouth> mouths(String position) {
      return IntStream.range(0, tankPorts.size())
          .mapToObj(port -> new Mouth(port, Mouth.Onto.TANK))
          .toList();
    }

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.SOURCE, Purpose.END, Purpose.HOLDS);
    }

    @Override
    public PortFlow flow(String port) {
      return switch (port(port).use()) {
        case FILL, FLOAT -> PortFlow.IN;
        case FEED, DRAIN -> PortFlow.OUT;
        case VENT, GAUGE, LINK -> PortFlow.EITHER;
      };
    }

    @Override
    public Frost frost() {
      return Frost.NOTHING;
    }

    @Override
    public boolean forDrinking() {
      return contents == Contents.FRESH;
    }

    @Override
    public List<String> ports() {
      return tankPorts.stream().map(TankPort::id).toList();
    }

    /** Returns this tank in another shape. */
    public Tank shaped(Shape other) {
      return new Tank(contents, other, wall, tankPorts, gauge, highestPressure, lowestPressure);
    }

    /** Returns this tank with other openings. */
    public Tank withPorts(List<TankPort> ports) {
      return new Tank(contents, shape, wall, ports, gauge, highestPressure, lowestPressure);
    }

    /** Returns the port with this id. */
    public TankPort port(String id) {
      return tankPorts.stream()
          .filter(p -> p.id().equals(id))
          .findFirst()
          .orElseThrow(() -> new IllegalArgumentException("no tank port \"" + id + "\""));
    }
  }

  /** A valve between two ports. */
  record TwoWayValve(List<Stop> stops, Optional<Motor> motor, Optional<Design> design)
      implements Valve {
    public TwoWayValve {
      stops = List.copyOf(stops);
    }

    /** Makes a valve of which nobody said what shuts it. */
    public TwoWayValve(List<Stop> stops, Optional<Motor> motor) {
      this(stops, motor, Optional.empty());
    }

    @Override
    public InLine inLine() {
      return InLine.PASSED;
    }

    @Override
    public List<String> ports() {
      return List.of("a", "b");
    }
  }

  /** A valve between three ports. */
  record ThreeWayValve(List<Stop> stops, Optional<Motor> motor, Optional<Design> design)
      implements Valve {
    public ThreeWayValve {
      stops = List.copyOf(stops);
    }

    /** Makes a valve of which nobody said what shuts it. */
    public ThreeWayValve(List<Stop> stops, Optional<Motor> motor) {
      this(stops, motor, Optional.empty());
    }

    @Override
    public InLine inLine() {
      return InLine.SELECTS;
    }

    @Override
    public List<String> ports() {
      return List.of("a", "b", "c");
    }
  }

  /**
   * Lets water through from in to out only.
   *
   * @param crackingPressure pressure it takes to open (Pa)
   */
  record CheckValve(double crackingPressure) implements Fitting {
    @Override
    public List<Position> service() {
      return FITTED;
    }

    @Override
    public List<Link> links(String position) {
      return List.of(new Link(0, 1, Link.Law.CHECK, crackingPressure));
    }

    @Override
    public double loss(double flow) {
      return crackingPressure;
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS;
    }

    @Override
    public boolean blowsClear() {
      return true;
    }

    @Override
    public List<String> ports() {
      return IN_OUT;
    }
  }

  /** A float ball: air passes both ways, water shuts it. */
  record AirAdmittanceValve() implements Fitting {
    @Override
    public InLine inLine() {
      return InLine.END;
    }

    @Override
    public List<Mouth> mouths(String position) {
      return List.of(new Mouth(0, Mouth.Onto.AIR));
    }

    @Override
    public boolean letsAir() {
      return true;
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS;
    }

    @Override
    public List<String> ports() {
      return List.of("in");
    }
  }

  /**
   * Holds the pressure behind it at or below a set one.
   *
   * @param setPressure pressure it holds (Pa)
   */
  record Regulator(double setPressure) implements Fitting {
    @Override
    public List<Position> service() {
      return FITTED;
    }

    @Override
    public List<Link> links(String position) {
      return List.of(new Link(0, 1, Link.Law.REGULATOR, setPressure));
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS;
    }

    @Override
    public boolean blowsClear() {
      return true;
    }

    @Override
    public List<String> ports() {
      return IN_OUT;
    }
  }

  /** A screen that keeps grit out of what follows. */
  record Strainer() implements Fitting {
    @Override
    public List<Link> links(String position) {
      return Link.both(0, 1, Link.Law.FREE);
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS_WHEN_FULL;
    }

    @Override
    public List<String> ports() {
      return IN_OUT;
    }

    @Override
    public List<Position> service() {
      return BOWL;
    }
  }

  /**
   * A filter in its housing.
   *
   * @param grade what it takes out
   * @param ratedFlow flow at which its loss is given (m³/s)
   * @param ratedLoss loss of a clean cartridge at that flow (Pa)
   * @param doubling what has to pass until its loss has doubled, if anybody knows (m³)
   */
  record Filter(Grade grade, double ratedFlow, double ratedLoss, Optional<Double> doubling)
      implements Fitting {

    /** Makes a filter that stays as clean as it is. */
    public Filter(Grade grade, double ratedFlow, double ratedLoss) {
      this(grade, ratedFlow, ratedLoss, Optional.empty());
    }

    /** What a filter takes out; only a purifier makes unsafe water fit to drink. */
    public enum Grade {
      SEDIMENT,
      CARBON,
      PURIFIER
    }

    @Override
    public List<Link> links(String position) {
      return Link.both(0, 1, Link.Law.FREE);
    }

    @Override
    public double loss(double flow) {
      return ratedLoss * flow / ratedFlow;
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS_WHEN_FULL;
    }

    @Override
    public boolean bursts() {
      return true;
    }

    @Override
    public List<String> ports() {
      return IN_OUT;
    }

    @Override
    public List<Position> service() {
      return BOWL;
    }
  }

  /**
   * A pump.
   *
   * @param duty what it is there for
   * @param works how it moves water, which says what it lets pass at rest
   * @param shutOffPressure pressure at no flow (Pa)
   * @param freeFlow flow at no pressure (m³/s)
   * @param cutIn pressure at which its switch starts it (Pa)
   * @param cutOut pressure at which its switch stops it (Pa)
   * @param selfPriming how high it lifts water while it is dry (m)
   * @param dryRun how long it may run dry or against a closed outlet (s); {@link DryRun} where
   *     nobody knows
   */
  record Pump(
      Duty duty,
      Type works,
      double shutOffPressure,
      double freeFlow,
      double cutIn,
      double cutOut,
      double selfPriming,
      Optional<Double> dryRun)
      implements Driven {

    /** Makes a pump of which nobody knows how long it may run dry. */
    public Pump(
        Duty duty,
        Type works,
        double shutOffPressure,
        double freeFlow,
        double cutIn,
        double cutOut,
        double selfPriming) {
      this(duty, works, shutOffPressure, freeFlow, cutIn, cutOut, selfPriming, Optional.empty());
    }

    /** Tells whether its switch stops it before it stands at its shut-off pressure. */
    public boolean stopsItself() {
      return works.byHand() || cutOut < shutOffPressure;
    }

    /** Returns this pump with another flow at no pressure (m³/s). */
    public Pump flowing(double flow) {
      return new Pump(duty, works, shutOffPressure, flow, cutIn, cutOut, selfPriming, dryRun);
    }

    /** What a pump is there for. */
    public enum Duty {
      SUPPLY,
      CIRCULATION,
      TRANSFER
    }

    /** How a pump moves water. */
    public enum Type {
      DIAPHRAGM,
      CENTRIFUGAL,
      IMPELLER,
      FOOT,
      HAND;

      /** Tells whether somebody has to work it. */
      public boolean byHand() {
        return this == FOOT || this == HAND;
      }
    }

    @Override
    public List<Position> service() {
      return FITTED;
    }

    /** What it lets pass at rest: a diaphragm's valves one way, a centrifugal wheel both. */
    @Override
    public List<Link> links(String position) {
      if (position.equals(ON)) {
        return List.of(new Link(0, 1, Link.Law.DRIVE, 0));
      }
      return switch (works) {
        case DIAPHRAGM, FOOT, HAND -> List.of(new Link(0, 1, Link.Law.CHECK, 0));
        case CENTRIFUGAL -> Link.both(0, 1, Link.Law.FREE);
        case IMPELLER -> List.of();
      };
    }

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.DRIVES);
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.POWER_OFF : Rank.PUMP_ON;
    }

    @Override
    public boolean setsItself() {
      return !works.byHand() && duty != Duty.CIRCULATION;
    }

    @Override
    public boolean holdsBack() {
      return switch (works) {
        case DIAPHRAGM, FOOT, HAND -> true;
        case CENTRIFUGAL, IMPELLER -> false;
      };
    }

    @Override
    public DryRun usualDryRun() {
      return switch (works) {
        case DIAPHRAGM -> DryRun.DIAPHRAGM;
        case CENTRIFUGAL -> DryRun.CENTRIFUGAL;
        case IMPELLER -> DryRun.IMPELLER;
        case FOOT, HAND -> DryRun.BY_HAND;
      };
    }

    @Override
    public OptionalDouble held() {
      return OptionalDouble.of((cutIn + cutOut) / 2);
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS_WHEN_FULL;
    }

    @Override
    public List<String> ports() {
      return IN_OUT;
    }

    @Override
    public List<Position> positions() {
      return works.byHand()
          ? List.of(new Position(Position.OFF.id(), "still"), new Position(ON, "being worked"))
          : List.of(Position.OFF, new Position(ON, "switched on"));
    }

    @Override
    public Optional<String> unpowered() {
      return works.byHand() ? Optional.empty() : Optional.of(Position.OFF.id());
    }
  }

  /**
   * A vessel with an air cushion on one side.
   *
   * @param precharge air pressure without water (Pa)
   */
  record Accumulator(double precharge) implements Fitting {
    @Override
    public List<Position> service() {
      return FITTED;
    }

    @Override
    public InLine inLine() {
      return InLine.STUB;
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS;
    }

    @Override
    public boolean bursts() {
      return true;
    }

    @Override
    public List<String> ports() {
      return List.of("in");
    }
  }

  /**
   * A water heater.
   *
   * @param works with a store of hot water or without
   * @param relief whether it has its own pressure relief valve
   * @param drainHeight height of its drain above its bottom (m)
   * @param heating how it heats, if known
   */
  record Heater(Type works, boolean relief, double drainHeight, Optional<Heating> heating)
      implements Kind {

    /**
     * Where a thermostat is set unless somebody says otherwise (K): 60 °C, at which legionella die.
     */
    public static final double THERMOSTAT = 333.15;

    /**
     * How a heater heats.
     *
     * @param power what it puts into the water (W)
     * @param thermostat temperature at which it stops (K)
     */
    public record Heating(double power, double thermostat) {}

    /** How many times as high as wide a heater is taken to be. */
    private static final double ASPECT = 1.5;

    /** How high a heater of a volume (m³) is taken to be: an upright cylinder (m). */
    public static double height(double volume) {
      return Math.cbrt(4 / Math.PI * ASPECT * ASPECT * volume);
    }

    /** Makes a heater of unknown power. */
    public Heater(Type works, boolean relief, double drainHeight) {
      this(works, relief, drainHeight, Optional.empty());
    }

    /** How a heater heats. */
    public enum Type {
      STORAGE,
      INSTANT
    }

    /** Its drain plug out. */
    public static final Position DRAINED = new Position("drained", "drain plug out");

    @Override
    public List<Position> service() {
      return List.of(new Position("plugged", "drain plug in"), DRAINED);
    }

    @Override
    public List<Link> links(String position) {
      return Link.both(0, 1, Link.Law.FREE);
    }

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.HEATS);
    }

    @Override
    public boolean onlyOnPurpose() {
      return true;
    }

    @Override
    public PortFlow flow(String port) {
      return port.equals("hot") ? PortFlow.OUT : PortFlow.IN;
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.POWER_OFF : Rank.HEAT_ON;
    }

    @Override
    public Optional<InOut> through() {
      return Optional.of(new InOut("cold", "hot"));
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS_WHEN_FULL;
    }

    @Override
    public boolean blowsClear() {
      return works == Type.INSTANT;
    }

    @Override
    public boolean bursts() {
      return true;
    }

    @Override
    public List<String> ports() {
      return List.of("cold", "hot");
    }

    @Override
    public List<Position> positions() {
      return List.of(Position.OFF, new Position(ON, "heating"));
    }

    @Override
    public Optional<String> unpowered() {
      return Optional.of(Position.OFF.id());
    }
  }

  /** A fitting with three ends. */
  record Tee() implements Fitting {
    @Override
    public List<Link> links(String position) {
      return Link.star(3);
    }

    @Override
    public PortFlow flow(String port) {
      return PortFlow.EITHER;
    }

    @Override
    public Optional<InOut> through() {
      return Optional.of(new InOut("a", "b"));
    }

    @Override
    public Frost frost() {
      return Frost.AS_ITS_LINE;
    }

    @Override
    public boolean blowsClear() {
      return true;
    }

    @Override
    public List<String> ports() {
      return List.of("a", "b", "c");
    }
  }

  /**
   * A fitting with one inlet and many outlets.
   *
   * @param outlets how many
   */
  record Manifold(int outlets) implements Fitting {
    @Override
    public List<Link> links(String position) {
      return Link.star(ports().size());
    }

    @Override
    public Optional<InOut> through() {
      return Optional.of(new InOut("in", "1"));
    }

    @Override
    public Frost frost() {
      return Frost.AS_ITS_LINE;
    }

    @Override
    public boolean blowsClear() {
      return true;
    }

    @Override
    public List<String> ports() {
      List<String> names = new ArrayList<>();
      names.add("in");
      for (int i = 1; i <= Math.min(outlets, 64); i++) {
        names.add(Integer.toString(i));
      }
      return List.copyOf(names);
    }
  }

  /**
   * Where water is used.
   *
   * @param use what it is
   * @param drinking whether people drink or cook from it
   * @param ratedFlow flow at its rated pressure (m³/s)
   * @param ratedPressure pressure for that flow (Pa)
   * @param restrictor most that an aerator or restrictor lets through, if it has one (m³/s)
   */
  record Fixture(
      Type use,
      boolean drinking,
      double ratedFlow,
      double ratedPressure,
      Optional<Double> restrictor)
      implements Kind {

    /** Makes a fixture without a restrictor. */
    public Fixture(Type use, boolean drinking, double ratedFlow, double ratedPressure) {
      this(use, drinking, ratedFlow, ratedPressure, Optional.empty());
    }

    /** The sorts of fixture. */
    public enum Type {
      TAP,
      MIXER,
      SHOWER,
      TOILET,
      HOSE_POINT;

      /** Tells whether it takes hot water too. */
      public boolean mixes() {
        return this == MIXER || this == SHOWER;
      }
    }

    public static final Position SHUT = new Position("shut", "shut");
    public static final Position COLD = new Position("cold", "open, cold");
    public static final Position WARM = new Position("warm", "open, mixed");
    public static final Position HOT = new Position("hot", "open, hot");

    /** Tells whether a position lets cold water out. */
    public boolean opensCold(String position) {
      return !position.equals(SHUT.id()) && !position.equals(HOT.id());
    }

    /** Tells whether a position lets hot water out. */
    public boolean opensHot(String position) {
      return use.mixes() && (position.equals(HOT.id()) || position.equals(WARM.id()));
    }

    /** Returns the position that lets cold water out, and no hot. */
    public Position cold() {
      return positions().get(1);
    }

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.END);
    }

    @Override
    public boolean onlyOnPurpose() {
      return true;
    }

    @Override
    public PortFlow flow(String port) {
      return port.equals("waste") ? PortFlow.OUT : PortFlow.IN;
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.TAP_SHUT : Rank.TAP_OPEN;
    }

    @Override
    public List<Mouth> mouths(String position) {
      List<Mouth> mouths = new ArrayList<>();
      if (opensCold(position)) {
        mouths.add(new Mouth(0, Mouth.Onto.USE));
      }
      if (opensHot(position)) {
        mouths.add(new Mouth(1, Mouth.Onto.USE));
      }
      return mouths;
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS;
    }

    @Override
    public boolean blowsClear() {
      return true;
    }

    @Override
    public boolean bursts() {
      return true;
    }

    @Override
    public boolean forDrinking() {
      return drinking;
    }

    @Override
    public List<String> ports() {
      return switch (use) {
        case TAP, TOILET -> List.of("cold", "waste");
        case MIXER, SHOWER -> List.of("cold", "hot", "waste");
        case HOSE_POINT -> List.of("cold");
      };
    }

    @Override
    public List<Position> positions() {
      return switch (use) {
        case TAP, HOSE_POINT -> List.of(SHUT, new Position("open", "open"));
        case TOILET -> List.of(SHUT, new Position("open", "filling"));
        case MIXER, SHOWER -> List.of(SHUT, COLD, WARM, HOT);
      };
    }
  }

  /** A water seal against smell. */
  record DrainTrap() implements Fitting {
    @Override
    public List<Link> links(String position) {
      return Link.both(0, 1, Link.Law.SEAL);
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS_WHEN_FULL;
    }

    @Override
    public List<String> ports() {
      return IN_OUT;
    }

    @Override
    public List<Position> service() {
      return List.of(new Position(ON, "plug in"), new Position(OFF, "plug out"));
    }
  }

  /**
   * A tray under a tank or pump that catches what leaks. No line leads to it.
   *
   * @param holds what it holds (m³)
   * @param contact whether a contact in it tells that water stands there
   */
  record LeakTray(double holds, boolean contact) implements Fitting {
    @Override
    public InLine inLine() {
      return InLine.STUB;
    }

    @Override
    public Frost frost() {
      return Frost.LIFTS;
    }

    @Override
    public List<String> ports() {
      return List.of();
    }
  }

  /**
   * A jug, can or bladder that is carried to the rig.
   *
   * @param capacity what it holds (m³)
   * @param drinkable whether its water is fit to drink
   */
  record PortableContainer(double capacity, boolean drinkable) implements Kind {

    public static final Position STOWED = new Position("stowed", "stowed");
    public static final Position POURING = new Position("pouring", "held and pouring");

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.SOURCE);
    }

    @Override
    public boolean onlyOnPurpose() {
      return true;
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.HOSE_GIVES;
    }

    @Override
    public Wets wets(String position) {
      return rests(position) ? Wets.BEHIND : Wets.NOTHING;
    }

    @Override
    public Frost frost() {
      return Frost.NOTHING;
    }

    @Override
    public List<String> ports() {
      return List.of("spout");
    }

    @Override
    public List<Position> positions() {
      return List.of(STOWED, POURING);
    }
  }

  /**
   * A pump that cuts up what is in gray water and pushes it out.
   *
   * @param freeFlow flow at no pressure (m³/s)
   * @param shutOffPressure pressure at no flow (Pa)
   * @param dryRun how long it may run dry or against a closed outlet (s); {@link DryRun} where
   *     nobody knows
   */
  record Macerator(double freeFlow, double shutOffPressure, Optional<Double> dryRun)
      implements Driven {

    /**
     * How high a macerator draws gray water up to itself (m): its impeller primes itself a little,
     * and nobody gives a figure; own choice.
     */
    public static final double LIFTS = 0.3;

    @Override
    public double selfPriming() {
      return LIFTS;
    }

    /** Makes a macerator of which nobody knows how long it may run dry. */
    public Macerator(double freeFlow, double shutOffPressure) {
      this(freeFlow, shutOffPressure, Optional.empty());
    }

    @Override
    public List<Position> service() {
      return FITTED;
    }

    @Override
    public List<Link> links(String position) {
      return position.equals(ON) ? List.of(new Link(0, 1, Link.Law.DRIVE, 0)) : List.of();
    }

    @Override
    public Set<Purpose> purposes() {
      return Set.of(Purpose.DRIVES);
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.POWER_OFF : Rank.PUMP_ON;
    }

    @Override
    public boolean holdsBack() {
      return true;
    }

    @Override
    public DryRun usualDryRun() {
      return DryRun.MACERATOR;
    }

    @Override
    public Frost frost() {
      return Frost.CRACKS_WHEN_FULL;
    }

    @Override
    public List<String> ports() {
      return IN_OUT;
    }

    @Override
    public List<Position> positions() {
      return List.of(Position.OFF, new Position(ON, "running"));
    }

    @Override
    public Optional<String> unpowered() {
      return Optional.of(Position.OFF.id());
    }
  }

  /**
   * The closed end of a line or port.
   *
   * @param removable true for a cap that a hand takes off, false for a plug that needs a tool
   */
  record Plug(boolean removable) implements Kind {

    public static final Position IN = new Position("on", "cap on");
    public static final Position OUT = new Position("off", "cap off");

    @Override
    public InLine inLine() {
      return InLine.STUB;
    }

    @Override
    public Set<Purpose> purposes() {
      return removable ? Set.of(Purpose.END) : Set.of();
    }

    @Override
    public boolean onlyOnPurpose() {
      return true;
    }

    @Override
    public Rank rank(String position) {
      return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.CAP_OFF;
    }

    @Override
    public List<Mouth> mouths(String position) {
      return removable && position.equals(OUT.id())
          ? List.of(new Mouth(0, Mouth.Onto.GROUND))
          : List.of();
    }

    @Override
    public Wets wets(String position) {
      return Wets.AT_MOUTH;
    }

    @Override
    public Frost frost() {
      return Frost.AS_ITS_LINE;
    }

    @Override
    public List<String> ports() {
      return List.of("in");
    }

    @Override
    public List<Position> positions() {
      return removable ? List.of(IN, OUT) : List.of();
    }
  }
}
