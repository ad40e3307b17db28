package fernwort.core.kind;

/** Where one buys. */
public enum Shop {
  WATER_ON_BOARD("Water on board"),
  PLUMBING("Plumbing"),
  HARDWARE("Hardware and tools");

  private final String title;

  Shop(String title) {
    this.title = title;
  }

  /** Returns its heading. */
  public String title() {
    return title;
  }
}
