package fernwort.app.live;

import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt5.Mqtt5BlockingClient;
import com.hivemq.client.mqtt.mqtt5.Mqtt5Client;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;

/** A real broker on a port of its own, and somebody who publishes to it as a board does. */
public final class Mosquitto implements AutoCloseable {

  private static final long PATIENCE = TimeUnit.SECONDS.toNanos(20);

  private final Path home;
  private final int port;
  private final Map<String, String> heard = new ConcurrentHashMap<>();
  private Process broker;
  private Mqtt5BlockingClient board;

  /** Tells whether there is one on this machine. */
  public static boolean isHere() {
    return program().isPresent();
  }

  private static java.util.Optional<Path> program() {
    return Stream.of("/usr/sbin/mosquitto", "/usr/bin/mosquitto", "/usr/local/sbin/mosquitto")
        .map(Path::of)
        .filter(Files::isExecutable)
        .findFirst();
  }

  public Mosquitto(Path home) throws IOException {
    this.home = home;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    broker = begin();
    board = connect();
  }

  public String url() {
    return "mqtt://127.0.0.1:" + port;
  }

  private Process begin() throws IOException {
    Path settings =
        Files.writeString(
            home.resolve("mosquitto.conf"),
            "listener " + port + " 127.0.0.1\nallow_anonymous true\n");
    Process started =
        new ProcessBuilder(program().orElseThrow().toString(), "-c", settings.toString())
            .redirectErrorStream(true)
            .redirectOutput(home.resolve("mosquitto.log").toFile())
            .start();
    until(() -> {
      try (Socket socket = new Socket("127.0.0.1", port)) {
        return socket.isConnected();
      } catch (IOException e) {
        return false;
      }
    });
    return started;
  }

  private Mqtt5BlockingClient connect() {
    Mqtt5BlockingClient client =
        Mqtt5Client.builder().serverHost("127.0.0.1").serverPort(port).buildBlocking();
    client.connect();
    client
        .toAsync()
        .subscribeWith()
        .topicFilter("#")
        .callback(m ->
            heard.put(
                m.getTopic().toString(), new String(m.getPayloadAsBytes(), StandardCharsets.UTF_8)))
        .send()
        .join();
    return client;
  }

  public void say(String topic, String payload) {
    say(topic, payload, false);
  }

  void say(String topic, String payload, boolean kept) {
    board
        .publishWith()
        .topic(topic)
        .qos(MqttQos.AT_LEAST_ONCE)
        .retain(kept)
        .payload(payload.getBytes(StandardCharsets.UTF_8))
        .send();
  }

  /** Returns what was said last under a topic, by whomever; empty for nothing. */
  String heard(String topic) {
    return heard.getOrDefault(topic, "");
  }

  /** A board that offers a level, a temperature and a valve by the Homie convention. */
  void announce() {
    List.of(
            "$homie=4.0.0",
            "$name=Tank board",
            "$state=ready",
            "$nodes=fore,drain",
            "fore/$properties=level",
            "fore/level/$datatype=float",
            "fore/level/$unit=L",
            "drain/$properties=valve",
            "drain/valve/$datatype=enum",
            "drain/valve/$settable=true",
            "drain/valve=shut")
        .forEach(line -> {
          int at = line.indexOf('=');
          say("homie/tank-board/" + line.substring(0, at), line.substring(at + 1), true);
        });
  }

  void stop() throws InterruptedException {
    broker.destroy();
    broker.waitFor();
  }

  void again() {
    try {
      broker = begin();
      board = connect();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Waits until something is so. */
  public static boolean until(BooleanSupplier holds) {
    long end = System.nanoTime() + PATIENCE;
    while (System.nanoTime() < end) {
      if (holds.getAsBoolean()) {
        return true;
      }
      try {
        Thread.sleep(50);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return false;
      }
    }
    return holds.getAsBoolean();
  }

  @Override
  public void close() {
    broker.destroyForcibly();
  }
}
