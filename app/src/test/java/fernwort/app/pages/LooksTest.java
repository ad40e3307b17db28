package fernwort.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Axe;
import fernwort.app.InBrowser;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** No page of the rail and its tabs shuts anybody out, in any of the looks. */
@Tag("sweep")
class LooksTest {

  /** Of so many pages one is looked at in the dark and in the sun; a sweep looks at each. */
  private static final int EVERY = Integer.getInteger("sweep.looks", 4);

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  @Test
  void everyPageIsReadInEveryLook() {
    List<String> wrong = new ArrayList<>();
    List<String> names = List.copyOf(PagesTest.PAGES.keySet());
    for (int i = 0; i < names.size(); i++) {
      String name = names.get(i);
      COPY.visit("/rigs/marginalia/" + PagesTest.PAGES.get(name));
      COPY.page().waitForFunction(PagesTest.READY);
      Axe.violations(COPY.page()).forEach(v -> wrong.add(name + ": " + v));
      for (String look : i % EVERY == 0 ? List.of("dark", "sun") : List.<String>of()) {
        COPY.page().evaluate("look => document.documentElement.dataset.theme = look", look);
        Axe.contrast(COPY.page()).forEach(v -> wrong.add(name + ", " + look + ": " + v));
      }
    }
    assertThat(wrong).isEmpty();
  }
}
