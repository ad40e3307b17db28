package fernwort.core.id;

import fernwort.core.say.Refusal;

/** The name of what something happens to or is said of: a part, a line or a place. */
public sealed interface ElementId extends Comparable<ElementId> permits PartId, LineId, PlaceId {

  /** Returns the name itself, as it stands in a rig file. */
  String value();

  /** Tells whether it names nothing. */
  default boolean isEmpty() {
    return value().isEmpty();
  }

  /**
   * Returns this as the part that it names.
   *
   * @throws Refusal when it is a line or a place
   */
  default PartId part() {
    if (this instanceof PartId part) {
      return part;
    }
    throw PartId.of(value()).missing();
  }

  /**
   * Returns this as the line that it names.
   *
   * @throws Refusal when it is a part or a place
   */
  default LineId line() {
    if (this instanceof LineId line) {
      return line;
    }
    throw LineId.of(value()).missing();
  }

  /**
   * Returns this as the place that it names.
   *
   * @throws Refusal when it is a part or a line
   */
  default PlaceId place() {
    if (this instanceof PlaceId place) {
      return place;
    }
    throw PlaceId.of(value()).missing();
  }

  /** Returns what is said where a rig has nothing of this name. */
  default Refusal missing() {
    Says says =
        switch (this) {
          case PartId part -> Says.THE_RIG_HAS_NO_PART_CHECK;
          case LineId line -> Says.THE_RIG_HAS_NO_LINE_CHECK;
          case PlaceId place -> Says.THE_RIG_HAS_NO_PLACE;
        };
    return new Refusal(says.with(value()));
  }

  @Override
  default int compareTo(ElementId other) {
    return value().compareTo(other.value());
  }
}
