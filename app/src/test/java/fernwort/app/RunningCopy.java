package fernwort.app;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/** A real copy of Fernwort in a process of its own, spoken to over HTTP. */
public final class RunningCopy extends Client {

  /** As it ships: what the tests bring along would only make each start longer. */
  private static final String CLASSES =
      Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
          .filter(
              f -> !f.matches(".*(springdoc|swagger-core|swagger-models|playwright|archunit).*"))
          .collect(Collectors.joining(File.pathSeparator));

  private final Process process;

  private RunningCopy(Process process, String address) {
    super(address);
    this.process = process;
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
                "-XX:+UnlockDiagnosticVMOptions",
                "-XX:-BytecodeVerificationRemote",
                "-XX:+UseSerialGC",
                "-cp",
                CLASSES,
                "fernwort.app.Fernwort",
                "--port",
                "0",
                "--data",
                data.toString()));
    command.addAll(List.of(options));
    return new ProcessBuilder(command).redirectErrorStream(true);
  }

  /** Asks it to end, as Ctrl+C does, and returns how long it takes (s). */
  public double stop() throws InterruptedException {
    long start = System.nanoTime();
    process.destroy();
    process.waitFor(60, TimeUnit.SECONDS);
    return (System.nanoTime() - start) / 1e9;
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
    super.close();
    process.destroyForcibly();
  }
}
