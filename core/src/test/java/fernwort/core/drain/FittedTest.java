package fernwort.core.drain;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.Worked;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What was kept of a rig meets a rig that was changed since. */
class FittedTest {

  static Stream<Rig> rigs() {
    return Worked.shipped();
  }

  /** Each part is taken out, with its lines, under a state that still has it. */
  @ParameterizedTest
  @MethodSource("rigs")
  void whatIsGoneIsLeftOutAndWhatStaysStandsAsItDid(Rig rig) {
    Network whole = Network.of(rig);
    Wintering kept = Filled.of(whole, Practised.filled(whole, 0.5));
    for (Part gone : rig.parts()) {
      Rig less = without(rig, gone.id());
      Wintering fitted = kept.fitted(Network.of(less));
      assertThat(fitted.state().setting().positions().keySet())
          .containsExactlyInAnyOrderElementsOf(less.handles().map(Part::id).toList());
      assertThat(fitted.state().volumes()).doesNotContainKey(gone.id());
      assertThat(fitted.wetness().bodies()).doesNotContainKey(gone.id());
      List<LineId> lines = less.lines().stream().map(l -> l.id()).toList();
      assertThat(lines).containsAll(fitted.wetness().lines().keySet());
      // And back: what is new stands at rest.
      Wintering back = fitted.fitted(whole);
      assertThat(back.state().setting().positions().keySet())
          .containsExactlyInAnyOrderElementsOf(rig.handles().map(Part::id).toList());
    }
  }

  private static Rig without(Rig rig, PartId id) {
    return new Rig(
        rig.name(),
        rig.note(),
        rig.vehicle(),
        rig.places(),
        rig.parts().stream().filter(p -> !p.id().equals(id)).toList(),
        rig.lines().stream()
            .filter(l -> !l.from().part().equals(id) && !l.to().part().equals(id))
            .toList(),
        rig.built());
  }
}
