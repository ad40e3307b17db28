package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** Whoever draws a rig reads what stands beside its parts, not how a file calls them. */
class CalledByLabelTest {

  private static final Rig RIG = ReadyRig.find("pump-or-drain").orElseThrow().rig();

  private static final List<ProfilePoint> AT_30_M = List.of(new ProfilePoint(30, 1));

  private static String said(Supplier<Rig> change) {
    InvalidRigException faults =
        catchThrowableOfType(InvalidRigException.class, () -> change.get());
    return CalledByLabel.in(RIG, faults).getMessage();
  }

  @Test
  void aPortThatIsTakenIsCalledByWhatItLeadsTo() {
    Line line = RIG.lines().getFirst();
    Line second =
        new Line(
            LineId.of("again"),
            "Again",
            line.from(),
            RIG.part(PartId.of("sink")).port(PortId.WASTE),
            0.01,
            1,
            line.material(),
            1,
            List.of());
    String said = said(() -> RigEdit.of(RIG).connect(second));
    assertThat(said)
        .contains("the new line")
        .contains(RIG.part(line.from().part()).label())
        .contains("“" + line.label() + "”")
        .doesNotContain(line.from().toString())
        .doesNotContain("line again");
  }

  @Test
  void aPartAndItsPlaceAreCalledByTheirLabels() {
    assertThat(said(() -> RigEdit.of(RIG).change(PartId.of("pump"), p -> p.atHeight(40))))
        .startsWith("“Pump”: its height of 40");
    Line line = RigEdit.of(RIG).line(LineId.of("pump-out-sink"));
    assertThat(said(() -> RigEdit.of(RIG).changeLine(line.id(), l -> l.along(AT_30_M))))
        .startsWith("“" + line.label() + "”: its profile");
  }

  @Test
  void aPositionIsCalledByHowItsHandleLooks() {
    ThreeWayValve valve = (ThreeWayValve) RIG.part(PartId.of("selector")).kind();
    Stop first = valve.stops().getFirst();
    Stop wrong = new Stop(first.id(), first.words(), 999, first.joins());
    List<Stop> stops = List.of(wrong, valve.stops().getLast());
    String said =
        said(() ->
            RigEdit.of(RIG)
                .change(
                    PartId.of("selector"),
                    p -> p.with(new ThreeWayValve(stops, Optional.empty()))));
    assertThat(said)
        .contains("“" + RIG.part(PartId.of("selector")).label() + "”, when it " + first.words())
        .doesNotContain("part selector");
  }
}
