package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.jobs.find.FilterRow;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.line.Filter.Grade;
import fernwort.core.kind.line.Tee;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What can be done with each rig that we ship, gone through by hand: a job that vanishes is missed
 * here, and one that comes is looked at. Making ready to drive, arriving and resting every rig can.
 */
class JobsFoundTest {

  private static Map<String, Rig> rigs() {
    Map<String, Rig> rigs = new TreeMap<>();
    DemoRig.all().forEach(d -> rigs.put(d.id(), d.rig()));
    ReadyRig.all().forEach(r -> rigs.put(r.id(), r.rig()));
    return rigs;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          marginalia | run-main refill-main-inlet run-low refill-low-inlet run-together run-inlet \
          fill-main-inlet fill-low-inlet fill-all-inlet move-main-low-pump move-main-low-fall \
          move-low-main-pump stir-main stir-low rinse-rinse-inlet rinse-rinse-main \
          rinse-rinse-low heat-heater-main heat-heater-low heat-heater-inlet \
          empty-gray-dump-outlet shed-low-low-drain
          samphire | run-tank pour-tank-filler jug-tank-jug shed-tank-drain-cap
          tern | run-fore refill-fore-inlet run-arch run-aft run-together run-inlet draw-bucket \
          fill-fore-inlet fill-through-fore-inlet lift-fore-bucket lift-through-fore-bucket \
          move-fore-arch-fall \
          move-fore-aft-fall move-arch-fore-pump move-aft-fore-pump move-aft-arch-fall \
          filter-fore-sediment stir-fore heat-heater-fore heat-heater-arch heat-heater-aft \
          heat-heater-inlet round-loop-pump empty-gray-gray-cap empty-gray-mace-outlet-pump \
          shed-fore-frost-tail shed-fore-sump-tail shed-arch-frost-tail shed-arch-sump-tail \
          shed-aft-frost-tail shed-aft-sump-tail
          jug | run-can pour-can-neck empty-gray-can-carried
          one-tank | run-fresh pour-fresh-filler empty-gray-outlet shed-fresh-drain-cap
          pump-or-drain | run-fresh pour-fresh-filler empty-gray-outlet shed-fresh-drain-tail
          main-and-low | run-fresh pour-fresh-filler pour-low-low-fill-cap move-low-fresh-pump \
          empty-gray-outlet shed-fresh-main-plug shed-low-low-drain
          three-in-a-row | run-first pour-through-first-filler pour-first-filler empty-gray-outlet \
          shed-first-drain-1 shed-first-house-drain shed-second-drain-2 shed-third-drain
          shore-and-bucket | run-fresh refill-fresh-inlet run-inlet draw-bucket fill-fresh-inlet \
          lift-fresh-bucket stir-fresh empty-gray-outlet shed-fresh-drain-tail
          long-stay | run-fresh refill-fresh-inlet run-inlet fill-fresh-inlet \
          filter-fresh-sediment stir-fresh heat-heater-fresh heat-heater-inlet round-loop-pump \
          empty-gray-outlet shed-fresh-drain
          haulage | draw-hose-outside pour-tank-hatch lift-tank-outside deliver-tank-hose stir-tank rinse-hose-tank rinse-hose-tank-fall
          """)
  void everyJobOfARigIsFoundAndNoOther(String rig, String jobs) {
    Network network = Network.of(Objects.requireNonNull(rigs().get(rig)));
    assertThat(Jobs.of(network).all())
        .extracting(Job::id)
        .containsExactlyInAnyOrder((jobs + " drive arrive rest").split(" "));
  }

  /** One tap hangs on a pump, another lower than the tank. */
  @Test
  void tapsByPumpAndByFallAreTwoJobs() {
    Rig rig =
        CaseRigs.vented(
                CaseRigs.rig().part("tank", "Tank", 0, 0, 1, CaseRigs.tank()), PartId.of("tank"), 1)
            .part("tee", "Tee", 0, 0, 0.9, new Tee())
            .part("pump", "Pump", 0, 0, 0.8, Fittings.pressurePump(10, 2.5))
            .part("sink", "Sink", 0, 0, 1.8, Fittings.fixture(Type.TAP, true, 6))
            .part("low", "Low tap", 0, 0, 0.4, Fittings.fixture(Type.TAP, true, 6))
            .line("a", "A", "tank.low > tee.a", 19, 1, Material.PEX, 0)
            .line("b", "B", "tee.b > pump.in", 19, 1, Material.PEX, 0)
            .line("c", "C", "pump.out > sink.cold", 12, 1, Material.PEX, 0)
            .line("d", "D", "tee.c > low.cold", 12, 1, Material.PEX, 0)
            .build();
    Jobs jobs = Jobs.of(Network.of(rig));
    assertThat(jobs.byId("run-tank").orElseThrow().by()).isEqualTo("by pump");
    assertThat(jobs.byId("run-tank-fall").orElseThrow().by()).isEqualTo("by gravity");
  }

  /** Two behind each other, whatever has two ends between them; one on a branch. */
  @Test
  void filtersThatAllWaterOfOnePassesAreARow() {
    RigBuilder builder =
        CaseRigs.rig()
            .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
            .part("one", "One", 0, 0, 0.8, Fittings.filter(Grade.SEDIMENT, 8, 0.2))
            .part("check", "Check", 0, 0, 0.8, Fittings.check())
            .part("two", "Two", 0, 0, 0.8, Fittings.filter(Grade.SEDIMENT, 8, 0.2))
            .part("tee", "Tee", 0, 0, 0.8, new Tee())
            .part("three", "Three", 0, 0, 0.8, Fittings.filter(Grade.SEDIMENT, 8, 0.2))
            .part("sink", "Sink", 0, 0, 0.5, Fittings.fixture(Type.TAP, true, 6))
            .part("basin", "Basin", 0, 0, 0.5, Fittings.fixture(Type.TAP, true, 6))
            .line("a", "A", "tank.low > one.in", 19, 1, Material.PEX, 0)
            .line("b", "B", "one.out > check.in", 19, 1, Material.PEX, 0)
            .line("c", "C", "check.out > two.in", 19, 1, Material.PEX, 0)
            .line("d", "D", "two.out > tee.a", 19, 1, Material.PEX, 0)
            .line("e", "E", "tee.b > three.in", 19, 1, Material.PEX, 0)
            .line("f", "F", "three.out > sink.cold", 12, 1, Material.PEX, 0)
            .line("g", "G", "tee.c > basin.cold", 12, 1, Material.PEX, 0);
    Network network = Network.of(CaseRigs.vented(builder, PartId.of("tank"), 1).build());
    assertThat(FilterRow.of(network))
        .extracting(row -> row.filters().stream().map(Part::id).toList())
        .containsExactly(List.of(PartId.of("one"), PartId.of("two")), List.of(PartId.of("three")));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          marginalia | Drain Main fresh
          samphire | Run the taps from mains water; Use an outside shower; Heat water
          tern | Use an outside shower
          jug | Run the taps from mains water; Use an outside shower; Heat water; Drain Fresh can
          one-tank | Run the taps from mains water; Use an outside shower; Heat water
          pump-or-drain | Run the taps from mains water; Use an outside shower; Heat water
          main-and-low | Run the taps from Low fresh; Run the taps from mains water; Use an outside shower; \
          Heat water
          three-in-a-row | Run the taps from Second fresh; Run the taps from Third fresh; Run the \
          taps from mains water; Use an outside shower; Heat water
          shore-and-bucket | Use an outside shower; Heat water
          long-stay | Use an outside shower
          haulage | Run the taps from Haulage tank; Run the taps from mains water; Heat water
          """)
  void whatItCannotDoIsSaid(String rig, String cannot) {
    Network network = Network.of(Objects.requireNonNull(rigs().get(rig)));
    assertThat(Jobs.of(network).cannot())
        .extracting(Jobs.Cannot::what)
        .containsExactlyInAnyOrder(cannot.split("; "));
    assertThat(Jobs.of(network).cannot()).allSatisfy(c -> assertThat(c.why()).isNotEmpty());
  }

  @Test
  void aCanWithoutADrainIsCarried() {
    Network network = Network.of(Objects.requireNonNull(rigs().get("jug")));
    assertThat(Jobs.of(network).byId("empty-gray-can-carried"))
        .hasValueSatisfying(j -> assertThat(j.by()).isEqualTo("carried out"));
    assertThat(Jobs.of(network).cannot()).noneMatch(c -> c.what().equals("Empty Gray can"));
  }
}
