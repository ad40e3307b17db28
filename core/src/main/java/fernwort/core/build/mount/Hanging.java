package fernwort.core.build.mount;

import fernwort.core.network.Water;
import fernwort.core.rig.TankSupport;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What each support of a tank bears, standing and moving.
 *
 * <p>A rigid tank on equal springs: F_i = W/n + W·(x_c − x̄)(x_i − x̄)/Σ(x_j − x̄)², which is exact
 * for two supports. Each support is taken away once in turn, as if it had gone slack. Moving, the
 * weight is multiplied by the acceleration downwards and every bolt shears by its share of the
 * greater one across; pull and shear are added as shares of what a bolt bears, which is cautious.
 * Braking, the weight pushes forward at the centre of mass, whose height over supports below it (or
 * depth under those it hangs from) makes a couple that loads one end and lifts the other: F_i +=
 * a·W·h·(x_i − x̄)/Σ(x_j − x̄)², with the weight itself. A bump may come while braking, so both act
 * together. In a bend it tips over its side where a·h is more than half its width.
 *
 * @param weight what hangs (N)
 * @param centre where its centre of mass is, from the tank's inside rear end (m)
 * @param moving accelerations when it moves
 * @param loads what each support bears, from the rear on
 * @param sideways whether it stands on its supports so tall and narrow that a bend tips it
 */
