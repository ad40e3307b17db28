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
  TURNS,
  /** Air passes by it: the open end of a vent. */
  VENTS,
  /** A full tank runs over by it. */
  OVERFLOWS,
  /** Water runs out by it, always open. */
  DRAINS,
  /** Waste is dumped by it, through a hose. */
  DUMPS,
  /** It sends hot water round. */
  CIRCULATES,
  /** It cuts up what is in waste. */
  CUTS,
  /** It closes a line or port. */
  CLOSES,
  /** It closes one, and a hand takes it off. */
  CAP,
  /** Air passes by it, and no water. */
  BREATHES,
  /** It lets water one way. */
  CHECKS,
  /** It holds the pressure behind it down. */
  REGULATES,
  /** It keeps grit out of what follows. */
  STRAINS,
  /** It makes unsafe water fit to drink. */
  PURIFIES,
  /** Air in it gives way to water. */
  CUSHIONS,
  /** The tap that its hose hangs on lets nothing back into the public pipe. */
  PROTECTS,
  /** Water stands in it against smell. */
  TRAPS,
  /** It catches what drips, and water in it is a leak. */
  CATCHES,
  /** Lines meet in it. */
  JOINS,
  /** Water under pressure comes by it. */
  MAINS,
  /** People take water from it outside. */
  OUTSIDE
}
