package fernwort.app;

import fernwort.core.demo.DemoRig;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * One copy of the application for all tests that only use it: started once, with the demo rigs. A
 * test that changes a demo rig asks for one of its own, which stands as the demo does.
 */
public final class SharedCopy implements BeforeAllCallback, BeforeEachCallback {

  private static final String HERE = "shared copy";

  private final Map<String, String> own = new HashMap<>();
  private Client client = new Client("");

  @Override
  public void beforeAll(ExtensionContext test) {
    Running running =
        test.getRoot()
            .getStore(ExtensionContext.Namespace.GLOBAL)
            .computeIfAbsent(HERE, key -> Running.start(), Running.class);
    client = new Client(running.copy().address());
    own.clear();
  }

  @Override
  public void beforeEach(ExtensionContext test) {
    own.clear();
  }

  /** Returns a visitor of the copy. */
  public Client client() {
    return client;
  }

  /** Returns the address of this test's own rig, which stands as a demo rig does. */
  public String rig(String demo) {
    return own.computeIfAbsent(demo, this::anew);
  }

  private String anew(String id) {
    DemoRig demo = DemoRig.all().stream().filter(d -> d.id().equals(id)).findFirst().orElseThrow();
    try {
      String file = client.get("/api/v1/rigs/" + id).body();
      HttpResponse<String> added = client.change("POST", "/api/v1/rigs", file);
      String path = Client.where(added);
      for (Map.Entry<String, Double> tank : demo.litres().entrySet()) {
        String reading =
            String.format(Locale.ROOT, "{\"amount\":%.0f,\"unit\":\"litres\"}", tank.getValue());
        client.change("PUT", path + "/tanks/" + tank.getKey() + "/reading", reading);
      }
      for (Map.Entry<String, String> handle : demo.positions().entrySet()) {
        String position = "{\"position\":\"" + handle.getValue() + "\"}";
        client.change("PUT", path + "/handles/" + handle.getKey(), position);
      }
      return path.substring(path.lastIndexOf('/') + 1);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private record Running(OwnCopy copy, Path data) implements AutoCloseable {

    static Running start() {
      try {
        Path data = Files.createTempDirectory("fernwort-test");
        return new Running(OwnCopy.start(data, "--demo"), data);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    @Override
    public void close() throws IOException {
      copy.close();
      try (Stream<Path> files = Files.walk(data)) {
        files.sorted(Comparator.reverseOrder()).forEach(f -> f.toFile().delete());
      }
    }
  }
}
