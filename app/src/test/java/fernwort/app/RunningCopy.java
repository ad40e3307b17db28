package fernwort.app;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.cert.X509Certificate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A real copy of Fernwort in a process of its own, spoken to over HTTP. */
public final class RunningCopy implements AutoCloseable {

  private static final JsonMapper JSON = new JsonMapper();

  private final Process process;
  private final String address;
  private HttpClient client = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
  private JsonNode token = JSON.nullNode();

  private RunningCopy(Process process, String address) {
    this.process = process;
    this.address = address;
  }

  /** Starts a copy and waits until it says its address. */
  public static RunningCopy start(Path data, String... options) throws IOException {
    return await(launch(data, options));
  }

  /** Waits until a copy says its address. */
  public static RunningCopy await(Process process) throws IOException {
    BufferedReader out =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    StringBuilder said = new StringBuilder();
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      said.append(line).append('\n');
      if (line.startsWith("Fernwort is at ")) {
        return new RunningCopy(process, line.split(" ")[3]);
      }
    }
    throw new IllegalStateException("it did not start:\n" + said);
  }

  /** Starts a copy without waiting for it; its errors come with its output. */
  public static Process launch(Path data, String... options) throws IOException {
    return builder(data, options).start();
  }

  /** Does something with a data folder and returns what is said of it. */
  public static String say(Path data, String... options) throws IOException, InterruptedException {
    Process process = launch(data, options);
    process.getOutputStream().close();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    process.waitFor(60, TimeUnit.SECONDS);
    return said;
  }

  /** Prepares a copy, whose surroundings can be changed. */
  public static ProcessBuilder builder(Path data, String... options) {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "fernwort.app.Fernwort",
                "--port",
                "0",
                "--data",
                data.toString()));
    command.addAll(List.of(options));
    return new ProcessBuilder(command).redirectErrorStream(true);
  }

  /** Returns the address. */
  public String address() {
    return address;
  }

  /** Asks and returns the answer. */
  public HttpResponse<String> get(String path) throws IOException {
    return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
  }

  /** Asks for a file. */
  public HttpResponse<byte[]> bytes(String path) throws IOException {
    try {
      return client.send(
          HttpRequest.newBuilder(URI.create(address + path)).GET().build(),
          HttpResponse.BodyHandlers.ofByteArray());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  /** Returns the token that changes need. */
  public String token() throws IOException {
    if (token.isNull()) {
      token = json("/api/v1/token");
    }
    return token.get("token").asString();
  }

  /** Asks for JSON. */
  public JsonNode json(String path) throws IOException {
    return JSON.readTree(get(path).body());
  }

  /** Makes a change with the token that changes need. */
  public HttpResponse<String> change(String verb, String path, String body) throws IOException {
    String sent = token();
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .header(token.get("header").asString(), sent)
            .method(verb, HttpRequest.BodyPublishers.ofString(body)));
  }

  /** Sends any request. */
  public HttpResponse<String> send(HttpRequest.Builder request) throws IOException {
    try {
      return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  /** Asks it to end, as Ctrl+C does, and returns how long it takes (s). */
  public double stop() throws InterruptedException {
    long start = System.nanoTime();
    process.destroy();
    process.waitFor(60, TimeUnit.SECONDS);
    return (System.nanoTime() - start) / 1e9;
  }

  /** Trusts whatever certificate it shows, as somebody does who made it. */
  public RunningCopy trusting() throws java.security.GeneralSecurityException {
    javax.net.ssl.SSLContext context = javax.net.ssl.SSLContext.getInstance("TLS");
    context.init(null, new javax.net.ssl.TrustManager[] {new Trusting()}, null);
    client = HttpClient.newBuilder().cookieHandler(new CookieManager()).sslContext(context).build();
    return this;
  }

  private static final class Trusting extends javax.net.ssl.X509ExtendedTrustManager {
    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type) {}

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type) {}

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type, Socket socket) {}

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type, Socket socket) {}

    @Override
    public void checkClientTrusted(
        X509Certificate[] chain, String type, javax.net.ssl.SSLEngine engine) {}

    @Override
    public void checkServerTrusted(
        X509Certificate[] chain, String type, javax.net.ssl.SSLEngine engine) {}

    @Override
    public X509Certificate[] getAcceptedIssuers() {
      return new X509Certificate[0];
    }
  }

  /** Returns the number of its process. */
  public long pid() {
    return process.pid();
  }

  /** Ends it at once, as {@code kill -9} does. */
  public void kill() throws InterruptedException {
    process.destroyForcibly();
    process.waitFor(20, TimeUnit.SECONDS);
  }

  @Override
  public void close() {
    client.close();
    process.destroyForcibly();
  }
}
