package fernwort.app.workbench;

import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Trip;
import fernwort.app.units.Units;
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

/** The Workbench: two pages of things to try out. */
@Controller
@RequestMapping("/rigs/{id}/workbench")
class WorkbenchController {

  private final QuestionDesk desk;

  WorkbenchController(QuestionDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String lines(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    return page(trip, "lines", LinePage.of(trip), model);
  }

  @GetMapping("/slope")
  String slope(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = desk.trip(id, units);
    return page(trip, "slope", SlopePage.of(trip), model);
  }

  /** Keeps what was entered on one question and shows its page anew. */
  @PostMapping("/{page}")
  String keep(
      @PathVariable String id,
      @PathVariable String page,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    String where = page.equals("lines") ? "" : "/slope";
    return "redirect:/rigs/" + id + "/workbench" + where + desk.keep(id, form, units);
  }

  private String page(Trip trip, String page, List<Question> questions, Model model) {
    desk.show(trip, page, questions, model);
    return "workbench";
  }
}
