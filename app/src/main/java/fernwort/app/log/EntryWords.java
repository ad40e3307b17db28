package fernwort.app.log;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.When;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;

/** Entries of the log in words. */
final class EntryWords {

  private EntryWords() {}

  /** Returns what an entry says. */
  static String of(Rig rig, Entry entry, Units units) {
    Entry.What what = entry.what();
    String tank = label(rig, what.part().value());
    String words =
        switch (what) {
          case Entry.Reading w -> "%s read: %s".formatted(tank, shown(w, units));
          case Entry.Fill w ->
              "%s filled%s%s%s"
                  .formatted(
                      tank,
                      w.volume()
                          .map(v -> ": " + units.show(Measure.VOLUME, v))
                          .orElse(Says.UNTIL_FULL.text()),
                      bought(w.bought(), units),
                      w.doubtful() ? Says.NOT_TO_BE_TRUSTED.text() : "");
          case Entry.Dump w ->
              "%s dumped%s"
                  .formatted(
                      tank, w.volume().map(v -> ": " + units.show(Measure.VOLUME, v)).orElse(""));
          case Entry.Haul w ->
              Says.HAULED_TO_IN.filled(
                  units.show(Measure.VOLUME, w.volume()),
                  tank,
                  w.trips() == 1 ? Says.ONE_TRIP.text() : w.trips() + " trips",
                  bought(w.bought(), units));
          case Entry.People w ->
              Says.ON_BOARD.filled(
                  people(w.people()),
                  w.pets() == 0
                      ? ""
                      : w.pets() == 1 ? Says.AND_1_PET.text() : Says.AND_PETS.filled(w.pets()),
                  w.perPersonDay()
                      .map(v -> Says.TAKEN_TO_USE_EACH_A_DAY.filled(units.show(Measure.VOLUME, v)))
                      .orElse(""));
          case Entry.Away w -> Says.NOBODY_ON_BOARD_UNTIL.filled(When.day(w.until()));
          case Entry.Sanitize w -> tank + " sanitized";
          case Entry.Upkeep w ->
              w.putOff()
                  .map(until -> Says.PUT_OFF_UNTIL.filled(tank, When.day(until)))
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
    bought.treated().ifPresent(t -> words.add(t ? "treated" : Says.NOT_TREATED.text()));
    return words.isEmpty() ? "" : ", " + String.join(", ", words);
  }

  private static String label(Rig rig, String part) {
    Part found = rig.partsById().get(PartId.of(part));
    return found == null ? part : found.label();
  }

  /** Returns how many travel, in words. */
  static String people(int count) {
    return count == 1 ? Says.FOR_1_PERSON.text() : count + " people";
  }
}
