package fernwort.core.format;

import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A value somewhere in a JSON text, found by a pointer (RFC 6901). */
public final class PointedText {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private PointedText() {}

  /**
   * Returns the text, number or truth value at a place of a JSON text.
   *
   * @param json the text; one that is no JSON, or nested too deeply, has nothing anywhere
   * @param pointer such as /tank/0/litres
   */
  public static Optional<String> in(String json, String pointer) {
    try {
      JsonNode at = JSON.readTree(json).at(pointer);
      return at.isValueNode() && !at.isNull()
          ? Optional.of(at.asString().trim()).filter(t -> !t.isEmpty())
          : Optional.empty();
    } catch (JacksonException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
