package fernwort.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.say.Refusal;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LaunchTest {

  private static Launch launch(String... args) {
    return Launch.from(args);
  }

  @Test
  void withoutOptionsItListensToThisMachineOnlyOnItsUsualFolder() {
    assertThat(launch().listen()).isEqualTo("127.0.0.1");
    assertThat(launch().port()).isEqualTo(8080);
    assertThat(launch().data()).isAbsolute().hasFileName(".fernwort");
    assertThat(launch().demo()).isFalse();
  }

  @Test
  void noVariableOrPropertyOfTheSurroundingsIsASetting() {
    assertThat(new OwnWords().getPropertySources()).isEmpty();
  }

  @Test
  void optionsAreTakenInAnyOrder() {
    Launch launch = launch("--demo", "--port", "9000", "--data", "x", "--listen", "::1");
    assertThat(launch.demo()).isTrue();
    assertThat(launch.port()).isEqualTo(9000);
    assertThat(launch.listen()).isEqualTo("::1");
    assertThat(launch.data()).isAbsolute();
  }

  @ParameterizedTest
  @CsvSource({
    "--prot 1, is not an option",
    "--port, needs a value",
    "--port 70000, from 0 to 65535",
    "--port many, not \"many\"",
    "--listen '', needs a value",
    "--certificate /no/such/file, needs a file that can be read",
    "--restore /no/such/file, needs a file that can be read"
  })
  void aWrongOptionIsNamedWithTheMend(String line, String sentence) {
    assertThatThrownBy(() -> launch(line.replace("''", " ").split(" ", 2)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(sentence);
  }

  @Test
  void theCommandLineGoesBeforeTheEnvironmentAndThatBeforeTheFile(@TempDir Path home)
      throws IOException {
    Path file =
        Files.writeString(
            home.resolve("fernwort.conf"),
            "# ours\nport = 8081\nhttps = yes\nlog-files = 9\nbackups-to = /media/stick\nhosts = water.example.org\n");
    Map<String, String> around = Map.of("FERNWORT_PORT", "8082", "FERNWORT_LISTEN", "::1");
    Launch all = Launch.from(words("--data", home.toString(), "--port", "8083"), around);
    assertThat(all.port()).as("the option").isEqualTo(8083);
    assertThat(all.listen()).as("the variable").isEqualTo("::1");
    assertThat(all.https()).as("the file in the data folder").isTrue();
    assertThat(all.logFiles()).isEqualTo(9);
    assertThat(all.hosts()).contains("water.example.org");
    assertThat(all.backupsTo()).contains(Path.of("/media/stick"));
    Launch named = Launch.from(words("--settings", file.toString()), around);
    assertThat(named.port()).isEqualTo(8082);
    assertThat(named.https()).isTrue();
    assertThat(launch("--data", home.resolve("other").toString()).https()).isFalse();
  }

  private static String[] words(String... words) {
    return words;
  }

  @Test
  void aWrongLineInTheSettingsIsNamed(@TempDir Path home) throws IOException {
    Path file = Files.writeString(home.resolve("wrong.conf"), "prot = 8081\n");
    assertThatThrownBy(() -> launch("--settings", file.toString()))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("has “prot”, which is not a setting")
        .hasMessageContaining("port, listen");
    Files.writeString(file, "https = perhaps\n");
    assertThatThrownBy(() -> launch("--settings", file.toString()))
        .hasMessageContaining("https needs yes or no, not \"perhaps\"");
  }

  @ParameterizedTest
  @CsvSource({
    "demo, SERVE",
    "start, SERVE",
    "doctor, DOCTOR",
    "passphrase, SET_PASSPHRASE",
    "help, HELP",
    "--version, VERSION",
    "backup x.json, BACK_UP"
  })
  void aCommandComesFirst(String line, Launch.Task task) {
    assertThat(launch(line.split(" ")).task()).isEqualTo(task);
  }

  /** What somebody would paste into a letter for help holds nothing private. */
  @Test
  void theDoctorSaysWhatAHelperNeedsAndNothingPrivate(@TempDir Path home) {
    Path data = home.resolve("data");
    assertThat(OwnCopy.say(data, "--doctor-is-a-command")).contains("is not an option");
    try (OwnCopy copy = OwnCopy.start(data)) {
      copy.add("tern");
      assertThat(OwnCopy.doctor(data)).contains("Fernwort runs on it");
    }
    String report = OwnCopy.doctor(data);
    assertThat(report)
        .contains(Version.NUMBER, "every part is as it was written", "listens on:")
        .containsPattern("rigs: +1")
        .containsPattern("passphrases set: +0")
        .doesNotContainIgnoringCase("tern,")
        .doesNotContain("Tern");
    assertThat(OwnCopy.doctor(home.resolve("none"))).contains("not there yet");
  }

  @Test
  void everySettingStandsInTheHelpAndInTheTableOfTheDocs() throws IOException {
    String help = Help.text();
    String docs = Files.readString(Path.of("../docs/settings.md"));
    for (Setting setting : Setting.values()) {
      assertThat(help).contains(setting.option());
      assertThat(docs)
          .contains("`" + setting.option(), "`" + setting.variable() + "`", "`" + setting.key());
    }
  }

  @Test
  void theVersionIsThatOfTheBuildAndInTheChangelog() throws IOException {
    assertThat(Files.readString(Path.of("../pom.xml")))
        .contains("<version>" + Version.NUMBER + "</version>");
    assertThat(Files.readString(Path.of("../CHANGELOG.md"))).contains("## " + Version.NUMBER);
  }
}
