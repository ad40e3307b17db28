package fernwort.core.guide.answers;

import fernwort.core.kind.machine.Pump.Type;
import java.util.Objects;
import java.util.Optional;

/**
 * What somebody sees of a pump beyond its plate, and what is around it.
 *
 * @param mover what moves the water, if somebody was asked by what they see
 * @param stroke what one stroke of a pump for foot or hand gives, if somebody counted (m³)
 * @param source what it draws from where there is no fresh tank
 * @param strained whether the hose that draws from outside has a strainer at its end
 * @param check whether a check valve follows it
 * @param second whether a second pump follows in the same line
 * @param back how it sends water back into the tank
 * @param motor whether motors turn the valves before it and back to the tank
 */
public record PumpParts(
    Optional<Mover> mover,
    Optional<Double> stroke,
    Source source,
    boolean strained,
    boolean check,
    boolean second,
    Back back,
    boolean motor) {

  /** A pump on a tank, with nothing more. */
  public static final PumpParts USUAL =
      new PumpParts(
          Optional.empty(),
          Optional.empty(),
          Source.NOTHING,
          false,
          false,
          false,
          Back.NONE,
          false);

  /** What moves water, by what one sees. */
  public enum Mover {
    /** It starts by itself when a tap opens. */
    PRESSURE_SWITCH(Type.DIAPHRAGM),
    /** Somebody switches it, with the foot or by hand. */
    SWITCHED(Type.DIAPHRAGM),
    /** It hangs in the tank. */
    SUBMERSIBLE(Type.SUBMERSIBLE),
    /** A wheel in the line. */
    INLINE(Type.CENTRIFUGAL),
    IMPELLER(Type.IMPELLER),
    /** An engine turns it. */
    ENGINE(Type.CENTRIFUGAL),
    FOOT(Type.FOOT),
    HAND(Type.HAND),
    /** Nothing: water runs by its own weight. */
    NONE(Type.DIAPHRAGM);

    private final Type type;

    Mover(Type type) {
      this.type = type;
    }

    /** Returns how such a pump moves water. */
    public Type type() {
      return type;
    }

    /** Returns what somebody sees of a type, where only that is known. */
    static Mover of(Type type) {
      return switch (type) {
        case DIAPHRAGM -> PRESSURE_SWITCH;
        case CENTRIFUGAL -> INLINE;
        case IMPELLER -> IMPELLER;
        case FOOT -> FOOT;
        case HAND -> HAND;
        case SUBMERSIBLE -> SUBMERSIBLE;
      };
    }
  }

  /** What a pump draws from that has no tank. */
  public enum Source {
    NOTHING,
    CAN,
    HOSE
  }

  /** How water goes from the pump back into the tank. */
  public enum Back {
    NONE,
    /** A branch with a valve. */
    VALVE,
    /** Two branches with a valve each, to the tank and to the taps. */
    TWO_VALVES,
    /** A three-way valve to the tank or to the taps. */
    THREE_WAY,
    /** The same, with a closed position. */
    THREE_WAY_WITH_OFF;

    /** Tells whether a three-way valve does it. */
    public boolean diverts() {
      return this == THREE_WAY || this == THREE_WAY_WITH_OFF;
    }
  }

  /** Returns these with another source where there is no fresh tank. */
  public PumpParts from(Source other) {
    return new PumpParts(mover, stroke, other, strained, check, second, back, motor);
  }

  /** Returns these with valves before the pump otherwise. */
  public PumpParts valves(boolean hoseStrained, boolean motors) {
    return new PumpParts(mover, stroke, source, hoseStrained, check, second, back, motors);
  }

  public PumpParts {
    mover = Objects.requireNonNullElse(mover, Optional.empty());
    stroke = Objects.requireNonNullElse(stroke, Optional.empty());
    source = Objects.requireNonNullElse(source, Source.NOTHING);
    back = Objects.requireNonNullElse(back, Back.NONE);
  }
}
