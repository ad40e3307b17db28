package fernwort.core.kind;

/** What a port has for a line to be joined to, unless somebody says otherwise. */
public enum PortEnd {
  /** A bulkhead through the wall of a tank. */
  BULKHEAD,
  /** An outside thread, no smaller than appliances have. */
  THREAD,
  /** The outside thread of a tap. */
  TAP_THREAD,
  /** An inside thread of the size of its line. */
  FEMALE_THREAD,
  /** What grips the line itself. */
  GRIPS_LINE,
  /** Nothing: it is open. */
  OPEN
}
