package fernwort.core.demo;

import fernwort.core.guide.answers.RigAnswers;
import java.util.Optional;

/** Answers to begin with, for the ready layouts that the questions can tell. */
public final class ReadyAnswers {

  private ReadyAnswers() {}

  /**
   * Returns the answers that come nearest to a ready layout.
   *
   * @param layout its short name
   * @param name what the rig is called
   * @return empty for a layout that the questions cannot tell
   */
  public static Optional<RigAnswers> of(String layout, String name) {
    return ReadyRig.find(layout)
        .flatMap(ready -> ExampleFile.answers("answers/" + ready.id() + ".json"))
        .map(answers -> answers.on(name, answers.people(), answers.vehicle()));
  }
}
