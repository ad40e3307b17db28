package fernwort.app.board;

import fernwort.app.rigs.OpenRig;
import fernwort.app.rigs.Rigs;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Ways;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.time.Instant;
import java.util.Map;

/** The cutaway of a rig as a plan: everything at rest, nothing to turn. */
public final class PlanDrawing {

  private PlanDrawing() {}

  /** Draws an open rig. */
  public static Drawing of(OpenRig rig) {
    State rest = new State(rig.rig().atRest(), Map.of(), Slope.LEVEL);
    Levels levels = Levels.of(rig.plumbing(), rest);
    Ways ways = OpenWays.find(rig.plumbing(), rest.setting(), levels);
    Rigs.Outlook outlook =
        new Rigs.Outlook(ways, rig.hazards().warnings(rest.setting(), levels, ways));
    return new Drafter(rig, new Rigs.Standing(rest, Map.of()), outlook, Instant.EPOCH).whole();
  }

  /** Draws a rig that is not kept anywhere. */
  public static Drawing of(Rig rig) {
    return of(OpenRig.of("plan", 1, rig));
  }
}
