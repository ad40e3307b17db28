package fernwort.core.winter.sheets;

/** What water that stays does when it freezes, worst first. Ice takes 9 % more room. */
public enum FrostHarm {
  /** It has nowhere to go and breaks something. */
  DANGER(Says.BREAKS_SOMETHING.text()),
  /** It has air beside it and mostly breaks nothing. */
  WARNING(Says.MAY_BREAK_SOMETHING.text()),
  /** It breaks nothing. */
  NONE(Says.BREAKS_NOTHING.text());

  private final String words;

  FrostHarm(String words) {
    this.words = words;
  }

  /** Returns what it does, in words. */
  public String words() {
    return words;
  }
}
