package fernwort.core.demo;

import fernwort.core.format.AnswersFormat;
import fernwort.core.format.Ids;
import fernwort.core.format.RigFormat;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.json.JsonMapper;

/** Files that ship with Fernwort, read as a user's are. */
final class ExampleFile {

  private static final RigFormat RIGS = new RigFormat();
  private static final AnswersFormat ANSWERS = new AnswersFormat();
  private static final JsonMapper LISTS = JsonMapper.builder().addModule(Ids.module()).build();

  private ExampleFile() {}

  /** Returns the rig in a file. */
  static Rig rig(String path) {
    return RIGS.readKept(text(path).orElseThrow());
  }

  /** Returns the answers in a file, if there is one. */
  static Optional<RigAnswers> answers(String path) {
    return text(path).map(text -> ANSWERS.read(text).orElseThrow());
  }

  /** Returns what a file lists, in its order. */
  static <T> List<T> list(String path, Class<T> of) {
    return LISTS.readerForListOf(of).readValue(text(path).orElseThrow());
  }

  private static Optional<String> text(String path) {
    try (InputStream in = ExampleFile.class.getResourceAsStream(path)) {
      return in == null
          ? Optional.empty()
          : Optional.of(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
