package fernwort.app.jobs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.services.Descriptions;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.services.Workers;
import fernwort.app.units.Units;
import fernwort.core.rig.State;
import java.time.Duration;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** Every slip of every job of a rig, with a bar that shows how far the trying is. */
@Controller
class SlipsController {

  private static final int MOST = 60;

  /** What a round was begun from. */
  private record From(String rig, int version, State state) {}

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final Workers workers;
  private final Cache<From, SlipRound> rounds =
      Caffeine.newBuilder().maximumSize(10).expireAfterAccess(Duration.ofMinutes(30)).build();

  SlipsController(Descriptions rigs, States states, JobDesk desk, Workers workers) {
    this.workers = workers;
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
  }

  /** A slip in the list of all. */
  record Row(String job, String name, JobView.SlipRow slip) {}

  @GetMapping("/rigs/{id}/slips")
  String slips(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    State now = states.of(rig).state();
    From from = new From(id, rig.version(), now);
    SlipRound kept = rounds.getIfPresent(from);
    if (kept != null && kept.isEnded()) {
      rounds.invalidate(from);
    }
    SlipRound round = rounds.get(from, f -> SlipRound.begin(workers, desk.book(rig), now));
    round.look();
    List<SlipRound.Found> found = round.found();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("done", round.done());
    model.addAttribute("jobs", round.jobs());
    model.addAttribute("over", round.isOver());
    model.addAttribute("trouble", round.trouble());
    model.addAttribute("count", found.size());
    model.addAttribute(
        "slips",
        found.stream()
            .limit(MOST)
            .map(f ->
                new Row(
                    f.job().id(),
                    units.say(f.job().name()),
                    JobView.SlipRow.of(List.of(f.slip()), units).getFirst()))
            .toList());
    return "jobs/all-slips";
  }
}
