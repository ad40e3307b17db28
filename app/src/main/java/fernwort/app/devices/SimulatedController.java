package fernwort.app.devices;

import fernwort.app.live.LiveDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.sim.SimulatedDevice;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.core.id.PartId;
import fernwort.core.rig.Rig;
import fernwort.core.sim.Mishap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The page on which a simulated rig is made to leak, stick, lie, freeze and lose power. */
@Controller
@RequestMapping("/rigs/{id}/devices/simulated")
class SimulatedController {

  private static final String PAGE = "redirect:/rigs/%s/devices/simulated";
  private static final double LITRE = 1e-3;
  private static final double KELVIN = 273.15;
  private static final int DAY = 86_400;
  private static final int HOUR = 3600;
  private static final int MINUTE = 60;
  private static final List<Integer> SPEEDS = List.of(1, 10, 60, 600);

  private final Descriptions rigs;
  private final LiveDesk live;
  private final JsonMapper mapper;

  SimulatedController(Descriptions rigs, LiveDesk live, JsonMapper mapper) {
    this.rigs = rigs;
    this.live = live;
    this.mapper = mapper;
  }

  /** What a mishap can be done to. */
  record Choice(String id, String label) {}

  /**
   * A mishap as a row.
   *
   * @param on what it is done to now, in words; empty while it does not happen
   * @param choices what it can be done to; one without a name for all of the rig
   */
  record Row(String name, String words, boolean happens, String on, List<Choice> choices) {}

  /** A tank as it really is. */
  record Tank(String label, String holds) {}

  @GetMapping
  String page(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("speeds", SPEEDS);
    Optional<SimulatedDevice.Truth> truth = live.simulated(id).flatMap(t -> truth(t, rig.rig()));
    model.addAttribute("there", truth.isPresent());
    truth.ifPresent(t -> {
      model.addAttribute("clock", clock(t.time()));
      model.addAttribute("speed", (int) t.speed());
      model.addAttribute("outside", units.show(Measure.TEMPERATURE, t.outside() + KELVIN));
      model.addAttribute(
          "tanks",
          t.litres().entrySet().stream()
              .map(e ->
                  new Tank(
                      rig.rig().part(e.getKey()).label(),
                      units.show(Measure.VOLUME, e.getValue() * LITRE)))
              .toList());
      model.addAttribute("rows", rows(rig, t, units));
    });
    return "live/simulated";
  }

  /** Anybody at the broker can say anything: what is not about this rig is nothing. */
  private Optional<SimulatedDevice.Truth> truth(String said, Rig rig) {
    try {
      SimulatedDevice.Truth truth = mapper.readValue(said, SimulatedDevice.Truth.class);
      boolean ofThis =
          truth.litres() != null
              && truth.choices() != null
              && truth.mishaps() != null
              && rig.partsById().keySet().containsAll(truth.litres().keySet());
      return ofThis ? Optional.of(truth) : Optional.empty();
    } catch (JacksonException e) {
      return Optional.empty();
    }
  }

  private List<Row> rows(OpenRig open, SimulatedDevice.Truth truth, Units units) {
    Rig rig = open.rig();
    Map<String, String> sensors =
        live.signals(open.id()).stream()
            .collect(
                Collectors.toMap(s -> s.name(), s -> SignalRow.of(s, rig, false, units).what()));
    List<Row> rows = new ArrayList<>();
    for (Mishap mishap : Mishap.values()) {
      List<Choice> choices =
          truth.choices().getOrDefault(mishap.written(), List.of()).stream()
              .map(c -> new Choice(c, label(rig, mishap, c, sensors)))
              .toList();
      Set<String> on = truth.mishaps().getOrDefault(mishap.written(), Set.of());
      rows.add(
          new Row(
              mishap.written(),
              mishap.words(),
              !on.isEmpty(),
              on.stream()
                  .map(o -> label(rig, mishap, o, sensors))
                  .filter(l -> !l.isEmpty())
                  .collect(Collectors.joining(", ")),
              choices));
    }
    return rows;
  }

  private static String label(Rig rig, Mishap mishap, String id, Map<String, String> sensors) {
    return switch (mishap.on()) {
      case LINE ->
          rig.lines().stream()
              .filter(l -> l.id().value().equals(id))
              .map(l -> l.label())
              .findFirst()
              .orElse(id);
      case MOTOR, PUMP ->
          Optional.ofNullable(rig.partsById().get(PartId.of(id))).map(p -> p.label()).orElse(id);
      case SENSOR -> sensors.getOrDefault(id, id);
      case ALL -> "";
    };
  }

  private static String clock(double time) {
    int seconds = (int) time;
    return Says.DAY_AND_TIME.filled(
        seconds / DAY + 1,
        String.format(Locale.ROOT, "%02d:%02d", seconds % DAY / HOUR, seconds % HOUR / MINUTE));
  }

  /** Something goes wrong with it. */
  @PostMapping("/begin")
  String begin(
      @PathVariable String id,
      @RequestParam String mishap,
      @RequestParam(defaultValue = "") String on,
      RedirectAttributes done) {
    Mishap meant = known(mishap);
    live.tellSimulated(id, "mishap/" + meant.written(), on.isEmpty() ? "all" : on);
    Done.say(done, Says.IT_IS_TOLD.text());
    return PAGE.formatted(id);
  }

  /** It is well again. */
  @PostMapping("/end")
  String end(@PathVariable String id, @RequestParam String mishap, RedirectAttributes done) {
    live.tellSimulated(id, "mishap/" + known(mishap).written(), "");
    Done.say(done, Says.IT_IS_TOLD.text());
    return PAGE.formatted(id);
  }

  /** Its time runs faster or slower. */
  @PostMapping("/speed")
  String speed(@PathVariable String id, @RequestParam int speed, RedirectAttributes done) {
    live.tellSimulated(id, "speed", Integer.toString(speed));
    Done.say(done, Says.IT_IS_TOLD.text());
    return PAGE.formatted(id);
  }

  private static Mishap known(String mishap) {
    return Mishap.of(mishap)
        .orElseThrow(() ->
            new fernwort.core.say.Refusal(
                Says.NO_SUCH_MISHAP.with(
                    mishap,
                    Arrays.stream(Mishap.values())
                        .map(Mishap::written)
                        .collect(Collectors.joining(", ")))));
  }
}
