package fernwort.app.api;

import fernwort.app.services.Descriptions;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.Sleep;
import fernwort.app.services.States;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wetness;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.State;
import fernwort.core.run.water.Dry;
import fernwort.core.ways.FlowPaths;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Every computation for a state that is not the recorded one; nothing of it is kept. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
class WhatIfController {

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final Sleep sleep;

  WhatIfController(Descriptions rigs, States states, JobDesk desk, Sleep sleep) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
    this.sleep = sleep;
  }

  @PostMapping("/flows")
  @Operation(summary = "The steady flow with handles, litres or slope other than recorded")
  FlowAnswer flows(@PathVariable String id, @RequestBody(required = false) Optional<Overlay> body) {
    OpenRig rig = rigs.open(id);
    return FlowAnswer.of(rig.hydraulics(), state(rig, body));
  }

  @PostMapping("/warnings")
  @Operation(summary = "What would go wrong with handles, litres or slope other than recorded")
  List<Warning> warnings(
      @PathVariable String id, @RequestBody(required = false) Optional<Overlay> body) {
    OpenRig rig = rigs.open(id);
    return Outlook.of(rig, state(rig, body)).warnings();
  }

  @PostMapping("/ways")
  @Operation(summary = "What is open with handles, litres or slope other than recorded")
  FlowPaths ways(@PathVariable String id, @RequestBody(required = false) Optional<Overlay> body) {
    OpenRig rig = rigs.open(id);
    return Outlook.of(rig, state(rig, body)).ways();
  }

  @PostMapping("/plan")
  @Operation(summary = "The steps of a job with handles, litres or slope other than recorded")
  JobsApiController.Planned plan(
      @PathVariable String id,
      @RequestParam String job,
      @RequestBody(required = false) Optional<Overlay> body) {
    OpenRig rig = rigs.open(id);
    return JobsApiController.Planned.of(rig.rig(), desk.plan(rig, job, state(rig, body)));
  }

  @PostMapping("/run")
  @Operation(summary = "The rig in time: what happens, and how things stand at the end")
  RunAnswer run(@PathVariable String id, @RequestBody RunAsked body) {
    OpenRig rig = rigs.open(id);
    body.acts()
        .orElse(List.of())
        .forEach(act -> rig.rig().position(PartId.of(act.part()), PositionId.of(act.position())));
    State from = state(rig, Optional.of(body.overlay()));
    Dry dry =
        body.dry()
            .map(begins ->
                begins
                    ? Filled.of(rig.network(), from).with(Wetness.DRY).dry(rig.network())
                    : Dry.NOTHING)
            .orElseGet(() -> sleep.dry(rig));
    return RunAnswer.of(rig, from, dry, body);
  }

  @PostMapping("/tanks")
  @Operation(summary = "Each tank on its slope: litres, usable, stranded, what its gauge shows")
  Map<PartId, TankAnswer> tanks(
      @PathVariable String id, @RequestBody(required = false) Optional<Overlay> body) {
    OpenRig rig = rigs.open(id);
    return TankAnswer.of(rig.network(), state(rig, body));
  }

  private State state(OpenRig rig, Optional<Overlay> body) {
    return body.orElse(Overlay.NONE).on(rig, states.of(rig).state());
  }
}
