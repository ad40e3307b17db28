package fernwort.app.rig;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Sheets, runs, rules and built records of yesterday meet a rig that was changed today. */
class ChangedUnderneathTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final int CHANGES = Boolean.getBoolean("sweep.cases") ? 40 : 6;

  private static final Pattern VERSION = Pattern.compile("name=\"version\"\\s+value=\"(\\d+)\"");

  private static final List<String> PAGES =
      List.of("/board", "/next", "/jobs", "/cold", "/cold/tonight", "/cold/left", "/log", "/rules");

  private final Client copy = COPY.client();

  @Test
  void everyPageAnswersWhateverIsAddedOrTakenOut() throws IOException {
    String rig = Client.where(copy.post("/rigs/tern/copy", "")).split("/")[2];
    String at = "/rigs/" + rig;
    String sheet = Client.where(copy.post(at + "/cold/school/fall/begin", ""));
    copy.post(sheet + "/ticks/0", "");
    copy.post(sheet + "/ticks/1", "");
    String run = Client.where(copy.post(at + "/jobs/drive/begin", ""));
    List<String> pages = new ArrayList<>(PAGES.stream().map(p -> at + p).toList());
    pages.add(sheet);
    pages.add(run);
    for (int i = 0; i < CHANGES; i++) {
      String change = change(at, i);
      for (String page : pages) {
        HttpResponse<String> answer = copy.get(page);
        assertThat(answer.statusCode()).as(page + " after " + change).isEqualTo(200);
      }
    }
  }

  /** By turns a valve is put into a line, an inlet is added, and a part is taken out. */
  private String change(String at, int number) throws IOException {
    JsonNode rig = copy.json("/api/v1" + at);
    String form = "version=" + version(at);
    HttpResponse<String> done;
    String what;
    if (number % 3 == 0) {
      JsonNode line = rig.get("lines").get(number % rig.get("lines").size());
      what = "a valve in " + line.get("id").asString();
      done =
          copy.post(
              at + "/rig/add",
              form
                  + "&at=line:"
                  + line.get("id").asString()
                  + "&what=valve&add-label=Late+"
                  + number
                  + "&towards="
                  + line.at("/to/part").asString()
                  + "."
                  + line.at("/to/port").asString());
    } else if (number % 3 == 1) {
      what = "an inlet";
      String place = rig.get("places").get(0).get("id").asString();
      done =
          copy.post(
              at + "/rig/add",
              form + "&at=place:" + place + "&what=inlet&add-label=Inlet+" + number);
    } else {
      JsonNode part = rig.get("parts").get(5 * number % rig.get("parts").size());
      what = "without " + part.get("id").asString();
      done = copy.post(at + "/rig/parts/" + part.get("id").asString() + "/remove", form);
    }
    assertThat(done.statusCode()).as(what).isLessThan(500);
    return what;
  }

  private String version(String at) throws IOException {
    Matcher version = VERSION.matcher(copy.get(at + "/rig").body());
    assertThat(version.find()).isTrue();
    return version.group(1);
  }
}
