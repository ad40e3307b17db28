package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.core.fault.FaultFinder;
import fernwort.core.rig.State;
import java.time.Duration;
import org.springframework.stereotype.Service;

/** Finders of faults, kept while somebody asks about a rig. */
@Service
public class FaultDesk {

  /** So many rigs are looked into at once; own choice. */
  private static final int MOST = 4;

  private static final Duration KEPT = Duration.ofMinutes(15);

  private final Cache<Of, FaultFinder> finders =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterAccess(KEPT).build();

  private record Of(String rig, int version) {}

  /** Returns the finder for a rig as it is built now. */
  public FaultFinder of(OpenRig rig) {
    return finders.get(new Of(rig.id(), rig.version()), k -> FaultFinder.of(rig.rig()));
  }

  /** Somebody is about to ask: what takes long is begun. */
  public void soon(OpenRig rig, State noted) {
    FaultFinder finder = of(rig);
    Thread.ofVirtual().name("faults-soon").start(() -> finder.prepare(noted));
  }
}
