package fernwort.app.log;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import fernwort.app.Axe;
import fernwort.app.Client;
import fernwort.app.InBrowser;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The log in the browser: noted, corrected, learnt from, taken out and brought in. */
class LogJourneyTest {

  private static final Pattern GO = Pattern.compile("action=\"(/rigs/[^\"]+/log/import/[^\"]+)\"");

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  @Test
  void onAPhoneATankIsReadFilledAndAGuestComesAndTheForecastChanges() {
    String rig = "marginalia";
    Page page = COPY.phone();
    COPY.visit("/rigs/" + rig + "/log");
    page.locator("#read-main").fill("60");
    page.locator("#record-main").click();
    assertThat(page.locator("main")).containsText("Main fresh read: 60 L");
    String before = page.locator("#budget-ends").innerText();
    assertThat(before).startsWith("Fresh water ends");

    page.locator("#full-main").click();
    assertThat(page.locator("main")).containsText("Main fresh filled until full");
    String filled = page.locator("#budget-ends").innerText();
    assertThat(filled).isNotEqualTo(before);

    page.locator("#more-kinds > summary").click();
    page.locator("#more-kinds details:has(#people-PEOPLE) summary").click();
    page.locator("#people-PEOPLE").fill("5");
    page.locator("#note-form-people button").click();
    assertThat(page.locator("main")).containsText("5 people on board");
    assertThat(page.locator("#budget-ends").innerText()).isNotEqualTo(filled);

    page.locator("#until").fill("2030-01-01");
    page.locator("#budget form button").click();
    assertThat(page.locator("#budget-reach")).containsText("does not reach");
  }

