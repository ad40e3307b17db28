package fernwort.app.devices;

import fernwort.app.live.LiveAnswers;
import fernwort.app.live.LiveDesk;
import fernwort.app.live.SignalText;
import fernwort.app.live.StandsAgainst;
import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.security.AccessRecord;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.live.AlarmCode;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page on which sensors and motors are found, bound to the rig and tried. */
@Controller
@RequestMapping("/rigs/{id}/devices")
class RigDevicesController {

  private static final String PAGE = "redirect:/rigs/%s/devices";

  private final Descriptions rigs;
  private final AccessRecord record;
  private final LiveDesk live;

  RigDevicesController(Descriptions rigs, LiveDesk live, AccessRecord record) {
    this.record = record;
    this.rigs = rigs;
    this.live = live;
  }

  /**
   * A property that was found and is bound to nothing yet.
   *
   * @param words device, node and property
   * @param value what it tells, with its unit
   * @param unit in which it tells its number
   * @param settable whether it can be told something
   */
  record FoundRow(String words, String value, String topic, String unit, boolean settable) {}

  /**
   * A sensor that can call at a mark.
   *
   * @param sign the unit that its marks are typed in
   * @param marks its marks in words; empty for none
   */
  record MarkRow(String name, String what, String sign, String marks) {}

  private List<MarkRow> marks(OpenRig rig, Units units) {
    return live.signals(rig.id()).stream()
        .filter(s -> SignalKind.of(s.kind()).said(0).isPresent())
        .sorted(Comparator.comparing(s -> SignalKind.of(s.kind())))
        .map(s -> {
          SignalText bound = live.bound(rig.id(), s.name());
          SignalKind kind = SignalKind.of(s.kind());
          return new MarkRow(
              s.name(),
              SignalRow.of(s, rig.rig(), false, units).what(),
              SignalRow.sign(kind, units),
              Stream.of(
                      mark(Says.AT_OR_OVER, kind, bound.alarmAbove(), units),
                      mark(Says.AT_OR_UNDER, kind, bound.alarmBelow(), units))
                  .flatMap(Optional::stream)
                  .collect(Collectors.joining(", ")));
        })
        .toList();
  }

  private static Optional<String> mark(
      Says words, SignalKind kind, @Nullable Double amount, Units units) {
    return Optional.ofNullable(amount).map(a -> words.filled(SignalRow.amount(kind, a, units)));
  }

  /** An alarm that can be switched on and off. */
  record Switch(String code, String words, boolean on) {}

  @GetMapping
  String devices(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String topic,
      @RequestParam(defaultValue = "") String in,
      @RequestParam(defaultValue = "false") boolean settable,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("topic", topic);
    model.addAttribute("in", in);
    model.addAttribute("settable", settable);
    rows(rig, units, model);
    model.addAttribute("simulated", live.simulated(id).isPresent());
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("things", new Things(rig.rig()).byGroup());
    model.addAttribute("signs", Things.In.values());
    model.addAttribute("motors", motors(rig.rig()));
    model.addAttribute("marks", marks(rig, units));
    Set<AlarmCode> off = live.alarmsOff(id);
    model.addAttribute(
        "switches",
        Arrays.stream(AlarmCode.values())
            .map(c -> new Switch(c.name(), c.label(), !off.contains(c)))
            .toList());
    return "live/devices";
  }

  /** What moves on the page, asked for again and again. */
  @GetMapping("/now")
  String now(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    rows(rigs.open(id), units, model);
    model.addAttribute("rig", id);
    return "live/signals";
  }

  /** What each sensor tells, for Today. */
  @GetMapping("/told")
  String told(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    rows(rigs.open(id), units, model);
    return "live/told";
  }

