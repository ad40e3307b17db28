package fernwort.app;

import fernwort.app.services.DemoData;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.store.DataFolder;
import fernwort.core.build.mount.UsualBuild;
import fernwort.core.demo.DemoRig;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.test.web.servlet.MockMvc;

/**
 * One copy of the application for all tests that only use it: started once, with the demo rigs. A
 * test that changes a demo rig asks for one of its own, which stands as the demo does.
 */
public final class SharedCopy implements BeforeAllCallback, BeforeEachCallback {

  private static final String HERE = "shared copy";
  private static final String WHO = "program";

  private final Map<String, String> own = new HashMap<>();
  private Client client = new Client("");
  private OwnCopy copy;

  @Override
  public void beforeAll(ExtensionContext test) {
    Running running =
        test.getRoot()
            .getStore(ExtensionContext.Namespace.GLOBAL)
            .computeIfAbsent(HERE, key -> Running.start(), Running.class);
    copy = running.copy();
    client = new Client(copy.address());
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

  /** Returns the pages of the copy without the way through a socket. */
  public MockMvc mvc() {
    return copy.mvc();
  }

  /** Returns the copy's data folder. */
  public Path folder() {
    return copy.bean(DataFolder.class).path();
  }

  /** Adds a rig of the test's own, and returns its address. */
  public String add(Rig rig) {
    return copy.bean(Descriptions.class).add(rig, WHO, "Came with a test");
  }

  /** Returns the address of this test's own rig, which stands as a demo rig does. */
  public String rig(String demo) {
    return own.computeIfAbsent(demo, this::anew);
  }

  /**
   * Adds a rig as the demo's people left theirs, in two changes: a test asks for it all the time.
   */
  private String anew(String id) {
    DemoRig demo = DemoRig.called(id);
    Descriptions rigs = copy.bean(Descriptions.class);
    OpenRig rig = rigs.open(rigs.add(UsualBuild.on(demo.rig()), WHO, "Came with a test"));
    copy.bean(DemoData.class).leave(demo, rig, Instant.now(), WHO);
    return rig.id();
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
