package fernwort.core.format;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import java.util.function.Function;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.ToStringSerializer;

/** How ids stand in files and in answers to programs: as the texts that they are. */
public final class Ids {

  private Ids() {}

  /** Returns what tells Jackson so. */
  public static JacksonModule module() {
    SimpleModule module = new SimpleModule("ids");
    add(module, PartId.class, PartId::of);
    add(module, LineId.class, LineId::of);
    add(module, PlaceId.class, PlaceId::of);
    add(module, PortId.class, PortId::of);
    add(module, PositionId.class, PositionId::of);
    return module;
  }

  private static <T> void add(SimpleModule module, Class<T> type, Function<String, T> of) {
    module.addSerializer(type, new ToStringSerializer(type));
    module.addDeserializer(type, new OfText<>(type, of));
    module.addKeyDeserializer(
        type,
        new KeyDeserializer() {
          @Override
          public Object deserializeKey(String key, DeserializationContext context) {
            return of.apply(key);
          }
        });
  }

  private static final class OfText<T> extends StdDeserializer<T> {

    private final Function<String, T> of;

    OfText(Class<T> type, Function<String, T> of) {
      super(type);
      this.of = of;
    }

    @Override
    public T deserialize(JsonParser parser, DeserializationContext context) {
      return of.apply(context.readValue(parser, String.class));
    }
  }
}
