package fernwort.core.jobs.plan;

import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Fault;
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
  public Message why(Turn turn, String before, Setting after) {
    Part part = rig.part(turn.part());
    Optional<Fault> without = scout.fault(after.with(turn.part(), before));
    return without
        .map(f -> why(f, part, turn.position()))
        .orElse(Message.of("It keeps the steps around it safe."));
  }

  /** Returns what a part is put somewhere for, when this would be wrong without it. */
  public Message why(Fault fault, Part part, String to) {
    return switch (fault) {
      case Fault.Misplaced f -> Message.words(part.kind().purpose(to));
      case Fault.Missing f ->
          Message.of(
              "Opens the way from {} to {}.",
              name(f.need().source()),
              label(f.need().end().part()));
      case Fault.Stray f ->
          Message.words(
              scout.goal().of(Condition.Quiet.class).stream()
                      .anyMatch(q -> q.source().equals(f.way().source().part()))
                  ? "Stops the flow from " + way(f.way()) + "."
                  : "Keeps water from running from " + way(f.way()) + " as well.");
      case Fault.Danger f -> Message.of("So that this does not happen: {}.", f.warning().title());
      case Fault.Airless f -> Message.words("Lets air in and out of " + label(f.tank()) + ".");
      case Fault.Unlinked f ->
          Message.of("Joins {} and {} below their water.", label(f.from()), label(f.to()));
      case Fault.Apart f ->
          Message.of("Opens the way from {} to {}.", label(f.from()), label(f.to()));
      case Fault.NotRound f ->
          f.heater()
              .map(h ->
                  Message.of(
                      "So that {} circulates the water through {}.", label(f.pump()), label(h)))
              .orElseGet(() -> Message.of("So that {} circulates the water.", label(f.pump())));
      case Fault.Joined f -> Message.of("Closes off {} from {}.", label(f.from()), label(f.to()));
      case Fault.Leaking f ->
          Message.of(
              "So that what goes into {} does not run out at {}.",
              label(f.tank()),
              label(f.way().end().part()));
      case Fault.StopsShort f ->
          Message.of(
              "So that the lower float of {} does not stop the fill too soon.", label(f.tank()));
      case Fault.ShutIn f ->
          Message.of("Lets out what still comes once {} is full.", label(f.tank()));
      case Fault.PumpOn f -> Message.words(label(f.pump()) + " must not push against the hose.");
      case Fault.Unfed f -> Message.words("So that " + label(f.pump()) + " does not draw air.");
      case Fault.Bypassed f ->
          Message.words("So that no water goes round " + label(f.filter()) + ".");
      case Fault.Keeping f ->
          Message.of("Lets {} run out.", f.tank().isEmpty() ? "the lines" : label(f.tank()));
      case Fault.Disproved f -> Message.of("So that this does not happen: {}.", f.harm().words());
    };
  }

  private String way(FlowPath way) {
    return name(way.source()) + " to " + label(way.end().part());
  }

  /** Returns what people call a source. */
  public String name(Source source) {
    return switch (source.kind()) {
      case MAINS -> "mains water";
      case OUTSIDE -> "outside water";
      case WASTE -> "the waste of " + label(source.part());
      case TANK, JUG -> label(source.part());
    };
  }

  private String label(String part) {
    return rig.part(part).label();
  }
}
