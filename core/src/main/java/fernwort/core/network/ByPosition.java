package fernwort.core.network;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * What is so of a part in each of its positions. It is asked for every part of every setting that a
 * search tries: most parts have no handle, and of those no map is asked.
 *
 * @param part whose it is
 * @param always what is so where it has no handle
 * @param each what is so in each position; empty where it has no handle
 */
record ByPosition<T>(PartId part, List<T> always, Map<PositionId, List<T>> each) {

  /** Asks for each position, or once for none. */
  static <T> ByPosition<T> of(Part part, Function<PositionId, List<T>> what) {
    Map<PositionId, List<T>> each = new HashMap<>();
    for (Position position : part.kind().positions()) {
      each.put(position.id(), what.apply(position.id()));
    }
    List<T> always = each.isEmpty() ? what.apply(PositionId.NONE) : List.of();
    return new ByPosition<>(part.id(), always, each);
  }

  /** Returns what is so in a setting of the rig. */
  List<T> in(Setting setting) {
    return each.isEmpty() ? always : in(setting.of(part));
  }

  /** Returns what is so in a position; nothing in one that the part does not have. */
  List<T> in(PositionId position) {
    return each.isEmpty() && position.isEmpty() ? always : each.getOrDefault(position, List.of());
  }
}
