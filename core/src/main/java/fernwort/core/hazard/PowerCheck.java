package fernwort.core.hazard;

import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.End;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Motor valves that open a way when the power fails. */
final class PowerCheck implements Check {

  @Override
  public void look(Scene scene, List<Warning> found) {
    List<PartId> turned =
        scene.network().rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.TURNS))
            .filter(p -> p.kind().unpowered().filter(rest -> !scene.is(p.id(), rest)).isPresent())
            .map(Part::id)
            .toList();
    if (turned.isEmpty()) {
      return;
    }
    Setting dark = scene.network().rig().withoutPower(scene.setting());
    FlowPaths after = OpenWays.find(scene.network(), dark, scene.levels());
    Set<FlowPath.Key> before =
        scene.ways().ways().stream().map(FlowPath::key).collect(Collectors.toSet());
    for (PartId valve : turned) {
      after.ways().stream()
          .filter(w -> w.end().kind() != End.Kind.FIXTURE)
          .filter(w -> !before.contains(w.key()) && w.parts().contains(valve))
          .findFirst()
          .ifPresent(w -> found.add(warning(scene, valve, w)));
    }
  }

  private static Warning warning(Scene scene, PartId valve, FlowPath way) {
    String goal =
        switch (way.end().kind()) {
          case GROUND -> Says.ONTO_THE_GROUND_AT.filled(scene.label(way.end().part()));
          case DUMP -> Says.OUT_AT.filled(scene.label(way.end().part()));
          case TANK, FIXTURE -> "into " + scene.label(way.end().part());
        };
    return new Warning(
        Warning.Code.POWER_LOSS,
        Severity.WARNING,
        Says.OPENS_WHEN_THE_POWER_FAILS.with(scene.label(valve)),
        Says.WATER_THEN_RUNS_WITH_NOBODY.with(goal),
        Says.ITS_MOTOR_FALLS_BACK.with(),
        Says.CLOSE_A_HAND_VALVE_IN_THAT_LINE.with(),
        List.of(valve, way.end().part()));
  }
}
