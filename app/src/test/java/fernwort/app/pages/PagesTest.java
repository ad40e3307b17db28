package fernwort.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import fernwort.app.InBrowser;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Every page of the rail and its tabs, opened on a demo rig at both sizes: how much it says before
 * one scrolls, whether it shows a picture, and whether it answers before it asks. The table stands
 * in docs/pages.md; what is measured lies in app/target/pages.md after each run.
 */
class PagesTest {

  private static final Path DOCUMENT = Path.of("..", "docs", "pages.md");

  private static final Path NEW = Path.of("target", "pages.md");

  private static final String TABLE =
      "| page | words | height | picture | answer | fields before | phone: height | answer | act |\n"
          + "|---|---|---|---|---|---|---|---|---|\n";

  /** The pages of the rail and of the tabs, by their name. */
  static final Map<String, String> PAGES = new LinkedHashMap<>();

  static {
    PAGES.put("Today", "board");
    PAGES.put("Jobs", "jobs");
    PAGES.put("Log", "log");
    PAGES.put("How long", "log/budget");
    PAGES.put("Water runs", "log/hauls");
    PAGES.put("Maintenance", "log/upkeep");
    PAGES.put("Gauges", "log/gauges");
    PAGES.put("Winterize", "cold");
    PAGES.put("Residual water", "cold/left");
    PAGES.put("Tonight", "cold/tonight");
    PAGES.put("De-winterize", "cold/spring");
    PAGES.put("Days", "sizing");
    PAGES.put("Space", "sizing/space");
    PAGES.put("Weight", "sizing/weight");
    PAGES.put("Pump and lines", "sizing/pump");
    PAGES.put("Fittings", "build");
    PAGES.put("Drilling and mounting", "build/drill");
    PAGES.put("Shopping and cutting", "build/buy");
    PAGES.put("Remove and refit", "build/apart");
    PAGES.put("First fill", "build/commission");
    PAGES.put("Calculators", "workbench");
    PAGES.put("Rig", "rig");
  }

  /** More pages than this nobody finds his way about. */
  private static final int MOST_PAGES = 22;

  private static final int MOST_WORDS = 220;
  private static final double WORDS_ON_AVERAGE = 130;
  private static final int FEWEST_PICTURES = 16;

  /** A night on which something freezes (°C). */
  private static final int FROST = -4;

  /** A night on which nothing does (°C). */
  private static final int MILD = 8;

  private static final String MEASURE =
      """
      () => {
        const seen = r => r.bottom > 0 && r.top < innerHeight && r.right > 0 && r.left < innerWidth;
        const shown = e => e.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true });
        let words = 0;
        const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        for (let t = texts.nextNode(); t; t = texts.nextNode()) {
          const said = t.data.trim();
          if (!said || !shown(t.parentElement)) continue;
          const range = document.createRange();
          range.selectNodeContents(t);
          const r = range.getBoundingClientRect();
          if (r.width > 1 && r.height > 1 && seen(r)) words += said.split(/\\s+/).length;
        }
        const picture = [...document.querySelectorAll('main svg, main canvas, main img')]
          .filter(shown)
          .map(e => e.getBoundingClientRect())
          .some(r => Math.min(r.right, innerWidth) - Math.max(r.left, 0) >= 260
            && Math.min(r.bottom, innerHeight) - Math.max(r.top, 0) >= 160);
        const answer = [...document.querySelectorAll('[data-answer]')].filter(shown)[0];
        const at = answer ? answer.getBoundingClientRect() : null;
        const fields = [...document.querySelectorAll('main input, main select, main textarea')]
          .filter(e => e.type !== 'hidden' && shown(e))
          .map(e => e.getBoundingClientRect())
          .filter(r => at && r.bottom <= at.top + 1).length;
        const act = [...document.querySelectorAll(
          'main .button, main .tool, main [role=button], main button, main summary, main .job-link, main input')]
          .filter(shown)
          .some(e => seen(e.getBoundingClientRect()));
        return {
          words,
          height: document.documentElement.scrollHeight,
          picture,
          answer: at !== null,
          seen: at !== null && seen(at),
          fields,
          act,
          wide: document.documentElement.scrollWidth > innerWidth,
        };
      }
      """;

