package fernwort.core.load;

import fernwort.core.kind.tank.Point;
import fernwort.core.network.Network;
import fernwort.core.network.Water;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Each tank's share in the loads, by what it holds. Remembered to a tenth of a millilitre, since a
 * trip meets the same levels again and again in another order. Not for use by several threads.
 */
final class Moments {

  private static final double GRAIN = 1e-7;

  /**
   * The share of one tank.
   *
   * @param rear on the rear support (kg)
   * @param front on the front support (kg)
   * @param left how much more lies left of the middle than right (kg)
   */
  record Share(double rear, double front, double left) {
    static final Share NONE = new Share(0, 0, 0);
  }

  private final Network network;
  private final List<Bearing> supports;
  private final List<Map<Long, Share>> known = new ArrayList<>();

  Moments(Network network) {
    this.network = network;
    supports = Bearing.of(network.rig().vehicle());
    network.tanks().forEach(t -> known.add(new HashMap<>()));
  }

  List<Bearing> supports() {
    return supports;
  }

  /** Returns the share of a tank, by its place among the rig's tanks, at some volume (m³). */
  Share of(int tank, double volume) {
    long grains = Math.round(volume / GRAIN);
    return grains <= 0
        ? Share.NONE
        : known.get(tank).computeIfAbsent(grains, g -> share(tank, g * GRAIN));
  }

  private Share share(int index, double volume) {
    Part tank = network.tanks().get(index);
    TankRoom room = network.room(tank.id());
    Point inside = room.centroid(room.level(volume, Slope.LEVEL), Slope.LEVEL);
    double x = tank.x() + inside.x();
    double y = tank.y() + inside.y();
    double mass = volume * Water.DENSITY;
    double ahead = (x - supports.get(0).x()) / (supports.get(1).x() - supports.get(0).x());
    double aside = Math.clamp(2 * y / network.rig().vehicle().width(), -1, 1);
    return new Share(mass * (1 - ahead), mass * ahead, mass * aside);
  }

  /** Returns the loads of all tanks at these volumes (m³), in the order of the rig's tanks. */
  Loads loads(double[] volumes) {
    double rear = 0;
    double front = 0;
    double left = 0;
    for (int i = 0; i < volumes.length; i++) {
      Share share = of(i, volumes[i]);
      rear += share.rear();
      front += share.front();
      left += share.left();
    }
    return new Loads(supports, rear, front, left);
  }
}
