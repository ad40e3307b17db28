package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.say.Message;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springdoc.core.utils.SpringDocUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class OpenApiTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(tools.jackson.databind.SerializationFeature.INDENT_OUTPUT)
          .build();

  /** Types of ours that programs read and write as texts. */
  private static final List<Class<?>> TEXTS =
      List.of(
          Message.class,
          PartId.class,
          LineId.class,
          PlaceId.class,
          ElementId.class,
          PortId.class,
          PositionId.class);

  /**
   * The file that ships is what the annotations say today; where it is not, the new one is kept.
   */
  @Test
  void theDescriptionForProgramsIsTrue() throws IOException {
    TEXTS.forEach(t -> SpringDocUtils.getConfig().replaceWithClass(t, String.class));
    Client copy = COPY.client();
    ObjectNode made = (ObjectNode) copy.json("/api/v1/openapi-made");
    made.remove("servers");
    made.withObject("/paths").remove("/api/v1/openapi");
    describe(made);
    Path kept = Files.createDirectories(Path.of("target")).resolve("openapi.json");
    Files.writeString(kept, JSON.writeValueAsString(made) + "\n");
    JsonNode shipped = copy.json("/api/v1/openapi");
    assertThat(shipped)
        .as("docs/openapi.json; copy %s over it", kept.toAbsolutePath())
        .isEqualTo(made);
  }

  /** Says of each field what its record says of it, so that every number has its unit. */
  private static void describe(ObjectNode made) {
    FieldDocs docs = FieldDocs.read();
    made.withObject("/components/schemas")
        .properties()
        .forEach(schema ->
            ((ObjectNode) schema.getValue())
                .withObject("/properties")
                .properties()
                .forEach(field -> {
                  ObjectNode property = (ObjectNode) field.getValue();
                  if (!property.has("description") && !property.has("$ref")) {
                    docs.of(schema.getKey(), field.getKey())
                        .ifPresent(words -> property.put("description", words));
                  }
                }));
  }
}
