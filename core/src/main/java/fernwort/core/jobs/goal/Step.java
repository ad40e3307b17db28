package fernwort.core.jobs.goal;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** One line of a run sheet. */
public sealed interface Step {

  /**
   * Something to set.
   *
   * @param part id of the part
   * @param from id of the position it is in
   * @param to id of the position to put it in
   * @param why what it is for, as a sentence
   * @param notice what to see, hear or feel
   * @param words what to do, as a sentence that begins with the verb
   */
  record Move(PartId part, PositionId from, PositionId to, Message why, String notice, String words)
      implements Step {

    /** Sheets that an earlier Fernwort kept have no words: the part's kind has them still. */
    public Move {
      words = Objects.requireNonNullElse(words, "");
    }

    /** Returns the same move for another reason. */
    public Move because(Message other) {
      return new Move(part, from, to, other, notice, words);
    }
  }

  /**
   * Something to wait for or to check.
   *
   * @param until what
   * @param words what to do meanwhile
   * @param notice how one knows that it is so
   * @param seconds how long it takes, if that is known (s)
   * @param moved what is moved meanwhile (m³)
   * @param levels what the tanks hold then that have changed, by id (m³)
   * @param then what happens if it is let go on, in order
   */
  record Wait(
      Job.Until until,
      Message words,
      String notice,
      Span seconds,
      double moved,
      Map<PartId, Double> levels,
      List<Then> then)
      implements Step {
    public Wait {
      levels = Map.copyOf(levels);
      then = List.copyOf(then);
    }

    /** Returns it in other words. */
    public Wait saying(Message other) {
      return new Wait(until, other, notice, seconds, moved, levels, then);
    }

    /** Returns it with another time that it takes. */
    public Wait lasting(Span other) {
      return new Wait(until, words, notice, other, moved, levels, then);
    }

    /** Returns it with something said before its words. */
    public Wait after(Message first) {
      if (first.equals(Message.NOTHING)) {
        return this;
      }
      return new Wait(
          until, Message.of("{} {}", first, words), notice, seconds, moved, levels, then);
    }
  }

  /**
   * What happens if a wait is overrun.
   *
   * @param seconds when, from the start of the wait (s)
   * @param words what
   * @param shows id of the part at which water shows then, if it does
   */
  record Then(double seconds, Message words, Optional<PartId> shows) {}

  /**
   * A time, as a range because the losses of fittings are guesses; all 0 when it is not known.
   *
   * @param low with fittings that lose half as much (s)
   * @param expected as described (s)
   * @param high with fittings that lose twice as much (s)
   */
  record Span(double low, double expected, double high) {

    /** Not known. */
    public static final Span UNKNOWN = new Span(0, 0, 0);

    /** Tells whether the time is known. */
    public boolean isKnown() {
      return expected > 0;
    }
  }
}
