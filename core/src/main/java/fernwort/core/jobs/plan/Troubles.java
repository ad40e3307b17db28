package fernwort.core.jobs.plan;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.Source;
import java.util.Optional;
import java.util.stream.Stream;

/** Why a job cannot be done, in words, with its fix. */
public final class Troubles {

  private final Network network;

  /** Prepares the troubles of a rig. */
  public Troubles(Network network) {
    this.network = network;
  }

  /** A part would have to be elsewhere, and cannot. */
  public Plan.Trouble needed(Turn turn) {
    return new Plan.Trouble(
        Says.THIS_NEEDS_TO_BE_STOP_HERE.with(
            label(turn.part()), network.rig().position(turn.part(), turn.position()).words()),
        Optional.empty());
  }

  /** A stage that is left out for want of a valve. */
  public Message without(Goal goal) {
    Optional<Condition.RunsOut> out = goal.of(Condition.RunsOut.class).stream().findFirst();
    if (out.isPresent()) {
      return Says.NOTHING_LETS_OUT_BY_ITSELF_PUMP.with(label(out.get().tank()));
    }
    return goal.of(Condition.Parted.class).stream()
        .findFirst()
        .map(p -> Says.NO_VALVE_SEPARATES_FROM_MIND.with(label(p.from()), label(p.to())))
        .orElse(Says.NO_VALVE_CLOSES_THE_WATER_OFF.with());
  }

  /** Every way that was found went wrong when it was run. */
  Plan.Trouble disproved(Harm harm) {
    return new Plan.Trouble(
        Says.IT_DOES_NOT_WORK_AS_THINGS.with(harm.words().capitalised(), harm.fix()),
        harm.hazard());
  }

  /** No safe setting was found. */
  public Plan.Trouble blocked(Goal goal, Optional<Objection> objection) {
    return objection
        .map(f -> trouble(goal, f))
        .orElseGet(() -> new Plan.Trouble(Message.words(noWay(goal)), Optional.empty()));
  }

  /** The same; where the search was given up that is said, for there may be a way. */
  Plan.Trouble blocked(Goal goal, Planner.Blocked blocked) {
    Plan.Trouble trouble = blocked(goal, blocked.objection());
    boolean certain = blocked.proven() || blocked.objection().filter(Troubles::claimsAll).isEmpty();
    return certain
        ? trouble
        : new Plan.Trouble(
            Says.NOT_EVERY_POSITION_WAS_TRIED.with(trouble.words()), trouble.hazard());
  }

  /** Tells whether what is said of it holds only if no other position of the handles is better. */
  private static boolean claimsAll(Objection objection) {
    return objection instanceof Objection.Airless
        || objection instanceof Objection.Stray
        || objection instanceof Objection.Leaking
        || objection instanceof Objection.Bare
        || objection instanceof Objection.Joined
        || objection instanceof Objection.PumpOn
        || objection instanceof Objection.Bypassed;
  }

  private Plan.Trouble trouble(Goal goal, Objection objection) {
    return switch (objection) {
      case Objection.Danger f -> danger(f.warning());
      case Objection.Airless f -> words(Says.NO_POSITION_OF_THE_HANDLES_LETS.text(), f.tank());
      case Objection.ShutIn f -> words(Says.ONCE_IS_FULL_NOTHING_LETS.text(), f.tank());
      case Objection.StopsShort f ->
          new Plan.Trouble(
              Says.THE_FLOAT_THAT_IS_OPEN_CLOSES.with(label(f.tank()), Amount.volume(f.volume())),
              Optional.empty());
      case Objection.Leaking f ->
          words(Says.WHAT_GOES_INTO_RUNS_OUT_AGAIN.text(), f.tank(), f.way().end().part());
      case Objection.Stray f ->
          f.way().source().part().equals(f.way().end().part())
              ? words(Says.WATER_OF_WOULD_RUN_ROUND.text(), f.way().source().part())
              : words(
                  Says.WATER_WOULD_RUN_FROM_TO_AS_WELL.text(),
                  f.way().source().part(),
                  f.way().end().part());
      case Objection.Bare f ->
          words(Says.NOTHING_CLOSES_OFF_FROM_FIT.text(), f.way().source().part(), f.end());
      case Objection.Joined f -> words(Says.NOTHING_CLOSES_OFF_FROM_FIT.text(), f.from(), f.to());
      case Objection.PumpOn f -> words(Says.CANNOT_BE_CLOSED_OFF.text(), f.pump());
      case Objection.Unfed f -> words(Says.HAS_NOTHING_TO_DRAW_FILL.text(), f.pump());
      case Objection.Bypassed f -> words(Says.WATER_COMES_BACK_WITHOUT_PASSING.text(), f.filter());
      case Objection.NotRound f when f.heater().isPresent() ->
          words(Says.CIRCULATES_ITS_WATER_PAST.text(), f.pump(), f.heater().get());
      case Objection.NotRound f -> words(Says.HAS_NO_LOOP_TO_CIRCULATE.text(), f.pump());
      case Objection.Keeping f when f.tank().isEmpty() ->
          new Plan.Trouble(Says.WATER_STAYS_IN_THE_LINES.with(), Optional.empty());
      case Objection.Keeping f ->
          words(Says.NOTHING_LETS_OUT_BY_ITSELF_PUMP_IT_OUT_OR_FIT.text(), f.tank());
      case Objection.Disproved f -> disproved(f.harm());
      case Objection.Misplaced f -> new Plan.Trouble(Message.words(noWay(goal)), Optional.empty());
      case Objection.Missing f ->
          new Plan.Trouble(Message.words(missing(f.need())), Optional.empty());
      case Objection.Unlinked f ->
          words(Says.NO_POSITION_OF_THE_HANDLES_LINKS.text(), f.from(), f.to());
      case Objection.Apart f ->
          words(Says.NO_POSITION_OF_THE_HANDLES_JOINS.text(), f.from(), f.to());
    };
  }

  private static Plan.Trouble danger(Warning hazard) {
    return new Plan.Trouble(
        Says.EVERY_WAY_THERE_LEADS.with(hazard.title(), hazard.fix()), Optional.of(hazard));
  }

  /** Says a sentence about some parts; a name in it is never a pattern itself. */
  private Plan.Trouble words(String sentence, PartId... parts) {
    Object[] labels = Stream.of(parts).map(this::label).toArray();
    return new Plan.Trouble(Message.words(sentence.formatted(labels)), Optional.empty());
  }

  private String noWay(Goal goal) {
    return goal.needs().stream()
        .findFirst()
        .map(this::missing)
        .orElse(Says.NO_POSITION_OF_THE_HANDLES.text());
  }

  private String missing(Need need) {
    if (need.source().part().equals(need.end().part())) {
      return Says.NO_POSITION_OF_THE_HANDLES_SENDS.filled(label(need.end().part()));
    }
    Optional<Part> unprimed = Priming.unprimed(network, need);
    if (unprimed.isPresent()) {
      return Says.CANNOT_DRAW_WATER_UP_FROM_SO_FAR.filled(unprimed.get().label());
    }
    return Says.NO_POSITION_OF_THE_HANDLES_LEADS.filled(
        need.source().kind() == Source.Kind.MAINS
            ? Says.MAINS_WATER.text()
            : label(need.source().part()),
        label(need.end().part()));
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }
}
