package fernwort.core.hazard;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Setting;
import fernwort.core.ways.FlowPaths;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** All warnings of a state. Made once per rig. */
public final class Hazards {

  private final Network network;
  private final List<Check> checks;
  private final Check power = new PowerCheck();
  private final FlowCheck flowing;
  private final Foretold foretold;

  private Hazards(Network network, Hydraulics hydraulics) {
    this.network = network;
    flowing = new FlowCheck(hydraulics);
    foretold = new Foretold(network, hydraulics);
    checks =
        List.of(
            new TankCheck(),
            new PumpCheck(),
            new SupplyCheck(network),
            new CheckValveCheck(network));
  }

  /** Prepares the checks for a rig. */
  public static Hazards of(Network network) {
    return of(network, Hydraulics.of(network));
  }

  /** Prepares the checks for a rig whose hydraulics others use as well. */
  public static Hazards of(Network network, Hydraulics hydraulics) {
    return new Hazards(network, hydraulics);
  }

  /**
   * Returns the warnings, worst first.
   *
   * @param setting the handles
   * @param levels the heights of the state
   * @param ways what is open in that state
   */
  public List<Warning> warnings(Setting setting, Levels levels, FlowPaths ways) {
    Scene scene = new Scene(network, setting, levels, ways);
    FlowCheck.Solving flows = flowing.solving(scene);
    List<Warning> found = withPower(scene, flows);
    found.addAll(withoutPower(setting, levels, ways));
    flowing.look(scene, flows, found);
    foretold.look(scene, found);
    found.addAll(LoadCheck.of(network, levels.state(setting).volumes()));
    found.sort(Comparator.comparing(Warning::severity));
    return found;
  }

  /**
   * Returns the warnings of a state while there is power, without those that only tell a share or a
   * shortage. The flow is solved where mains may hold a pump off, and nowhere else.
   */
  public List<Warning> withPower(Setting setting, Levels levels, FlowPaths ways) {
    Scene scene = new Scene(network, setting, levels, ways);
    List<Warning> found = withPower(scene, flowing.solving(scene));
    found.sort(Comparator.comparing(Warning::severity));
    return found;
  }

  private List<Warning> withPower(Scene scene, FlowCheck.Solving flows) {
    List<Warning> found = new ArrayList<>();
    checks.forEach(check -> check.look(scene, found));
    FlowCheck.runningAllTheSame(scene, flows, found);
    return found;
  }

  /** Returns what would go wrong if the power failed; takes as long as finding the ways. */
  public List<Warning> withoutPower(Setting setting, Levels levels, FlowPaths ways) {
    List<Warning> found = new ArrayList<>();
    power.look(new Scene(network, setting, levels, ways), found);
    return found;
  }
}
