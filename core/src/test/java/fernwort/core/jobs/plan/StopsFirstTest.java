package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** A tank that is full is shut off before anything else is turned: it runs over meanwhile. */
class StopsFirstTest {

  private static final int RIGS = Boolean.getBoolean("sweep.cases") ? 2000 : 40;

  /** A turn takes so long (s). */
  private static final double TURN = 5;

  /** What nobody would mop up (m³). */
  private static final double SPLASH = 5e-4;

  @Test
  void aTankThatIsFullIsShutOffFirst() {
    List<String> wrong = new ArrayList<>();
    int filled = 0;
    for (int seed = 0; seed < RIGS; seed++) {
      Drawn drawn = new Drawn(seed);
      Network network = Network.of(drawn.rig());
      State from = drawn.state(network.rig());
      Job job = Jobs.of(network).byId("fill-all-inlet").orElseThrow();
      Plan plan = Plans.of(network).plan(job, from);
      if (plan.trouble().isEmpty() && !isFullAlready(plan)) {
        filled++;
        double lost = lost(network, from, plan);
        if (lost > SPLASH) {
          wrong.add("seed %d loses %.1f L".formatted(seed, 1000 * lost));
        }
      }
    }
    assertThat(wrong).as("of %d plans", filled).isEmpty();
    assertThat(filled).isGreaterThan(9 * RIGS / 10);
  }

  /** A tank that others have filled meanwhile runs over whatever is turned. */
  private static boolean isFullAlready(Plan plan) {
    return plan.steps().stream()
        .anyMatch(
            s -> s instanceof Step.Wait w && w.until().fills() && w.seconds().expected() < TURN);
  }

  private static double lost(Network network, State from, Plan plan) {
    Simulation run = Simulation.start(network, from);
    for (Step step : plan.steps()) {
      switch (step) {
        case Step.Move move -> {
          Kind kind = network.rig().part(move.part()).kind();
          double done = run.time() + TURN;
          kind.bare(move.from(), move.to())
              .ifPresent(open -> {
                run.set(move.part(), open);
                run.runTo(run.time() + Trial.BARE);
              });
          run.set(move.part(), move.to());
          run.runTo(done);
        }
        case Step.Wait wait -> run.runTo(run.time() + wait.seconds().expected());
      }
    }
    return run.moment().totals().out().values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /**
   * Three tanks at heights drawn by lot that are filled through a valve each and run over high or
   * by a tail below. A link joins two of them, elsewhere: who walks there first has the shorter
   * way.
   */
  private static final class Drawn {

    private final Random random;
    private final double inlets;

    Drawn(long seed) {
      random = new Random(seed);
      inlets = random.nextBoolean() ? 0.27 : 0.05;
    }

    Rig rig() {
      RigBuilder rig =
          CaseRigs.rig()
              .part("inlet", "Inlet", -1, 0, 0.8, Fittings.inlet(3))
              .part("fills", "Fills", 0, 0, 1, new Manifold(3));
      line(rig, "to-fills", "inlet.out > fills.in", 13);
      for (int i = 1; i <= 3; i++) {
        double height = 0.2 + Math.round(10 * random.nextDouble()) / 10.0;
        double end = random.nextBoolean() ? height + 0.4 : height - 0.1;
        rig.part("tank" + i, "Tank " + i, i, 0, height, tank())
            .part("fill" + i, "Fill " + i, i, 0, 1, Fittings.twoWay(0))
            .part("tail" + i, "Tail " + i, i, 0, end, Fittings.end(OpenEnd.Role.OVERFLOW));
        line(rig, "to-fill" + i, "fills." + i + " > fill" + i + ".a", 13);
        line(rig, "into" + i, "fill" + i + ".b > tank" + i + ".fill", 13);
        line(rig, "over" + i, "tank" + i + ".vent > tail" + i + ".in", 25);
      }
      rig.place("bed", "Under the bed", "lift the bed", 3, 0, 0.5)
          .part("link", "Link", 3, 0, 0.4, Fittings.twoWay(0));
      line(rig, "link-a", "tank3.link > link.a", 13);
      line(rig, "link-b", "link.b > tank2.link", 13);
      return rig.build();
    }

    private static void line(RigBuilder rig, String id, String ends, double millimetres) {
      rig.line(id, id, ends, millimetres, 1, Material.PVC_HOSE, 0);
    }

    private Kind tank() {
      return Fittings.tank(
          Contents.FRESH,
          new Shape.Box(0.6, 0.4, 0.3),
          0,
          Fittings.sender(4, 0.1, 0.1),
          Fittings.port(PortId.of("fill"), Use.FILL, 0.1, 0.2, inlets),
          Fittings.port(PortId.of("vent"), Use.VENT, 0.3, 0.2, 0.29),
          Fittings.port(PortId.of("link"), Use.LINK, 0.2, 0.1, 0.02));
    }

    State state(Rig rig) {
      Map<PartId, Double> volumes = new TreeMap<>();
      rig.tanks().forEach(t -> volumes.put(t.id(), 0.01 * (1 + random.nextInt(6))));
      State state = new State(rig.atRest(), volumes, Slope.LEVEL);
      for (String valve : List.of("link", "fill1", "fill2")) {
        PositionId stands = PositionId.of(random.nextBoolean() ? "open" : "shut");
        state = state.with(PartId.of(valve), stands);
      }
      return state;
    }
  }
}
