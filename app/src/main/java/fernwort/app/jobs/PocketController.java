package fernwort.app.jobs;

import fernwort.app.services.Descriptions;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.CardStore;
import fernwort.app.store.SettingStore;
import fernwort.app.units.Units;
import fernwort.core.jobs.goal.Job;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The pocket copy for a phone, and the pack for somebody who borrows the rig. */
@Controller
class PocketController {

  private static final String CALL = "call:";
  private static final int LONGEST_NAME = 64;
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final Pocket pocket;
  private final SettingStore settings;
  private final CardStore cards;
  private final CardAddresses addresses;
  private final Clock clock;

  PocketController(
      Descriptions rigs,
      States states,
      JobDesk desk,
      Pocket pocket,
      SettingStore settings,
      CardStore cards,
      CardAddresses addresses,
      Clock clock) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.pocket = pocket;
    this.settings = settings;
    this.cards = cards;
    this.addresses = addresses;
    this.clock = clock;
  }

  @GetMapping("/rigs/{id}/pocket")
  String page(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    pocket.prepare(rig, units);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("call", call(id));
    JobBook book = desk.book(rig);
    State now = states.of(rig).state();
    model.addAttribute("cards", JobsController.cards(book, book.offers().all(now), now, units));
    return "jobs/pocket";
  }

  @PostMapping("/rigs/{id}/pocket/call")
  String call(@PathVariable String id, @RequestParam String call) {
    settings.set(key(rigs.open(id).id()), call.strip());
    return "redirect:/rigs/" + id + "/pocket";
  }

  private String call(String rig) {
    return settings.get(key(rig)).orElse("");
  }

  private static String key(String rig) {
    String key = CALL + rig;
    return key.substring(0, Math.min(LONGEST_NAME, key.length()));
  }

  /** The copy as a file. */
  @GetMapping("/rigs/{id}/pocket.html")
  ResponseEntity<String> copy(
      @PathVariable String id,
      @ModelAttribute("units") Units units,
      HttpServletRequest request,
      HttpServletResponse response)
      throws ServletException, IOException {
    OpenRig rig = rigs.open(id);
    return file(rig, new Pocket.Wanted("", "", Set.of(), call(id)), units, request, response);
  }

  /** The same in metric units, as programs are given it. */
  ResponseEntity<String> metric(String id, HttpServletRequest request, HttpServletResponse response)
      throws ServletException, IOException {
    OpenRig rig = rigs.open(id);
    Pocket.Wanted all = new Pocket.Wanted("", "", Set.of(), call(id));
    return file(rig, all, Units.METRIC, request, response);
  }

  /** Makes the pack of a borrower: a card that holds until the day, and then the file. */
  @PostMapping("/rigs/{id}/hand-over")
  String handOver(
      @PathVariable String id,
      @RequestParam String who,
      @RequestParam String until,
      @RequestParam(defaultValue = "") List<String> jobs,
      HttpServletRequest request,
      Model model) {
    OpenRig rig = rigs.open(id);
    LocalDate day = day(until);
    String name = who.strip();
    if (name.isEmpty()) {
      throw new Refusal(Says.WHO_BORROWS_IT.with());
    }
    Set<String> known = chosen(rig, jobs);
    if (known.isEmpty()) {
      throw new Refusal(Says.TICK_AT_LEAST_ONE_JOB.with());
    }
    String token =
        cards.make(
            rig.id(),
            name,
            List.copyOf(known),
            java.util.Optional.of(day.plusDays(1).atStartOfDay(clock.getZone()).toInstant()));
    String link = addresses.chosen(request) + "/c/" + token;
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("who", name);
    model.addAttribute("until", until);
    model.addAttribute("day", day.format(DAY));
    model.addAttribute("jobs", known);
    model.addAttribute("link", link);
    model.addAttribute("code", QrCode.of(link));
    model.addAttribute("call", call(id));
    return "jobs/hand-over";
  }

  @GetMapping("/rigs/{id}/hand-over.html")
  ResponseEntity<String> pack(
      @PathVariable String id,
      @RequestParam String who,
      @RequestParam String until,
      @RequestParam(defaultValue = "") List<String> jobs,
      @ModelAttribute("units") Units units,
      HttpServletRequest request,
      HttpServletResponse response)
      throws ServletException, IOException {
    OpenRig rig = rigs.open(id);
    Pocket.Wanted wanted =
        new Pocket.Wanted(who.strip(), day(until).format(DAY), chosen(rig, jobs), call(id));
    return file(rig, wanted, units, request, response);
  }

  private Set<String> chosen(OpenRig rig, List<String> jobs) {
    Set<String> known = new LinkedHashSet<>();
    desk.book(rig).offered(j -> jobs.contains(j.id())).map(Job::id).forEach(known::add);
    return known;
  }

  private static LocalDate day(String text) {
    try {
      return LocalDate.parse(text.strip());
    } catch (DateTimeException e) {
      throw new Refusal(Says.THE_DAY_IS_NOT_READABLE.with());
    }
  }

  private ResponseEntity<String> file(
      OpenRig rig,
      Pocket.Wanted wanted,
      Units units,
      HttpServletRequest request,
      HttpServletResponse response)
      throws ServletException, IOException {
    OtherPages pages = new OtherPages(request, response);
    Map<String, String> said = new LinkedHashMap<>();
    if (wanted.who().isEmpty()) {
      said.put("winter", pages.main("/rigs/" + rig.id() + "/cold/sheet-to-take"));
      said.put("upkeep", pages.main("/rigs/" + rig.id() + "/log/upkeep"));
      for (Part tank : rig.rig().tanks().toList()) {
        String stick = "/rigs/" + rig.id() + "/log/gauges/" + tank.id() + "/dipstick.svg";
        said.put("stick:" + tank.label(), pages.drawing(stick));
      }
    }
    String name = rig.id() + (wanted.who().isEmpty() ? "-pocket" : "-for-a-borrower") + ".html";
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "html", java.nio.charset.StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(pocket.copy(rig, wanted, said, units));
  }
}
