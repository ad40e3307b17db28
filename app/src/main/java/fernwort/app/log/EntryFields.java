package fernwort.app.log;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.diary.Entry;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** What the fields of a form show of an entry. */
final class EntryFields {

  private EntryFields() {}

  /** Returns the text of each field by its name; fields that an entry does not have are missing. */
  static Map<String, String> of(Entry entry, Units units) {
    Map<String, String> fields = new HashMap<>();
    Entry.What what = entry.what();
    fields.put("kind", what.kind().name().toLowerCase(Locale.ROOT));
    fields.put("at", NoteForm.field(entry.at()));
    fields.put("note", what.note());
    fields.put("tank", what.part().value());
    switch (what) {
      case Entry.Reading w -> fields.put("amount", units.show(Measure.VOLUME, w.volume()));
      case Entry.Fill w -> {
        w.volume().ifPresent(v -> fields.put("amount", units.show(Measure.VOLUME, v)));
        bought(w.bought(), fields);
        fields.put("doubtful", w.doubtful() ? "yes" : "");
      }
      case Entry.Dump w ->
          w.volume().ifPresent(v -> fields.put("amount", units.show(Measure.VOLUME, v)));
      case Entry.Haul w -> {
        fields.put("amount", units.show(Measure.VOLUME, w.volume()));
        fields.put("trips", Integer.toString(w.trips()));
        bought(w.bought(), fields);
      }
      case Entry.People w -> {
        fields.put("people", Integer.toString(w.people()));
        fields.put("pets", Integer.toString(w.pets()));
        w.perPersonDay().ifPresent(v -> fields.put("each", units.show(Measure.VOLUME, v)));
      }
      case Entry.Away w -> fields.put("until", NoteForm.field(w.until()));
      case Entry.Upkeep w -> w.putOff().ifPresent(at -> fields.put("until", NoteForm.field(at)));
      case Entry.Sanitize _, Entry.Note _ -> {}
    }
    return fields;
  }

  private static void bought(Entry.Bought bought, Map<String, String> fields) {
    bought.price().ifPresent(p -> fields.put("price", p.toPlainString()));
    fields.put("place", bought.place());
    bought.treated().ifPresent(t -> fields.put("treated", t ? "yes" : "no"));
  }
}
