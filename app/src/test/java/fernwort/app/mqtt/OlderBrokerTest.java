package fernwort.app.mqtt;

import static org.assertj.core.api.Assertions.assertThat;

import com.hivemq.client.mqtt.mqtt3.Mqtt3Client;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Brokers that speak nothing newer than MQTT 3.1.1, and how they say so. */
class OlderBrokerTest {

  private static final int VERSION_5 = 5;

  /** Nothing takes so long (s), on a machine that does much else. */
  private static final int LONG = 30;

  /** How an older broker takes a client of MQTT 5. */
  private enum Manner {
    /** It answers that it does not speak that version, as 3.1.1 lays down. */
    ANSWERS,
    /** It closes the connection without a word. */
    HANGS_UP
  }

  private HouseBroker house;
  private BusyPool beside;
  private int inside;

  @BeforeEach
  void start() throws IOException {
    inside = free();
    house = HouseBroker.start("127.0.0.1", inside, new HouseBroker.Guest("", ""));
    beside = new BusyPool();
  }

  @AfterEach
  void stop() {
    beside.close();
    house.close();
  }

  private static int free() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    }
  }

  /** Stands before a broker and lets through nobody who speaks MQTT 5. */
  private final class OlderDoor implements AutoCloseable {
    private final ServerSocket door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());

    OlderDoor(Manner manner) throws IOException {
      Thread.ofPlatform()
          .daemon()
          .start(() -> {
            while (!door.isClosed()) {
              try {
                Socket guest = door.accept();
                Thread.ofPlatform().daemon().start(() -> receive(guest, manner));
              } catch (IOException closed) {
                return;
              }
            }
          });
    }

    private void receive(Socket guest, Manner manner) {
      try (guest;
          Socket broker = new Socket(InetAddress.getLoopbackAddress(), inside)) {
        byte[] first = new byte[1024];
        int length = guest.getInputStream().read(first);
        // Fixed header of two or three bytes, a length of two, MQTT, and the version.
        int name = new String(first, 0, length, StandardCharsets.ISO_8859_1).indexOf("MQTT");
        if (first[name + 4] == VERSION_5) {
          if (manner == Manner.ANSWERS) {
            guest.getOutputStream().write(new byte[] {0x20, 2, 0, 1});
          }
          return;
        }
        broker.getOutputStream().write(first, 0, length);
        Thread.ofPlatform().daemon().start(() -> pass(broker, guest));
        pass(guest, broker);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    private void pass(Socket from, Socket to) {
      try {
        InputStream in = from.getInputStream();
        in.transferTo(to.getOutputStream());
      } catch (IOException ended) {
        // One of both has hung up.
      }
    }

    int port() {
      return door.getLocalPort();
    }

    @Override
    public void close() throws IOException {
      door.close();
    }
  }

  /** What computes in the pool that all share, on a page that takes long. */
  private static final class BusyPool {
    private final CountDownLatch enough = new CountDownLatch(1);

    BusyPool() {
      for (int i = 0; i < ForkJoinPool.getCommonPoolParallelism(); i++) {
        ForkJoinPool.commonPool().execute(this::compute);
      }
    }

    private void compute() {
      try {
        enough.await(LONG, TimeUnit.SECONDS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }

    void close() {
      enough.countDown();
    }
  }

  @ParameterizedTest
  @EnumSource
  void areSpokenToInTheirVersionWhateverIsComputedBeside(Manner manner) throws Exception {
    Heard heard = new Heard();
    HiveLink.Access access =
        new HiveLink.Access("", "", "fernwort-test", new HiveLink.Will("lost", "gone"), null);
    try (OlderDoor door = new OlderDoor(manner);
        Link link =
            new HiveLink(BrokerAddress.of("mqtt://127.0.0.1:" + door.port()), access, heard)) {
      link.subscribe(Set.of("van/litres"));
      link.open();
      assertThat(heard.connected.await(LONG, TimeUnit.SECONDS)).isTrue();
      Set<String> more = Set.of("van/leak");
      link.subscribe(more).get(LONG, TimeUnit.SECONDS);
      var board = Mqtt3Client.builder().serverHost("127.0.0.1").serverPort(inside).buildBlocking();
      board.connect();
      board.publishWith().topic("van/litres").payload("61.5".getBytes()).send();
      link.publish("van/leak", "wet", false);
      long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONG);
      while (heard.messages.size() < 2 && System.nanoTime() < until) {
        Thread.sleep(20);
      }
      assertThat(heard.messages).containsExactlyInAnyOrder("van/litres 61.5", "van/leak wet");
      link.unsubscribe(more);
      board.disconnect();
    }
  }
}
