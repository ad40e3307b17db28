package fernwort.bench;

import fernwort.core.demo.LongCoach;
import fernwort.core.format.RigFormat;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.openjdk.jmh.results.Result;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Measures everything and writes the figures down. */
public final class Bench {

  private static final String ALONE = "The same network alone, 60 parts";
  private static final String GENERAL = "Handed to a general least-squares solver, 60 parts";
  private static final String FASTER = "Times faster than the general solver";

  private Bench() {}

  private static double value(List<Figure> figures, String what) {
    return figures.stream()
        .filter(f -> f.what().equals(what))
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no figure " + what))
        .value();
  }

  /**
   * Runs all benchmarks.
   *
   * @param args the file to write to
   */
  public static void main(String[] args) throws IOException, RunnerException {
    Path report = Path.of(args[0]);
    List<Figure> figures = new ArrayList<>();
    Collection<RunResult> results =
        new Runner(
                new OptionsBuilder()
                    .include("fernwort\\.bench\\..*Benchmark")
                    .addProfiler(Yardstick.class)
                    .build())
            .run();

    for (Goal goal : Goal.ALL) {
      figures.add(goal.figure(results));
    }
    figures.add(
        new Figure("From the launcher to the first page, median", Start.median(), 0, 6, "s", 0));
    DemoCopy copy = DemoCopy.start();
    BoardInBrowser board = BoardInBrowser.of(copy);
    figures.add(
        new Figure(
            "A turn answered over HTTP with the Board of 60 parts and its SVG, median",
            board.answer(new RigFormat().write(LongCoach.of(2).rig())),
            0,
            18,
            "ms",
            0));
    figures.add(
        new Figure(
            "A handle turned in the browser to repainted, median", board.turn(), 0, 50, "ms", 0));
    Changes changes = new Changes(copy);
    figures.add(
        new Figure("Changes on the disk, one client", changes.perSecond(1), 0, 0, "a second", 0));
    figures.add(
        new Figure(
            "Changes on the disk, twenty clients", changes.perSecond(20), 0, 0, "a second", 0));
    double[] looks = LongLog.in(copy).looks();
    figures.add(
        new Figure("A page of a log of 20,000 over HTTP, median", looks[0], 0, 100, "ms", 0));
    figures.add(new Figure("The same, searched for words, median", looks[1], 0, 100, "ms", 0));
    figures.add(new Figure("Its budget over HTTP, median", looks[2], 0, 20, "ms", 0));
    LiveLoad.Measured live = LiveLoad.in(copy);
    figures.add(
        new Figure(
            "A sensor's message to Today in the browser, 50 a second, median",
            live.median(),
            0,
            150,
            "ms",
            0));
    figures.add(new Figure("The same, 99 of 100", live.last(), 0, 500, "ms", 0));
    figures.add(
        new Figure("More heap after a flood of 200 a second", live.growth(), 0, 0, "MB", 0));
    Files.writeString(report, text(figures));
    figures.forEach(f -> System.out.println(f.row()));
    System.exit(0);
  }

  /** A promise about one benchmark. */
  private record Goal(String what, String benchmark, String parameter, double limit, String unit) {

