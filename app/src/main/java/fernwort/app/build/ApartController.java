package fernwort.app.build;

import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.build.check.AssemblyCheck;
import fernwort.core.build.check.CheckSetting;
import fernwort.core.build.remove.Meanwhile;
import fernwort.core.build.remove.TakeApart;
import fernwort.core.describe.PortNames;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Taking parts out and putting them back the same way. */
@Controller
@RequestMapping("/rigs/{id}/build/apart")
class ApartController {

  /** More meanings of one wrong answer nobody reads. */
  private static final int MOST_MEANS = 12;

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final PlanDrawing drawings;

  ApartController(Descriptions rigs, States states, JobDesk desk, PlanDrawing drawings) {
    this.drawings = drawings;
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
  }

  /** A part that can be chosen. */
  record Choice(String id, String label, boolean chosen) {}

  /** A place with its parts. */
  record Place(String id, String label, List<Choice> parts) {}

  /** A turn before. */
  record Turn(String part, String to, String keeps) {}

  /** A joint. */
  record Joint(
      int tag, String line, String part, String place, String comes, String under, String seal) {}

  @GetMapping
  String apart(
      @PathVariable String id,
      @RequestParam(defaultValue = "") List<PartId> out,
      @RequestParam(defaultValue = "") String place,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig open = rigs.open(id);
    Set<PartId> chosen = chosen(open.rig(), out, place);
    choices(open, chosen, model);
    model.addAttribute("drawing", drawings.of(open));
    model.addAttribute(
        "marks", chosen.stream().collect(Collectors.toMap(PartId::value, part -> "out")));
    if (!chosen.isEmpty()) {
      try {
        plan(open, chosen, units, model);
      } catch (Refusal e) {
        model.addAttribute("problem", units.say(e.saying()));
      }
    }
    return "build/apart";
  }

  private static Set<PartId> chosen(Rig rig, List<PartId> out, String place) {
    Set<PartId> chosen = new LinkedHashSet<>();
    rig.parts().stream()
        .filter(p -> out.contains(p.id()) || !place.isEmpty() && p.place().value().equals(place))
        .map(Part::id)
        .forEach(chosen::add);
    return chosen;
  }

  private static void choices(OpenRig open, Set<PartId> chosen, Model model) {
    Rig rig = open.rig();
    model.addAttribute("rig", open.id());
    model.addAttribute("name", rig.name());
    model.addAttribute(
        "places",
        rig.places().stream()
            .map(p ->
                new Place(
                    p.id().value(),
                    p.label(),
                    rig.parts().stream()
                        .filter(x -> x.place().equals(p.id()))
                        .map(x -> new Choice(x.id().value(), x.label(), chosen.contains(x.id())))
                        .toList()))
            .filter(p -> !p.parts().isEmpty())
            .toList());
    model.addAttribute(
        "query", "?out=" + chosen.stream().map(PartId::value).collect(Collectors.joining("&out=")));
    model.addAttribute("problem", "");
  }

  private void plan(OpenRig open, Set<PartId> chosen, Units units, Model model) {
    Rig rig = open.rig();
    TakeApart plan = TakeApart.of(open.network(), states.of(open).state(), chosen, units.region());
    PortNames names = PortNames.of(rig);
    model.addAttribute("off", plan.off().stream().map(t -> turn(t, units)).toList());
    model.addAttribute("shut", plan.shut().stream().map(t -> turn(t, units)).toList());
    model.addAttribute(
        "empty",
        plan.empty().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(e ->
                Says.WOULD_RUN_OUT.filled(
                    rig.part(e.getKey()).label(), units.show(Measure.VOLUME, e.getValue())))
            .toList());
    model.addAttribute(
        "joints", plan.joints().stream().map(j -> joint(rig, names, j, units)).toList());
    model.addAttribute("litres", units.show(Measure.VOLUME, plan.litres()));
    model.addAttribute(
        "caps",
        plan.caps().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(e -> e.getValue() + " for " + e.getKey())
            .toList());
    model.addAttribute("heed", plan.heed().stream().map(units::say).toList());
    model.addAttribute("ways", plan.wayRound().stream().map(units::say).toList());
    Meanwhile meanwhile = Meanwhile.of(plan, rig, desk.book(open).offered());
    model.addAttribute("stays", names(meanwhile.works(), units));
    model.addAttribute("lost", names(meanwhile.lost(), units));
    model.addAttribute("backsUp", meanwhile.backsUp().stream().map(Part::label).toList());
  }

  private static Turn turn(TakeApart.Turn turn, Units units) {
    return new Turn(
        turn.part().label(),
        turn.to().words(),
        turn.keeps() > 0 ? Says.KEEPS_BACK.filled(units.show(Measure.VOLUME, turn.keeps())) : "");
  }

