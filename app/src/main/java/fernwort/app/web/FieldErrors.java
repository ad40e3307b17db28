package fernwort.app.web;

import fernwort.core.say.Refusal;
import java.util.LinkedHashMap;
import java.util.Map;

/** Some fields of a form cannot be read: what is wrong with each, by its name. */
public final class FieldErrors extends Refusal {

  private static final long serialVersionUID = 1;

  private final transient Map<String, String> byField;

  /** Refuses a form for what is wrong with its fields, in their order. */
  public FieldErrors(Map<String, String> byField) {
    super(String.join(". ", byField.values()));
    this.byField = new LinkedHashMap<>(byField);
  }

  /** Returns what is wrong, by the name of the field. */
  public Map<String, String> byField() {
    return byField;
  }
}
