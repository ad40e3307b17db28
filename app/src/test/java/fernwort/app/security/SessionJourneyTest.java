package fernwort.app.security;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import fernwort.app.Chromium;
import fernwort.app.OwnCopy;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A session that ends while somebody works: it says so, keeps what was typed, and goes on. */
class SessionJourneyTest {

  private static final String WORDS = "long wet fern";

  @RegisterExtension static final Chromium CHROMIUM = new Chromium();

  @TempDir static Path data;
  private static OwnCopy copy;

  @BeforeAll
  static void start() {
    QuickHash.set(data, WORDS);
    copy = OwnCopy.start(data, "--listen", "0.0.0.0", "--plain-http");
    copy.add("marginalia");
    copy.add("tern");
  }

  @AfterAll
  static void stop() {
    copy.close();
  }

  private static Page known(BrowserContext context, String path) {
    Page page = context.newPage();
    page.navigate(copy.address().replace("0.0.0.0", "127.0.0.1") + path);
    page.getByLabel("Passphrase of this copy").fill(WORDS);
    page.keyboard().press("Enter");
    page.waitForURL(java.util.regex.Pattern.compile(".*" + path + "([?].*)?"));
    // What the page loads by itself has come: else it is that which asks for the passphrase first.
    page.waitForLoadState(LoadState.NETWORKIDLE);
    return page;
  }

  private static void giveAgain(Page page) {
    assertThat(page.locator("#ask")).isVisible();
    assertThat(page.locator("#ask-words")).containsText("Nobody has used this page");
    page.locator("#ask-passphrase").fill("not this one");
    page.keyboard().press("Enter");
    assertThat(page.locator("#ask-wrong")).containsText("not the passphrase");
    page.locator("#ask-passphrase").fill(WORDS);
    page.keyboard().press("Enter");
    assertThat(page.locator("#ask")).isHidden();
  }

