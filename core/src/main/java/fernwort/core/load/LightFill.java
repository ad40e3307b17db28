package fernwort.core.load;

import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankFigures;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The smallest fill that a leg needs, in the tanks where it weighs least on the weakest axle.
 *
 * @param tanks what to fill
 * @param missing what does not fit (m³)
 * @param loads the loads it gives
 */
public record LightFill(List<Filled> tanks, double missing, Loads loads) {

  /**
   * One tank of it.
   *
   * @param tank id of the tank
   * @param volume what it holds, the stranded part included (m³)
   * @param level height of the water above the tank's floor with the vehicle level (m)
   */
  public record Filled(PartId tank, double volume, double level) {}

  /**
   * Finds it: every order of filling one tank after the other is tried, and the one with the
   * largest margin kept. O(n!·n) for n fresh tanks, of which there are few.
   *
   * @param network the prepared rig
   * @param usable water that must be drawable (m³)
   * @throws Refusal with too many tanks, or a vehicle that cannot stand
   */
  public static LightFill of(Network network, double usable) {
    List<Part> fresh = network.rig().tanks(Contents.FRESH).toList();
    if (fresh.size() > DrawOrders.MOST_TANKS) {
      throw new Refusal(Says.TANKS_CAN_BE_FILLED_IN_TOO_MANY.filled(fresh.size()));
    }
    Map<PartId, TankFigures> figures = new HashMap<>();
    for (Part tank : fresh) {
      figures.put(tank.id(), network.figures(tank, Slope.LEVEL));
    }
    List<LightFill> tried = new ArrayList<>();
    DrawOrders.permute(
        new ArrayList<>(), fresh, order -> tried.add(fill(network, order, figures, usable)));
    return tried.stream()
        .max((a, b) -> Double.compare(a.loads().margin(), b.loads().margin()))
        .orElseThrow(() -> new Refusal(Says.THE_RIG_HAS_NO_FRESH_TANK.with()));
  }

  private static LightFill fill(
      Network network, List<Part> order, Map<PartId, TankFigures> figures, double usable) {
    double wanted = usable;
    List<Filled> filled = new ArrayList<>();
    Map<PartId, Double> volumes = new HashMap<>();
    for (Part tank : order) {
      TankFigures of = figures.getOrDefault(tank.id(), new TankFigures(0, 0, 0));
      double into = Math.min(wanted, of.usable());
      if (into > 0) {
        double volume = into + of.stranded();
        double level = network.room(tank.id()).level(volume, Slope.LEVEL);
        filled.add(new Filled(tank.id(), volume, level));
        volumes.put(tank.id(), volume);
        wanted -= into;
      }
    }
    return new LightFill(filled, Math.max(0, wanted), Loads.of(network, volumes));
  }
}
