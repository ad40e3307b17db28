package fernwort.app.log;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import fernwort.app.garage.Descriptions;
import fernwort.app.garage.OpenRig;
import fernwort.app.garage.States;
import fernwort.app.store.Logbook;
import fernwort.app.units.Units;
import fernwort.core.rig.Part;
import fernwort.core.say.Saying;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** The Log: the journal of a rig in words. */
@Controller
class LogController {

  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);
  private static final int MOST = 500;
  private static final String[] COLUMNS = {
    "number", "time", "who", "kind", "subject", "label", "before", "after", "standing"
  };

  private final Descriptions rigs;
  private final States states;

  LogController(Descriptions rigs, States states) {
    this.rigs = rigs;
    this.states = states;
  }

  /** A line of the journal in words. */
  record Line(String when, String who, String what, boolean undone) {}

  /** A line with its time, to put the journal and the steps of the description in one order. */
  private record Dated(Instant at, Line line) {}

  private static String when(Instant at) {
    return at.atZone(ZoneId.systemDefault()).format(WHEN);
  }

  @GetMapping("/rigs/{id}/log")
  String log(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    Map<String, Part> parts = rig.rig().partsById();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    Stream<Dated> journal =
        states.journal(rig, MOST).stream().map(e -> new Dated(e.at(), line(parts, e, units)));
    Stream<Dated> steps =
        rigs.versions(id).stream()
            .map(
                v -> new Dated(v.at(), new Line(when(v.at()), v.who(), "Rig: " + v.what(), false)));
    model.addAttribute(
        "lines",
        Stream.concat(journal, steps)
            .sorted(Comparator.comparing(Dated::at).reversed())
            .limit(MOST)
            .map(Dated::line)
            .toList());
    return "log";
  }

  /** The whole journal as a table for other programs. */
  @GetMapping("/rigs/{id}/journal.csv")
  ResponseEntity<String> csv(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    Map<String, Part> parts = rig.rig().partsById();
    StringWriter out = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
      csv.writeRecord(COLUMNS);
      for (Logbook.Entry e : states.journal(rig, Integer.MAX_VALUE).reversed()) {
        csv.writeRecord(
            Long.toString(e.seq()),
            e.at().toString(),
            e.who(),
            e.kind().name(),
            e.subject(),
            parts.containsKey(e.subject()) ? parts.get(e.subject()).label() : "",
            e.before(),
            e.after(),
            e.standing());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(id + "-journal.csv").build().toString())
        .body(out.toString());
  }

  private static Line line(Map<String, Part> parts, Logbook.Entry entry, Units units) {
    return new Line(when(entry.at()), entry.who(), what(parts, entry, units), entry.undone());
  }

  private static String what(Map<String, Part> parts, Logbook.Entry entry, Units units) {
    Optional<Part> part = Optional.ofNullable(parts.get(entry.subject()));
    String label = part.map(Part::label).orElse(entry.subject());
    return switch (entry.kind()) {
      case TURN ->
          "%s: from “%s” to “%s”"
              .formatted(label, words(part, entry.before()), words(part, entry.after()));
      case READING -> "%s read: %s".formatted(label, shown(entry.after()));
      case UNDO -> "Took back a change of " + label;
      case JOB -> units.say(Saying.kept(entry.after()));
      case REDO -> "Put back a change of " + label;
    };
  }

  private static String words(Optional<Part> part, String position) {
    return part.flatMap(
            p -> p.kind().positions().stream().filter(q -> q.id().equals(position)).findFirst())
        .map(q -> q.words())
        .orElse(position);
  }

  private static String shown(String level) {
    return Logbook.Level.parse(level).map(Logbook.Level::shown).orElse("nothing");
  }
}
