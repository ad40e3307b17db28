package fernwort.core.hazard;

import fernwort.core.network.Network;
import fernwort.core.say.Message;
import fernwort.core.streams.Directions;
import java.util.List;

/** Check valves that face the wrong way; found once per rig, since no handle changes it. */
final class CheckValveCheck implements Check {

  private final List<String> reversed;

  CheckValveCheck(Network network) {
    reversed = Directions.of(network).reversedCheckValves();
  }

  @Override
  public void look(Scene scene, List<Warning> found) {
    for (String valve : reversed) {
      found.add(
          new Warning(
              Warning.Code.CHECK_VALVE_REVERSED,
              Severity.WARNING,
              Message.words(scene.label(valve) + " faces the wrong way"),
              Message.of("No water ever passes it, whatever the handles."),
              Message.of(
                  "No source reaches the side it lets water in by, but one reaches its other side."),
              Message.of(
                  "Turn it round: its arrow points from the source to where the water is used."),
              List.of(valve)));
    }
  }
}