  private static Joint joint(Rig rig, PortNames names, TakeApart.Undo undo, Units units) {
    return new Joint(
        undo.tag(),
        undo.line().label(),
        names.at(undo.at()),
        rig.place(undo.place()).label(),
        units.show(Measure.VOLUME, undo.comes()),
        switch (undo.under()) {
          case NOTHING -> Says.A_TOWEL_FOR_DRIPS.text();
          case TOWEL -> Says.A_TOWEL.text();
          case BUCKET -> Says.A_BUCKET.text();
          case EMPTY_FIRST -> Says.MORE_THAN_A_BUCKET_EMPTY.text();
        },
        undo.seal().value());
  }

  private static List<String> names(List<Job> jobs, Units units) {
    return jobs.stream().map(j -> units.say(j.name())).distinct().toList();
  }

  // --- the check ---------------------------------------------------------------------------------

  /** A wrong answer. */
  record Wrong(String comes, List<String> means, int all) {}

  /** A look. */
  record Look(String where, String right, List<Wrong> wrong) {}

  /** A trial. */
  record Try(String as, List<String> turns, List<Look> looks) {}

  @GetMapping("/check")
  String check(
      @PathVariable String id,
      @RequestParam(defaultValue = "") List<PartId> out,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig open = rigs.open(id);
    Rig rig = open.rig();
    Set<PartId> chosen = chosen(rig, out, "");
    List<PortRef> joints = joints(rig, out.contains(PartId.of("all")) ? null : chosen);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.name());
    model.addAttribute(
        "query", "?out=" + chosen.stream().map(PartId::value).collect(Collectors.joining("&out=")));
    AssemblyCheck check = AssemblyCheck.of(desk.book(open).plans(), joints);
    PortNames names = PortNames.of(rig);
    Setting before = rig.atRest();
    List<Try> tries = new ArrayList<>();
    for (AssemblyCheck.Step step : check.steps()) {
      tries.add(
          new Try(
              units.say(step.trial().as()),
              turns(open, step.trial(), before),
              step.looks().stream().map(l -> look(names, l, units)).toList()));
      before = step.trial().setting();
    }
    model.addAttribute("tries", tries);
    model.addAttribute("mistakes", check.mistakes());
    model.addAttribute("fewest", check.fewest());
    model.addAttribute("unseen", check.unseen().stream().map(units::say).toList());
    return "build/check";
  }

  private static List<PortRef> joints(Rig rig, @Nullable Set<PartId> of) {
    List<PortRef> joints = new ArrayList<>();
    rig.lines()
        .forEach(l -> {
          for (PortRef end : List.of(l.from(), l.to())) {
            if (of == null || of.contains(end.part())) {
              joints.add(end);
            }
          }
        });
    if (joints.isEmpty()) {
      throw new Refusal(Says.CHOOSE_WHAT_WAS.with());
    }
    return joints;
  }

  private static List<String> turns(OpenRig open, CheckSetting trial, Setting before) {
    List<String> turns = new ArrayList<>();
    trial
        .turns(open.network(), before)
        .forEach((part, to) ->
            turns.add(
                "%s: %s"
                    .formatted(
                        open.rig().part(part).label(), open.rig().position(part, to).words())));
    return turns;
  }

  private static Look look(PortNames names, AssemblyCheck.Look look, Units units) {
    return new Look(
        names.at(look.at()),
        words(look.right()),
        look.wrong().stream()
            .map(w ->
                new Wrong(
                    words(w.comes()),
                    w.means().stream().limit(MOST_MEANS).map((Message s) -> units.say(s)).toList(),
                    w.means().size()))
            .toList());
  }

  private static String words(AssemblyCheck.What what) {
    return switch (what) {
      case NOTHING -> "nothing";
      case COLD -> "water";
      case HOT -> Says.WATER_THROUGH_THE_HEATER.text();
    };
  }

  // --- tags --------------------------------------------------------------------------------------

  /** A tag on the sheet (mm). */
  record Tag(double x, double y, String number, String line, String where) {}

  @GetMapping(value = "/tags.svg", produces = "image/svg+xml")
  String tags(
      @PathVariable String id, @RequestParam(defaultValue = "") List<PartId> out, Model model) {
    OpenRig open = rigs.open(id);
    TakeApart plan =
        TakeApart.of(open.network(), states.of(open).state(), chosen(open.rig(), out, ""));
    PortNames names = PortNames.of(open.rig());
    List<Tag> tags = new ArrayList<>();
    for (TakeApart.Undo undo : plan.joints()) {
      String at = names.at(undo.at());
      for (String half : List.of("line", "part")) {
        int i = tags.size();
        tags.add(
            new Tag(
                8 + i % 3 * 65,
                8 + i / 3 * 28,
                Integer.toString(undo.tag()),
                undo.line().label(),
                half.equals("line") ? "to " + at : at));
      }
    }
    model.addAttribute("tags", tags);
    model.addAttribute("height", 16 + (tags.size() + 2) / 3 * 28);
    return "build/tags-svg";
  }
}
