package fernwort.bench;

import fernwort.app.board.layout.BoardLayout;
import fernwort.core.demo.LongCoach;
import fernwort.core.rig.Rig;
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

/** The Board's layout of a rig of sixty parts. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 10, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class LayoutBenchmark {

  private Rig rig;

  /** Builds the rig. */
  @Setup
  public void prepare() {
    rig = LongCoach.of(2).rig();
  }

  /** Places, parts, labels and lines. */
  @Benchmark
  public BoardLayout layout() {
    return BoardLayout.of(rig);
  }
}
