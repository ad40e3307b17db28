package fernwort.core.jobs.mistake;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.goal.Trial.Thing;
import fernwort.core.rig.Rig;
import fernwort.core.run.Event;
import fernwort.core.run.HappeningWords;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;

/** What is said of a slip: what it leads to, and whether it can be undone. */
public final class SlipWords {

  /** More than this is not mopped up (m³). */
  private static final double BUCKET = 1e-2;

  private final Rig rig;

  /** Prepares the words for a rig. */
  public SlipWords(Rig rig) {
    this.rig = rig;
  }

  /** Returns a danger that has come up. */
  public Message danger(Warning.Key key) {
    String first = label(key.parts().getFirst());
    return switch (key.code()) {
      case UNSAFE_WATER ->
          Message.of(
              "water that is not fit to drink gets from {} to {}",
              first,
              label(key.parts().getLast()));
      case BACKFLOW -> Message.of("{} can run back into the public tap", first);
      case HEATER_DRY -> Message.of("{} heats without water", first);
      default -> throw new IllegalArgumentException("no slip is judged by " + key.code());
    };
  }

  /**
   * Returns the harm of something that began after so long (s), when it is one. What runs out is
   * told by its litres instead.
   */
  Optional<Message> harm(Thing thing, double after) {
    Event begun = new Event(0, thing.kind(), thing.subject(), true);
    return thing.kind() == Event.Kind.RUNS_OUT
        ? Optional.empty()
        : HappeningWords.harm(rig, begun)
            .map(words -> Message.of("{} after {}", words, Amount.time(after)));
  }

  /** Returns how long a pump ran with nothing to draw, or against a closed outlet (s). */
  Message running(String pump, boolean dry, double seconds) {
    return Message.of(
        dry ? "{} runs dry for {}" : "{} pushes against a closed outlet for {}",
        label(pump),
        Amount.time(seconds));
  }

  /** Returns a volume that runs out while an outlet has neither cap nor hose (m³). */
  Message overTheHands(double volume, String outlet) {
    return Message.of(
        "{} run over your hands at {} before the hose is on", Amount.volume(volume), label(outlet));
  }

  /** Returns a volume that ran out where it should not (m³). */
  public Message loss(double volume, String end) {
    return Message.of("{} run out at {}", Amount.volume(volume), label(end));
  }

  /** Returns the whole of what a slip leads to. */
  public static Message sentence(List<Message> leads) {
    return leads.isEmpty()
        ? Message.of("Nothing happens.")
        : Message.of("{}.", Message.joined("; ", leads).capitalised());
  }

  /**
   * Returns whether a slip can be undone; empty where there is nothing to undo.
   *
   * @param broken whether something gave way or ran hot
   * @param lost what ran out (m³)
   */
  public static String undone(Slip.Grade grade, boolean broken, double lost) {
    return switch (grade) {
      case HARMLESS -> "";
      case NUISANCE -> "Yes: set it right and go on.";
      case BAD ->
          lost > BUCKET ? "No: the water is gone." : "Yes, except for the water that was spilt.";
      case GRAVE ->
          broken
              ? "Only if it is caught at once: what broke or overheated stays damaged."
              : "No: do not drink; flush and sanitize, and tell whoever shares the tap.";
    };
  }

  private String label(String part) {
    return rig.part(part).label();
  }
}
