package fernwort.bench;

import fernwort.core.demo.DemoRig;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.run.Landmarks;
import fernwort.core.run.Simulation;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/** Marginalia run in time: a day of ordinary use, a season, and eight rehearsals at once. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 10, time = 1)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RunBenchmark {

  private static final int SEASON = 180;
  private static final double DAY = 86_400;
  private static final int REHEARSALS = 8;

  /** When in the day (h) which fixture is opened for how long (s). */
  private static final Object[][] USE = {
    {7.0, "toilet", 15}, {7.1, "basin", 40}, {7.3, "sink", 45}, {8.0, "drink", 20},
    {8.2, "sink", 90}, {11.0, "toilet", 15}, {11.1, "basin", 15}, {12.5, "sink", 60},
    {13.2, "sink", 120}, {15.0, "drink", 15}, {17.0, "toilet", 15}, {17.1, "basin", 20},
    {18.5, "shower", 150}, {19.0, "shower", 150}, {19.5, "sink", 60}, {20.2, "sink", 150},
    {22.0, "basin", 45}, {22.1, "toilet", 15}
  };

  private Network network;
  private Hydraulics hydraulics;
  private Landmarks landmarks;
  private State morning;
  private State inUse;

  /** Prepares what an open rig keeps at hand. */
  @Setup
  public void prepare() {
    DemoRig truck = DemoRig.all().getFirst();
    network = Network.of(truck.rig());
    hydraulics = Hydraulics.of(network);
    landmarks = Landmarks.of(network);
    inUse = truck.state();
    morning =
        truck
            .state()
            .with(PartId.of("sink"), PositionId.of("shut"))
            .withVolume(PartId.of("main"), 0.118)
            .withVolume(PartId.of("gray"), 0.0);
  }

  private double day(State from) {
    Simulation run = Simulation.start(landmarks, hydraulics, from, Conditions.ORDINARY);
    for (Object[] use : USE) {
      PartId fixture = PartId.of((String) use[1]);
      run.runTo((Double) use[0] * 3600);
      run.set(fixture, network.rig().part(fixture).kind().positions().get(1).id());
      run.runTo(run.time() + (Integer) use[2]);
      run.set(fixture, PositionId.of("shut"));
    }
    run.runTo(DAY);
    return run.moment().state().volume(PartId.of("main"));
  }

  /** A day of ordinary use: eighteen times at a tap. */
  @Benchmark
  public double day() {
    return day(morning);
  }

  /** So many days, filled and dumped each night. */
  @Benchmark
  public double season() {
    double left = 0;
    for (int i = 0; i < SEASON; i++) {
      left += day(morning);
    }
    return left;
  }

  /** What one second of eight rehearsals at 60× asks of the processor. */
  @Benchmark
  public double eightRehearsals() {
    double sum = 0;
    for (int i = 0; i < REHEARSALS; i++) {
      Simulation run = Simulation.start(landmarks, hydraulics, inUse, Conditions.ORDINARY);
      for (int beat = 1; beat <= 5; beat++) {
        run.runTo(12.0 * beat);
        sum += run.moment().flows().fixture(PartId.of("sink"));
      }
    }
    return sum;
  }
}
