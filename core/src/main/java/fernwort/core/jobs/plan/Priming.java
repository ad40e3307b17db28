package fernwort.core.jobs.plan;

import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Given;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.BiFunction;

/** Pumps that draw outside water only once somebody has filled them: which, and when. */
final class Priming {

  private Priming() {}

  /**
   * Returns a pump that a way from outside leads through and that does not draw water up as high as
   * it stands over it, if there is one.
   */
  static Optional<Part> unprimed(Network network, Need need) {
    Part source = network.rig().part(need.source().part());
    OptionalDouble water =
        source.kind().gives().stream()
            .filter(g -> g.from() == Given.From.OUTSIDE)
            .mapToDouble(Given::height)
            .findFirst();
    if (water.isEmpty() || need.source().kind() != Source.Kind.OUTSIDE) {
      return Optional.empty();
    }
    Connections free = Connections.withHandlesFree(network);
    return network.pumps().stream()
        .filter(p -> p.height() - water.getAsDouble() > p.kind().suctionLift())
        .filter(p -> free.route(source.id(), x -> !isDrawnThrough(x, p), p::equals).isPresent())
        .findFirst();
  }

  /** Tells whether a pump draws through a part: behind another pump it is pushed to. */
  private static boolean isDrawnThrough(Part part, Part pump) {
    return part.equals(pump) || !part.kind().is(Purpose.HOLDS) && !part.kind().is(Purpose.DRIVES);
  }

  /**
   * Returns a plan with a step before each pump that has to be primed is switched on.
   *
   * @param network of the rig as it is
   * @param step the step for a pump and the inlet that it draws from
   */
  static Plan steps(Network network, Plan plan, BiFunction<Job.Until, PartId, Step> step) {
    Map<PartId, PartId> inlets = new TreeMap<>();
    plan.job().stages().stream()
        .flatMap(s -> s.goal().needs().stream())
        .forEach(n -> unprimed(network, n).ifPresent(p -> inlets.put(p.id(), n.source().part())));
    List<Step> steps = new ArrayList<>();
    List<Integer> stages = new ArrayList<>();
    for (int i = 0; i < plan.steps().size(); i++) {
      if (plan.steps().get(i) instanceof Step.Move move
          && move.to().equals(Kind.ON)
          && inlets.containsKey(move.part())) {
        steps.add(
            step.apply(
                new Job.Until(Job.Until.What.PRIMED, move.part()),
                inlets.getOrDefault(move.part(), PartId.NONE)));
        stages.add(plan.stages().get(i));
      }
      steps.add(plan.steps().get(i));
      stages.add(plan.stages().get(i));
    }
    return new Plan(plan.job(), steps, stages, plan.notes(), plan.after(), plan.trouble());
  }
}
