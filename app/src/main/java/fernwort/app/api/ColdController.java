package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Winters;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.Procedure;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What stays in a rig that is drained. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
class ColdController {

  private static final int MOST_STEPS = 500;

  private final Descriptions rigs;
  private final Winters winters;

  ColdController(Descriptions rigs, Winters winters) {
    this.rigs = rigs;
    this.winters = winters;
  }

  /**
   * What is done to a rig that is at rest and full.
   *
   * @param steps in order
   * @param slope how it stands (degrees); level when left out
   * @param emptyTanks ids of the tanks that are empty already
   */
  record Asked(
      Optional<List<Turn>> steps,
      Optional<Overlay.Lean> slope,
      @JsonProperty("empty_tanks") Optional<List<String>> emptyTanks) {}

  /** What stays, in m³ by id. */
  record Left(Map<String, Double> lines, Map<String, Double> bodies, Map<String, Double> tanks) {}

  @PostMapping({"/winter/residual", "/cold/left"})
  @Operation(summary = "What stays in lines, bodies and tanks after some steps of draining")
  Left left(@PathVariable String id, @RequestBody Asked asked) {
    OpenRig rig = rigs.open(id);
    List<Turn> steps = asked.steps().orElse(List.of());
    if (steps.size() > MOST_STEPS) {
      throw new Refusal(Says.A_PROCEDURE_HAS_AT_MOST_STEPS.with(MOST_STEPS));
    }
    Slope slope = asked.slope().map(Overlay.Lean::slope).orElse(Slope.LEVEL);
    Map<PartId, Double> volumes = new HashMap<>();
    rig.network().tanks().forEach(t -> volumes.put(t.id(), rig.network().room(t.id()).capacity()));
    for (String tank : asked.emptyTanks().orElse(List.of())) {
      if (!rig.rig().part(PartId.of(tank)).kind().is(Purpose.HOLDS)) {
        throw new Refusal(
            Says.IS_NOT_A_TANK_NAME_TANKS.with(rig.rig().part(PartId.of(tank)).label()));
      }
      volumes.put(PartId.of(tank), 0.0);
    }
    State state = new State(rig.rig().atRest(), volumes, slope);
    return of(rig, Procedure.run(rig.network(), Filled.of(rig.network(), state), steps));
  }

  /**
   * What a method makes of a rig as it stands: words in metric units, amounts in SI.
   *
   * @param method gravity, blow-out, antifreeze or combined
   * @param school the same by its older name: fall, air, antifreeze or mix
   */
  record Planned(
      String method,
      String school,
      String title,
      List<Stepped> steps,
      List<FrostRisk> left,
      double seconds,
      long places,
      @JsonProperty("antifreeze_m3") double antifreeze,
      List<String> notes) {}

  /**
   * A step: what one hand does to one part.
   *
   * @param kind taps, valves, caps, pump, undo, refit, tilt, cup, carry, adapter, jug, run, wait or
   *     other
   * @param off whether an adapter or jug comes off
   * @param volume what runs (m³)
   * @param group number of the act that it belongs to: what is done in one go at one place
   */
  record Stepped(
      String place,
      String part,
      String to,
      String kind,
      boolean off,
      double seconds,
      double volume,
      int group,
      String words,
      String why) {}

  private static List<Stepped> stepped(List<WinterStep> steps) {
    List<Integer> groups = Groups.of(steps);
    List<Stepped> told = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      WinterStep step = steps.get(i);
      WinterStep.Hand hand =
          step.hand().orElse(WinterStep.Hand.of(PartId.NONE, WinterStep.Sort.OTHER));
      told.add(
          new Stepped(
              step.place().value(),
              hand.part().value(),
              step.to().value(),
              hand.sort().name().toLowerCase(Locale.ROOT),
              hand.off(),
              step.seconds(),
              hand.volume(),
              groups.get(i),
              step.words().toString(),
              step.why().toString()));
    }
    return told;
  }

  /** How the rig is woken. */
  record Woken(List<Stepped> steps, double seconds, List<String> notes) {}

  @GetMapping({"/winter/spring", "/cold/spring"})
  @Operation(summary = "How the rig is de-winterized from how the autumn left it, step by step")
  Woken spring(@PathVariable String id) {
    WinterPlan plan = winters.spring(rigs.open(id));
    return new Woken(
        stepped(plan.steps()),
        plan.seconds(),
        plan.notes().stream().map(Message::toString).toList());
  }

  /**
   * A part that would shorten the winter.
   *
   * @param words what to fit, in metric units
   * @param parts ids of the parts that it is fitted at
   * @param acts how many acts fewer
   * @param antifreeze how much less antifreeze (m³)
   * @param seconds how much sooner (s)
   */
  record Shorter(
      String words,
      List<ElementId> parts,
      int acts,
      @JsonProperty("antifreeze_m3") double antifreeze,
      double seconds) {}

  @GetMapping({"/winter/shorter/{method}", "/cold/shorter/{method}"})
  @Operation(summary = "The one part that would shorten a winterizing method, or none")
  List<Shorter> shorter(@PathVariable String id, @PathVariable String method) {
    WinterizingMethod way =
        WinterizingMethod.named(method)
            .orElseThrow(() -> new Refusal(Says.THERE_IS_NO_METHOD_USE_GRAVITY.with(method)));
    return winters.shorter(rigs.open(id), way, WinterWish.USUAL).stream()
        .map(f ->
            new Shorter(f.words().toString(), f.parts(), f.acts(), f.antifreeze(), f.seconds()))
        .toList();
  }

  @GetMapping({"/winter/methods", "/cold/plans"})
  @Operation(summary = "Every winterizing method, step by step, with what stays and what breaks")
  List<Planned> plans(@PathVariable String id) {
    return winters.plans(rigs.open(id), WinterWish.USUAL).stream()
        .map(p ->
            new Planned(
                p.school().word(),
                p.school().name().toLowerCase(Locale.ROOT),
                p.school().title(),
                stepped(p.steps()),
                p.left(),
                p.seconds(),
                p.places(),
                p.litres(),
                p.notes().stream().map(Message::toString).toList()))
        .toList();
  }

  private static Left of(OpenRig rig, Wintering after) {
    Map<String, Double> lines = new TreeMap<>();
    for (Line line : rig.rig().lines()) {
      lines.put(line.id().value(), after.wetness().volume(line));
    }
    Map<String, Double> bodies = new TreeMap<>();
    Map<String, Double> tanks = new TreeMap<>();
    for (Part part : rig.rig().parts()) {
      if (part.kind().is(Purpose.HOLDS)) {
        tanks.put(part.id().value(), after.state().volume(part.id()));
      } else {
        bodies.put(part.id().value(), after.wetness().body(part.id()));
      }
    }
    return new Left(lines, bodies, tanks);
  }
}
