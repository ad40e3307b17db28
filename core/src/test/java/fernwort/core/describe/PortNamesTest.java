package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.line.Valve;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PortNamesTest {

  private final Rig van = ReadyRig.find("long-stay").orElseThrow().rig();
  private final PortNames names = PortNames.of(van);

  @ParameterizedTest
  @MethodSource("fernwort.core.describe.AdditionTest#rigs")
  void theEndsOfAPartAreToldApartAndNeverByALetterOfOurs(Rig rig) {
    PortNames of = PortNames.of(rig);
    for (Part part : rig.parts()) {
      List<String> words = part.kind().ports().stream().map(p -> of.words(part.port(p))).toList();
      assertThat(new HashSet<>(words)).as(part.label()).hasSameSizeAs(words);
      assertThat(words).allMatch(w -> w.length() > 2);
      if (part.kind() instanceof Valve) {
        assertThat(words).allMatch(w -> w.startsWith("towards ") || w.startsWith("free end"));
      }
    }
  }

  @Test
  void whatOnlyLetsWaterPassIsPassedOver() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();
    Rig strained =
        new Addition(
                NewParts.of("strainer"), "", Optional.empty(), Optional.empty(), Optional.empty())
            .at(rig, new Addition.OnLine(LineId.of("pump-out-sink")))
            .on(rig);
    assertThat(PortNames.of(strained).words(new PortRef(PartId.of("pump"), PortId.OUT)))
        .isEqualTo("out, towards Sink");
    assertThat(PortNames.of(strained).full(new PortRef(PartId.of("sink"), PortId.COLD)))
        .isEqualTo("Sink, cold, towards Pump");
  }

  @Test
  void aBranchLeadsToAllThatHangsOnIt() {
    assertThat(names.leadsTo(new PortRef(PartId.of("pump"), PortId.OUT))).hasSizeGreaterThan(2);
    assertThat(names.words(new PortRef(PartId.of("pump"), PortId.OUT))).contains(" more");
  }

  @Test
  void aFreeEndIsCalledThat() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();
    Rig open = RigEdit.of(rig).disconnect(LineId.of("pump-out-sink"));
    PortNames of = PortNames.of(open);
    assertThat(of.words(new PortRef(PartId.of("pump"), PortId.OUT))).isEqualTo("out, free");
    assertThat(of.free())
        .contains(
            new PortRef(PartId.of("pump"), PortId.OUT),
            new PortRef(PartId.of("sink"), PortId.COLD));
    assertThat(of.free()).hasSize(2 + PortNames.of(rig).free().size());
  }
}
