package fernwort.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Addition;
import fernwort.core.describe.RigEdit;
import fernwort.core.describe.TankResize;
import fernwort.core.guide.answers.Passages;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.guide.answers.TankAnswers.Size;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.guide.answers.Venting;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.LineCourse;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigLimits;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.streams.Directions;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** Laws of rigs that are made from answers, on rigs that nobody drew. */
class GuidedLawsTest {

  /** With a pump that draws water up: another may not, and then says so on the Board. */
  static RigAnswers pumped(RigAnswers drawn) {
    // An outlet that was shown at the top gives nothing, rightly.
    RigAnswers a = drawn.with(drawn.tanks().stream().map(t -> t.opened(List.of())).toList());
    PumpAnswers p = a.pump();
    return a.pumping(
        new PumpAnswers(
            Pump.Type.DIAPHRAGM,
            p.spot(),
            p.height(),
            p.flow(),
            p.cutOut(),
            p.accumulator(),
            p.filters(),
            p.hot(),
            p.heaterVolume(),
            p.manifolds()));
  }

  @Property(tries = 300)
  void whateverIsAnsweredMakesASoundRigWithNoPortLeftOpen(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    RigAnswers answers = AnyAnswers.of(seed);
    Guided guided = Guided.of(answers);
    Rig rig = guided.rig();
    assertThat(RigLimits.problems(rig)).isEmpty();
    RigEdit edit = RigEdit.of(rig);
    boolean supplied =
        answers.tanks(Contents.FRESH).stream().anyMatch(t -> TankTies.isDrawnFrom(answers, t))
            || rig.partsById().containsKey(PartId.of("pump"))
            || rig.partsById().containsKey(PartId.of("house-tee"));
    for (Part part : rig.parts()) {
      boolean dryTap = part.kind() instanceof Fixture && !supplied;
      assertThat(edit.freePorts(part.id()))
          .as(part.label())
          .allMatch(port ->
              port.equals(PortId.of("mouth"))
                  || port.equals(PortId.WASTE)
                  || dryTap
                  || port.equals(PortId.HOT) && part.kind() instanceof Heater
                  || rig.lines().isEmpty());
    }
    assertThat(Directions.of(Network.of(rig)).reversedCheckValves()).isEmpty();
  }

  private static double edge(Random random, double low, double high) {
    return switch (random.nextInt(3)) {
      case 0 -> low;
      case 1 -> high;
      default -> low + (high - low) * random.nextDouble();
    };
  }

  /** Tanks of every size that the pages let through, at every height. */
  @Property(tries = 200)
  void theSmallestAndTheLargestTankMakeASoundRigToo(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Random random = new Random(seed);
    RigAnswers answers = AnyAnswers.of(seed);
    Rig rig =
        Guided.of(
                answers.with(
                    answers.tanks().stream()
                        .map(t ->
                            new TankAnswers(
                                t.id(),
                                t.label(),
                                t.contents(),
                                t.litres().map(v -> edge(random, 0.002, 5)),
                                t.size()
                                    .map(z ->
                                        new Size(
                                            edge(random, 0.04, 4),
                                            edge(random, 0.04, 4),
                                            edge(random, 0.04, 4))),
                                t.inside(),
                                t.stands(),
                                t.spot(),
                                edge(random, 0.05, 4),
                                t.fills(),
                                t.neck(),
                                edge(random, 0.1, 4),
                                edge(random, 0.05, 5),
                                t.ventRises(),
                                t.drain(),
                                t.from(),
                                t.openings(),
                                t.venting(),
                                t.passages(),
                                t.form()))
                        .toList()))
            .rig();
    assertThat(RigLimits.problems(rig)).isEmpty();
    Network network = Network.of(rig);
    for (Part part : network.tanks()) {
      assertThat(network.room(part.id()).capacity()).as(part.label()).isPositive();
    }
  }

