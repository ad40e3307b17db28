package fernwort.core.network;

import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The lines of a rig as pipes.
 *
 * <p>A line's own minor loss holds what its elbows and fittings take, and its entrance and exit
 * where it ends in a tank or in the open. On top comes what sudden changes of bore take: a part is
 * taken to be as wide inside as the widest line at it, and a narrower line loses (1 − β²)² where it
 * opens into the part (Borda and Carnot) and ½(1 − β²) where it leaves it, β being narrow over
 * wide.
 */
public final class LinePipes {

  /**
   * Froude number Q/(A·√(gD)) from which a line runs full by itself, and below which water and air
   * pass side by side (L. L. Simpson, Sizing piping for process plants, Chemical Engineering 1968).
   * Between them both happen.
   */
  private static final double PRIMES = 1;

  public static final double STAYS_PRIMED = 0.31;

  /** All lines as pipes of one fluid. */
  private record Made(Fluid fluid, List<Pipe> pipes) {}

  private final List<Line> lines;
  private final double primes;
  private final double[] forward;
  private final double[] backward;

  /** Those asked for last: a run asks for the same fluid from step to step. */
  private volatile @Nullable Made last;

  /**
   * Prepares lines.
   *
   * @param rig the rig
   * @param lines its lines, some perhaps of another bore
   */
  public LinePipes(Rig rig, List<Line> lines) {
    this.lines = lines;
    primes = PRIMES;
    forward = new double[lines.size()];
    backward = new double[lines.size()];
    Map<PartId, Kind> parts = new HashMap<>();
    rig.parts().forEach(p -> parts.put(p.id(), p.kind()));
    Map<PartId, Double> widest = new HashMap<>();
    for (Line line : lines) {
      for (PortRef end : List.of(line.from(), line.to())) {
        widest.merge(end.part(), line.bore(), Math::max);
      }
    }
    for (int i = 0; i < forward.length; i++) {
      Line line = lines.get(i);
      double atFrom = narrowness(parts, line.from(), line.bore(), widest);
      double atTo = narrowness(parts, line.to(), line.bore(), widest);
      forward[i] = line.minorLoss() + atFrom / 2 + atTo * atTo;
      backward[i] = line.minorLoss() + atTo / 2 + atFrom * atFrom;
    }
  }

  private LinePipes(LinePipes other, double primes) {
    lines = other.lines;
    forward = other.forward;
    backward = other.backward;
    this.primes = primes;
  }

  /** Returns the same lines, each of which runs full as soon as it may. */
  public LinePipes primingEarly() {
    return new LinePipes(this, STAYS_PRIMED);
  }

  /** Returns the Froude number from which a line is taken to run full by itself. */
  public double primes() {
    return primes;
  }

  /** Returns 1 − β², 0 where the loss is the line's own. */
  private static double narrowness(
      Map<PartId, Kind> parts, PortRef end, double bore, Map<PartId, Double> widest) {
    return parts.containsKey(end.part()) && parts.get(end.part()).inLine().goesOn()
        ? 1 - Math.pow(bore / widest.getOrDefault(end.part(), bore), 2)
        : 0;
  }

  /** Returns a line as a pipe. */
  public Pipe pipe(int line, Fluid fluid) {
    return pipes(fluid).get(line);
  }

  /** Returns all lines as pipes, by their number. */
  public List<Pipe> pipes(Fluid fluid) {
    Made made = last;
    if (made == null || !made.fluid().equals(fluid)) {
      made =
          new Made(fluid, IntStream.range(0, lines.size()).mapToObj(i -> make(i, fluid)).toList());
      last = made;
    }
    return made.pipes();
  }

  private Pipe make(int line, Fluid fluid) {
    return throttled(line, fluid, 0);
  }

  /**
   * Returns a line as a pipe that something in it throttles.
   *
   * @param more what that takes (velocity heads of the line)
   */
  public Pipe throttled(int line, Fluid fluid, double more) {
    Line of = lines.get(line);
    return new Pipe(
        of.bore(),
        of.length(),
        of.material().roughness(),
        forward[line] + more,
        backward[line] + more,
        fluid);
  }

  /** Returns the Froude number Q/(A·√(gD)) of a flow (m³/s) in a line. */
  public double froude(int line, double flow) {
    double bore = lines.get(line).bore();
    return Math.abs(flow) / (Math.PI / 4 * bore * bore * Math.sqrt(Fluid.GRAVITY * bore));
  }
}
