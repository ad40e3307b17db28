package fernwort.core.run;

import static fernwort.core.hydraulics.CaseRigs.rig;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.tank.TankFigures;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** Tanks of two lobes and a bridge: what the figures say stays, stays when they are run. */
class SaddleTankTest {

  private static final double WIDTH = 0.3;

  /** Two lobes with a bridge at some height between them, and where its ports are. */
  private record Saddle(Shape.Straddling shape, double bridge, List<TankPort> ports) {

    static Saddle random(long seed, boolean bothLobes) {
      Random random = new Random(seed);
      double rear = 0.15 + 0.2 * random.nextDouble();
      double gap = 0.2 + 0.3 * random.nextDouble();
      double front = 0.15 + 0.2 * random.nextDouble();
      double high = 0.3 + 0.2 * random.nextDouble();
      double bridge = high * (0.3 + 0.4 * random.nextDouble());
      List<TankPort> ports = new ArrayList<>();
      double ahead = rear + gap + front / 2;
      ports.add(
          Fittings.port(
              PortId.of("feed"), TankPort.Use.FEED, ahead, 0.1, 0.02 + 0.05 * random.nextDouble()));
      ports.add(Fittings.port(PortId.of("vent"), TankPort.Use.VENT, ahead, 0.1, high - 0.01));
      if (bothLobes) {
        ports.add(
            Fittings.port(
                PortId.of("other"), TankPort.Use.FEED, rear / 2, 0.1, ports.get(0).at().z()));
      }
      return new Saddle(
          new Shape.Straddling(
              List.of(
                  new Shape.Block(0, 0, 0, rear, WIDTH, high),
                  new Shape.Block(rear, 0, bridge, gap, WIDTH, high - bridge),
                  new Shape.Block(rear + gap, 0, 0, front, WIDTH, high))),
          bridge,
          ports);
    }

    Tank tank() {
      return (Tank)
          Fittings.tank(
              Contents.FRESH, shape, 0, Fittings.stick(0.05, 0.1), ports.toArray(TankPort[]::new));
    }

    /** The tank over an open drain, by one of its outlets or by both through a tee. */
    Rig drained() {
      var made =
          rig()
              .part("tank", "Tank", 0, 0, 1, tank())
              .part("vent", "Vent", 0, 0, 2.5, Fittings.end(Role.VENT))
              .part("end", "End", 0, 0, 0.1, Fittings.end(Role.DRAIN))
              .line("air", "Air", "tank.vent > vent.in", 20, 1, Material.PEX, 0);
      return ports.size() == 2
          ? made.line("out", "Out", "tank.feed > end.in", 20, 1, Material.PEX, 0).build()
          : made.part("tee", "Tee", 0.4, 0.1, 0.5, new Tee())
              .line("one", "One", "tank.feed > tee.a", 20, 1, Material.PEX, 0)
              .line("two", "Two", "tank.other > tee.c", 20, 1, Material.PEX, 0)
              .line("out", "Out", "tee.b > end.in", 20, 1, Material.PEX, 0)
              .build();
    }
  }

