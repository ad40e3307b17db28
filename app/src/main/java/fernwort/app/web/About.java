package fernwort.app.web;

import fernwort.app.Missing;
import fernwort.app.Version;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Which Fernwort this is, and the licences of all that ships with it. */
@Controller
class About {

  /** What comes with the pages, each under the licence in the file of its name. */
  private static final Set<String> WITH_THE_PAGES =
      Set.of(
          "atkinson-hyperlegible-mono",
          "atkinson-hyperlegible-next",
          "htmx",
          "tailwindcss",
          "uPlot");

  /** A library and its licence. */
  record Library(String name, String version, String licence, String address) {}

  @GetMapping("/about")
  String about(Model model) throws IOException {
    model.addAttribute("version", Version.NUMBER);
    model.addAttribute("java", Runtime.version().toString());
    model.addAttribute(
        "pages", WITH_THE_PAGES.stream().sorted(String::compareToIgnoreCase).toList());
    model.addAttribute("libraries", libraries());
    return "about";
  }

  @GetMapping("/about/{name}")
  ResponseEntity<String> licence(@PathVariable String name) throws IOException {
    if (!WITH_THE_PAGES.contains(name)) {
      throw new Missing(Says.THERE_IS_NO_SUCH_LICENCE.text());
    }
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "plain", StandardCharsets.UTF_8))
        .body(text(name + ".txt"));
  }

  /** Name, version, licence, address and file of each, apart by tabs. */
  static List<Library> libraries() throws IOException {
    return text("libraries.tsv")
        .lines()
        .map(line -> line.split("\t"))
        .map(cells -> new Library(cells[0], cells[1], cells[2], cells[3]))
        .toList();
  }

  private static String text(String file) throws IOException {
    return new ClassPathResource("licences/" + file).getContentAsString(StandardCharsets.UTF_8);
  }
}
