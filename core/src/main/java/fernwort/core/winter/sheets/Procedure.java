package fernwort.core.winter.sheets;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Wintering;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.plumbing.Turn;
import fernwort.core.rig.Part;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Draining as a list of steps: after each, whatever can leave has left. */
public final class Procedure {

  private Procedure() {}

  /**
   * Returns a rig after some steps.
   *
   * @throws fernwort.core.say.Refusal when a part cannot be put so
   */
  public static Wintering run(Plumbing plumbing, Wintering before, List<Turn> steps) {
    Wintering now = before;
    for (Turn step : steps) {
      now = Draining.of(plumbing, now.with(plumbing.rig(), step.part(), step.position()));
      if (runsDry(plumbing, now, step)) {
        now = new Act.RunDry(step.part()).on(plumbing, now);
      }
    }
    return now;
  }

  /** A pump that is switched on with no tank's water before it runs dry. */
  private static boolean runsDry(Plumbing plumbing, Wintering now, Turn step) {
    Part part = plumbing.rig().part(step.part());
    if (!part.kind().is(Purpose.PUMPS) || !step.position().equals(Kind.ON)) {
      return false;
    }
    Levels levels = Levels.of(plumbing, now.state());
    OpenGraph graph = new OpenGraph(plumbing, now.state().setting().with(part.id(), "off"));
    int[] islands = graph.islands();
    int suction = islands[plumbing.vertex(part, "in")];
    return IntStream.range(0, plumbing.tanks().size())
        .flatMap(t -> Arrays.stream(plumbing.tankVertices(t)))
        .noneMatch(v -> levels.wet(v) && islands[v] == suction);
  }
}
