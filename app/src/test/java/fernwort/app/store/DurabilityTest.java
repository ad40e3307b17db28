package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.OwnCopy;
import fernwort.app.RunningCopy;
import fernwort.core.demo.DemoRig;
import fernwort.core.format.RigFormat;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What has been confirmed survives the process, however it ends. */
@Order(1)
class DurabilityTest {

  private static final RigFormat FORMAT = new RigFormat();
  private static final List<String> HANDLES =
      List.of("bypass", "heater-in", "heater-out", "mains-valve", "low-overflow-valve");

  @Tag("sweep")
  @Test
  void everyAcknowledgedChangeSurvivesKillingTheProcessAtAnyMoment(@TempDir Path data)
      throws IOException, InterruptedException {
    String rig = FORMAT.write(DemoRig.called("marginalia").rig());
    Random random = new Random(11);
    Map<String, String> acknowledged = new HashMap<>();
    double litres = -1;
    int changes = 0;
    RunningCopy copy = RunningCopy.start(data);
    assertThat(copy.change("POST", "/api/v1/rigs", rig).statusCode()).isEqualTo(201);
    Thread killer = killer(copy, 150 + random.nextInt(500));
    try {
      while (true) {
        if (changes > 0 && killer.getState() == Thread.State.NEW) {
          killer.start();
        }
        String handle = HANDLES.get(random.nextInt(HANDLES.size()));
        String position = random.nextBoolean() ? "open" : "shut";
        String turn = "{\"position\":\"" + position + "\"}";
        acknowledged.remove(handle); // Under way: either outcome is right.
        if (copy.change("PUT", "/api/v1/rigs/marginalia/handles/" + handle, turn).statusCode()
            == 200) {
          acknowledged.put(handle, position);
          changes++;
        }
        double amount = random.nextInt(120);
        litres = -1;
        String reading = "{\"amount\":" + amount + ",\"unit\":\"litres\"}";
        if (copy.change("PUT", "/api/v1/rigs/marginalia/tanks/main/reading", reading).statusCode()
            == 200) {
          litres = amount;
          changes++;
        }
      }
    } catch (IOException killed) {
      killer.join();
      copy.close();
    }
    assertThat(changes).as("changes confirmed before the kill").isPositive();
    try (RunningCopy again = RunningCopy.start(data)) {
      assertHolds(again, acknowledged, litres);
      assertStopsWithinThreeSecondsWithAStreamOpen(again);
    }
  }

  private static Thread killer(RunningCopy copy, int milliseconds) {
    return Thread.ofVirtual()
        .unstarted(() -> {
          try {
            TimeUnit.MILLISECONDS.sleep(milliseconds);
            copy.kill();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }

  private static void assertHolds(RunningCopy copy, Map<String, String> acknowledged, double litres)
      throws IOException {
    JsonNode state = copy.json("/api/v1/rigs/marginalia/state");
    acknowledged.forEach((handle, position) ->
        assertThat(state.at("/positions/" + handle).asString())
            .as("%s after the kill", handle)
            .isEqualTo(position));
    if (litres >= 0) {
      assertThat(state.at("/levels/main/volume").asDouble()).isEqualTo(litres / 1000);
    }
  }

  private static void assertStopsWithinThreeSecondsWithAStreamOpen(RunningCopy stopping)
      throws IOException, InterruptedException {
    HttpResponse<String> begun = stopping.post("/rigs/marginalia/rehearse", "");
    try (Socket reader = new Socket("127.0.0.1", URI.create(stopping.address()).getPort())) {
      reader
          .getOutputStream()
          .write(
              ("GET " + Client.where(begun) + "/stream HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n")
                  .getBytes());
      byte[] first = new byte[200];
      assertThat(reader.getInputStream().read(first)).isPositive();
      assertThat(stopping.stop()).as("seconds to stop").isLessThan(3);
    }
  }

  @Test
  @Tag("sweep")
  void aSecondCopyOnTheSameFolderSaysSoAndStops(@TempDir Path data)
      throws IOException, InterruptedException {
    try (OwnCopy first = OwnCopy.start(data)) {
      Process second = RunningCopy.launch(data);
      String said = new String(second.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(second.waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThat(second.exitValue()).isEqualTo(2);
      assertThat(said).contains("already runs").contains(data.toString()).doesNotContain("\tat ");
      assertThat(first.get("/rigs").statusCode()).isEqualTo(200);
    }
  }
}
