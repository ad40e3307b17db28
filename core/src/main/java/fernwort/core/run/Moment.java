package fernwort.core.run;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.rig.State;
import fernwort.core.run.water.Totals;
import java.util.Map;

/**
 * How things stand at one moment of a run.
 *
 * @param time since the run began (s)
 * @param state handles and levels
 * @param flows what flows
 * @param gains what each tank gains, from lines and from wastes, by id (m³/s)
 * @param air gauge pressure of the air above each tank's water, by id (Pa)
 * @param warmth temperature in each storage heater of known power, by id (K)
 * @param totals what has moved so far
 * @param lacking what lines and bodies lack that are dry still (m³)
 */
public record Moment(
    double time,
    State state,
    Flows flows,
    Map<PartId, Double> gains,
    Map<PartId, Double> air,
    Map<PartId, Double> warmth,
    Totals totals,
    double lacking) {

  /** Tells whether no tank or dry line has changed by as much as a volume (m³) since another. */
  public boolean isSettledSince(Moment other, double volume) {
    return Math.abs(lacking - other.lacking) < volume
        && state.volumes().entrySet().stream()
            .allMatch(v -> Math.abs(v.getValue() - other.state.volume(v.getKey())) < volume);
  }
}
