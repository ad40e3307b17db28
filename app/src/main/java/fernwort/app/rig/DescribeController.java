package fernwort.app.rig;

import fernwort.app.garage.Descriptions;
import fernwort.app.garage.OpenRig;
import fernwort.app.store.AnswerStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.describe.Alteration;
import fernwort.core.describe.RigEdit;
import fernwort.core.review.Finding;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Refusal;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Describing a rig: shows it with one part or line to look at, and takes one step at a time. */
@Controller
@RequestMapping("/rigs/{id}/rig")
class DescribeController {

  private final Descriptions rigs;
  private final Describing describing;
  private final AnswerStore answers;

  DescribeController(Descriptions rigs, Describing describing, AnswerStore answers) {
    this.answers = answers;
    this.rigs = rigs;
    this.describing = describing;
  }

  @GetMapping
  String show(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(defaultValue = "") String line,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig open = rigs.open(id);
    model.addAttribute("view", describing.view(open, part, line, units));
    model.addAttribute("last", rigs.last(open).orElse(""));
    model.addAttribute("asked", answers.knows(id));
    model.addAttribute("forLine", NewPart.forLine());
    model.addAttribute("forEnd", NewPart.forEnd());
    model.addAttribute("all", NewPart.all());
    model.addAttribute("lengthUnit", units.unit(Measure.LENGTH).sign());
    return "describe";
  }

  /** Who makes a step, seeing which version; bound from the form and the cookie. */
  private record Hand(String rig, int version, String who) {}

  private String step(Hand hand, Alteration step, String look) {
    OpenRig open = rigs.open(hand.rig());
    rigs.change(open, hand.version(), hand.who(), step);
    return "redirect:/rigs/" + hand.rig() + "/rig" + look;
  }

  @PostMapping("/parts/{part}")
  String part(
      @PathVariable String id,
      @PathVariable String part,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Rig rig = rigs.open(id).rig();
    Part old = rig.part(part);
    Part changed = Describing.part(rig, old, new Values(form, units));
    return step(new Hand(id, version, who), new Alteration.PartChanged(changed), "?part=" + part);
  }

  @PostMapping("/parts/{part}/remove")
  String remove(
      @PathVariable String id,
      @PathVariable String part,
      @RequestParam int version,
      @ModelAttribute("who") String who) {
    return step(new Hand(id, version, who), new Alteration.PartTakenOut(part), "");
  }

  @PostMapping("/lines/{line}")
  String line(
      @PathVariable String id,
      @PathVariable String line,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Line old = RigEdit.of(rigs.open(id).rig()).line(line);
    Line changed = Describing.line(old, new Values(form, units));
    return step(new Hand(id, version, who), new Alteration.LineChanged(changed), "?line=" + line);
  }

  @PostMapping("/lines/{line}/insert")
  String insert(
      @PathVariable String id,
      @PathVariable String line,
      @RequestParam int version,
      @RequestParam String kind,
      @RequestParam(defaultValue = "") String label,
      @RequestParam(defaultValue = "false") boolean turned,
      @ModelAttribute("who") String who) {
    NewPart added = NewPart.of(kind);
    Rig rig = rigs.open(id).rig();
    Line old = RigEdit.of(rig).line(line);
    Part part = made(rig, added, label, rig.part(old.from().part()));
    NewPart.Through ends =
        added
            .through()
            .orElseThrow(
                () -> new Refusal(added.label() + " has one end only; tee it off instead"));
    return step(
        new Hand(id, version, who),
        turned
            ? new Alteration.PartPutIn(line, part, ends.second(), ends.first())
            : new Alteration.PartPutIn(line, part, ends.first(), ends.second()),
        "?part=" + part.id());
  }

  /** A new part beside another: in its place, at its height. */
  private static Part made(Rig rig, NewPart added, String label, Part beside) {
    String name = label.isBlank() ? added.label() : label.strip();
    double height = beside.kind() instanceof Kind.Tank ? beside.height() + 0.1 : beside.height();
    return new Part(
        RigEdit.of(rig).freeId(name),
        name,
        beside.place(),
        beside.x(),
        beside.y(),
        height,
        added.bodyLitres() / 1000,
        added.kind());
  }

