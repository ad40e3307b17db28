package fernwort.core.kind;

/**
 * A port of a part by which water or air leaves the lines.
 *
 * @param port its place in {@link Kind#ports}
 * @param onto what is before it
 */
public record Mouth(int port, Onto onto) {

  /** What lies before a mouth. */
  public enum Onto {
    /** Somebody who uses water; air comes in there, too. */
    USE,
    /** The ground under the vehicle, in the open air. */
    GROUND,
    /** A drain for waste, by a hose; air comes in there, too. */
    DRAIN,
    /** Water outside, in which a hose lies. */
    WATER,
    /** The room inside a tank. */
    TANK,
    /** The open air, for air alone. */
    AIR;

    /** Tells whether air comes in there. */
    public boolean isOpen() {
      return this == USE || this == GROUND || this == DRAIN || this == AIR;
    }
  }
}
