package fernwort.app.live;

import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;

import com.hivemq.client.mqtt.mqtt3.Mqtt3Client;
import com.hivemq.client.mqtt.mqtt5.Mqtt5BlockingClient;
import com.hivemq.client.mqtt.mqtt5.Mqtt5Client;
import fernwort.app.OwnCopy;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The broker inside Fernwort, and a demo rig that is live over it. */
class OwnBrokerTest {

  @TempDir Path home;
  private OwnCopy copy;

  @BeforeEach
  void start() {
    copy = OwnCopy.start(home);
    copy.add("tern");
  }

  @AfterEach
  void stop() {
    copy.close();
  }

  private static int free() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    }
  }

  private LiveDesk desk() {
    return copy.bean(LiveDesk.class);
  }

  private static Mqtt5BlockingClient client(int port) {
    return Mqtt5Client.builder().serverHost("127.0.0.1").serverPort(port).buildBlocking();
  }

  @Test
  @Tag("sweep")
  void boardsOfBothVersionsReachFernwortOverIt() throws IOException {
    int port = free();
    desk().connect("own:" + port, null, null, null);
    assertThat(until(() -> desk().connection().connected())).isTrue();
    copy.change(
        "PUT",
        "/api/v1/rigs/tern/live/signals/fore",
        "{\"kind\":\"level\",\"part\":\"fore\",\"topic\":\"van/fore\",\"scale\":0.001}");
    Mqtt5BlockingClient five = client(port);
    five.connect();
    five.publishWith().topic("van/fore").payload("40".getBytes()).send();
    assertThat(until(() -> told() == 0.04)).isTrue();
    var three = Mqtt3Client.builder().serverHost("127.0.0.1").serverPort(port).buildBlocking();
    three.connect();
    three.publishWith().topic("van/fore").payload("41".getBytes()).send();
    assertThat(until(() -> told() == 0.041)).isTrue();
    // A topic of a board may begin as those of simulated rigs; and anybody may say nonsense there.
    copy.change(
        "PUT",
        "/api/v1/rigs/tern/live/signals/fore",
        "{\"kind\":\"level\",\"part\":\"fore\",\"topic\":\"sim/a\",\"scale\":0.001}");
    five.publishWith().topic("sim/a").payload("42".getBytes()).send();
    assertThat(until(() -> told() == 0.042)).isTrue();
    for (String said : new String[] {"nonsense", "{}", "{\"litres\":{\"nothing\":1}}"}) {
      five.publishWith().topic("sim/tern/now").payload(said.getBytes()).send();
      assertThat(until(() -> desk().simulated("tern").filter(said::equals).isPresent())).isTrue();
      assertThat(copy.get("/rigs/tern/devices/simulated").statusCode()).as(said).isEqualTo(200);
    }
    five.disconnect();
    three.disconnect();
    desk().connect("", null, null, null);
    assertThat(until(() -> refuses(port))).isTrue();
  }

  private double told() {
    return desk().signals("tern").getFirst().raw() instanceof Double value ? value : -1;
  }

  private static boolean refuses(int port) {
    try {
      client(port).connect();
      return false;
    } catch (RuntimeException refused) {
      return true;
    }
  }

  @Test
  void whoeverHasAUserNeedsItsPassword() throws IOException {
    int port = free();
    desk().connect("own:" + port, "ida", "hush-4711", null);
    assertThat(until(() -> desk().connection().connected())).isTrue();
    assertThat(refuses(port)).isTrue();
    Mqtt5BlockingClient known = client(port);
    known
        .connectWith()
        .simpleAuth()
        .username("ida")
        .password("hush-4711".getBytes())
        .applySimpleAuth()
        .send();
    assertThat(known.getState().isConnected()).isTrue();
    known.disconnect();
  }

  @Test
  void aTakenPortIsSaid() throws IOException {
    try (ServerSocket taken = new ServerSocket(0)) {
      desk().connect("own:" + taken.getLocalPort(), null, null, null);
      assertThat(until(() -> desk().connection().why().contains("another program may use it")))
          .isTrue();
    }
  }

  @Test
  void itIsOpenToTheNetworkOnlyWithFernwortAndAUser() {
    OwnBroker open = new OwnBroker(false);
    OwnBroker alone = new OwnBroker(true);
    var named = new fernwort.app.mqtt.HouseBroker.Guest("ida", "hush-4711");
    assertThat(open.listensOn(named)).isEqualTo("0.0.0.0");
    assertThat(alone.listensOn(named)).isEqualTo("127.0.0.1");
    assertThat(open.listensOn(new fernwort.app.mqtt.HouseBroker.Guest("", "")))
        .isEqualTo("127.0.0.1");
    assertThat(open.listensOn(new fernwort.app.mqtt.HouseBroker.Guest("ida", "")))
        .isEqualTo("127.0.0.1");
  }
}
