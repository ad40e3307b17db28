package fernwort.core.jobs.find;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Dumps;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.network.Network;
import fernwort.core.road.Drive;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Finds what is done before a drive, after it, and before the rig is handed over. */
final class RoadFinder extends Finder {

  RoadFinder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  @Override
  void find() {
    road();
  }

  private void road() {
    Map<PartId, PositionId> shut = new LinkedHashMap<>(rig.shutDown());
    shut.putAll(Drive.travelValves(rig));
    add(
        Job.Kind.DRIVE,
        "drive",
        Says.GET_READY_TO_DRIVE.text(),
        "",
        List.of(Stage.of(Goal.of(shut).and(new Condition.Still()).and(Dumps.of(network).held()))),
        Caution.HEATER);
    add(
        Job.Kind.ARRIVE,
        "arrive",
        Says.ON_ARRIVAL_OPEN_THE_TANK_VENTS.text(),
        "",
        List.of(Stage.of(arrived())));
    add(
        Job.Kind.REST,
        "rest",
        Says.LEAVE_IT_SAFE_EVERYTHING_OFF.text(),
        "",
        List.of(Stage.of(Goal.of(rest.positions()))),
        Caution.PRESSURE,
        Caution.HEATER);
  }

  /**
   * What was shut for the drive is open again, every tank breathes, and none of them runs out now
   * that air gets in.
   */
  private Goal arrived() {
    List<Condition> conditions = new ArrayList<>(Condition.breathing(rig.tanks().toList()));
    rig.tanks().forEach(t -> conditions.add(new Condition.Kept(t.id())));
    Drive.travelValvesOpen(rig)
        .forEach((valve, open) -> conditions.add(new Condition.Placed(valve, open)));
    return Goal.of(Map.of()).and(conditions);
  }
}
