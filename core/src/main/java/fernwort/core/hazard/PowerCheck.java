package fernwort.core.hazard;

import fernwort.core.kind.Purpose;
import fernwort.core.plumbing.End;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.say.Saying;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.Way;
import fernwort.core.ways.Ways;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Motor valves that open a way when the power fails. */
final class PowerCheck implements Check {

  @Override
  public void look(Scene scene, List<Warning> found) {
    List<String> turned =
        scene.plumbing().rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.TURNS))
            .filter(p -> p.kind().unpowered().filter(rest -> !scene.is(p.id(), rest)).isPresent())
            .map(Part::id)
            .toList();
    if (turned.isEmpty()) {
      return;
    }
    Setting dark = scene.plumbing().rig().withoutPower(scene.setting());
    Ways after = OpenWays.find(scene.plumbing(), dark, scene.levels());
    Set<Way.Key> before = scene.ways().ways().stream().map(Way::key).collect(Collectors.toSet());
    for (String valve : turned) {
      after.ways().stream()
          .filter(w -> w.end().kind() != End.Kind.FIXTURE)
          .filter(w -> !before.contains(w.key()) && w.parts().contains(valve))
          .findFirst()
          .ifPresent(w -> found.add(warning(scene, valve, w)));
    }
  }

  private static Warning warning(Scene scene, String valve, Way way) {
    String goal =
        switch (way.end().kind()) {
          case GROUND -> "onto the ground at " + scene.label(way.end().part());
          case DUMP -> "out at " + scene.label(way.end().part());
          case TANK, FIXTURE -> "into " + scene.label(way.end().part());
        };
    return new Warning(
        Warning.Code.POWER_LOSS,
        Severity.WARNING,
        Saying.words(scene.label(valve) + " opens when the power fails"),
        Saying.words("Water then runs " + goal + " with nobody at the handle."),
        Saying.of("Its motor falls back to a position that opens this way."),
        Saying.of(
            "Shut a hand valve in that way before you leave it, or use a motor that stays put."),
        List.of(valve, way.end().part()));
  }
}
