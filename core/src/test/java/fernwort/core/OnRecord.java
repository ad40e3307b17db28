package fernwort.core;

import static org.assertj.core.api.Assertions.fail;

import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Advice at length, held against how it was when somebody read it through: laws tell whether a plan
 * holds, and this whether it still says the same. Where a change is meant, the new text is read and
 * copied over the old.
 */
public final class OnRecord {

  private static final MathContext SHOWN = new MathContext(4);
  private static final Path NEW = Path.of("target", "read");

  private OnRecord() {}

  /** Fails where a text is not as the one of that name under {@code test/resources/read}. */
  public static void assertAsRead(String name, List<String> lines) {
    List<String> now = lines.stream().flatMap(String::lines).map(String::stripTrailing).toList();
    List<String> read = read(name);
    if (now.equals(read)) {
      return;
    }
    Path file = NEW.resolve(name + ".txt");
    try {
      Files.createDirectories(file.getParent());
      Files.write(file, now);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    int first =
        IntStream.range(0, Math.min(now.size(), read.size()))
            .filter(i -> !now.get(i).equals(read.get(i)))
            .findFirst()
            .orElse(Math.min(now.size(), read.size()));
    fail(
        "%s, line %d%n  was: %s%n  now: %s%nRead core/%s; if it is right, copy it to core/src/test/resources/read",
        name, first + 1, line(read, first), line(now, first), file);
  }

  private static LineId line(List<String> lines, int number) {
    return number < lines.size() ? LineId.of(lines.get(number)) : LineId.of("(nothing more)");
  }

  private static List<String> read(String name) {
    try (InputStream in = OnRecord.class.getResourceAsStream("/read/" + name + ".txt")) {
      return in == null
          ? List.of()
          : new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Returns the name of a text of a rig. */
  public static String file(String folder, String rig) {
    return folder + "/" + rig.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }

  /** Tells a rig line by line: its vehicle, places, parts and lines. */
  public static List<String> rig(Rig rig) {
    List<String> told = new ArrayList<>();
    told.add("# " + rig.name());
    told.add(tell(rig.vehicle()));
    rig.places().forEach(p -> told.add("place " + tell(p)));
    rig.parts()
        .forEach(p ->
            told.add(
                "part %s “%s” in %s at %s %s %s m, %s L: %s"
                    .formatted(
                        p.id(),
                        p.label(),
                        p.place(),
                        number(p.x()),
                        number(p.y()),
                        number(p.height()),
                        number(1000 * p.volume()),
                        tell(p.kind()))));
    rig.lines()
        .forEach(l ->
            told.add(
                "line %s “%s” %s > %s: %s mm, %s m, %s, loses %s%s"
                    .formatted(
                        l.id(),
                        l.label(),
                        l.from(),
                        l.to(),
                        number(1000 * l.bore()),
                        number(l.length()),
                        l.material(),
                        number(l.minorLoss()),
                        l.profile().isEmpty() ? "" : ", by " + tell(l.profile()))));
    return told;
  }

  /** Tells a value in words: the same for the same value, whatever its maps and sets are like. */
  public static String tell(Object value) {
    return switch (value) {
      case Message saying -> saying.toString();
      case Double number -> number(number);
      case Optional<?> some -> some.map(OnRecord::tell).orElse("none");
      case OptionalDouble some -> some.isPresent() ? number(some.getAsDouble()) : "none";
      case Map<?, ?> map -> {
        Map<String, String> sorted = new TreeMap<>();
        map.forEach((key, of) -> sorted.put(tell(key), tell(of)));
        yield sorted.toString();
      }
      case Set<?> set -> set.stream().map(OnRecord::tell).sorted().toList().toString();
      case Collection<?> list -> list.stream().map(OnRecord::tell).toList().toString();
      case ElementId id -> id.value();
      case PortId id -> id.value();
      case PositionId id -> id.value();
      case Record record -> told(record);
      default -> value.toString();
    };
  }

  private static String told(Record record) {
    return Arrays.stream(record.getClass().getRecordComponents())
        .map(part -> part.getName() + " " + tell(of(record, part)))
        .collect(Collectors.joining(", ", record.getClass().getSimpleName() + "(", ")"));
  }

  private static Object of(Record record, RecordComponent part) {
    try {
      part.getAccessor().setAccessible(true);
      return part.getAccessor().invoke(record);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Returns a number to four figures. */
  public static String number(double value) {
    return Double.isFinite(value)
        ? new BigDecimal(value).round(SHOWN).stripTrailingZeros().toPlainString()
        : Double.toString(value);
  }
}
