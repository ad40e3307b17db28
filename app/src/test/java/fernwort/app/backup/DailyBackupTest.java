package fernwort.app.backup;

import static org.assertj.core.api.Assertions.assertThatCode;

import fernwort.app.OwnCopy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The clock of the daily backups goes on whatever goes wrong once. */
class DailyBackupTest {

  @TempDir Path home;

  /** Beside the backups lies a file of somebody, called after a day that no calendar has. */
  @Test
  void whatNobodyThoughtOfEndsNothing() throws IOException {
    try (OwnCopy copy = OwnCopy.start(home.resolve("data"))) {
      Path backups = Files.createDirectories(home.resolve("data").resolve("backups"));
      Files.writeString(backups.resolve("2026-13-45.json.gz"), "");
      assertThatCode(() -> copy.bean(DailyBackup.class).make()).doesNotThrowAnyException();
    }
  }
}
