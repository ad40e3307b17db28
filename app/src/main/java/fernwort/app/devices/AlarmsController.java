package fernwort.app.devices;

import fernwort.app.live.AlarmBar;
import fernwort.app.live.LiveDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.web.Done;
import fernwort.core.say.Message;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Alarms: the bar on every page, and that somebody has seen one. */
@Controller
@RequestMapping("/rigs/{id}/alarms")
class AlarmsController {

  private final LiveDesk live;
  private final Descriptions rigs;
  private final AlarmBar bar;

  AlarmsController(LiveDesk live, Descriptions rigs, AlarmBar bar) {
    this.live = live;
    this.rigs = rigs;
    this.bar = bar;
  }

  /** The bar as it is now. */
  @GetMapping("/bar")
  String bar(@PathVariable String id, Model model) {
    rigs.open(id);
    model.addAttribute("alarms", bar.all());
    return "live/alarm-bar";
  }

  @PostMapping("/{alarm}/seen")
  String seen(
      @PathVariable String id,
      @PathVariable String alarm,
      @ModelAttribute("who") String who,
      HttpServletRequest request,
      RedirectAttributes done) {
    Message words = live.seen(id, alarm, who).words();
    Done.say(done, Says.SEEN.filled(words));
    return back(id, request);
  }

  @PostMapping("/{alarm}/snooze")
  String snooze(
      @PathVariable String id,
      @PathVariable String alarm,
      @RequestParam(defaultValue = "15") double minutes,
      HttpServletRequest request,
      RedirectAttributes done) {
    live.snooze(id, alarm, minutes);
    Done.say(done, Says.QUIET.filled(Math.round(minutes)));
    return back(id, request);
  }

  /** Back to the page on which it was pressed, which is one of ours. */
  private static String back(String id, HttpServletRequest request) {
    String from = request.getHeader("Referer");
    String path = "/rigs/" + id + "/board";
    if (from != null) {
      int at = from.indexOf("/rigs/");
      if (at > 0) {
        path = from.substring(at).replaceAll("[^A-Za-z0-9/._?=&-]", "");
      }
    }
    return "redirect:" + path;
  }
}
