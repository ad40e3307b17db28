package fernwort.core.frost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.drain.Filled;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.machine.Heater;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Cooling and freezing worked out by hand, and by small steps where the air's curve is any. */
class HeatSumsTest {

  private static final double HOUR = 3600;
  private static final Cooling LITRE = new Cooling(0.001, 2, 0);

  private static Cooling heated(double watts) {
    return new Cooling(0.001, 2, watts);
  }

  @Test
  void aPipesResistanceAddsWallFoamAndAir() {
    PipeWall pipe = new PipeWall(0.010, 0.002, 0.4, 0.013);
    assertThat(pipe.outside()).isCloseTo(0.040, within(1e-12));
    assertThat(pipe.section()).isCloseTo(7.853982e-5, within(1e-11));
    // ln(7/5)/(0.8 π) + ln(20/7)/(0.074 π) + 1/(0.4 π)
    assertThat(pipe.resistance(10)).isCloseTo(0.133878 + 4.515803 + 0.795775, within(2e-5));
    Cooling metre = Cooling.pipe(pipe, 10);
    assertThat(metre.volume()).isEqualTo(pipe.section());
    assertThat(metre.conductance()).isCloseTo(0.183640, within(1e-5));
    assertThat(metre.heating()).isZero();
  }

  @ParameterizedTest
  @CsvSource({
    // A litre at 10 °C in air of -10 °C, 2 W/K: 4182.2 J/K / 2 · ln(20/10), then ln(15/5) with 10 W
    "0, 283.15, 1449.45",
    "10, 283.15, 2297.33",
    "0, 273.15, 0",
    "0, 270.15, 0",
  })
  void waterComesToFreezingAfter(double watts, double start, double seconds) {
    assertThat(heated(watts).until(start, 263.15, ColdWater.ZERO).orElseThrow())
        .isCloseTo(seconds, within(0.01));
  }

  @Test
  void waterHeatedEnoughNeverComesToFreezing() {
    assertThat(heated(20.1).until(283.15, 263.15, ColdWater.ZERO)).isEmpty();
    assertThat(heated(20).until(283.15, 263.15, ColdWater.ZERO)).isEmpty();
    assertThat(heated(20).settles(263.15)).isEqualTo(273.15);
    assertThat(LITRE.settles(263.15)).isEqualTo(263.15);
  }

  @Test
  void aFifthIsIceWhenItsHeatIsLost() {
    // 66,650 J over 20 W, over 5 W, and never.
    assertThat(LITRE.untilIce(263.15, 0.2).orElseThrow()).isCloseTo(3332.5, within(0.1));
    assertThat(heated(15).untilIce(263.15, 0.2).orElseThrow()).isCloseTo(13_330, within(0.1));
    assertThat(heated(20).untilIce(263.15, 0.2)).isEmpty();
    assertThat(heated(25).untilIce(263.15, 0.2)).isEmpty();
    assertThat(LITRE.holds(275.15, 263.15)).isEqualTo(24);
    assertThat(LITRE.holds(275.15, 280)).isZero();
  }

  @Test
  void aCurveIsStraightBetweenItsPointsAndStaysAtItsEnds() {
    Curve curve = new Curve(List.of(100.0, 200.0, 400.0), List.of(280.0, 270.0, 274.0));
    assertThat(curve.at(0)).isEqualTo(280);
    assertThat(curve.at(100)).isEqualTo(280);
    assertThat(curve.at(150)).isEqualTo(275);
    assertThat(curve.at(200)).isEqualTo(270);
    assertThat(curve.at(350)).isEqualTo(273);
    assertThat(curve.at(900)).isEqualTo(274);
    assertThat(curve.lowest()).isEqualTo(270);
    assertThat(curve.length()).isEqualTo(300);
    assertThat(curve.warmer(2).temperatures()).containsExactly(282.0, 272.0, 276.0);
    assertThat(curve.sheltered(0.5, 290).temperatures()).containsExactly(285.0, 280.0, 282.0);
    Curve part = curve.during(150, 350);
    assertThat(part.times()).containsExactly(150.0, 200.0, 350.0);
    assertThat(part.temperatures()).containsExactly(275.0, 270.0, 273.0);
    assertThat(curve.during(100, 200).times()).containsExactly(100.0, 200.0);
  }

