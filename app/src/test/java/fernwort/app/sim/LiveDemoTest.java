package fernwort.app.sim;

import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.OwnCopy;
import fernwort.app.live.LiveAnswers;
import fernwort.app.live.LiveDesk;
import fernwort.core.id.PositionId;
import fernwort.core.live.AlarmCode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.function.Predicate;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The demo with one rig live: from nothing to an alarm, and a valve that does not arrive. */
class LiveDemoTest {

  @TempDir Path home;

  private static boolean signal(OwnCopy copy, String name, Predicate<LiveAnswers.SignalNow> such) {
    return copy.bean(LiveDesk.class).signals("tern").stream()
        .anyMatch(s -> s.name().equals(name) && such.test(s));
  }

  /** The finder begins from the sensor, and the job that proves the repair is ticked by it. */
  private static void assertThatTheRepairProvesItself(OwnCopy copy, LiveDesk live)
      throws IOException {
    Element wet =
        Jsoup.parse(copy.get("/rigs/tern/fault").body())
            .selectFirst("details:contains(Your sensors tell) a");
    String seen = wet.attr("href").replaceAll(".*seen=", "seen=");
    assertThat(copy.get(wet.attr("href")).body()).contains("What you saw");
    HttpResponse<String> begun = copy.post("/rigs/tern/fault/proof/begin", seen);
    String proof = begun.headers().firstValue("Location").orElseThrow();
    String form = proof.substring(proof.indexOf('?') + 1);
    assertThat(Client.words(copy.get(proof.replaceAll("^https?://[^/]+", "")).body()))
        .contains("Is it right again?", "watches it")
        .doesNotContain("Gone, says");
    live.tellSimulated("tern", "mishap/leak", "");
    assertThat(until(() -> Client.words(watched(copy, form)).contains("Gone, says your sensor")))
        .isTrue();
    watched(copy, form);
    assertThat(Client.words(copy.get("/rigs/tern/log").body()).split("Found: ", -1)).hasSize(2);
  }

  private static String watched(OwnCopy copy, String form) {
    try {
      return copy.post("/rigs/tern/fault/proof/watch", form).body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void aSimulatedRigIsThereAndCanBeMadeToGoWrong() throws IOException {
    OwnCopy copy = OwnCopy.start(home, "--demo", "--simulated");
    try {
      LiveDesk live = copy.bean(LiveDesk.class);
      assertThat(until(() -> signal(copy, "fore-level", s -> s.state().equals("live")))).isTrue();
      assertThat(until(() -> live.simulated("tern").isPresent())).isTrue();
      assertThat(copy.get("/rigs/tern/devices/simulated").body())
          .contains("A line leaks", "Fore fresh", "day 1");
      assertThat(copy.get("/rigs/samphire/devices/simulated").body())
          .contains("No simulated rig speaks");
      live.tellSimulated("tern", "mishap/leak", "d5");
      assertThat(
              until(() -> live.alarms("tern").stream().anyMatch(a -> a.code() == AlarmCode.LEAK)))
          .isTrue();
      assertThatTheRepairProvesItself(copy, live);
      live.command("tern", "aft-motor", "open", false, "ida");
      assertThat(until(() -> signal(copy, "aft-motor-position", s -> "open".equals(s.value()))))
          .isTrue();
      // Somebody notes a handle: on a made-up rig that turns it.
      copy.bean(fernwort.app.services.States.class)
          .turn(
              copy.bean(fernwort.app.services.Descriptions.class).open("tern"),
              "sink",
              PositionId.of("cold"),
              "ida");
      assertThat(
              until(() -> signal(copy, "d4-flow", s -> s.value() instanceof Double v && v > 3e-5)))
          .isTrue();
    } finally {
      copy.close();
    }
  }
}
