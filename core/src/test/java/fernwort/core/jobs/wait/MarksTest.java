package fernwort.core.jobs.wait;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.jobs.find.FillToMark;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * When a tank is full, empty or at a mark: half a metre square and tall, 250 mL to a millimetre.
 */
class MarksTest {

  private static Rig rig(boolean vent) {
    Tank tank =
        (Tank)
            Fittings.tank(
                Contents.FRESH,
                new Shape.Box(0.5, 0.5, 0.5),
                0,
                Fittings.stick(0.1, 0.1),
                Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.1, 0.02),
                Fittings.port(PortId.of("fill"), TankPort.Use.FILL, 0.1, 0.1, 0.45),
                Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.48));
    return CaseRigs.rig()
        .part(
            "tank",
            "Tank",
            0,
            0,
            1,
            vent
                ? tank
                : tank.withPorts(
                    tank.tankPorts().stream().filter(p -> p.use() != TankPort.Use.VENT).toList()))
        .build();
  }

  private static State holding(Rig rig, double litres) {
    return new State(rig.atRest(), Map.of(PartId.of("tank"), litres / 1000), Slope.LEVEL);
  }

  @ParameterizedTest
  @CsvSource({"119.9, false", "120.1, true", "125, true"})
  void aTankIsFullWhenItsVentIsUnderWater(double litres, boolean full) {
    Rig rig = rig(true);
    assertThat(Marks.isFull(Network.of(rig), holding(rig, litres), PartId.of("tank")))
        .isEqualTo(full);
  }

  @ParameterizedTest
  @CsvSource({"120.1, false", "124.9, false", "125, true"})
  void withoutAVentItIsFullWhenNotADropMoreFits(double litres, boolean full) {
    Rig rig = rig(false);
    assertThat(Marks.isFull(Network.of(rig), holding(rig, litres), PartId.of("tank")))
        .isEqualTo(full);
  }

  @ParameterizedTest
  @CsvSource({"0, true", "4.9, true", "5.1, false", "110, false"})
  void aTankIsDryWhenItsOutletIsAboveTheWater(double litres, boolean dry) {
    Rig rig = rig(true);
    assertThat(Marks.isDry(Network.of(rig), holding(rig, litres), PartId.of("tank")))
        .isEqualTo(dry);
  }

  @ParameterizedTest
  @CsvSource({"0, true", "2.4, true", "2.6, false", "4.9, false"})
  void aDrainIsAnOutletToo(double litres, boolean dry) {
    PartId id = PartId.of("tank");
    Rig rig =
        RigEdit.of(rig(true))
            .change(
                id,
                p -> {
                  List<TankPort> ports = new ArrayList<>(((Tank) p.kind()).tankPorts());
                  ports.add(Fittings.port(PortId.of("drain"), TankPort.Use.DRAIN, 0.1, 0.1, 0.01));
                  return p.with(((Tank) p.kind()).withPorts(ports));
                });
    assertThat(Marks.isDry(Network.of(rig), holding(rig, litres), id)).isEqualTo(dry);
  }

  @ParameterizedTest
  @CsvSource({"59.98, false", "59.995, true", "60, true", "61, true"})
  void aMarkIsReachedToAHundredthOfALitre(double litres, boolean reached) {
    Rig rig = DemoRig.all().getFirst().rig();
    Network network = Network.of(rig);
    Job job = Jobs.of(network).byId("fill-main-inlet~to~60").orElseThrow();
    Job.Until until = job.stages().getFirst().until().orElseThrow();
    State state =
        new State(
            rig.atRest(),
            Map.of(PartId.of("main"), litres / 1000, PartId.of("low"), 0.02),
            Slope.LEVEL);
    assertThat(Marks.isReached(network, state, job, until)).isEqualTo(reached);
  }

  @Test
  void onlyAFillingByAHoseOrALiftHasAMark() {
    Jobs jobs = Jobs.of(Network.of(DemoRig.all().getFirst().rig()));
    assertThat(FillToMark.tank(jobs.byId("fill-main-inlet").orElseThrow()))
        .contains(PartId.of("main"));
    assertThat(FillToMark.tank(jobs.byId("fill-all-inlet").orElseThrow())).isEmpty();
    assertThat(FillToMark.tank(jobs.byId("move-main-low-pump").orElseThrow())).isEmpty();
    Jobs tern = Jobs.of(Network.of(DemoRig.all().getLast().rig()));
    assertThat(FillToMark.tank(tern.byId("lift-fore-bucket").orElseThrow()))
        .contains(PartId.of("fore"));
    Job filling = jobs.byId("fill-main-inlet").orElseThrow();
    assertThat(FillToMark.name(filling, new BigDecimal("60.50")))
        .isEqualTo("fill-main-inlet~to~60.5");
    assertThat(jobs.byId("fill-main-inlet~to~0")).isEmpty();
    assertThat(jobs.byId("fill-main-inlet~to~1e9")).isEmpty();
    assertThat(jobs.byId("run-main~to~60")).isEmpty();
  }

  @Test
  void otherWaysToTheSameAreAlternatives() {
    Jobs jobs = Jobs.of(Network.of(DemoRig.all().getFirst().rig()));
    assertThat(jobs.alternatives(jobs.byId("move-main-low-pump").orElseThrow()))
        .extracting(Job::id)
        .containsExactly("move-main-low-fall");
    assertThat(jobs.alternatives(jobs.byId("run-main").orElseThrow())).isEmpty();
  }
}
