package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.Refusal;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
        .hasMessageContaining("cannot be written");
  }

  @Test
  void eachCommitWaitsForTheDisk() throws IOException {
    DataFolder folder = DataFolder.claim(home);
    assertThat(folder.databaseUrl()).contains("WRITE_DELAY=0").contains(home.toString());
    folder.release();
  }
}
