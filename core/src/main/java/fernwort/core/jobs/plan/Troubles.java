package fernwort.core.jobs.plan;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Fault;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.Source;
import java.util.Optional;
import java.util.stream.Stream;

/** Why a job cannot be done, in words, with its mend. */
public final class Troubles {

  private final Network network;

  /** Prepares the troubles of a rig. */
  public Troubles(Network network) {
    this.network = network;
  }

  /** A part would have to be elsewhere, and cannot. */
  public Plan.Trouble needed(Turn turn) {
    return new Plan.Trouble(
        Message.of(
            "This needs {} to be “{}”. Stop here, and have it repaired first.",
            label(turn.part()),
            network.rig().position(turn.part(), turn.position()).words()),
        Optional.empty());
  }

  /** A stage that is left out for want of a valve. */
  public Message without(Goal goal) {
    Optional<Condition.RunsOut> out = goal.of(Condition.RunsOut.class).stream().findFirst();
    if (out.isPresent()) {
      return Message.of(
          "Nothing lets {} out by itself: pump it out, or fit a drain.", label(out.get().tank()));
    }
    return goal.of(Condition.Parted.class).stream()
        .findFirst()
        .map(p ->
            Message.of(
                "No valve separates {} from {}: mind what still runs, and fit one.",
                label(p.from()),
                label(p.to())))
        .orElse(Message.of("No valve closes the water off here: mind what still runs."));
  }

  /** Every way that was found went wrong when it was run. */
  Plan.Trouble disproved(Harm harm) {
    return new Plan.Trouble(
        Message.of(
            "It does not work as things are now: {}. {}", harm.words().capitalised(), harm.mend()),
        harm.hazard());
  }

  /** No safe setting was found. */
  public Plan.Trouble blocked(Goal goal, Optional<Fault> fault) {
    return fault
        .map(f -> trouble(goal, f))
        .orElseGet(() -> new Plan.Trouble(Message.words(noWay(goal)), Optional.empty()));
  }

  private Plan.Trouble trouble(Goal goal, Fault fault) {
    return switch (fault) {
      case Fault.Danger f -> danger(f.warning());
      case Fault.Airless f ->
          words(
              "No position of the handles lets %s breathe. Fit a vent, or open the one it has.",
              f.tank());
      case Fault.ShutIn f ->
          words(
              "Once %s is full, nothing lets out what still comes in, and it bulges. Fit an"
                  + " overflow that no handle closes.",
              f.tank());
      case Fault.StopsShort f ->
          new Plan.Trouble(
              Message.of(
                  "The float that is open closes before {} holds {}, and no position of the handles leads on. Open the way to its higher float.",
                  label(f.tank()),
                  Amount.volume(f.volume())),
              Optional.empty());
      case Fault.Leaking f ->
          words(
              "What goes into %s runs out again at %s. Fit a valve or cap there.",
              f.tank(), f.way().end().part());
      case Fault.Stray f ->
          f.way().source().part().equals(f.way().end().part())
              ? words(
                  "Water of %s would run round and back into it as well, and nothing stops it"
                      + " there. Fit a valve in the way back.",
                  f.way().source().part())
              : words(
                  "Water would run from %s to %s as well, and nothing stops it there. Fit a valve"
                      + " between them.",
                  f.way().source().part(), f.way().end().part());
      case Fault.Joined f ->
          words("Nothing closes off %s from %s. Fit a valve between them.", f.from(), f.to());
      case Fault.PumpOn f -> words("%s cannot be closed off from the water of the hose.", f.pump());
      case Fault.Unfed f -> words("%s has nothing to draw. Fill its tank first.", f.pump());
      case Fault.Bypassed f ->
          words("Water comes back without passing %s. Fit a valve in the bypass.", f.filter());
      case Fault.NotRound f when f.heater().isPresent() ->
          words(
              "%s circulates its water past %s, or not at all. Fit a valve in the line that leads past it.",
              f.pump(), f.heater().get());
      case Fault.NotRound f -> words("%s has no loop to circulate its water in.", f.pump());
      case Fault.Keeping f when f.tank().isEmpty() ->
          new Plan.Trouble(
              Message.of("Water stays in the lines that no handle lets out."), Optional.empty());
      case Fault.Keeping f ->
          words("Nothing lets %s out by itself. Pump it out, or fit a drain.", f.tank());
      case Fault.Disproved f -> disproved(f.harm());
      case Fault.Misplaced f -> new Plan.Trouble(Message.words(noWay(goal)), Optional.empty());
      case Fault.Missing f -> new Plan.Trouble(Message.words(missing(f.need())), Optional.empty());
      case Fault.Unlinked f ->
          words("No position of the handles links %s with %s.", f.from(), f.to());
      case Fault.Apart f -> words("No position of the handles joins %s with %s.", f.from(), f.to());
    };
  }

  private static Plan.Trouble danger(Warning hazard) {
    return new Plan.Trouble(
        Message.of("Every way there leads through a danger: {}. {}", hazard.title(), hazard.mend()),
        Optional.of(hazard));
  }

  /** Says a sentence about some parts; a name in it is never a pattern itself. */
  private Plan.Trouble words(String sentence, String... parts) {
    Object[] labels = Stream.of(parts).map(this::label).toArray();
    return new Plan.Trouble(Message.words(sentence.formatted(labels)), Optional.empty());
  }

  private String noWay(Goal goal) {
    return goal.needs().stream()
        .findFirst()
        .map(this::missing)
        .orElse("No position of the handles does it.");
  }

  private String missing(Need need) {
    if (need.source().part().equals(need.end().part())) {
      return "No position of the handles sends the water of %s round and back at these levels."
          .formatted(label(need.end().part()));
    }
    Optional<Part> unprimed = Priming.unprimed(network, need);
    if (unprimed.isPresent()) {
      return "%s cannot draw water up from so far below. Bring it nearer to the water, or fit one that draws higher."
          .formatted(unprimed.get().label());
    }
    return "No position of the handles leads water from %s to %s and nowhere else at these levels."
        .formatted(
            need.source().kind() == Source.Kind.MAINS ? "mains water" : label(need.source().part()),
            label(need.end().part()));
  }

  private String label(String part) {
    return network.rig().part(part).label();
  }
}
