package fernwort.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The pages in one hand. */
class PhoneJourneyTest {

  @RegisterExtension private static final InBrowser COPY = new InBrowser();

  /** What is tapped and less high than a finger; links within a sentence are as high as it. */
  private static final String TOO_SMALL =
      """
      () => [...document.querySelectorAll("main a, main button, main summary, main select, main input")]
        .filter((e) => !e.closest("svg") && e.type !== "hidden" && e.offsetParent !== null)
        .filter((e) => !e.matches("p > a:not(.button, .tool)"))
        .map((e) => (/checkbox|radio/.test(e.type) ? (e.closest("label") ?? e) : e))
        .filter((e) => e.getBoundingClientRect().height < 43.5)
        .map((e) => e.outerHTML.slice(0, 120))
      """;

  private Page page;

  @BeforeEach
  void open() {
    page = COPY.phone();
  }

  /** So many of these pages daily. */
  private static final int FEW = 10;

  @Test
  void whateverCanBeTappedIsAsHighAsAFingerAndNothingIsWiderThanThePhone() {
    List<String> wrong = new ArrayList<>();
    List<String> paths =
        List.of(
            "/rigs",
            "/rigs/new",
            "/rigs/marginalia/board",
            "/rigs/marginalia/jobs",
            "/rigs/marginalia/log",
            "/rigs/marginalia/log/budget",
            "/rigs/marginalia/log/hauls",
            "/rigs/marginalia/log/upkeep",
            "/rigs/marginalia/log/gauges",
            "/rigs/marginalia/devices",
            "/rigs/marginalia/devices/simulated",
            "/rigs/marginalia/fault?on=sink",
            "/rigs/marginalia/fault/proof?since=0&seen=wet~galley~wet~~",
            "/rigs/marginalia/practise",
            "/rigs/marginalia/practise/hand-over",
            "/rigs/marginalia/rules",
            "/rigs/marginalia/empty",
            "/rigs/marginalia/cold",
            "/rigs/marginalia/cold/left",
            "/rigs/marginalia/cold/tonight",
            "/rigs/marginalia/sizing",
            "/rigs/marginalia/build",
            "/rigs/marginalia/build/drill",
            "/rigs/marginalia/build/hang",
            "/rigs/marginalia/build/buy",
            "/rigs/marginalia/build/apart?out=pump",
            "/rigs/marginalia/build/commission",
            "/rigs/marginalia/rig?part=main",
            "/rigs/marginalia/rig?part=pump",
            "/rigs/samphire/rig?line=" + line());
    for (String path : Sampled.of(paths, FEW)) {
      COPY.visit(path);
      for (Object small : (List<?>) page.evaluate(TOO_SMALL)) {
        wrong.add(path + ": " + small);
      }
      int width = (Integer) page.evaluate("document.documentElement.scrollWidth");
      if (width > InBrowser.PHONE) {
        wrong.add(path + " is " + width + " wide");
      }
    }
    assertThat(wrong).isEmpty();
  }

  private String line() {
    COPY.visit("/rigs/samphire/rig");
    return page.locator("a.pick.pipe").first().getAttribute("href").replaceFirst(".*line=", "");
  }

  @Test
  void whatHappensNowIsSeenBesideTheHandleThatWasTurned() {
    COPY.visit("/rigs/marginalia/board");
    Locator handles = page.locator(".places .handle");
    Locator last = handles.nth(handles.count() - 1);
    last.scrollIntoViewIfNeeded();
    String id = last.getAttribute("id");
    String before = last.getAttribute("class");
    BoundingBox box = last.boundingBox();
    page.touchscreen().tap(box.x + box.width / 2, box.y + box.height / 2);
    Locator turned = page.locator(".places [id='" + id + "']");
    assertThat(turned).not().hasAttribute("class", before);
    assertThat(turned).isInViewport();
    assertThat(page.locator(".now-bar")).isInViewport();
    assertThat(page.locator(".now-bar")).not().isEmpty();
  }
}
