package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.say.Refusal;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataFolderTest {

  @TempDir Path home;

  @Test
  void aFolderIsMadeAndClaimedByOneCopyAtATime() throws IOException {
    Path folder = home.resolve("new").resolve("deep");
    DataFolder first = DataFolder.claim(folder);
    assertThat(folder).isDirectory();
    assertThatThrownBy(() -> DataFolder.claim(folder))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("already runs")
        .hasMessageContaining("--data");
    first.release();
    DataFolder.claim(folder).release();
  }

  @Test
  void aFileWhereTheFolderShouldBeIsNamed() throws IOException {
    Path file = Files.writeString(home.resolve("file"), "x");
    assertThatThrownBy(() -> DataFolder.claim(file))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("is a file");
  }

  @Test
  void aSecondCopyDoesNotStartWhereTheFolderOfTheFirstWasTakenAway() throws IOException {
    Path folder = home.resolve("on a stick");
    DataFolder first = DataFolder.claim(folder);
    Files.delete(folder.resolve("fernwort.lock"));
    Files.delete(folder);
    assertThatThrownBy(() -> DataFolder.claim(folder))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("already runs");
    first.release();
    DataFolder.claim(folder).release();
  }

  @Test
  void everythingInItBelongsToItsOwnerAlone() throws IOException {
    Path folder = Files.createDirectories(home.resolve("old").resolve("deep")).getParent();
    Files.writeString(folder.resolve("deep").resolve("left open"), "x");
    DataFolder claimed = DataFolder.claim(folder);
    assertThat(permissions(folder)).isEqualTo("rwx------");
    assertThat(permissions(folder.resolve("deep"))).isEqualTo("rwx------");
    assertThat(permissions(folder.resolve("deep").resolve("left open"))).isEqualTo("rw-------");
    claimed.release();
  }

  private static String permissions(Path file) throws IOException {
    return PosixFilePermissions.toString(Files.getPosixFilePermissions(file));
  }

  @Test
  void aNameThatTheDatabaseCannotTakeIsRefused() {
    assertThatThrownBy(() -> DataFolder.claim(home.resolve("a;b")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("semicolon");
  }
}
