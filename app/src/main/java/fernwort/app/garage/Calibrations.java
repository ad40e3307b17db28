package fernwort.app.garage;

import fernwort.app.store.SizingStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Gauge;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.tank.GaugeCurve;
import fernwort.core.tank.Reading;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
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
  public static String rows(String tank) {
    return "cal-" + tank;
  }

  /** Returns the name of the rows of fills that are entered for a tank. */
  public static String fills(String tank) {
    return "calfill-" + tank;
  }

  /** Returns what a sender's steps stand for; nothing where too few looks were written down. */
  Optional<GaugeCurve> ofSteps(OpenRig rig, String tank) {
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
      Part part = rig.rig().part(tank);
      return Optional.of(
          GaugeCurve.of(
              looks, fills, shape(part, rig.plumbing().room(tank)), most(part, rig.plumbing())));
    } catch (Refusal e) {
      // Its page says so; until then the tank's shape tells what a step is.
      return Optional.empty();
    }
  }

  /** Returns what a tank holds by its shape (m³) when its gauge shows something. */
  public static DoubleUnaryOperator shape(Part tank, TankRoom room) {
    Kind.Tank kind = (Kind.Tank) tank.kind();
    double highest = room.highest(Slope.LEVEL);
    double step = isSender(kind) ? highest / Math.max(1, kind.gauge().steps()) : 1;
    return shows ->
        new Reading.Stick(Math.clamp(shows * step, 0, highest)).volume(kind, room, Slope.LEVEL);
  }

  /** Returns what the gauge of a tank shows when it is full: its steps, or a wet stick (m). */
  public static double most(Part tank, Plumbing plumbing) {
    Kind.Tank kind = (Kind.Tank) tank.kind();
    return isSender(kind) ? kind.gauge().steps() : plumbing.room(tank.id()).highest(Slope.LEVEL);
  }

  /** Tells whether a tank's gauge shows steps; others are looked at by a stick. */
  public static boolean isSender(Kind.Tank tank) {
    return tank.gauge().kind() == Gauge.GaugeKind.SENDER;
  }

  private static Optional<Double> volume(Map<String, SizingStore.Kept> kept, String field) {
    return Optional.ofNullable(kept.get(field))
        .flatMap(k -> {
          try {
            return Optional.of(Units.of(k.units()).parse("The amount", Measure.VOLUME, k.text()));
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
