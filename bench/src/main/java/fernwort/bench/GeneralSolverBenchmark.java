package fernwort.bench;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.LongCoach;
import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.SteadyFlow;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.network.Network;
import java.util.concurrent.TimeUnit;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One network solved by our own steps and by a general least-squares solver, side by side. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class GeneralSolverBenchmark {

  /** Flows are told to the general solver in litres a minute, so that they weigh like heads. */
  private static final double FLOW = 1e-3 / 60;

  private static final int MOST_STEPS = 300;

  /** Parts of the rig. */
  @Param("60")
  public int parts;

  private FlowNetwork flowNetwork;
  private int[] unknown;
  private int junctions;

  /** Takes the network of a coach with every pump on and every sink open. */
  @Setup
  public void prepare() {
    DemoRig coach = LongCoach.of(parts / LongCoach.PARTS_PER_SECTION);
    flowNetwork = Hydraulics.of(Network.of(coach.rig())).flowNetwork(coach.state());
    unknown = new int[flowNetwork.size()];
    for (int n = 0; n < unknown.length; n++) {
      unknown[n] = flowNetwork.isReservoir(n) ? -1 : junctions++;
    }
  }

  /** Our own. */
  @Benchmark
  public SteadyFlow networkAlone() {
    return flowNetwork.solve();
  }

  /** The energy equation of each link and the balance of each junction, as residuals. */
  @Benchmark
  public LeastSquaresOptimizer.Optimum generalSolver() {
    int links = flowNetwork.linkCount();
    double[] start = new double[junctions + links];
    for (int n = 0; n < unknown.length; n++) {
      if (unknown[n] >= 0) {
        start[unknown[n]] = flowNetwork.head(n);
      }
    }
    for (int l = 0; l < links; l++) {
      start[junctions + l] = flowNetwork.loss(l).ordinary() / FLOW;
    }
    return new LevenbergMarquardtOptimizer()
        .optimize(
            new LeastSquaresBuilder()
                .start(start)
                .model(this::residuals)
                .target(new double[junctions + links])
                .maxEvaluations(MOST_STEPS)
                .maxIterations(MOST_STEPS)
                .checker((i, before, now) -> now.getRMS() < 1e-6 || i >= MOST_STEPS - 1)
                .build());
  }

  private Pair<RealVector, RealMatrix> residuals(RealVector at) {
    int links = flowNetwork.linkCount();
    double[] miss = new double[junctions + links];
    double[][] slope = new double[junctions + links][junctions + links];
    double[] law = new double[2];
    for (int l = 0; l < links; l++) {
      double flow = at.getEntry(junctions + l) * FLOW;
      flowNetwork.loss(l).at(flow, law, 0);
      int a = unknown[flowNetwork.from(l)];
      int b = unknown[flowNetwork.to(l)];
      double across =
          (a < 0 ? flowNetwork.head(flowNetwork.from(l)) : at.getEntry(a))
              - (b < 0 ? flowNetwork.head(flowNetwork.to(l)) : at.getEntry(b));
      miss[junctions + l] = across - law[0];
      slope[junctions + l][junctions + l] = -law[1] * FLOW;
      if (a >= 0) {
        slope[junctions + l][a] = 1;
        miss[a] -= at.getEntry(junctions + l);
        slope[a][junctions + l] = -1;
      }
      if (b >= 0) {
        slope[junctions + l][b] = -1;
        miss[b] += at.getEntry(junctions + l);
        slope[b][junctions + l] = 1;
      }
    }
    return new Pair<>(new ArrayRealVector(miss, false), new Array2DRowRealMatrix(slope, false));
  }
}