  @Test
  void whatWasNotedWronglyIsCorrectedAndTakenBackByKeyboardAlone() {
    String rig = "samphire";
    Page page = COPY.page();
    COPY.visit("/rigs/" + rig + "/log");
    page.locator("#read-tank").focus();
    page.keyboard().type("19 L");
    page.keyboard().press("Enter");
    assertThat(page.locator("main")).containsText("read: 19 L");
    page.locator(".log-correct").first().focus();
    page.keyboard().press("Enter");
    page.locator("#amount-one").fill("9 L");
    page.locator("#amount-one").press("Enter");
    assertThat(page.locator("main")).containsText("read: 9 L");
    assertThat(page.locator("main")).containsText("(corrected)");
    page.locator("tr:not(.is-undone) .log-correct").first().focus();
    page.keyboard().press("Enter");
    page.locator("#take-back").focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("main")).containsText("(undone)");
  }

  @Test
  void nonsenseIsSaidAndNothingIsLost() {
    Page page = COPY.page();
    COPY.visit("/rigs/samphire/log");
    page.locator("#read-tank").fill("a lot");
    page.locator("#record-tank").click();
    assertThat(page.locator("body")).containsText("a lot");
    COPY.visit("/rigs/samphire/log/hauls?days=many");
    assertThat(page.locator("#haul-plan")).containsText("Days must be a number");
    COPY.visit("/rigs/samphire/log/hauls?days=9");
    assertThat(page.locator("#haul-plan")).containsText("cans in");
    assertThat(page.locator("#haul-plan")).containsText("Pouring it in takes");
    COPY.expectComplaint("422");
  }

  @Test
  void thePagesOfTheLogAreFitForAll() throws IOException {
    Page page = COPY.page();
    Client client = COPY.copy();
    bring(client, own("marginalia"), client.get("/rigs/marginalia/log.csv").body());
    for (String path : List.of("log/budget", "log/import")) {
      COPY.visit("/rigs/marginalia/" + path);
      assertThat(Axe.violations(page)).as(path).isEmpty();
    }
  }

  /** Returns the address of this test's own rig. */
  private static String own(String demo) {
    return COPY.own("/rigs/" + demo).substring("/rigs/".length());
  }

  private static HttpResponse<String> bring(Client client, String rig, String csv)
      throws IOException {
    String border = "fernwort-border";
    String body =
        "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"log.csv\"\r\n"
                .formatted(border)
            + "Content-Type: text/csv\r\n\r\n%s\r\n--%s--\r\n".formatted(csv, border);
    HttpResponse<String> looked =
        client.send(
            HttpRequest.newBuilder(
                    java.net.URI.create(client.address() + "/rigs/" + rig + "/log/import"))
                .header("Content-Type", "multipart/form-data; boundary=" + border)
                .header("X-XSRF-TOKEN", client.token())
                .POST(HttpRequest.BodyPublishers.ofString(body, StandardCharsets.UTF_8)));
    Matcher go = GO.matcher(looked.body());
    return go.find() ? client.post(go.group(1), "") : looked;
  }

  @Test
  void whatIsTakenOutAndBroughtInIsTheSameByteForByte() throws IOException {
    Client client = COPY.copy();
    String rig = own("marginalia");
    String csv = client.get("/rigs/marginalia/log.csv").body();
    assertThat(csv).startsWith("id,at,kind,part,volume (L),");
    // Into a rig of its own it comes as a copy, the second time it adds nothing.
    assertThat(bring(client, rig, csv).body()).contains("rows are new and were added");
    String copied = client.get("/rigs/" + rig + "/log.csv").body();
    assertThat(bring(client, rig, csv).body()).contains("Nothing new in it");
    assertThat(bring(client, rig, copied).body()).contains("Nothing new in it");
    assertThat(client.get("/rigs/" + rig + "/log.csv").body()).isEqualTo(copied);
    assertThat(copied.lines().count()).isGreaterThan(csv.lines().count() - 1);
    String known =
        csv.lines().filter(l -> l.contains("Friends for the weekend")).findFirst().orElseThrow();
    assertThat(copied).contains(known.substring(known.indexOf(',')));
  }

  @Test
  void aBadRowIsNamedByItsLineAndStopsAll() throws IOException {
    Client client = COPY.copy();
    String rig = own("samphire");
    String before = client.get("/rigs/" + rig + "/log.csv").body();
    String csv =
        """
        at,kind,part,volume (L)
        2026-05-04T08:00:00Z,reading,tank,12
        yesterday,reading,tank,11
        """;
    assertThat(bring(client, rig, csv).body()).contains("Line 3").contains("yesterday");
    assertThat(client.get("/rigs/" + rig + "/log.csv").body()).isEqualTo(before);
    String noTank = "at,kind,part,volume (L)\n2026-05-04T08:00:00Z,reading,heron,12\n";
    assertThat(bring(client, rig, noTank).body()).contains("Line 2").contains("heron");
  }

  @Test
  void aDoubtfulFillIsFollowedAndUpkeepIsDoneAndPutOff() {
    String rig = "marginalia";
    Page page = COPY.page();
    COPY.visit("/rigs/" + rig + "/log");
    page.locator("#full-main").click();
    page.locator(".log-correct").first().click();
    page.locator("#reached").click();
    assertThat(page.locator("#reached")).containsText("Main fresh");
    assertThat(page.locator("#reached")).containsText("Run ");
    COPY.visit("/rigs/" + rig + "/log/upkeep");
    assertThat(page.locator("[data-answer]")).hasText("Say once when these were last done.");
    page.locator("#last-all").fill("2020-01-31");
    COPY.load(page.locator("#asked button")::click);
    assertThat(page.locator("#asked")).hasCount(0);
    COPY.load(page.locator("#due-sediment button").first()::click);
    COPY.visit("/rigs/" + rig + "/log/upkeep");
    page.locator("#later > summary").click();
    assertThat(page.locator("#due-sediment")).containsText("by 20");
    page.locator("#due-main form[action*=chores] button").click();
    assertThat(page.locator("h1")).containsText("Sanitize");
    page.locator("#finish").click();
    assertThat(page.locator("#due-main")).containsText("by 20");
    page.locator("#due-leaks summary").click();
    page.locator("#due-leaks input[name=note]").fill("on tour");
    COPY.load(page.locator("#due-leaks details button")::click);
    COPY.visit("/rigs/" + rig + "/log/upkeep");
    assertThat(page.locator("#due-leaks")).containsText("put off: on tour");
  }

  @Test
  @Tag("sweep")
  void aGaugeIsCalibratedByJugsAndItsStickIsAMarkedScale() throws IOException {
    String rig = own("samphire");
    Client client = COPY.copy();
    String svg = client.get("/rigs/" + rig + "/log/gauges/tank/dipstick.svg").body();
    assertThat(svg).contains("100 mm, to check the printer").contains("mm\"");
    // The line to check the printer is 100 units of a picture whose unit is a millimetre.
    assertThat(svg).containsPattern("viewBox=\"0 0 ([0-9.]+) [0-9.]+\" width=\"\\1mm\"");
    assertThat(svg).contains("x1=\"10\" x2=\"110\"");
    Page page = COPY.page();
    COPY.visit("/rigs/marginalia/log/gauges");
    assertThat(page.locator("main")).containsText("three readings or more");
    // Written down as a form sends it: the fourth of eight steps stands for fifty litres here.
    String gauges = COPY.own("/rigs/marginalia/log/gauges");
    for (String row :
        List.of(
            "0-holds=0&cal-main-0-shows=0",
            "1-holds=50&cal-main-1-shows=4",
            "2-holds=110&cal-main-2-shows=8")) {
      client.post(gauges + "/gauges", "cal-main-" + row);
    }
    COPY.visit("/rigs/marginalia/log/gauges");
    assertThat(page.locator("#cal-main-answer")).containsText("A reading is off by");
    COPY.visit("/rigs/marginalia/log");
    page.locator("button[aria-label='Main fresh read: 4 steps']").click();
    assertThat(page.locator("main")).containsText("4 steps (50 L)");
  }
}
