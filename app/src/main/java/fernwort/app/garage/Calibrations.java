package fernwort.app.garage;

import fernwort.app.store.SizingStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.say.Refusal;
import fernwort.core.tank.GaugeCurve;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * What the steps of senders stand for, where somebody poured jugs in and wrote down what they
 * showed.
 */
@Service
public class Calibrations {

  private static final int MOST_ROWS = 60;

  private final SizingStore store;

  Calibrations(SizingStore store) {
    this.store = store;
  }

  /** Returns the name of the rows that are entered for a tank. */
  public static String rows(String tank) {
    return "cal-" + tank;
  }

  /** Returns what a sender's steps stand for; nothing where too few looks were written down. */
  Optional<GaugeCurve> ofSteps(String rig, String tank) {
    Map<String, SizingStore.Kept> kept = store.entries(rig);
    List<GaugeCurve.Point> looks = new ArrayList<>();
    for (int i = 0; i < MOST_ROWS; i++) {
      String row = rows(tank) + "-" + i + "-";
      SizingStore.Kept holds = kept.get(row + "holds");
      SizingStore.Kept shows = kept.get(row + "shows");
      if (holds != null && shows != null) {
        look(holds, shows).ifPresent(looks::add);
      }
    }
    try {
      return looks.isEmpty() ? Optional.empty() : Optional.of(GaugeCurve.of(looks));
    } catch (Refusal e) {
      // Its page says so; until then the tank's shape tells what a step is.
      return Optional.empty();
    }
  }

  private static Optional<GaugeCurve.Point> look(SizingStore.Kept holds, SizingStore.Kept shows) {
    try {
      double volume = Units.of(holds.units()).parse("What it holds", Measure.VOLUME, holds.text());
      return Optional.of(
          new GaugeCurve.Point(Double.parseDouble(shows.text().replace(',', '.')), volume));
    } catch (Refusal | NumberFormatException e) {
      return Optional.empty();
    }
  }
}
