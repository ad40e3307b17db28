package fernwort.app.api;

import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.core.hazard.LoadCheck;
import fernwort.core.hazard.Warning;
import fernwort.core.load.Loads;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the water weighs, as JSON. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
class LoadApiController {

  private final Descriptions rigs;
  private final States states;

  LoadApiController(Descriptions rigs, States states) {
    this.rigs = rigs;
    this.states = states;
  }

  /**
   * What the vehicle's supports carry.
   *
   * @param supports from the rear: what each carries, with its limits (kg)
   * @param left how much more lies to the left than to the right (kg)
   * @param margin smallest margin to a limit, negative when one is broken (kg)
   * @param warnings HITCH_LIGHT, HITCH_HEAVY, AXLE_OVER or SIDE
   */
  record LoadAnswer(List<Carries> supports, double left, double margin, List<Warning> warnings) {

    /** A support with what it carries in all and of water, and its limits (kg). */
    record Carries(String label, double load, double water, double lowest, double highest) {}

    static LoadAnswer of(Network network, State state) {
      Loads loads = Loads.of(network, state.volumes());
      var rear = loads.supports().get(0);
      var front = loads.supports().get(1);
      return new LoadAnswer(
          List.of(
              new Carries(
                  rear.label(), loads.onRear(), loads.rear(), rear.lowest(), rear.highest()),
              new Carries(
                  front.label(), loads.onFront(), loads.front(), front.lowest(), front.highest())),
          loads.left(),
          loads.margin(),
          LoadCheck.of(network, state.volumes()));
    }
  }

  @GetMapping("/loads")
  @Operation(summary = "What axles and coupling carry with the water on board, and what is amiss")
  LoadAnswer loads(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return LoadAnswer.of(rig.network(), states.of(rig).state());
  }

  @PostMapping("/loads")
  @Operation(summary = "What axles and coupling carry with litres other than recorded")
  LoadAnswer loads(@PathVariable String id, @RequestBody(required = false) Optional<Overlay> body) {
    OpenRig rig = rigs.open(id);
    State state = body.orElse(Overlay.NONE).on(rig, states.of(rig).state());
    return LoadAnswer.of(rig.network(), state);
  }
}
