package fernwort.core.jobs.find;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.road.Drive;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Before a drive all is off, and the valves that keep overflows from slopping are shut too. */
class RoadFinderTest {

  private static final Rig RIG = Practised.rig("two-travel-valves");

  private static Map<PartId, PositionId> musts(String job) {
    Job found = Jobs.of(Network.of(RIG)).byId(job).orElseThrow();
    return found.stages().getFirst().goal().musts();
  }

  @Test
  void theTravelValvesAreShutBeforeADriveAndOpenedAfterIt() {
    Map<PartId, PositionId> shut = Drive.travelValves(RIG);
    assertThat(shut).hasSize(2);
    assertThat(musts("drive")).containsAllEntriesOf(shut).containsAllEntriesOf(RIG.shutDown());
    assertThat(musts("arrive")).containsAllEntriesOf(Drive.travelValvesOpen(RIG));
    assertThat(musts("rest")).containsAllEntriesOf(RIG.atRest().positions());
  }
}
