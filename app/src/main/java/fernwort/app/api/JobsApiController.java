package fernwort.app.api;

import fernwort.app.services.Descriptions;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.plan.Offer;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Jobs, plans and slips as JSON in SI units. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}/jobs", produces = MediaType.APPLICATION_JSON_VALUE)
class JobsApiController {

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;

  JobsApiController(Descriptions rigs, States states, JobDesk desk) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
  }

  /**
   * A job in the list.
   *
   * @param trouble what stands in its way whatever the handles, with its fix; empty for nothing
   */
  record Listed(String id, String group, Message title, String by, Message trouble) {
    static Listed of(Offer offer) {
      Job job = offer.job();
      return new Listed(
          job.id(),
          job.kind().group(),
          job.title(),
          job.by(),
          offer.trouble().map(Plan.Trouble::words).orElse(Message.NOTHING));
    }
  }

  /** A plan: its steps in order, and why it cannot be done, empty when it can. */
  record Planned(
      String job,
      List<PlannedStep> steps,
      List<Message> notes,
      List<String> cautions,
      Message trouble) {

    static Planned of(Rig rig, Plan plan) {
      return new Planned(
          plan.job().id(),
          PlannedStep.of(rig, plan),
          plan.notes(),
          plan.job().cautions().stream().map(Caution::words).toList(),
          plan.trouble().map(Plan.Trouble::words).orElse(Message.NOTHING));
    }
  }

  @GetMapping
  @Operation(
      summary =
          "The jobs that the layout allows, and what stands in the way of those that are not safe")
  List<Listed> jobs(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return desk.book(rig).offers().all(states.of(rig).state()).stream().map(Listed::of).toList();
  }

  @GetMapping("/{job}/plan")
  @Operation(summary = "The steps of a job from how the handles and levels are")
  Planned plan(@PathVariable String id, @PathVariable String job) {
    OpenRig rig = rigs.open(id);
    return Planned.of(rig.rig(), desk.plan(rig, job, states.of(rig).state()));
  }

  @GetMapping({"/{job}/mistakes", "/{job}/slips"})
  @Operation(summary = "What every single mistake in a job leads to, the worst first")
  List<Slip> slips(@PathVariable String id, @PathVariable String job) {
    OpenRig rig = rigs.open(id);
    return desk.slips(rig, job, states.of(rig).state());
  }
}
