package fernwort.core.describe;

import fernwort.core.id.ElementId;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What differs between two rigs, or two versions of one, by the ids of their parts and lines.
 *
 * @param onlyFirst parts that only the first has
 * @param onlySecond parts that only the second has
 * @param changed parts of the second that differ from those of the same id in the first
 * @param linesOnlyFirst lines that only the first has
 * @param linesOnlySecond lines that only the second has
 * @param linesChanged lines of the second that differ
 */
public record Comparison(
    List<Part> onlyFirst,
    List<Part> onlySecond,
    List<Part> changed,
    List<Line> linesOnlyFirst,
    List<Line> linesOnlySecond,
    List<Line> linesChanged) {

  /** Compares two rigs. */
  public static Comparison of(Rig first, Rig second) {
    return new Comparison(
        without(first.parts(), second.parts(), Part::id),
        without(second.parts(), first.parts(), Part::id),
        differing(first.parts(), second.parts(), Part::id),
        without(first.lines(), second.lines(), Line::id),
        without(second.lines(), first.lines(), Line::id),
        differing(first.lines(), second.lines(), Line::id));
  }

  private static <T> List<T> without(List<T> all, List<T> others, Function<T, ElementId> id) {
    Map<ElementId, T> known = others.stream().collect(Collectors.toMap(id, Function.identity()));
    return all.stream().filter(t -> !known.containsKey(id.apply(t))).toList();
  }

  private static <T> List<T> differing(List<T> first, List<T> second, Function<T, ElementId> id) {
    Map<ElementId, T> known = first.stream().collect(Collectors.toMap(id, Function.identity()));
    return second.stream()
        .filter(t -> known.containsKey(id.apply(t)) && !t.equals(known.get(id.apply(t))))
        .toList();
  }

  /** Tells whether nothing differs. */
  public boolean isNothing() {
    return onlyFirst.isEmpty()
        && onlySecond.isEmpty()
        && changed.isEmpty()
        && linesOnlyFirst.isEmpty()
        && linesOnlySecond.isEmpty()
        && linesChanged.isEmpty();
  }
}
