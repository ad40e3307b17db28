package fernwort.app;

import fernwort.app.backup.BackupDoor;
import fernwort.app.backup.StoredRows;
import fernwort.app.compute.Processors;
import fernwort.app.security.HouseCertificate;
import fernwort.app.security.ListenRule;
import fernwort.app.security.PassphraseRule;
import fernwort.app.sim.SimProgram;
import fernwort.app.sim.SimulatedDevice;
import fernwort.app.store.DataFolder;
import fernwort.app.store.backup.AtRest;
import fernwort.app.store.backup.BackupCounts;
import fernwort.app.store.disk.DatabaseFile;
import fernwort.app.store.disk.FolderOpening;
import fernwort.core.say.Refusal;
import java.io.Console;
import java.io.IOException;
import java.io.PrintStream;
import java.net.BindException;
import java.net.URI;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ApplicationContext;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/**
 * The launcher: reads the command line, makes the data folder ready, and starts the application on
 * it or does what is to be done to it. It alone speaks to the terminal.
 */
@SpringBootApplication
public class Fernwort {

  private static final PrintStream OUT = System.out;
  private static final PrintStream ERR = System.err;
  private static final String USUAL_BROKER = "mqtt://127.0.0.1:1883";

  /** Does what the command line asks for, or says in one sentence why not. */
  public static void main(String[] args) {
    // Until the application has its log, nothing that a library says is for the terminal.
    LoggingSystem.get(Fernwort.class.getClassLoader()).beforeInitialize();
    try {
      run(Launch.from(args, System.getenv()));
    } catch (Refusal refusal) {
      ERR.println(refusal.getMessage());
      System.exit(2);
    } catch (RuntimeException failed) {
      ERR.println(sentence(failed));
      System.exit(2);
    }
  }

  private static void run(Launch launch) {
    Clock clock = Clock.systemDefaultZone();
    switch (launch.task()) {
      case SERVE -> {
        Processors.share();
        serve(launch, clock);
      }
      case SIMULATE -> simulate(launch.rest());
      case TRAIN -> {
        Processors.share();
        train(serve(launch, clock));
      }
      case SET_PASSPHRASE, BACK_UP, RESTORE, DOCTOR, HELP, VERSION ->
          OUT.println(say(launch, clock));
    }
  }

  /** Does something with a data folder beside serving it, and returns what is to be said of it. */
  static String say(Launch launch, Clock clock) {
    return switch (launch.task()) {
      case SET_PASSPHRASE -> PassphraseRule.ask(claim(launch, clock));
      case BACK_UP -> backUp(launch, clock);
      case RESTORE -> restore(launch, clock);
      case DOCTOR -> Doctor.report(launch, clock);
      case HELP -> Help.text();
      case VERSION -> Version.NUMBER;
      case SERVE, TRAIN, SIMULATE ->
          throw new IllegalArgumentException(launch.task() + " has nothing to say");
    };
  }

  private static DataFolder claim(Launch launch, Clock clock) {
    DataFolder folder = DataFolder.claim(launch.data());
    FolderOpening.prepare(folder, clock);
    return folder;
  }

  /** Starts the application and says where it is. */
  static ConfigurableApplicationContext serve(Launch launch, Clock clock) {
    DataFolder folder = claim(launch, clock);
    ListenRule.Listen listen = listen(launch, folder);
    SpringApplication application = new SpringApplication(Fernwort.class);
    application.setEnvironment(new OwnWords());
    ApplicationContextInitializer<GenericApplicationContext> given =
        context -> context.registerBean("dataFolder", DataFolder.class, () -> folder);
    application.addInitializers(given);
    application.addListeners((ApplicationReadyEvent event) ->
        announce(launch, listen, port(event.getApplicationContext())));
    return application.run(settings(launch, listen, folder).toArray(String[]::new));
  }

  /** Where it may listen; a folder on which nothing starts is let go. */
  private static ListenRule.Listen listen(Launch launch, DataFolder folder) {
    try {
      return ListenRule.check(
          launch.listen(),
          DatabaseFile.passphrase(folder).isPresent(),
          launch.https() || launch.plainHttp());
    } catch (Refusal refused) {
      try {
        folder.release();
      } catch (IOException stillHeld) {
        refused.addSuppressed(stillHeld);
      }
      throw refused;
    }
  }

  /** Runs a simulated rig until the program is ended. */
  private static void simulate(List<String> words) {
    String broker = words.size() > 1 ? words.get(1) : USUAL_BROKER;
    SimulatedDevice device = SimProgram.of(words.getFirst(), broker, speed(words));
    OUT.println(Says.IT_SPEAKS_TO.filled(words.getFirst(), broker));
    device.run();
  }

