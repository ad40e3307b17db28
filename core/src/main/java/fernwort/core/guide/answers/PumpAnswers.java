package fernwort.core.guide.answers;

import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.machine.Pump;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * The pump, by its plate, and what follows it.
 *
 * @param type how it moves water
 * @param spot where it is
 * @param height above the ground (m)
 * @param flow at no pressure (m³/s)
 * @param cutOut pressure at which its switch stops it (Pa)
 * @param accumulator whether one follows
 * @param filters what the water passes then, in order
 * @param hot the heater
 * @param heaterVolume what it holds (m³)
 * @param manifolds whether the lines to the taps leave from manifolds
 * @param heat where the heater is and what is around it, if somebody said so
 * @param parts what somebody sees of it beyond its plate, and what is around it
 */
public record PumpAnswers(
    Pump.Type type,
    Spot spot,
    double height,
    double flow,
    double cutOut,
    boolean accumulator,
    List<Filter.Grade> filters,
    Hot hot,
    double heaterVolume,
    boolean manifolds,
    Optional<Heat> heat,
    PumpParts parts) {

  /**
   * Makes a pump with a heater beside it.
   *
   * @param height above the ground (m)
   * @param flow at no pressure (m³/s)
   * @param cutOut pressure at which its switch stops it (Pa)
   * @param heaterVolume what the heater holds (m³)
   */
  public PumpAnswers(
      Pump.Type type,
      Spot spot,
      double height,
      double flow,
      double cutOut,
      boolean accumulator,
      List<Filter.Grade> filters,
      Hot hot,
      double heaterVolume,
      boolean manifolds) {
    this(
        type,
        spot,
        height,
        flow,
        cutOut,
        accumulator,
        filters,
        hot,
        heaterVolume,
        manifolds,
        Optional.empty(),
        PumpParts.USUAL);
  }

  /** Returns this pump with other things around it. */
  public PumpAnswers with(PumpParts others) {
    return new PumpAnswers(
        type,
        spot,
        height,
        flow,
        cutOut,
        accumulator,
        filters,
        hot,
        heaterVolume,
        manifolds,
        heat,
        others);
  }

  /** Returns what moves the water, by what one sees. */
  public PumpParts.Mover mover() {
    return parts.mover().orElse(PumpParts.Mover.of(type));
  }

  /** A diaphragm pump as most vans have it. */
  public static final PumpAnswers USUAL =
      new PumpAnswers(
          Pump.Type.DIAPHRAGM,
          new Spot(1, 1),
          0.85,
          10e-3 / 60,
          2.4e5,
          false,
          List.of(),
          Hot.NONE,
          0.01,
          false);

  public PumpAnswers {
    filters = List.copyOf(filters);
    heat = Objects.requireNonNullElse(heat, Optional.empty());
    parts = Objects.requireNonNullElse(parts, PumpParts.USUAL);
  }

  /** How water is made hot. */
  public enum Hot {
    NONE,
    STORAGE,
    INSTANT
  }

  /**
   * The heater's place, and what is around it.
   *
   * @param spot where it is
   * @param height its bottom above the ground (m)
   * @param drain what lets its water out
   * @param bypass whether valves lead the water past it in winter
   * @param parts how these are built, and what else is around it
   */
  public record Heat(
      Spot spot, double height, HeaterDrain drain, boolean bypass, HeaterParts parts) {

    public Heat {
      parts = Objects.requireNonNullElse(parts, HeaterParts.USUAL);
    }

    /**
     * Makes a heater with nothing more around it.
     *
     * @param height its bottom above the ground (m)
     */
    public Heat(Spot spot, double height, HeaterDrain drain, boolean bypass) {
      this(spot, height, drain, bypass, HeaterParts.USUAL);
    }

    /** Returns the heater where it is taken to be if nobody said: beside the pump, with a plug. */
    public static Heat beside(PumpAnswers pump) {
      return new Heat(pump.spot(), pump.height() + 0.1, HeaterDrain.PLUG, false);
    }
  }

  /** What lets the water of a heater out. */
  public enum HeaterDrain {
    PLUG,
    VALVE
  }
}