  @Test
  void aTurnIsMadeOnceThePassphraseIsGivenAgain() {
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = known(context, "/rigs/marginalia/board");
      page.locator("#board").waitFor();
      context.clearCookies();
      page.locator("#h-bypass .target").click();
      giveAgain(page);
      assertThat(page.locator("#board")).containsText("Last change");
      assertThat(page.locator("body")).not().containsText("Passphrase of this copy");
      page.reload();
      assertThat(page.locator("#board")).containsText("Last change");
    }
  }

  @Test
  void twoTurnsAreMadeOnceThePassphraseIsGivenAgain() {
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = known(context, "/rigs/marginalia/board");
      page.locator("#board").waitFor();
      List<String> handles = List.of("h-bypass", "h-pump");
      List<?> before = handles.stream().map(handle -> position(page, handle)).toList();
      context.clearCookies();
      page.evaluate(
          "ids => ids.forEach(id => document.getElementById(id).querySelector('.target')"
              + ".dispatchEvent(new MouseEvent('click', {bubbles: true, cancelable: true})))",
          handles);
      giveAgain(page);
      for (int i = 0; i < handles.size(); i++) {
        page.waitForFunction(
            "([id, before]) => document.getElementById(id).getAttribute('aria-label') !== before",
            List.of(handles.get(i), before.get(i)));
      }
    }
  }

  /** How a handle stands, as the drawing says it. */
  private static Object position(Page page, String handle) {
    return page.locator("#" + handle).getAttribute("aria-label");
  }

  @Test
  void whatWasTypedIntoAFormIsSentAfterwards() {
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = known(context, "/rigs/tern/cards");
      page.getByLabel("Who is it for?").fill("Ada with the long name");
      context.clearCookies();
      page.getByText("Make the card").click();
      giveAgain(page);
      assertThat(page.locator("h2").first()).containsText("Ada with the long name");
    }
  }

  /** A phone that was lent keeps no pages once its user has logged out. */
  @Test
  void whoLogsOutLeavesNoPagesOnTheDevice() {
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = known(context, "/rigs/marginalia/board");
      page.waitForFunction(
          "async () => (await caches.keys()).length > 0 && (await Promise.all((await"
              + " caches.keys()).map(async n => (await (await caches.open(n)).keys()).length)))"
              + ".some(n => n > 1)");
      page.navigate(copy.address().replace("0.0.0.0", "127.0.0.1") + "/rigs");
      page.locator("button:has-text(\"Log out\")").click();
      assertThat(page.locator("#forgot")).isVisible();
      Object kept =
          page.evaluate(
              "async () => { for (const n of await caches.keys()) for (const k of await (await"
                  + " caches.open(n)).keys()) if (k.url.includes('/rigs/')) return k.url;"
                  + " return ''; }");
      org.assertj.core.api.Assertions.assertThat(kept).isEqualTo("");
    }
  }

  /** A cookie that comes late would log out whoever has given the passphrase meanwhile. */
  @Test
  void whatAPageAsksForByItselfIsAnsweredWithoutACookie() throws Exception {
    HttpRequest open = HttpRequest.newBuilder(at("/rigs/tern/board")).build();
    assertThat(cookies(open)).as("who opens a page is led back to it").hasSize(1);
    for (String header : List.of("X-Script", "HX-Request")) {
      assertThat(
              cookies(HttpRequest.newBuilder(open, (n, v) -> true).header(header, "true").build()))
          .as(header)
          .isEmpty();
    }
    assertThat(
            cookies(
                HttpRequest.newBuilder(open, (n, v) -> true)
                    .header("Sec-Fetch-Mode", "cors")
                    .build()))
        .isEmpty();
    for (String path : List.of("/rigs/tern/handles/pump", "/api/v1/rigs/tern/log", "/login")) {
      HttpRequest change =
          HttpRequest.newBuilder(at(path)).POST(HttpRequest.BodyPublishers.ofString("")).build();
      assertThat(cookies(change)).as(path).isEmpty();
    }
  }

  private static URI at(String path) {
    return URI.create(copy.address().replace("0.0.0.0", "127.0.0.1") + path);
  }

  /** The cookies that somebody without any is given. */
  private static List<String> cookies(HttpRequest request) throws Exception {
    try (HttpClient stranger = HttpClient.newHttpClient()) {
      HttpResponse<Void> answer = stranger.send(request, HttpResponse.BodyHandlers.discarding());
      assertThat(answer.statusCode()).isIn(302, 401);
      return answer.headers().allValues("Set-Cookie");
    }
  }

  /** A level waits on the device; a form that cannot wait stays as it was typed. */
  @Test
  void withoutANetworkWhatWasTypedIsKept() {
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = known(context, "/rigs/marginalia/log");
      page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
      page.reload();
      Locator read = page.locator("input[name=amount][size]").first();
      context.setOffline(true);
      read.fill("31");
      read.press("Enter");
      assertThat(page.locator("#waiting"))
          .containsText("1 change waits on this device to be sent: Main fresh 31 L");
      assertThat(page.locator(".offline-bar[data-old]")).isVisible();
      // With the network back the page sends it and comes anew by itself.
      context.setOffline(false);
      assertThat(page.locator("#waiting")).hasCount(0);
      assertThat(page.locator("main")).containsText("31 L");

      page.navigate(copy.address().replace("0.0.0.0", "127.0.0.1") + "/rigs/marginalia/cards");
      context.setOffline(true);
      page.getByLabel("Who is it for?").fill("Ada with the long name");
      page.getByText("Make the card").click();
      assertThat(page.locator("#notice")).containsText("Fernwort does not answer");
      assertThat(page.getByLabel("Who is it for?")).hasValue("Ada with the long name");
    }
  }

  @Test
  void oneCanLogOutByKeyboard() {
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = known(context, "/rigs");
      page.getByText("Log out").last().focus();
      page.keyboard().press("Enter");
      assertThat(page.locator("main")).containsText("You have logged out");
    }
  }
}
