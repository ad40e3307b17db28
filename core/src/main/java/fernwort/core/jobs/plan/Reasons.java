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
              "Without it no water comes from {} to {}.",
              name(f.need().source()),
              label(f.need().end().part()));
      case Fault.Stray f ->
          Message.words(
              scout.goal().of(Condition.Quiet.class).stream()
                      .anyMatch(q -> q.source().equals(f.way().source().part()))
                  ? "Otherwise water still runs from " + way(f.way()) + "."
                  : "Otherwise water runs from " + way(f.way()) + " as well.");
      case Fault.Danger f -> Message.of("Otherwise: {}.", f.warning().title());
      case Fault.Airless f -> Message.words("It lets " + label(f.tank()) + " breathe.");
      case Fault.Unlinked f ->
          Message.of("It joins {} with {} below their water.", label(f.from()), label(f.to()));
      case Fault.Apart f ->
          Message.of("Without it nothing runs from {} to {}.", label(f.from()), label(f.to()));
      case Fault.NotRound f ->
          f.heater()
              .map(h ->
                  Message.of(
                      "Without it {} sends nothing round through {}.", label(f.pump()), label(h)))
              .orElseGet(() -> Message.of("Without it {} turns nothing round.", label(f.pump())));
      case Fault.Joined f -> Message.of("It parts {} from {}.", label(f.from()), label(f.to()));
      case Fault.Leaking f ->
          Message.of(
              "Otherwise what goes into {} runs out at {}.",
              label(f.tank()),
              label(f.way().end().part()));
      case Fault.StopsShort f ->
          Message.of("Without it the lower float of {} shuts too soon.", label(f.tank()));
      case Fault.ShutIn f ->
          Message.of("Once {} is full, what still comes has to get out.", label(f.tank()));
      case Fault.PumpOn f ->
          Message.words(label(f.pump()) + " must not push while the hose gives.");
      case Fault.Unfed f -> Message.words("Otherwise " + label(f.pump()) + " draws air.");
      case Fault.Bypassed f ->
          Message.words("Otherwise water goes round " + label(f.filter()) + ".");
      case Fault.Keeping f ->
          Message.of(
              "Otherwise water stays in {}.", f.tank().isEmpty() ? "the lines" : label(f.tank()));
      case Fault.Disproved f -> Message.of("Otherwise {}.", f.harm().words());
    };
  }

  private String way(FlowPath way) {
    return name(way.source()) + " to " + label(way.end().part());
  }

  /** Returns what people call a source. */
  public String name(Source source) {
    return switch (source.kind()) {
      case MAINS -> "the mains";
      case OUTSIDE -> "outside water";
      case WASTE -> "the waste of " + label(source.part());
      case TANK, JUG -> label(source.part());
    };
  }

  private String label(String part) {
    return rig.part(part).label();
  }
}
