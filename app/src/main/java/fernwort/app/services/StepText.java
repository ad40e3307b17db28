package fernwort.app.services;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import fernwort.app.format.MessageModule;
import fernwort.app.store.RunStore;
import fernwort.core.format.Ids;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Steps as the text that is kept, and back. */
@Component
public class StepText {

  private final JsonMapper mapper =
      JsonMapper.builder()
          .addModule(Ids.module())
          .addModule(MessageModule.kept())
          .addMixIn(Step.class, Names.class)
          .addMixIn(Step.Span.class, WithoutAnswers.class)
          .build();

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Step.Move.class, name = "move"),
    @JsonSubTypes.Type(value = Step.Wait.class, name = "wait")
  })
  private interface Names {}

  @JsonIgnoreProperties("known")
  private interface WithoutAnswers {}

  /** Reads a step as it was kept. */
  public Step read(String text) {
    return mapper.readValue(text, Step.class);
  }

  /**
   * Tells whether a step can be read and shown.
   *
   * @throws RuntimeException when it cannot
   */
  public void check(String text) {
    switch (read(text)) {
      case Step.Move move -> {
        Objects.requireNonNull(move.part());
        Objects.requireNonNull(move.to());
      }
      case Step.Wait wait -> {
        Objects.requireNonNull(wait.until());
        Objects.requireNonNull(wait.seconds());
      }
    }
  }

  /** Returns the steps of a plan as they are kept. */
  public List<RunStore.Planned> planned(Plan plan) {
    List<RunStore.Planned> planned = new ArrayList<>();
    for (int i = 0; i < plan.steps().size(); i++) {
      planned.add(
          new RunStore.Planned(
              plan.stages().get(i),
              mapper.writerFor(Step.class).writeValueAsString(plan.steps().get(i))));
    }
    return planned;
  }
}