  @PostMapping("/lines/{line}/tee")
  String tee(
      @PathVariable String id,
      @PathVariable String line,
      @RequestParam int version,
      @RequestParam String kind,
      @RequestParam(defaultValue = "") String label,
      @RequestParam String length,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    NewPart added = NewPart.of(kind);
    Rig rig = rigs.open(id).rig();
    Line old = RigEdit.of(rig).line(line);
    Part part = made(rig, added, label, rig.part(old.from().part()));
    double branch = units.parse("Length of the branch", Measure.LENGTH, length);
    return step(
        new Hand(id, version, who),
        new Alteration.PartTeedOff(line, part, added.end(), branch),
        "?part=" + part.id());
  }

  @PostMapping("/lines/{line}/off")
  String off(
      @PathVariable String id,
      @PathVariable String line,
      @RequestParam int version,
      @ModelAttribute("who") String who) {
    return step(new Hand(id, version, who), new Alteration.LineTakenOff(line), "");
  }

  @PostMapping("/add")
  String add(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam String kind,
      @RequestParam(defaultValue = "") String label,
      @RequestParam String place,
      @RequestParam String height,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    NewPart added = NewPart.of(kind);
    Rig rig = rigs.open(id).rig();
    Place at = rig.place(place);
    String name = label.isBlank() ? added.label() : label.strip();
    Part part =
        new Part(
            RigEdit.of(rig).freeId(name),
            name,
            place,
            at.x(),
            at.y(),
            units.parse("Height over the ground", Measure.LENGTH, height),
            added.bodyLitres() / 1000,
            added.kind());
    return step(new Hand(id, version, who), new Alteration.PartAdded(part), "?part=" + part.id());
  }

  @PostMapping("/connect")
  String connect(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam String from,
      @RequestParam String to,
      @RequestParam String bore,
      @RequestParam String length,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Alteration.PortsJoined joined =
        Alteration.PortsJoined.of(
            rigs.open(id).rig(),
            port(from),
            port(to),
            units.parse("Bore", Measure.LENGTH, bore),
            units.parse("Length", Measure.LENGTH, length));
    return step(new Hand(id, version, who), joined, "?line=" + joined.line().id());
  }

  private static PortRef port(String text) {
    int dot = text.lastIndexOf('.');
    if (dot < 0) {
      throw new Refusal("“" + text + "” is no port; pick one of the list");
    }
    return new PortRef(text.substring(0, dot), text.substring(dot + 1));
  }

  @PostMapping("/places")
  String place(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam String label,
      @RequestParam String reach,
      @RequestParam String x,
      @RequestParam String z,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Place place =
        new Place(
            RigEdit.of(rigs.open(id).rig()).freeId(label),
            label,
            reach,
            units.parse("Ahead of the rear axle", Measure.LENGTH, x),
            0,
            units.parse("Height over the ground", Measure.LENGTH, z));
    return step(new Hand(id, version, who), new Alteration.PlaceAdded(place), "");
  }

  @PostMapping("/vehicle")
  String vehicle(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Vehicle changed = new VehicleForm(units).read(new Values(form, units));
    return step(new Hand(id, version, who), new Alteration.VehicleChanged(changed), "");
  }

  @PostMapping("/mend")
  String mend(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam String finding,
      @ModelAttribute("who") String who) {
    Finding found =
        LayoutReview.of(rigs.open(id).plumbing()).stream()
            .filter(f -> f.key().equals(finding) && f.change().isPresent())
            .findFirst()
            .orElseThrow(() ->
                new Refusal("That finding is gone, or cannot be mended with a click; look again"));
    return step(
        new Hand(id, version, who),
        new Alteration.Mended(
            found.title().toString(), found.change().orElse(UnaryOperator.identity())),
        "");
  }

  @PostMapping("/undo")
  String undo(@PathVariable String id, @ModelAttribute("who") String who) {
    rigs.step(id, -1, who);
    return "redirect:/rigs/" + id + "/rig";
  }

  @PostMapping("/redo")
  String redo(@PathVariable String id, @ModelAttribute("who") String who) {
    rigs.step(id, 1, who);
    return "redirect:/rigs/" + id + "/rig";
  }

  @PostMapping("/rename")
  String rename(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam String name,
      @ModelAttribute("who") String who) {
    return step(new Hand(id, version, who), new Alteration.Renamed(name.strip()), "");
  }
}
