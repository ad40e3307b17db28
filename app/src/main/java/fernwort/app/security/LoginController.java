package fernwort.app.security;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The page that asks for the passphrase. */
@Controller
class LoginController {

  @GetMapping("/login")
  String login() {
    return "login";
  }
}
