package fernwort.core.kind;

/** Where one buys. */
public enum Shop {
  WATER_ON_BOARD(Says.WATER_ON_BOARD.text()),
  PLUMBING("Plumbing"),
  HARDWARE(Says.HARDWARE_AND_TOOLS.text());

  private final String title;

  Shop(String title) {
    this.title = title;
  }

  /** Returns its heading. */
  public String title() {
    return title;
  }
}
