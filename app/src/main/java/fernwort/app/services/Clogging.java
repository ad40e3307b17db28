package fernwort.app.services;

import fernwort.app.store.DiaryStore;
import fernwort.app.store.Remembered;
import fernwort.core.budget.Budget;
import fernwort.core.budget.Daily;
import fernwort.core.diary.Entry;
import fernwort.core.hygiene.Upkeep;
import fernwort.core.id.PartId;
import fernwort.core.rig.Slope;
import fernwort.core.sizing.Habits;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** How clogged the filters of rigs are by their logs: found once after each change of a log. */
@Component
class Clogging {

  private final DiaryStore diary;
  private final Clock clock;
  private final Remembered<Found> found;

  Clogging(DiaryStore diary, Clock clock) {
    this.diary = diary;
    found = diary.remembered();
    this.clock = clock;
  }

  /** What was found for a version of a rig and who uses it. */
  private record Found(int version, Habits habits, Map<PartId, Double> clogged) {

    boolean serves(OpenRig rig, Habits others) {
      return version == rig.version() && habits.equals(others);
    }
  }

  /** Returns how many times its clean loss each filter takes, where it is known and more than 1. */
  Map<PartId, Double> of(OpenRig rig, Habits habits) {
    boolean none = rig.rig().parts().stream().noneMatch(p -> p.kind().clogs());
    if (none) {
      return Map.of();
    }
    return found
        .of(
            rig.id(),
            f -> f.serves(rig, habits),
            () -> new Found(rig.version(), habits, find(rig, habits)))
        .clogged();
  }

  private Map<PartId, Double> find(OpenRig rig, Habits habits) {
    Instant now = clock.instant();
    List<Entry> entries = diary.standing(rig.id(), now.minus(Upkeep.MEMORY));
    Budget.Asked asked = new Budget.Asked(Slope.LEVEL, habits, ZoneId.systemDefault(), now);
    List<Daily> days = Daily.of(rig.network(), entries, asked);
    return Upkeep.clogging(Upkeep.of(rig.rig(), entries, days, asked.zone(), now), rig.rig());
  }
}
