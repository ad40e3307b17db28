package fernwort.app.rig;

import fernwort.app.web.Field;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Forms as a browser sends them back when nobody has touched them. */
final class Sent {

  private Sent() {}

  static Map<String, String> back(List<Field> fields) {
    Map<String, String> form = new HashMap<>();
    for (Field field : fields) {
      field.table().rows().forEach(row -> form.putAll(back(row)));
      if (field.type() != Field.Type.TICK || field.value().equals("true")) {
        form.put(field.name(), field.value());
      }
    }
    return form;
  }
}
