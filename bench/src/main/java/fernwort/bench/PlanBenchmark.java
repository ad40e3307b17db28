package fernwort.bench;

import fernwort.core.demo.LongCoach;
import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.load.DrawOrders;
import fernwort.core.network.Network;
import fernwort.core.review.Finding;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

/** Tanks on a slope, every order of drawing six tanks, and the review of a plan. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class PlanBenchmark {

  private static final Slope SLOPE = new Slope(4, -3);

  private TankRoom box;
  private TankRoom straddling;
  private TankRoom cylinder;
  private Network sixTanks;
  private Network coach;
  private final Map<PartId, Double> full = new HashMap<>();

  /** Builds tanks and rigs. */
  @Setup
  public void prepare() {
    box = room(new Shape.Box(1.1, 0.45, 0.28));
    straddling =
        room(
            new Shape.Straddling(
                List.of(
                    new Shape.Block(0, 0, 0, 0.3, 0.4, 0.6),
                    new Shape.Block(0.3, 0, 0.4, 0.5, 0.4, 0.2),
                    new Shape.Block(0.8, 0, 0, 0.3, 0.4, 0.6))));
    cylinder = room(new Shape.LyingCylinder(0.4, 1, false));
    sixTanks = Network.of(LongCoach.of(6).rig());
    sixTanks.rig().tanks(Contents.FRESH).forEach(t -> full.put(t.id(), 0.1));
    coach = Network.of(LongCoach.of(4).rig());
  }

  private static TankRoom room(Shape shape) {
    return TankRoom.of(
        (Tank)
            Fittings.tank(Contents.FRESH, shape, 0.005, new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0)));
  }

  /** Volume under a tilted plane in a box. */
  @Benchmark
  public double tiltedBox() {
    return box.volumeBelow(0.15, SLOPE);
  }

  /** Volume under a tilted plane in a straddling tank. */
  @Benchmark
  public double tiltedStraddling() {
    return straddling.volumeBelow(0.45, SLOPE);
  }

  /** Volume under a tilted plane in a 64-sided cylinder. */
  @Benchmark
  public double tiltedCylinder() {
    return cylinder.volumeBelow(0.2, SLOPE);
  }

  /** All 720 orders of drawing six tanks. */
  @Benchmark
  public List<DrawOrders.Order> drawOrders() {
    return DrawOrders.of(sixTanks, full, 0.8);
  }

  /** The review of a plan of 120 parts. */
  @Benchmark
  public List<Finding> review() {
    return LayoutReview.of(coach);
  }
}
