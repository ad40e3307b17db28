package fernwort.app.security;

import jakarta.servlet.http.HttpSession;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Which devices are logged in, and the end of all others. */
@Controller
class DevicesController {

  private final LoggedIn loggedIn;

  DevicesController(LoggedIn loggedIn) {
    this.loggedIn = loggedIn;
  }

  @GetMapping("/devices")
  String devices(HttpSession session, Model model) {
    model.addAttribute("devices", loggedIn.devices(session.getId()));
    return "devices";
  }

  @PostMapping("/devices/end-others")
  String endOthers(HttpSession session) {
    loggedIn.endAllOthers(session.getId());
    return "redirect:/devices";
  }
}
