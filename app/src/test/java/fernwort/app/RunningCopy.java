package fernwort.app;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
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
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
  private JsonNode token = JSON.nullNode();

  private RunningCopy(Process process, String address) {
    this.process = process;
    this.address = address;
  }

  /** Starts a copy and waits until it says its address. */
  public static RunningCopy start(Path data, String... options) throws IOException {
    Process process = launch(data, options);
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
    return new ProcessBuilder(command).redirectErrorStream(true).start();
  }

  /** Returns the address. */
  public String address() {
    return address;
  }

  /** Asks and returns the answer. */
  public HttpResponse<String> get(String path) throws IOException {
    return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
  }

  /** Asks for JSON. */
  public JsonNode json(String path) throws IOException {
    return JSON.readTree(get(path).body());
  }

  /** Makes a change with the token that changes need. */
  public HttpResponse<String> change(String verb, String path, String body) throws IOException {
    if (token.isNull()) {
      token = json("/api/v1/token");
    }
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .header(token.get("header").asString(), token.get("token").asString())
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
