package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The way of each fixture's waste, walked along line by line. */
class WasteRunsTest {

  static Stream<Rig> rigs() {
    return DemoRig.all().stream().map(DemoRig::rig);
  }

  private static Stream<Part> fixtures(Rig rig) {
    return rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.USE) && p.kind().ports().contains(PortId.WASTE));
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void aWayBeginsAtTheWasteAndEndsWhereWaterStops(Rig rig) {
    List<WasteRuns.Run> all = WasteRuns.of(Network.of(rig));
    assertThat(all.isEmpty())
        .isEqualTo(
            fixtures(rig)
                .allMatch(f ->
                    rig.lines().stream()
                        .noneMatch(l ->
                            l.from().equals(f.port(PortId.WASTE))
                                || l.to().equals(f.port(PortId.WASTE)))));
    fixtures(rig)
        .forEach(fixture -> {
          List<WasteRuns.Run> way =
              all.stream().filter(r -> r.fixture().equals(fixture.id())).toList();
          PortRef at = fixture.port(PortId.WASTE);
          Set<PartId> parts = new HashSet<>(Set.of(fixture.id()));
          for (WasteRuns.Run run : way) {
            PartId here = at.part();
            boolean forward = run.line().from().part().equals(here);
            assertThat(forward || run.line().to().part().equals(here))
                .as(run.line().id().value())
                .isTrue();
            PortRef start = forward ? run.line().from() : run.line().to();
            at = run.line().other(start);
            assertThat(parts.add(at.part())).as("passed once").isTrue();
            double fall = z(rig, start) - z(rig, at);
            assertThat(run.fall()).as(run.line().id().value()).isCloseTo(fall, within(1e-12));
            assertThat(run.gradient()).isCloseTo(fall / run.line().length(), within(1e-12));
          }
          assertThat(way.isEmpty() || stops(rig.part(at.part()))).as(fixture.id().value()).isTrue();
        });
  }

  private static boolean stops(Part part) {
    return part.kind().is(Purpose.HOLDS) || part.kind().is(Purpose.OUTLET);
  }

  private static double z(Rig rig, PortRef port) {
    return rig.part(port.part()).at(port.port()).z();
  }
}
