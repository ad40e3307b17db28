package fernwort.core.format;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Kind;
import fernwort.core.kind.tank.Shape;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Problem;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigLimits;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.EnumNamingStrategies;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads and writes rig files.
 *
 * <p>Reading goes from the coarse to the fine: is it JSON of a bearable size and depth, does it fit
 * the published schema, is it a sound rig. Each stage reports all it finds. Writing is canonical:
 * the same rig always gives the same bytes.
 */
public final class RigFormat {

  /** Largest file that is read (bytes). */
  public static final int MOST_BYTES = 2_000_000;

  /** Largest rig that is kept, as it is written (bytes). */
  public static final int MOST_KEPT = 4_000_000;

  private static final int DEEPEST = 24;
  private static final int MOST_PROBLEMS = 50;

  private final JsonMapper mapper;

  /** The published schema, compiled when something is read against it first. */
  private static final class Published {
    private static final String TEXT = schemaText();
    private static final Schema SCHEMA =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(TEXT);
  }

  public RigFormat() {
    JsonFactory factory =
        JsonFactory.builder()
            .streamReadConstraints(
                StreamReadConstraints.builder()
                    .maxNestingDepth(DEEPEST)
                    .maxDocumentLength(2L * MOST_KEPT)
                    .maxStringLength(10_000)
                    .maxNumberLength(40)
                    .build())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();
    mapper =
        JsonMapper.builder(factory)
            .enumNamingStrategy(EnumNamingStrategies.KEBAB_CASE)
            .addModule(Ids.module())
            .addMixIn(Kind.class, KindNames.class)
            .registerSubtypes(KindNames.all())
            .addMixIn(Shape.class, ShapeNames.class)
            .addMixIn(Connection.Form.class, FormNames.class)
            .changeDefaultPropertyInclusion(
                i -> i.withValueInclusion(JsonInclude.Include.NON_ABSENT))
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(SerializationFeature.FAIL_ON_EMPTY_BEANS)
            .disable(tools.jackson.databind.MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            .build();
  }

  private static String schemaText() {
    try (InputStream in = RigFormat.class.getResourceAsStream("/rig.schema.json")) {
      if (in == null) {
        throw new IllegalStateException("the rig schema is missing from the application");
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Returns the published schema. */
  public String schema() {
    return Published.TEXT;
  }

  /** Returns a rig as the text of a file. */
  public String write(Rig rig) {
    return mapper.writeValueAsString(RigFile.of(rig)).replace("\r\n", "\n") + "\n";
  }

  /**
   * Reads a rig.
   *
   * @throws InvalidRigException with every fault found, when it is no rig file
   */
  public Rig read(byte[] bytes) {
    if (bytes.length > MOST_BYTES) {
      throw broken(Says.IT_IS_LARGER_THAN_2_MB.text(), Says.RIGS_ARE_FAR_SMALLER_CHECK.text());
    }
    JsonNode tree = parse(bytes);
    List<Error> errors = Published.SCHEMA.validate(tree);
    if (!errors.isEmpty()) {
      throw new InvalidRigException(
          errors.stream().map(e -> problem(tree, e)).distinct().limit(MOST_PROBLEMS).toList());
    }
    Rig rig = rig(tree);
    List<Problem> problems = RigLimits.problems(rig);
    if (!problems.isEmpty()) {
      throw new InvalidRigException(problems.stream().limit(MOST_PROBLEMS).toList());
    }
    return rig;
  }

  private Rig rig(JsonNode tree) {
    try {
      return mapper.treeToValue(tree, RigFile.class).rig();
    } catch (JacksonException e) {
      if (e.getCause() instanceof InvalidRigException invalid) {
        throw invalid;
      }
      throw broken(firstSentence(e.getOriginalMessage()), Says.COMPARE_IT_WITH_THE_SCHEMA.text());
    }
  }

  /**
   * Reads a rig that was kept. It was checked when it was taken in, and is read whatever limits for
   * new files have come since.
   *
   * @throws InvalidRigException when it cannot be read
   */
  public Rig readKept(String text) {
    try {
      return mapper.readValue(text, RigFile.class).rig();
    } catch (JacksonException e) {
      if (e.getCause() instanceof InvalidRigException invalid) {
        throw invalid;
      }
      throw broken(firstSentence(e.getOriginalMessage()), Says.BRING_BACK_A_BACKUP_OF_IT.text());
    }
  }

  private JsonNode parse(byte[] bytes) {
    try {
      JsonNode tree = mapper.readTree(bytes);
      if (tree == null || !tree.isObject()) {
        throw broken(Says.IT_IS_NOT_A_JSON_OBJECT.text(), Says.CHOOSE_A_FILE_THAT_FERNWORT.text());
      }
      return tree;
    } catch (JacksonException e) {
      String at =
          e.getLocation() == null
              ? ""
              : Says.AT_LINE_COLUMN.filled(
                  e.getLocation().getLineNr(), e.getLocation().getColumnNr());
      throw broken(
          Says.IT_IS_NOT_READABLE_AS_JSON.filled(at, firstSentence(e.getOriginalMessage())),
          Says.CORRECT_THAT_SPOT_OR_EXPORT.text());
    }
  }

  private static String firstSentence(String message) {
    String line = message.lines().findFirst().orElse("");
    return line.length() > 140 ? line.substring(0, 140) + "…" : line;
  }

  private static InvalidRigException broken(String fault, String fix) {
    return new InvalidRigException(List.of(new Problem(Says.THE_FILE.text(), fault, fix)));
  }

  private static Problem problem(JsonNode tree, Error error) {
    String path = error.getInstanceLocation().toString();
    String field = error.getProperty() == null ? "" : " \"" + error.getProperty() + "\"";
    String fix =
        switch (error.getKeyword()) {
          case "additionalProperties", "unevaluatedProperties" -> "Remove" + field;
          case "required" -> "Add" + field;
          case "enum", "const" -> Says.USE_ONE_OF_THE_VALUES_THE_SCHEMA.text();
          case "type" -> Says.GIVE_A_VALUE_OF_THE_RIGHT_TYPE.text();
          default -> Says.SEE_THE_SCHEMA.text();
        };
    return new Problem(where(tree, path), firstSentence(error.getMessage()), fix);
  }

  /** Names the part, place or line that a path such as {@code /parts/3/kind/wall} lies in. */
  private static String where(JsonNode tree, String path) {
    String[] steps = path.replaceFirst("^/", "").split("/");
    if (steps.length < 2 || !steps[1].matches("[0-9]{1,6}")) {
      return path.isEmpty() ? Says.THE_FILE.text() : path;
    }
    String id = tree.path(steps[0]).path(Integer.parseInt(steps[1])).path("id").asString("");
    String what = steps[0].replaceFirst("s$", "");
    return (id.isEmpty() ? what + " number " + (Integer.parseInt(steps[1]) + 1) : what + " " + id)
        + (steps.length > 2 ? ", " + steps[steps.length - 1] : "");
  }
}
