package fernwort.app.backup;

import static org.assertj.core.api.Assertions.assertThatCode;

import fernwort.app.OwnCopy;
import java.nio.file.Path;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The clock of the daily backups goes on whatever goes wrong once. */
class DailyBackupTest {

  @TempDir Path home;

  @Test
  void aStoreThatCannotBeReadEndsNothing() {
    try (OwnCopy copy = OwnCopy.start(home.resolve("data"))) {
      copy.bean(DSLContext.class).execute("drop all objects");
      assertThatCode(() -> copy.bean(DailyBackup.class).make()).doesNotThrowAnyException();
    }
  }
}
