package fernwort.core.rig;

/** The water a tank is meant for. */
public enum Contents {
  FRESH,
  GRAY
}
