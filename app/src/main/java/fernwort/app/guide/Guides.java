package fernwort.app.guide;

import fernwort.app.garage.Descriptions;
import fernwort.app.garage.OpenRig;
import fernwort.app.store.AnswerStore;
import fernwort.core.describe.Alteration;
import fernwort.core.guide.Answers;
import fernwort.core.guide.Guided;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The answers about each rig, and the rig that they make. */
@Service
class Guides {

  private final Descriptions rigs;
  private final AnswerStore store;
  private final JsonMapper mapper;

  Guides(Descriptions rigs, AnswerStore store, JsonMapper mapper) {
    this.rigs = rigs;
    this.store = store;
    this.mapper = mapper;
  }

  /**
   * What was answered about a rig.
   *
   * @param answers the answers
   * @param parted whether the rig was changed otherwise since, so that it is not theirs any more
   */
  record Given(Answers answers, boolean parted) {}

  /** Begins a rig from some answers; returns its address. */
  @Transactional
  public String begin(Answers answers, String who) {
    String id = rigs.add(Guided.of(answers).rig(), who, "Begun with questions");
    store.keep(id, mapper.writeValueAsString(answers));
    return id;
  }

  /**
   * Returns what was answered about a rig: the newest answers that make it as it is, for steps of
   * its description may have been taken back; empty when it was not described by questions.
   */
  Optional<Given> given(OpenRig rig) {
    Optional<Answers> newest = Optional.empty();
    for (String text : store.newest(rig.id())) {
      Optional<Answers> answers = read(text);
      if (answers.filter(a -> Guided.of(a).rig().equals(rig.rig())).isPresent()) {
        return answers.map(a -> new Given(a, false));
      }
      newest = newest.or(() -> answers);
    }
    return newest.map(a -> new Given(a, true));
  }

  /** Answers that another Fernwort kept in a form of its own are none. */
  private Optional<Answers> read(String text) {
    try {
      return Optional.of(mapper.readValue(text, Answers.class));
    } catch (JacksonException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /**
   * Keeps answers, and makes the rig anew from them where they change it.
   *
   * @param seen the version that the person looked at
   * @param page what was answered, for the list of steps
   */
  @Transactional
  public void answer(OpenRig rig, int seen, String who, Answers answers, String page) {
    Guided made = Guided.of(answers);
    if (!made.rig().equals(rig.rig())) {
      rigs.change(rig, seen, who, new Alteration.Answered(made.rig(), page));
    }
    store.keep(rig.id(), mapper.writeValueAsString(answers));
  }
}
