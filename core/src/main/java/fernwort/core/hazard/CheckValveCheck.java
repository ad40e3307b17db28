package fernwort.core.hazard;

import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.streams.Directions;
import java.util.List;

/** Check valves that face the wrong way; found once per rig, since no handle changes it. */
final class CheckValveCheck implements Check {

  private final List<PartId> reversed;

  CheckValveCheck(Network network) {
    reversed = Directions.of(network).reversedCheckValves();
  }

  @Override
  public void look(Scene scene, List<Warning> found) {
    for (PartId valve : reversed) {
      found.add(
          new Warning(
              Warning.Code.CHECK_VALVE_REVERSED,
              Severity.WARNING,
              Says.FACES_THE_WRONG_WAY.with(scene.label(valve)),
              Says.NO_WATER_EVER_PASSES_IT_WHATEVER.with(),
              Says.NO_SOURCE_REACHES_THE_SIDE.with(),
              Says.TURN_IT_ROUND_ITS_ARROW_POINTS.with(),
              List.of(valve)));
    }
  }
}
