package fernwort.core.sizing;

import fernwort.core.flow.Fluid;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** What a pump has to add so that fixtures pass the flow that they are made for. */
final class PumpNeed {

  private PumpNeed() {}

  /**
   * Returns what the pump must add so that a fixture passes its rated flow: its rated pressure, the
   * lift, and what the lines and filters on its way take.
   *
   * @param alone the flow with this fixture open alone, which shows its way
   * @param flows flow in each line, by id (m³/s); where none is given, the fixture's own
   */
  static double pumpPressure(TapBench bench, Part part, Flows alone, Map<LineId, Double> flows) {
    Tap fixture = (Tap) part.kind();
    double own = alone.fixture(part.id());
    double lost = 0;
    Set<PartId> passed = new HashSet<>();
    double surface = part.height();
    Map<PartId, Part> parts = bench.network().rig().partsById();
    for (Line line : bench.network().rig().lines()) {
      double share = Math.abs(alone.line(line.id())) / own;
      if (share > 1e-3) {
        double flow = flows.getOrDefault(line.id(), share * fixture.ratedFlow());
        lost += Fluid.WATER.pressure(Math.abs(bench.hydraulics().loss(line.id(), flow)));
        if (passed.add(line.from().part())) {
          lost += parts.getOrDefault(line.from().part(), part).kind().loss(flow);
        }
      }
    }
    for (Part tank : bench.network().tanks()) {
      if (alone.tank(tank.id()) < -TapBench.CARRIES) {
        surface =
            tank.height()
                + bench
                    .network()
                    .room(tank.id())
                    .level(bench.shut().volume(tank.id()), bench.shut().slope());
      }
    }
    return fixture.ratedPressure() + Fluid.WATER.pressure(part.height() - surface) + lost;
  }

  /** Returns what fixtures need that are open at once, by what flows with each open alone. */
  static PumpAndLines.Need need(TapBench bench, Map<PartId, Flows> alone) {
    Map<LineId, Double> flows = new HashMap<>();
    double total = 0;
    for (Part part : bench.fixtures()) {
      Flows own = alone.getOrDefault(part.id(), bench.open(List.of(part)));
      double most = own.fixture(part.id());
      own.lines()
          .forEach(
              (id, q) -> flows.merge(id, Math.abs(q) / most * TapBench.rated(part), Double::sum));
      total += TapBench.rated(part);
    }
    double pressure = 0;
    for (Part part : bench.fixtures()) {
      Flows own = alone.getOrDefault(part.id(), bench.open(List.of(part)));
      pressure = Math.max(pressure, pumpPressure(bench, part, own, flows));
    }
    double wanted = total;
    double given =
        supplyPumps(bench.network())
            .mapToDouble(p -> p.shutOffPressure() * (1 - wanted / p.freeFlow()))
            .max()
            .orElse(0);
    return new PumpAndLines.Need(total, pressure, given);
  }

  private static Stream<Pump> supplyPumps(Network network) {
    return network.rig().parts().stream()
        .map(Part::kind)
        .filter(Pump.class::isInstance)
        .map(Pump.class::cast)
        .filter(p -> p.duty() == Pump.Duty.SUPPLY);
  }
}
