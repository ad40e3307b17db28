package fernwort.app.services;

import fernwort.app.store.SizingStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.say.Refusal;
import fernwort.core.tank.GaugeCurve;
import fernwort.core.tank.GaugeScale;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * What the steps of senders stand for, where somebody poured jugs in, or read before and after a
 * fill, and wrote down what they showed.
 */
@Service
public class Calibrations {

  private static final int MOST_ROWS = 60;

  private final SizingStore store;

  Calibrations(SizingStore store) {
    this.store = store;
  }

  /** Returns the name of the rows that are entered for a tank. */
  public static String rows(PartId tank) {
    return "cal-" + tank;
  }

  /** Returns the name of the rows of fills that are entered for a tank. */
  public static String fills(PartId tank) {
    return "calfill-" + tank;
  }

  /** Returns what a sender's steps stand for; nothing where too few looks were written down. */
  Optional<GaugeCurve> ofSteps(OpenRig rig, PartId tank) {
    Map<String, SizingStore.Kept> kept = store.entries(rig.id());
    List<GaugeCurve.Point> looks = new ArrayList<>();
    List<GaugeCurve.Fill> fills = new ArrayList<>();
    for (int i = 0; i < MOST_ROWS; i++) {
      String look = rows(tank) + "-" + i + "-";
      Optional<Double> shows = number(kept, look + "shows");
      volume(kept, look + "holds")
          .ifPresent(v -> shows.ifPresent(s -> looks.add(new GaugeCurve.Point(s, v))));
      String fill = fills(tank) + "-" + i + "-";
      Optional<Double> before = number(kept, fill + "before");
      Optional<Double> after = number(kept, fill + "after");
      volume(kept, fill + "poured")
          .filter(v -> before.isPresent() && after.isPresent())
          .ifPresent(
              v -> fills.add(new GaugeCurve.Fill(before.orElseThrow(), after.orElseThrow(), v)));
    }
    if (looks.isEmpty() && fills.isEmpty()) {
      return Optional.empty();
    }
    try {
      GaugeScale scale =
          new GaugeScale((Tank) rig.rig().part(tank).kind(), rig.network().room(tank));
      return Optional.of(GaugeCurve.of(looks, fills, scale::volume, scale.most()));
    } catch (Refusal e) {
      // Its page says so; until then the tank's shape tells what a step is.
      return Optional.empty();
    }
  }

  private static Optional<Double> volume(Map<String, SizingStore.Kept> kept, String field) {
    return Optional.ofNullable(kept.get(field))
        .flatMap(k -> {
          try {
            return Optional.of(
                Units.of(k.units()).parse(Says.THE_AMOUNT.text(), Measure.VOLUME, k.text()));
          } catch (Refusal e) {
            return Optional.empty();
          }
        });
  }

  private static Optional<Double> number(Map<String, SizingStore.Kept> kept, String field) {
    return Optional.ofNullable(kept.get(field))
        .flatMap(k -> {
          try {
            return Optional.of(Double.parseDouble(k.text().replace(',', '.')));
          } catch (NumberFormatException e) {
            return Optional.empty();
          }
        });
  }
}
