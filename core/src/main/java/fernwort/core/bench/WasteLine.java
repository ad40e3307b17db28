package fernwort.core.bench;

import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Network;
import fernwort.core.network.WasteRuns;
import fernwort.core.rig.Line;
import java.util.List;

/**
 * A line that carries waste away by its fall, and whether it does.
 *
 * @param run the line, and whose waste it carries
 * @param rated what the fixture gives when full open (m³/s)
 * @param halfFull what the line carries half full (m³/s)
 * @param verdict whether that does
 */
public record WasteLine(WasteRuns.Run run, double rated, double halfFull, Verdict verdict) {

  /** Least fall of a small drain line, 1 in 48, as plumbing codes ask of pipes to 65 mm. */
  public static final double LEAST_GRADIENT = 0.0208;

  /** Whether a line carries its waste away. */
  public enum Verdict {
    DOES_NOT_FALL,
    TOO_FLAT,
    TOO_NARROW,
    GOOD
  }

  /** Returns every line of a rig from a fixture's waste to its tank or end. */
  public static List<WasteLine> of(Network network) {
    return WasteRuns.of(network).stream().map(run -> of(network, run)).toList();
  }

  private static WasteLine of(Network network, WasteRuns.Run run) {
    double rated = ((Tap) network.rig().part(run.fixture()).kind()).ratedFlow();
    Line line = run.line();
    Pipe pipe = Pipe.of(line.bore(), line.length(), PiecedLine.ROUGHNESS, 0, Fluid.WATER);
    double halfFull = run.fall() > 0 ? pipe.flow(Math.min(run.fall(), line.length())) / 2 : 0;
    return new WasteLine(run, rated, halfFull, verdict(run, halfFull, rated));
  }

  private static Verdict verdict(WasteRuns.Run run, double halfFull, double rated) {
    if (run.fall() <= 0) {
      return Verdict.DOES_NOT_FALL;
    }
    if (run.gradient() < LEAST_GRADIENT) {
      return Verdict.TOO_FLAT;
    }
    return halfFull < rated ? Verdict.TOO_NARROW : Verdict.GOOD;
  }

  /** Tells whether it goes straight down, or as good as. */
  public boolean isSteep() {
    return run.fall() >= run.line().length();
  }
}
