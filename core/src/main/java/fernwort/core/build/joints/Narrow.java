package fernwort.core.build.joints;

import fernwort.core.effort.Effort;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.rig.Line;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Fittings narrower than their lines, with what each costs.
 *
 * <p>A narrowing loses ½(1 − β²) and its widening (1 − β²)², both on the speed inside it (Borda,
 * Carnot), which is (1/β⁴) times that on the line's speed, β the fitting's bore over the line's.
 * The flow with it is solved anew for the whole rig.
 *
 * @param at where it is
 * @param line the line
 * @param bore the narrowest of the chain there (m)
 * @param without what runs in the line without it (m³/s)
 * @param with what runs with it (m³/s)
 */
public record Narrow(PortRef at, Line line, double bore, double without, double with) {

  private static final double LEAST = 0.99;

  /** Less than this share of the flow is no loss that anybody feels. */
  private static final double FELT = 0.02;

  private static final double NOTHING = 1e-7;

  /** Returns what it costs (m³/s). */
  public double costs() {
    return without - with;
  }

  /** Returns the loss coefficient of a narrowing on the line's own speed (1). */
  static double loss(double fitting, double line) {
    double squared = Math.pow(fitting / line, 2);
    double open = 1 - squared;
    return fitting >= line ? 0 : (open / 2 + open * open) / (squared * squared);
  }

  /**
   * Returns all that is felt in a state, the dearest first.
   *
   * @param state with a tap open, so that something runs
   */
  public static List<Narrow> of(Hydraulics hydraulics, List<JointEnds> ends, State state) {
    Flows clear = hydraulics.solve(state);
    List<Narrow> found = new ArrayList<>();
    for (JointEnds end : ends) {
      Effort.look();
      double bore = bore(end);
      double without = Math.abs(clear.line(end.line().id()));
      if (bore < LEAST * end.line().bore() && without > NOTHING) {
        Map<LineId, Double> more = new HashMap<>();
        more.put(end.line().id(), loss(bore, end.line().bore()));
        double with = Math.abs(hydraulics.losing(more).solve(state).line(end.line().id()));
        if (without - with > FELT * without) {
          found.add(new Narrow(end.at(), end.line(), bore, without, with));
        }
      }
    }
    found.sort(Comparator.comparingDouble(Narrow::costs).reversed());
    return found;
  }

  /** The narrowest that stands between a line and its port. */
  static double bore(JointEnds ends) {
    double narrowest = Adapter.bore(ends.port().form());
    for (Adapter adapter :
        Adapters.shelf().between(ends.port().form(), ends.end().form()).orElse(List.of())) {
      narrowest = Math.min(narrowest, adapter.bore());
    }
    return narrowest;
  }
}
