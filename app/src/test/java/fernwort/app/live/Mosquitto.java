package fernwort.app.live;

import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt5.Mqtt5BlockingClient;
import com.hivemq.client.mqtt.mqtt5.Mqtt5Client;
import java.io.IOException;
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

  /** A slow machine is no fault of what is waited for. */
  private static final long PATIENCE = TimeUnit.SECONDS.toNanos(60);

  private final Path home;
  private final int port;
  private final String more;
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
    this(home, "allow_anonymous true");
  }

  private Mosquitto(Path home, String more) throws IOException {
    this.home = home;
    this.more = more;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    broker = begin();
    if (more.startsWith("allow_anonymous true")) {
      board = connect();
    }
  }

  /** One that speaks TLS with a certificate of its own, and knows one user. */
  static Mosquitto secured(Path home, String user, String password) throws Exception {
    Path key = home.resolve("broker.key");
    Path passwords = home.resolve("passwords");
    say(
        "openssl",
        "req",
        "-x509",
        "-newkey",
        "rsa:2048",
        "-nodes",
        "-keyout",
        key.toString(),
        "-out",
        certificate(home).toString(),
        "-days",
        "2",
        "-subj",
        "/CN=broker",
        "-addext",
        "subjectAltName=IP:127.0.0.1");
    say("mosquitto_passwd", "-b", "-c", passwords.toString(), user, password);
    // The broker gives its rights away, and would not read what only their owner may.
    for (Path file : List.of(home, key, passwords, certificate(home))) {
      file.toFile().setReadable(true, false);
      file.toFile().setExecutable(Files.isDirectory(file), false);
    }
    return new Mosquitto(
        home,
        "allow_anonymous false\npassword_file %s\ncertfile %s\nkeyfile %s"
            .formatted(passwords, certificate(home), key));
  }

  static Path certificate(Path home) {
    return home.resolve("broker.pem");
  }

  private static void say(String... command) throws IOException, InterruptedException {
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String told = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    if (process.waitFor() != 0) {
      throw new IOException(command[0] + " says: " + told);
    }
  }

  public String url() {
    return "mqtt://127.0.0.1:" + port;
  }

  String securedUrl() {
    return "mqtts://127.0.0.1:" + port;
  }

  private Process begin() throws IOException {
    Path settings =
        Files.writeString(
            home.resolve("mosquitto.conf"), "listener " + port + " 127.0.0.1\n" + more + "\n");
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
