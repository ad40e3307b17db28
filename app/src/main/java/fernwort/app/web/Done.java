package fernwort.app.web;

import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * What was done, told on the page that comes next: one that looks as before would leave open
 * whether anything happened.
 */
public final class Done {

  private Done() {}

  /** Says it, once, on the page that is led to. */
  public static void say(RedirectAttributes to, String words) {
    to.addFlashAttribute("wasDone", words);
  }
}
