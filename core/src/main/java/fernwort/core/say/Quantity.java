package fernwort.core.say;

/** What an amount in a sentence measures, always in SI. */
public enum Quantity {
  /** Metres. */
  LENGTH,
  /** How high something is lifted, in metres: told roughly. */
  LIFT,
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
