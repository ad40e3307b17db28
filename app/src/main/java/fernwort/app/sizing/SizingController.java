package fernwort.app.sizing;

import fernwort.app.board.PlanDrawing;
import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.core.budget.Budget;
import fernwort.core.budget.Range;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Sizing screen: five pages of questions with their answers. */
@Controller
@RequestMapping("/rigs/{id}/sizing")
class SizingController {

  private final Descriptions rigs;
  private final States states;
  private final QuestionDesk desk;
  private final Diary diary;
  private final Clock clock;
  private final PlanDrawing drawings;

  SizingController(
      Descriptions rigs,
      States states,
      QuestionDesk desk,
      Diary diary,
      Clock clock,
      PlanDrawing drawings) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.diary = diary;
    this.clock = clock;
    this.drawings = drawings;
  }

  @GetMapping
  String days(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    model.addAttribute("habits", HabitsForm.of(trip.habits(), units));
    model.addAttribute("learnt", learnt(trip.open(), units));
    model.addAttribute("volumeUnit", units.unit(Measure.VOLUME).sign());
    return page(trip, "days", DaysPage.of(trip), model);
  }

  @GetMapping("/space")
  String space(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    return page(trip, "space", SpacePage.of(trip), model);
  }

  @GetMapping("/weight")
  String weight(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    return page(trip, "weight", WeightPage.of(trip), model);
  }

  @GetMapping("/pump")
  String pump(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    model.addAttribute("drawing", drawings.of(trip.open(), trip.now()));
    return page(trip, "pump", PumpPage.of(trip), model);
  }

  @GetMapping("/supply")
  String supply(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    return page(trip, "supply", SupplyPage.of(trip), model);
  }

  /** Keeps what was entered on one question and shows its page anew. */
  @PostMapping("/{page}")
  String keep(
      @PathVariable String id,
      @PathVariable String page,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    String where = page.equals("days") ? "" : "/" + page;
    return "redirect:/rigs/" + id + "/sizing" + where + desk.keep(id, form, units);
  }

  /** What the log says of the habits; nothing until enough was read. */
  private String learnt(OpenRig rig, Units units) {
    Budget budget = diary.budget(rig, clock.instant());
    Range rate = budget.fresh().rate();
    return budget.enough()
        ? Says.FROM_THE_LOG_EACH_A_DAY_LIKELY.filled(
            units.show(Measure.VOLUME, rate.expected()),
            units.show(Measure.VOLUME, rate.low()),
            units.show(Measure.VOLUME, rate.high()))
        : "";
  }

  @PostMapping("/habits")
  String habits(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units,
      RedirectAttributes to) {
    OpenRig rig = rigs.open(id);
    states.setHabits(rig, HabitsForm.read(states.habits(rig), form, units));
    Done.say(to, Says.THE_HABITS_ARE_SAVED_AND_USED.text());
    return "redirect:/rigs/%s/sizing".formatted(id);
  }

  private String page(Trip trip, String page, List<Question> questions, Model model) {
    desk.show(trip, page, questions, model);
    return "sizing";
  }
}
