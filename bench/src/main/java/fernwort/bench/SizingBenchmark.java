package fernwort.bench;

import fernwort.core.demo.DemoRig;
import fernwort.core.load.DrawOrders;
import fernwort.core.load.LightFill;
import fernwort.core.load.Loads;
import fernwort.core.network.Network;
import fernwort.core.network.WasteRuns;
import fernwort.core.rig.State;
import fernwort.core.sizing.Demand;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Itinerary;
import fernwort.core.sizing.Lasts;
import fernwort.core.sizing.PumpAndLines;
import fernwort.core.sizing.WhatFits;
import java.util.List;
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
import org.openjdk.jmh.infra.Blackhole;

/** Everything that the pages of Sizing reckon, for Marginalia. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 10, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class SizingBenchmark {

  private Network network;
  private State state;

  /** Prepares what an open rig keeps at hand. */
  @Setup
  public void prepare() {
    DemoRig truck = DemoRig.all().getFirst();
    network = Network.of(truck.rig());
    state = truck.state();
  }

  /** Days, stops, space, weight, smallest fill, orders, pump, lines and drains. */
  @Benchmark
  public void sizingPage(Blackhole hole) {
    Habits habits = Habits.DEFAULT;
    hole.consume(Lasts.of(network, state, habits));
    hole.consume(Demand.of(habits, 5, 0.15));
    hole.consume(Itinerary.of(habits, 0.2, 0.1, 10, List.of(new Itinerary.Chance(3, true, true))));
    hole.consume(
        WhatFits.of(
            new WhatFits.Space.OverArch(1.4, 0.4, 0.6, 0.4, 0.6, 0.35),
            new WhatFits.Margins(0.01, 0.06, 0.08, 0.006)));
    hole.consume(Loads.of(network, state.volumes()));
    hole.consume(LightFill.of(network, 0.08));
    hole.consume(DrawOrders.of(network, state.volumes(), 0.7));
    hole.consume(PumpAndLines.of(network, state, List.of()));
    hole.consume(WasteRuns.of(network));
  }
}
