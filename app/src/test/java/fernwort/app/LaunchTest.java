package fernwort.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.say.Refusal;
import org.junit.jupiter.api.Test;
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
}
