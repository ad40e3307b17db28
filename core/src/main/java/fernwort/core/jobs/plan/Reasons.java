package fernwort.core.jobs.plan;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Message;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.Source;
import java.util.Optional;

/**
 * Why a turn belongs to a plan: what would be wrong at its end if this one handle had stayed. And
 * what one sees, hears or feels when it is made.
 */
public final class Reasons {

  private final Rig rig;
  private final ConditionEvaluator scout;

  /** Prepares the reasons of one plan. */
  public Reasons(ConditionEvaluator scout) {
    this.scout = scout;
    rig = scout.network().rig();
  }

  /**
   * Returns what a turn is for.
   *
   * @param turn the turn
   * @param before where the part was
   * @param after the setting that the whole stage leads to
   */
  public Message why(Turn turn, PositionId before, Setting after) {
    Part part = rig.part(turn.part());
    Setting stayed = after.with(turn.part(), before);
    Optional<Objection> without = scout.objection(stayed).or(() -> scout.runsOutBare(stayed));
    return without
        .map(f -> why(f, part, turn.position()))
        .orElseGet(() ->
            part.kind().is(Purpose.HEATS)
                ? Message.words(part.kind().purpose(turn.position()))
                : Says.IT_KEEPS_THE_STEPS_AROUND.with());
  }

  /** Returns what a part is put somewhere for, when this would be wrong without it. */
  public Message why(Objection objection, Part part, PositionId to) {
    return switch (objection) {
      case Objection.Misplaced f -> Message.words(part.kind().purpose(to));
      case Objection.Missing f ->
          Says.OPENS_THE_WAY_FROM_TO.with(name(f.need().source()), label(f.need().end().part()));
      case Objection.Stray f ->
          Message.words(
              scout.goal().of(Condition.Quiet.class).stream()
                      .anyMatch(q -> q.source().equals(f.way().source().part()))
                  ? Says.STOPS_THE_FLOW_FROM.filled(way(f.way()))
                  : Says.KEEPS_WATER_FROM_RUNNING.filled(way(f.way())));
      case Objection.Bare f -> Says.SO_NOTHING_RUNS_OUT_AT.with(label(f.end()));
      case Objection.Danger f -> Says.SO_THAT_THIS_DOES_NOT_HAPPEN.with(f.warning().title());
      case Objection.Airless f -> Says.LETS_AIR_IN_AND_OUT_OF.with(label(f.tank()));
      case Objection.Unlinked f ->
          Says.JOINS_AND_BELOW_THEIR_WATER.with(label(f.from()), label(f.to()));
      case Objection.Apart f -> Says.OPENS_THE_WAY_FROM_TO.with(label(f.from()), label(f.to()));
      case Objection.NotRound f ->
          f.heater()
              .map(h -> Says.SO_THAT_CIRCULATES_THE_WATER.with(label(f.pump()), label(h)))
              .orElseGet(() -> Says.SO_THAT_CIRCULATES_THE_WATER_STOP.with(label(f.pump())));
      case Objection.Joined f -> Says.CLOSES_OFF_FROM.with(label(f.from()), label(f.to()));
      case Objection.Leaking f ->
          Says.SO_THAT_WHAT_GOES.with(label(f.tank()), label(f.way().end().part()));
      case Objection.StopsShort f -> Says.SO_THAT_THE_LOWER_FLOAT.with(label(f.tank()));
      case Objection.ShutIn f -> Says.LETS_OUT_WHAT_STILL_COMES_ONCE.with(label(f.tank()));
      case Objection.PumpOn f -> Says.MUST_NOT_PUSH_AGAINST_THE_HOSE.with(label(f.pump()));
      case Objection.Unfed f -> Says.SO_THAT_DOES_NOT_DRAW_AIR.with(label(f.pump()));
      case Objection.Bypassed f -> Says.SO_THAT_NO_WATER_GOES_ROUND.with(label(f.filter()));
      case Objection.Keeping f ->
          Says.LETS_RUN_OUT.with(f.tank().isEmpty() ? Says.THE_LINES.text() : label(f.tank()));
      case Objection.Disproved f -> Says.SO_THAT_THIS_DOES_NOT_HAPPEN.with(f.harm().words());
    };
  }

  private String way(FlowPath way) {
    return name(way.source()) + " to " + label(way.end().part());
  }

  /** Returns what people call a source. */
  public String name(Source source) {
    return switch (source.kind()) {
      case MAINS -> Says.MAINS_WATER.text();
      case OUTSIDE -> Says.OUTSIDE_WATER.text();
      case WASTE -> Says.THE_WASTE_OF.filled(label(source.part()));
      case TANK, JUG -> label(source.part());
    };
  }

  private String label(PartId part) {
    return rig.part(part).label();
  }
}
