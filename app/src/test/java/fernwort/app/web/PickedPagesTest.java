package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What was picked or set is shown so: a template that compares ids with texts would not tell. */
class PickedPagesTest {

  @RegisterExtension private static final SharedCopy COPY = new SharedCopy();

  private static Document page(String address) throws IOException {
    return Jsoup.parse(COPY.client().get(address).body());
  }

  @Test
  void aTankToEmptyIsTicked() throws IOException {
    Document page = page("/rigs/" + COPY.rig("tern") + "/empty?tanks=fore");
    assertThat(page.select("input[name=tanks][checked]").eachAttr("value")).containsExactly("fore");
  }

  @Test
  void aPartThatComesOutIsMarked() throws IOException {
    Document page = page("/rigs/" + COPY.rig("tern") + "/build/apart?out=pump");
    assertThat(page.select("input[name=out][checked]").eachAttr("value")).containsExactly("pump");
    assertThat(page.select("g.order > title").eachText()).containsExactly("Pump: out");
  }

  @Test
  void aPartThatIsLookedAtIsPickedOnTheDrawing() throws IOException {
    Document page = page("/rigs/" + COPY.rig("tern") + "/fault?on=suction");
    assertThat(page.select("a.part.is-picked").eachAttr("aria-label"))
        .containsOnly("Pump draws from");
    assertThat(page.select("a.part.pick").size()).isGreaterThan(30);
  }

  @Test
  void aHandleOfARehearsalStandsAsItDoes() throws IOException {
    String rig = COPY.rig("tern");
    Client copy = COPY.client();
    String run = Client.where(copy.post("/rigs/" + rig + "/rehearse", ""));
    Document page = page(run.replaceFirst("https?://[^/]+", ""));
    assertThat(page.select("select[name=position]").size())
        .isPositive()
        .isEqualTo(page.select("select[name=position] option[selected]").size());
  }
}
