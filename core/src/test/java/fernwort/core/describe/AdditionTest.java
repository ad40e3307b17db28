package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Sampled;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.NewPart;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class AdditionTest {

  private final Rig one = ReadyRig.find("one-tank").orElseThrow().rig();

  private static Addition of(String what) {
    return new Addition(
        NewParts.of(what), "", Optional.empty(), Optional.empty(), Optional.empty());
  }

  private static Part added(Rig before, Rig after) {
    List<PartId> known = before.parts().stream().map(Part::id).toList();
    return after.parts().stream().filter(p -> !known.contains(p.id())).toList().getLast();
  }

  static Stream<Rig> rigs() {
    return Sampled.rigs(5);
  }

  @Test
  void whatNoLineLeadsToStandsWhereSomebodyPointed() {
    assertThat(of("tray").at(one, new Addition.OnLine(LineId.of("pump-out-sink"))))
        .isInstanceOfSatisfying(
            Alteration.PartAdded.class,
            step ->
                assertThat(step.part().place().value())
                    .isEqualTo(
                        one.part(RigEdit.of(one).line(LineId.of("pump-out-sink")).from().part())
                            .place()
                            .value()));
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void everythingCanBeAddedToEveryLineWhoseWaterStillFindsItsWay(Rig rig) {
    for (Line line : rig.lines()) {
      for (NewPart what : NewParts.joined()) {
        Rig after = of(what.id()).at(rig, new Addition.OnLine(line.id())).on(rig);
        List<String> beyond = PortNames.of(rig).leadsTo(line.from());
        assertThat(PortNames.of(after).leadsTo(line.from()))
            .as("%s in %s", what.label(), line.label())
            .anyMatch(name -> beyond.contains(name) || name.equals(what.label()));
        assertThat(after.lines()).hasSizeGreaterThan(rig.lines().size());
      }
    }
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void everythingCanBeHungOnEveryFreePortAndPutInEveryPlace(Rig rig) {
    Rig open = RigEdit.of(rig).disconnect(rig.lines().getFirst().id());
    List<PortRef> free = PortNames.of(open).free();
    assertThat(free).contains(rig.lines().getFirst().from(), rig.lines().getFirst().to());
    for (NewPart what : NewParts.all()) {
      for (PortRef port : what.kind().ports().isEmpty() ? List.<PortRef>of() : free) {
        Rig after = of(what.id()).at(open, new Addition.OnPort(port)).on(open);
        assertThat(PortNames.of(after).free()).doesNotContain(port);
      }
      Rig stood =
          of(what.id()).at(open, new Addition.InPlace(open.places().getFirst().id())).on(open);
      assertThat(added(open, stood).place().value())
          .isEqualTo(open.places().getFirst().id().value());
    }
  }

  @Test
  void whatStandsInALineIsPutIntoItAndWhatEndsOneIsTeedOff() {
    Addition.Where where = new Addition.OnLine(LineId.of("pump-out-sink"));
    assertThat(of("valve").at(one, where)).isInstanceOf(Alteration.PartPutIn.class);
    assertThat(of("tap").at(one, where)).isInstanceOf(Alteration.PartTeedOff.class);
  }

  @Test
  void anArrowPointsWhereTheWaterGoesUnlessSaidOtherwise() {
    Line line = RigEdit.of(one).line(LineId.of("pump-out-sink"));
    Addition.Where where = new Addition.OnLine(line.id());
    Rig usual = of("check").at(one, where).on(one);
    assertThat(
            usual
                .linesByPort()
                .get(added(one, usual).port(PortId.OUT))
                .other(added(one, usual).port(PortId.OUT)))
        .isEqualTo(new PortRef(PartId.of("sink"), PortId.COLD));
    Addition turned =
        new Addition(
            NewParts.of("check"),
            "Odd one",
            Optional.of(line.from()),
            Optional.empty(),
            Optional.of(0.9));
    Rig odd = turned.at(one, where).on(one);
    Part check = added(one, odd);
    assertThat(check.label()).isEqualTo("Odd one");
    assertThat(check.height()).isEqualTo(0.9);
    assertThat(odd.linesByPort().get(check.port(PortId.OUT)).other(check.port(PortId.OUT)))
        .isEqualTo(new PortRef(PartId.of("pump"), PortId.OUT));
  }

  @Test
  void waterComesFromWhatIsHungBeforeAPumpAndGoesToWhatIsHungBehindIt() {
    Rig open = one;
    for (PortId port : List.of(PortId.IN, PortId.OUT)) {
      Line line = one.linesByPort().get(new PortRef(PartId.of("pump"), port));
      open = RigEdit.of(open).disconnect(line.id());
    }
    assertThat(hung(open, "tank", new PortRef(PartId.of("pump"), PortId.IN)).value())
        .isEqualTo("feed");
    assertThat(hung(open, "check", new PortRef(PartId.of("pump"), PortId.IN)).value())
        .isEqualTo("out");
    assertThat(hung(open, "check", new PortRef(PartId.of("pump"), PortId.OUT)).value())
        .isEqualTo("in");
    assertThat(hung(open, "heater", new PortRef(PartId.of("pump"), PortId.OUT)).value())
        .isEqualTo("cold");
    assertThat(hung(open, "filler", new PortRef(PartId.of("pump"), PortId.IN)).value())
        .isEqualTo("out");
  }

  /** The port by which a new part hangs on another. */
  private static PortId hung(Rig rig, String what, PortRef on) {
    Rig after = of(what).at(rig, new Addition.OnPort(on)).on(rig);
    return after.linesByPort().get(on).other(on).port();
  }

  @Test
  void aLineBetweenTwoPortsIsAsLongAsTheWayAndAsWideAsItsNeighbours() {
    Line old = RigEdit.of(one).line(LineId.of("pump-out-sink"));
    Rig open = RigEdit.of(one).disconnect(old.id());
    Rig joined = Addition.joined(open, old.from(), old.to(), Optional.empty()).on(open);
    Line line = joined.linesByPort().get(old.from());
    Part pump = one.part(PartId.of("pump"));
    Part sink = one.part(PartId.of("sink"));
    double way =
        Math.abs(pump.x() - sink.x())
            + Math.abs(pump.y() - sink.y())
            + Math.abs(pump.height() - sink.height());
    assertThat(line.length()).isCloseTo(way + Addition.SLACK, within(1e-9));
    assertThat(line.bore())
        .isEqualTo(
            Stream.of("pump", "sink")
                .flatMap(p -> RigEdit.of(open).linesAt(PartId.of(p)).stream())
                .mapToDouble(Line::bore)
                .max()
                .orElseThrow());
  }

  @Test
  void whatIsUsuallyHungOnAPortIsOfferedFirst() {
    assertThat(NewParts.usualAt(one.part(PartId.of("filler")), PortId.of("mouth")).id())
        .isEqualTo("jug");
    assertThat(NewParts.usualAt(one.part(PartId.of("fresh")), PortId.of("vent")).id())
        .isEqualTo("vent");
    assertThat(NewParts.usualAt(one.part(PartId.of("fresh")), PortId.of("drain")).id())
        .isEqualTo("cap");
    assertThat(NewParts.usualAt(one.part(PartId.of("sink")), PortId.WASTE).id()).isEqualTo("trap");
    for (Part part : one.parts()) {
      for (PortId port : part.kind().ports()) {
        assertThat(NewParts.all()).contains(NewParts.usualAt(part, port));
      }
    }
  }
}
