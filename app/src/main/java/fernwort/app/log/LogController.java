package fernwort.app.log;

import fernwort.app.rigs.OpenRig;
import fernwort.app.rigs.Rigs;
import fernwort.app.store.Logbook;
import fernwort.app.units.Units;
import fernwort.core.rig.Part;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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

  private final Rigs rigs;

  LogController(Rigs rigs) {
    this.rigs = rigs;
  }

  /** A line of the journal in words. */
  record Line(String when, String who, String what, boolean undone) {}

  @GetMapping("/rigs/{id}/log")
  String log(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    Map<String, Part> parts = rig.rig().partsById();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute(
        "lines", rigs.journal(rig, MOST).stream().map(e -> line(parts, e, units)).toList());
    return "log";
  }

  private static Line line(Map<String, Part> parts, Logbook.Entry entry, Units units) {
    return new Line(
        entry.at().atZone(ZoneId.systemDefault()).format(WHEN),
        entry.who(),
        what(parts, entry, units),
        entry.undone());
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
      case JOB -> units.in(entry.after());
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
