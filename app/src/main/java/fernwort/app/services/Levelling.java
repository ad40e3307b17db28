package fernwort.app.services;

import fernwort.app.store.Logbook;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankFigures;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a tank holds by what was noted of it. */
final class Levelling {

  private Levelling() {}

  /**
   * Returns what a tank holds.
   *
   * @param newestFirst what was noted of it and counts
   * @return empty where nothing tells
   */
  static Optional<Logbook.Level> of(
      OpenRig rig, Slope slope, PartId tank, List<Entry> newestFirst) {
    TankFigures figures = rig.network().figures(rig.rig().part(tank), slope);
    double full = figures.full();
    double since = 0;
    for (Entry entry : newestFirst) {
      Optional<Logbook.Level> base =
          switch (entry.what()) {
            case Entry.Reading w ->
                Optional.of(new Logbook.Level(w.volume(), entry.at(), w.shown()));
            case Entry.Fill w when w.volume().isEmpty() -> logged(full, entry);
            case Entry.Dump w when w.volume().isEmpty() -> logged(figures.stranded(), entry);
            case Entry.Fill _,
                Entry.Dump _,
                Entry.Haul _,
                Entry.People _,
                Entry.Away _,
                Entry.Sanitize _,
                Entry.Upkeep _,
                Entry.Note _ ->
                Optional.empty();
          };
      if (base.isPresent()) {
        double holds = base.get().volume() + since;
        return since == 0
            ? base
            : logged(Math.clamp(holds, 0, figures.capacity()), newestFirst.getFirst());
      }
      since += gained(entry.what());
    }
    return Optional.empty();
  }

  private static double gained(Entry.What what) {
    return switch (what) {
      case Entry.Fill w -> w.volume().orElse(0.0);
      case Entry.Haul w -> w.volume();
      case Entry.Dump w -> -w.volume().orElse(0.0);
      case Entry.Reading _,
          Entry.People _,
          Entry.Away _,
          Entry.Sanitize _,
          Entry.Upkeep _,
          Entry.Note _ ->
          0;
    };
  }

  private static Optional<Logbook.Level> logged(double volume, Entry entry) {
    return Optional.of(
        new Logbook.Level(
            volume,
            entry.at(),
            String.format(Locale.ROOT, Says.L_AS_LOGGED.text(), volume * 1000)));
  }
}
