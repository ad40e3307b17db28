package fernwort.app.format;

import fernwort.core.say.Message;
import java.util.function.Function;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** Sentences in JSON: as text in metric units for programs, or as they are kept. */
public final class MessageModule extends SimpleModule {

  private static final long serialVersionUID = 1;

  private MessageModule(Function<Message, String> written) {
    addSerializer(Message.class, new Written(written));
    addDeserializer(Message.class, new Read());
  }

  /** Returns how programs are told. */
  public static MessageModule metric() {
    return new MessageModule(Message::toString);
  }

  /** Returns how sentences are kept, to be read again in any units. */
  public static MessageModule kept() {
    return new MessageModule(Message::keep);
  }

  private static final class Written extends StdSerializer<Message> {

    private final Function<Message, String> written;

    private Written(Function<Message, String> written) {
      super(Message.class);
      this.written = written;
    }

    @Override
    public void serialize(Message saying, JsonGenerator out, SerializationContext context) {
      out.writeString(written.apply(saying));
    }
  }

  private static final class Read extends StdDeserializer<Message> {

    private Read() {
      super(Message.class);
    }

    @Override
    public Message deserialize(JsonParser in, DeserializationContext context) {
      return Message.kept(in.getValueAsString(""));
    }
  }
}
