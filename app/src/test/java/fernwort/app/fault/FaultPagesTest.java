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
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.rig.State;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
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
            seen[seen.length - 1].replaceAll("&$", ""), StandardCharsets.UTF_8);
    return SeenText.read(last, rig.rig());
  }

  /** It is looked at once more, and goes into the log once. */
  private static void assertThatItIsProvenByHand(String id, Document end, String found)
      throws IOException {
    String seen =
        end.select("form[action$=begin] input[name=seen]").stream()
            .map(i -> "seen=" + URLEncoder.encode(i.val(), StandardCharsets.UTF_8))
            .collect(Collectors.joining("&"));
    var begun = copy.post("/rigs/" + id + "/fault/proof/begin", seen);
    String proof = begun.headers().firstValue("Location").orElseThrow();
    String form = proof.substring(proof.indexOf('?') + 1);
    assertThat(page("/rigs/" + id + "/fault/proof?" + form).text())
        .contains("Is it right again?", "Before it was");
    copy.post("/rigs/" + id + "/fault/proof/log", form);
    copy.post("/rigs/" + id + "/fault/proof/log", form);
    assertThat(page("/rigs/" + id + "/log").text().split("Found: " + found, -1)).hasSize(2);
  }

  @Test
  void whatIsPickedOnTheDrawingIsAskedAboutFirst() throws IOException {
    Document page = page("/rigs/tern/fault");
    for (String drawn : List.of(".to-pick-whole", ".to-pick-places")) {
      String sink = href(page.selectFirst(drawn + " a[aria-label=Sink]"));
      assertThat(page(sink).selectFirst("section.card").text())
          .contains("Sink: what do you see?", "no water", "it smells", "is wet");
    }
    String line = href(page.selectFirst(".to-pick-whole a[aria-label^=Line]"));
    assertThat(page(line).selectFirst("section.card a").text()).isEqualTo("is wet");
    assertThat(copy.get("/rigs/tern/fault?on=nothing").statusCode()).isEqualTo(422);
  }

  @ParameterizedTest
  @CsvSource({
    "tern, 'Sink, cold', no water, suction, MISPLACED, shut",
    "marginalia, Pump, starts now and then with all taps closed, pump, LEAKS_BACK,"
  })
  void theFaultIsFoundAndWrittenIntoTheLog(
      String id, String thing, String complaint, PartId on, FaultKind kind, PositionId position)
      throws IOException {
    OpenRig rig = copy.bean(Descriptions.class).open(id);
    State noted = copy.bean(States.class).of(rig).state();
    FaultFinder finder = copy.bean(FaultDesk.class).of(rig);
    Document first = page("/rigs/" + id + "/fault");
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
    assertThat(page.text()).contains("look again", "It is fixed");
    assertThatItIsProvenByHand(id, page, found);
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
