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
 * @param clogged how many times its clean loss a filter takes by the log, by id
 */
public record OpenRig(
    String id,
    int version,
    Rig rig,
    Plumbing plumbing,
    Hydraulics hydraulics,
    Hazards hazards,
    Map<String, Streams.Stream> streams,
    Map<String, Double> clogged) {

  /** Prepares a rig. */
  public static OpenRig of(String id, int version, Rig rig) {
    return of(id, version, Plumbing.of(rig), Map.of());
  }

  /** Prepares a rig whose filters have been used. */
  static OpenRig of(String id, int version, Plumbing plumbing, Map<String, Double> clogged) {
    Hydraulics hydraulics = Hydraulics.of(plumbing, clogged);
    return new OpenRig(
        id,
        version,
        plumbing.rig(),
        plumbing,
        hydraulics,
        Hazards.of(plumbing, hydraulics),
        Streams.of(plumbing.rig()),
        Map.copyOf(clogged));
  }

  /**
   * All that what is found out about a rig depends on, whatever its address and version: a step
   * taken back, or a copy, finds it at hand.
   *
   * @param rig the description
   * @param clogged how many times its clean loss a filter takes, by id
   */
  record Content(Rig rig, Map<String, Double> clogged) {}

  /** Returns what tells it from a rig about which something else is true. */
  Content content() {
    return new Content(rig, clogged);
  }
}
