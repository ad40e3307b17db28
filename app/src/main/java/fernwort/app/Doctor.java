package fernwort.app;

import fernwort.app.backup.BackupDoor;
import fernwort.app.security.ListenRule;
import fernwort.app.store.DataFolder;
import fernwort.app.store.disk.Checkup;
import fernwort.app.store.disk.FolderOpening;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * What somebody who helps would ask for: versions, settings, room, whether the data are sound. No
 * name, no rig and nothing that anybody typed is in it, so that it can be handed on.
 */
final class Doctor {

  private static final int LAST_FAULTS = 10;
  private static final long MIB = 1 << 20;

  private final Launch launch;
  private final List<String> lines = new ArrayList<>();

  private Doctor(Launch launch) {
    this.launch = launch;
  }

  /** Returns all of it, in lines. */
  static String report(Launch launch, Clock clock) {
    Doctor doctor = new Doctor(launch);
    doctor.machine(clock);
    doctor.settings();
    doctor.folder();
    doctor.log();
    return String.join("\n", doctor.lines);
  }

  private void line(Says what, Object value) {
    line(what.text(), value);
  }

  private void line(String what, Object value) {
    lines.add("%-22s %s".formatted(what + ":", value));
  }

  private void machine(Clock clock) {
    line(Says.FERNWORT, Version.NUMBER);
    line(Says.JAVA, Runtime.version() + ", " + System.getProperty("java.vm.vendor"));
    line(
        Says.SYSTEM,
        String.join(
            " ",
            System.getProperty("os.name"),
            System.getProperty("os.version"),
            System.getProperty("os.arch")));
    line(
        Says.MEMORY,
        Says.MB_AND_PROCESSORS.filled(
            Runtime.getRuntime().maxMemory() / MIB, Runtime.getRuntime().availableProcessors()));
    line(Says.TIME, clock.instant() + " " + clock.getZone());
  }

  private void settings() {
    line(Says.PORT, launch.port() + " (" + (isFree() ? Says.FREE : Says.TAKEN).text() + ")");
    line(Says.LISTENS_ON, loopback() ? Says.THIS_MACHINE_ONLY.text() : Says.THE_NETWORK.text());
    line(Says.HTTPS, yes(launch.https()));
    line(Says.OWN_CERTIFICATE, yes(launch.certificate().isPresent()));
    line(Says.PLAIN_HTTP_ALLOWED, yes(launch.plainHttp()));
    line(
        Says.SECOND_PLACE,
        launch
            .backupsTo()
            .map(d -> (Files.isWritable(d) ? Says.CAN_BE_WRITTEN : Says.CANNOT_BE_WRITTEN).text())
            .orElse(Says.NONE.text()));
  }

  private boolean loopback() {
    try {
      return ListenRule.check(launch.listen(), true, true).loopback();
    } catch (Refusal noAddress) {
      return false;
    }
  }

  private boolean isFree() {
    try (ServerSocket _ = new ServerSocket(launch.port(), 1, InetAddress.getLoopbackAddress())) {
      return true;
    } catch (IOException taken) {
      return false;
    }
  }

  private void folder() {
    Path data = launch.data();
    line(Says.DATA_FOLDER, shortened(data));
    if (!Files.isDirectory(data)) {
      line(Says.STATE, Says.IT_IS_NOT_THERE_YET.text());
      return;
    }
    line(Says.FREE_ROOM, room(data));
    backups(data.resolve(FolderOpening.BACKUPS));
    if (BackupDoor.of(data).isPresent()) {
      line(Says.STATE, Says.FERNWORT_RUNS_ON_IT.text());
      return;
    }
    try (DataFolder folder = DataFolder.claim(data)) {
      Checkup.of(folder).forEach(this::line);
    } catch (Refusal refused) {
      line(Says.STATE, String.valueOf(refused.getMessage()).replace(data.toString(), "DATA"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String room(Path data) {
    try {
      return Says.MB.filled(Files.getFileStore(data).getUsableSpace() / MIB);
    } catch (IOException e) {
      return Says.NOT_KNOWN.text();
    }
  }

  /** The home of its owner is named like its owner. */
  private static String shortened(Path path) {
    return path.toString().replace(System.getProperty("user.home"), "~");
  }

  private void backups(Path backups) {
    if (!Files.isDirectory(backups)) {
      line(Says.DAILY_BACKUPS, Says.NONE.text());
      return;
    }
    try (Stream<Path> files = Files.list(backups)) {
      List<String> names =
          files
              .map(f -> f.getFileName().toString())
              .filter(n -> n.endsWith(".gz"))
              .sorted()
              .toList();
      line(
          Says.DAILY_BACKUPS,
          names.isEmpty()
              ? Says.NONE.text()
              : Says.THE_NEWEST_IS.filled(names.size(), names.getLast()));
    } catch (IOException e) {
      line(Says.DAILY_BACKUPS, Says.CANNOT_BE_READ.text());
    }
  }

  /** Faults by their id and where they came from; the log has no more of them. */
  private void log() {
    Path log = launch.data().resolve(FolderOpening.LOG);
    if (!Files.isReadable(log)) {
      return;
    }
    try (Stream<String> all = Files.lines(log, StandardCharsets.UTF_8)) {
      List<String> faults = all.filter(l -> l.contains("fault ")).toList();
      line(Says.FAULTS_IN_THE_LOG, faults.size());
      faults.stream()
          .skip(Math.max(0, faults.size() - LAST_FAULTS))
          .forEach(l -> lines.add("  " + l.replaceAll(".*(fault [A-Z0-9]+ at ).*? (.*)", "$1$2")));
    } catch (IOException | UncheckedIOException e) {
      line(Says.FAULTS_IN_THE_LOG, Says.CANNOT_BE_READ.text());
    }
  }

  private static String yes(boolean holds) {
    return (holds ? Says.YES : Says.NO).text();
  }
}
