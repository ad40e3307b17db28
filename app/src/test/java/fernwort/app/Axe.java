package fernwort.app;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Asks axe what on a page shuts somebody out; of what is right it keeps no account. */
public final class Axe {

  private static final String SCRIPT = script();
  private static final String RUN =
      """
      async rules => (await axe.run(document, {
        resultTypes: ['violations'],
        preload: false,
        ...(rules.length ? {runOnly: rules} : {}),
      })).violations.map(v => v.id + ': ' + v.help + ' '
        + v.nodes.slice(0, 5).map(n => n.target + ' ' + n.failureSummary).join('; '))
      """;

  /**
   * What stands behind a text is looked for among elements alone: where something generated is
   * drawn there as well, axe else gives no answer, and takes two to six times as long for it.
   */
  private static final String SET =
      "() => axe.configure({checks: [{id: 'color-contrast', options: {ignorePseudo: true}}]})";

  private Axe() {}

  private static String script() {
    try (InputStream in = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Returns what every rule finds on the page, in words. */
  public static List<?> violations(Page page) {
    return violations(page, List.of());
  }

  /** Returns what is too pale or too dark to read; other themes change nothing else. */
  public static List<?> contrast(Page page) {
    return violations(page, List.of("color-contrast"));
  }

  private static List<?> violations(Page page, List<String> rules) {
    if (!(boolean) page.evaluate("'axe' in window")) {
      page.evaluate(SCRIPT);
      page.evaluate(SET);
    }
    return (List<?>) page.evaluate(RUN, rules);
  }
}
