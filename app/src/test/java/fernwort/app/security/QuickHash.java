package fernwort.app.security;

import fernwort.app.store.DataFolder;
import fernwort.app.store.disk.DatabaseFile;
import fernwort.app.store.disk.FolderOpening;
import java.nio.file.Path;
import java.time.Clock;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Sets a passphrase whose hash is looked at in no time: a test gives it again and again. */
final class QuickHash {

  /** The least that the hash allows, sixty-four times as quick as the usual ten. */
  private static final int STRENGTH = 4;

  private QuickHash() {}

  /** Sets the passphrase of a folder that nobody has opened. */
  static void set(Path data, String passphrase) {
    try (DataFolder folder = DataFolder.claim(data)) {
      FolderOpening.prepare(folder, Clock.systemUTC());
      DatabaseFile.setPassphrase(
          folder, "{bcrypt}" + new BCryptPasswordEncoder(STRENGTH).encode(passphrase));
    }
  }
}
