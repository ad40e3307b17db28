package fernwort.core.kind;

import fernwort.core.id.PortId;
import java.util.List;
import java.util.Optional;

/**
 * A part that can be added, as an ordinary one of its kind to be made one's own.
 *
 * @param id short name
 * @param label what people call it
 * @param sentence what is part of it, in one sentence
 * @param kind the kind with default figures
 * @param bodyLitres water an ordinary body holds (L)
 */
public record NewPart(String id, String label, String sentence, Kind kind, double bodyLitres) {

  /** Returns the two ports by which it stands in a line, if it does. */
  public Optional<InOut> through() {
    return kind.through();
  }

  /**
   * Returns the port by which it hangs on a line or another port.
   *
   * @param fromIt whether water is to come from it rather than go to it
   * @param air whether it is air that passes there
   */
  public PortId end(boolean fromIt, boolean air) {
    if (kind.is(Purpose.HOLDS)) {
      return air ? PortId.of("vent") : fromIt ? PortId.of("feed") : PortId.of("fill");
    }
    List<PortId> ports = kind.ports();
    return through()
        .map(t -> fromIt ? t.out() : t.in())
        .orElseGet(() -> kind.is(Purpose.POURED_INTO) ? ports.getLast() : ports.getFirst());
  }
}
