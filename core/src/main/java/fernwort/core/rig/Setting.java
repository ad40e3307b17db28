package fernwort.core.rig;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Given;
import fernwort.core.kind.Purpose;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The position of every handle, switch, cap and hose of a rig. A search compares settings by the
 * ten thousand, each a turn away from another: they share the places of their parts.
 */
public final class Setting {

  /** Where the position of a part stands, by id, in the order of the ids; never changed. */
  private final Map<PartId, Integer> places;

  private final PositionId[] positions;
  private final int hash;

  /**
   * Makes a setting.
   *
   * @param positions position id by part id
   */
  public Setting(Map<PartId, PositionId> positions) {
    List<PartId> parts = new ArrayList<>(positions.keySet());
    Collections.sort(parts);
    places = new HashMap<>();
    parts.forEach(p -> places.put(p, places.size()));
    this.positions = parts.stream().map(positions::get).toArray(PositionId[]::new);
    hash = Arrays.hashCode(this.positions);
  }

  private Setting(Setting like, int place, PositionId position) {
    places = like.places;
    positions = like.positions.clone();
    positions[place] = position;
    hash = Arrays.hashCode(positions);
  }

  /** Returns the position id of every part, by part id in order. */
  public Map<PartId, PositionId> positions() {
    Map<PartId, PositionId> all = new TreeMap<>();
    places.forEach((part, place) -> all.put(part, positions[place]));
    return Collections.unmodifiableMap(all);
  }

  /**
   * Returns the position of a part.
   *
   * @throws Refusal when it has nothing that can be set
   */
  public PositionId of(PartId part) {
    Integer place = places.get(part);
    if (place == null) {
      throw new Refusal(Says.HAS_NOTHING_THAT_CAN_BE_SET_OF.with(part));
    }
    return positions[place];
  }

  /** Returns the water that a part gives from outside the rig as it stands, if it does. */
  public Optional<Given> given(Part part) {
    return part.kind().is(Purpose.SOURCE) && !part.kind().is(Purpose.HOLDS)
        ? part.kind().gives(of(part.id()))
        : Optional.empty();
  }

  /** Tells whether a part can be set and stands so. */
  public boolean has(PartId part, PositionId position) {
    Integer place = places.get(part);
    return place != null && positions[place].equals(position);
  }

  /** Returns the parts that stand otherwise than in another setting of the same rig. */
  public List<PartId> turnedFrom(Setting other) {
    List<PartId> turned = new ArrayList<>();
    places.forEach((part, place) -> {
      boolean same =
          other.places == places
              ? other.positions[place].equals(positions[place])
              : other.has(part, positions[place]);
      if (!same) {
        turned.add(part);
      }
    });
    return turned;
  }

  /** Returns this setting with one thing changed. */
  public Setting with(PartId part, PositionId position) {
    Integer place = places.get(part);
    if (place == null) {
      Map<PartId, PositionId> more = new TreeMap<>(positions());
      more.put(part, position);
      return new Setting(more);
    }
    return positions[place].equals(position) ? this : new Setting(this, place, position);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Setting setting
        && hash == setting.hash
        && Arrays.equals(positions, setting.positions)
        && (places == setting.places || places.equals(setting.places));
  }

  @Override
  public int hashCode() {
    return hash;
  }

  @Override
  public String toString() {
    return positions().toString();
  }
}
