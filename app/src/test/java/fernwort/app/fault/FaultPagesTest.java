package fernwort.app.fault;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.OwnCopy;
import fernwort.app.services.Descriptions;
import fernwort.app.services.FaultDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultFinder;
import fernwort.core.fault.Observation;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.rig.State;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A fault is hidden, and found by the page alone, one press after another. */
class FaultPagesTest {

  @TempDir static Path home;
  private static OwnCopy copy;

  @BeforeAll
  static void start() {
    copy = OwnCopy.start(home, "--demo");
  }

  @AfterAll
  static void stop() {
    copy.close();
  }

  private static Document page(String path) throws IOException {
    var answer = copy.get(path);
    assertThat(answer.statusCode()).isEqualTo(200);
    return Jsoup.parse(answer.body());
  }

  private static String href(Element link) {
    return link.attr("href");
  }

  /** What was asked last stands in the address of each answer. */
  private static Observation asked(Element answer, OpenRig rig) {
    String[] seen = href(answer).split("seen=");
    String last =
        java.net.URLDecoder.decode(
            seen[seen.length - 1].replaceAll("&$", ""), java.nio.charset.StandardCharsets.UTF_8);
    return SeenText.read(last, rig.rig());
  }

  @ParameterizedTest
  @CsvSource({
    "tern, 'Sink, cold', no water, suction, MISPLACED, shut",
    "tern, 'Sink, cold', little water, strainer, CLOGGED,",
    "samphire, Tank, falls by itself, , ,",
    "marginalia, Pump, starts now and then with all taps closed, pump, LEAKS_BACK,"
  })
  void theFaultIsFoundAndWrittenIntoTheLog(
      String id, String thing, String complaint, String on, FaultKind kind, String position)
      throws IOException {
    OpenRig rig = copy.bean(Descriptions.class).open(id);
    State noted = copy.bean(States.class).of(rig).state();
    FaultFinder finder = copy.bean(FaultDesk.class).of(rig);
    Document first = page("/rigs/" + id + "/fault");
    if (on == null) {
      assertThat(first.select("details summary").eachText()).contains("A tank");
      return;
    }
    Fault hidden = new Fault(on, kind, Optional.ofNullable(position));
    Element begin =
        first.select("details .signal-row").stream()
            .filter(r -> r.selectFirst(".row-name").text().equals(thing))
            .findFirst()
            .orElseThrow()
            .select("a")
            .stream()
            .filter(a -> a.text().equals(complaint))
            .findFirst()
            .orElseThrow();
    Document page = page(href(begin));
    int checks = 0;
    while (!page.select("a.button-main").isEmpty() && checks < 15) {
      checks++;
      Element press = null;
      for (Element answer : page.select("a.button-main")) {
        Observation look = asked(answer, rig);
        if (finder.see(hidden, look, noted).filter(look.value()::equals).isPresent()) {
          press = answer;
        }
      }
      page = page(href(press == null ? page.select("a.button-main").last() : press));
    }
    String found = page.selectFirst("section h2").text();
    assertThat(found).as(id + " after " + checks).contains(rig.rig().part(on).label());
    assertThat(page.text()).contains("look again", "It is right again: into the log");
  }

  @Test
  void whatTheRigDoesNotHaveIsRefusedWithASentence() throws IOException {
    assertThat(refused("{\"kind\":\"water\",\"part\":\"nothing\",\"value\":\"none\"}"))
        .contains("nothing");
    assertThat(refused("{\"kind\":\"smell\",\"part\":\"sink\",\"value\":\"none\"}"))
        .contains("smell", "water");
    assertThat(refused("{\"kind\":\"water\",\"part\":\"sink\",\"value\":\"lots\"}"))
        .contains("lots", "weak");
    assertThat(refused("{\"kind\":\"level\",\"part\":\"sink\",\"value\":\"falls\"}"))
        .contains("Sink");
    assertThat(refused("{\"part\":\"sink\"}")).contains("kind");
  }

  private static String refused(String observation) throws IOException {
    var answer =
        copy.change("POST", "/api/v1/rigs/tern/fault", "{\"observations\":[" + observation + "]}");
    assertThat(answer.statusCode()).as(observation).isEqualTo(422);
    return answer.body();
  }

  @Test
  void programsAreAskedAndToldTheSame() throws IOException {
    String body =
        "{\"positions\":{\"sink\":\"cold\"},\"observations\":[{\"kind\":\"water\",\"part\":\"sink\",\"value\":\"none\"}]}";
    var answer = copy.change("POST", "/api/v1/rigs/tern/fault", body);
    JsonNode found = tools.jackson.databind.json.JsonMapper.shared().readTree(answer.body());
    double all = 0;
    for (JsonNode likely : found.get("likely")) {
      all += likely.get("share").asDouble();
      assertThat(likely.get("words").asString()).isNotBlank();
    }
    assertThat(all).isBetween(0.5, 1.0001);
    assertThat(found.get("next").get("answers").size()).isGreaterThan(2);
    assertThat(found.get("next").get("words").asString()).isNotBlank();
  }
}
