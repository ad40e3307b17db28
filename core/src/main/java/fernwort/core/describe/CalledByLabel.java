package fernwort.core.describe;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Problem;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Faults of a description in the words of who draws it: a file calls parts, lines and places by
 * their ids, a person by what stands beside them.
 */
public final class CalledByLabel {

  private static final Pattern ID = Pattern.compile("\\b(part|line|place) ([a-z0-9][a-z0-9-]*)");

  private static final Pattern PORT =
      Pattern.compile("\\bport ([a-z0-9][a-z0-9-]*)\\.([a-z0-9][a-z0-9-]*)");

  private static final Pattern POSITION =
      Pattern.compile("part ([a-z0-9][a-z0-9-]*), position (.*)");

  private final Rig rig;
  private final Map<String, String> parts;
  private final Map<String, String> lines;
  private final Map<String, String> places;

  private CalledByLabel(Rig rig) {
    this.rig = rig;
    parts = labels(rig.parts(), Part::id, Part::label);
    lines = labels(rig.lines(), Line::id, Line::label);
    places = labels(rig.places(), Place::id, Place::label);
  }

  private static <T> Map<String, String> labels(
      List<T> all, Function<T, ?> id, Function<T, String> label) {
    return all.stream().collect(Collectors.toMap(t -> id.apply(t).toString(), label));
  }

  /** Returns the same faults, with what they name called as in a rig, before the change. */
  public static InvalidRigException in(Rig rig, InvalidRigException faults) {
    CalledByLabel called = new CalledByLabel(rig);
    return new InvalidRigException(
        faults.problems().stream()
            .map(p -> new Problem(called.said(p.where()), called.said(p.fault()), p.fix()))
            .toList());
  }

  private String said(String words) {
    Matcher position = POSITION.matcher(words);
    if (position.matches() && parts.containsKey(position.group(1))) {
      PartId part = PartId.of(position.group(1));
      return "“%s”, %s"
          .formatted(parts.get(part.value()), position(part, PositionId.of(position.group(2))));
    }
    String ports = PORT.matcher(words).replaceAll(this::port);
    return ID.matcher(ports).replaceAll(this::called);
  }

  /** A position of a handle by how it looks; one that is new has only its number in the form. */
  private String position(PartId part, PositionId id) {
    return rig.part(part).kind().positions().stream()
        .filter(p -> p.id().equals(id))
        .map(p -> Says.WHEN_IT.filled(p.words()))
        .findFirst()
        .orElse(Says.ITS_NEW_POSITION.text());
  }

  private String port(MatchResult found) {
    PartId part = PartId.of(found.group(1));
    return parts.containsKey(part.value())
        ? Matcher.quoteReplacement(
            PortNames.of(rig).at(new PortRef(part, PortId.of(found.group(2)))))
        : found.group();
  }

  private String called(MatchResult found) {
    Map<String, String> labels =
        switch (found.group(1)) {
          case "part" -> parts;
          case "line" -> lines;
          default -> places;
        };
    String label = labels.get(found.group(2));
    return Matcher.quoteReplacement(
        label == null ? Says.THE_NEW.filled(found.group(1)) : "“" + label + "”");
  }
}
