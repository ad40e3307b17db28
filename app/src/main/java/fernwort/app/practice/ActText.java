package fernwort.app.practice;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Trial.Act;
import fernwort.core.kind.Position;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Optional;

/** Something that was done, as it stands in the address of a page. */
final class ActText {

  /** No comma: the address would be read as several. */
  private static final String BETWEEN = "~";

  private static final String WAIT = "wait";
  private static final String FULL = "full";
  private static final String TURN = "turn";
  private static final double LONGEST = 4 * 3600;
  private static final double MINUTE = 60;
  private static final int TURN_WORDS = 3;

  private ActText() {}

  static String turn(PartId part, PositionId position) {
    return TURN + BETWEEN + part + BETWEEN + position;
  }

  /** Turns a handle on from where it stands, as a press on the drawing does. */
  static String next(Part handle, Setting from) {
    List<Position> positions = handle.kind().positions();
    int at = positions.stream().map(Position::id).toList().indexOf(from.of(handle.id()));
    return turn(handle.id(), positions.get((at + 1) % positions.size()).id());
  }

  static String wait(int minutes) {
    return WAIT + BETWEEN + minutes;
  }

  static String full(PartId tank) {
    return FULL + BETWEEN + tank;
  }

  /**
   * Reads it.
   *
   * @throws Refusal when the rig has no such part any more
   */
  static Act read(String text, Rig rig) {
    String[] words = text.split(BETWEEN, -1);
    try {
      if (words[0].equals(TURN) && words.length == TURN_WORDS) {
        rig.position(PartId.of(words[1]), PositionId.of(words[2]));
        return new Trial.Turned(PartId.of(words[1]), PositionId.of(words[2]));
      }
      if (words[0].equals(WAIT) && words.length == 2) {
        double seconds = Integer.parseInt(words[1]) * MINUTE;
        if (seconds > 0 && seconds <= LONGEST) {
          return new Trial.Pause(seconds);
        }
      }
      if (words[0].equals(FULL) && words.length == 2) {
        return new Trial.Pause(LONGEST, Optional.of(rig.part(PartId.of(words[1])).id()));
      }
    } catch (NumberFormatException e) {
      throw new Refusal(Says.BEGIN_ANEW.text(), e);
    }
    throw new Refusal(Says.BEGIN_ANEW.with());
  }

  /** Returns it in words. */
  static String words(Act act, Rig rig) {
    return switch (act) {
      case Trial.Turned t ->
          Says.TURNED.filled(
              rig.part(t.part()).label(), rig.position(t.part(), t.position()).words());
      case Trial.Pause p ->
          p.full()
              .map(f -> Says.WAITED_UNTIL_FULL.filled(rig.part(f.part()).label()))
              .orElseGet(() -> Says.WAITED.filled(Math.round(p.seconds() / MINUTE)));
      case Trial.Driven d -> "";
      case Trial.Serve s -> "";
    };
  }
}
