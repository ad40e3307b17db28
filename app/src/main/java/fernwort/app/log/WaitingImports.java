package fernwort.app.log;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.store.DiaryStore;
import fernwort.core.say.Refusal;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tables that were read and looked at, until somebody says that they are to go in. */
@Component
class WaitingImports {

  private static final int MOST = 5;
  private static final Duration LONGEST = Duration.ofMinutes(20);

  private final Cache<String, Waiting> waiting =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(LONGEST).build();

  private record Waiting(String rig, List<DiaryStore.Kept> all) {}

  /** Keeps what was read of a rig, and returns by what it is asked for. */
  String keep(String rig, List<DiaryStore.Kept> all) {
    String token = UUID.randomUUID().toString();
    waiting.put(token, new Waiting(rig, all));
    return token;
  }

  /**
   * Returns what was kept.
   *
   * @throws Refusal when it waits no longer
   */
  List<DiaryStore.Kept> take(String rig, String token) {
    Waiting found = waiting.getIfPresent(token);
    if (found == null || !found.rig().equals(rig)) {
      throw new Refusal(Says.THAT_FILE_WAITS_NO_LONGER.with());
    }
    waiting.invalidate(token);
    return found.all();
  }
}
