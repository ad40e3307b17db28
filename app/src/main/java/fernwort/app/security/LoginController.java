package fernwort.app.security;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page that asks for the passphrase, and says so where others can read it. */
@Controller
class LoginController {

  @GetMapping("/login")
  String login(HttpServletRequest request, Model model) {
    model.addAttribute("plain", !request.isSecure());
    return "login";
  }
}
