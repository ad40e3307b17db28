package fernwort.app.garage;

import fernwort.core.hazard.Hazards;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Rig;
import fernwort.core.streams.Streams;
import java.util.Map;

/**
 * A rig with everything that is computed from its description alone, made once for a version and
 * shared by all who ask.
 *
 * @param id its address
 * @param version the version of the description
 * @param rig the rig
 * @param plumbing prepared for searching
 * @param hydraulics prepared for flow
 * @param hazards prepared checks
 * @param streams what each line carries
 */
public record OpenRig(
    String id,
    int version,
    Rig rig,
    Plumbing plumbing,
    Hydraulics hydraulics,
    Hazards hazards,
    Map<String, Streams.Stream> streams) {

  /** Prepares a rig. */
  public static OpenRig of(String id, int version, Rig rig) {
    Plumbing plumbing = Plumbing.of(rig);
    Hydraulics hydraulics = Hydraulics.of(plumbing);
    return new OpenRig(
        id, version, rig, plumbing, hydraulics, Hazards.of(plumbing, hydraulics), Streams.of(rig));
  }
}