  /** What is worked out later has come. */
  static final String READY =
      """
      () => !document.querySelector('[data-patient]')
        && (!document.querySelector('#next') || document.querySelector('#next [data-answer]'))
      """;

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  /** What is measured of a page at one size. */
  private record Measured(
      int words, int height, boolean picture, boolean seen, int fields, boolean act, boolean wide) {

    static Measured of(Page page) {
      Map<?, ?> told = (Map<?, ?>) page.evaluate(MEASURE);
      return new Measured(
          ((Number) told.get("words")).intValue(),
          ((Number) told.get("height")).intValue(),
          (Boolean) told.get("picture"),
          (Boolean) told.get("seen"),
          ((Number) told.get("fields")).intValue(),
          (Boolean) told.get("act"),
          (Boolean) told.get("wide"));
    }
  }

  private static List<String> names(List<String> rows) {
    return rows.stream().map(row -> row.split("[|]")[1].strip()).toList();
  }

  private static Map<String, Measured> measured() {
    Map<String, Measured> all = new LinkedHashMap<>();
    PAGES.forEach((name, path) -> all.put(name, measured(path)));
    return all;
  }

  private static Measured measured(String path) {
    COPY.visit("/rigs/marginalia/" + path);
    COPY.page().waitForFunction(READY);
    return Measured.of(COPY.page());
  }

  private static void assertFitsADesk(String name, Measured at) {
    assertThat(at.words()).as(name + ": words in the first view").isLessThan(MOST_WORDS);
    assertThat(at.seen()).as(name + ": an answer in the first view").isTrue();
    assertThat(at.fields()).as(name + ": fields before the answer").isLessThan(2);
  }

  private static void assertFitsAPhone(String name, Measured at) {
    assertThat(at.wide()).as(name + ": wider than a phone").isFalse();
    assertThat(at.seen()).as(name + ": an answer in a phone's first view").isTrue();
    assertThat(at.act()).as(name + ": something to do in a phone's first view").isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"Today", "Tonight"})
  void aMildNightIsSaidInNoMoreThanAColdOne(String name) throws IOException {
    COPY.night("marginalia", MILD);
    assertFitsADesk(name, measured(PAGES.get(name)));
    COPY.phone();
    assertFitsAPhone(name, measured(PAGES.get(name)));
  }

  @Test
  void everyPageAnswersBeforeItAsksAndSaysLittleAtOnce() throws IOException {
    assertThat(PAGES).hasSizeLessThanOrEqualTo(MOST_PAGES);
    COPY.night("marginalia", FROST);
    Map<String, Measured> desk = measured();
    COPY.phone();
    Map<String, Measured> phone = measured();

    List<String> rows = new ArrayList<>();
    desk.forEach((name, at) -> {
      Measured hand = phone.get(name);
      rows.add(
          "| %s | %d | %d | %s | %s | %d | %d | %s | %s |"
              .formatted(
                  name,
                  at.words(),
                  at.height(),
                  at.picture() ? "yes" : "",
                  at.seen() ? "yes" : "",
                  at.fields(),
                  hand.height(),
                  hand.seen() ? "yes" : "",
                  hand.act() ? "yes" : ""));
    });
    String text = Files.readString(DOCUMENT);
    int table = text.indexOf(TABLE) + TABLE.length();
    Files.createDirectories(NEW.getParent());
    Files.writeString(NEW, text.substring(0, table) + String.join("\n", rows) + "\n");
    assertThat(names(text.substring(table).lines().toList()))
        .as("look at app/target/pages.md; if it is right, copy it to docs")
        .isEqualTo(names(rows));

    assertThat(desk).allSatisfy(PagesTest::assertFitsADesk);
    assertThat(phone).allSatisfy(PagesTest::assertFitsAPhone);
    assertThat(desk.values().stream().mapToInt(Measured::words).average().orElseThrow())
        .as("words in the first view, on average")
        .isLessThan(WORDS_ON_AVERAGE);
    assertThat(desk.values().stream().filter(Measured::picture).count())
        .as("pages with a picture in the first view")
        .isGreaterThanOrEqualTo(FEWEST_PICTURES);
  }
}
