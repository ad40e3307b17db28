package fernwort.app.services;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import fernwort.app.format.MessageModule;
import fernwort.core.drain.Stretch;
import fernwort.core.drain.Wintering;
import fernwort.core.format.Ids;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterStep;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** Sheets of winter as the text that is kept, and back. */
@Component
public class WinterText {

  /**
   * What is kept of a sheet.
   *
   * @param school the school, or empty for a sheet of spring
   * @param cold the cold it is meant for (K)
   * @param before how the rig stood
   * @param steps its steps
   * @param notes what cannot be done, or what to know
   */
  record Kept(
      String school, double cold, Wintering before, List<WinterStep> steps, List<Message> notes) {}

  private final JsonMapper mapper =
      JsonMapper.builder()
          .addModule(Ids.module())
          .addModule(MessageModule.kept())
          .addModule(new SimpleModule().addKeyDeserializer(ElementId.class, new OfRig()))
          .addMixIn(Operation.class, Names.class)
          .addMixIn(Stretch.class, WithoutLength.class)
          .addMixIn(Setting.class, Positions.class)
          .build();

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Operation.Put.class, name = "put"),
    @JsonSubTypes.Type(value = Operation.Tilt.class, name = "tilt"),
    @JsonSubTypes.Type(value = Operation.Emptied.class, name = "emptied"),
    @JsonSubTypes.Type(value = Operation.RunDry.class, name = "run-dry"),
    @JsonSubTypes.Type(value = Operation.DrawnDry.class, name = "drawn-dry"),
    @JsonSubTypes.Type(value = Operation.Blown.class, name = "blown"),
    @JsonSubTypes.Type(value = Operation.Filled.class, name = "filled"),
    @JsonSubTypes.Type(value = Operation.Heed.class, name = "heed")
  })
  private interface Names {}

  @JsonIgnoreProperties("length")
  private interface WithoutLength {}

  /** A setting is kept as its positions. */
  private abstract static class Positions {

    @JsonCreator
    Positions(@JsonProperty("positions") Map<String, String> positions) {}

    @JsonProperty("positions")
    abstract Map<String, String> positions();
  }

  String write(Kept kept) {
    return mapper.writeValueAsString(kept);
  }

  /**
   * Tells whether a sheet can be read and shown.
   *
   * @throws RuntimeException when it cannot
   */
  public void check(Rig rig, String text) {
    Kept kept = read(rig, text);
    Objects.requireNonNull(kept.before());
    Objects.requireNonNull(kept.before().state());
    kept.notes().forEach(Objects::requireNonNull);
    for (WinterStep step : kept.steps()) {
      Objects.requireNonNull(step.act());
      Objects.requireNonNull(step.words());
      Objects.requireNonNull(step.hand());
    }
    Groups.of(kept.steps());
  }

  /** Reads what was kept of a rig; ids of its lines are told from those of its parts by it. */
  Kept read(Rig rig, String text) {
    return mapper.readerFor(Kept.class).withAttribute(Rig.class, rig).readValue(text);
  }

  /** Reads the id of a line or a part, which are kept alike. */
  private static final class OfRig extends KeyDeserializer {

    @Override
    public ElementId deserializeKey(String key, DeserializationContext context) {
      Rig rig = (Rig) context.getAttribute(Rig.class);
      LineId line = LineId.of(key);
      return rig.lines().stream().anyMatch(l -> l.id().equals(line)) ? line : PartId.of(key);
    }
  }
}
