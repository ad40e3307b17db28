package fernwort.core.fault;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Uncovered;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is undone after the steps before it lets nothing out, whatever ran and stood open. */
class BeforeUndoingTest {

  private static final double FULL = 0.8;

  /** Each demo with its machines on and its tanks nearly full. */
  static Stream<DemoRig> demos() {
    return DemoRig.all().stream();
  }

  private static State busy(Rig rig, State demo) {
    State busy = demo;
    Network network = Network.of(rig);
    for (Part part : rig.parts()) {
      boolean machine = part.kind().is(Purpose.DRIVES) || part.kind().is(Purpose.HEATS);
      if (machine && part.kind().positions().stream().anyMatch(p -> p.id().equals(Kind.ON))) {
        busy = busy.with(part.id(), Kind.ON);
      }
    }
    for (Part tank : network.tanks()) {
      busy = busy.withVolume(tank.id(), FULL * network.room(tank.id()).capacity());
    }
    return busy;
  }

  @ParameterizedTest
  @MethodSource("demos")
  void aLineTakenOffThenLosesNothing(DemoRig demo) {
    Rig rig = demo.rig();
    State busy = busy(rig, demo.state());
    BeforeUndoing before = BeforeUndoing.of(Network.of(rig), busy);
    int undone = 0;
    for (Part part : rig.parts()) {
      if (part.kind().is(Purpose.HOLDS) || part.kind().is(Purpose.INLET)) {
        continue;
      }
      BeforeUndoing.First first = before.at(part.id());
      State made = busy.with(first.setting());
      for (Part cutter : rig.parts()) {
        made = cutter.kind().is(Purpose.CUTS) ? made.with(cutter.id(), cutter.rest().id()) : made;
      }
      for (Part inlet : first.mains()) {
        made = made.with(inlet.id(), inlet.rest().id());
      }
      if (first.above().isEmpty()) {
        undone++;
        for (String line : linesAt(rig, part.id())) {
          String said = "%s off %s after: %s".formatted(line, part.label(), first.words());
          assertThat(lost(rig, line, made)).as(said).isLessThan(Flows.TRICKLE);
          // A macerator that stands still holds nothing back: there is no way through it either.
          assertThat(falls(rig, line, busy.with(first.setting()))).as(said).isFalse();
        }
      }
    }
    assertThat(undone).isPositive();
  }

  @ParameterizedTest
  @MethodSource("demos")
  void nothingRunsBackFromAnInletWithoutItsHose(DemoRig demo) {
    Network network = Network.of(demo.rig());
    State busy = busy(demo.rig(), demo.state());
    for (Part inlet : demo.rig().parts()) {
      Optional<PositionId> bare =
          inlet.kind().is(Purpose.INLET) ? Uncovered.bare(inlet) : Optional.empty();
      BeforeUndoing.First first = BeforeUndoing.of(network, busy).at(inlet.id());
      if (bare.isPresent() && first.above().isEmpty()) {
        State off = busy.with(first.setting()).with(inlet.id(), bare.get());
        assertThat(OpenWays.find(network, off).to(inlet.id())).as(first.words()).isEmpty();
      }
    }
  }

  private static boolean falls(Rig rig, String line, State state) {
    return FaultyRig.of(rig, new Fault(rig.element(line), FaultKind.DETACHED))
        .filter(off -> {
          FlowPaths ways = OpenWays.find(Network.of(off.rig()), off.state(state));
          return off.outlets().stream()
              .flatMap(ways::to)
              .anyMatch(way ->
                  way.drive().kind() == DrivenBy.Kind.FALL
                      && way.source().kind() == Source.Kind.TANK);
        })
        .isPresent();
  }

  private static List<String> linesAt(Rig rig, PartId part) {
    return rig.lines().stream()
        .filter(l -> l.to().part().equals(part))
        .map(l -> l.id().value())
        .toList();
  }

  private static double lost(Rig rig, String line, State state) {
    Optional<FaultyRig> off = FaultyRig.of(rig, new Fault(rig.element(line), FaultKind.DETACHED));
    if (off.isEmpty()) {
      return 0;
    }
    Flows flows = Hydraulics.of(Network.of(off.get().rig())).solve(off.get().state(state));
    return off.get().outlets().stream().mapToDouble(flows::end).sum();
  }

  @Test
  void machinesComeFirstThenValvesThenThePressure() {
    DemoRig tern = DemoRig.called("tern");
    State busy = busy(tern.rig(), tern.state());
    PartId heater =
        tern.rig().parts().stream()
            .filter(p -> p.label().equals("Heater"))
            .map(Part::id)
            .findFirst()
            .orElseThrow();
    String words = BeforeUndoing.of(Network.of(tern.rig()), busy).at(heater).words();
    assertThat(words)
        .matches("First switch off: .*Close [^.]*\\. .*until nothing more comes\\. .*may scald\\.");
  }
}
