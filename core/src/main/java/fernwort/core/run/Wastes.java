package fernwort.core.run;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.network.End;
import fernwort.core.run.water.EventLocation;
import fernwort.core.run.water.Rates;
import fernwort.core.run.water.Tanks;
import java.util.Map;

/** Where the wastes of fixtures run to, and when a tank stands too high to take them. */
final class Wastes {

  /** A tank with less room than this takes no waste (m³). */
  private static final double NO_ROOM = 1e-9;

  private final EventMonitor watch;
  private final Tanks tanks;
  private Map<PartId, End> ends = Map.of();

  Wastes(EventMonitor watch, Tanks tanks) {
    this.watch = watch;
    this.tanks = tanks;
  }

  Wastes(Wastes other, Tanks tanks) {
    watch = other.watch;
    this.tanks = tanks;
    ends = other.ends;
  }

  /** They run to other ends from now on, by fixture. */
  void runTo(Map<PartId, End> others) {
    ends = others;
  }

  /** Returns what each tank gains, from lines and from wastes (m³/s). */
  double[] gains(Flows flows) {
    double[] gains = new double[tanks.count()];
    for (int i = 0; i < gains.length; i++) {
      gains[i] = flows.tank(tanks.id(i));
    }
    flows
        .fixtures()
        .forEach((fixture, q) -> {
          int tank = tank(fixture);
          if (tank >= 0) {
            gains[tank] += q;
          }
        });
    return gains;
  }

  /** Tells whether a fixture's waste reaches no tank that has room for it. */
  boolean isLost(PartId fixture) {
    return tank(fixture) < 0;
  }

  /** Tells whether a fixture's waste runs to a tank that does not take it. */
  boolean backsUp(PartId fixture) {
    return ends.containsKey(fixture)
        && ends.get(fixture).kind() == End.Kind.TANK
        && isLost(fixture);
  }

  /** The place of the tank that takes a fixture's waste, −1 when none does. */
  private int tank(PartId fixture) {
    End end = ends.get(fixture);
    int tank = end == null || end.kind() != End.Kind.TANK ? -1 : tanks.place(end.part());
    boolean takes =
        tank >= 0
            && tanks.capacity(tank) - tanks.volume(tank) > NO_ROOM
            && tanks.head(tank, tanks.volume(tank)) < watch.wasteHeight(fixture);
    return takes ? tank : -1;
  }

  /**
   * Returns how much of a step passes before a tank that waste runs into, whatever its pressure,
   * stands as high as the waste (s); all of it when none does. Found by halving.
   *
   * @param start the rates of the step
   * @param within its length (s)
   * @param close how closely the time is found (s)
   */
  double untilBackedUp(EventLocation crossings, Rates start, double within, double close) {
    double soonest = within;
    for (Map.Entry<PartId, Double> use : start.flows().fixtures().entrySet()) {
      int tank = use.getValue() > Rates.STILL ? tank(use.getKey()) : -1;
      double high = watch.wasteHeight(use.getKey());
      if (tank < 0 || headAfter(soonest, tank, crossings, start) < high) {
        continue;
      }
      double low = 0;
      while (soonest - low > close) {
        double middle = (low + soonest) / 2;
        if (headAfter(middle, tank, crossings, start) < high) {
          low = middle;
        } else {
          soonest = middle;
        }
      }
    }
    return soonest;
  }

  private double headAfter(double seconds, int tank, EventLocation crossings, Rates start) {
    return tanks.head(tank, crossings.after(start, start, seconds, seconds)[tank]);
  }
}