    static final List<Goal> ALL =
        List.of(
            new Goal("Ways and warnings, 60 parts", "waysAndWarnings", "60", 40, "µs"),
            new Goal("Ways and warnings, 240 parts", "waysAndWarnings", "240", 1000, "µs"),
            new Goal("With what the solver and the loads tell", "allWarnings", "60", 0, "µs"),
            new Goal("Layout, 60 parts", "layout", "", 30, "ms"),
            new Goal("Volume under a tilted plane, box", "tiltedBox", "", 2, "µs"),
            new Goal("Volume under a tilted plane, straddling", "tiltedStraddling", "", 10, "µs"),
            new Goal("Volume under a tilted plane, cylinder", "tiltedCylinder", "", 10, "µs"),
            new Goal("All draw orders of six tanks", "drawOrders", "", 20_000, "µs"),
            new Goal("Review of a plan of 120 parts", "review", "", 5_000, "µs"),
            new Goal("Everything that Sizing works out", "sizingPage", "", 5_000, "µs"),
            new Goal("What stays in a drained rig of 57 parts", "whatStays", "", 2_000, "µs"),
            new Goal("A whole way through the winter", "school", "", 300_000, "µs"),
            new Goal("A night for all that is wet", "night", "", 10_000, "µs"),
            new Goal("What is learnt from a log of 20,000", "budgetOfALongLog", "", 20_000, "µs"),
            new Goal("Adapters for all ends of 120 parts", "adapters", "", 20, "ms"),
            new Goal("Thirty pieces cut with proof", "cutting", "", 100, "ms"),
            new Goal("The assembly check of all Marginalia", "wholeRig", "", 2_000, "ms"),
            new Goal("Steady flow, 60 parts", "steadyFlow", "60", 65, "µs"),
            new Goal("Steady flow, 240 parts", "steadyFlow", "240", 2_000, "µs"),
            new Goal(ALONE, "networkAlone", "60", 200, "µs"),
            new Goal(GENERAL, "generalSolver", "60", 0, "µs"),
            new Goal("A day of ordinary use", "day", "", 20_000, "µs"),
            new Goal("A season of 180 days", "season", "", 800_000, "µs"),
            new Goal("Turns of the longest job of Tern", "ternTurns", "", 30, "ms"),
            new Goal("The same job's run sheet, its waits run through", "ternSheet", "", 150, "ms"),
            new Goal("Slips of one job of Marginalia", "slipsOfOneJob", "", 500, "ms"),
            new Goal("A plan for 24 two-way valves, in 1 GiB", "twentyFourValves", "", 2_000, "ms"),
            new Goal("All mistakes, all jobs of Marginalia", "everySlip", "", 1_000, "ms"),
            new Goal("A second of eight rehearsals at 60×", "eightRehearsals", "", 500_000, "µs"));

    Figure figure(Collection<RunResult> results) {
      RunResult run =
          results.stream()
              .filter(r -> r.getParams().getBenchmark().endsWith("." + benchmark))
              .filter(r ->
                  parameter.isEmpty()
                      || r.getParams().getParamsKeys().stream()
                          .anyMatch(k -> r.getParams().getParam(k).equals(parameter)))
              .findFirst()
              .orElseThrow(() -> new IllegalStateException("no benchmark " + benchmark));
      Result<?> result = run.getPrimaryResult();
      Result<?> yardstick =
          Objects.requireNonNull(
              run.getSecondaryResults().get(Yardstick.NAME), "no yardstick beside " + benchmark);
      return new Figure(
          what, result.getScore(), result.getScoreError(), limit, unit, yardstick.getScore());
    }
  }

  private static String text(List<Figure> figures) throws IOException {
    StringBuilder text = new StringBuilder();
    text.append("# Benchmarks\n\n");
    text.append("Written by `./fernwort bench` on ").append(LocalDate.now()).append(".\n\n");
    text.append("Machine: ").append(machine()).append(".\n\n");
    text.append(
        "| what | measured | goal | | yardstick | in yardsticks | goal | |\n|---|---|---|---|---|---|---|---|\n");
    figures.forEach(f -> text.append(f.row()).append('\n'));
    text.append(Figure.atLeast(FASTER, value(figures, GENERAL) / value(figures, ALONE), 150));
    text.append('\n');
    text.append(
        "\nThe rigs of 60 and 240 parts are made-up coaches with every pump on and every sink open,"
            + "\nthe hardest ordinary state. A ± is JMH's 99.9 % interval over five iterations or three. The\nbrowser figure is from the"
            + " click to the frame after\nthe page was changed, over 101 turns of Marginalia's"
            + " handles. Each turn here\nis stored on disk, and none leads to where one of the hundred before it led.\n"
            + "\nThe yardstick is a fixed piece of arithmetic, run in the same process right after each figure:"
            + "\nwhere the machine is slow for a minute, both are. Goals are meant for a machine on which it takes "
            + Yardstick.AT_THE_GOALS
            + " ms,\nand told as multiples of it as well; the second verdict is the one that another hour cannot change.\n");
    return text.toString();
  }

  private static String machine() throws IOException {
    String processor = System.getProperty("os.arch");
    Path info = Path.of("/proc/cpuinfo");
    if (Files.isReadable(info)) {
      try (Stream<String> lines = Files.lines(info)) {
        processor =
            lines
                .filter(l -> l.startsWith("model name"))
                .map(l -> l.substring(l.indexOf(':') + 1).strip())
                .findFirst()
                .orElse(processor);
      }
    }
    return "%s, %d cores, %s, Java %s"
        .formatted(
            processor,
            Runtime.getRuntime().availableProcessors(),
            System.getProperty("os.name"),
            System.getProperty("java.version"));
  }
}
