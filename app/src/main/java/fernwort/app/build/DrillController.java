package fernwort.app.build;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Descriptions;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.build.drill.DrillSheet;
import fernwort.core.build.drill.FaceSheet;
import fernwort.core.build.drill.Hole;
import fernwort.core.build.drill.Penetration;
import fernwort.core.build.drill.Template;
import fernwort.core.build.joints.Sizes;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Face;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where to drill: sheets to look at and templates at true size. */
@Controller
@RequestMapping("/rigs/{id}/build/drill")
class DrillController {

  /** A size such as 1-3/16 in is read on one line. */
  private static final char NO_BREAK = '\u2011';

  private static final double MM = 1000;

  private final Descriptions rigs;
  private final QuestionDesk desk;

  DrillController(Descriptions rigs, QuestionDesk desk) {
    this.rigs = rigs;
    this.desk = desk;
  }

  /** A hole as the drawing shows it (mm). */
  record Circle(
      double x, double y, double r, double rim, String label, boolean there, boolean bad) {}

  /** A hole as the table shows it. */
  record Row(
      String port,
      String use,
      String left,
      String below,
      String hole,
      String fitting,
      List<String> slips,
      String late) {}

  /** A face. */
  record Drawn(
      String face,
      String title,
      double width,
      double height,
      String size,
      String fromLeft,
      String fromBelow,
      List<Circle> circles,
      List<Row> rows) {

    /** Returns the size of letters that can be read in the drawing. */
    public double letters() {
      return Math.max(width, height) / 24;
    }
  }

  /** A tank. */
  record Sheet(
      String id,
      String label,
      boolean flat,
      List<Drawn> faces,
      List<String> steps,
      String saws,
      Question measured) {}

  /** A hole through floor or wall. */
  record Gone(String what, String where, String hole, String inside, String outside) {}

  @GetMapping
  String drill(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String look,
      @ModelAttribute("units") Units units,
      Model model) {
    Trip trip = desk.trip(id, units);
    model.addAttribute("rig", id);
    model.addAttribute("name", trip.rig().name());
    model.addAttribute("look", look);
    model.addAttribute("sheets", trip.rig().tanks().map(t -> sheet(trip, t, look)).toList());
    model.addAttribute(
        "gone",
        Penetration.of(trip.rig(), trip.units().region()).stream()
            .map(h -> gone(trip, h))
            .toList());
    return "build/drill";
  }

  @PostMapping("/measured")
  String keep(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    return "redirect:/rigs/" + id + "/build/drill" + desk.keep(id, form, units);
  }

  private static Sheet sheet(Trip trip, Part tank, String look) {
    DrillSheet usual =
        DrillSheet.of(
            trip.rig(),
            tank,
            trip.network().room(tank.id()),
            DrillSheet.Measured.NOTHING,
            trip.units().region());
    Form form = trip.form();
    DrillSheet.Measured measured = measured(trip, form, tank, usual);
    DrillSheet sheet =
        DrillSheet.of(
            trip.rig(), tank, trip.network().room(tank.id()), measured, trip.units().region());
    List<Drawn> faces =
        sheet.faces().stream()
            .map(f ->
                switch (look) {
                  case "under" -> f.upsideDown();
                  case "behind" -> f.mirrored();
                  default -> f;
                })
            .map(f -> drawn(trip, f))
            .toList();
    return new Sheet(
        tank.id().value(),
        tank.label(),
        sheet.flat(),
        faces,
        sheet.steps().stream().map(s -> trip.units().say(s)).toList(),
        sheet.saws().isEmpty()
            ? Says.NONE_ALL_HOLES_ARE_THERE.text()
            : String.join(
                ", ",
                sheet.saws().stream()
                    .map(s -> Sizes.saw(s, trip.units().region()).replace('-', NO_BREAK))
                    .toList()),
        Question.of(
            "measured-" + tank.id(),
            Says.WHAT_YOU_MEASURED.text(),
            form,
            Says.THE_USUAL_SIZES_ARE_FILLED.text(),
            () -> Question.Answer.rows(List.of())));
  }

