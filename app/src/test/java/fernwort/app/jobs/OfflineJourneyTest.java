package fernwort.app.jobs;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import fernwort.app.Chromium;
import fernwort.app.OwnCopy;
import fernwort.app.services.Descriptions;
import fernwort.app.store.RunStore;
import fernwort.app.units.Units;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A phone whose network goes away and comes back, and one that has only the pocket copy. */
class OfflineJourneyTest {

  @RegisterExtension static final Chromium CHROMIUM = new Chromium();

  @TempDir static Path home;
  private static OwnCopy copy;

  @BeforeAll
  static void begin() {
    copy = OwnCopy.start(home.resolve("data"));
    copy.add("samphire");
  }

  @AfterAll
  static void end() {
    copy.close();
  }

  private static String begun() {
    JobRuns runs = copy.bean(JobRuns.class);
    var rig = copy.bean(Descriptions.class).open("samphire");
    var book = copy.bean(fernwort.app.services.JobDesk.class).book(rig);
    String job =
        book.offered().stream()
            .filter(j -> JobView.fromRest(rig, book, j.id(), Units.METRIC).steps().size() > 1)
            .findFirst()
            .orElseThrow()
            .id();
    return runs.begin(rig, job, "ada");
  }

  @Test
  void withoutANetworkItOpensToTheLastSeenKeepsTicksAndNotesAndSendsThemWhenItIsBack() {
    String run = begun();
    String sheet = "/rigs/samphire/runs/" + run;
    int first = copy.bean(RunStore.class).steps(run).getFirst().seq();
    try (BrowserContext phone = CHROMIUM.browser().newContext()) {
      Page page = phone.newPage();
      page.navigate(copy.address() + "/rigs/samphire/board");
      page.waitForFunction("() => navigator.serviceWorker.controller !== null");
      page.navigate(copy.address() + sheet);
      page.navigate(copy.address() + "/rigs/samphire/log");
      page.waitForFunction(
          "async (path) => (await (await caches.open('pages-1')).match(path)) !== undefined",
          "/rigs/samphire/log");

      phone.setOffline(true);
      page.navigate(copy.address() + "/");
      assertThat(page.locator(".offline-bar[data-old]")).containsText("No network");
      assertThat(page.locator("#board")).isVisible();
      page.navigate(copy.address() + "/rigs/samphire/sizing");
      assertThat(page.locator("h1")).hasText("No network");
      page.navigate(copy.address() + sheet);
      String done = "form[action$='/steps/%d/done'] button".formatted(first);
      page.locator(done).click();
      assertThat(page.locator("#waiting")).containsText("1 change waits");
      assertThat(page.locator(done)).isDisabled();

      // Somebody else ticks the same step meanwhile, at a device with a network.
      copy.bean(JobRuns.class)
          .done(copy.bean(Descriptions.class).open("samphire"), run, first, false, "Jun");

      phone.setOffline(false);
      waitFor(() -> copy.bean(RunStore.class).steps(run).getFirst().note().contains("Also ticked"));
      var step = copy.bean(RunStore.class).steps(run).getFirst();
      assertThat(step.who()).isEqualTo("Jun");
      assertThat(step.note()).contains("Also ticked by");
      assertThat(page.locator("#waiting")).hasCount(0);
      assertThat(page.locator(".offline-bar")).hasCount(0);
      assertThat(page.locator("input[name=note]").first().inputValue()).contains("Also ticked by");
    }
  }

  private static void waitFor(java.util.function.BooleanSupplier holds) {
    for (int i = 0; i < 400 && !holds.getAsBoolean(); i++) {
      try {
        Thread.sleep(100);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  @Test
  void thePocketCopyWorksFromAFileAndItsNotesComeIntoTheLogUnderTheirName() throws Exception {
    Path file = Files.writeString(home.resolve("samphire.html"), pocket());
    assertThat(Files.size(file)).isLessThan(2_000_000);
    assertThat(Files.readString(file)).doesNotContain("src=\"", "href=\"/", "href=\"http", "url(/");
    Path notes = home.resolve("notes.csv");
    try (BrowserContext phone =
        CHROMIUM.browser().newContext(new Browser.NewContextOptions().setAcceptDownloads(true))) {
      phone.setOffline(true);
      Page page = phone.newPage();
      page.navigate(file.toUri().toString());
      assertThat(page.locator("#jobs details").first()).isVisible();
      page.locator("#jobs details summary").first().click();
      for (Locator tick :
          page.locator("#jobs details")
              .first()
              .locator(".pocket-way")
              .first()
              .locator(".pocket-tick")
              .all()) {
        tick.check();
      }
      page.locator("#who").fill("Ida");
      page.locator("#text").fill("=The tap drips, \"a bit\"");
      page.locator("#note button").click();
      page.locator("#litres").fill("12,5");
      page.locator("#level button").click();
      page.reload();
      assertThat(page.locator("#kept li")).hasCount(3);
      assertThat(page.locator("#jobs .pocket-tick").first()).isChecked();
      page.locator("#look").selectOption("dark");
      assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
      Download saved = page.waitForDownload(() -> page.locator("#save").click());
      saved.saveAs(notes);
    }
    try (BrowserContext desk = CHROMIUM.browser().newContext()) {
      Page page = desk.newPage();
      page.navigate(copy.address() + "/rigs/samphire/log/import");
      page.locator("#file").setInputFiles(notes);
      page.locator("main form button").last().click();
      assertThat(page.locator("#preview")).containsText("3 of 3 rows are new");
      assertThat(page.locator("#preview")).containsText("Ida: ");
      page.locator("#preview button").click();
      assertThat(page.locator("#added")).containsText("3 of 3 rows are new");
      page.navigate(copy.address() + "/rigs/samphire/log");
      assertThat(page.locator("main")).containsText("=The tap drips, \"a bit\"");
    }
  }

  private static String pocket() throws Exception {
    for (int i = 0; i < 5; i++) {
      var answer = copy.get("/rigs/samphire/pocket.html");
      if (answer.statusCode() == 200) {
        return answer.body();
      }
    }
    throw new AssertionError("no copy after five tries");
  }

  @Test
  void aBorrowersPackHoldsTheirJobsAndAfterItsDaySaysThatItIsOver() throws Exception {
    var rig = copy.bean(Descriptions.class).open("samphire");
    String job = copy.bean(fernwort.app.services.JobDesk.class).book(rig).offered().getFirst().id();
    copy.bean(fernwort.app.store.SettingStore.class).set("call:samphire", "Ada, 555 0100");
    String pack =
        copy.get("/rigs/samphire/hand-over.html?who=Ida&until=2026-01-31&jobs=" + job).body();
    assertThat(pack).contains("For Ida, until 31 January 2026.", "Ada, 555 0100");
    Path file = Files.writeString(home.resolve("pack.html"), pack);
    try (BrowserContext phone = CHROMIUM.browser().newContext()) {
      Page page = phone.newPage();
      page.navigate(file.toUri().toString());
      assertThat(page.locator(".pocket-job")).hasCount(1);
      assertThat(page.locator("#over")).isVisible();
      assertThat(page.locator("#who")).hasValue("Ida");
      assertThat(page.locator("#winter")).hasCount(0);
    }
    assertThat(
            copy.get("/rigs/samphire/hand-over.html?who=Ida&until=soon&jobs=" + job).statusCode())
        .isEqualTo(422);
    assertThat(Map.of("kept", copy.get("/rigs/samphire/pocket").body()).get("kept"))
        .contains("Ada, 555 0100", "Make the pack");
  }
}
