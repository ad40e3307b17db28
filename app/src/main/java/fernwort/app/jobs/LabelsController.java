package fernwort.app.jobs;

import fernwort.app.board.Symbol;
import fernwort.app.board.layout.Lettering;
import fernwort.app.services.Descriptions;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Small labels to cut out, for each handle and each line; as a page to print and as SVG. */
@Controller
class LabelsController {

  private static final int COLUMNS = 3;
  private static final int WIDTH = 250;
  private static final int HEIGHT = 112;

  private static final double SMALLEST = 8;
  private static final double LARGEST = 12;

  private final Descriptions rigs;
  private final JobDesk desk;
  private final TemplateEngine templates;

  LabelsController(Descriptions rigs, JobDesk desk, TemplateEngine templates) {
    this.rigs = rigs;
    this.desk = desk;
    this.templates = templates;
  }

  /** One position on a label: how the handle looks, what that is called, and in what size (px). */
  record Stand(Symbol symbol, List<String> lines, double x, double size) {}

  /** A label of a handle, at its place on the sheet (px). */
  record HandleLabel(String name, String place, List<Stand> stands, int x, int y) {}

  /** A label of a line, at its place on the sheet (px). */
  record LineLabel(String name, String ends, String size, int x, int y) {}

  @GetMapping("/rigs/{id}/labels")
  String labels(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    sheet(rig, units).forEach(model::addAttribute);
    return "jobs/labels";
  }

  @GetMapping("/rigs/{id}/labels.svg")
  ResponseEntity<String> labelsSvg(@PathVariable String id, @ModelAttribute("units") Units units) {
    OpenRig rig = rigs.open(id);
    return svg(id + "-labels", "jobs/labels-svg", sheet(rig, units));
  }

  /** The sheet for the door as a drawing of one page. */
  @GetMapping("/rigs/{id}/jobs/{job}/sheet.svg")
  ResponseEntity<String> sheetSvg(
      @PathVariable String id, @PathVariable String job, @ModelAttribute("units") Units units) {
    OpenRig rig = rigs.open(id);
    JobView view = JobView.fromRest(rig, desk.book(rig), job, units);
    return svg(
        id + "-" + view.id(),
        "jobs/sheet-svg",
        Map.of(
            "job", view, "name", rig.rig().name(), "workedOut", JobView.workedOutFrom(rig, units)));
  }

  private ResponseEntity<String> svg(String file, String template, Map<String, Object> values) {
    Context context = new Context();
    values.forEach(context::setVariable);
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, "image/svg+xml;charset=UTF-8")
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + file + ".svg\"")
        .body(templates.process(template, context));
  }

  static Map<String, Object> sheet(OpenRig rig, Units units) {
    List<Part> handles = rig.rig().handles().toList();
    List<HandleLabel> labels = new ArrayList<>();
    for (int i = 0; i < handles.size(); i++) {
      labels.add(handle(rig.rig(), handles.get(i), x(i), y(i)));
    }
    List<Line> lines = rig.rig().lines();
    int above = y(handles.size() + COLUMNS - 1);
    List<LineLabel> tags = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      tags.add(line(rig.rig(), lines.get(i), units, x(i), above + y(i)));
    }
    return Map.of(
        "handles",
        labels,
        "lines",
        tags,
        "width",
        COLUMNS * WIDTH,
        "height",
        above + y(lines.size() + COLUMNS - 1));
  }

  private static int x(int i) {
    return i % COLUMNS * WIDTH;
  }

  private static int y(int i) {
    return i / COLUMNS * HEIGHT;
  }

  private static HandleLabel handle(Rig rig, Part part, int x, int y) {
    var positions = part.kind().positions();
    List<Stand> stands = new ArrayList<>();
    for (int i = 0; i < positions.size(); i++) {
      double room = (double) WIDTH / positions.size();
      List<String> lines = Lettering.lines(positions.get(i).words());
      stands.add(
          new Stand(
              Symbol.of(part, positions.get(i).id()), lines, (i + 0.5) * room, size(lines, room)));
    }
    return new HandleLabel(part.label(), rig.place(part.place()).label(), stands, x, y);
  }

  /** The largest letters in which lines fit beside those of the next position (px). */
  private static double size(List<String> lines, double room) {
    double widest = lines.stream().mapToDouble(Lettering::width).max().orElse(1);
    return Math.clamp(Lettering.SIZE * (room - 6) / widest, SMALLEST, LARGEST);
  }

  private static LineLabel line(Rig rig, Line line, Units units, int x, int y) {
    return new LineLabel(
        line.label(),
        "%s to %s"
            .formatted(rig.part(line.from().part()).label(), rig.part(line.to().part()).label()),
        Says.BORE_LONG.filled(
            units.show(Measure.LENGTH, line.bore()), units.show(Measure.LENGTH, line.length())),
        x,
        y);
  }
}
