package fernwort.app.live;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import fernwort.app.Axe;
import fernwort.app.Chromium;
import fernwort.app.OwnCopy;
import fernwort.core.live.AlarmCode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** From an address typed in to a level that moves while one pours, in a real browser. */
class DevicesJourneyTest {

  @RegisterExtension static final Chromium CHROMIUM = new Chromium();

  @TempDir static Path home;
  private static OwnCopy copy;
  private static Mosquitto broker;

  @BeforeAll
  static void begin() throws IOException {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    copy = OwnCopy.start(home.resolve("data"));
    copy.add("tern");
    broker = new Mosquitto(home);
    broker.announce();
  }

  @AfterAll
  static void end() {
    if (broker != null) {
      copy.close();
      broker.close();
    }
  }

  @Test
  void aTankSensorIsFoundUsedAndSeenOnTodayAndAnAlarmComesByItself() throws Exception {
    try (BrowserContext desk = CHROMIUM.browser().newContext()) {
      Page page = desk.newPage();
      page.navigate(copy.address() + "/rigs/tern/devices");
      page.locator("#url").fill(broker.url());
      page.locator("form[action$='/broker'] .button-main").click();
      assertThat(page.locator("#device-signals")).containsText("Connected to " + broker.url());
      page.locator("li", new Page.LocatorOptions().setHasText("tank-board, fore, level"))
          .locator("a")
          .click();
      assertThat(page.locator("#topic")).hasValue("homie/tank-board/fore/level");
      assertThat(page.locator("#in")).hasValue("L");
      page.locator("#thing").selectOption("level|part|fore");
      page.locator("form[action$='/signals'] > button").click();
      assertThat(page.locator("#device-signals")).containsText("Level of Fore fresh");
      // Poured in with every handle closed: that is told too, and not what is looked at here.
      copy.bean(LiveDesk.class).switchAlarmsOff("tern", Set.of(AlarmCode.CONTRADICTION));
      broker.say("homie/tank-board/fore/level", "33");
      assertThat(page.locator("[data-signal='fore-level'] [data-live-value]")).hasText("33 L");

      page.navigate(copy.address() + "/rigs/tern/board");
      page.evaluate("() => { globalThis.sameTab = true; }");
      until(() -> {
        broker.say("homie/tank-board/fore/level", "55");
        return page.locator(".sheet #h-fore .tank-amount").textContent().startsWith("55 L");
      });
      assertThat(page.locator(".sheet #h-fore .tank-amount")).hasText(Pattern.compile("^55 L.*"));
      assertThat(page.locator(".sheet #h-fore .tank-age")).containsText("to full");

      copy.change(
          "PUT",
          "/api/v1/rigs/tern/live/signals/leak",
          "{\"kind\":\"leak\",\"tray\":\"tray\",\"topic\":\"van/leak\"}");
      broker.say("van/leak", "wet");
      assertThat(page.locator(".alarm")).containsText("Water at Leak tray");
      assertThat(Axe.violations(page)).isEmpty();
      assertThat(page).hasTitle(Pattern.compile("^\\(1!\\) .*"));
      assertThat((Boolean) page.evaluate("() => globalThis.sameTab === true")).isTrue();
      broker.say("van/leak", "dry");
      assertThat(page.locator(".alarm")).containsText("now gone");
      page.locator(".alarm button").first().click();
      assertThat(page.locator(".alarm")).hasCount(0);
      assertThat(page.locator("#was-done")).containsText("Seen: Water at Leak tray");
    }
  }

  @Test
  void aMotorIsBoundTriedAndADangerIsAskedAboutOnAPhoneByKeyboard() {
    try (BrowserContext phone =
        CHROMIUM.browser().newContext(new Browser.NewContextOptions().setViewportSize(390, 844))) {
      Page page = phone.newPage();
      copy.bean(LiveDesk.class).connect(broker.url(), null, null, null);
      page.navigate(copy.address() + "/rigs/tern/devices");
      page.locator("li", new Page.LocatorOptions().setHasText("tank-board, drain, valve"))
          .locator("a")
          .click();
      assertThat(page.locator("#command")).hasValue("homie/tank-board/drain/valve/set");
      page.locator("#thing").selectOption("position|part|frost-motor");
      page.locator("form[action$='/signals'] > button").focus();
      page.keyboard().press("Enter");
      assertThat(page.locator("#device-signals")).containsText("Position of Frost drain");
      page.locator("[data-signal='frost-motor-position'] button[value='open']").focus();
      page.keyboard().press("Enter");
      assertThat(page.locator("#was-done")).containsText("Frost drain was told to move");
      assertThat(until(() -> broker.heard("homie/tank-board/drain/valve/set").equals("open")))
          .isTrue();
      broker.say("homie/tank-board/drain/valve", "open");
      assertThat(page.locator("#device-signals")).containsText("reached");
      page.reload();
      assertThat(Axe.violations(page)).isEmpty();
      page.navigate(copy.address() + "/rigs/tern/rules");
      assertThat(page.locator("main")).containsText("No rule yet");
    }
  }
}
