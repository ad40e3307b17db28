package fernwort.core.winter.sheets;

import fernwort.core.id.ElementId;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.util.List;

/**
 * What frost does to the water that is left, in one word for all who ask: the worst harm, and the
 * parts that meet it.
 *
 * @param worst the worst harm of all that is left
 * @param parts the lines and parts that meet it, those with the most water first; none where
 *     nothing breaks
 */
public record FrostVerdict(FrostHarm worst, List<ElementId> parts) {

  /** So many are named; the others are counted. */
  private static final int NAMED = 2;

  public FrostVerdict {
    parts = List.copyOf(parts);
  }

  /** Judges what is left, the most dangerous first. */
  public static FrostVerdict of(List<FrostRisk> left) {
    FrostHarm worst =
        left.stream().map(FrostRisk::harm).sorted().findFirst().orElse(FrostHarm.NONE);
    return new FrostVerdict(
        worst,
        worst == FrostHarm.NONE
            ? List.of()
            : left.stream().filter(r -> r.harm() == worst).map(FrostRisk::id).toList());
  }

  /** Tells whether nothing breaks, and nothing may. */
  public boolean isCalm() {
    return worst == FrostHarm.NONE;
  }

  /** Returns it in words, naming the parts, such as "Heater may break". */
  public Message words(Rig rig) {
    List<String> labels = parts.stream().limit(NAMED).map(id -> label(rig, id)).toList();
    String named =
        parts.size() == 2
            ? Says.BOTH.filled(labels.getFirst(), labels.getLast())
            : String.join(", ", labels);
    String more = parts.size() > NAMED ? Says.AND_MORE.filled(parts.size() - NAMED) : "";
    return switch (worst) {
      case NONE -> Says.NOTHING_BREAKS.with();
      case WARNING -> Says.MAY_BREAK.with(named + more);
      case DANGER -> (parts.size() > 1 ? Says.BREAK : Says.BREAKS).with(named + more);
    };
  }

  private static String label(Rig rig, ElementId id) {
    return rig.lines().stream()
        .filter(l -> l.id().equals(id))
        .findFirst()
        .map(l -> Says.LINE.filled(l.label()))
        .orElseGet(() -> rig.part(id.part()).label());
  }
}
