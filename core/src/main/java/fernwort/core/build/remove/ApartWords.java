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
      return Says.A_CLAMP_CUT_THE_HOSES_END_FRESH.text();
    }
    if (end instanceof Connection.TubeEnd) {
      return Says.THE_O_RING_OF_THE_PUSH_FIT.text();
    }
    if (end instanceof Connection.Spigot && port instanceof Connection.Socket) {
      return Says.CEMENTED_IT_IS_CUT_AND_JOINED.text();
    }
    return Says.ITS_WASHER_OR_TAPE.text();
  }

  /**
   * Returns what to mind.
   *
   * @param tap the one that stays open, if there is one
   */
  static List<Message> heed(List<Part> out, State state, Optional<Part> tap) {
    List<Message> heed = new ArrayList<>();
    tap.ifPresent(t -> heed.add(Says.STAYS_OPEN_NO_JOINT_SPITS.with(t.label())));
    for (Part part : out) {
      if (part.kind().is(Purpose.HOLDS)) {
        double left = state.volume(part.id());
        heed.add(Says.IN_IT_AS_IT_STANDS_TWO_PEOPLE.with(part.label(), Amount.mass(1000 * left)));
      }
      part.kind().takenOut().forEach(words -> heed.add(Message.of("{}: {}", part.label(), words)));
    }
    heed.add(Says.EDGES_OF_CUT_TUBE_AND_CLAMPS.with());
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
