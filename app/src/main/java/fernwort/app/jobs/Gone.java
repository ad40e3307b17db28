package fernwort.app.jobs;

import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.store.RigStore;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.Rig;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Finds the newest version of a rig that still had a part, for sheets that were begun before it was
 * taken out.
 */
@Component
class Gone implements PartSearch {

  private final Descriptions rigs;

  Gone(Descriptions rigs) {
    this.rigs = rigs;
  }

  /** Tells whether a rig has a part that can stand so. */
  static boolean has(Rig rig, PartId part, PositionId position) {
    return rig.parts().stream()
        .filter(p -> p.id().equals(part))
        .anyMatch(p -> p.kind().positions().stream().anyMatch(q -> q.id().equals(position)));
  }

  /** Returns the newest description in which the part could stand so, today's first. */
  @Override
  public Optional<Rig> lastWith(OpenRig open, PartId part, PositionId position) {
    if (has(open.rig(), part, position)) {
      return Optional.of(open.rig());
    }
    return rigs.versions(open.id()).stream()
        .map(RigStore.Version::version)
        .map(version -> rigs.version(open.id(), version))
        .filter(rig -> has(rig, part, position))
        .findFirst();
  }
}
