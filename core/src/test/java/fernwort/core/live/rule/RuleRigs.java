package fernwort.core.live.rule;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.RigBuilder;
import java.util.Optional;

/** What rules are tried on: signals, and a tank that a pump fills. */
final class RuleRigs {

  private RuleRigs() {}

  /** A signal that only tells. */
  static Signal signal(String name, SignalKind kind, SignalKind.Where where, String id) {
    return new Signal(
        name,
        kind,
        new Signal.Subject(
            where,
            switch (where) {
              case PART, TRAY -> PartId.of(id);
              case LINE -> LineId.of(id);
              case PLACE, OUTSIDE, VEHICLE -> PlaceId.of(id);
            }),
        Signal.As.VOLUME,
        Optional.empty(),
        "",
        new Signal.Source("van/" + name, "", 1, 0),
        Optional.empty());
  }

  /** A store from which a pump fills a tank. */
  static RigBuilder pumped() {
    return CaseRigs.vented(
            CaseRigs.vented(
                CaseRigs.rig()
                    .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
                    .part("store", "Store", 2, 0, 0.4, CaseRigs.tank(1)),
                PartId.of("tank"),
                1),
            PartId.of("store"),
            0.4)
        .part("pump", "Lift pump", 1, 0, 0.3, Fittings.transferPump(8, 1))
        .part("check", "Check valve", 1, 0, 0.9, Fittings.check())
        .line("a", "A", "store.low > pump.in", 12, 1, Material.PEX, 1)
        .line("b", "B", "pump.out > check.in", 12, 1, Material.PEX, 1)
        .line("c", "C", "check.out > tank.high", 12, 1, Material.PEX, 1);
  }
}