  private static double speed(List<String> words) {
    try {
      return words.size() > 2
          ? Math.clamp(Double.parseDouble(words.get(2)), 1, SimulatedDevice.FASTEST)
          : 1;
    } catch (NumberFormatException e) {
      throw new Refusal(Says.SIM_NEEDS_A_RIG.with());
    }
  }

  private static void train(ConfigurableApplicationContext running) {
    Training.visit(URI.create("http://127.0.0.1:" + port(running)));
    System.exit(SpringApplication.exit(running));
  }

  /** Settings as the command line of the framework: nothing stands above them. */
  private static List<String> settings(Launch launch, ListenRule.Listen listen, DataFolder folder) {
    List<String> settings = new ArrayList<>();
    settings.add("--spring.config.location=classpath:/application.properties");
    settings.add("--server.port=" + launch.port());
    settings.add("--server.address=" + listen.address());
    settings.add("--fernwort.open=" + listen.loopback());
    settings.add("--fernwort.demo=" + launch.demo());
    settings.add("--fernwort.live-demo=" + launch.simulated());
    settings.add("--logging.file.name=" + folder.path().resolve(FolderOpening.LOG));
    settings.add("--logging.logback.rollingpolicy.max-history=" + launch.logFiles());
    settings.add(
        "--logging.logback.rollingpolicy.total-size-cap=" + (launch.logFiles() + 1) + "MB");
    launch.hosts().ifPresent(names -> settings.add("--fernwort.hosts=" + names));
    launch.backupsTo().ifPresent(d -> settings.add("--fernwort.backups-to=" + d));
    if (launch.https()) {
      settings.addAll(
          HouseCertificate.settings(
              folder,
              launch.certificate().map(Launch.Certificate::chain),
              launch.certificate().map(Launch.Certificate::key),
              Clock.systemUTC()));
    }
    return settings;
  }

  /** Returns the port that it listens on. */
  static int port(ApplicationContext running) {
    return Objects.requireNonNull(((WebServerApplicationContext) running).getWebServer()).getPort();
  }

  private static void announce(Launch launch, ListenRule.Listen listen, int port) {
    OUT.printf(
        "Fernwort is at %s://%s:%d (Ctrl+C stops it)%n",
        launch.https() ? "https" : "http", listen.shown(), port);
    if (!launch.https() && !listen.loopback()) {
      OUT.println(Says.THIS_IS_PLAIN_HTTP.text());
    }
  }

  private static String backUp(Launch launch, Clock clock) {
    Path file = launch.file().orElseThrow();
    Optional<BackupDoor.Visitor> running = BackupDoor.of(launch.data());
    if (running.isPresent()) {
      AtRest.toNewFile(file, running.get()::backUp);
    } else {
      AtRest.backUp(DataFolder.claim(launch.data()), file, clock);
    }
    return Says.BACKED_UP_TO.filled(file);
  }

  private static String restore(Launch launch, Clock clock) {
    Path file = launch.file().orElseThrow();
    if (!isMeant(file, launch.data())) {
      return Says.NOTHING_WAS_CHANGED.text();
    }
    return BackupDoor.of(launch.data())
        .map(running -> running.restore(file))
        .orElseGet(
            () -> AtRest.restore(DataFolder.claim(launch.data()), file, clock, StoredRows.look()));
  }

  /** Asks whoever sits there; a script has said what it means. */
  private static boolean isMeant(Path file, Path data) {
    Console console = System.console();
    if (console == null || !console.isTerminal()) {
      return true;
    }
    BackupCounts holds = AtRest.counts(file);
    String said = Says.IT_TAKES_THE_PLACE.filled(file, holds.of("rig"), holds.of("diary"), data);
    return Says.YES.text().equals(console.readLine("%s ", said).strip());
  }

  private static String sentence(Throwable failed) {
    Throwable cause = failed;
    while (cause.getCause() != null && !(cause instanceof Refusal)) {
      cause = cause.getCause();
    }
    return switch (cause) {
      case Refusal refusal -> String.valueOf(refusal.getMessage());
      case BindException taken -> Says.THE_PORT_IS_TAKEN_BY_ANOTHER.text();
      default ->
          Says.FERNWORT_COULD_NOT_START_THE_LOG.filled(
              String.valueOf(cause.getMessage()).lines().findFirst().orElse("unknown"));
    };
  }
}
