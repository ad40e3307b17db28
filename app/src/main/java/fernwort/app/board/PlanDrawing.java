package fernwort.app.board;

import fernwort.app.rigs.OpenRig;
import fernwort.app.rigs.Rigs;
import fernwort.core.plumbing.Levels;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.Ways;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/** The cutaway of a rig that is only looked at: at rest, or in a state that is tried out. */
public final class PlanDrawing {

  private PlanDrawing() {}

  /** Draws an open rig. */
  public static Drawing of(OpenRig rig) {
    return of(rig, new State(rig.rig().atRest(), Map.of(), Slope.LEVEL));
  }

  /** Draws an open rig in a state that nobody recorded. */
  public static Drawing of(OpenRig rig, State state) {
    Levels levels = Levels.of(rig.plumbing(), state);
    Ways ways = OpenWays.find(rig.plumbing(), state.setting(), levels);
    Rigs.Outlook outlook =
        new Rigs.Outlook(ways, rig.hazards().warnings(state.setting(), levels, ways));
    return new Drafter(rig, new Rigs.Standing(state, Map.of(), List.of()), outlook, Instant.EPOCH)
        .whole();
  }

  /** Draws a rig that is not kept anywhere. */
  public static Drawing of(Rig rig) {
    return of(OpenRig.of("plan", 1, rig));
  }
}
