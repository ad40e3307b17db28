package fernwort.app.questions;

import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.SizingStore;
import fernwort.app.units.Units;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Hands a page of questions what it starts from, keeps what was entered on it, and shows it. */
@Component
public class QuestionDesk {

  private final Descriptions rigs;
  private final States states;
  private final Diary diary;
  private final SizingStore store;

  /** What a card of a page is called; anything else is no place on it. */
  private static final Pattern CARD = Pattern.compile("[A-Za-z0-9_-]{1,60}");

  QuestionDesk(Descriptions rigs, States states, Diary diary, SizingStore store) {
    this.rigs = rigs;
    this.states = states;
    this.diary = diary;
    this.store = store;
  }

  /** Returns what every page of questions starts from. */
  public Trip trip(String id, Units units) {
    OpenRig rig = rigs.open(id);
    return new Trip(
        rig,
        states.of(rig).state(),
        states.habits(rig),
        diary.lasts(rig),
        store.entries(rig.id()),
        units);
  }

  /** Keeps what was entered on one question and returns where on its page it is. */
  public String keep(String id, Map<String, String> form, Units units) {
    Map<String, String> entries = new HashMap<>(form);
    entries.remove("_csrf");
    String card = entries.remove("card");
    store.keep(rigs.open(id).id(), entries, units.signs());
    return "#" + (card != null && CARD.matcher(card).matches() ? card : "main");
  }

  /** Puts a page of questions into a template's model. */
  public void show(Trip trip, String page, List<Question> questions, Model model) {
    model.addAttribute("rig", trip.open().id());
    model.addAttribute("name", trip.rig().name());
    model.addAttribute("page", page);
    model.addAttribute("questions", questions);
  }
}
