package fernwort.app.services;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** How long water lasts is one answer, and weather that nobody gave is not told. */
class OneForecastTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private final Client copy = COPY.client();

  private String rig() throws IOException {
    String at = Client.where(copy.post("/rigs/tern/copy", ""));
    return "/rigs/" + at.split("/")[2];
  }

  @Test
  void whatWasReadDaysAgoHasBeenUsedSince() throws IOException {
    String at = rig();
    Instant now = Instant.now();
    note(at, now.minus(Duration.ofHours(60)), "people", "\"people\":3,\"pets\":0");
    for (int day = 0; day < 3; day++) {
      for (String tank : new String[] {"fore", "arch", "aft"}) {
        reading(at, tank, 30 - 4 * day, now.minus(Duration.ofHours(54 - 20L * day)));
      }
    }
    Instant ends =
        Instant.parse(copy.json("/api/v1" + at + "/budget").at("/fresh/ends/expected").asString());
    double days = Duration.between(now, ends).toSeconds() / 86_400.0;
    assertThat(copy.json("/api/v1" + at + "/lasts").get("freshDays").asDouble())
        .isCloseTo(Math.max(0, days), within(0.02));
  }

  private void reading(String at, String tank, double litres, Instant when) throws IOException {
    assertThat(
            copy.change(
                    "PUT",
                    "/api/v1" + at + "/tanks/" + tank + "/reading",
                    "{\"amount\":%s,\"unit\":\"litres\",\"at\":\"%s\"}".formatted(litres, when))
                .statusCode())
        .isLessThan(300);
  }

  private void note(String at, Instant when, String kind, String more) throws IOException {
    assertThat(
            copy.change(
                    "POST",
                    "/api/v1" + at + "/log",
                    "{\"kind\":\"%s\",\"at\":\"%s\",%s}".formatted(kind, when, more))
                .statusCode())
        .isLessThan(300);
  }

  @Test
  void onlyTheDemosOwnRigsHaveWeatherAndItIsSaidToBeSimulated() throws IOException {
    String own = rig();
    assertThat(copy.get(own + "/next").body()).doesNotContain("Frost tonight");
    assertThat(copy.get(own + "/cold/reminders.ics").body()).doesNotContain("First frost");
    copy.post(
        own + "/cold/tonight",
        "card=tonight&night-inside=14&night-lowest=-9&night-evening=1&night-wind=3");
    assertThat(Client.words(copy.get(own + "/next").body()))
        .contains("Frost tonight, down to -9 °C")
        .doesNotContain("simulated");
    assertThat(copy.get("/rigs/tern/cold/reminders.ics").body()).contains("simulated");
  }

  @Test
  void aWinterizedRigIsAskedForNoWater() throws IOException {
    String at = rig();
    String sheet = Client.where(copy.post(at + "/cold/school/fall/begin", ""));
    int steps = copy.get(sheet).body().split("id=\"done-").length - 1;
    assertThat(steps).isPositive();
    for (int i = 0; i < steps; i++) {
      copy.post(sheet + "/ticks/" + i, "");
    }
    assertThat(Client.words(copy.get(at + "/next").body()))
        .doesNotContain("lasts until")
        .doesNotContain("Fill up");
  }
}
