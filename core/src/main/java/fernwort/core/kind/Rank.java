package fernwort.core.kind;

/**
 * What is done first on the way from one setting of the handles to another: power goes off first
 * and comes on last, taps are shut before ways are changed, a hose gives water once the way behind
 * it is ready.
 */
public enum Rank {
  POWER_OFF,
  TAP_SHUT,
  WAY_SHUT,
  HOSE_OR_CAP_AWAY,
  CAP_OFF,
  WAY_OPEN,
  HOSE_GIVES,
  TAP_OPEN,
  PUMP_ON,
  HEAT_ON
}
