package fernwort.app.jobs;

import fernwort.app.live.LiveDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.services.StepText;
import fernwort.app.store.RunStore;
import fernwort.app.units.Units;
import fernwort.core.id.PartId;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A run sheet: shows how far it is, and takes ticks. */
@Controller
@RequestMapping("/rigs/{id}/runs/{run}")
class RunController {

  private final Descriptions rigs;
  private final States states;
  private final JobRuns runs;
  private final RunStore store;
  private final StepText text;
  private final Gone gone;
  private final LiveDesk live;

  RunController(
      Descriptions rigs,
      States states,
      JobRuns runs,
      RunStore store,
      StepText text,
      Gone gone,
      LiveDesk live) {
    this.live = live;
    this.rigs = rigs;
    this.states = states;
    this.runs = runs;
    this.store = store;
    this.text = text;
    this.gone = gone;
  }

  @GetMapping
  String run(
      @PathVariable String id,
      @PathVariable String run,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    RunStore.Run going = store.get(id, run);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("job", going.job());
    model.addAttribute(
        "run",
        RunView.of(
            rig, going, store.steps(run), text, gone, states.of(rig).state().setting(), units));
    model.addAttribute(
        "watched",
        live.isLive(id)
            ? Watched.of(store.steps(run), text, live.signals(id), units).orElse(null)
            : null);
    return "jobs/run";
  }

  @PostMapping("/steps/{seq}/done")
  String done(
      @PathVariable String id,
      @PathVariable String run,
      @PathVariable int seq,
      @RequestParam(defaultValue = "false") boolean record,
      @RequestParam(name = "queued-at") Optional<Instant> queued,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    if (queued.isPresent()) {
      runs.doneBefore(rig, run, seq, record, queued.get(), who);
    } else {
      runs.done(rig, run, seq, record, who);
    }
    return back(id, run);
  }

  /** Skips a step, says that skipping it was meant, or takes its tick back. */
  @PostMapping("/steps/{seq}/{mark:skip|meant|again}")
  String mark(
      @PathVariable String id,
      @PathVariable String run,
      @PathVariable int seq,
      @PathVariable String mark,
      @ModelAttribute("who") String who) {
    runs.mark(
        rigs.open(id),
        run,
        seq,
        switch (mark) {
          case "skip" -> RunStore.Mark.SKIPPED;
          case "meant" -> RunStore.Mark.MEANT;
          default -> RunStore.Mark.OPEN;
        },
        who);
    return back(id, run);
  }

  @PostMapping("/steps/{seq}/note")
  String note(
      @PathVariable String id,
      @PathVariable String run,
      @PathVariable int seq,
      @RequestParam String note) {
    runs.note(rigs.open(id), run, seq, note.strip());
    return back(id, run);
  }

  @PostMapping("/steps/{seq}/wait")
  String begin(@PathVariable String id, @PathVariable String run, @PathVariable int seq) {
    runs.beginWait(rigs.open(id), run, seq);
    return back(id, run);
  }

  @PostMapping("/steps/{seq}/cannot")
  String cannot(@PathVariable String id, @PathVariable String run, @PathVariable int seq) {
    runs.cannot(rigs.open(id), run, seq);
    return back(id, run);
  }

  /** Records where the tanks stand once the sheet is done. */
  @PostMapping("/stands")
  String stands(
      @PathVariable String id,
      @PathVariable String run,
      @RequestParam Map<PartId, String> levels,
      @ModelAttribute("units") Units units,
      @ModelAttribute("who") String who) {
    runs.stands(rigs.open(id), run, levels, units, who);
    return "redirect:/rigs/" + id + "/board";
  }

  @PostMapping("/replan")
  String replan(@PathVariable String id, @PathVariable String run) {
    runs.replan(rigs.open(id), run, Set.of());
    return back(id, run);
  }

  @PostMapping("/leave")
  String leave(@PathVariable String id, @PathVariable String run) {
    runs.leave(rigs.open(id), run);
    return "redirect:/rigs/" + id + "/jobs";
  }

  private static String back(String id, String run) {
    return "redirect:/rigs/" + id + "/runs/" + run;
  }
}
