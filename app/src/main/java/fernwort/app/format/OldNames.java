package fernwort.app.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.BeanDescription;
import tools.jackson.databind.SerializationConfig;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.BeanPropertyWriter;
import tools.jackson.databind.ser.ValueSerializerModifier;
import tools.jackson.databind.util.NameTransformer;

/** Fields of answers under the names that they had before, beside those they have now. */
public final class OldNames extends SimpleModule {

  private static final long serialVersionUID = 1;

  /** What a field was called, by what it is called. */
  private static final Map<String, String> BEFORE =
      Map.of("fix", "mend", "taps", "fixtures", "calculated", "reckoned");

  public OldNames() {
    super(OldNames.class.getSimpleName());
    setSerializerModifier(new Beside());
  }

  private static final class Beside extends ValueSerializerModifier {

    private static final long serialVersionUID = 1;

    @Override
    public List<BeanPropertyWriter> changeProperties(
        SerializationConfig config, BeanDescription.Supplier bean, List<BeanPropertyWriter> now) {
      List<BeanPropertyWriter> both = new ArrayList<>(now);
      for (BeanPropertyWriter field : now) {
        String before = BEFORE.get(field.getName());
        if (before != null && now.stream().noneMatch(f -> f.getName().equals(before))) {
          both.add(field.rename(called(before)));
        }
      }
      return both;
    }

    private static NameTransformer called(String name) {
      return new NameTransformer() {
        @Override
        public String transform(String now) {
          return name;
        }

        @Override
        public String reverse(String then) {
          return then;
        }
      };
    }
  }
}
