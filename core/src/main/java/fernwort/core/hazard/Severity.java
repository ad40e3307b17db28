package fernwort.core.hazard;

/** How bad it is, worst first. */
public enum Severity {
  /** People, drinking water or a part of the rig come to harm. */
  DANGER,
  /** Water is lost, or will be. */
  WARNING,
  /** Worth knowing before going on. */
  NOTE
}
