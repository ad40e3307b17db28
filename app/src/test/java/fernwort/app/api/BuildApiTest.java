package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import fernwort.core.demo.DemoRig;
import fernwort.core.rig.Built;
import java.io.IOException;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Building for programs. */
class BuildApiTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;
  private static String rig;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
    rig = "/api/v1/rigs/" + COPY.rig("marginalia");
  }

  private static JsonNode posted(String path, String body) throws IOException {
    HttpResponse<String> answer = copy.change("POST", rig + path, body);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    return JsonMapper.shared().readTree(answer.body());
  }

  @Test
  void endsHolesSupportsListsAndCutsAreThere() throws IOException {
    JsonNode ends = copy.json(rig + "/build/ends");
    assertThat(ends.get("ends").size()).isGreaterThan(100);
    assertThat(ends.get("ends").get(0).get("known").asBoolean()).isTrue();
    JsonNode drill = copy.json(rig + "/build/drill/main");
    assertThat(drill.get("faces").get(0).get("holes").get(0).get("diameter").asDouble())
        .isBetween(0.01, 0.1);
    JsonNode hang = copy.json(rig + "/build/hang/main");
    assertThat(hang.get("loads").get(0).get("used").asDouble()).isLessThan(1);
    assertThat(copy.json(rig + "/build/buy").size()).isGreaterThan(20);
    JsonNode cuts = copy.json(rig + "/build/cuts?stock=5");
    assertThat(cuts.get(0).get("sticks").size()).isPositive();
    assertThat(copy.get(rig + "/build/cuts?stock=0").statusCode()).isEqualTo(422);
    assertThat(copy.get(rig + "/build/drill/pump").body()).contains("not a tank");
  }

  /** Who buys by the inch is answered in what his shop has, whoever drew the rig. */
  @Test
  void endsHolesAndListsComeInTheSizesOfARegion() throws IOException {
    String bare = "/api/v1/rigs/" + COPY.add(DemoRig.called("tern").rig().with(Built.AS_USUAL));
    assertThat(copy.get(bare + "/build/ends?units=us").body())
        .contains("NPT thread", "NPSM thread", "crimp for 1/2 in PEX tube")
        .doesNotContain("BSP", "push-fit");
    assertThat(copy.get(bare + "/build/buy?units=us").body())
        .contains("NPT", "1/2 in")
        .doesNotContain("BSP");
    assertThat(copy.get(bare + "/build/ends?units=metric").body())
        .isEqualTo(copy.get(bare + "/build/ends").body())
        .contains("BSP parallel thread", "push-fit for 15 mm tube");
    assertThat(copy.get(bare + "/build/ends?units=ell").body()).contains("give metric or us");
  }

  @Test
  void aPumpComesOutAndItsCheckIsOneTrial() throws IOException {
    JsonNode apart = posted("/build/apart", "{\"out\":[\"pump\"]}");
    assertThat(apart.get("joints").size()).isEqualTo(2);
    JsonNode check = posted("/build/check", "{\"out\":[\"pump\"]}");
    assertThat(check.get("trials").size()).isEqualTo(1);
    assertThat(check.get("mistakes").asInt()).isEqualTo(1);
    assertThat(copy.change("POST", rig + "/build/apart", "{\"out\":[]}").body())
        .contains("Name the parts");
    assertThat(copy.change("POST", rig + "/build/apart", "{\"out\":[\"nothing\"]}").body())
        .contains("nothing");
  }

  @Test
  void timedJugsFitTheModel() throws IOException {
    JsonNode fit = posted("/build/fit", "{\"flows\":{\"sink\":0.00007}}");
    assertThat(fit.get("losses").get("times").asDouble()).isBetween(0.1, 8.1);
    assertThat(fit.get("pump").get("times").asDouble()).isEqualTo(1);
    assertThat(copy.change("POST", rig + "/build/fit", "{\"flows\":{\"pump\":1}}").statusCode())
        .isEqualTo(422);
    assertThat(copy.change("POST", rig + "/build/fit", "{}").body()).contains("timed flows");
  }

  @Test
  void whatIsBuiltComesOutInTheFileAndGoesInAgain() throws IOException {
    String file = copy.get(rig).body();
    assertThat(file).contains("\"built\"").contains("\"bulkhead\"").contains("\"shelf\"");
    String again = Client.where(copy.change("POST", "/api/v1/rigs", file));
    assertThat(copy.get(again).body()).isEqualTo(file);
    String broken = file.replace("\"bulkhead\"", "\"glue\"");
    assertThat(copy.change("POST", "/api/v1/rigs", broken).statusCode()).isEqualTo(422);
  }
}
