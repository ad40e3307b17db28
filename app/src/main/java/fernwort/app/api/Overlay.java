package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.app.services.OpenRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What a question takes to be otherwise than recorded; nothing of it is kept.
 *
 * @param positions positions of handles, by part id
 * @param litres water in tanks, by id (L)
 * @param slope how the vehicle stands (degrees)
 */
record Overlay(
    Optional<Map<String, String>> positions,
    @JsonProperty("volumes_l") Optional<Map<String, Double>> litres,
    Optional<Lean> slope) {

  /** Nothing is otherwise. */
  static final Overlay NONE = new Overlay(Optional.empty(), Optional.empty(), Optional.empty());

  private static final double STEEPEST = 45;
  private static final double LITRE = 1e-3;

  /** Pitch, nose up, and roll, left side up (degrees). */
  record Lean(double pitch, double roll) {

    /**
     * Returns it as a slope.
     *
     * @throws Refusal when nothing stands like that
     */
    Slope slope() {
      if (!(Math.abs(pitch) <= STEEPEST && Math.abs(roll) <= STEEPEST)) {
        throw new Refusal(String.format(Locale.ROOT, Says.NO_VEHICLE_IS_PARKED.text(), STEEPEST));
      }
      return new Slope(pitch, roll);
    }
  }

  /**
   * Returns a state with these things otherwise.
   *
   * @throws Refusal naming the part, position or amount that cannot be so
   */
  State on(OpenRig rig, State recorded) {
    State state = recorded;
    for (Map.Entry<String, String> p : positions.orElse(Map.of()).entrySet()) {
      rig.rig().position(PartId.of(p.getKey()), PositionId.of(p.getValue()));
      state = state.with(PartId.of(p.getKey()), PositionId.of(p.getValue()));
    }
    for (Map.Entry<String, Double> v : litres.orElse(Map.of()).entrySet()) {
      state = state.withVolume(PartId.of(v.getKey()), volume(rig, v.getKey(), v.getValue()));
    }
    return slope.isEmpty()
        ? state
        : new State(state.setting(), state.volumes(), slope.get().slope());
  }

  private static double volume(OpenRig rig, String tank, double litres) {
    if (!rig.rig().part(PartId.of(tank)).kind().is(Purpose.HOLDS)) {
      throw new Refusal(
          Says.IS_NOT_A_TANK_GIVE_LITRES.with(rig.rig().part(PartId.of(tank)).label()));
    }
    double capacity = rig.network().room(PartId.of(tank)).capacity();
    if (!(litres >= 0 && litres * LITRE <= capacity * 1.001)) {
      throw new Refusal(
          Says.HOLDS_FROM_0_TO_GIVE_ITS_LITRES.with(
              rig.rig().part(PartId.of(tank)).label(), Amount.volume(capacity)));
    }
    return Math.min(litres * LITRE, capacity);
  }
}
