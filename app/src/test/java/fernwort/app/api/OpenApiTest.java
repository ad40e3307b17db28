package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.RunningCopy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class OpenApiTest {

  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(tools.jackson.databind.SerializationFeature.INDENT_OUTPUT)
          .build();

  /**
   * The file that ships is what the annotations say today; where it is not, the new one is kept.
   */
  @Test
  void theDescriptionForProgramsIsTrue(@TempDir Path data) throws IOException {
    try (RunningCopy copy = RunningCopy.start(data)) {
      ObjectNode made = (ObjectNode) copy.json("/api/v1/openapi-made");
      made.remove("servers");
      made.withObject("/paths").remove("/api/v1/openapi");
      Path kept = Files.createDirectories(Path.of("target")).resolve("openapi.json");
      Files.writeString(kept, JSON.writeValueAsString(made) + "\n");
      JsonNode shipped = copy.json("/api/v1/openapi");
      assertThat(shipped)
          .as("docs/openapi.json; copy %s over it", kept.toAbsolutePath())
          .isEqualTo(made);
    }
  }
}
