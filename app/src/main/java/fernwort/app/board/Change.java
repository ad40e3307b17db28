package fernwort.app.board;

import fernwort.app.services.Outlook;
import fernwort.core.hazard.Warning;
import fernwort.core.kind.Position;
import fernwort.core.ways.FlowPath;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What turning a handle to one of its positions would change.
 *
 * @param position id of the position
 * @param words how the handle would look
 * @param opened ways that it opens
 * @param shut ways that it shuts
 * @param gained warnings that would come
 * @param lost warnings that would go
 */
public record Change(
    String position,
    String words,
    List<String> opened,
    List<String> shut,
    List<Warning> gained,
    List<Warning> lost) {

  static Change of(Position position, Outlook.Preview preview, Sentences before, Sentences after) {
    Set<FlowPath.Key> old = keys(preview.before());
    Set<FlowPath.Key> fresh = keys(preview.after());
    return new Change(
        position.id().value(),
        position.words(),
        fresh.stream().filter(k -> !old.contains(k)).map(after::way).distinct().toList(),
        old.stream().filter(k -> !fresh.contains(k)).map(before::way).distinct().toList(),
        without(preview.after().warnings(), preview.before().warnings()),
        without(preview.before().warnings(), preview.after().warnings()));
  }

  private static Set<FlowPath.Key> keys(Outlook outlook) {
    return outlook.ways().ways().stream()
        .map(FlowPath::key)
        .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
  }

  private static List<Warning> without(List<Warning> warnings, List<Warning> others) {
    Set<Warning.Key> known = others.stream().map(Warning::key).collect(Collectors.toSet());
    return warnings.stream().filter(w -> !known.contains(w.key())).toList();
  }

  /** Tells whether it would change nothing that people notice. */
  public boolean isNothing() {
    return opened.isEmpty() && shut.isEmpty() && gained.isEmpty() && lost.isEmpty();
  }
}