  /**
   * What stays below an opening, by small cubes: each empties down to the lowest of the highest
   * points on its ways out.
   */
  private static double standsByCubes(Saddle saddle, TankPort opening, Slope slope) {
    double cube = 0.0125;
    List<double[]> cells = new ArrayList<>();
    int[][][] at = new int[100][30][50];
    for (int i = 0; i < 100; i++) {
      for (int j = 0; j < 30; j++) {
        for (int k = 0; k < 50; k++) {
          double[] p = {(i + 0.5) * cube, (j + 0.5) * cube, (k + 0.5) * cube};
          if (isIn(saddle.shape().blocks(), p)) {
            cells.add(p);
            at[i][j][k] = cells.size();
          }
        }
      }
    }
    Point up = slope.up();
    double[] height =
        cells.stream().mapToDouble(p -> new Point(p[0], p[1], p[2]).along(up)).toArray();
    double edge = opening.at().along(up);
    double[] level = new double[cells.size()];
    java.util.Arrays.fill(level, Double.POSITIVE_INFINITY);
    PriorityQueue<Integer> queue = new PriorityQueue<>(Comparator.comparingDouble(c -> level[c]));
    int start = nearest(cells, opening);
    level[start] = Math.max(edge, height[start]);
    queue.add(start);
    while (!queue.isEmpty()) {
      int c = queue.remove();
      int[] ijk = {
        (int) (cells.get(c)[0] / cube),
        (int) (cells.get(c)[1] / cube),
        (int) (cells.get(c)[2] / cube)
      };
      for (int axis = 0; axis < 3; axis++) {
        for (int step = -1; step <= 1; step += 2) {
          int[] n = ijk.clone();
          n[axis] += step;
          if (n[axis] < 0 || n[0] > 99 || n[1] > 29 || n[2] > 49 || at[n[0]][n[1]][n[2]] == 0) {
            continue;
          }
          int next = at[n[0]][n[1]][n[2]] - 1;
          double to = Math.max(level[c], height[next]);
          if (to < level[next]) {
            level[next] = to;
            queue.add(next);
          }
        }
      }
    }
    double stands = 0;
    for (int c = 0; c < level.length; c++) {
      stands += level[c] > height[c] + 1e-9 ? cube * cube * cube : 0;
    }
    return stands;
  }

  private static boolean isIn(List<Shape.Block> blocks, double[] p) {
    for (Shape.Block b : blocks) {
      if (p[0] > b.x()
          && p[0] < b.x() + b.length()
          && p[1] > b.y()
          && p[1] < b.y() + b.width()
          && p[2] > b.z()
          && p[2] < b.z() + b.height()) {
        return true;
      }
    }
    return false;
  }

