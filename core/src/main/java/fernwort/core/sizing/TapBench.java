package fernwort.core.sizing;

import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * A rig set up to try its fixtures: its supply pumps on, the mains off, every fixture shut, and
 * fresh tanks that are nearly empty taken to be half full.
 *
 * @param network the rig
 * @param hydraulics what flows in it, with bores that may be tried
 * @param shut its state before a fixture is opened
 * @param fixtures those that are tried
 */
record TapBench(Network network, Hydraulics hydraulics, State shut, List<Part> fixtures) {

  /** What carries no more than this is dry (m³/s): a drop in a second or so. */
  static final double CARRIES = 1e-7;

  /** A tank that holds less over what stays in it is nearly empty (m³). */
  private static final double LEAST_WATER = 5e-3;

  /** Sets a rig up as it stands. */
  static TapBench of(Network network, State now) {
    State state = now;
    List<Part> fixtures = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      Kind kind = part.kind();
      if (kind.is(Purpose.USE)) {
        state = state.with(part.id(), part.rest().id());
        fixtures.add(part);
      } else if (!kind.gives().isEmpty()) {
        state = state.with(part.id(), part.rest().id());
      } else if (kind.is(Purpose.SUPPLIES)) {
        state = state.with(part.id(), Kind.ON);
      } else if (kind.holds(Contents.FRESH)) {
        double stranded = network.figures(part, now.slope()).stranded();
        if (now.volume(part.id()) < stranded + LEAST_WATER) {
          state = state.withVolume(part.id(), network.room(part.id()).capacity() / 2);
        }
      }
    }
    return new TapBench(network, Hydraulics.of(network), state, fixtures);
  }

  /** Returns what flows with some fixtures open. */
  Flows open(Collection<Part> some) {
    State state = shut;
    for (Part fixture : some) {
      state = state.with(fixture.id(), ((Tap) fixture.kind()).cold().id());
    }
    return hydraulics.solve(state);
  }

  /** Returns the bench with only these fixtures. */
  TapBench only(Collection<PartId> ids) {
    return of(fixtures.stream().filter(f -> ids.contains(f.id())).toList());
  }

  /** Returns the bench with only these fixtures, or with the two that take most in the house. */
  TapBench choose(Collection<PartId> ids) {
    TapBench chosen = only(ids);
    return chosen.fixtures().isEmpty()
        ? of(
            fixtures.stream()
                .sorted(Comparator.comparing(TapBench::isOutside).thenComparing(f -> -rated(f)))
                .limit(2)
                .toList())
        : chosen;
  }

  private TapBench of(List<Part> some) {
    return new TapBench(network, hydraulics, shut, some);
  }

  private static boolean isOutside(Part fixture) {
    return ((Tap) fixture.kind()).outside();
  }

  /** Returns the bench with other lines. */
  TapBench with(Hydraulics other) {
    return new TapBench(network, other, shut, fixtures);
  }

  /** Opens all of its fixtures, and tells what something that was changed gives them. */
  PumpAndLines.Trial trial(double what, LineId subject, double pressure) {
    Flows flows = open(fixtures);
    double total = fixtures.stream().mapToDouble(f -> flows.fixture(f.id())).sum();
    double worst =
        fixtures.stream().mapToDouble(f -> flows.fixture(f.id()) / rated(f)).min().orElse(0);
    return new PumpAndLines.Trial(what, subject, pressure, total, worst);
  }

  /** Returns the flow that a fixture is made for (m³/s). */
  static double rated(Part fixture) {
    return ((Tap) fixture.kind()).ratedFlow();
  }
}
