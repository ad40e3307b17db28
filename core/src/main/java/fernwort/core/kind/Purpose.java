package fernwort.core.kind;

/** What a part is there for in the water of a rig; one may have several. */
public enum Purpose {
  /** Water comes from it. */
  SOURCE,
  /** Water ends at it: it is used, kept or let out there. */
  END,
  /** Water stands in it. */
  HOLDS,
  /** People take water from it. */
  USE,
  /** What comes down its line leaves by it: the end of a drain, overflow or dump line. */
  OUTLET,
  /** A hose from outside is joined to it. */
  INLET,
  /** Water is poured into it. */
  POURED_INTO,
  /** It is carried to the rig, and poured or drawn from. */
  CARRIED,
  /** It drives water on. */
  DRIVES,
  /** It drives clean water on. */
  PUMPS,
  /** It keeps taps under pressure. */
  SUPPLIES,
  /** It heats water. */
  HEATS,
  /** It takes something out of the water. */
  FILTERS,
  /** Its handle says which of its ports are joined. */
  TURNS
}
