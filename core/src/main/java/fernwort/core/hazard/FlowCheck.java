package fernwort.core.hazard;

import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.hydraulics.UnsettledFlowException;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.End;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.PumpWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What only the solved flow tells: whether the pressure behind a pump keeps its switch open, how
 * much of its water a pump only stirs, and which open tap gets none.
 */
final class FlowCheck {

  private final Hydraulics hydraulics;

  FlowCheck(Hydraulics hydraulics) {
    this.hydraulics = hydraulics;
  }

  /** The flow of one scene, solved once it is asked for; empty where it does not settle. */
  static final class Solving {

    private final Supplier<Optional<Flows>> solve;
    private @Nullable Optional<Flows> solved;

    private Solving(Supplier<Optional<Flows>> solve) {
      this.solve = solve;
    }

    Optional<Flows> flows() {
      if (solved == null) {
        solved = solve.get();
      }
      return solved;
    }
  }

  Solving solving(Scene scene) {
    return new Solving(() -> {
      try {
        return Optional.of(hydraulics.solve(scene.levels().state(scene.setting())));
      } catch (UnsettledFlowException e) {
        // What is open has been told; the page of flows names the part whose figures do not settle.
        return Optional.empty();
      }
    });
  }

  /** Adds shares and shortages; solved when a pump stirs or a tap draws. */
  void look(Scene scene, Solving solving, List<Warning> found) {
    boolean stirs = found.stream().anyMatch(w -> w.code() == Warning.Code.PUMP_STIRS);
    boolean draws = scene.ways().ways().stream().anyMatch(w -> w.end().kind() == End.Kind.FIXTURE);
    if (stirs || draws) {
      solving.flows().ifPresent(flows -> look(scene, flows, found));
    }
  }

  private static void look(Scene scene, Flows flows, List<Warning> found) {
    found.replaceAll(w -> w.code() == Warning.Code.PUMP_STIRS ? withShare(scene, w, flows) : w);
    scene.ways().ways().stream()
        .filter(w -> w.end().kind() == End.Kind.FIXTURE)
        .map(w -> w.end().part())
        .distinct()
        .filter(tap -> flows.fixture(tap) < Flows.TRICKLE)
        .forEach(tap -> found.add(starves(scene, tap)));
  }

  /** Pumps that the mains hold off only as long as nothing flows, looked at as they really run. */
  static void runningAllTheSame(Scene scene, Solving solving, List<Warning> found) {
    List<PartId> held =
        scene.ways().pumps().stream().filter(PumpWork::heldOff).map(PumpWork::pump).toList();
    if (held.isEmpty()) {
      return;
    }
    Set<PartId> running =
        solving
            .flows()
            .map(flows ->
                held.stream()
                    .filter(pump -> !isHeld(scene, pump, flows))
                    .collect(Collectors.toSet()))
            .orElse(Set.of());
    if (running.isEmpty()) {
      return;
    }
    FlowPaths ways = OpenWays.find(scene.network(), scene.setting(), scene.levels(), running);
    List<Warning> more = new ArrayList<>();
    new PumpCheck().look(new Scene(scene.network(), scene.setting(), scene.levels(), ways), more);
    more.stream().filter(w -> running.contains(w.parts().getFirst())).forEach(found::add);
  }

  /** Tells whether the pressure, as it is with what flows, stands above where the switch opens. */
  private static boolean isHeld(Scene scene, PartId pump, Flows flows) {
    return scene.part(pump).kind() instanceof Pump kind
        && flows.pressure(pump, PortId.OUT).filter(p -> p >= kind.cutOut() - 1).isPresent();
  }

  private static Warning withShare(Scene scene, Warning warning, Flows flows) {
    PartId pump = warning.parts().getFirst().part();
    Flows.Running runs = flows.pumps().get(pump);
    double used = 0;
    for (FlowPath way : scene.ways().ways()) {
      if (way.end().kind() == End.Kind.FIXTURE
          && way.drive().pump().filter(pump::equals).isPresent()) {
        used += flows.fixture(way.end().part());
      }
    }
    if (runs == null || runs.flow() <= 0 || used <= 0 || warning.severity() != Severity.NOTE) {
      return warning;
    }
    double share = Math.clamp(1 - used / runs.flow(), 0, 1);
    return new Warning(
        warning.code(),
        warning.severity(),
        Message.of("{}, {} of it", warning.title(), Amount.share(share)),
        warning.what(),
        warning.why(),
        warning.fix(),
        warning.parts());
  }

  private static Warning starves(Scene scene, PartId tap) {
    return new Warning(
        Warning.Code.TAP_STARVES,
        Severity.NOTE,
        Says.NO_WATER_COMES_AT.with(scene.label(tap)),
        Says.IT_IS_OPEN_AND_OTHERS_TAKE_ALL.with(),
        Says.WHAT_DRIVES_ITS_WATER.with(),
        Says.CLOSE_ANOTHER_TAP_OR_WHATEVER.with(),
        List.of(tap));
  }
}
