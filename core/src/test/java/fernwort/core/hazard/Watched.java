package fernwort.core.hazard;

import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;

import fernwort.core.describe.Fittings;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.line.Tee;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.ways.OpenWays;
import java.util.List;

/** What several tests of the warnings look at, and how. */
final class Watched {

  private Watched() {}

  /** Returns the warnings of a rig in a state. */
  static List<Warning> warnings(Rig rig, State state) {
    Network network = Network.of(rig);
    Levels levels = Levels.of(network, state);
    return Hazards.of(network)
        .warnings(state.setting(), levels, OpenWays.find(network, state.setting(), levels));
  }

  /** Returns a pump with a narrow way from its outlet back to its inlet, through a valve. */
  static Rig stirring() {
    return rig()
        .part("tank", "Tank", 0, 0, 1, tank())
        .part("in", "In", 0, 0, 0.8, new Tee())
        .part("pump", "Pump", 0, 0, 0.8, Fittings.pressurePump(10, 2.5))
        .part("out", "Out", 0, 0, 0.8, new Tee())
        .part("bypass", "Bypass", 0, 0, 0.8, Fittings.twoWay(0))
        .part("tap", "Tap", 0, 0, 0.9, Fittings.fixture(Type.HOSE_POINT, false, 8))
        .line("a", "A", "tank.low > in.a", 13, 0.5, Material.PEX, 1)
        .line("b", "B", "in.b > pump.in", 13, 0.5, Material.PEX, 1)
        .line("c", "C", "pump.out > out.a", 13, 0.5, Material.PEX, 1)
        .line("d", "D", "out.b > bypass.a", 6, 1.5, Material.PEX, 4)
        .line("e", "E", "bypass.b > in.c", 6, 1.5, Material.PEX, 4)
        .line("f", "F", "out.c > tap.cold", 13, 0.5, Material.PEX, 1)
        .build();
  }
}
