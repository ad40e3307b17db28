package fernwort.app.guide;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.IsCheckedOptions;
import fernwort.app.Client;
import fernwort.app.InBrowser;
import java.io.IOException;

/** Somebody who answers questions in the browser; every answer and every tap is counted. */
abstract class Answering {

  private static final int MOST_TABS = 200;

  Page page;
  boolean byKeys;
  int answers;
  int taps;

  /** Returns the browser, of which each class of tests has its own. */
  abstract InBrowser browser();

  final void onPhone() {
    page = browser().phone();
  }

  /** Goes on by Tab until what is wanted has the focus, as somebody without a pointer does. */
  final void reach(String selector) {
    for (int i = 0; i < MOST_TABS; i++) {
      if ((Boolean) page.evaluate("s => document.activeElement.matches(s)", selector)) {
        return;
      }
      page.keyboard().press("Tab");
    }
    throw new AssertionError("never reached by Tab: " + selector);
  }

  /** Presses a key until something holds of what has the focus. */
  final void pressUntil(String key, String holds) {
    for (int i = 0; i < MOST_TABS; i++) {
      if ((Boolean) page.evaluate(holds)) {
        return;
      }
      page.keyboard().press(key);
    }
    throw new AssertionError(key + " never made it hold: " + holds);
  }

  /** Types into a field: one answer, and a tap to get into it. */
  final void type(String field, String text) {
    if (byKeys) {
      reach("[name='" + field + "']");
      page.keyboard().press("Control+A");
      page.keyboard().type(text);
    } else {
      page.locator("[name='" + field + "']").fill(text);
    }
    answers++;
    taps++;
  }

  /** Chooses from a list: a tap to open it and one to choose. */
  final void choose(String field, String value) {
    if (byKeys) {
      reach("select[name='" + field + "']");
      page.keyboard().press("Home");
      pressUntil("ArrowDown", "document.activeElement.value === '" + value + "'");
    } else {
      page.locator("select[name='" + field + "']").selectOption(value);
    }
    answers++;
    taps += 2;
  }

  final void tick(String field) {
    set(field, true);
  }

  final void untick(String field) {
    set(field, false);
  }

  final void set(String field, boolean on) {
    String box = "input[type=checkbox][name='" + field + "']";
    if (byKeys) {
      reach(box);
      page.keyboard().press("Space");
    } else {
      page.locator(box).setChecked(on);
    }
    assertThat(page.locator(box)).isChecked(new IsCheckedOptions().setChecked(on));
    answers++;
    taps++;
  }

  final void spot(String field, String value) {
    if (byKeys) {
      reach("input[type=radio][name='" + field + "']");
      pressUntil("ArrowRight", "document.activeElement.value === '" + value + "'");
    } else {
      page.locator("input[name='" + field + "'][value='" + value + "']").check();
    }
    answers++;
    taps++;
  }

  final void press(String text) {
    Locator button = page.locator("button:has-text('" + text + "')");
    if (byKeys) {
      reach("button[value='" + button.getAttribute("value") + "']");
      page.evaluate("window.leaving = true");
      page.keyboard().press("Enter");
      page.waitForFunction("() => !window.leaving");
    } else {
      button.click();
    }
    answers++;
    taps++;
  }

  /** Goes to the next page, which is no answer, but a tap. */
  final void goOn(String title) {
    if (byKeys) {
      reach("#next");
      page.keyboard().press("Enter");
    } else {
      page.locator("#next").click();
    }
    taps++;
    assertThat(page.locator("h1")).hasText(title);
  }

  final void begin(String name) {
    browser().visit("/rigs/new");
    if (byKeys) {
      reach("#called");
      page.keyboard().type(name);
      reach("#ask-me");
      page.keyboard().press("Enter");
    } else {
      page.locator("#called").fill(name);
      page.locator("#ask-me").click();
    }
    answers++;
    taps += 2;
    assertThat(page.locator("h1")).hasText("Vehicle");
  }

  /** The same van, its pages sent without a browser; returns the rig's address. */
  final String sent() throws IOException {
    Client copy = browser().copy();
    String rig =
        Client.where(copy.post("/rigs/new/guide", "name=Sent+" + System.nanoTime()))
            .replaceFirst("^https?://[^/]+", "")
            .replaceFirst("/guide/.*", "");
    String guide = rig + "/guide/";
    copy.post(guide + "tanks", "do=add-fresh");
    copy.post(guide + "tanks", "do=add-gray");
    copy.post(guide + "tanks", "do=next&t1-label=Fresh&t1-litres=95&t2-label=Gray&t2-litres=60");
    copy.post(
        guide + "fill",
        "do=next&t1-NECK=true&t1-MAINS=true&t1-neck-height=1300&inlet-height=900&check=true&shut-off=true");
    copy.post(guide + "suction", "do=next&piece-0=THREE_WAY&piece-1=STRAINER");
    copy.post(guide + "taps", "do=next&SINK-there=true&OUTSIDE-there=true");
    copy.post(guide + "lows", "do=next&cold=true");
    return rig;
  }

  final void visit(String path) {
    page.navigate(browser().copy().address() + path);
  }
}
