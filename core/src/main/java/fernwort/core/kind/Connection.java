package fernwort.core.kind;

import java.util.Optional;

/**
 * What an end of a line or a port of a part offers to be joined with.
 *
 * @param form thread, tail, socket …
 * @param made what it is made of, if somebody said so
 * @param seal what seals it, if somebody said so
 */
public record Connection(Form form, Optional<Made> made, Optional<Seal> seal) {

  /** Makes a connection of which nobody said more than its form. */
  public Connection(Form form) {
    this(form, Optional.empty(), Optional.empty());
  }

  /** What a fitting is made of. */
  public enum Made {
    PLASTIC,
    BRASS,
    LEAD_FREE_BRASS,
    STAINLESS
  }

  /** What keeps a joint tight. */
  public enum Seal {
    TAPE,
    FLAT_WASHER,
    O_RING,
    CLAMP,
    CEMENT
  }

  /** Which half of a joint. */
  public enum Gender {
    MALE,
    FEMALE;

    /** Returns the other half. */
    public Gender other() {
      return this == MALE ? FEMALE : MALE;
    }
  }

  /**
   * Standards of threads: ISO 228 and ISO 7 for BSP, ASME B1.20.1 for NPT and NPSM, B1.20.7 for
   * hoses.
   */
  public enum Standard {
    NPT,
    BSP_PARALLEL,
    BSP_TAPERED,
    METRIC,
    GARDEN_HOSE,
    NPSM
  }

  /** Plastics of which pipes and fittings for cement are made. */
  public enum Plastic {
    PVC,
    CPVC,
    ABS,
    POLYETHYLENE,
    POLYPROPYLENE;

    /** Tells whether any cement holds on it. */
    public boolean cements() {
      return this == PVC || this == CPVC || this == ABS;
    }
  }

  /** The closed set of forms. */
  public sealed interface Form {}

  /**
   * A thread.
   *
   * @param size its trade size, such as 1/2, or M22x1.5 for a metric one
   */
  public record Thread(Standard standard, String size, Gender gender) implements Form {}

  /**
   * A thread in a fitting that is clamped through a tank's wall by its nut; a male thread screws
   * into it.
   */
  public record Bulkhead(Standard standard, String size) implements Form {}

  /** A tail over which a hose of this bore goes (m). */
  public record HoseTail(double bore) implements Form {}

  /** The cut end of a hose of this bore (m). */
  public record HoseEnd(double bore) implements Form {}

  /** A socket that grips a tube of this outside diameter (m), pushed in or crimped. */
  public record TubeSocket(double outside, boolean crimped) implements Form {}

  /** The cut end of a tube of this outside diameter (m). */
  public record TubeEnd(double outside) implements Form {}

  /** A socket for cement, by the nominal size of its pipe (m). */
  public record Socket(Plastic plastic, double nominal) implements Form {}

  /**
   * The plain end of a pipe or fitting that is cemented into a socket.
   *
   * @param nominal nominal size (m)
   */
  public record Spigot(Plastic plastic, double nominal) implements Form {}

  /** A rubber ring in a hole of a wall that holds a pipe or tube of this outside diameter (m). */
  public record Grommet(double outside) implements Form {}

  /** Nothing is joined here: the end is open to the air, or a hand holds it. */
  public record Open() implements Form {}
}
