package fernwort.app.backup;

import fernwort.app.live.RuleText;
import fernwort.app.live.SignalText;
import fernwort.app.services.StepText;
import fernwort.app.services.WinterText;
import fernwort.app.store.StoredRow;
import fernwort.app.store.backup.Look;
import fernwort.core.format.RigFormat;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads the rows of a backup: as the store does, and their texts as whoever shows them. */
public final class StoredRows implements Look {

  private final RigFormat format = new RigFormat();
  private final JsonMapper mapper = new JsonMapper();
  private final WinterText winters = new WinterText();
  private final StepText steps = new StepText();
  private final Map<String, Rig> rigs = new HashMap<>();
  private final Map<String, String> read = new HashMap<>();

  private StoredRows() {}

  /** Returns a look at the rows of one backup. */
  public static Look look() {
    return new StoredRows();
  }

  @Override
  public void row(String table, Map<String, @Nullable Object> row) {
    StoredRow.read(table, row);
    switch (table) {
      case "rig" -> rig(row);
      case "rig_version" -> version(row);
      case "winter_sheet" -> winters.check(rigOf(row), text(row, "sheet"));
      case "run_step" -> steps.check(text(row, "step"));
      case "automation" -> automation(mapper.readTree(text(row, "rule")));
      case "live_signal" ->
          mapper.readValue(text(row, "bound"), SignalText.class).signal(text(row, "name"));
      case "live_rule" ->
          mapper.readValue(text(row, "rule"), RuleText.class).rule(text(row, "name"));
      default -> {
        // What the store reads is all there is to it.
      }
    }
  }

  private void rig(Map<String, @Nullable Object> row) {
    rigs.put(text(row, "id"), format.readKept(text(row, "description")));
    try {
      mapper.readValue(text(row, "habits"), Habits.class);
    } catch (JacksonException | IllegalArgumentException e) {
      throw new Refusal(Says.ITS_HABITS_CANNOT_BE_READ.with());
    }
  }

  /** Versions that follow each other often say the same. */
  private void version(Map<String, @Nullable Object> row) {
    String description = text(row, "description");
    if (!description.equals(read.put(text(row, "rig"), description))) {
      format.readKept(description);
    }
  }

  private static void automation(JsonNode rule) {
    Automation.purpose(rule.required("purpose").stringValue());
    for (String part : List.of("tank", "other", "valve", "second")) {
      rule.required(part).stringValue();
    }
    for (String mark : List.of("low", "high")) {
      rule.required(mark).doubleValue();
    }
  }

  private Rig rigOf(Map<String, @Nullable Object> row) {
    return Objects.requireNonNull(rigs.get(text(row, "rig")));
  }

  private static String text(Map<String, @Nullable Object> row, String column) {
    return String.valueOf(row.get(column));
  }
}
