package fernwort.app.services;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Levels;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.util.List;

/**
 * What is open in a state, and what would go wrong in it.
 *
 * @param ways every way that stands open
 * @param warnings the worst first
 */
public record Outlook(FlowPaths ways, List<Warning> warnings) {

  public Outlook {
    warnings = List.copyOf(warnings);
  }

  /** Returns what is open and what would go wrong, worked out anew only for another state. */
  public static Outlook of(OpenRig rig, State state) {
    return rig.outlooks().of(state, s -> find(rig, s));
  }

  private static Outlook find(OpenRig rig, State state) {
    Levels levels = Levels.of(rig.network(), state);
    FlowPaths ways = OpenWays.find(rig.network(), state.setting(), levels);
    return new Outlook(ways, rig.hazards().warnings(state.setting(), levels, ways));
  }

  /**
   * What turning one handle would change, without turning it.
   *
   * @param before as things stand
   * @param after with the handle turned
   */
  public record Preview(Outlook before, Outlook after) {

    /**
     * Works both out.
     *
     * @throws Refusal in one sentence, when the handle has no such position
     */
    public static Preview of(OpenRig rig, State state, PartId part, PositionId position) {
      rig.rig().position(part, position);
      State turned = state.with(rig.rig().turned(state.setting(), part, position));
      return new Preview(Outlook.of(rig, state), Outlook.of(rig, turned));
    }
  }
}