  @Test
  void aCurveThatIsNoneIsRefused() {
    assertThatThrownBy(() -> new Curve(List.of(0.0), List.of(270.0)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("two hours or more");
    assertThatThrownBy(() -> new Curve(List.of(0.0, 1.0), List.of(270.0)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("a temperature for each");
    assertThatThrownBy(() -> new Curve(List.of(0.0, 5.0, 5.0), List.of(270.0, 271.0, 272.0)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("in order");
  }

  /** A night of some hours between random temperatures, from a time that is not nought. */
  private static Curve air(Random random) {
    List<Double> times = new ArrayList<>(List.of(1000.0));
    List<Double> temperatures = new ArrayList<>(List.of(268 + 14 * random.nextDouble()));
    for (int i = 0; i < 4; i++) {
      times.add(times.getLast() + HOUR * (0.5 + 3 * random.nextDouble()));
      temperatures.add(258 + 22 * random.nextDouble());
    }
    return new Curve(times, temperatures);
  }

  @Property(tries = 300)
  void iceIsWhatSmallStepsMakeOfIt(@ForAll long seed) {
    Random random = new Random(seed);
    Curve air = air(random);
    Cooling body =
        new Cooling(
            2e-4 + 1e-3 * random.nextDouble(), 0.5 + random.nextDouble(), random.nextInt(4));
    double since = air.times().getFirst() + 2 * HOUR * random.nextDouble();
    double all = ColdWater.freezing(body.volume(), 1);
    double frozen = 0;
    double most = 0;
    double stops = Double.NaN;
    double step = 2;
    for (double t = since; t < air.times().getLast(); t += step) {
      double loss = body.conductance() * (ColdWater.ZERO - air.at(t + step / 2)) - body.heating();
      frozen = Math.clamp(frozen + step * loss, 0, all);
      most = Math.max(most, frozen);
      if (Double.isNaN(stops) && frozen >= ColdWater.STOPS * all) {
        stops = t + step;
      }
    }
    Ice ice = Ice.of(body, air, since);
    assertThat(ice.most()).isCloseTo(most / all, within(1e-3));
    if (Math.abs(most / all - ColdWater.STOPS) > 2e-3) {
      assertThat(ice.stops().isPresent()).isEqualTo(!Double.isNaN(stops));
      ice.stops().ifPresent(s -> assertThat(s).isGreaterThanOrEqualTo(since));
    }
    if (!Double.isNaN(stops) && ice.stops().isPresent()) {
      // The heat lost by then is a fifth's: near a minimum of the loss the time itself is vague.
      assertThat(ice.stops().getAsDouble()).isCloseTo(stops, within(60.0));
    }
  }

  /** How fast water of a temperature warms in air of another (K/s). */
  private static double warming(Cooling body, double air, double water) {
    double flow = body.conductance() * (air - water) + body.heating();
    return flow / ColdWater.heat(body.volume());
  }

  @Property(tries = 300)
  void aNightOfManyPiecesIsWhatSmallStepsMakeOfIt(@ForAll long seed) {
    Random random = new Random(seed);
    Curve air = air(random);
    Cooling body =
        new Cooling(
            1e-3 + 4e-3 * random.nextDouble(), 0.5 + random.nextDouble(), random.nextInt(4));
    double start = 271 + 10 * random.nextDouble();
    double t = start;
    double least = t;
    double zero = start <= ColdWater.ZERO ? 0 : Double.NaN;
    double step = 2;
    for (double at = 0; at < air.length(); at += step) {
      double half = t + step / 2 * warming(body, air.at(1000 + at), t);
      t += step * warming(body, air.at(1000 + at + step / 2), half);
      least = Math.min(least, t);
      if (Double.isNaN(zero) && t <= ColdWater.ZERO) {
        zero = at + step;
      }
    }
    Night night = Night.of(body, air, start);
    assertThat(night.lowest()).isCloseTo(least, within(5e-3));
    if (Math.abs(least - ColdWater.ZERO) > 0.02) {
      assertThat(night.zero().isPresent()).isEqualTo(!Double.isNaN(zero));
    }
    if (night.zero().isPresent()) {
      double when = night.zero().getAsDouble();
      Ice ice = Ice.of(body, air, 1000 + when);
      assertThat(night.ice()).isEqualTo(ice.most());
      assertThat(night.stops().orElse(-1)).isEqualTo(ice.stops().orElse(999) - 1000);
      if (!Double.isNaN(zero)) {
        assertThat(when).isCloseTo(zero, within(0.02 * zero + 30));
      }
    } else {
      assertThat(night.ice()).isZero();
      assertThat(night.stops()).isEmpty();
    }
  }

  private static Rig rig() {
    return CaseRigs.rig()
        .part("tank", "Tank", 1, 0, 1.0, CaseRigs.tank())
        .part("tap", "Tap", 1, 0, 1.4, Fittings.fixture(Fixture.Type.TAP, false, 6))
        .part("filter", "Filter", 1, 0, 0.3, 0.5, Fittings.filter(Filter.Grade.SEDIMENT, 10, 1))
        .part("drain", "Drain", 1, 0, 0.2, Fittings.end(OpenEnd.Role.DRAIN))
        .line("feed", "Feed", "tank.low > filter.in", 12, 1.5, Material.PEX, 1)
        .line("up", "Up", "filter.out > tap.cold", 12, 1.2, Material.PEX, 1)
        .build();
  }

  private static Rig inPlaces(Optional<Double> warmth, Optional<Double> heating) {
    Rig plain = rig();
    Place box = new Place(PlaceId.of("box"), "Box", "reach in", 0, 0, 1, warmth, heating);
    Place belly = new Place(PlaceId.of("belly"), "Belly", "lie down", 0, 0, 0.3);
    List<Part> parts =
        plain.parts().stream()
            .map(p ->
                p.id().equals(PartId.of("filter")) || p.id().equals(PartId.of("drain"))
                    ? moved(p, PlaceId.of("belly"))
                    : p)
            .toList();
    return new Rig(
        plain.name(), plain.note(), plain.vehicle(), List.of(box, belly), parts, plain.lines());
  }

  private static Part moved(Part part, PlaceId place) {
    return new Part(
        part.id(),
        part.label(),
        place,
        part.x(),
        part.y(),
        part.height(),
        part.volume(),
        part.kind());
  }

  private static FreezeForecast.Asked asked(double evening, double morning, double wind) {
    Curve outside = new Curve(List.of(0.0, 10 * HOUR), List.of(evening, morning));
    return new FreezeForecast.Asked(outside, 290, wind, 285, false, 0, Set.of());
  }

  @Test
  void aPlaceKeepsWhatIsSaidOrGuessed() {
    Rig rig = inPlaces(Optional.empty(), Optional.empty());
    Place box = rig.place(PlaceId.of("box"));
    Place belly = rig.place(PlaceId.of("belly"));
    Place high = new Place(PlaceId.of("rack"), "Rack", "climb", 0, 0, 2.7);
    assertThat(Shelter.isOpen(rig, box)).isFalse();
    assertThat(Shelter.isOpen(rig, belly)).isTrue();
    assertThat(Shelter.isOpen(rig, high)).isTrue();
    assertThat(Shelter.share(rig, box)).isEqualTo(0.6);
    assertThat(Shelter.share(rig, belly)).isZero();
    FreezeForecast.Asked open = asked(272, 262, 0).withDoorsOpen();
    assertThat(Shelter.share(rig, box, open)).isEqualTo(0.9);
    assertThat(Shelter.share(rig, belly, open)).isZero();
    Rig warm = inPlaces(Optional.of(0.95), Optional.empty());
    assertThat(Shelter.share(warm, warm.place(PlaceId.of("box")), open)).isEqualTo(0.95);
    assertThat(Shelter.share(warm, warm.place(PlaceId.of("box")))).isEqualTo(0.95);
  }

  @ParameterizedTest
  @CsvSource({
    "PEX, 0.0018, 0.40",
    "POLYETHYLENE, 0.0018, 0.40",
    "PVC_HOSE, 0.003, 0.17",
    "RIGID_PVC, 0.0025, 0.17",
    "SILICONE_HOSE, 0.003, 0.20",
    "COPPER, 0.001, 390",
    "STAINLESS, 0.001, 15",
  })
  void aLinesWallIsItsMaterials(Material material, double wall, double conductivity) {
    Rig rig = inPlaces(Optional.empty(), Optional.empty());
    Line line =
        new Line(
            LineId.of("l"),
            "L",
            rig.lines().getFirst().from(),
            rig.lines().getFirst().to(),
            0.012,
            1,
            material,
            1,
            rig.lines().getFirst().profile());
    Cooling still = Shelter.line(rig, line, rig.place(PlaceId.of("box")), asked(272, 262, 8));
    assertThat(1 / still.conductance())
        .isCloseTo(new PipeWall(0.012, wall, conductivity, 0).resistance(11), within(1e-9));
    // Out in the wind the film is thinner, and foam put round it counts.
    FreezeForecast.Asked foam = asked(272, 262, 8).insulated(0.01);
    Cooling windy = Shelter.line(rig, line, rig.place(PlaceId.of("belly")), foam);
    PipeWall wrapped = new PipeWall(0.012, wall, conductivity, 0.01);
    double film = Shelter.across(wrapped.outside(), 8);
    assertThat(film).isGreaterThan(11);
    assertThat(1 / windy.conductance()).isCloseTo(wrapped.resistance(film), within(1e-9));
  }

  @Test
  void aTanksLossIsItsSurfaceTimesItsWall() {
    Rig rig = inPlaces(Optional.empty(), Optional.empty());
    Network network = Network.of(rig);
    Part tank = rig.part(PartId.of("tank"));
    double wall = ((Tank) tank.kind()).wall();
    double capacity = network.room(PartId.of("tank")).capacity();
    double area = 6 * Math.pow(capacity, 2.0 / 3);
    assertThat(Shelter.conductance(network, tank, rig.place(PlaceId.of("box")), asked(272, 262, 9)))
        .isCloseTo(area / (1.0 / 8 + wall / 0.4), within(1e-9));
    // 5.7 + 3.8 · 9 W/(m² K) in the wind below the floor.
    assertThat(
            Shelter.conductance(network, tank, rig.place(PlaceId.of("belly")), asked(272, 262, 9)))
        .isCloseTo(area / (1 / 39.9 + wall / 0.4), within(1e-9));
    Part filter = rig.part(PartId.of("filter"));
    double body = 6 * Math.pow(filter.volume(), 2.0 / 3);
    assertThat(
            Shelter.conductance(network, filter, rig.place(PlaceId.of("box")), asked(272, 262, 0)))
        .isCloseTo(body / (1.0 / 8 + 0.003 / 0.4), within(1e-9));
  }

  private static FreezeForecast tonight(Rig rig, FreezeForecast.Asked asked) {
    Network network = Network.of(rig);
    State state = new State(rig.atRest(), Map.of(PartId.of("tank"), 0.05), Slope.LEVEL);
    return FreezeForecast.of(network, Filled.of(network, state), asked);
  }

  private static FreezeForecast.Exposure of(FreezeForecast night, ElementId id) {
    return night.exposures().stream().filter(e -> e.id().equals(id)).findFirst().orElseThrow();
  }

  @Test
  void aNightListsWhatHoldsWaterTheFirstToFreezeFirst() {
    Rig rig = inPlaces(Optional.empty(), Optional.empty());
    FreezeForecast night = tonight(rig, asked(272, 262, 3));
    assertThat(night.exposures())
        .extracting(FreezeForecast.Exposure::id)
        .containsExactlyInAnyOrder(
            LineId.of("feed"), LineId.of("up"), PartId.of("tank"), PartId.of("filter"));
    List<Double> zeros =
        night.exposures().stream().map(e -> e.zero().orElse(Double.MAX_VALUE)).toList();
    assertThat(zeros).isSorted();
    // A line is as cold as the colder of its ends; what is under the floor starts at 0 °C.
    assertThat(of(night, LineId.of("up")).place().value()).isEqualTo("belly");
    assertThat(of(night, LineId.of("feed")).place().value()).isEqualTo("belly");
    assertThat(of(night, PartId.of("filter")).zero()).hasValue(0);
    assertThat(of(night, PartId.of("filter")).lowest()).isLessThan(ColdWater.ZERO);
    assertThat(of(night, PartId.of("tank")).lowest()).isGreaterThan(ColdWater.ZERO);
    assertThat(night.byPlace()).isEqualTo(Map.of(PlaceId.of("belly"), 3L));
    assertThat(night.watts())
        .isCloseTo(
            night.exposures().stream().mapToDouble(FreezeForecast.Exposure::watts).sum(),
            within(1e-9));
  }

  @Test
  void wattsDripAndEnergyOfALineUnderTheFloor() {
    Rig rig = inPlaces(Optional.empty(), Optional.empty());
    FreezeForecast.Asked asked = asked(268.15, 268.15, 0);
    FreezeForecast night = tonight(rig, asked);
    Line up = rig.lines().get(1);
    double metre = Shelter.line(rig, up, rig.place(PlaceId.of("belly")), asked).conductance();
    FreezeForecast.Exposure line = of(night, LineId.of("up"));
    // 1.2 m at 2 °C in air of -5 °C; a drip at 11.85 °C gives up what is lost at 0 °C.
    assertThat(line.watts()).isCloseTo(1.2 * metre * 7, within(1e-9));
    assertThat(line.drip()).isCloseTo(1.2 * metre * 5 / (ColdWater.heat(1) * 11.85), within(1e-15));
    // The cold is the same in every hour of ten.
    assertThat(night.energy()).isCloseTo(10 * HOUR * night.watts(), within(1e-3));
  }

  @Test
  void aNightThatEndsWithinAnHourTakesNoMoreThanThat() {
    Rig rig = inPlaces(Optional.empty(), Optional.empty());
    Curve outside = new Curve(List.of(0.0, 2.5 * HOUR), List.of(268.15, 268.15));
    FreezeForecast night =
        tonight(rig, new FreezeForecast.Asked(outside, 290, 0, 285, false, 0, Set.of()));
    assertThat(night.energy()).isCloseTo(2.5 * HOUR * night.watts(), within(1e-3));
  }

  @Test
  void aPadIsSharedByWhatItsPlaceHoldsAndBatteriesEnd() {
    Rig cold = inPlaces(Optional.of(0.0), Optional.empty());
    Rig padded = inPlaces(Optional.of(0.0), Optional.of(2000.0));
    FreezeForecast.Asked asked = asked(266, 262, 0);
    assertThat(of(tonight(cold, asked), PartId.of("tank")).lowest()).isLessThan(ColdWater.ZERO);
    assertThat(of(tonight(padded, asked), PartId.of("tank")).zero()).isEmpty();
    assertThat(of(tonight(padded, asked), PartId.of("filter")).zero()).isPresent();
    Network network = Network.of(cold);
    State state = new State(cold.atRest(), Map.of(PartId.of("tank"), 0.05), Slope.LEVEL);
    var now = Filled.of(network, state);
    FreezeForecast.Asked steady = asked(268.15, 268.15, 0);
    double watts = tonight(cold, steady).watts();
    FreezeForecast.BatteryEnd end =
        FreezeForecast.battery(network, now, steady, 3.25 * HOUR * watts).orElseThrow();
    assertThat(end.ends()).isCloseTo(3.25 * HOUR, within(1.0));
    assertThat(end.zero().orElseThrow()).isGreaterThan(end.ends() + 60);
    assertThat(FreezeForecast.battery(network, now, steady, 10.01 * HOUR * watts)).isEmpty();
  }

  @Test
  void aHeaterThatIsOnIsNotInTheListAndOneThatIsOffIs() {
    Rig rig =
        CaseRigs.rig()
            .part("boiler", "Boiler", 1, 0, 1.0, 6, new Heater(Heater.Type.STORAGE, true, 0))
            .part("tap", "Tap", 1, 0, 1.4, Fittings.fixture(Fixture.Type.TAP, false, 6))
            .line("up", "Up", "boiler.hot > tap.cold", 12, 1.2, Material.PEX, 1)
            .build();
    Network network = Network.of(rig);
    State off = new State(rig.atRest(), Map.of(), Slope.LEVEL);
    FreezeForecast.Asked asked = asked(272, 262, 0);
    assertThat(FreezeForecast.of(network, Filled.of(network, off), asked).exposures())
        .extracting(FreezeForecast.Exposure::id)
        .containsExactlyInAnyOrder(PartId.of("boiler"), LineId.of("up"));
    assertThat(
            FreezeForecast.of(
                    network,
                    Filled.of(network, off.with(PartId.of("boiler"), PositionId.of("on"))),
                    asked)
                .exposures())
        .extracting(FreezeForecast.Exposure::id)
        .containsExactly(LineId.of("up"));
    assertThat(
            FreezeForecast.of(
                    network,
                    Filled.of(network, off),
                    asked.draining(Set.of(PartId.of("boiler"), LineId.of("up"))))
                .exposures())
        .isEmpty();
  }
}
