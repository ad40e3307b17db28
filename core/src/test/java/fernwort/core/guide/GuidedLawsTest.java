package fernwort.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.describe.RigEdit;
import fernwort.core.guide.Answers.Size;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
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
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** Laws of rigs that are made from answers, on rigs that nobody drew. */
class GuidedLawsTest {

  /** With a pump that draws water up: another may not, and then says so on the Board. */
  private static Answers pumped(Answers drawn) {
    // An outlet that was shown at the top gives nothing, rightly.
    Answers a = drawn.with(drawn.tanks().stream().map(t -> t.opened(List.of())).toList());
    Answers.Pump p = a.pump();
    return a.pumping(
        new Answers.Pump(
            Kind.Pump.Type.DIAPHRAGM,
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
    Guided guided = Guided.of(AnyAnswers.of(seed));
    Rig rig = guided.rig();
    assertThat(RigLimits.problems(rig)).isEmpty();
    RigEdit edit = RigEdit.of(rig);
    boolean supplied =
        rig.tanks(Contents.FRESH).findAny().isPresent() || rig.partsById().containsKey("house-tee");
    for (Part part : rig.parts()) {
      boolean dryTap = part.kind() instanceof Kind.Fixture && !supplied;
      assertThat(edit.freePorts(part.id()))
          .as(part.label())
          .allMatch(port ->
              port.equals("mouth")
                  || port.equals("waste")
                  || dryTap
                  || port.equals("hot") && part.kind() instanceof Kind.Heater
                  || rig.lines().isEmpty());
    }
    assertThat(Directions.of(Plumbing.of(rig)).reversedCheckValves()).isEmpty();
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
    Answers answers = AnyAnswers.of(seed);
    Rig rig =
        Guided.of(
                answers.with(
                    answers.tanks().stream()
                        .map(t ->
                            new Answers.Tank(
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
                                t.spot(),
                                edge(random, 0.05, 4),
                                t.fills(),
                                t.neck(),
                                edge(random, 0.1, 4),
                                edge(random, 0.05, 5),
                                t.ventRises(),
                                t.drain(),
                                t.from(),
                                t.openings()))
                        .toList()))
            .rig();
    assertThat(RigLimits.problems(rig)).isEmpty();
    Plumbing plumbing = Plumbing.of(rig);
    for (Part part : plumbing.tanks()) {
      assertThat(plumbing.room(part.id()).capacity()).as(part.label()).isPositive();
    }
  }

  /** With the handles set for it, every tap of a rig with a pump runs. */
  @Property(tries = 120)
  void everyTapRunsFromAFullTankWithThePumpOn(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Guided guided = Guided.of(pumped(AnyAnswers.of(seed)));
    Rig rig = guided.rig();
    if (rig.tanks(Contents.FRESH).findAny().isEmpty()) {
      return;
    }
    Plumbing plumbing = Plumbing.of(rig);
    Map<String, Double> volumes = new HashMap<>();
    rig.tanks(Contents.FRESH)
        .forEach(t -> volumes.put(t.id(), 0.9 * plumbing.room(t.id()).capacity()));
    Setting set = rig.atRest();
    for (Map.Entry<String, String> handle : guided.running().entrySet()) {
      set = set.with(handle.getKey(), handle.getValue());
    }
    for (Part part : rig.parts()) {
      if (part.kind() instanceof Kind.Fixture tap) {
        State open = new State(set.with(part.id(), tap.cold().id()), volumes, Slope.LEVEL);
        assertThat(Hydraulics.of(plumbing).solve(open).fixture(part.id()))
            .as(part.label())
            .isGreaterThan(1e-6);
      }
    }
  }

  /** Every tank that is filled from another gets its water, with the valve open and the pump on. */
  @Property(tries = 120)
  void aTankThatIsFilledFromAnotherRises(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Answers answers = pumped(AnyAnswers.of(seed));
    Guided guided = Guided.of(answers);
    Rig rig = guided.rig();
    Plumbing plumbing = Plumbing.of(rig);
    for (Answers.Tank tank : answers.tanks(Contents.FRESH)) {
      Optional<Answers.Tank> source = TankMaker.source(answers, tank);
      if (source.isEmpty()) {
        continue;
      }
      String from = guided.tanks().getOrDefault(source.orElseThrow().id(), "");
      String to = guided.tanks().getOrDefault(tank.id(), "");
      Map<String, Double> volumes =
          Map.of(
              from, 0.9 * plumbing.room(from).capacity(), to, 0.2 * plumbing.room(to).capacity());
      Setting set =
          rig.atRest()
              .with(id(rig, "Valve for " + tank.label()), "open")
              .with(id(rig, "Pump for " + tank.label()), "on");
      assertThat(Hydraulics.of(plumbing).solve(new State(set, volumes, Slope.LEVEL)).tank(to))
          .as(tank.label())
          .isGreaterThan(1e-6);
    }
  }

  private static String id(Rig rig, String label) {
    return rig.parts().stream().filter(p -> p.label().equals(label)).findFirst().orElseThrow().id();
  }
}
