package fernwort.app.devices;

import fernwort.app.live.LiveAnswers.SignalNow;
import fernwort.app.live.LiveDesk;
import fernwort.app.live.RuleDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The rules of a rig that watch its sensors and turn its motors. */
@Controller
@RequestMapping("/rigs/{id}/rules")
class RulesController {

  private static final String PAGE = "redirect:/rigs/%s/rules";

  private final Descriptions rigs;
  private final LiveDesk live;
  private final RuleDesk desk;

  RulesController(Descriptions rigs, LiveDesk live, RuleDesk desk) {
    this.rigs = rigs;
    this.desk = desk;
    this.live = live;
  }

  @GetMapping
  String rules(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    Map<String, SignalNow> signals =
        live.signals(id).stream().collect(Collectors.toMap(SignalNow::name, s -> s));
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute(
        "rules",
        desk.rules(id).stream().map(r -> RuleRow.of(r, signals, rig.rig(), units)).toList());
    return "live/rules";
  }

  @PostMapping("/{rule}/state")
  String state(
      @PathVariable String id,
      @PathVariable String rule,
      @RequestParam String state,
      RedirectAttributes done) {
    desk.keep(id, rule, desk.rule(id, rule).rule().in(state));
    String words =
        switch (state) {
          case "live" -> Says.LIVE_NOW.text();
          case "tells" -> Says.TELLS_ONLY.text();
          default -> state;
        };
    Done.say(done, Says.IS_NOW.filled(rule, words));
    return PAGE.formatted(id);
  }

  @PostMapping("/{rule}/press")
  String press(@PathVariable String id, @PathVariable String rule, RedirectAttributes done) {
    desk.press(id, rule);
    Done.say(done, Says.PRESSED.filled(rule));
    return PAGE.formatted(id);
  }

  @PostMapping("/{rule}/remove")
  String remove(@PathVariable String id, @PathVariable String rule, RedirectAttributes done) {
    desk.removeRule(id, rule);
    Done.say(done, Says.IS_NOT_BOUND.filled(rule));
    return PAGE.formatted(id);
  }
}
