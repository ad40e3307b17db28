package fernwort.core.build.remove;

import fernwort.core.kind.Connection;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is said to somebody who takes parts out: what to mind, what to renew, which way round. */
final class ApartWords {

  private ApartWords() {}

  /** Returns what to renew when a joint goes together again. */
  static String seal(Connection.Form port, Connection.Form end) {
    if (end instanceof Connection.HoseEnd) {
      return "a clamp; cut the hose's end fresh";
    }
    if (end instanceof Connection.TubeEnd) {
      return "the O-ring of the push-fit; the tube's end smooth and square";
    }
    if (end instanceof Connection.Spigot && port instanceof Connection.Socket) {
      return "cemented: it is cut, and joined with a new socket";
    }
    return "its washer or tape";
  }

  /**
   * Returns what to mind.
   *
   * @param tap the one that stays open, if there is one
   */
  static List<Message> heed(List<Part> out, State state, Optional<Part> tap) {
    List<Message> heed = new ArrayList<>();
    tap.ifPresent(t ->
        heed.add(
            Message.of(
                "{} stays open: no joint spits, and air comes in above what runs out", t.label())));
    for (Part part : out) {
      if (part.kind().is(Purpose.HOLDS)) {
        double left = state.volume(part.id());
        heed.add(
            Message.of(
                "{}: {} in it as it stands. Two people or a jack under it; never under a"
                    + " vehicle on a jack alone.",
                part.label(),
                Amount.mass(1000 * left)));
      }
      part.kind().takenOut().forEach(words -> heed.add(Message.of("{}: {}", part.label(), words)));
    }
    heed.add(
        Message.words(
            "Edges of cut tube and clamps are sharp: gloves. Ends capped at once, against dirt as"
                + " much as against drips."));
    return heed;
  }

  /** Returns which way round each goes back, where it matters. */
  static List<Message> wayRound(List<Part> out) {
    List<Message> ways = new ArrayList<>();
    for (Part part : out) {
      part.kind()
          .wayRound()
          .ifPresent(words -> ways.add(Message.of("{}: {}", part.label(), words)));
    }
    return ways;
  }
}
