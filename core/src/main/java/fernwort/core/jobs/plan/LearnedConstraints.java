package fernwort.core.jobs.plan;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.wait.StageRun;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Setting;
import fernwort.core.ways.FlowPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What is learnt from a stage that went wrong when it was run: conditions for the next attempt. */
final class LearnedConstraints {

  private final Network network;

  LearnedConstraints(Network network) {
    this.network = network;
  }

  /** What is learnt from a stage that went wrong; the setting itself where nothing else is. */
  List<Condition> of(
      Setting after, Harm harm, StageRun tried, ConditionEvaluator scout, List<Condition> known) {
    Setting at = tried.run().moment().state().setting();
    List<Condition> taps = tapsShut(at, scout.goal());
    boolean drawn =
        switch (harm.kind()) {
          case DREW_AIR, BACKED_UP, LOST, GAINED, DRAINED, NOT_REACHED -> true;
          case STRAINED, SPOILT, NO_WATER -> false;
        };
    return drawn && !taps.isEmpty() && !known.containsAll(taps)
        ? taps
        : List.of(lesson(after, harm, tried, scout));
  }

  /** Returns the least of what was learnt, where that is less. */
  static Optional<List<Condition>> eased(List<Condition> lessons) {
    List<Condition> eased =
        lessons.stream()
            .map(l -> l instanceof Condition.Passing passing ? passing.eased() : l)
            .toList();
    return eased.equals(lessons) ? Optional.empty() : Optional.of(eased);
  }

  /** The way that was not there before, by which a tank was drained or gained in passing. */
  private Optional<FlowPath> harmful(Setting at, Harm harm, Levels met, ConditionEvaluator scout) {
    return scout.ways(at, met).ways().stream()
        .filter(scout::isNew)
        .filter(w ->
            switch (harm.kind()) {
              case DRAINED -> w.source().part().equals(harm.part());
              case GAINED, LOST -> w.end().part().equals(harm.part());
              case STRAINED, DREW_AIR, BACKED_UP, SPOILT, NO_WATER, NOT_REACHED -> false;
            })
        .filter(w -> scout.goal().needs().stream().noneMatch(n -> n.isMetBy(w)))
        .findFirst();
  }

  /** Taps that stand open, and that the job has not opened, are the first to be shut. */
  private List<Condition> tapsShut(Setting at, Goal goal) {
    Map<PartId, PositionId> musts = goal.musts();
    List<Condition> shut = new ArrayList<>();
    network
        .rig()
        .handles()
        .filter(p -> p.kind().is(Purpose.USE) && !musts.containsKey(p.id()))
        .filter(p -> !at.of(p.id()).equals(p.rest().id()))
        .forEach(p -> shut.add(new Condition.Placed(p.id(), p.rest().id())));
    return shut;
  }

  private Condition lesson(Setting after, Harm harm, StageRun tried, ConditionEvaluator scout) {
    Setting at = tried.run().moment().state().setting();
    return at.equals(after)
        ? lesson(at, harm, tried.levels(), scout)
        : passing(at, harm, tried.levels(), scout);
  }

  private Condition.Passing passing(Setting at, Harm harm, Levels met, ConditionEvaluator scout) {
    Condition other = new Condition.Other(at, harm);
    return harmful(at, harm, met, scout)
        .map(w -> (Condition) new Condition.Then(met, new Condition.Without(w.key())))
        .map(without -> new Condition.Passing(without, without))
        .or(() -> stopped(at, harm, met, scout).map(first -> new Condition.Passing(first, other)))
        .orElseGet(() -> new Condition.Passing(other, other));
  }

  /**
   * What fills a tank that is full already is stopped before other handles are turned: what runs to
   * where harm was done, or else whatever fills a tank.
   */
  private static Optional<Condition> stopped(
      Setting at, Harm harm, Levels met, ConditionEvaluator scout) {
    return switch (harm.kind()) {
      case LOST, STRAINED ->
          Stream.of(new Condition.NothingTo(harm.part()), new Condition.NothingFills())
              .map(stop -> (Condition) new Condition.Then(met, stop))
              .filter(stop -> stop.objection(scout, at, met).isPresent())
              .findFirst();
      case DREW_AIR, BACKED_UP, SPOILT, GAINED, DRAINED, NO_WATER, NOT_REACHED -> Optional.empty();
    };
  }

  private Condition lesson(Setting after, Harm harm, Levels met, ConditionEvaluator scout) {
    Optional<Condition> condition =
        switch (harm.kind()) {
          case STRAINED -> Optional.of(new Condition.Breathes(harm.part()));
          case DREW_AIR -> Optional.of(new Condition.Fed(harm.part()));
          case LOST, GAINED -> Optional.of(new Condition.NothingTo(harm.part()));
          case DRAINED -> Optional.of(new Condition.Quiet(harm.part()));
          case SPOILT, BACKED_UP, NO_WATER, NOT_REACHED -> Optional.empty();
        };
    return condition
        .map(c -> (Condition) new Condition.Then(met, c))
        .filter(c -> c.objection(scout, after, met).isPresent())
        .orElseGet(() -> new Condition.Other(after, harm));
  }
}