  /** With the handles set for it, every tap of a rig with a pump runs. */
  @Property(tries = 120)
  void everyTapRunsFromAFullTankWithThePumpOn(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Guided guided = Guided.of(pumped(AnyAnswers.of(seed)));
    Rig rig = guided.rig();
    if (!rig.partsById().containsKey(PartId.of("pump"))) {
      return;
    }
    Network network = Network.of(rig);
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks(Contents.FRESH)
        .forEach(t -> volumes.put(t.id(), 0.9 * network.room(t.id()).capacity()));
    Setting set = rig.atRest();
    for (Map.Entry<PartId, PositionId> handle : guided.running().entrySet()) {
      set = set.with(handle.getKey(), handle.getValue());
    }
    for (Part part : rig.parts()) {
      // A hose on a tank's own outlet is let run by its valve, not by the pump.
      boolean drawn = guided.pages().get(part.id()) == QuestionPage.TAPS;
      if (part.kind() instanceof Fixture tap && drawn) {
        State open = new State(set.with(part.id(), tap.cold().id()), volumes, Slope.LEVEL);
        assertThat(Hydraulics.of(network).solve(open).fixture(part.id()))
            .as("%s on %s, %s", part.label(), seed, guided.ways())
            .isGreaterThan(1e-6);
      }
    }
  }

  /** Two pumps in a line, motors, links and loops: whatever stands open, there is a steady flow. */
  @Property(tries = 150)
  void everyRigHasASteadyFlow(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Guided guided = Guided.of(AnyAnswers.of(seed));
    Network network = Network.of(guided.rig());
    Random random = new Random(seed);
    Setting set = guided.rig().atRest();
    for (Map.Entry<PartId, PositionId> handle : guided.running().entrySet()) {
      set = set.with(handle.getKey(), handle.getValue());
    }
    for (Part part : guided.rig().parts()) {
      if (part.kind() instanceof Fixture tap && random.nextBoolean()) {
        set = set.with(part.id(), tap.cold().id());
      }
    }
    Map<PartId, Double> volumes = new HashMap<>();
    network
        .tanks()
        .forEach(t -> volumes.put(t.id(), random.nextDouble() * network.room(t.id()).capacity()));
    Flows flows = Hydraulics.of(network).solve(new State(set, volumes, Slope.LEVEL));
    assertThat(network.tanks()).allMatch(t -> Double.isFinite(flows.tank(t.id())));
    assertThat(guided.flow().map(Object::toString).orElse("none")).doesNotContain("NaN");
  }

  /** Every tank that is filled from another gets its water, with the valve open and the pump on. */
  @Property(tries = 120)
  void aTankThatIsFilledFromAnotherRises(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    RigAnswers answers = pumped(AnyAnswers.of(seed));
    Guided guided = Guided.of(answers);
    Rig rig = guided.rig();
    Network network = Network.of(rig);
    for (TankAnswers tank : answers.tanks(Contents.FRESH)) {
      Optional<TankAnswers> source = TankTies.source(answers, tank);
      if (source.isEmpty() || tank.passages().by() == Passages.By.OVERFLOW) {
        continue;
      }
      boolean linked = tank.passages().by() == Passages.By.LINK;
      PartId from = guided.tanks().getOrDefault(source.orElseThrow().id(), PartId.NONE);
      PartId to = guided.tanks().getOrDefault(tank.id(), PartId.NONE);
      Map<PartId, Double> volumes =
          Map.of(from, 0.9 * network.room(from).capacity(), to, 0.2 * network.room(to).capacity());
      Setting set = rig.atRest();
      if (linked) {
        for (Map.Entry<PartId, PositionId> handle : guided.running().entrySet()) {
          set = set.with(handle.getKey(), handle.getValue());
        }
        // Some draw by gravity alone and have none.
        for (Part pump : rig.parts()) {
          if (pump.kind().is(Purpose.PUMPS)) {
            set = set.with(pump.id(), pump.rest().id());
          }
        }
      } else {
        set =
            set.with(id(rig, "Valve for " + tank.label()), PositionId.of("open"))
                .with(id(rig, "Pump for " + tank.label()), PositionId.of("on"));
      }
      double comes = Hydraulics.of(network).solve(new State(set, volumes, Slope.LEVEL)).tank(to);
      // A link lets water run to the lower one, whichever that is.
      assertThat(linked ? Math.abs(comes) : comes).as(tank.label()).isGreaterThan(1e-6);
    }
  }

