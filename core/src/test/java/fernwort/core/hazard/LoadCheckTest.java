package fernwort.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Hitch;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The small trailer's coupling carries 24 kg without water; its tank lies ahead of the axle. */
class LoadCheckTest {

  private static final Rig TRAILER = DemoRig.all().get(1).rig();
  private static final Map<PartId, Double> EMPTY = Map.of(PartId.of("tank"), 0.0);

  private static List<Warning.Code> warned(Rig rig, Map<PartId, Double> volumes) {
    return LoadCheck.of(Network.of(rig), volumes).stream().map(Warning::code).toList();
  }

  private static Rig coupled(double lowest, double highest, Optional<Double> weighed) {
    Vehicle v = TRAILER.vehicle();
    double x = v.hitch().orElseThrow().x();
    return RigEdit.of(TRAILER)
        .vehicle(v.standingOn(v.axles(), Optional.of(new Hitch(x, lowest, highest, weighed))));
  }

  @Test
  void aCouplingBelowItsLeastLoadIsADanger() {
    Rig light = coupled(30, 60, Optional.of(24.0));
    assertThat(warned(light, EMPTY)).containsExactly(Warning.Code.HITCH_LIGHT);
    assertThat(LoadCheck.of(Network.of(light), EMPTY).getFirst().severity())
        .isEqualTo(Severity.DANGER);
  }

  @Test
  void waterAheadOfTheAxleMakesItHeavyEnough() {
    assertThat(warned(coupled(25, 200, Optional.of(24.0)), Map.of(PartId.of("tank"), 0.06)))
        .doesNotContain(Warning.Code.HITCH_LIGHT);
  }

  @Test
  void aCouplingThatNobodyWeighedIsNotSaidToBeLight() {
    assertThat(warned(coupled(30, 60, Optional.empty()), EMPTY)).isEmpty();
  }

  @Test
  void aCouplingOverItsLimitIsADanger() {
    assertThat(warned(coupled(0, 20, Optional.of(24.0)), EMPTY))
        .containsExactly(Warning.Code.HITCH_HEAVY);
  }

  @Test
  void anAxleOverItsLimitIsADanger() {
    Vehicle v = TRAILER.vehicle();
    Rig heavy =
        RigEdit.of(TRAILER)
            .vehicle(
                v.standingOn(
                    v.axles().stream()
                        .map(a -> new Axle(a.label(), a.x(), a.emptyLoad() - 1, a.emptyLoad()))
                        .toList(),
                    v.hitch()));
    assertThat(warned(heavy, EMPTY)).contains(Warning.Code.AXLE_OVER);
  }

  private static List<String> said(Rig rig, Map<PartId, Double> volumes) {
    return LoadCheck.of(Network.of(rig), volumes).stream()
        .map(w -> w.title() + " / " + w.what())
        .toList();
  }

  @Test
  void itSaysWhichOneAndByHowMuch() {
    assertThat(said(coupled(30, 60, Optional.of(24.0)), EMPTY))
        .containsExactly(
            "The coupling carries 24 kg, 6 kg too little / The trailer sways, and can throw what"
                + " pulls it off the road.");
    assertThat(said(coupled(0, 20, Optional.of(24.0)), EMPTY))
        .containsExactly(
            "The coupling carries 24 kg, 4 kg too much / The coupling or what pulls it gives way.");
    Vehicle v = TRAILER.vehicle();
    Rig heavy =
        RigEdit.of(TRAILER)
            .vehicle(v.standingOn(List.of(new Axle("only", 0, 200, 205)), v.hitch()));
    assertThat(said(heavy, EMPTY))
        .containsExactly(
            "The axle carries 205 kg, 5 kg too much / Tyres, springs or axle give way.");
  }

  @Test
  void aLoadThatIsJustAtItsLimitIsNone() {
    assertThat(warned(coupled(24, 24, Optional.of(24.0)), EMPTY)).isEmpty();
    Vehicle v = TRAILER.vehicle();
    Rig just =
        RigEdit.of(TRAILER)
            .vehicle(v.standingOn(List.of(new Axle("only", 0, 205, 205)), v.hitch()));
    assertThat(warned(just, EMPTY)).isEmpty();
  }

  /** The trailer's tank moved to one side, so that its water leans there. */
  private static Rig leaning(double y) {
    return RigEdit.of(TRAILER)
        .change(
            PartId.of("tank"),
            p ->
                new Part(p.id(), p.label(), p.place(), p.x(), y, p.height(), p.volume(), p.kind()));
  }

  @Test
  void waterOnOneSideIsSaidWithItsSideAndNotWhenItLiesEvenly() {
    Map<PartId, Double> full = Map.of(PartId.of("tank"), 0.06);
    assertThat(said(leaning(0.4), full))
        .anyMatch(w -> w.startsWith("The water lies ") && w.contains("heavier on the left / "));
    assertThat(said(leaning(-0.8), full)).anyMatch(w -> w.contains("heavier on the right / "));
    assertThat(warned(leaning(-0.21), full)).doesNotContain(Warning.Code.SIDE);
    assertThat(warned(leaning(0.4), Map.of())).doesNotContain(Warning.Code.SIDE);
  }
}
