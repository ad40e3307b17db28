package fernwort.core.say;

/** What an amount in a sentence measures, always in SI. */
public enum Quantity {
  /** Metres. */
  LENGTH,
  /** Cubic metres. */
  VOLUME,
  /** Cubic metres a second. */
  FLOW,
  /** Pascal. */
  PRESSURE,
  /** Kilograms. */
  MASS,
  /** Kelvin. */
  TEMPERATURE,
  /** Seconds. */
  TIME,
  /** A share of one. */
  SHARE
}