  private static RigAnswers asUsual(long seed) {
    RigAnswers drawn = AnyAnswers.of(seed);
    return drawn.with(drawn.tanks().stream().map(t -> t.opened(List.of())).toList());
  }

  private static List<Double> heights(Tank tank, TankPort.Use... uses) {
    return tank.tankPorts().stream()
        .filter(p -> List.of(uses).contains(p.use()))
        .map(p -> p.at().z())
        .toList();
  }

  /** A vent, and an overflow where somebody said that there is one. */
  private static int openings(RigAnswers answers, Guided guided, Part part) {
    return answers.tanks().stream()
        .filter(t -> part.id().equals(guided.tanks().get(t.id())))
        .mapToInt(t -> t.venting().second() == Venting.Second.NONE ? 1 : 2)
        .findFirst()
        .orElseThrow();
  }

  /** Where nobody showed an opening, air is over water, and what empties a tank at its floor. */
  @Property(tries = 200)
  void airLeavesATankAtItsTopAndWaterAtItsFloor(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    RigAnswers answers = asUsual(seed);
    Guided guided = Guided.of(answers);
    Rig rig = guided.rig();
    for (Part part : rig.tanks().toList()) {
      Tank tank = (Tank) part.kind();
      List<Double> in = heights(tank, Use.FILL, Use.FLOAT);
      List<Double> out = heights(tank, Use.FEED);
      double vent = heights(tank, Use.VENT).getFirst();
      assertThat(heights(tank, Use.VENT))
          .hasSize(openings(answers, guided, part))
          .allMatch(z -> z <= vent && z > vent - 0.011);
      assertThat(in).allMatch(z -> heights(tank, Use.VENT).stream().allMatch(v -> z < v));
      assertThat(out).allMatch(z -> in.stream().allMatch(fill -> fill > z) && z > 0);
      assertThat(heights(tank, Use.DRAIN))
          .allMatch(z -> z > 0 && out.stream().allMatch(o -> o > z));
      assertThat(tank.tankPorts())
          .allMatch(p ->
              p.at().x() > 0
                  && p.at().x() < TankResize.length(tank)
                  && p.at().y() > 0
                  && p.at().y() < TankResize.width(tank));
    }
  }

  /** Every tank, neck and vent is where it was said to be, and no tank sticks out at the rear. */
  @Property(tries = 200)
  void whatIsKnownOfATankIsKept(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    RigAnswers answers = AnyAnswers.of(seed);
    Guided guided = Guided.of(answers);
    Rig rig = guided.rig();
    double half = rig.vehicle().width() / 2;
    for (TankAnswers tank : answers.tanks()) {
      Part part = rig.part(guided.tanks().getOrDefault(tank.id(), PartId.NONE));
      Tank kind = (Tank) part.kind();
      double wall = tank.inside() ? 0 : kind.wall();
      assertThat(part.height() - wall).isCloseTo(tank.bottom(), within(1e-9));
      assertThat(part.x()).isGreaterThan(rig.vehicle().rear());
      assertThat(part.y()).isGreaterThan(-half);
      double width = TankResize.width(kind) + 2 * kind.wall();
      assertThat(part.y() + width).isLessThan(Math.max(half, width - half) + 0.03);
      String end = tank.label() + (tank.venting().overflow() ? " overflow" : " vent");
      Optional<Part> vent = rig.parts().stream().filter(p -> p.label().equals(end)).findFirst();
      Optional<String> into = tank.venting().joins().filter(j -> !j.equals(tank.id()));
      vent.filter(v -> into.isEmpty())
          .ifPresent(v -> assertThat(v.height()).isEqualTo(tank.ventEnd()));
      assertThat(vent.isPresent() || into.filter(guided.tanks()::containsKey).isPresent()).isTrue();
      if (tank.fills().contains(Fill.NECK) || tank.fills().contains(Fill.JUG)) {
        assertThat(rig.part(id(rig, tank.label() + " neck")).height()).isEqualTo(tank.neckHeight());
      }
    }
  }

