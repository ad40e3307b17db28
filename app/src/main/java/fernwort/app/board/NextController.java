package fernwort.app.board;

import fernwort.app.services.Descriptions;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.RunStore;
import fernwort.app.units.Units;
import fernwort.core.advice.Advice;
import fernwort.core.advice.Advisor;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.sizing.Lasts;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** What to do next, beside the Board; fetched once the Board is there, for jobs are planned. */
@Controller
class NextController {

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final RunStore runs;

  NextController(Descriptions rigs, States states, JobDesk desk, RunStore runs) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.runs = runs;
  }

  /**
   * A line of what is next.
   *
   * @param grade how bad it is to leave it, in small letters
   * @param words what to do and why
   * @param link where it is done, from the rig's address; empty for nowhere
   * @param act what the button says
   */
  record Line(String grade, String words, String link, String act) {}

  @GetMapping("/rigs/{id}/next")
  String next(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    State state = states.of(rig).state();
    JobBook book = desk.book(rig);
    Lasts lasts = Lasts.of(rig.network(), state, states.habits(rig));
    Optional<RunStore.Run> begun =
        runs.newest(id, 1).stream()
            .filter(run -> run.outcome() == RunStore.Outcome.RUNNING)
            .findFirst();
    List<Advice> advice =
        Advisor.of(
            book.plans(),
            book.offered(),
            state,
            lasts,
            begun.map(run -> Message.kept(run.title())));
    model.addAttribute("rig", id);
    model.addAttribute("otherwise", units.say(Advisor.otherwise(lasts)));
    model.addAttribute("lines", advice.stream().map(a -> line(a, begun, units)).toList());
    return "board/next";
  }

  private static Line line(Advice advice, Optional<RunStore.Run> begun, Units units) {
    boolean goesOn = advice.what() == Advice.What.GO_ON;
    return new Line(
        advice.grade().name().toLowerCase(Locale.ROOT),
        units.say(advice.words()),
        goesOn
            ? begun.map(run -> "/runs/" + run.id()).orElse("")
            : advice.job().map(job -> "/jobs/" + job.id()).orElse(""),
        goesOn ? "Continue" : "Plan it");
  }
}
