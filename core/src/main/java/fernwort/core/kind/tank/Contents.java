package fernwort.core.kind.tank;

/** The water a tank is meant for. */
public enum Contents {
  /** Water that people drink, cook and wash with. */
  FRESH,
  /** Water that has been used. */
  GRAY,
  /** Water for something else, such as haulage, washing down or a fire; nobody drinks it. */
  OTHER
}
