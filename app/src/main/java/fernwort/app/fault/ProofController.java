package fernwort.app.fault;

import fernwort.app.live.LiveAnswers.SignalNow;
import fernwort.app.live.LiveDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.FaultDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.web.Done;
import fernwort.core.diary.Entry;
import fernwort.core.fault.FaultFinder;
import fernwort.core.fault.FaultWords;
import fernwort.core.fault.Look;
import fernwort.core.fault.Observation;
import fernwort.core.fault.Proof;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.live.SignalKind;
import fernwort.core.live.SignalState;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * The job that proves a repair: it is looked at again, and ticks itself where a sensor can tell.
 */
@Controller
@RequestMapping("/rigs/{id}/fault/proof")
class ProofController {

  private final Descriptions rigs;
  private final States states;
  private final FaultDesk desk;
  private final Diary diary;
  private final LiveDesk live;
  private final Clock clock;

  ProofController(
      Descriptions rigs, States states, FaultDesk desk, Diary diary, LiveDesk live, Clock clock) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.diary = diary;
    this.live = live;
    this.clock = clock;
  }

  /** A handle as it has to stand for the look. */
  record Handle(String label, String place, String position) {}

  /** What was seen, the first thing first. */
  private record Case(OpenRig rig, State noted, List<Observation> seen, FaultWords words) {

    private Observation complaint() {
      return seen.getFirst();
    }
  }

  private Case open(String id, List<String> seen) {
    OpenRig rig = rigs.open(id);
    List<Observation> observations = SeenText.all(seen, rig.rig());
    if (observations.isEmpty()) {
      throw new Refusal(Says.BEGIN_ANEW.with());
    }
    return new Case(rig, states.of(rig).state(), observations, new FaultWords(rig.rig()));
  }

  /** It was mended: from now on it is looked at again. */
  @PostMapping("/begin")
  String begin(
      @PathVariable String id, @RequestParam List<String> seen, RedirectAttributes address) {
    address.addAttribute("since", clock.instant().getEpochSecond());
    address.addAttribute("seen", seen);
    return "redirect:/rigs/" + id + "/fault/proof";
  }

  @GetMapping
  String page(
      @PathVariable String id,
      @RequestParam List<String> seen,
      @RequestParam long since,
      Model model) {
    Case open = open(id, seen);
    model.addAttribute("name", open.rig().rig().name());
    model.addAttribute("handles", handles(open));
    model.addAttribute("ask", open.words().ask(open.complaint()).toString());
    model.addAttribute("was", open.words().seen(open.complaint(), open.complaint().value()));
    watch(open, id, new Told(seen, since), Optional.empty(), model);
    return "fault/proof";
  }

  private static List<Handle> handles(Case open) {
    List<Handle> handles = new ArrayList<>();
    open.complaint()
        .positions()
        .forEach((part, position) -> {
          if (!open.noted().setting().has(part, position)) {
            Part handle = open.rig().rig().part(part);
            handles.add(
                new Handle(
                    handle.label(),
                    open.rig().rig().place(handle.place()).label(),
                    open.rig().rig().position(part, position).words()));
          }
        });
    return handles;
  }

  /** Asked again and again by the page: where the sensor tells that it is gone, it is ticked. */
  @PostMapping("/watch")
  String watch(
      @PathVariable String id,
      @RequestParam List<String> seen,
      @RequestParam long since,
      @ModelAttribute("who") String who,
      Model model) {
    watch(open(id, seen), id, new Told(seen, since), Optional.of(who), model);
    return "fault/proof-watch";
  }

  /**
   * What the address says.
   *
   * @param seen all that was seen
   * @param since when it was mended (s of Unix time)
   */
  private record Told(List<String> seen, long since) {}

  /** Where it is gone, it is noted for whom it may be. */
  private void watch(Case open, String id, Told told, Optional<String> who, Model model) {
    model.addAttribute("rig", id);
    model.addAttribute("told", told.seen());
    model.addAttribute("since", told.since());
    Instant mended = Instant.ofEpochSecond(told.since());
    Optional<SignalNow> sensor = sensor(open.rig(), open.complaint());
    sensor.ifPresent(s -> {
      boolean gone =
          s.state().equals(SignalState.LIVE.written())
              && Proof.isGone(
                  open.complaint(),
                  Duration.between(mended, clock.instant()).toMillis() / 1e3,
                  readings(open.rig(), s, mended),
                  seen(open));
      model.addAttribute("sensor", s.name());
      model.addAttribute("gone", gone);
      if (gone) {
        who.ifPresent(w -> note(open, told, w));
      }
    });
  }

  /** What was found is noted once, however often the page asks. */
  private void note(Case open, Told told, String who) {
    String key = open.rig().id() + told.since() + String.join(" ", told.seen());
    String entry = UUID.nameUUIDFromBytes(key.getBytes(StandardCharsets.UTF_8)).toString();
    desk
        .of(open.rig())
        .find(open.noted(), open.seen(), FaultFinder.Feeling.PLACE_BY_PLACE)
        .likely()
        .stream()
        .findFirst()
        .map(FaultFinder.Likely::fault)
        .map(f -> Says.FOUND.filled(open.words().wrong(f).toString(), open.words().mend(f.kind())))
        .ifPresent(
            n -> diary.add(open.rig(), new Entry(entry, clock.instant(), new Entry.Note(n)), who));
  }

  @PostMapping("/log")
  String log(
      @PathVariable String id,
      @RequestParam List<String> seen,
      @RequestParam long since,
      @ModelAttribute("who") String who,
      RedirectAttributes done) {
    note(open(id, seen), new Told(seen, since), who);
    Done.say(done, Says.IT_IS_IN_THE_LOG.text());
    return "redirect:/rigs/" + id + "/log";
  }

  /** A change that a person would see of the level that is watched (m³). */
  private static double seen(Case open) {
    return open.complaint().kind() == Look.LEVEL
        ? Proof.seen(open.rig().network().room(open.complaint().on().part()).capacity())
        : 0;
  }

  /** The signal that can tell whether something is gone, if there is one. */
  private Optional<SignalNow> sensor(OpenRig rig, Observation complaint) {
    if (!live.isLive(rig.id()) || !Proof.canBeTold(complaint)) {
      return Optional.empty();
    }
    SignalKind kind =
        switch (complaint.kind()) {
          case WET -> SignalKind.LEAK;
          case PUMP -> SignalKind.PUMP;
          default -> SignalKind.LEVEL;
        };
    return live.signals(rig.id()).stream()
        .filter(s -> s.is(kind))
        .filter(s -> isAt(rig.rig(), s, complaint.on()))
        .findFirst();
  }

  /** What lies in a tray or at a part lies in its place, too. */
  private static boolean isAt(Rig rig, SignalNow sensor, ElementId on) {
    return Stream.of(sensor.part(), sensor.tray())
            .filter(Objects::nonNull)
            .anyMatch(p -> p.equals(on.value()) || rig.part(PartId.of(p)).place().equals(on))
        || on.value().equals(sensor.place());
  }

  private List<Proof.Reading> readings(OpenRig rig, SignalNow sensor, Instant mended) {
    List<Proof.Reading> readings = new ArrayList<>();
    for (LiveDesk.Past past : live.history(rig.id(), sensor.name(), mended, clock.instant())) {
      readings.add(reading(past.at(), past.value(), mended));
    }
    if (sensor.at() != null && sensor.value() != null && !sensor.at().isBefore(mended)) {
      readings.add(reading(sensor.at(), sensor.value(), mended));
    }
    return readings;
  }

  private static Proof.Reading reading(Instant at, Object value, Instant mended) {
    double number =
        value instanceof Boolean on ? on ? 1 : 0 : value instanceof Number n ? n.doubleValue() : 0;
    return new Proof.Reading(Duration.between(mended, at).toMillis() / 1e3, number);
  }
}