  /** What changes, in the reader's units. */
  @GetMapping(path = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @ResponseBody
  SseEmitter events(@PathVariable String id, @ModelAttribute("units") Units units) {
    Rig rig = rigs.open(id).rig();
    return live.watch(
        id,
        body ->
            body instanceof LiveAnswers.SignalNow signal
                ? SignalRow.of(signal, rig, false, units)
                : body);
  }

  private void rows(OpenRig rig, Units units, Model model) {
    LiveAnswers.Connection connection = live.connection();
    List<LiveAnswers.SignalNow> signals = live.signals(rig.id());
    Set<String> bound =
        signals.stream().map(LiveAnswers.SignalNow::topic).collect(Collectors.toSet());
    Set<String> movable = live.movable(rig.id());
    model.addAttribute("connection", connection);
    model.addAttribute("broker", broker(connection.url()));
    model.addAttribute(
        "signals",
        signals.stream()
            .sorted(Comparator.comparing(s -> SignalKind.of(s.kind())))
            .map(s -> SignalRow.of(s, rig.rig(), movable.contains(s.name()), units))
            .toList());
    model.addAttribute(
        "commands",
        live.commands(rig.id()).stream().limit(1).map(c -> command(rig.rig(), c)).toList());
    model.addAttribute(
        "found",
        live.found().stream()
            .filter(f -> !bound.contains(f.topic()))
            .map(f ->
                new FoundRow(
                    f.device() + ", " + f.node() + ", " + f.property(),
                    f.value().isEmpty() ? "" : (f.value() + " " + f.unit()).strip(),
                    f.topic(),
                    f.unit(),
                    f.settable()))
            .toList());
  }

  /** Returns a broker as people call it. */
  private static String broker(String url) {
    return url.startsWith(BrokerAddress.OWN)
        ? Says.FERNWORTS_OWN_BROKER.filled(url.substring(url.indexOf(':') + 1))
        : url;
  }

  private static String command(Rig rig, LiveAnswers.CommandNow command) {
    return Says.COMMAND.filled(
        rig.part(PartId.of(command.part())).label(),
        rig.position(PartId.of(command.part()), PositionId.of(command.position())).words(),
        command.state());
  }

  private static List<Part> motors(Rig rig) {
    return rig.parts().stream().filter(p -> p.kind().setsItself() && p.hasHandle()).toList();
  }

  @PostMapping("/broker")
  String connect(
      @PathVariable String id,
      @RequestParam String url,
      @RequestParam(defaultValue = "") String user,
      @RequestParam(defaultValue = "") String password,
      @RequestParam(defaultValue = "") String ca,
      @RequestParam(defaultValue = "false") boolean own,
      HttpServletRequest request,
      RedirectAttributes done) {
    LiveAnswers.Connection now =
        live.connect(
            own ? BrokerAddress.OWN : url,
            user,
            password.isEmpty() ? null : password,
            ca.isBlank() ? null : ca);
    record.add(AccessRecord.What.BROKER, request.getRemoteAddr());
    Done.say(
        done,
        now.url().isEmpty()
            ? Says.DISCONNECTED.text()
            : Says.CONNECTING_TO.filled(broker(now.url())));
    return PAGE.formatted(id);
  }

  /** Which alarms are on; what is not among them is off. */
  @PostMapping("/alarms")
  String alarms(
      @PathVariable String id,
      @RequestParam(defaultValue = "") Set<String> on,
      RedirectAttributes done) {
    Set<AlarmCode> off = EnumSet.allOf(AlarmCode.class);
    off.removeIf(c -> on.contains(c.name()));
    live.switchAlarmsOff(id, off);
    Done.say(done, Says.ALARMS_ARE_SAVED.text());
    return PAGE.formatted(id);
  }

  /** Sets the marks at which a sensor calls; two empty fields take them away. */
  @PostMapping("/marks")
  String marks(
      @PathVariable String id,
      @RequestParam String signal,
      @RequestParam(defaultValue = "") String above,
      @RequestParam(defaultValue = "") String below,
      @ModelAttribute("units") Units units,
      RedirectAttributes done) {
    SignalText bound = live.bound(id, signal);
    SignalKind kind = SignalKind.of(String.valueOf(bound.kind()));
    Double high = SignalRow.parsed(kind, above, units);
    Double low = SignalRow.parsed(kind, below, units);
    LiveAnswers.SignalNow now = live.bind(id, signal, bound.marked(high, low));
    Done.say(
        done,
        Says.MARKS_ARE_SAVED.filled(SignalRow.of(now, rigs.open(id).rig(), false, units).what()));
    return PAGE.formatted(id);
  }

  @PostMapping("/signals")
  String bind(
      @PathVariable String id,
      @RequestParam String thing,
      @RequestParam String topic,
      @RequestParam(defaultValue = "") String pointer,
      @RequestParam(defaultValue = "") String in,
      @RequestParam(defaultValue = "") String height,
      @RequestParam(defaultValue = "") String wet,
      @RequestParam(defaultValue = "") String command,
      @RequestParam Map<String, String> all,
      @ModelAttribute("units") Units units,
      RedirectAttributes done) {
    OpenRig rig = rigs.open(id);
    Things things = new Things(rig.rig());
    Optional<Double> high =
        height.isBlank()
            ? Optional.empty()
            : Optional.of(units.parse(Says.GIVE_THE_HEIGHT.text(), Measure.LENGTH, height));
    Things.Entered entered =
        new Things.Entered(
            thing,
            topic,
            pointer,
            in,
            high.orElse(null),
            wet,
            command,
            texts(rig.rig(), thing, all),
            all.getOrDefault("lost-" + thing.substring(thing.lastIndexOf('|') + 1), ""));
    Set<String> taken =
        live.signals(id).stream().map(LiveAnswers.SignalNow::name).collect(Collectors.toSet());
    String name = things.name(entered, taken);
    LiveAnswers.SignalNow bound = live.bind(id, name, things.text(entered));
    Done.say(done, Says.IS_BOUND.filled(SignalRow.of(bound, rig.rig(), false, units).what()));
    return PAGE.formatted(id);
  }

  /** What is sent for each position of the motor that was chosen, as it was typed. */
  private static Map<PositionId, String> texts(Rig rig, String thing, Map<String, String> all) {
    Map<PositionId, String> texts = new LinkedHashMap<>();
    String part = thing.substring(thing.lastIndexOf('|') + 1);
    if (rig.partsById().containsKey(PartId.of(part))) {
      for (Position position : rig.part(PartId.of(part)).kind().positions()) {
        Optional.ofNullable(all.get("send-" + part + "-" + position.id()))
            .filter(t -> !t.isBlank())
            .ifPresent(t -> texts.put(position.id(), t.strip()));
      }
    }
    return texts;
  }

  @PostMapping("/signals/{name}/remove")
  String unbind(@PathVariable String id, @PathVariable String name, RedirectAttributes done) {
    live.unbind(id, name);
    Done.say(done, Says.IS_NOT_BOUND.filled(name));
    return PAGE.formatted(id);
  }

  /** Asks whether a motor is to move though it is a danger; nothing moves by looking. */
  @GetMapping("/move")
  String ask(
      @PathVariable String id,
      @RequestParam String part,
      @RequestParam String position,
      @ModelAttribute("units") Units units,
      Model model) {
    return live.danger(id, part, position)
        .map(w -> ask(id, part, position, w, units, model))
        .orElse(PAGE.formatted(id));
  }

  private String ask(
      String id, String part, String position, Warning against, Units units, Model model) {
    Rig rig = rigs.open(id).rig();
    model.addAttribute("rig", id);
    model.addAttribute("part", part);
    model.addAttribute("position", position);
    model.addAttribute("label", rig.part(PartId.of(part)).label());
    model.addAttribute("words", rig.position(PartId.of(part), PositionId.of(position)).words());
    model.addAttribute("title", units.say(against.title()));
    model.addAttribute("what", units.say(against.what()));
    model.addAttribute("why", units.say(against.why()));
    model.addAttribute("fix", units.say(against.fix()));
    return "live/move-anyway";
  }

  /** A motor is told to move; what is a danger is asked about first. */
  @PostMapping("/move")
  String move(
      @PathVariable String id,
      @RequestParam String part,
      @RequestParam String position,
      @RequestParam(defaultValue = "false") boolean anyway,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      Model model,
      RedirectAttributes done) {
    Rig rig = rigs.open(id).rig();
    String words = rig.position(PartId.of(part), PositionId.of(position)).words();
    try {
      live.command(id, part, position, anyway, who);
    } catch (StandsAgainst e) {
      return ask(id, part, position, e.warning(), units, model);
    }
    Done.say(done, Says.MOVES.filled(rig.part(PartId.of(part)).label(), words));
    return PAGE.formatted(id);
  }
}
