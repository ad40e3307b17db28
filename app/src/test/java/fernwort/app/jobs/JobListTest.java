package fernwort.app.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The page of the jobs waits for none of them; the list that it asks for has looked at all. */
class JobListTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final String CHECKING = "Checking which of these jobs";
  private static final String UNFINISHED = "X-Unfinished";

  private static String cards(String page) {
    int from = page.indexOf("<div class=\"job-cards\"");
    return page.substring(from, page.indexOf("</section>", page.indexOf("De-winterize", from)));
  }

  @Test
  void theListSaysWhatIsInTheWayAsThePageDoesOnceAllHaveBeenLookedAt() throws IOException {
    String jobs = "/rigs/" + COPY.rig("marginalia") + "/jobs";
    HttpResponse<String> first = COPY.client().get(jobs);
    assertThat(first.body().contains(CHECKING))
        .as("a page that is kept is whole")
        .isEqualTo(first.headers().firstValue(UNFINISHED).isPresent());
    String list = COPY.client().get(jobs + "/list").body();
    assertThat(list).doesNotContain(CHECKING).contains("✓ set this way", "What this rig cannot do");
    HttpResponse<String> page = COPY.client().get(jobs);
    assertThat(cards(page.body())).isEqualTo(cards(list));
    assertThat(page.headers().firstValue(UNFINISHED)).isEmpty();
  }
}
