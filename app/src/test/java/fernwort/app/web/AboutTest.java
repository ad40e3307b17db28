package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.SharedCopy;
import fernwort.app.Version;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What ships is told with its licence. */
class AboutTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final Pattern DEPENDENCY =
      Pattern.compile(
          "<artifactId>([^<]+)</artifactId>\\s*<version>([0-9][^<]*)</version>\\s*</dependency>");

  @Test
  void everyLibraryThatTheBuildNamesIsToldInItsVersion() throws IOException {
    List<String> told = About.libraries().stream().map(l -> l.version()).distinct().toList();
    assertThat(About.libraries()).hasSizeGreaterThan(70);
    assertThat(About.libraries()).allSatisfy(l -> assertThat(l.licence()).isNotBlank());
    List<String> built =
        DEPENDENCY
            .matcher(Files.readString(Path.of("pom.xml")))
            .results()
            .map(m -> m.group(2))
            .toList();
    assertThat(built).hasSizeGreaterThan(5);
    assertThat(told).containsAll(built);
  }

  @Test
  void thePageTellsTheVersionAndTheLettersHaveTheirOwnLicence() throws IOException {
    assertThat(COPY.client().get("/about").body())
        .contains(Version.NUMBER, "H2 Database Engine", "MPL 2.0");
    assertThat(COPY.client().get("/about/atkinson-hyperlegible-next").body())
        .contains("SIL Open Font License");
    assertThat(COPY.client().get("/about/somebody").statusCode()).isEqualTo(404);
    assertThat(COPY.client().get("/health").body()).contains("\"status\":\"ok\"");
    assertThat(COPY.client().get("/manifest.webmanifest").body()).contains("standalone");
  }
}
