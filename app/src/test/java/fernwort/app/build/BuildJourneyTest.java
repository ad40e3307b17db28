package fernwort.app.build;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import fernwort.app.Axe;
import fernwort.app.Client;
import fernwort.app.InBrowser;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Building in the browser: from a ready layout to a sheet and a list; out and back again. */
@Order(1)
class BuildJourneyTest {

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  @Test
  void fromAReadyLayoutToADrillSheetAndABuyList() throws IOException {
    Page page = COPY.page();
    COPY.visit("/rigs/new");
    page.locator("button[value=one-tank]").first().click();
    String rig = page.url().replaceFirst(".*/rigs/", "").replaceFirst("/.*", "");
    page.locator("nav.rail a:has-text('Build')").click();
    assertThat(page.locator("h1")).containsText("Fittings");
    assertThat(page.locator("#told")).containsText("No mismatched fittings found");
    page.locator("nav.tabs a:has-text('Drilling')").click();
    assertThat(page.locator("main")).containsText("bulkhead with");
    String pdf = page.locator("a:has-text('True size, A4')").first().getAttribute("href");
    Client client = COPY.copy();
    assertThatAHundredMillimetresAreThat(client.bytes(pdf).body());
    page.locator("nav.tabs a:has-text('Shopping')").click();
    page.locator("input.price").first().fill("12,50");
    page.locator("input[type=checkbox]").nth(1).check();
    page.locator("#keep-list").click();
    assertThat(page.locator("#sum")).containsText("12.50");
    assertThat(page.locator("#boxed")).containsText("1 of ");
    String csv = client.get("/rigs/" + rig + "/build/buy/list.csv").body();
    assertThat(csv).startsWith("shop,what,needed,spare,buy,places,price each,bought");
    assertThat(csv).contains(",yes");
  }

  /** Reads the lines of the first page back and looks for one of 100 mm. */
  private static void assertThatAHundredMillimetresAreThat(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      PDPage page = document.getPage(0);
      assertThat(page.getMediaBox().getWidth() / 72 * 25.4).isCloseTo(210, within(0.01));
      List<Double> lengths = new ArrayList<>();
      List<Float> numbers = new ArrayList<>();
      double x = 0;
      double y = 0;
      for (Object token : new PDFStreamParser(page).parse()) {
        if (token instanceof COSNumber number) {
          numbers.add(number.floatValue());
        } else if (token instanceof Operator operator) {
          if (operator.getName().equals("m")) {
            x = numbers.get(0);
            y = numbers.get(1);
          } else if (operator.getName().equals("l") && numbers.get(1) == y) {
            lengths.add(Math.abs(numbers.get(0) - x) / 72 * 25.4);
          }
          numbers.clear();
        } else {
          numbers.clear();
        }
      }
      assertThat(lengths).anySatisfy(l -> assertThat(l).isCloseTo(100, within(0.01)));
    }
  }

  @Test
  void aPumpIsTakenOutAndPutBackOnAPhone() throws IOException {
    Page page = COPY.phone();
    COPY.visit("/rigs/marginalia/build/apart");
    page.locator("summary:has-text('Bench seat')").click();
    page.locator("label:has-text('Pump') input").check();
    page.locator("#plan").click();
    assertThat(page.locator("#before")).containsText("fuse");
    assertThat(page.locator("#joints tbody tr")).hasCount(2);
    assertThat(page.locator("#meanwhile")).containsText("Run the taps from mains water");
    String tags = page.locator("a:has-text('Tags for both ends')").getAttribute("href");
    assertThat(COPY.copy().get(tags).body()).contains("to Pump").contains("Pump");
    page.locator("#check").click();
    assertThat(page.locator("h1")).containsText("together right");
    assertThat(page.locator("#trial-1")).containsText("Pump is the wrong way round");
    assertThat(page.locator("#trial-2")).hasCount(0);
    int width = (Integer) page.evaluate("document.documentElement.scrollWidth");
    assertThat(width).isLessThanOrEqualTo(InBrowser.PHONE);
  }

  @Test
  void aJointThatDoesNotMateIsToldAndTakenBackByKeyboardAlone() {
    Page page = COPY.page();
    COPY.visit("/rigs/marginalia/build/ends/pump/out");
    page.locator("#f-port-form").focus();
    page.locator("#f-port-form").selectOption("1/2 NPT thread, male");
    page.locator("#f-line-form").selectOption("1/2 BSP parallel thread, female");
    page.locator("#keep-joint").focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("#told")).containsText("jams and leaks");
    assertThat(page.locator("#told")).containsText("Put between them");
    COPY.visit("/rigs/marginalia/rig");
    page.locator("#undo").click();
    assertThat(page.locator("#redo")).isEnabled();
    COPY.visit("/rigs/marginalia/build");
    assertThat(page.locator("#told")).not().containsText("jams and leaks");
  }

  @Test
  @Tag("sweep")
  void supportsAreTriedKeptAndToldWhenTheyDoNotHold() {
    Page page = COPY.page();
    COPY.visit("/rigs/samphire/build/hang");
    page.locator("input[name='support-tank-0-bolts']").fill("0");
    page.locator("input[name='support-tank-0-bolts']").blur();
    assertThat(page.locator("#hang-tank")).containsText("Fasteners do not hold");
    page.locator("input[name='support-tank-0-bolts']").fill("4");
    page.locator("input[name='support-tank-0-bolts']").blur();
    assertThat(page.locator("#hang-tank")).containsText("Fasteners hold");
    page.locator("button:has-text('Save the supports')").click();
    assertThat(page.locator("#was-done")).containsText("undo it under Rig");
    assertThat(page.locator("#hang-tank")).containsText("Fasteners hold");
    page.locator("input[name='hang-mass-tank']").fill("heavy");
    page.locator("input[name='hang-mass-tank']").blur();
    assertThat(page.locator("#hang-tank")).containsText("heavy");
  }

  @Test
  @Tag("sweep")
  void aJugTimedAtEachTapFitsTheModelWhereThePersonAgrees() {
    Page page = COPY.page();
    COPY.visit("/rigs/marginalia/build/commission");
    page.locator("input[name='hold-after']").fill("1 bar");
    page.locator("input[name='hold-after']").blur();
    assertThat(page.locator("#hold")).containsText("It drops more");
    page.locator("input[name='jug-sink']").fill("5");
    page.locator("input[name='jug-sink']").blur();
    assertThat(page.locator("#jugs")).containsText("Losses of fittings, fitted");
    COPY.visit("/rigs/marginalia/build/commission");
    page.locator("#take-fit").click();
    assertThat(page.locator("#was-done")).containsText("fitted losses");
    COPY.visit("/rigs/marginalia/rig");
    assertThat(page.locator("main")).containsText("Fitted losses");
  }

  @Test
  void thePagesOfBuildAreFitForAllAndForAPhone() {
    Page page = COPY.page();
    List<String> paths = List.of("build/hang", "build/apart?out=pump");
    for (String path : paths) {
      COPY.visit("/rigs/marginalia/" + path);
      assertThat(Axe.violations(page)).as(path).isEmpty();
    }
  }
}
