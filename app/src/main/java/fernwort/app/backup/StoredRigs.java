package fernwort.app.backup;

import fernwort.core.format.RigFormat;
import java.util.function.Consumer;

/** Looks whether the rigs of a backup can be read. */
public final class StoredRigs {

  private StoredRigs() {}

  /** Returns a look at the text of a rig, which throws when it is none. */
  public static Consumer<String> look() {
    RigFormat format = new RigFormat();
    return format::readKept;
  }
}
