package fernwort.core.kind;

/** What a part is there for in the water of a rig; one may have several. */
public enum Purpose {
  /** Water comes from it. */
  SOURCE,
  /** Water ends at it: it is used, kept or let out there. */
  END,
  /** Water stands in it. */
  HOLDS,
  /** It drives water on. */
  DRIVES,
  /** It heats water. */
  HEATS
}