public record Hanging(
    double weight, double centre, Moving moving, List<Load> loads, boolean sideways) {

  /** Standard gravity (m/s²). */
  public static final double GRAVITY = 9.80665;

  /** A tank of plastic weighs about so much of what it holds (our estimate). */
  public static final double OWN = 0.06;

  /** Nearer than this supports stand at one place (m). */
  private static final double ONE_PLACE = 1e-6;

  /**
   * Accelerations as multiples of gravity.
   *
   * @param down on a bump, its own weight counted (times gravity)
   * @param along when braking (times gravity)
   * @param across in a bend (times gravity)
   */
  public record Moving(double down, double along, double across) {

    /** EN 12195-1 for along and across; twice its weight on a bump is our own. */
    public static final Moving USUAL = new Moving(2, 0.8, 0.5);

    /** Returns the greater of the two that shear (times gravity). */
    public double shear() {
      return Math.max(along, across);
    }
  }

  /**
   * What one support bears.
   *
   * @param support the support
   * @param still standing, all supports tight (N); below 0 the tank lifts off it
   * @param slack the most of it when another has gone slack (N)
   * @param braking when braking on the level, all tight (N); below 0 the tank lifts off it
   * @param moving the most of it on a bump while braking, all tight (N)
   * @param pull in each fastener, moving, with the worst slack (N)
   * @param shear in each fastener, moving (N)
   * @param used share of what a fastener bears that pull and shear use together (1 is all)
   * @param pressure under a strap or rail on the tank's wall, moving (Pa); 0 where nothing presses
   */
  public record Load(
      TankSupport support,
      double still,
      double slack,
      double braking,
      double moving,
      double pull,
      double shear,
      double used,
      double pressure) {

    /** Tells whether its fasteners hold. */
    public boolean holds() {
      return used <= 1;
    }

    /** Returns how many fasteners of the same kind would hold. */
    public int fastenersNeeded() {
      return (int) Math.ceil(used * support.fasteners() - 1e-9);
    }
  }

  /** Supports are described and weighed. */
  public Hanging {
    loads = List.copyOf(loads);
  }

  /**
   * Reckons the supports of a tank.
   *
   * @param mass tank, water and what hangs on it, full (kg)
   * @param centre from the tank's inside rear end (m)
   * @param high its height over the tank's floor (m)
   * @param tall how high the tank is inside (m)
   * @param breadth of the tank, over which a strap bears, across the vehicle (m)
   * @throws Refusal when there is none, none has a fastener, or two of more stand at one place
   */
  public static Hanging of(
      double mass,
      double centre,
      double high,
      double tall,
      double breadth,
      List<TankSupport> supports,
      Moving moving) {
    if (supports.isEmpty()) {
      throw new Refusal(Says.NOTHING_CARRIES_IT_YET_ADD.with());
    }
    if (!(mass > 0)) {
      throw new Refusal(Says.ITS_MASS_MUST.with());
    }
    double weight = mass * GRAVITY;
    List<TankSupport> order =
        supports.stream().sorted(Comparator.comparingDouble(TankSupport::along)).toList();
    double[] still = shares(weight, centre, order);
    boolean under = order.stream().anyMatch(s -> s.type().isUnder());
    double arm = under ? high : high - tall;
    double[] braking = shares(weight, centre + moving.along() * arm, order);
    List<Load> loads = new ArrayList<>();
    int fasteners = order.stream().mapToInt(TankSupport::fasteners).sum();
    for (int i = 0; i < order.size(); i++) {
      double slack = Math.max(still[i], worst(weight, centre, order, i));
      TankSupport support = order.get(i);
      // What lies on a support pulls its bolts by what lifts it, what hangs by all it bears.
      double couple = Math.max(0, braking[i] - still[i]);
      double bump = Math.max(0, slack) * moving.down();
      double most = support.type().isUnder() ? Math.max(bump, -braking[i]) : bump + couple;
      double pull = support.fasteners() > 0 ? most / support.fasteners() : Double.POSITIVE_INFINITY;
      double shear = fasteners > 0 ? weight * moving.shear() / fasteners : 0;
      double used = share(pull, support.pull()) + (shear > 0 ? share(shear, support.shear()) : 0);
      loads.add(
          new Load(
              support,
              still[i],
              slack,
              braking[i],
              Math.max(0, still[i]) * moving.down() + couple,
              pull,
              shear,
              used,
              (bump + couple) / (support.width() * breadth)));
    }
    boolean sideways = under && moving.across() * high > breadth / 2;
    return new Hanging(weight, centre, moving, loads, sideways);
  }

  /** Returns what a tank weighs filled to the brim (kg), itself with it. */
  public static double fullMass(TankRoom room) {
    return (1 + OWN) * room.capacity() * Water.DENSITY;
  }

  private static double share(double load, double bears) {
    return bears > 0 ? load / bears : Double.POSITIVE_INFINITY;
  }

  /** Returns what each of some supports bears (N), in their order. */
  static double[] shares(double weight, double centre, List<TankSupport> supports) {
    int n = supports.size();
    double mean = supports.stream().mapToDouble(TankSupport::along).average().orElseThrow();
    double spread = supports.stream().mapToDouble(s -> Math.pow(s.along() - mean, 2)).sum();
    double[] shares = new double[n];
    for (int i = 0; i < n; i++) {
      double lever =
          spread > ONE_PLACE * ONE_PLACE
              ? (centre - mean) * (supports.get(i).along() - mean) / spread
              : 0;
      shares[i] = weight / n + weight * lever;
    }
    return shares;
  }

  /** The most that a support bears when one of the others has gone slack. */
  private static double worst(double weight, double centre, List<TankSupport> order, int of) {
    double worst = 0;
    for (int gone = 0; gone < order.size(); gone++) {
      if (gone != of && order.size() > 2) {
        List<TankSupport> left = new ArrayList<>(order);
        left.remove(gone);
        worst = Math.max(worst, shares(weight, centre, left)[gone < of ? of - 1 : of]);
      }
    }
    return worst;
  }

  /** Tells whether the tank tips over its first or last support, each as wide as it is. */
  public boolean tips() {
    TankSupport first = loads.getFirst().support();
    TankSupport last = loads.getLast().support();
    return centre < first.along() - first.width() / 2 || centre > last.along() + last.width() / 2;
  }

  /**
   * Tells whether one support that goes slack lets the tank fall: with one or two it does, unless
   * it stands on something.
   */
  public boolean fallsWithoutOne() {
    return loads.size() < 3 && loads.stream().noneMatch(l -> l.support().type().isUnder());
  }

  /** Returns how far all would have to move together to bear evenly (m, forward). */
  public double moveToCentre() {
    double mean = loads.stream().mapToDouble(l -> l.support().along()).average().orElse(centre);
    return centre - mean;
  }

  /** Returns the fullest of all fasteners, as a share of what it bears. */
  public Optional<Load> fullest() {
    return loads.stream().max(Comparator.comparingDouble(Load::used));
  }
}
