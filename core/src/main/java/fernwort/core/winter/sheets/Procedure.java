package fernwort.core.winter.sheets;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.Turn;
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
  public static Wintering run(Network network, Wintering before, List<Turn> steps) {
    Wintering now = before;
    for (Turn step : steps) {
      now = Draining.of(network, now.with(network.rig(), step.part(), step.position()));
      if (runsDry(network, now, step)) {
        now = new Operation.RunDry(step.part()).on(network, now);
      }
    }
    return now;
  }

  /** A pump that is switched on with no tank's water before it runs dry. */
  private static boolean runsDry(Network network, Wintering now, Turn step) {
    Part part = network.rig().part(step.part());
    if (!part.kind().is(Purpose.PUMPS) || !step.position().equals(Kind.ON)) {
      return false;
    }
    Levels levels = Levels.of(network, now.state());
    OpenGraph graph =
        new OpenGraph(network, now.state().setting().with(part.id(), PositionId.of("off")));
    int[] islands = graph.islands();
    int suction = islands[network.vertex(part, PortId.IN)];
    return IntStream.range(0, network.tanks().size())
        .flatMap(t -> Arrays.stream(network.tankVertices(t)))
        .noneMatch(v -> levels.wet(v) && islands[v] == suction);
  }
}
