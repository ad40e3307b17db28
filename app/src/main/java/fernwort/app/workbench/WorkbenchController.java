package fernwort.app.workbench;

import fernwort.app.cards.Card;
import fernwort.app.cards.Trip;
import fernwort.app.rigs.OpenRig;
import fernwort.app.rigs.Rigs;
import fernwort.app.store.SizingStore;
import fernwort.app.units.Units;
import java.util.HashMap;
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

  private final Rigs rigs;
  private final SizingStore store;

  WorkbenchController(Rigs rigs, SizingStore store) {
    this.rigs = rigs;
    this.store = store;
  }

  @GetMapping
  String lines(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = trip(id, units);
    return page(trip, "lines", LinePage.of(trip), model);
  }

  @GetMapping("/slope")
  String slope(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    Trip trip = trip(id, units);
    return page(trip, "slope", SlopePage.of(trip), model);
  }

  /** Keeps what was entered on one card and shows its page anew. */
  @PostMapping("/{page}")
  String keep(
      @PathVariable String id,
      @PathVariable String page,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    OpenRig rig = rigs.open(id);
    Map<String, String> entries = new HashMap<>(form);
    entries.remove("_csrf");
    entries.remove("card");
    store.keep(rig.id(), entries, units.signs());
    return "redirect:/rigs/%s/workbench%s#%s"
        .formatted(id, page.equals("lines") ? "" : "/slope", form.getOrDefault("card", "main"));
  }

  private Trip trip(String id, Units units) {
    OpenRig rig = rigs.open(id);
    return new Trip(
        rig, rigs.standing(rig).state(), rigs.habits(rig), store.entries(rig.id()), units);
  }

  private static String page(Trip trip, String page, List<Card> cards, Model model) {
    model.addAttribute("rig", trip.open().id());
    model.addAttribute("name", trip.rig().name());
    model.addAttribute("page", page);
    model.addAttribute("cards", cards);
    return "workbench";
  }
}
