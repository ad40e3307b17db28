package fernwort.app.store;

import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Starts processes that only store, from classes that are packed and noted in an archive of the JDK
 * first, by which each starts in a fraction of the time.
 */
final class StoreProcesses {

  private final List<String> command;

  private StoreProcesses(List<String> command) {
    this.command = command;
  }

  /** Packs the classes into a folder. */
  static StoreProcesses prepare(Path folder) throws IOException, InterruptedException {
    List<String> classes = new ArrayList<>();
    for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
      Path path = Path.of(entry);
      boolean packed = Files.isDirectory(path);
      classes.add(packed ? pack(path, folder.resolve(classes.size() + ".jar")).toString() : entry);
    }
    List<String> command =
        List.of(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-XX:+UseSerialGC",
            "-XX:+AutoCreateSharedArchive",
            "-XX:SharedArchiveFile=" + folder.resolve("store.jsa"),
            "-Xlog:disable",
            "--enable-native-access=ALL-UNNAMED",
            "-cp",
            String.join(File.pathSeparator, classes),
            StoreProcess.class.getName());
    StoreProcesses prepared = new StoreProcesses(command);
    Process trial = prepared.start(folder.resolve("trial"), "once");
    trial.getInputStream().readAllBytes();
    trial.waitFor(60, TimeUnit.SECONDS);
    return prepared;
  }

  private static Path pack(Path classes, Path jar) throws IOException {
    try (OutputStream out = Files.newOutputStream(jar);
        ZipOutputStream zip = new ZipOutputStream(out);
        Stream<Path> files = Files.walk(classes)) {
      for (Path file : files.skip(1).toList()) {
        // Folders are entries as well, for the migrations are looked for in theirs.
        boolean folder = Files.isDirectory(file);
        String name = classes.relativize(file).toString().replace('\\', '/');
        zip.putNextEntry(new ZipEntry(folder ? name + "/" : name));
        if (!folder) {
          Files.copy(file, zip);
        }
      }
    }
    return jar;
  }

  /** Starts one on a data folder. */
  Process start(Path data, String... words) throws IOException {
    List<String> all = new ArrayList<>(command);
    all.add(data.toString());
    all.addAll(List.of(words));
    return new ProcessBuilder(all).redirectErrorStream(true).start();
  }
}
