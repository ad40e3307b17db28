package fernwort.core.network;

import fernwort.core.id.PartId;

/**
 * Where water goes.
 *
 * @param kind what sort of end
 * @param part id of the part it ends in or leaves by
 */
public record End(Kind kind, PartId part) {

  /** The sorts of end. */
  public enum Kind {
    FIXTURE,
    TANK,
    GROUND,
    DUMP
  }
}
