package fernwort.app.rehearse;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import fernwort.app.Axe;
import fernwort.app.InBrowser;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Rehearsing in a real browser, and the Workbench beside it. */
class RehearseJourneyTest {

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  private Page page;

  @BeforeEach
  void open() {
    page = COPY.page();
  }

  @Test
  void theSettingIsPlayedToItsFirstEventTakenBackAndNothingIsRecorded() {
    COPY.visit("/rigs/marginalia/board");
    page.locator("#rehearse-this").click();
    assertThat(page.locator("#from-here")).containsText("in 12 min 20 s");
    page.locator("#speed").selectOption("600");
    page.locator("#play").click();
    assertThat(page.locator("#stopped")).containsText("Gray is full to its vent at 12 min");
    assertThat(page.locator("#events")).containsText("Gray is full");
    // What follows is told from where it stopped.
    assertThat(page.locator("#from-here")).not().containsText("in 12 min");
    assertThat(page.locator("#from-here .answers-found")).containsText("Waste of Sink");
    assertThat(page.locator("#from-here .answers-found")).isVisible();
    assertThat(page.locator("[data-tank=main] .tank-amount")).not().containsText("74 L");
    page.locator("#to-start").click();
    assertThat(page.locator("[data-tank=main] .tank-amount")).containsText("74 L");
    COPY.visit("/rigs/marginalia/board");
    assertThat(page.locator("#h-main")).containsText("74 L");
  }

  @Test
  void aTapShutOnTheWayIsSetAndLevelsAreKeptWhenAsked() {
    COPY.visit("/rigs/tern/board");
    page.locator("#rehearse-this").click();
    page.locator("#s-sink").selectOption("cold");
    assertThat(page.locator("#rows")).containsText("Sink");
    page.locator("#speed").selectOption("60");
    page.locator("#play").click();
    assertThat(page.locator("#clock")).containsText("min");
    page.locator("#play").click();
    page.locator("button:has-text('Save these levels')").click();
    assertThat(page.locator("h1")).hasText("Tern");
    assertThat(page.locator(".now")).containsText("Sink");
  }

  @Test
  void onAPhoneItPlaysByButtonsAloneAndAxeFindsNothing() {
    page = COPY.use(new Browser.NewContextOptions().setViewportSize(390, 844));
    COPY.visit("/rigs/marginalia/board");
    page.locator("#rehearse-this").click();
    page.locator("#play").focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("#play")).hasText("Pause");
    assertThat(page.locator("#clock")).not().hasText("0 s");
    page.locator("#play").click();
    Object wide = page.evaluate("document.documentElement.scrollWidth");
    assertThat((Integer) wide).isLessThanOrEqualTo(390);
    assertThat(Axe.violations(page)).isEmpty();
  }

  /** A press that moves no focus, as by Space or on some phones, is not made again by the speed. */
  @Test
  void anotherSpeedLeavesARunPlaying() {
    COPY.visit("/rigs/marginalia/board");
    page.locator("#rehearse-this").click();
    assertThat(page.locator("#clock")).hasText("0 s");
    page.locator("h1").click();
    page.keyboard().press("Space");
    assertThat(page.locator("#play")).hasText("Pause");
    page.locator("#speed").selectOption("60");
    page.locator("#stopping").press("Space");
    assertThat(page.locator("#stopping")).not().isChecked();
    assertThat(page.locator("#clock")).containsText("min");
    assertThat(page.locator("#play")).hasText("Pause");
  }

  @Test
  @Tag("sweep")
  void withoutScriptsPlayIsHeardAllTheSame() {
    page = COPY.use(new Browser.NewContextOptions().setJavaScriptEnabled(false));
    COPY.visit("/rigs/marginalia/board");
    page.locator("#rehearse-this").click();
    page.locator("#speed").selectOption("600");
    page.locator("#play").click();
    assertThat(page.locator("#play")).hasText("Pause");
    assertThat(page.locator("#speed")).hasValue("600");
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(30);
    while (page.locator("#stopped").isHidden() && System.nanoTime() < end) {
      page.waitForTimeout(200);
      page.reload();
    }
    assertThat(page.locator("#stopped")).containsText("Gray is full to its vent at 12 min");
    assertThat(page.locator("#play")).hasText("Play");
    page.locator("#to-start").click();
    assertThat(page.locator("#clock")).hasText("0 s");
    assertThat(page.locator("#stopped")).isHidden();
  }

  @Test
  void theWorkbenchAnswersAndAxeFindsNothing() {
    for (String path : new String[] {"", "/slope"}) {
      COPY.visit("/rigs/marginalia/workbench" + path);
      assertThat(page.locator(".card").first()).isVisible();
      assertThat(Axe.violations(page)).as(path).isEmpty();
    }
    page.locator("#drive #f-drive").selectOption("1");
    assertThat(page.locator("#drive")).containsText("Across a town");
  }
}
