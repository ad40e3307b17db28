package fernwort.app.guide;

import fernwort.core.guide.RigAnswers.Joins;
import fernwort.core.guide.RigAnswers.Selector;
import fernwort.core.guide.RigAnswers.Third;
import java.util.List;
import java.util.Locale;

/**
 * A three-way valve in one position of its handle, its ports named by where their lines go.
 *
 * @param words how the handle looks
 * @param turn the turn of the handle's picture, which points right (degrees)
 * @param tank whether the tank's port is joined to something
 * @param pump whether the pump's is
 * @param third whether the third one is
 * @param thirdWords where its line goes
 * @param said what it does then
 */
public record ValvePicture(
    String words,
    String turn,
    boolean tank,
    boolean pump,
    boolean third,
    String thirdWords,
    String said) {

  static List<ValvePicture> of(Selector valve) {
    String third = words(valve.third());
    return valve.positions().stream()
        .map(p ->
            new ValvePicture(
                p.points().words(),
                String.format(Locale.ROOT, "%.0f", -p.points().angle()),
                p.joins() == Joins.TANK_AND_PUMP
                    || p.joins() == Joins.TANK_AND_THIRD
                    || p.joins() == Joins.ALL,
                p.joins() == Joins.TANK_AND_PUMP
                    || p.joins() == Joins.THIRD_AND_PUMP
                    || p.joins() == Joins.ALL,
                p.joins() == Joins.THIRD_AND_PUMP
                    || p.joins() == Joins.TANK_AND_THIRD
                    || p.joins() == Joins.ALL,
                third,
                said(p.joins(), third)))
        .toList();
  }

  private static String words(Third third) {
    return switch (third) {
      case OTHER_TANK -> Says.OTHER_TANK.text();
      case HOSE -> "hose";
      case INLET -> "inlet";
      case DRAIN -> "drain";
    };
  }

  private static String said(Joins joins, String third) {
    return switch (joins) {
      case NOTHING -> "closed";
      case TANK_AND_PUMP -> Says.TANK_TO_PUMP_INSIDE.text();
      case THIRD_AND_PUMP -> Says.TO_PUMP.filled(third);
      case TANK_AND_THIRD -> Says.TANK_TO.filled(third);
      case ALL -> Says.ALL_THREE.text();
    };
  }
}
