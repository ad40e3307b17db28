package fernwort.app.api;

import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.tank.Parked;
import fernwort.core.tank.TankFigures;
import fernwort.core.tank.TankRoom;
import java.util.Map;
import java.util.TreeMap;

/**
 * A tank on the slope it stands on, in litres.
 *
 * @param litres what it holds now (L)
 * @param capacity filled to the last corner (L)
 * @param usable what can be filled in and drawn again (L)
 * @param stranded what stays below its outlets (L)
 * @param unreachable what cannot be filled above its vent (L)
 * @param gauge what the gauge makes of what it holds, on this slope
 */
record TankAnswer(
    double litres,
    double capacity,
    double usable,
    double stranded,
    double unreachable,
    GaugeAnswer gauge) {

  private static final double LITRE = 1e-3;

  /**
   * What a gauge shows.
   *
   * @param steps steps or lamps of a sender; 0 for other gauges
   * @param says litres that one takes it for who reads it as on level ground
   */
  record GaugeAnswer(int steps, double says) {}

  static Map<PartId, TankAnswer> of(Network network, State state) {
    Map<PartId, TankAnswer> answers = new TreeMap<>();
    for (Part part : network.tanks()) {
      Tank tank = network.joined(part);
      TankRoom room = network.room(part.id());
      double volume = state.volume(part.id());
      Parked parked = Parked.of(tank, room, volume, state.slope());
      TankFigures figures = parked.figures();
      answers.put(
          part.id(),
          new TankAnswer(
              volume / LITRE,
              figures.capacity() / LITRE,
              figures.usable() / LITRE,
              figures.stranded() / LITRE,
              figures.unreachable() / LITRE,
              new GaugeAnswer(parked.senderSteps(), parked.senderSays() / LITRE)));
    }
    return answers;
  }
}
