package fernwort.app.services;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A tank that ran dry and was filled again has air in its line, however the handles stand. */
class AiredLinesTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private final Client copy = COPY.client();
  private String rig = "";

  @BeforeEach
  void own() throws IOException {
    rig = Client.where(copy.post("/rigs/marginalia/copy", "")).split("/")[2];
    for (String turn :
        List.of("tank-selector main", "pump on", "heater-in open", "heater-out open")) {
      String[] handle = turn.split(" ");
      copy.change(
          "PUT",
          "/api/v1/rigs/" + rig + "/handles/" + handle[0],
          "{\"position\":\"%s\"}".formatted(handle[1]));
    }
  }

  private String plan() throws IOException {
    return copy.json("/api/v1/rigs/" + rig + "/jobs/run-main/plan").get("steps").toString();
  }

  private void reading(double litres, Duration ago) throws IOException {
    copy.change(
        "PUT",
        "/api/v1/rigs/" + rig + "/tanks/main/reading",
        "{\"amount\":%s,\"unit\":\"litres\",\"at\":\"%s\"}"
            .formatted(litres, Instant.now().minus(ago)));
  }

  @Test
  void whereTheTankNeverRanDryNothingHasToBeDone() throws IOException {
    reading(40, Duration.ofHours(3));
    reading(70, Duration.ofHours(1));
    assertThat(plan()).doesNotContain("PRESSURE");
  }

  @Test
  void whereItDidTheTapsAreRunThoughEveryHandleStandsRight() throws IOException {
    reading(1, Duration.ofHours(3));
    reading(70, Duration.ofHours(1));
    assertThat(plan()).contains("PRESSURE");
  }
}
