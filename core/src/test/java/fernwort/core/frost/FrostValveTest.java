package fernwort.core.frost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Motor;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A tap above a heater's frost valve that opens at 5 °C. */
class FrostValveTest {

  private static final double FIVE = 278.15;
  private static final double HOUR = 3600;

  private static final Network PLUMBING = Network.of(rig(Optional.of(FIVE)));

  private static Rig rig(Optional<Double> below) {
    TwoWayValve plain = (TwoWayValve) Fittings.twoWay(90);
    PositionId open = plain.opened().orElseThrow().id();
    return CaseRigs.rig()
        .part("top", "Top", 1, 0, 1.8, Fittings.fixture(Fixture.Type.TAP, false, 6))
        .part(
            "frost",
            "Frost valve",
            1,
            0,
            0.6,
            new TwoWayValve(plain.stops(), Optional.of(new Motor(Optional.of(open), 1, below))))
        .part("end", "Drain", 1, 0, 0.2, Fittings.end(OpenEnd.Role.DRAIN))
        .line("upper", "Upper", "top.cold > frost.a", 12, 1.2, Material.PEX, 1)
        .line("lower", "Lower", "frost.b > end.in", 12, 0.4, Material.PEX, 1)
        .build();
  }

  private static Wintering full(PartId tap) {
    State rest =
        new State(PLUMBING.rig().atRest(), Map.of(), Slope.LEVEL)
            .with(PartId.of("top"), PositionId.of(tap.value()));
    return Filled.of(PLUMBING, rest);
  }

  private static List<FrostValve> night(Wintering now, double lowest) {
    Curve curve = new Curve(List.of(0.0, 10 * HOUR), List.of(283.15, lowest));
    return FrostValve.tonight(
        PLUMBING, now, new FreezeForecast.Asked(curve, 283.15, 0, 283.15, false, 0, Set.of()));
  }

  @Test
  void itOpensWhenItsPlaceIsAsColdAsItsThermostatSays() {
    FrostValve valve = night(full(PartId.of("open")), 263.15).getFirst();
    assertThat(valve.opensBelow()).contains(FIVE);
    assertThat(valve.opens()).isPresent();
    Curve straight = new Curve(List.of(0.0, 10 * HOUR), List.of(283.15, 263.15));
    Place box = PLUMBING.rig().place(valve.valve().place());
    Curve place = straight.sheltered(Shelter.share(PLUMBING.rig(), box), 283.15);
    assertThat(place.at(valve.opens().getAsDouble())).isCloseTo(FIVE, within(0.1));
    assertThat(night(full(PartId.of("open")), 282.15).getFirst().opens()).isEmpty();
  }

  @Test
  void itOpensOnceItsPlaceIsColderThanThatAndTheNightMayBeginAtAnyTime() {
    // From 10 °C to -10 °C in ten hours from four o'clock on, in a place that keeps six tenths.
    Curve curve = new Curve(List.of(4 * HOUR, 14 * HOUR), List.of(283.15, 263.15));
    FrostValve valve =
        FrostValve.tonight(
                PLUMBING,
                full(PartId.of("open")),
                new FreezeForecast.Asked(curve, 283.15, 0, 283.15, false, 0, Set.of()))
            .getFirst();
    // Two kelvin an hour outside are 0.8 in the box: 5 K lower after 6.25 hours.
    assertThat(valve.opens().orElseThrow()).isCloseTo(6.25 * HOUR, within(61.0));
    // At just its thermostat's temperature it stays shut.
    Curve even = new Curve(List.of(0.0, 10 * HOUR), List.of(FIVE, FIVE));
    assertThat(
            FrostValve.tonight(
                    PLUMBING,
                    full(PartId.of("open")),
                    new FreezeForecast.Asked(even, FIVE, 0, FIVE, false, 0, Set.of()))
                .getFirst()
                .opens())
        .isEmpty();
  }

  @Test
  void oneThatMindsOnlyItsPowerOpensAtNoTemperatureAndOneThatIsOpenIsNoNews() {
    Network network = Network.of(rig(Optional.empty()));
    State rest = new State(network.rig().atRest(), Map.of(), Slope.LEVEL);
    Curve cold = new Curve(List.of(0.0, HOUR), List.of(263.15, 253.15));
    FreezeForecast.Asked asked =
        new FreezeForecast.Asked(cold, 283.15, 0, 283.15, false, 0, Set.of());
    assertThat(FrostValve.tonight(network, Filled.of(network, rest), asked))
        .singleElement()
        .satisfies(v -> {
          assertThat(v.opensBelow()).isEmpty();
          assertThat(v.opens()).isEmpty();
        });
    assertThat(
            FrostValve.tonight(
                network,
                Filled.of(network, rest.with(PartId.of("frost"), PositionId.of("open"))),
                asked))
        .isEmpty();
  }

  @Test
  void whatRunsOutIsWhatHasAirBehindIt() {
    double upper = PLUMBING.rig().lines().getFirst().volume();
    assertThat(night(full(PartId.of("open")), 263.15).getFirst().loses())
        .isCloseTo(upper, within(0.6 * upper));
    assertThat(night(full(PartId.of("shut")), 263.15).getFirst().loses()).isLessThan(0.5 * upper);
  }

  /** Tern's frost drain stands behind its open fore tank, which breathes through another. */
  @Test
  void aTankThatStandsOpenToTheValveRunsOut() {
    DemoRig tern = DemoRig.all().getLast();
    Network network = Network.of(tern.rig());
    double lost =
        FrostValve.loses(
            network,
            Filled.of(network, tern.state()),
            PartId.of("frost-motor"),
            PositionId.of("open"));
    assertThat(lost).isGreaterThan(0.8 * tern.state().volume(PartId.of("fore")));
  }
}
