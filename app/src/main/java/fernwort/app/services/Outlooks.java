package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.core.rig.State;
import java.util.function.Function;

/**
 * What was found out of a rig's last states. Who points at a handle asks for the state that a turn
 * leads to, and then turns it; the pages after it ask for the same again.
 */
public final class Outlooks {

  /** All positions of a dozen handles that somebody points at. */
  private static final int MOST = 40;

  private final Cache<State, Outlook> found = Caffeine.newBuilder().maximumSize(MOST).build();

  /** Begins with none. */
  Outlooks() {}

  /** Returns what was found of a state, or finds it; who asks for the same meanwhile waits. */
  Outlook of(State state, Function<State, Outlook> find) {
    return found.get(state, find);
  }
}
