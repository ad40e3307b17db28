package fernwort.core.guide;

import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.StandsOn;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Hitch;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Optional;

/**
 * How vehicles are usually built, as shares of their length from bumper to bumper; our own table,
 * about what stands in brochures. Every figure is a guess until somebody measures.
 */
enum Proportions {
  // What it stands on: rear end and nose from the rear axle (of the length), width, floor, roof and
  // clearance (m), front axle (of the length), loads of the empty rear and front axle (kg).
  VAN(-0.19, 0.81, 2.0, 0.62, 2.7, 0.2, 0.63, 1250, 1350),
  TRUCK(-0.25, 0.75, 2.4, 0.95, 3.3, 0.28, 0.54, 3300, 2300),
  SLIDE_IN(-0.22, 0.78, 2.0, 0.9, 2.9, 0.22, 0.62, 1100, 1200),
  TRAILER(-0.48, 0.52, 1.9, 0.5, 2.4, 0.2, 0, 850, 0),
  TANDEM(-0.48, 0.52, 1.9, 0.5, 2.4, 0.2, 0, 500, 500),
  WAGON(-0.2, 0.8, 1.9, 0.5, 2.4, 0.2, 0.6, 600, 600);

  /** A drawbar reaches so far ahead of the body (m). */
  private static final double DRAWBAR = 1;

  /** The ball is so far behind the end of the drawbar (m). */
  private static final double BALL = 0.05;

  /** Between the two axles of a tandem (m). */
  private static final double BETWEEN = 0.8;

  /** What couplings of small trailers may carry (kg). */
  private static final double LOWEST = 25;

  private static final double HIGHEST = 75;

  private final double rear;
  private final double nose;
  private final double width;
  private final double floor;
  private final double roof;
  private final double clearance;
  private final double front;
  private final double rearEmpty;
  private final double frontEmpty;

  Proportions(
      double rear,
      double nose,
      double width,
      double floor,
      double roof,
      double clearance,
      double front,
      double rearEmpty,
      double frontEmpty) {
    this.rear = rear;
    this.nose = nose;
    this.width = width;
    this.floor = floor;
    this.roof = roof;
    this.clearance = clearance;
    this.front = front;
    this.rearEmpty = rearEmpty;
    this.frontEmpty = frontEmpty;
  }

  static Proportions of(StandsOn stands) {
    return switch (stands) {
      case VAN -> VAN;
      case TRUCK -> TRUCK;
      case SLIDE_IN -> SLIDE_IN;
      case TRAILER -> TRAILER;
      case TANDEM -> TANDEM;
      case WAGON -> WAGON;
    };
  }

  /** Returns a vehicle of these proportions as long as somebody said. */
  Vehicle vehicle(RigAnswers.Van van) {
    boolean drawn = van.body() == Vehicle.Body.TRAILER;
    double end = nose * van.length() + (drawn ? DRAWBAR : 0);
    // A wagon's drawbar steers; it carries nothing.
    Optional<Hitch> hitch =
        drawn && this != WAGON
            ? Optional.of(new Hitch(end - BALL, LOWEST, HIGHEST, Optional.empty()))
            : Optional.empty();
    return new Vehicle(
        van.body(), rear * van.length(), end, width, floor, roof, clearance, axles(van), hitch);
  }

  private List<Axle> axles(RigAnswers.Van van) {
    double rearLimit = van.rearLimit().orElse(Axle.NOT_KNOWN);
    double frontLimit = van.frontLimit().orElse(Axle.NOT_KNOWN);
    return switch (this) {
      case TRAILER -> List.of(new Axle("only", 0, rearLimit, rearEmpty));
      case TANDEM ->
          List.of(
              new Axle("rear", -BETWEEN / 2, rearLimit, rearEmpty),
              new Axle("front", BETWEEN / 2, frontLimit, frontEmpty));
      case VAN, TRUCK, SLIDE_IN, WAGON ->
          List.of(
              new Axle("rear", 0, rearLimit, rearEmpty),
              new Axle("front", front * van.length(), frontLimit, frontEmpty));
    };
  }
}
