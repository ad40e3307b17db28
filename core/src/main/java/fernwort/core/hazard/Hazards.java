package fernwort.core.hazard;

import fernwort.core.network.Hydraulics;
import fernwort.core.network.Levels;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Ways;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** All warnings of a state. Made once per rig. */
public final class Hazards {

  private final Plumbing plumbing;
  private final List<Check> checks;
  private final Check power = new PowerCheck();
  private final FlowCheck flowing;

  private Hazards(Plumbing plumbing) {
    this.plumbing = plumbing;
    flowing = new FlowCheck(Hydraulics.of(plumbing));
    checks =
        List.of(
            new TankCheck(),
            new PumpCheck(),
            new SupplyCheck(plumbing),
            new CheckValveCheck(plumbing));
  }

  /** Prepares the checks for a rig. */
  public static Hazards of(Plumbing plumbing) {
    return new Hazards(plumbing);
  }

  /**
   * Returns the warnings, worst first.
   *
   * @param setting the handles
   * @param levels the heights of the state
   * @param ways what is open in that state
   */
  public List<Warning> warnings(Setting setting, Levels levels, Ways ways) {
    List<Warning> found = new ArrayList<>(withPower(setting, levels, ways));
    found.addAll(withoutPower(setting, levels, ways));
    flowing.look(new Scene(plumbing, setting, levels, ways), found);
    found.addAll(LoadCheck.of(plumbing, levels.state(setting).volumes()));
    found.sort(Comparator.comparing(Warning::severity));
    return found;
  }

  /** Returns the warnings of a state while there is power, as {@link #warnings} does. */
  public List<Warning> withPower(Setting setting, Levels levels, Ways ways) {
    Scene scene = new Scene(plumbing, setting, levels, ways);
    List<Warning> found = new ArrayList<>();
    checks.forEach(check -> check.look(scene, found));
    found.sort(Comparator.comparing(Warning::severity));
    return found;
  }

  /** Returns what would go wrong if the power failed; takes as long as finding the ways. */
  public List<Warning> withoutPower(Setting setting, Levels levels, Ways ways) {
    List<Warning> found = new ArrayList<>();
    power.look(new Scene(plumbing, setting, levels, ways), found);
    return found;
  }
}
