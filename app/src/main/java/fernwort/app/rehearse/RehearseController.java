package fernwort.app.rehearse;

import fernwort.app.board.Drawing;
import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.services.States;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.kind.Position;
import fernwort.core.rig.Setting;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.List;
import java.util.Optional;
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
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Rehearsing on the Board. Nothing here touches what is recorded, until somebody keeps it. */
@Controller
@RequestMapping("/rigs/{id}/rehearse")
class RehearseController {

  private static final long HOURS = 4 * 3_600_000L;

  private final Descriptions rigs;
  private final States states;
  private final Sleep sleep;
  private final RehearsalRoom room;
  private final PlanDrawing plans;

  RehearseController(
      Descriptions rigs, States states, Sleep sleep, RehearsalRoom room, PlanDrawing plans) {
    this.rigs = rigs;
    this.states = states;
    this.sleep = sleep;
    this.room = room;
    this.plans = plans;
  }

  @PostMapping
  String start(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    Simulation run =
        Simulation.start(
            rig.landmarks(),
            rig.hydraulics(),
            states.of(rig).state(),
            Conditions.ORDINARY,
            sleep.dry(rig));
    return "redirect:/rigs/%s/rehearse/%s".formatted(id, room.start(rig, run));
  }

  /** What the Board is asked of the setting as it stands: flows now, times, and one tap more. */
  @GetMapping("/answers")
  String answers(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    Simulation run =
        Simulation.start(
            rig.landmarks(),
            rig.hydraulics(),
            states.of(rig).state(),
            Conditions.ORDINARY,
            sleep.dry(rig));
    model.addAttribute("now", Snapshot.of(new Rehearsal(rig, run), units));
    model.addAttribute("flows", RehearsalAnswers.flows(rig, run, units));
    model.addAttribute("until", RehearsalAnswers.until(rig, run, units));
    model.addAttribute("alsoOpen", RehearsalAnswers.alsoOpen(rig, run, units));
    return "answers";
  }

  /** A handle as the list beside the drawing shows it. */
  record Handle(String part, String label, String position, List<Position> positions) {}

  @GetMapping("/{run}")
  String show(
      @PathVariable String id,
      @PathVariable String run,
      @ModelAttribute("units") Units units,
      Model model) {
    Rehearsal rehearsal = room.get(run);
    fill(id, run, rehearsal, units, model);
    return "rehearse";
  }

  private void fill(String id, String run, Rehearsal rehearsal, Units units, Model model) {
    OpenRig rig = rehearsal.rig();
    Moment moment = rehearsal.moment();
    Drawing drawing = plans.of(rig, moment.state());
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("run", run);
    model.addAttribute("drawing", drawing);
    model.addAttribute("now", Snapshot.of(rehearsal, units));
    model.addAttribute("stopping", rehearsal.stopsAtEvents());
    model.addAttribute("volumeUnit", units.unit(Measure.VOLUME).sign());
    model.addAttribute("flowUnit", units.unit(Measure.FLOW).sign());
    model.addAttribute("handles", handles(rig, moment.state().setting()));
    model.addAttribute("flows", RehearsalAnswers.flows(rig, rehearsal.ahead(), units));
    model.addAttribute("until", RehearsalAnswers.until(rig, rehearsal.ahead(), units));
    model.addAttribute("alsoOpen", RehearsalAnswers.alsoOpen(rig, rehearsal.ahead(), units));
  }

  private static List<Handle> handles(OpenRig rig, Setting setting) {
    return rig.rig()
        .handles()
        .map(p ->
            new Handle(p.id().value(), p.label(), setting.of(p.id()).value(), p.kind().positions()))
        .toList();
  }

  @GetMapping(path = "/{run}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @ResponseBody
  SseEmitter stream(@PathVariable String run, @ModelAttribute("units") Units units) {
    SseEmitter emitter = new SseEmitter(HOURS);
    room.watch(run, emitter, rehearsal -> Snapshot.of(rehearsal, units));
    return emitter;
  }

  /**
   * What the bar above the drawing asks for; a page whose script runs is told by the stream.
   *
   * @param speed simulated seconds per second
   * @param stopping whether to stop at events
   * @param playing whether to play or to pause; as it is where that was not asked
   */
  @PostMapping(path = "/{run}/time", headers = "HX-Request")
  ResponseEntity<Void> time(
      @PathVariable String run,
      @RequestParam double speed,
      @RequestParam(defaultValue = "false") boolean stopping,
      @RequestParam Optional<Boolean> playing) {
    Rehearsal rehearsal = room.get(run);
    rehearsal.pace(speed, stopping);
    playing.ifPresent(plays -> {
      if (plays) {
        rehearsal.play();
      } else {
        rehearsal.pause();
      }
    });
    return ResponseEntity.noContent().build();
  }

  /** The same of a page whose script has not come yet, or never does: it is loaded anew. */
  @PostMapping("/{run}/time")
  String timeByForm(
      @PathVariable String id,
      @PathVariable String run,
      @RequestParam double speed,
      @RequestParam(defaultValue = "false") boolean stopping,
      @RequestParam Optional<Boolean> playing) {
    time(run, speed, stopping, playing);
    return "redirect:/rigs/%s/rehearse/%s".formatted(id, run);
  }

  @PostMapping("/{run}/set")
  String set(
      @PathVariable String id,
      @PathVariable String run,
      @RequestParam String part,
      @RequestParam String position,
      @ModelAttribute("units") Units units,
      Model model) {
    Rehearsal rehearsal = room.get(run);
    rehearsal.set(part, position);
    fill(id, run, rehearsal, units, model);
    return "rehearse";
  }

  @PostMapping("/{run}/back")
  String back(
      @PathVariable String id,
      @PathVariable String run,
      @RequestParam(defaultValue = "false") boolean start,
      @ModelAttribute("units") Units units,
      Model model) {
    Rehearsal rehearsal = room.get(run);
    rehearsal.back(start);
    fill(id, run, rehearsal, units, model);
    return "rehearse";
  }

  /** Keeps handles and levels of the rehearsal as those of the rig; a person says so. */
  @PostMapping("/{run}/keep")
  String keep(
      @PathVariable String id,
      @PathVariable String run,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      RedirectAttributes to) {
    Rehearsal rehearsal = room.get(run);
    rehearsal.pause();
    states.adopt(
        rigs.open(id),
        rehearsal.moment().state(),
        volume -> units.show(Measure.VOLUME, volume) + " rehearsed",
        who);
    Done.say(to, Says.LEVELS_AND_HANDLES.text());
    return "redirect:/rigs/%s/board".formatted(id);
  }
}
