package fernwort.core.kind;

/** How a part stands in the run of lines. */
public enum InLine {
  /** Lines go on behind it: water passes it and nothing else. */
  PASSED,
  /** Lines go on behind it, one or another as its handle stands. */
  SELECTS,
  /** It has a use of its own, after which a line can be named. */
  END,
  /** It only ends a line. */
  STUB;

  /** Tells whether lines go on behind it. */
  public boolean goesOn() {
    return this == PASSED || this == SELECTS;
  }
}