  private static int nearest(List<double[]> cells, TankPort opening) {
    int nearest = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int c = 0; c < cells.size(); c++) {
      double[] p = cells.get(c);
      double away =
          Math.hypot(
              Math.hypot(p[0] - opening.at().x(), p[1] - opening.at().y()),
              p[2] - opening.at().z());
      if (away < least) {
        least = away;
        nearest = c;
      }
    }
    return nearest;
  }

  @Property(tries = 25)
  void whatStaysIsWhatCubesSay(@ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Saddle saddle = Saddle.random(seed, false);
    Slope slope = new Slope(seed % 7 - 3, seed % 5 - 2);
    TankRoom room = TankRoom.of(saddle.tank());
    double said = TankFigures.of(saddle.tank(), room, slope).stranded();
    double cubes = standsByCubes(saddle, saddle.ports().getFirst(), slope);
    assertThat(said).isCloseTo(cubes, within(0.06 * room.capacity()));
    assertThat(room.kept(Slope.LEVEL)).as("the rear lobe alone keeps water").hasSize(1);
  }

  @Property(tries = 40)
  void aTankRunsDryAtWhatItsFiguresStrand(
      @ForAll @LongRange(min = 0, max = 1 << 20) long seed, @ForAll boolean bothLobes) {
    Saddle saddle = Saddle.random(seed, bothLobes);
    Slope slope = new Slope(seed % 7 - 3, seed % 5 - 2);
    Rig rig = saddle.drained();
    Network network = Network.of(rig);
    TankRoom room = network.room(PartId.of("tank"));
    double stranded = TankFigures.of(saddle.tank(), room, slope).stranded();
    State full = new State(rig.atRest(), Map.of(PartId.of("tank"), 0.9 * room.capacity()), slope);
    Simulation run = Simulation.start(network, full);
    run.runTo(2 * 3600);
    double left = run.moment().state().volume(PartId.of("tank"));
    assertThat(left).isCloseTo(stranded, within(2e-3 * room.capacity()));
    assertThat(left + run.moment().totals().out().getOrDefault(PartId.of("end"), 0.0))
        .as("no drop is lost in a lobe")
        .isCloseTo(full.volume(PartId.of("tank")), within(1e-9));
  }

  /** Lobes that meet at the bottom alone: the one without a vent keeps its air above the bridge. */
  @Property(tries = 30)
  void aTankFillsToWhatItsFiguresReach(@ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Random random = new Random(seed);
    double high = 0.3 + 0.2 * random.nextDouble();
    double bridge = 0.08 + 0.1 * random.nextDouble();
    double top = high - 0.01 - 0.05 * random.nextDouble();
    Kind tank =
        Fittings.tank(
            Contents.FRESH,
            new Shape.Straddling(
                List.of(
                    new Shape.Block(0, 0, 0, 0.2, WIDTH, high),
                    new Shape.Block(0.2, 0, 0, 0.4, WIDTH, bridge),
                    new Shape.Block(0.6, 0, 0, 0.2, WIDTH, high))),
            0,
            Fittings.stick(0.05, 0.1),
            Fittings.port(PortId.of("fill"), TankPort.Use.FILL, 0.7, 0.1, 0.05),
            Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.7, 0.1, top));
    Rig rig =
        rig()
            .part("tank", "Tank", 0, 0, 1, tank)
            .part("inlet", "Inlet", 0, 0, 0.8, Fittings.inlet(2))
            .part("vent", "Vent", 0, 0, 2.5, Fittings.end(Role.VENT))
            .line("in", "In", "inlet.out > tank.fill", 13, 1, Material.PEX, 1)
            .line("air", "Air", "tank.vent > vent.in", 20, 1, Material.PEX, 0)
            .build();
    Network network = Network.of(rig);
    TankFigures figures = TankFigures.of((Tank) tank, network.room(PartId.of("tank")), Slope.LEVEL);
    assertThat(figures.unreachable())
        .as("above the vent in one lobe, above the bridge in the other")
        .isCloseTo(0.2 * WIDTH * (high - top) + 0.2 * WIDTH * (high - bridge), within(1e-9));
    Simulation run =
        Simulation.start(
            network,
            new State(rig.atRest(), Map.of(), Slope.LEVEL)
                .with(PartId.of("inlet"), PositionId.of("mains")));
    assertThat(run.runUntil(Event.Kind.FULL, PartId.of("tank"), 3600)).isPresent();
    assertThat(run.moment().state().volume(PartId.of("tank")))
        .isCloseTo(figures.full(), within(1e-4));
  }

  @Property(tries = 60)
  void levelAndVolumeAreEachOthersInverseAboveWhatLobesKeep(
      @ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Saddle saddle = Saddle.random(seed, false);
    TankRoom room = TankRoom.of(saddle.tank());
    for (Slope slope : List.of(Slope.LEVEL, new Slope(seed % 9 - 4, seed % 6 - 3))) {
      double kept = room.kept(slope).stream().mapToDouble(TankRoom.Kept::volume).sum();
      double volume = kept + (room.capacity() - kept) * (0.02 + 0.9 * (seed % 100) / 100);
      double level = room.level(volume, slope);
      assertThat(room.volumeBelow(level, slope)).isCloseTo(volume, within(1e-7));
      assertThat(room.volumeBelow(room.lowest(slope), slope)).as("a dry gauge").isZero();
      assertThat(room.level(kept / 2, slope))
          .as("less than the lobe keeps leaves the rest dry")
          .isEqualTo(room.lowest(slope));
    }
  }

  @Test
  void aLobeThatKeepsItsWaterLeavesTheOtherDry() {
    Saddle saddle = Saddle.random(7, false);
    Rig rig = saddle.drained();
    Network network = Network.of(rig);
    double kept = network.room(PartId.of("tank")).kept(Slope.LEVEL).getFirst().volume();
    State state = new State(rig.atRest(), Map.of(PartId.of("tank"), kept), Slope.LEVEL);
    assertThat(Levels.of(network, state).surface(PartId.of("tank"))).isCloseTo(1, within(1e-9));
    assertThat(Simulation.start(network, state).moment().flows().end(PartId.of("end"))).isZero();
  }
}