  /** What somebody measured, asked on a form. */
  private static DrillSheet.Measured measured(Trip trip, Form form, Part tank, DrillSheet usual) {
    Map<PortId, Double> holes = new HashMap<>();
    Set<String> there = new HashSet<>();
    Map<PortId, Double> sizes = new HashMap<>();
    usual
        .faces()
        .forEach(f -> f.holes().forEach(h -> h.diameter().ifPresent(d -> sizes.put(h.port(), d))));
    List<TankPort> ports = ((Tank) tank.kind()).tankPorts();
    for (TankPort port : ports) {
      String field = "hole-" + tank.id() + "-" + port.id();
      double hole =
          form.amount(
              field,
              Says.HOLE.filled(port.id()),
              Measure.LENGTH,
              sizes.getOrDefault(port.id(), 0.0),
              sizes.containsKey(port.id()) ? "" : Says.SIZE_NOT_KNOWN_MEASURE.text());
      if (trip.kept().containsKey(field) && hole > 0) {
        holes.put(port.id(), hole);
      }
    }
    there.addAll(
        form.ticks(
            "there-" + tank.id(),
            ports.stream()
                .map(p -> new Field.Option(p.id().value(), Says.IS_IN_IT_ALREADY.filled(p.id())))
                .toList()));
    double seam =
        form.amount(
            "seam-" + tank.id(),
            Says.A_WELD_OR_SEAM_RUNS_ROUND.text(),
            Measure.LENGTH,
            0,
            Says.FOR_0_FOR_NONE.text());
    return new DrillSheet.Measured(holes, there, seam > 0 ? Optional.of(seam) : Optional.empty());
  }

