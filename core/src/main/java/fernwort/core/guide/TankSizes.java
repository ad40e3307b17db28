package fernwort.core.guide;

import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Form;
import fernwort.core.guide.answers.TankAnswers.Size;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Amount;
import java.util.Optional;

/**
 * The sizes of a tank from what somebody knows of it: the litres on its label, its sizes, or both,
 * which are then held against each other.
 *
 * @param outside its outside sizes (m)
 * @param wall its wall (m)
 * @param guess what had to be guessed or does not agree, if anything
 */
record TankSizes(Size outside, double wall, Optional<Guess> guess) {

  private static final double USUAL_WALL = TankAnswers.USUAL_WALL;

  private static final double THINNEST = 0.0015;
  private static final double THICKEST = 0.02;

  /** Litres and sizes that differ by less agree: a label is rounded. */
  private static final double AGREES = 0.02;

  /** Sizes that make so much more or less than a label have rounded corners or a sump: it holds. */
  private static final double NEAR_ENOUGH = 0.12;

  /** A tank under a floor is no flatter than this, or its height is what nobody measured (m). */
  private static final double FLATTEST = 0.15;

  /** How high a tank is taken to be of which only its litres are known (m). */
  private static final double USUAL_HEIGHT = 0.3;

  private static final double LEAST_VOLUME = 0.005;

  /** With less room than this under the floor its height is not told by that room (m). */
  private static final double LEAST_ROOM = 0.08;

  /** What a tank leaves of the vehicle's width at least (m). */
  private static final double BESIDE = 0.2;

  /** What share of the vehicle's length a tank takes at most. */
  private static final double LONGEST = 0.6;

  /** A cylinder is taken to be so many times as long as wide. */
  private static final double SLENDER = 1.5;

  static TankSizes of(TankAnswers tank, Vehicle vehicle) {
    if (tank.size().isEmpty()) {
      return fromLitres(tank, vehicle);
    }
    Form form = tank.form();
    Size size = form.even(outside(tank.size().orElseThrow(), tank.inside()));
    if (tank.litresOnLabel().isEmpty()) {
      return new TankSizes(size, USUAL_WALL, Optional.empty());
    }
    double litres = tank.litresOnLabel().orElseThrow();
    double usual = form.share() * holds(size, USUAL_WALL);
    if (Math.abs(usual - litres) <= AGREES * litres) {
      return new TankSizes(size, USUAL_WALL, Optional.empty());
    }
    double box = litres / form.share();
    boolean between = holds(size, THICKEST) <= box && box <= holds(size, THINNEST);
    if (between) {
      return new TankSizes(size, wall(size, box), Optional.empty());
    }
    boolean lies = form == Form.LYING || form == Form.LYING_ACROSS;
    if (!lies && Math.abs(usual - litres) <= NEAR_ENOUGH * litres) {
      return new TankSizes(holding(size, box), USUAL_WALL, Optional.empty());
    }
    return new TankSizes(
        size,
        USUAL_WALL,
        Optional.of(
            new Guess(
                Guess.About.CAPACITY,
                Says.ITS_SIZES_MAKE_ITS_LABEL_SAYS.with(
                    tank.label(), Amount.volume(usual), Amount.volume(litres)),
                Says.HOW_MUCH_IT_HOLDS_MEASURE_AGAIN.with())));
  }

  private static Size outside(Size size, boolean inside) {
    double more = inside ? 2 * USUAL_WALL : 0;
    return new Size(size.length() + more, size.width() + more, size.height() + more);
  }

  /** The same base, as high as it must be to hold what the label says. */
  private static Size holding(Size size, double litres) {
    double base = (size.length() - 2 * USUAL_WALL) * (size.width() - 2 * USUAL_WALL);
    return new Size(size.length(), size.width(), litres / base + 2 * USUAL_WALL);
  }

  private static double holds(Size size, double wall) {
    return (size.length() - 2 * wall) * (size.width() - 2 * wall) * (size.height() - 2 * wall);
  }

  /** The wall with which sizes make a volume; by halving, for what they hold falls with it. */
  private static double wall(Size size, double litres) {
    double thin = THINNEST;
    double thick = THICKEST;
    while (thick - thin > 1e-6) {
      double middle = (thin + thick) / 2;
      if (holds(size, middle) > litres) {
        thin = middle;
      } else {
        thick = middle;
      }
    }
    return thin;
  }

  /** A box twice as long as wide, as low as fits under a floor where it stands under one. */
  private static TankSizes fromLitres(TankAnswers tank, Vehicle vehicle) {
    double litres = Math.max(LEAST_VOLUME, tank.litres().orElse(0.05)) / tank.form().share();
    if (tank.form() != Form.BOX) {
      return round(tank, litres, vehicle);
    }
    double room = vehicle.floor() - tank.bottom();
    boolean under = room > LEAST_ROOM && room < USUAL_HEIGHT;
    double high = under ? Math.max(FLATTEST, room - 0.02) : USUAL_HEIGHT;
    double base = litres / (high - 2 * USUAL_WALL);
    // No wider than the vehicle, nor much longer than half of it; then it is higher.
    double width = Math.min(Math.sqrt(base / 2), vehicle.width() - BESIDE);
    double length = Math.min(base / width, LONGEST * (vehicle.nose() - vehicle.rear()));
    Size size =
        new Size(
            length + 2 * USUAL_WALL,
            width + 2 * USUAL_WALL,
            litres / (length * width) + 2 * USUAL_WALL);
    return guessed(tank, size);
  }

  /** A cylinder about as long or high as three times half its diameter. */
  private static TankSizes round(TankAnswers tank, double box, Vehicle vehicle) {
    double most = vehicle.width() - BESIDE;
    double across = Math.min(Math.cbrt(box / SLENDER), most);
    double along = box / (across * across) + 2 * USUAL_WALL;
    double wide = across + 2 * USUAL_WALL;
    Size size =
        switch (tank.form()) {
          case LYING, BOX -> new Size(along, wide, wide);
          case LYING_ACROSS -> new Size(wide, Math.min(along, vehicle.width()), wide);
          case UPRIGHT -> new Size(wide, wide, along);
        };
    return guessed(tank, size);
  }

  private static TankSizes guessed(TankAnswers tank, Size size) {
    return new TankSizes(
        size,
        USUAL_WALL,
        Optional.of(
            new Guess(
                Guess.About.DIMENSIONS,
                Says.LONG_WIDE_AND_HIGH.with(
                    tank.label(),
                    Amount.length(size.length()),
                    Amount.length(size.width()),
                    Amount.length(size.height())),
                Says.ITS_WEIGHT_ON_EACH_AXLE.with())));
  }
}
