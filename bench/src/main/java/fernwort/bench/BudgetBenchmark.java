package fernwort.bench;

import fernwort.core.budget.Budget;
import fernwort.core.demo.DemoRig;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Slope;
import fernwort.core.sizing.Habits;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What is learnt from a long log. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class BudgetBenchmark {

  static final int ENTRIES = 20_000;

  private static final Instant NOW = Instant.parse("2026-06-10T12:00:00Z");

  private Network network;
  private List<Entry> entries;

  @Setup
  public void prepare() {
    network = Network.of(DemoRig.all().getFirst().rig());
    entries = log();
  }

  /** Ten looks and a fill a day for years. */
  private static List<Entry> log() {
    List<Entry> log = new ArrayList<>();
    log.add(
        new Entry(
            "people",
            NOW.minus(Duration.ofDays(3000)),
            new Entry.People(2, 0, Optional.empty(), "")));
    double holds = 100;
    for (int i = ENTRIES; i > 0; i--) {
      Instant at = NOW.minus(Duration.ofMinutes(144L * i));
      holds -= 2.4;
      if (holds < 30) {
        holds = 100;
        log.add(
            new Entry(
                "f" + i,
                at,
                new Entry.Fill(
                    PartId.of("main"), Optional.empty(), Entry.Bought.UNKNOWN, false, "")));
      } else {
        log.add(
            new Entry(
                "r" + i, at, new Entry.Reading(PartId.of("main"), holds / 1000, "", false, "")));
      }
    }
    return log;
  }

  @Benchmark
  public Budget budgetOfALongLog() {
    return Budget.of(
        network, entries, new Budget.Asked(Slope.LEVEL, Habits.DEFAULT, ZoneOffset.UTC, NOW));
  }
}
