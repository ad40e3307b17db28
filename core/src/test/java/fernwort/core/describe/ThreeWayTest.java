package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import org.junit.jupiter.api.Test;

/** Answers change what they describe, and what was drawn since stays. */
class ThreeWayTest {

  private static final Rig BEFORE = DemoRig.called("tern").rig();
  private static final PartId FORE = PartId.of("fore");
  private static final PartId SINK = PartId.of("sink");

  private static Part fore(Rig rig) {
    return rig.part(FORE);
  }

  @Test
  void whereOnlyOneChangedAnythingItIsTheirs() {
    Rig answered = RigEdit.of(BEFORE).rename("Answered");
    Rig drawn = RigEdit.of(BEFORE).change(FORE, p -> p.called("Bow tank"));
    assertThat(ThreeWay.joined(BEFORE, answered, BEFORE)).isEqualTo(answered);
    assertThat(ThreeWay.joined(BEFORE, BEFORE, drawn)).isEqualTo(drawn);
    assertThat(ThreeWay.joined(BEFORE, drawn, drawn)).isEqualTo(drawn);
  }

  @Test
  void bothChangesOfOnePartAreKept() {
    double higher = fore(BEFORE).height() + 0.05;
    Rig answered = RigEdit.of(BEFORE).change(FORE, p -> p.atHeight(higher));
    Rig drawn = RigEdit.of(BEFORE).change(FORE, p -> p.called("Bow tank"));
    Part both = fore(ThreeWay.joined(BEFORE, answered, drawn));
    assertThat(both.label()).isEqualTo("Bow tank");
    assertThat(both.height()).isEqualTo(higher);
  }

  @Test
  void whatWasDrawnBesideItStaysAndWhatWasTakenAwayIsGone() {
    LineId gone = BEFORE.lines().getLast().id();
    Part drawnPart =
        new Part(
            PartId.of("spare"),
            "Spare tap",
            BEFORE.part(SINK).place(),
            BEFORE.part(SINK).x(),
            BEFORE.part(SINK).y(),
            BEFORE.part(SINK).height(),
            BEFORE.part(SINK).volume(),
            BEFORE.part(SINK).kind());
    Rig drawn = RigEdit.of(RigEdit.of(BEFORE).add(drawnPart)).disconnect(gone);
    Rig answered = RigEdit.of(BEFORE).change(SINK, p -> p.called("Galley"));
    Rig both = ThreeWay.joined(BEFORE, answered, drawn);
    assertThat(both.part(drawnPart.id())).isEqualTo(drawnPart);
    assertThat(both.part(SINK).label()).isEqualTo("Galley");
    assertThat(both.lines()).extracting(l -> l.id()).doesNotContain(gone);
  }

  @Test
  void whatDoesNotFitTogetherIsRefused() {
    Rig without = BEFORE;
    for (Line line : RigEdit.of(BEFORE).linesAt(SINK)) {
      without = RigEdit.of(without).disconnect(line.id());
    }
    Rig answered = RigEdit.of(without).remove(SINK);
    LineId atSink = RigEdit.of(BEFORE).linesAt(SINK).getFirst().id();
    Rig drawn = RigEdit.of(BEFORE).disconnect(atSink);
    Rig rejoined =
        RigEdit.of(drawn)
            .connect(
                new Line(
                    LineId.of("by-hand"),
                    "By hand",
                    BEFORE.line(atSink).from(),
                    BEFORE.line(atSink).to(),
                    BEFORE.line(atSink).bore(),
                    BEFORE.line(atSink).length(),
                    BEFORE.line(atSink).material(),
                    BEFORE.line(atSink).minorLoss(),
                    BEFORE.line(atSink).profile(),
                    BEFORE.line(atSink).insulation()));
    assertThatThrownBy(() -> ThreeWay.joined(BEFORE, answered, rejoined))
        .isInstanceOf(InvalidRigException.class);
  }
}
