package fernwort.core.format;

import fernwort.core.rig.Built;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Optional;

/**
 * A rig file as it stands on disk.
 *
 * @param format always {@value #FORMAT}
 */
record RigFile(
    String format,
    String name,
    String note,
    Vehicle vehicle,
    List<Place> places,
    List<Part> parts,
    List<Line> lines,
    Optional<Built> built) {

  static final String FORMAT = "fernwort-rig-1";

  static RigFile of(Rig rig) {
    return new RigFile(
        FORMAT,
        rig.name(),
        rig.note(),
        rig.vehicle(),
        rig.places(),
        rig.parts(),
        rig.lines(),
        rig.built().equals(Built.AS_USUAL) ? Optional.empty() : Optional.of(rig.built()));
  }

  Rig rig() {
    return new Rig(name, note, vehicle, places, parts, lines, built.orElse(Built.AS_USUAL));
  }
}
