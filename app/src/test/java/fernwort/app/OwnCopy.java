package fernwort.app;

import fernwort.app.services.Descriptions;
import fernwort.core.demo.DemoRig;
import fernwort.core.say.Refusal;
import jakarta.servlet.Filter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.annotation.AnnotationAwareOrderComparator;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;

/**
 * A copy of Fernwort on a data folder of its own, in the process of the tests: it starts in a
 * fraction of the time of one in {@link RunningCopy a process of its own}.
 */
public final class OwnCopy extends Client {

  private final ConfigurableApplicationContext context;

  private OwnCopy(ConfigurableApplicationContext context, String address) {
    super(address);
    this.context = context;
  }

  /** Starts a copy as the command line would. */
  public static synchronized OwnCopy start(Path data, String... options) {
    // One after the other: they set up the one log of this process.
    Launch launch = launch(data, options);
    ConfigurableApplicationContext context = Fernwort.serve(launch, Clock.systemDefaultZone());
    String scheme = launch.https() ? "https" : "http";
    return new OwnCopy(context, "%s://127.0.0.1:%d".formatted(scheme, Fernwort.port(context)));
  }

  /** Does what a command line asks for beside serving, and returns what is said of it. */
  public static String say(Path data, String... options) {
    try {
      return Fernwort.say(launch(data, options), Clock.systemDefaultZone());
    } catch (Refusal refusal) {
      return String.valueOf(refusal.getMessage());
    }
  }

  /** Returns what the doctor says of a folder. */
  public static String doctor(Path data) {
    String[] words = {"doctor", "--port", "0", "--data", data.toString()};
    return Fernwort.say(Launch.from(words), Clock.systemDefaultZone());
  }

  private static Launch launch(Path data, String... options) {
    List<String> own = List.of("--port", "0", "--data", data.toString());
    return Launch.from(Stream.concat(own.stream(), Stream.of(options)).toArray(String[]::new));
  }

  /** Adds a demo rig as it is described, and nothing that its people did with it. */
  public void add(String demo) {
    bean(Descriptions.class).add(DemoRig.called(demo).rig(), "ada", "Came with a test");
  }

  /** Returns a part of the application, for a test that sets up what it is not about. */
  public <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** Returns its pages without the way through a socket, behind all of its filters. */
  public MockMvc mvc() {
    Filter[] filters =
        context.getBeansOfType(Filter.class).values().stream()
            .sorted(AnnotationAwareOrderComparator.INSTANCE)
            .toArray(Filter[]::new);
    return MockMvcBuilders.webAppContextSetup((WebApplicationContext) context)
        .addFilters(filters)
        .build();
  }

  @Override
  public void close() {
    super.close();
    context.close();
  }
}
