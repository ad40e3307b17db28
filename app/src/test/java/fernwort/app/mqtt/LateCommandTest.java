package fernwort.app.mqtt;

import static org.assertj.core.api.Assertions.assertThat;

import com.hivemq.client.mqtt.MqttGlobalPublishFilter;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt5.Mqtt5BlockingClient;
import com.hivemq.client.mqtt.mqtt5.Mqtt5Client;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Commands to what is away: none of them arrives later. */
class LateCommandTest {

  private static final long LONG = 30;
  private static final String VALVE = "van/valve/set";

  private HouseBroker house;
  private Cable cable;
  private Link link;
  private int port;
  private final Heard heard = new Heard();

  /** A way to the broker that can be cut without either end being told. */
  private static final class Cable implements AutoCloseable {
    private final ServerSocket door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
    private final ReentrantLock out = new ReentrantLock();

    Cable(int to) throws IOException {
      thread(() -> {
        while (!door.isClosed()) {
          try {
            Socket guest = door.accept();
            Socket broker = new Socket(InetAddress.getLoopbackAddress(), to);
            thread(() -> pass(guest, broker));
            thread(() -> pass(broker, guest));
          } catch (IOException closed) {
            return;
          }
        }
      });
    }

    private static void thread(Runnable work) {
      Thread.ofPlatform().daemon().start(work);
    }

    private void pass(Socket from, Socket to) {
      byte[] some = new byte[4096];
      try (from;
          to) {
        InputStream in = from.getInputStream();
        OutputStream toThere = to.getOutputStream();
        for (int length = in.read(some); length > 0; length = in.read(some)) {
          out.lock();
          try {
            toThere.write(some, 0, length);
          } finally {
            out.unlock();
          }
        }
      } catch (IOException ended) {
        // One of both has hung up.
      }
    }

    void cut() {
      out.lock();
    }

    void join() {
      out.unlock();
    }

    @Override
    public void close() throws IOException {
      door.close();
    }
  }

  @BeforeEach
  void start() throws Exception {
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    house = HouseBroker.start("127.0.0.1", port, new HouseBroker.Guest("", ""));
    cable = new Cable(port);
    link =
        new HiveLink(
            BrokerAddress.of("mqtt://127.0.0.1:" + cable.door.getLocalPort()),
            new HiveLink.Access("", "", "fernwort-test", new HiveLink.Will("lost", "gone"), null),
            heard);
    link.open();
    assertThat(heard.connected.await(LONG, TimeUnit.SECONDS)).isTrue();
  }

  @AfterEach
  void stop() throws IOException {
    link.close();
    cable.close();
    house.close();
  }

  /** A box with a motor, which the broker remembers while it is away. */
  private Mqtt5BlockingClient box(List<String> told) {
    Mqtt5BlockingClient box =
        Mqtt5Client.builder()
            .identifier("box")
            .serverHost("127.0.0.1")
            .serverPort(port)
            .buildBlocking();
    box.toAsync()
        .publishes(
            MqttGlobalPublishFilter.ALL,
            m -> told.add(new String(m.getPayloadAsBytes(), StandardCharsets.UTF_8)));
    box.connectWith().cleanStart(false).sessionExpiryInterval(3600).send();
    box.subscribeWith().topicFilter(VALVE).qos(MqttQos.AT_LEAST_ONCE).send();
    return box;
  }

  private static boolean hears(List<String> told, String what) throws InterruptedException {
    long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONG);
    while (!told.contains(what) && System.nanoTime() < until) {
      Thread.sleep(20);
    }
    return told.contains(what);
  }

  @Test
  void nothingIsSentOverACableThatIsOutNorAfterItIsInAgain() throws Exception {
    List<String> told = new CopyOnWriteArrayList<>();
    Mqtt5BlockingClient box = box(told);
    assertThat(link.command(VALVE, "shut")).isTrue();
    assertThat(hears(told, "shut")).isTrue();
    cable.cut();
    try {
      assertThat(link.command(VALVE, "open")).isFalse();
      assertThat(link.command(VALVE, "open")).as("asked again at once").isFalse();
    } finally {
      cable.join();
    }
    long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONG);
    while (!link.command(VALVE, "half") && System.nanoTime() < until) {
      Thread.sleep(100);
    }
    assertThat(hears(told, "half")).isTrue();
    assertThat(told).containsExactly("shut", "half");
    box.disconnect();
  }

  @Test
  void aBoxThatWasAwayIsNotToldWhenItIsBack() throws Exception {
    List<String> told = new CopyOnWriteArrayList<>();
    box(told).disconnect();
    link.command(VALVE, "open");
    Thread.sleep(TimeUnit.SECONDS.toMillis(Wire.HOLDS) + 500);
    Mqtt5BlockingClient back = box(told);
    assertThat(link.command(VALVE, "shut")).isTrue();
    assertThat(hears(told, "shut")).isTrue();
    assertThat(told).containsExactly("shut");
    back.disconnect();
  }
}
