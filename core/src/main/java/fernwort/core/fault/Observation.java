package fernwort.core.fault;

import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a person saw.
 *
 * @param kind what was looked at
 * @param on id of the part, line or place
 * @param value what was seen, in the words of its kind
 * @param positions the handles that stood otherwise than noted
 * @param seconds after how long it was seen (s); empty for at once, or a level's usual time
 */
public record Observation(
    Look kind,
    ElementId on,
    String value,
    Map<PartId, PositionId> positions,
    Optional<Double> seconds) {

  /** The value that tells nothing. */
  public static final String UNSURE = "unsure";

  /** After so long, where nobody says (s). */
  private static final double USUAL = 300;

  /** What is seen where something was opened or felt along, and is well. */
  static final String FINE = "fine";

  public Observation {
    positions = Map.copyOf(positions);
  }

  /**
   * Checks that a rig has what was looked at, and that it can be seen there.
   *
   * @throws Refusal naming what is missing
   */
  public Observation checked(Rig rig) {
    positions.forEach(rig::position);
    switch (kind) {
      case WET, INSPECT -> {
        boolean line = rig.lines().stream().anyMatch(l -> l.id().equals(on));
        if (!line && !rig.partsById().containsKey(on)) {
          rig.place(on.place());
        }
      }
      case HANDLE -> {
        if (!value.equals(UNSURE)) {
          rig.position(on.part(), PositionId.of(value));
        }
      }
      case LEVEL, DIP -> needs(rig, Purpose.HOLDS);
      case PUMP -> needs(rig, Purpose.DRIVES);
      case BUCKET -> needs(rig, Purpose.INLET);
      case DRAIN, WARMTH -> needs(rig, Purpose.USE);
      case WATER, POWER -> rig.part(on.part());
    }
    boolean free = kind.choices().isEmpty() || value.equals(UNSURE);
    if (!free && !kind.choices().contains(value)) {
      throw new Refusal(Says.NO_SUCH_VALUE.with(value, String.join(", ", kind.choices())));
    }
    return this;
  }

  private void needs(Rig rig, Purpose purpose) {
    if (!rig.part(on.part()).kind().is(purpose)) {
      throw new Refusal(Says.CANNOT_BE_LOOKED_AT.with(rig.part(on.part()).label()));
    }
  }

  /** Returns the lines that end in a place: those that are felt along there. */
  static Stream<Line> linesIn(Rig rig, ElementId place) {
    Set<PartId> there =
        rig.parts().stream()
            .filter(p -> p.place().equals(place))
            .map(Part::id)
            .collect(Collectors.toSet());
    return rig.lines().stream()
        .filter(l -> there.contains(l.from().part()) || there.contains(l.to().part()));
  }

  /** Returns the look that programs call so. */
  public static Look look(String written) {
    return Look.of(written)
        .orElseThrow(() ->
            new Refusal(
                Says.NO_SUCH_LOOK.with(
                    written,
                    Arrays.stream(Look.values())
                        .map(Look::written)
                        .collect(Collectors.joining(", ")))));
  }

  /** Returns after how long something that changes slowly is looked at again (s). */
  double watched() {
    return seconds.orElse(USUAL);
  }

  /** Returns it with what was seen. */
  public Observation seen(String changed) {
    return new Observation(kind, on, changed, positions, seconds);
  }
}
