package fernwort.app.api;

import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;

/**
 * Steady flow as a program wants it.
 *
 * @param lines flow in each line from its first end to its second (m³/s)
 * @param fixtures what each open fixture passes (m³/s)
 * @param ends what leaves at each open end (m³/s)
 * @param tanks what each tank gains (m³/s)
 * @param supplies what each inlet or jug gives (m³/s)
 * @param pumps what each running pump does
 * @param airAt parts at which air is drawn into the moving water
 * @param air gauge pressure of the air above each tank's water, where there is any (Pa)
 */
record FlowAnswer(
    Map<LineId, Double> lines,
    Map<PartId, Double> taps,
    Map<PartId, Double> ends,
    Map<PartId, Double> tanks,
    Map<PartId, Double> supplies,
    Map<PartId, Flows.Running> pumps,
    List<PartId> airAt,
    Map<PartId, Double> air) {

  /** Answers for a rig whose hydraulics are at hand. */
  static FlowAnswer of(Hydraulics hydraulics, State state) {
    Flows flows = hydraulics.solve(state);
    return new FlowAnswer(
        flows.lines(),
        flows.fixtures(),
        flows.ends(),
        flows.tanks(),
        flows.supplies(),
        flows.pumps(),
        flows.airAt(),
        flows.air());
  }
}
