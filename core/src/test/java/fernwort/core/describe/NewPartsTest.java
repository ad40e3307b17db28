package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.OnRecord;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.machine.Heater;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class NewPartsTest {

  private static final Rig STAY = ReadyRig.find("long-stay").orElseThrow().rig();

  @Test
  void whatCanBeAddedIsOnRecordWithItsFiguresAndItsEnds() {
    List<String> told = new ArrayList<>();
    for (NewPart part : NewParts.all()) {
      told.add("%s “%s”: %s".formatted(part.id(), part.label(), part.sentence()));
      told.add(
          "  %s, holds %s L"
              .formatted(OnRecord.tell(part.kind()), OnRecord.number(part.bodyLitres())));
      if (!part.kind().ports().isEmpty()) {
        told.add(
            "  stands in a line by %s; gives by %s, takes by %s, breathes by %s"
                .formatted(
                    OnRecord.tell(part.through()),
                    part.end(true, false),
                    part.end(false, false),
                    part.end(false, true)));
      }
    }
    OnRecord.assertAsRead("words/new-parts", told);
  }

  /** Where each thing goes that somebody adds: into a line, off it, or onto a free port. */
  @Test
  void whereWhatIsAddedGoesIsOnRecord() {
    Rig open = RigEdit.of(STAY).remove(PartId.of("drain"));
    List<String> told = new ArrayList<>();
    for (LineId line :
        List.of(
            LineId.of("pump-out-surge-tee"),
            LineId.of("sink-waste-sink-trap"),
            LineId.of("fresh-vent-vent"))) {
      told.add("## " + line);
      NewParts.joined().forEach(what -> told.add(told(open, what, new Addition.OnLine(line))));
    }
    for (PortRef port :
        List.of(
            new PortRef(PartId.of("fresh"), PortId.of("drain")),
            new PortRef(PartId.of("shower"), PortId.WASTE))) {
      Rig rig =
          port.part().equals(PartId.of("shower"))
              ? RigEdit.of(open).remove(PartId.of("shower-trap"))
              : open;
      told.add("## " + port);
      NewParts.joined().forEach(what -> told.add(told(rig, what, new Addition.OnPort(port))));
    }
    OnRecord.assertAsRead("words/additions", told);
  }

  private static String told(Rig rig, NewPart what, Addition.Where where) {
    Alteration step =
        new Addition(what, " ", Optional.empty(), Optional.empty(), Optional.empty())
            .at(rig, where);
    String words = step.words(rig);
    return switch (step) {
      case Alteration.PartPutIn s -> "%s, by %s and %s".formatted(words, s.in(), s.out());
      case Alteration.PartTeedOff s ->
          "%s, by %s, %s m".formatted(words, s.port(), OnRecord.number(s.length()));
      case Alteration.PartHungOn s ->
          "%s, by %s, %s mm, %s m"
              .formatted(
                  words, s.port(), OnRecord.number(1000 * s.bore()), OnRecord.number(s.length()));
      default -> words;
    };
  }

  @Test
  void whatIsUsualAtEachPortIsOnRecord() {
    List<String> told = new ArrayList<>();
    for (String layout : List.of("long-stay", "three-in-a-row", "jug")) {
      for (Part part : ReadyRig.find(layout).orElseThrow().rig().parts()) {
        for (PortId port : part.kind().ports()) {
          told.add("%s %s: %s".formatted(part.label(), port, NewParts.usualAt(part, port).label()));
        }
      }
    }
    OnRecord.assertAsRead("words/usual-parts", told);
  }

  @Test
  void listsTellWhatStandsInALineFromWhatEndsOne() {
    assertThat(NewParts.inLine()).extracting(NewPart::id).contains("valve", "heater", "pump");
    assertThat(NewParts.atEnd()).extracting(NewPart::id).contains("tap", "tank", "filler");
    assertThat(NewParts.atEnd()).doesNotContainAnyElementsOf(NewParts.inLine());
    assertThat(NewParts.joined())
        .hasSize(NewParts.inLine().size() + NewParts.atEnd().size())
        .doesNotContain(NewParts.of("tray"));
  }

  @Test
  void anOrdinaryBodyIsKnownByItsKind() {
    assertThat(NewParts.body(new DrainTrap()).orElseThrow()).isCloseTo(1.2e-4, within(1e-12));
    assertThat(NewParts.body(new Heater(Heater.Type.INSTANT, false, 0))).contains(0.01);
    assertThatThrownBy(() -> NewParts.of("boiler"))
        .hasMessage("“boiler” cannot be added; pick one of the list");
  }
}
