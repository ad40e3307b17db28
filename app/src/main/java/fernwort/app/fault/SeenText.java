package fernwort.app.fault;

import fernwort.core.fault.Observation;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** What was seen, as it stands in the address of a page: kind, part, value, seconds, handles. */
final class SeenText {

  /** Nobody looks at more. */
  static final int MOST = 40;

  private static final String BETWEEN = "~";
  // No comma: the address would be read as several.
  private static final String HANDLE = "!";
  private static final int KIND = 0;
  private static final int PART = 1;
  private static final int VALUE = 2;
  private static final int SECONDS = 3;
  private static final int HANDLES = 4;
  private static final int WORDS = 5;

  private SeenText() {}

  /** Writes it; ids of parts hold none of the signs between. */
  static String of(Observation seen) {
    return String.join(
        BETWEEN,
        seen.kind().written(),
        seen.on().value(),
        seen.value(),
        seen.seconds().map(s -> Long.toString(Math.round(s))).orElse(""),
        new TreeMap<>(seen.positions())
            .entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue())
                .collect(Collectors.joining(HANDLE)));
  }

  /**
   * Reads all that stands in an address.
   *
   * @throws Refusal when one was not written by this, or the rig has no such part any more
   */
  static List<Observation> all(List<String> texts, Rig rig) {
    return texts.stream().filter(t -> !t.isBlank()).limit(MOST).map(t -> read(t, rig)).toList();
  }

  /**
   * Reads it.
   *
   * @throws Refusal when it was not written by this, or the rig has no such part any more
   */
  static Observation read(String text, Rig rig) {
    String[] words = text.split(BETWEEN, -1);
    if (words.length != WORDS) {
      throw new Refusal(Says.BEGIN_ANEW.with());
    }
    try {
      Map<PartId, PositionId> handles = new TreeMap<>();
      for (String handle : words[HANDLES].split(HANDLE)) {
        int at = handle.indexOf('=');
        if (at > 0) {
          handles.put(PartId.of(handle.substring(0, at)), PositionId.of(handle.substring(at + 1)));
        }
      }
      Optional<Double> seconds =
          words[SECONDS].isEmpty()
              ? Optional.empty()
              : Optional.of((double) Integer.parseInt(words[SECONDS]));
      return new Observation(
              Observation.look(words[KIND]),
              rig.element(words[PART]),
              words[VALUE],
              handles,
              seconds)
          .checked(rig);
    } catch (NumberFormatException e) {
      throw new Refusal(Says.BEGIN_ANEW.with());
    }
  }
}
