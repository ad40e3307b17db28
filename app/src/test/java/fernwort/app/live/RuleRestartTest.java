package fernwort.app.live;

import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import fernwort.app.OwnCopy;
import fernwort.app.store.LiveStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What was in the middle when Fernwort stopped, and what was told before. */
class RuleRestartTest {

  private static final String LIVE = "/api/v1/rigs/tern/live";

  @TempDir Path home;

  @Test
  @Tag("sweep")
  void aRuleThatWasInTheMiddleIsPutSafeAtTheNextStartAndWhatWasToldIsKept() throws Exception {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    try (Mosquitto broker = new Mosquitto(home)) {
      OwnCopy copy = OwnCopy.start(home.resolve("data"));
      copy.add("tern");
      prepare(copy, broker);
      copy.close();

      copy = OwnCopy.start(home.resolve("data"));
      try {
        assertThat(until(() -> broker.heard("van/fv/set").equals("CLOSE"))).isTrue();
        OwnCopy again = copy;
        assertThat(
                until(() ->
                    json(again, LIVE + "/alarms")
                        .valueStream()
                        .anyMatch(a -> a.get("code").asString().equals("RULE_BROKEN_OFF"))))
            .isTrue();
        assertThat(copy.bean(LiveStore.class).rules("tern").getFirst().doing()).isEmpty();
        JsonNode past = json(copy, LIVE + "/signals/fore/history");
        assertThat(past.size()).isGreaterThanOrEqualTo(5);
        assertThat(past.get(0).get("value").asDouble()).isBetween(0.04, 0.05);
        assertThat(copy.get(LIVE + "/signals/none/history").statusCode()).isEqualTo(404);
      } finally {
        copy.close();
      }
    }
  }

  private static void prepare(OwnCopy copy, Mosquitto broker) throws IOException {
    copy.change("PUT", "/api/v1/live/broker", "{\"url\":\"" + broker.url() + "\"}");
    copy.change(
        "PUT",
        LIVE + "/signals/fore",
        "{\"kind\":\"level\",\"part\":\"fore\",\"topic\":\"van/fore\",\"scale\":0.001}");
    copy.change(
        "PUT",
        LIVE + "/signals/fore-valve",
        "{\"kind\":\"position\",\"part\":\"fore-motor\",\"topic\":\"van/fv\",\"command\":"
            + "{\"topic\":\"van/fv/set\",\"payloads\":{\"open\":\"OPEN\",\"shut\":\"CLOSE\"}}}");
    copy.bean(LiveStore.class)
        .keep(
            "tern",
            new LiveStore.Rule(
                "fill",
                "live",
                "{\"when\":[{\"signal\":\"fore\",\"below\":0.01}],"
                    + "\"do\":[{\"turn\":\"fore-motor\",\"to\":\"open\"}],\"atMost\":60,"
                    + "\"onFailure\":[{\"turn\":\"fore-motor\",\"to\":\"shut\"}]}",
                "acting"));
    for (int litres = 40; litres < 50; litres++) {
      broker.say("van/fore", Integer.toString(litres));
    }
    assertThat(
            until(() -> {
              broker.say("van/fore", "49");
              return json(copy, LIVE + "/signals").get(0).get("raw").asDouble() > 0.0489;
            }))
        .isTrue();
    assertThat(broker.heard("van/fv/set")).isEmpty();
  }

  private static JsonNode json(OwnCopy copy, String path) {
    try {
      return copy.json(path);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
