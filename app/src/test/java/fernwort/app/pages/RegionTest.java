package fernwort.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import fernwort.core.demo.DemoRig;
import fernwort.core.format.RigFormat;
import fernwort.core.rig.Built;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Who reads US gallons reads the words of the United States; names stay as they were typed. */
class RegionTest {

  private static final Pattern BRITISH =
      Pattern.compile("(?<![\\p{L}])(taps?|mains (water|pressure)|tyres?|kerb)(?![\\p{L}])", 2);

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static String page(String path, String units) throws IOException {
    String address = COPY.client().address() + path;
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(address)).header("Cookie", "fernwort-units=" + units);
    return COPY.client().send(request).body();
  }

  @Test
  void noPageTalksOfTapsToWhoReadsGallons() throws IOException {
    List<String> wrong = new ArrayList<>();
    int faucets = 0;
    for (String path : PagesTest.PAGES.values()) {
      String american = Client.words(page("/rigs/tern/" + path, "US%20gal"));
      faucets += american.split("(?i)faucet").length - 1;
      Matcher british =
          BRITISH.matcher(
              american.replaceAll("Drinking tap|Harbour tap|Shore to taps|[Tt]ap water", ""));
      while (british.find()) {
        wrong.add(path + ": " + around(american, british.group()));
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(faucets).as("faucets on all pages").isGreaterThan(20);
  }

  private static String around(String text, String word) {
    int at = text.indexOf(word);
    return text.substring(Math.max(0, at - 30), Math.min(text.length(), at + 30));
  }

  /** A name may be just such a word. */
  @ParameterizedTest
  @CsvSource({"Tap & tyre", "Tap", "Kerb side tap"})
  void aNameStaysAsItWasTyped(String name) throws IOException {
    String named =
        new RigFormat()
            .write(DemoRig.called("marginalia").rig())
            .replace("\"Shower\"", "\"" + name + "\"")
            .replace("Marginalia", "By the kerb");
    assertThat(named).contains(name);
    JsonNode made =
        JsonMapper.shared().readTree(COPY.client().change("POST", "/api/v1/rigs", named).body());
    String board = Client.words(page("/rigs/" + made.at("/id").asString() + "/board", "US%20gal"));
    assertThat(board).contains(name);
    assertThat(board.replace(name, "")).doesNotContain("tyre", "mains water");
  }

  /** What is not described is what the shops of the reader have. */
  @ParameterizedTest
  @CsvSource({"build", "build/buy", "build/drill", "build/apart?out=pump"})
  void whatIsBoughtHasTheSizesOfTheReader(String path) throws IOException {
    String bare = "/rigs/" + COPY.add(DemoRig.called("marginalia").rig().with(Built.AS_USUAL));
    String american = Client.words(page(bare + "/" + path, "in%2CUS%20gal"));
    assertThat(american.replaceAll("(?s)Thread sizes:.*", ""))
        .doesNotContain("BSP", "15 mm tube")
        .containsPattern("NPT|crimp| in hose");
    if (path.endsWith("drill")) {
      assertThat(american).contains("True size, Letter").containsPattern("saws [0-9].* in");
    }
    assertThat(Client.words(page(bare + "/" + path, "L"))).doesNotContain("NPT thread,", "crimp");
  }
}
