package fernwort.app.backup;

import fernwort.app.store.backup.Look;
import fernwort.core.format.RigFormat;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Looks whether the rigs of a backup can be read. */
public final class StoredRigs {

  private StoredRigs() {}

  /** Returns a look at rigs as they are kept. */
  public static Look look() {
    RigFormat format = new RigFormat();
    JsonMapper mapper = new JsonMapper();
    return new Look() {
      @Override
      public void rig(String description) {
        format.readKept(description);
      }

      @Override
      public void habits(String text) {
        try {
          mapper.readValue(text, Habits.class);
        } catch (JacksonException | IllegalArgumentException e) {
          throw new Refusal(Says.ITS_HABITS_CANNOT_BE_READ.with());
        }
      }
    };
  }
}
