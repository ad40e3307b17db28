package fernwort.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Point;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.LongRange;

/** On a slope everything is as if the rig itself had been turned on level ground. */
class TurnedTest {

  /** Turns a point as the vehicle is turned: first its nose up, then its left side. */
  private static Point turned(Point p, Slope slope) {
    double pitch = Math.toRadians(slope.pitch());
    double roll = Math.toRadians(slope.roll());
    double y = p.y() * Math.cos(roll) - p.z() * Math.sin(roll);
    double up = p.y() * Math.sin(roll) + p.z() * Math.cos(roll);
    double x = p.x() * Math.cos(pitch) - up * Math.sin(pitch);
    return new Point(x, y, p.x() * Math.sin(pitch) + up * Math.cos(pitch));
  }

  @Property(tries = 60)
  void portsAndCrestsStandWhereTurningTheRigPutsThem(
      @ForAll @DoubleRange(min = -15, max = 15) double pitch,
      @ForAll @DoubleRange(min = -15, max = 15) double roll) {
    Slope slope = new Slope(pitch, roll);
    for (DemoRig demo : DemoRig.all()) {
      Network network = Network.of(demo.rig());
      State state = new State(demo.state().setting(), demo.state().volumes(), slope);
      Levels levels = Levels.of(network, state);
      for (Part part : demo.rig().parts()) {
        for (PortId port : part.kind().ports()) {
          assertThat(levels.height(part.port(port)))
              .as("%s.%s", part.id(), port)
              .isCloseTo(turned(part.at(port), slope).z(), within(1e-9));
        }
      }
      for (Line line : demo.rig().lines()) {
        double crest =
            course(demo.rig(), line).stream()
                .mapToDouble(p -> turned(p, slope).z())
                .max()
                .orElseThrow();
        assertThat(levels.crest(line.id())).as(line.id().value()).isCloseTo(crest, within(1e-9));
      }
    }
  }

  /** The points that a line runs through: its height given along it, straight seen from above. */
  private static List<Point> course(Rig rig, Line line) {
    Point a = rig.part(line.from().part()).at(line.from().port());
    Point b = rig.part(line.to().part()).at(line.to().port());
    List<Point> course = new ArrayList<>(List.of(a));
    for (ProfilePoint p : line.profile()) {
      double share = p.along() / line.length();
      course.add(
          new Point(a.x() + share * (b.x() - a.x()), a.y() + share * (b.y() - a.y()), p.height()));
    }
    course.add(b);
    return course;
  }

  @Property(tries = 100)
  void waterFlowsAsItDoesWhenTheRigIsTurned(
      @ForAll @LongRange(min = 0, max = 1 << 20) long seed,
      @ForAll @DoubleRange(min = -12, max = 12) double pitch,
      @ForAll @DoubleRange(min = -12, max = 12) double roll) {
    Slope slope = new Slope(pitch, roll);
    Rig rig = scattered(seed, Slope.LEVEL);
    Rig turned = scattered(seed, slope);
    Setting open = rig.atRest().with(PartId.of("inlet"), PositionId.of("mains"));
    for (Part part : rig.parts()) {
      open = part.kind() instanceof Fixture ? open.with(part.id(), PositionId.of("open")) : open;
    }
    Flows onSlope = Hydraulics.of(Network.of(rig)).solve(new State(open, Map.of(), slope));
    Flows onLevel = Hydraulics.of(Network.of(turned)).solve(new State(open, Map.of(), Slope.LEVEL));
    onSlope
        .fixtures()
        .forEach((tap, q) ->
            assertThat(onLevel.fixture(tap)).as(tap.value()).isCloseTo(q, within(1e-9)));
    assertThat(onSlope.fixtures()).isNotEmpty();
  }

  /** A hose inlet and a row of taps here and there in a vehicle, turned as it stands on a slope. */
  private static Rig scattered(long seed, Slope slope) {
    Random random = new Random(seed);
    RigBuilder rig = CaseRigs.rig();
    put(rig, "inlet", new Point(0, 0, 2), slope, Fittings.inlet(0.3));
    String before = "inlet.out";
    int taps = 2 + random.nextInt(3);
    for (int i = 0; i < taps; i++) {
      Point at = somewhere(random);
      put(rig, "tee" + i, at, slope, new Tee());
      put(rig, "tap" + i, somewhere(random), slope, Fittings.fixture(Fixture.Type.TAP, true, 4));
      rig.line("l" + i, "Line", before + " > tee" + i + ".a", 12, 3, Line.Material.PEX, 1)
          .line(
              "t" + i,
              "Tap line",
              "tee" + i + ".b > tap" + i + ".cold",
              10,
              2,
              Line.Material.PEX,
              1);
      before = "tee" + i + ".c";
    }
    return rig.build();
  }

  private static Point somewhere(Random random) {
    return new Point(
        -0.5 + 3 * random.nextDouble(),
        -0.8 + 1.6 * random.nextDouble(),
        1.5 + random.nextDouble());
  }

  private static void put(RigBuilder rig, String id, Point at, Slope slope, Kind kind) {
    Point there = turned(at, slope);
    rig.part(id, id, there.x(), there.y(), there.z(), kind);
  }
}
