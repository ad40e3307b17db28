package fernwort.app.log;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.When;
import fernwort.core.diary.Entry;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;

/** Entries of the log in words. */
final class EntryWords {

  private EntryWords() {}

  /** Returns what an entry says. */
  static String of(Rig rig, Entry entry, Units units) {
    Entry.What what = entry.what();
    String tank = label(rig, what.part());
    String words =
        switch (what) {
          case Entry.Reading w -> "%s read: %s".formatted(tank, shown(w, units));
          case Entry.Fill w ->
              "%s filled%s%s%s"
                  .formatted(
                      tank,
                      w.volume()
                          .map(v -> ": " + units.show(Measure.VOLUME, v))
                          .orElse(" until full"),
                      bought(w.bought(), units),
                      w.doubtful() ? ", not to be trusted" : "");
          case Entry.Dump w ->
              "%s dumped%s"
                  .formatted(
                      tank, w.volume().map(v -> ": " + units.show(Measure.VOLUME, v)).orElse(""));
          case Entry.Haul w ->
              "%s hauled to %s in %s%s"
                  .formatted(
                      units.show(Measure.VOLUME, w.volume()),
                      tank,
                      w.trips() == 1 ? "one trip" : w.trips() + " trips",
                      bought(w.bought(), units));
          case Entry.People w ->
              "%s on board%s%s"
                  .formatted(
                      w.people() == 1 ? "1 person" : w.people() + " people",
                      w.pets() == 0
                          ? ""
                          : w.pets() == 1 ? " and 1 pet" : " and %s pets".formatted(w.pets()),
                      w.perPersonDay()
                          .map(v ->
                              ", taken to use %s each a day"
                                  .formatted(units.show(Measure.VOLUME, v)))
                          .orElse(""));
          case Entry.Away w -> "Nobody on board until " + When.day(w.until());
          case Entry.Sanitize w -> tank + " sanitized";
          case Entry.Upkeep w ->
              w.putOff()
                  .map(until -> "%s put off until %s".formatted(tank, When.day(until)))
                  .orElse(tank + " maintained");
          case Entry.Note w -> w.note();
        };
    return what.note().isEmpty() || what instanceof Entry.Note ? words : words + ": " + what.note();
  }

  private static String shown(Entry.Reading reading, Units units) {
    String volume = units.show(Measure.VOLUME, reading.volume());
    return reading.shown().isEmpty() || reading.shown().equals(volume)
        ? volume
        : "%s (%s)".formatted(reading.shown(), volume);
  }

  private static String bought(Entry.Bought bought, Units units) {
    List<String> words = new ArrayList<>();
    if (!bought.place().isEmpty()) {
      words.add("at " + bought.place());
    }
    bought.price().ifPresent(p -> words.add("for " + units.price(p)));
    bought.treated().ifPresent(t -> words.add(t ? "treated" : "not treated"));
    return words.isEmpty() ? "" : ", " + String.join(", ", words);
  }

  private static String label(Rig rig, String part) {
    return rig.partsById().containsKey(part) ? rig.part(part).label() : part;
  }
}
