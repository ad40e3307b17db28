package fernwort.app.jobs;

import fernwort.app.services.OpenRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.Rig;
import java.util.Optional;

/** Looks for a part in the versions of a rig. */
interface PartSearch {

  /** Returns the newest description in which the part could stand so. */
  Optional<Rig> lastWith(OpenRig open, PartId part, PositionId position);
}
