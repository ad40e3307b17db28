package fernwort.core.jobs;

import fernwort.core.jobs.Job.Stage;
import fernwort.core.network.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Finds what is done before a drive, after it, and before the rig is handed over. */
final class RoadFinder extends Finder {

  RoadFinder(Plumbing plumbing, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(plumbing, jobs, cannot);
  }

  @Override
  void find() {
    road();
  }

  private void road() {
    Map<String, String> shut = new LinkedHashMap<>();
    for (Part part : rig.parts()) {
      boolean closes =
          switch (part.kind()) {
            case Kind.Pump k -> true;
            case Kind.Macerator k -> true;
            case Kind.Heater k -> true;
            case Kind.HoseInlet k -> true;
            case Kind.GravityFiller k -> true;
            case Kind.PortableContainer k -> true;
            case Kind.Fixture k -> true;
            case Kind.OpenEnd k -> part.hasHandle();
            case Kind.Plug k -> part.hasHandle();
            default -> false;
          };
      if (closes) {
        shut.put(part.id(), part.kind().positions().getFirst().id());
      }
    }
    shut.putAll(fernwort.core.network.run.Drive.travelValves(rig));
    add(
        Job.Kind.DRIVE,
        "drive",
        "Make ready to drive",
        "",
        List.of(Stage.of(Goal.of(shut).allStill())),
        Caution.HEATER);
    add(
        Job.Kind.ARRIVE,
        "arrive",
        "Arrive: let the tanks breathe",
        "",
        List.of(
            Stage.of(
                Goal.of(Map.of()).breathing(rig.tanks().map(Part::id).toArray(String[]::new)))));
    add(
        Job.Kind.REST,
        "rest",
        "Hand the rig over at rest",
        "",
        List.of(Stage.of(Goal.of(rest.positions()))),
        Caution.PRESSURE,
        Caution.HEATER);
  }
}
