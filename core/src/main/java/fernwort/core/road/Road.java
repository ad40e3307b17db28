package fernwort.core.road;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.network.Network;
import fernwort.core.run.Landmarks;

/**
 * A rig prepared for any number of drives. Safe to share.
 *
 * @param landmarks what its water meets on each slope
 * @param late its hydraulics where lines run full, and siphon, only when they surely do
 * @param early the same where they do as soon as they may
 */
public record Road(Landmarks landmarks, Hydraulics late, Hydraulics early) {

  /** Prepares a rig. */
  public static Road of(Landmarks landmarks) {
    Hydraulics late = Hydraulics.of(landmarks.network());
    return new Road(landmarks, late, late.primingEarly());
  }

  /** Returns the rig. */
  public Network network() {
    return landmarks.network();
  }
}