  /**
   * Lines are as long as the way along, across and up; a vent that rises goes well over its ends.
   */
  @Property(tries = 200)
  void aLineIsAsLongAsItsWay(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Rig rig = Guided.of(AnyAnswers.of(seed)).rig();
    for (Line line : rig.lines()) {
      Point a = rig.part(line.from().part()).at(line.from().port());
      Point b = rig.part(line.to().part()).at(line.to().port());
      double way = Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
      double last = a.z();
      for (ProfilePoint p : LineCourse.of(rig, line).points()) {
        way += Math.abs(p.height() - last);
        last = p.height();
      }
      assertThat(line.length()).as(line.label()).isCloseTo(Addition.SLACK + way, within(1e-9));
      assertThat(line.profile())
          .allMatch(p ->
              p.height() >= Math.max(a.z(), b.z()) + 0.249
                  && p.along() > p.height() - a.z() - 1e-9
                  && line.length() - p.along() > p.height() - b.z());
    }
  }

  /** A trap hangs under its taps and over its tank's inlet, wherever that leaves it room. */
  @Property(tries = 200)
  void wasteFallsToItsTankAndCapsLieBelowWhatTheyDrain(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    RigAnswers answers = AnyAnswers.of(seed);
    Rig rig = Guided.of(answers).rig();
    Map<PortRef, Line> lines = rig.linesByPort();
    for (Part part : rig.parts()) {
      if (part.kind() instanceof DrainTrap) {
        PortRef out = part.port(PortId.OUT);
        PortRef inlet = lines.get(out).other(out);
        double into = rig.part(inlet.part()).at(inlet.port()).z();
        assertThat(part.height()).as(part.label()).isGreaterThan(into + 0.049);
        for (Part above : tapsOver(rig, lines, part.port(PortId.IN))) {
          // A tap that is hardly over the tank's inlet has no room for a trap below it.
          assertThat(above.height() < into + 0.1 || above.height() > part.height())
              .as("%s over %s", above.label(), part.label())
              .isTrue();
        }
      }
      if (part.label().endsWith("drain cap") && part.kind() instanceof Plug) {
        PortRef in = part.port(PortId.IN);
        Part over = rig.part(lines.get(in).other(in).part());
        boolean tank = over.kind() instanceof Tank;
        assertThat(part.height()).isLessThanOrEqualTo(over.at(lines.get(in).other(in).port()).z());
        assertThat(part.height() < rig.vehicle().floor() || tank).isTrue();
      }
    }
  }

  /** The taps whose waste comes to a port, through tees where they share it. */
  private static List<Part> tapsOver(Rig rig, Map<PortRef, Line> lines, PortRef port) {
    Part next = rig.part(lines.get(port).other(port).part());
    if (next.kind() instanceof GravityFiller) {
      return List.of();
    }
    return next.kind() instanceof Tee
        ? Stream.of("a", "b")
            .flatMap(p -> tapsOver(rig, lines, next.port(PortId.of(p))).stream())
            .toList()
        : List.of(next);
  }

  private static PartId id(Rig rig, String label) {
    return rig.parts().stream().filter(p -> p.label().equals(label)).findFirst().orElseThrow().id();
  }
}