  private static Drawn drawn(Trip trip, FaceSheet face) {
    List<Circle> circles = new ArrayList<>();
    List<Row> rows = new ArrayList<>();
    for (Hole hole : face.holes()) {
      circles.add(
          new Circle(
              MM * hole.across(),
              MM * (face.height() - hole.up()),
              MM * hole.diameter().orElse(0.0) / 2,
              MM * hole.room() / 2,
              hole.port().value(),
              hole.there(),
              !hole.slips().isEmpty()));
      rows.add(
          new Row(
              hole.port().value(),
              use(hole),
              trip.show(Measure.LENGTH, hole.across()),
              trip.show(Measure.LENGTH, hole.up()),
              hole.diameter()
                  .map(d ->
                      trip.show(Measure.LENGTH, d)
                          + (hole.usual() ? Says.USUAL.text() : Says.YOURS.text()))
                  .orElse(Says.NOT_KNOWN_MEASURE.text()),
              hole.there() ? Says.IS_THERE.text() : hole.fitting(),
              hole.slips().stream().map(s -> trip.units().say(s)).toList(),
              hole.late()));
    }
    String name = face.face().words();
    return new Drawn(
        name,
        name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1),
        MM * face.width(),
        MM * face.height(),
        "%s by %s"
            .formatted(
                trip.show(Measure.LENGTH, face.width()), trip.show(Measure.LENGTH, face.height())),
        face.fromLeft().words(),
        face.fromBelow().words(),
        circles,
        rows);
  }

  /** What an opening is for, where its name does not say so. */
  private static String use(Hole hole) {
    String use = hole.use().name().toLowerCase(Locale.ROOT);
    return use.equals(hole.port().value()) ? "" : use;
  }

  private static Gone gone(Trip trip, Penetration hole) {
    return new Gone(
        hole.what() + (hole.wall() ? Says.THROUGH_THE_WALL.text() : Says.THROUGH_THE_FLOOR.text()),
        Says.FORWARD_TO_THE.filled(
            trip.show(Measure.LENGTH, hole.at().x()),
            trip.show(Measure.LENGTH, Math.abs(hole.at().y())),
            hole.at().y() < 0 ? "right" : "left"),
        trip.show(Measure.LENGTH, hole.diameter()),
        hole.inside().isEmpty() ? Says.NOTHING_DESCRIBED.text() : String.join(", ", hole.inside()),
        hole.outside().isEmpty()
            ? Says.NOTHING_DESCRIBED.text()
            : String.join(", ", hole.outside()));
  }

  // --- templates ---------------------------------------------------------------------------------

  /** What a template is asked for. */
  record Wanted(String paper, String look, boolean all) {}

  private Template template(String id, PartId tank, String face, Wanted wanted, Units units) {
    Trip trip = desk.trip(id, units);
    Part part = trip.rig().part(tank);
    if (!part.kind().is(Purpose.HOLDS)) {
      throw new Refusal(Says.IS_NOT_A_TANK_HOLES_ARE_DRILLED.with(part.label()));
    }
    Form form = trip.form();
    DrillSheet usual =
        DrillSheet.of(
            trip.rig(),
            part,
            trip.network().room(tank),
            DrillSheet.Measured.NOTHING,
            units.region());
    DrillSheet sheet =
        DrillSheet.of(
            trip.rig(),
            part,
            trip.network().room(tank),
            measured(trip, form, part, usual),
            units.region());
    FaceSheet found =
        sheet.faces().stream()
            .filter(f -> f.face() == faceOf(face))
            .findFirst()
            .orElseThrow(() -> new Refusal(Says.THAT_SIDE_OF_HAS_NO_HOLES.with(part.label())));
    FaceSheet looked =
        wanted.look().equals("behind")
            ? found.mirrored()
            : wanted.look().equals("under") ? found.upsideDown() : found;
    return Template.of(
        "%s, %s%s"
            .formatted(
                part.label(),
                face,
                wanted.look().equals("behind")
                    ? Says.FROM_BEHIND.text()
                    : wanted.look().equals("under") ? Says.TANK_UPSIDE_DOWN.text() : ""),
        looked,
        wanted.paper().equals("letter") ? Template.Paper.LETTER : Template.Paper.A4,
        wanted.all());
  }

  private static Face faceOf(String name) {
    for (Face face : Face.values()) {
      if (face.name().equalsIgnoreCase(name)) {
        return face;
      }
    }
    throw new Refusal(Says.A_TANK_HAS_NO_SUCH_SIDE_PICK.with());
  }

  @GetMapping("/{tank}/{face}.pdf")
  ResponseEntity<byte[]> pdf(
      @PathVariable String id,
      @PathVariable PartId tank,
      @PathVariable String face,
      @RequestParam(defaultValue = "a4") String paper,
      @RequestParam(defaultValue = "") String look,
      @RequestParam(defaultValue = "false") boolean all,
      @ModelAttribute("units") Units units) {
    Template template = template(id, tank, face, new Wanted(paper, look, all), units);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.inline()
                .filename("%s-%s-%s.pdf".formatted(id, tank, face))
                .build()
                .toString())
        .body(TemplatePdf.of(template));
  }

  @GetMapping(value = "/{tank}/{face}.svg", produces = "image/svg+xml")
  String svg(
      @PathVariable String id,
      @PathVariable PartId tank,
      @PathVariable String face,
      @RequestParam(defaultValue = "a4") String paper,
      @RequestParam(defaultValue = "") String look,
      @RequestParam(defaultValue = "false") boolean all,
      @RequestParam(defaultValue = "1") int sheet,
      @ModelAttribute("units") Units units,
      Model model) {
    Template template = template(id, tank, face, new Wanted(paper, look, all), units);
    if (sheet < 1 || sheet > template.pages().size()) {
      throw new Refusal(Says.THE_TEMPLATE_HAS_SHEETS_1_TO_ASK.with(template.pages().size()));
    }
    model.addAttribute("paper", template.paper());
    model.addAttribute("page", template.pages().get(sheet - 1));
    return "build/template-svg";
  }
}
