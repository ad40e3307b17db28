package fernwort.app.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Sampled;
import fernwort.app.SharedCopy;
import fernwort.core.demo.ReadyAnswers;
import fernwort.core.demo.ReadyRig;
import fernwort.core.guide.Guided;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.machine.Pump;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A rig as it is while somebody describes it: every page of it stands, whatever is missing yet. */
class HalfBuiltPagesTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  /** So many of them daily. */
  private static final int FEW = 3;

  static List<Rig> halfBuilt() {
    RigAnswers answers = ReadyAnswers.of("long-stay", "Tanks alone").orElseThrow();
    List<Rig> all =
        List.of(
            Guided.of(RigAnswers.of("Nothing yet")).rig(),
            Guided.of(RigAnswers.of("Tanks alone").with(answers.tanks())).rig(),
            Guided.of(RigAnswers.of("Taps alone").tapping(answers.taps())).rig(),
            Guided.of(
                    RigAnswers.of("Inlet alone").filledBy(answers.mains()).tapping(answers.taps()))
                .rig(),
            without("No lines", p -> false),
            without("No tank", p -> p.kind() instanceof Tank),
            without("No pump", p -> p.kind() instanceof Pump));
    return Sampled.of(all, FEW);
  }

  /** A ready layout as far as somebody has come: without some parts, or without every line. */
  private static Rig without(String name, Predicate<Part> missing) {
    Rig rig = ReadyRig.find("shore-and-bucket").orElseThrow().rig();
    List<Part> parts = rig.parts().stream().filter(missing.negate()).toList();
    List<PartId> there = parts.stream().map(Part::id).toList();
    boolean all = there.size() == rig.parts().size();
    return new Rig(
        name,
        "",
        rig.vehicle(),
        rig.places(),
        parts,
        rig.lines().stream()
            .filter(l -> !all)
            .filter(l -> there.contains(l.from().part()) && there.contains(l.to().part()))
            .toList());
  }

  @ParameterizedTest
  @MethodSource("halfBuilt")
  void everyPageOfAHalfBuiltRigStands(Rig rig) throws IOException {
    assertThat(Pages.within(COPY.mvc()).look(COPY.add(rig))).as(rig.name()).isEmpty();
  }
}
