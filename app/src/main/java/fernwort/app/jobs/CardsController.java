package fernwort.app.jobs;

import fernwort.app.Missing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.States;
import fernwort.app.store.CardStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.jobs.goal.Job;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Cards for people who borrow a rig: made and withdrawn by its owner, read by whoever has one. */
@Controller
class CardsController {

  private static final String LEVELS = "levels";

  /** What is not planned by then is named as being worked out; it goes on meanwhile. */
  private static final Duration PATIENCE = Duration.ofSeconds(4);

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final CardStore store;
  private final CardAddresses addresses;
  private final Clock clock;

  CardsController(
      Descriptions rigs,
      States states,
      JobDesk desk,
      CardStore store,
      CardAddresses addresses,
      Clock clock) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.store = store;
    this.addresses = addresses;
    this.clock = clock;
  }

  /**
   * A card in the owner's list.
   *
   * @param until until when it holds, in words; empty for until it is withdrawn
   * @param over whether its link shows nothing any more
   */
  record Row(String token, String name, String link, QrCode code, String until, boolean over) {}

  @GetMapping("/rigs/{id}/cards")
  String cards(@PathVariable String id, HttpServletRequest request, Model model) {
    OpenRig rig = rigs.open(id);
    String base = addresses.chosen(request) + "/c/";
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("jobs", desk.book(rig).offered());
    model.addAttribute(
        "cards",
        store.all(id).stream()
            .map(c ->
                new Row(
                    c.token(),
                    c.name(),
                    base + c.token(),
                    QrCode.of(base + c.token()),
                    c.expires().map(e -> e.atZone(clock.getZone()).format(DAY)).orElse(""),
                    c.withdrawn() || c.expires().filter(clock.instant()::isAfter).isPresent()))
            .toList());
    model.addAttribute("address", addresses.chosen(request));
    model.addAttribute("addresses", addresses.offered(request));
    model.addAttribute("alone", addresses.isOfThisMachineOnly(request));
    return "jobs/cards";
  }

  @PostMapping("/rigs/{id}/cards")
  String make(
      @PathVariable String id,
      @RequestParam String name,
      @RequestParam(defaultValue = "") List<String> shows,
      @RequestParam(defaultValue = "") String until) {
    store.make(rigs.open(id).id(), name, shows, end(until));
    return "redirect:/rigs/" + id + "/cards";
  }

  /** The end of a day, as a date field sends it. */
  private Optional<Instant> end(String until) {
    if (until.isBlank()) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          LocalDate.parse(until.strip()).plusDays(1).atStartOfDay(clock.getZone()).toInstant());
    } catch (DateTimeException e) {
      throw new Refusal(Says.THE_DAY_IS_NOT_READABLE.with());
    }
  }

  @PostMapping("/rigs/{id}/cards/address")
  String address(@PathVariable String id, @RequestParam String address) {
    addresses.choose(address);
    return "redirect:/rigs/" + id + "/cards";
  }

  @PostMapping("/rigs/{id}/cards/{token}/withdraw")
  String withdraw(@PathVariable String id, @PathVariable String token) {
    store.withdraw(rigs.open(id).id(), token);
    return "redirect:/rigs/" + id + "/cards";
  }

  @GetMapping("/c/{token}")
  String card(@PathVariable String token, @ModelAttribute("units") Units units, Model model) {
    CardStore.Card card =
        store.holding(token).orElseThrow(() -> new Missing(Says.THIS_CARD_WAS_WITHDRAWN.text()));
    OpenRig rig = rigs.open(card.rig());
    JobBook book = desk.book(rig);
    State now = states.of(rig).state();
    List<JobView> jobs = new ArrayList<>();
    List<String> waiting = new ArrayList<>();
    long end = System.nanoTime() + PATIENCE.toNanos();
    for (Job job : book.offered(j -> card.shows().contains(j.id())).toList()) {
      Duration left = Duration.ofNanos(Math.max(0, end - System.nanoTime()));
      desk.plan(rig, job.id(), now, left)
          .ifPresentOrElse(
              plan -> jobs.add(JobView.of(rig, book, plan, List.of(), units)),
              () -> waiting.add(units.say(job.name())));
    }
    model.addAttribute("waiting", waiting);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("for", card.name());
    model.addAttribute("jobs", jobs);
    model.addAttribute("shows", card.shows().contains(LEVELS));
    model.addAttribute(
        "tanks", rig.network().tanks().stream().map(t -> tank(rig, now, t, units)).toList());
    model.addAttribute(
        "warnings",
        Outlook.of(rig, now).warnings().stream()
            .filter(w -> w.severity() != Severity.NOTE)
            .map(Warning::title)
            .toList());
    return "jobs/card";
  }

  private static String tank(OpenRig rig, State now, Part tank, Units units) {
    double volume = now.volume(tank.id());
    return "%s: %s of %s"
        .formatted(
            tank.label(),
            units.show(Measure.VOLUME, volume),
            units.show(Measure.VOLUME, rig.network().room(tank.id()).capacity()));
  }
}
