package fernwort.core.format;

import fernwort.core.guide.answers.RigAnswers;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Reads and writes what somebody has answered about a rig, as it is kept. */
public final class AnswersFormat {

  private final JsonMapper mapper = JsonMapper.builder().addModule(Ids.module()).build();

  /** Returns answers as text. */
  public String write(RigAnswers answers) {
    return mapper.writeValueAsString(answers);
  }

  /** Reads answers; those that another Fernwort kept in a form of its own are none. */
  public Optional<RigAnswers> read(String text) {
    try {
      return Optional.of(mapper.readValue(text, RigAnswers.class));
    } catch (JacksonException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
