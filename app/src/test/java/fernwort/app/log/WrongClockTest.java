package fernwort.app.log;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/**
 * A clock that was ahead and was put back, or that is behind: what came last counts, and is told.
 */
class WrongClockTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private final Client copy = COPY.client();
  private String rig = "";

  @BeforeEach
  void own() {
    rig = COPY.rig("samphire");
  }

  private void read(double litres, Instant at) throws IOException {
    String body =
        "{\"kind\": \"reading\", \"tank\": \"tank\", \"litres\": %s, \"at\": \"%s\"}"
            .formatted(litres, at);
    assertThat(copy.change("POST", "/api/v1/rigs/" + rig + "/log", body).statusCode())
        .isBetween(200, 204);
  }

  private double level() throws IOException {
    JsonNode state = copy.json("/api/v1/rigs/" + rig + "/state");
    return 1000 * state.get("levels").get("tank").get("volume").asDouble();
  }

  private String shown(String page) throws IOException {
    return Client.words(copy.get("/rigs/" + rig + page).body());
  }

  @Test
  void whatComesLastCountsAndTheRestIsDatedBackOnOnePress() throws IOException {
    Instant now = Instant.now();
    read(14, now.plus(Duration.ofHours(20)));
    read(13, now.plus(Duration.ofHours(21)));
    assertThat(level()).isEqualTo(13);
    read(9, now);
    read(8, now);
    assertThat(level()).as("what was noted last").isEqualTo(8);
    assertThat(shown("/board")).contains("dated ahead of this machine’s clock");
    assertThat(shown("/log")).contains("What you note now is put after them");
    assertThat(copy.post("/rigs/" + rig + "/log/clock", "").statusCode()).isLessThan(400);
    assertThat(shown("/board")).doesNotContain("dated ahead");
    assertThat(level()).as("in the order in which it came").isEqualTo(8);
    read(5, Instant.now());
    assertThat(level()).isEqualTo(5);
    JsonNode log = copy.json("/api/v1/rigs/" + rig + "/log?kind=reading");
    for (JsonNode entry : log) {
      boolean stands = entry.get("standing").asString().equals("stands");
      assertThat(
              !stands || Instant.parse(entry.get("at").asString()).isBefore(now.plusSeconds(600)))
          .as(entry.toString())
          .isTrue();
    }
  }

  /** What is typed with a time of its own stands where its writer put it. */
  @Test
  void whatWasReadYesterdayIsNotMoved() throws IOException {
    Instant now = Instant.now();
    read(14, now.plus(Duration.ofHours(20)));
    read(6, now.minus(Duration.ofDays(1)));
    assertThat(level()).isEqualTo(14);
  }
}
