package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.jobs.SmallHouses;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.kind.Position;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.statistics.Statistics;

/** The order of turns, held against every order there is. */
class SequenceTest {

  private static final int TURNS = 5;

  @Property(tries = 120)
  void noSafeOrderWalksLess(@ForAll @LongRange(min = 0, max = 20_000) long seed) {
    Rig rig = SmallHouses.rig(seed);
    State start = SmallHouses.state(rig, seed);
    Network network = Network.of(rig);
    ConditionEvaluator scout = Planner.of(network).scout(start, Goal.of(Map.of()));
    List<Turn> turns = someTurns(rig, start.setting(), seed);
    Sequence sequence = new Sequence(scout, start.setting());
    Optional<Sequence.Order> order = sequence.order(turns);
    Optional<Sequence.Cost> least =
        orders(turns).stream()
            .filter(o -> isSafe(scout, start.setting(), o))
            .map(sequence::walking)
            .min(Sequence.Cost::compareTo);
    Statistics.collect(order.isPresent() ? "safe" : "none is safe");
    assertThat(order.isPresent()).isEqualTo(least.isPresent());
    order.ifPresent(o -> {
      assertThat(isSafe(scout, start.setting(), o.turns())).isTrue();
      assertThat(o.turns()).containsExactlyInAnyOrderElementsOf(turns);
      // Spills come before walks, so only among orders that spill nothing can they be compared.
      if (o.cost().spills() == 0) {
        assertThat(sequence.walking(o.turns()).walks()).isEqualTo(least.orElseThrow().walks());
      }
    });
  }

  private static List<Turn> someTurns(Rig rig, Setting start, long seed) {
    Random random = new Random(seed ^ 0x7e57);
    List<Part> handles =
        new ArrayList<>(
            rig.handles()
                .filter(p -> p.kind() instanceof Valve || p.kind() instanceof Pump)
                .toList());
    Collections.shuffle(handles, random);
    return handles.stream()
        .limit(TURNS)
        .map(p -> {
          Position other =
              p.kind().positions().stream()
                  .filter(q -> !q.id().equals(start.of(p.id())))
                  .findFirst()
                  .orElseThrow();
          return new Turn(p.id(), other.id());
        })
        .toList();
  }

  private static boolean isSafe(ConditionEvaluator scout, Setting start, List<Turn> turns) {
    Setting at = start;
    for (Turn turn : turns) {
      at = at.with(turn.part(), turn.position());
      if (scout.newHazard(at).isPresent()) {
        return false;
      }
    }
    return true;
  }

  private static List<List<Turn>> orders(List<Turn> turns) {
    if (turns.isEmpty()) {
      return List.of(List.of());
    }
    List<List<Turn>> all = new ArrayList<>();
    for (Turn first : turns) {
      List<Turn> rest = new ArrayList<>(turns);
      rest.remove(first);
      for (List<Turn> tail : orders(rest)) {
        List<Turn> order = new ArrayList<>();
        order.add(first);
        order.addAll(tail);
        all.add(order);
      }
    }
    return all;
  }
}
