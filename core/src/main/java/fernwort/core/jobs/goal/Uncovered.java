package fernwort.core.jobs.goal;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.OpenWays;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Ends that stand bare for a moment, while a cap or a hose is changed: what is open behind them
 * runs out on whoever does it.
 */
public final class Uncovered {

  private final Network network;
  private final Rig rig;

  private Uncovered(Network network) {
    this.network = network;
    rig = network.rig();
  }

  /** Looks at the ends of a rig. */
  public static Uncovered of(Network network) {
    return new Uncovered(network);
  }

  /** Returns the ends from which a valve can hold all water back, by id. */
  public Set<PartId> held() {
    Set<PartId> held = new LinkedHashSet<>(Dumps.of(network).parted());
    inlets().filter(inlet -> !runsWithValvesShut(inlet)).map(Part::id).forEach(held::add);
    return held;
  }

  /** Returns the hose inlets from which no valve can hold all water back, by id. */
  public Set<PartId> unheld() {
    Set<PartId> unheld = new LinkedHashSet<>();
    inlets().filter(this::runsWithValvesShut).map(Part::id).forEach(unheld::add);
    return unheld;
  }

  private Stream<Part> inlets() {
    return rig.parts().stream().filter(p -> p.kind().is(Purpose.INLET));
  }

  private boolean runsWithValvesShut(Part inlet) {
    // At rest every valve that can be is shut.
    State shut = new State(rig.atRest(), Map.of(), Slope.LEVEL);
    for (Part tank : network.tanks()) {
      shut = shut.withVolume(tank.id(), network.room(tank.id()).capacity());
    }
    Optional<PositionId> bare = bare(inlet);
    return bare.isPresent()
        && OpenWays.find(network, shut.with(inlet.id(), bare.get()))
            .to(inlet.id())
            .findAny()
            .isPresent();
  }

  /** Returns the position in which an end is bare once its cap is off. */
  public static Optional<PositionId> bare(Part end) {
    Kind kind = end.kind();
    return kind.positions().stream()
        .flatMap(p -> kind.bare(end.rest().id(), p.id()).stream())
        .findFirst();
  }

  /** Returns a setting with every macerator turning: one that stands still closes nothing. */
  public static Setting turning(Rig rig, Setting setting) {
    Setting turning = setting;
    for (Part part : rig.parts()) {
      if (part.kind().is(Purpose.CUTS)) {
        turning = turning.with(part.id(), Kind.ON);
      }
    }
    return turning;
  }
}
