package fernwort.app.live;

import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import fernwort.app.OwnCopy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** A broker with a certificate of its own that asks for a user: TLS both ways, the password too. */
class SecuredBrokerTest {

  @TempDir Path home;

  @Test
  @Tag("sweep")
  void onlyACertificateThatIsVouchedForAndTheRightPasswordConnect() throws Exception {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    assumeTrue(Files.isExecutable(Path.of("/usr/bin/openssl")), "there is no openssl here");
    Path keys = Files.createDirectory(home.resolve("keys"));
    home.toFile().setExecutable(true, false);
    try (Mosquitto broker = Mosquitto.secured(keys, "ida", "hush-4711")) {
      OwnCopy copy = OwnCopy.start(home.resolve("data"));
      try {
        String ca = Files.readString(Mosquitto.certificate(keys));
        assertThat(connect(copy, Map.of("url", broker.securedUrl(), "ca", "no certificate")))
            .isEqualTo(422);
        connect(copy, Map.of("url", broker.securedUrl(), "user", "ida", "password", "hush-4711"));
        assertThat(until(() -> !why(copy).isEmpty())).isTrue();
        assertThat(isConnected(copy)).isFalse();
        connect(
            copy, Map.of("url", broker.securedUrl(), "user", "ida", "password", "wrong", "ca", ca));
        assertThat(until(() -> why(copy).contains("NOT_AUTHORIZED"))).isTrue();
        connect(copy, Map.of("url", broker.securedUrl(), "user", "ida", "password", "hush-4711"));
        assertThat(until(() -> isConnected(copy))).isTrue();
        // In the clear to the same port: the broker wants TLS.
        connect(copy, Map.of("url", broker.url(), "user", "ida", "password", "hush-4711"));
        assertThat(until(() -> !why(copy).isEmpty())).isTrue();
        assertThat(isConnected(copy)).isFalse();
      } finally {
        copy.close();
      }
    }
  }

  private static int connect(OwnCopy copy, Map<String, String> broker) throws IOException {
    return copy.change(
            "PUT", "/api/v1/live/broker", JsonMapper.builder().build().writeValueAsString(broker))
        .statusCode();
  }

  private static String why(OwnCopy copy) {
    try {
      return copy.json("/api/v1/live").get("why").asString();
    } catch (IOException e) {
      return "";
    }
  }

  private static boolean isConnected(OwnCopy copy) {
    try {
      return copy.json("/api/v1/live").get("connected").asBoolean();
    } catch (IOException e) {
      return false;
    }
  }
}
