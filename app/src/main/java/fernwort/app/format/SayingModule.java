package fernwort.app.format;

import fernwort.core.say.Saying;
import java.util.function.Function;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** Sentences in JSON: as text in metric units for programs, or as they are kept. */
public final class SayingModule extends SimpleModule {

  private static final long serialVersionUID = 1;

  private SayingModule(Function<Saying, String> written) {
    addSerializer(Saying.class, new Written(written));
    addDeserializer(Saying.class, new Read());
  }

  /** Returns how programs are told. */
  public static SayingModule metric() {
    return new SayingModule(Saying::toString);
  }

  /** Returns how sentences are kept, to be read again in any units. */
  public static SayingModule kept() {
    return new SayingModule(Saying::keep);
  }

  private static final class Written extends StdSerializer<Saying> {

    private final Function<Saying, String> written;

    private Written(Function<Saying, String> written) {
      super(Saying.class);
      this.written = written;
    }

    @Override
    public void serialize(Saying saying, JsonGenerator out, SerializationContext context) {
      out.writeString(written.apply(saying));
    }
  }

  private static final class Read extends StdDeserializer<Saying> {

    private Read() {
      super(Saying.class);
    }

    @Override
    public Saying deserialize(JsonParser in, DeserializationContext context) {
      return Saying.kept(in.getValueAsString(""));
    }
  }
}
