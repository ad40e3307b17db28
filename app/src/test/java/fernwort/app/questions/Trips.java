package fernwort.app.questions;

import fernwort.app.services.OpenRig;
import fernwort.app.store.SizingStore;
import fernwort.app.units.Units;
import fernwort.core.demo.DemoRig;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Trips of the demo rigs with some fields filled in, and looks at the questions they give. */
public final class Trips {

  /** The demo truck. */
  public static final DemoRig TRUCK = DemoRig.all().get(0);

  private Trips() {}

  /** Returns a trip with entries as field, text, field, text … */
  public static Trip trip(DemoRig demo, Units units, String... entries) {
    Map<String, SizingStore.Kept> kept = new HashMap<>();
    for (int i = 0; i < entries.length; i += 2) {
      kept.put(entries[i], new SizingStore.Kept(entries[i + 1], units.signs()));
    }
    OpenRig rig = OpenRig.of("rig", 1, demo.rig());
    Lasts lasts = Lasts.of(rig.network(), demo.state(), Habits.DEFAULT);
    return new Trip(rig, demo.state(), Habits.DEFAULT, lasts, kept, units);
  }

  /** Returns a trip of the truck. */
  public static Trip trip(String... entries) {
    return trip(TRUCK, Units.METRIC, entries);
  }

  /** Returns the card with this id. */
  public static Question question(List<Question> questions, String id) {
    return questions.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  /** Returns the figure of this name. */
  public static Question.Row row(Question question, String what) {
    return question.rows().stream().filter(r -> r.what().equals(what)).findFirst().orElseThrow();
  }
}
