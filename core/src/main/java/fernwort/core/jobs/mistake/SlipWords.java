package fernwort.core.jobs.mistake;

import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Trial;
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
    String first = label(key.parts().getFirst().part());
    return switch (key.code()) {
      case UNSAFE_WATER ->
          Says.WATER_THAT_IS_NOT_FIT_TO_DRINK.with(first, label(key.parts().getLast().part()));
      case BACKFLOW -> Says.CAN_RUN_BACK_INTO_THE_PUBLIC_TAP.with(first);
      case HEATER_DRY -> Says.HEATS_WITHOUT_WATER.with(first);
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
  Message running(PartId pump, boolean dry, double seconds) {
    return Message.of(
        dry ? Says.RUNS_DRY_FOR.text() : Says.PUSHES_AGAINST_A_CLOSED_OUTLET.text(),
        label(pump),
        Amount.time(seconds));
  }

  /** Returns a volume that runs out while an end has neither cap nor hose (m³). */
  Message overTheHands(double volume, PartId end) {
    return Says.RUN_OVER_YOUR_HANDS.with(
        Amount.volume(volume), label(end), Amount.time(Trial.BARE));
  }

  /** Returns that a tap gives little or nothing in place of what it should (m³/s). */
  Message weak(PartId tap, double gives, double should) {
    return gives < Flows.TRICKLE
        ? Says.NO_WATER_COMES_AT.with(label(tap))
        : Says.GIVES_IN_PLACE_OF.with(label(tap), Amount.flow(gives), Amount.flow(should));
  }

  /**
   * Returns that a tank that a siphon sucks in may fold and run on, with what it still holds (m³).
   */
  Message runsOn(PartId tank, double holds) {
    return HappeningWords.runsOn(label(tank), holds);
  }

  /** Returns a volume that ran out where it should not (m³). */
  public Message loss(double volume, PartId end) {
    return Says.RUN_OUT_AT.with(Amount.volume(volume), label(end));
  }

  /** Returns a volume that sloshes out on the next drive (m³). */
  Message onTheDrive(double volume, PartId end) {
    return Says.RUN_OUT_ON_THE_DRIVE.with(Amount.volume(volume), label(end));
  }

  Message overnight(double volume, PartId end) {
    return Says.RUN_OUT_OVERNIGHT.with(Amount.volume(volume), label(end));
  }

  /** Returns the whole of what a slip leads to. */
  public static Message sentence(List<Message> leads) {
    return leads.isEmpty()
        ? Says.NOTHING_HAPPENS.with()
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
      case NUISANCE -> Says.YES_SET_IT_RIGHT_AND_GO_ON.text();
      case BAD ->
          lost > BUCKET ? Says.NO_THE_WATER_IS_GONE.text() : Says.YES_EXCEPT_FOR_THE_WATER.text();
      case GRAVE ->
          broken ? Says.ONLY_IF_IT_IS_CAUGHT_AT_ONCE.text() : Says.NO_DO_NOT_DRINK_FLUSH.text();
    };
  }

  private String label(PartId part) {
    return rig.part(part).label();
  }
}
