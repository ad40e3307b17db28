package fernwort.app.services;

import fernwort.core.hazard.Hazards;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.run.Landmarks;
import fernwort.core.streams.LineService;
import java.util.Map;

/**
 * A rig with everything that is computed from its description alone, made once for a version and
 * shared by all who ask.
 *
 * @param id its address
 * @param version the version of the description
 * @param rig the rig
 * @param network prepared for searching
 * @param hydraulics prepared for flow
 * @param landmarks what its water meets in a run
 * @param hazards prepared checks
 * @param outlooks what was found of its last states
 * @param streams what each line carries
 * @param clogged how many times its clean loss a filter takes by the log, by id
 */
public record OpenRig(
    String id,
    int version,
    Rig rig,
    Network network,
    Hydraulics hydraulics,
    Landmarks landmarks,
    Hazards hazards,
    Outlooks outlooks,
    Map<LineId, LineService.Stream> streams,
    Map<PartId, Double> clogged) {

  /** Prepares a rig. */
  public static OpenRig of(String id, int version, Rig rig) {
    return of(id, version, Network.of(rig), Map.of());
  }

  /** Prepares a rig whose filters have been used. */
  static OpenRig of(String id, int version, Network network, Map<PartId, Double> clogged) {
    Hydraulics hydraulics = Hydraulics.of(network, clogged);
    return new OpenRig(
        id,
        version,
        network.rig(),
        network,
        hydraulics,
        Landmarks.of(network),
        Hazards.of(network, hydraulics),
        new Outlooks(),
        LineService.of(network.rig()),
        Map.copyOf(clogged));
  }

  /**
   * All that what is found out about a rig depends on, whatever its address and version: a step
   * taken back, or a copy, finds it at hand.
   *
   * @param rig the description
   * @param clogged how many times its clean loss a filter takes, by id
   */
  public record Content(Rig rig, Map<PartId, Double> clogged) {}

  /** Returns what tells it from a rig about which something else is true. */
  public Content content() {
    return new Content(rig, clogged);
  }
}
