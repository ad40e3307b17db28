package fernwort.app.rig;

import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.store.AnswerStore;
import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.core.describe.Alteration;
import fernwort.core.describe.CalledByLabel;
import fernwort.core.describe.NewParts;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.review.Finding;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Refusal;
import java.util.List;
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
      @RequestParam(defaultValue = "") PartId part,
      @RequestParam(defaultValue = "") LineId line,
      @RequestParam(defaultValue = "") String port,
      @RequestParam(defaultValue = "") String place,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig open = rigs.open(id);
    Describing.Picked picked = new Describing.Picked(part.value(), line.value(), port, place);
    model.addAttribute("view", describing.view(open, picked, units));
    model.addAttribute("last", rigs.last(open).orElse(""));
    model.addAttribute("asked", answers.knows(id));
    model.addAttribute("all", NewParts.all());
    model.addAttribute("blank", new PlaceForm(open.rig(), units).blank());
    return "describe";
  }

  /** Who makes a step, seeing which version; bound from the form and the cookie. */
  private record Hand(String rig, int version, String who) {}

  private String step(Hand hand, Alteration step) {
    OpenRig open = rigs.open(hand.rig());
    try {
      rigs.change(open, hand.version(), hand.who(), step);
    } catch (InvalidRigException faults) {
      throw CalledByLabel.in(open.rig(), faults);
    }
    return "redirect:/rigs/" + hand.rig() + "/rig" + look(step);
  }

  @PostMapping("/parts/{part}")
  String part(
      @PathVariable String id,
      @PathVariable PartId part,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Rig rig = rigs.open(id).rig();
    Part changed = Describing.part(rig, rig.part(part), form, units);
    Alteration.PartChanged step = new Alteration.PartChanged(changed);
    List<String> lost = step.losing(rig).stream().map(Line::label).toList();
    if (!lost.isEmpty() && !SURE.equals(form.get("sure"))) {
      throw new Doubt(
          Says.HAS_NO_PLACE_FOR_THE_PIPE.filled(rig.part(part).label(), String.join("”, “", lost)));
    }
    return step(new Hand(id, version, who), step);
  }

  /** What a form says where somebody has read the doubt and stays with it. */
  private static final String SURE = "true";

  @PostMapping("/parts/{part}/remove")
  String remove(
      @PathVariable String id,
      @PathVariable PartId part,
      @RequestParam int version,
      @ModelAttribute("who") String who) {
    return step(new Hand(id, version, who), new Alteration.PartTakenOut(part));
  }

  @PostMapping("/lines/{line}")
  String line(
      @PathVariable String id,
      @PathVariable LineId line,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Line old = RigEdit.of(rigs.open(id).rig()).line(line);
    Line changed = new LineForm(units).read(old, form);
    return step(new Hand(id, version, who), new Alteration.LineChanged(changed));
  }

  @PostMapping("/lines/{line}/off")
  String off(
      @PathVariable String id,
      @PathVariable LineId line,
      @RequestParam int version,
      @ModelAttribute("who") String who) {
    return step(new Hand(id, version, who), new Alteration.LineTakenOff(line));
  }

  @PostMapping("/add")
  String add(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Alteration step = AddForm.read(rigs.open(id).rig(), form, units);
    return step(new Hand(id, version, who), step);
  }

  /** What is looked at after a step: the thing itself, where it is there still. */
  private static String look(Alteration step) {
    return switch (step) {
      case Alteration.PartPutIn s -> "?part=" + s.part().id();
      case Alteration.PartTeedOff s -> "?part=" + s.part().id();
      case Alteration.PartHungOn s -> "?part=" + s.part().id();
      case Alteration.PartAdded s -> "?part=" + s.part().id();
      case Alteration.PortsJoined s -> "?line=" + s.line().id();
      case Alteration.Renamed s -> "";
      case Alteration.VehicleChanged s -> "";
      case Alteration.PlaceAdded s -> "?place=" + s.place().id();
      case Alteration.PartChanged s -> "?part=" + s.part().id();
      case Alteration.PartTakenOut s -> "";
      case Alteration.LineChanged s -> "?line=" + s.line().id();
      case Alteration.LineTakenOff s -> "";
      case Alteration.Answered s -> "";
      case Alteration.Mended s -> "";
      case Alteration.Joined s -> "?part=" + s.joint().at().part();
      case Alteration.Supported s -> "?part=" + s.tank();
      case Alteration.Fitted s -> "";
    };
  }

  @PostMapping("/places")
  String newPlace(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    PlaceForm places = new PlaceForm(rigs.open(id).rig(), units);
    Alteration step = new Alteration.PlaceAdded(places.read(places.anew(), form));
    return step(new Hand(id, version, who), step);
  }

  @PostMapping("/places/{place}")
  String place(
      @PathVariable String id,
      @PathVariable String place,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Rig rig = rigs.open(id).rig();
    Place changed = new PlaceForm(rig, units).read(rig.place(PlaceId.of(place)), form);
    Alteration step = new Alteration.PlaceAdded(changed);
    return step(new Hand(id, version, who), step);
  }

  @PostMapping("/vehicle")
  String vehicle(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units) {
    Vehicle old = rigs.open(id).rig().vehicle();
    Vehicle changed = new VehicleForm(units).read(old, form);
    return step(new Hand(id, version, who), new Alteration.VehicleChanged(changed));
  }

  @PostMapping("/fix")
  String fix(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam String finding,
      @ModelAttribute("who") String who) {
    Finding found =
        LayoutReview.of(rigs.open(id).network()).stream()
            .filter(f -> f.key().equals(finding) && f.change().isPresent())
            .findFirst()
            .orElseThrow(() -> new Refusal(Says.THAT_FINDING_IS_GONE_OR_CANNOT.with()));
    return step(
        new Hand(id, version, who),
        new Alteration.Mended(
            found.title().toString(), found.change().orElse(UnaryOperator.identity())));
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
    return step(new Hand(id, version, who), new Alteration.Renamed(name.strip()));
  }
}
