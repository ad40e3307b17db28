package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.PracticeDesk;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.mistake.Attempts;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs to practise, from handles somebody may have left; nothing of it touches the rig. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}/drills", produces = MediaType.APPLICATION_JSON_VALUE)
class DrillApiController {

  private static final String JOB = "job";
  private static final int MOST_ACTS = 300;
  private static final double LONGEST = 86_400;
  private static final double LITRES = 1000;
  private static final int USUAL = 1;

  private final Descriptions rigs;
  private final PracticeDesk desk;

  DrillApiController(Descriptions rigs, PracticeDesk desk) {
    this.rigs = rigs;
    this.desk = desk;
  }

  /**
   * What is asked for.
   *
   * @param kind job
   * @param person who practises
   * @param hard how many handles stand otherwise than at rest; left out for one
   */
  record Asked(@Nullable String kind, @Nullable String person, @Nullable Integer hard) {}

  /** A drill. */
  record Given(
      String id,
      String kind,
      String person,
      String job,
      String words,
      Map<String, String> positions,
      @JsonProperty("volumes_l") Map<String, Double> litres,
      int best) {}

  /**
   * Something that the learner did: a turn, or a wait.
   *
   * @param at when it was done (s); left out for one after another
   * @param seconds how long it was waited (s)
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Done(
      @Nullable Double at,
      @Nullable String part,
      @Nullable String position,
      @Nullable Double seconds) {}

  /** All that the learner did, in order. */
  record Acts(@Nullable List<Done> acts) {}

  /** What came of it. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Judged(
      boolean passed,
      boolean reached,
      String grade,
      String words,
      int turns,
      int best,
      @Nullable Integer astray,
      List<String> left,
      List<Done> right) {}

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "A job to practise, from handles somebody may have left")
  Given draw(@PathVariable String id, @RequestBody Asked asked) {
    OpenRig rig = rigs.open(id);
    String kind = asked.kind() == null ? JOB : asked.kind();
    if (!kind.equals(JOB)) {
      throw new Refusal(Says.ONLY_JOBS_YET.with(kind));
    }
    PracticeDesk.Open made =
        desk.draw(
            rig,
            asked.person() == null ? "" : asked.person(),
            asked.hard() == null ? USUAL : asked.hard());
    State from = made.drill().from();
    Map<String, Double> litres = new TreeMap<>();
    from.volumes().forEach((tank, v) -> litres.put(tank, v * LITRES));
    return new Given(
        made.id(),
        kind,
        made.person(),
        made.drill().job().id(),
        made.drill().job().title().toString(),
        from.setting().positions(),
        litres,
        made.drill().best());
  }

  @PostMapping("/{drill}/done")
  @Operation(summary = "What came of a drill: reached or not, harm, turns against the best")
  Judged done(@PathVariable String id, @PathVariable String drill, @RequestBody Acts acts) {
    OpenRig rig = rigs.open(id);
    Attempts.Verdict verdict = desk.judge(rig, desk.drill(rig, drill), acts(rig, acts.acts()));
    return new Judged(
        verdict.passed(),
        verdict.reached(),
        verdict.grade().name().toLowerCase(Locale.ROOT),
        verdict.leads().toString(),
        verdict.turns(),
        verdict.best(),
        verdict.astray().orElse(null),
        verdict.left(),
        verdict.right().stream().map(DrillApiController::told).toList());
  }

  private static Done told(Trial.Act act) {
    return switch (act) {
      case Trial.Turned t -> new Done(null, t.part(), t.position(), null);
      case Trial.Pause p -> new Done(null, null, null, p.seconds());
      case Trial.Driven d -> new Done(null, null, null, 0.0);
      case Trial.Serve s -> new Done(null, null, null, 0.0);
    };
  }

  private static List<Trial.Act> acts(OpenRig rig, @Nullable List<Done> done) {
    List<Done> all = new ArrayList<>(done == null ? List.of() : done);
    if (all.size() > MOST_ACTS) {
      throw new Refusal(Says.SO_MANY_ACTS.with(MOST_ACTS));
    }
    if (!all.isEmpty() && all.stream().allMatch(d -> d.at() != null)) {
      all.sort(Comparator.comparingDouble(d -> d.at() == null ? 0 : d.at()));
    }
    List<Trial.Act> acts = new ArrayList<>();
    double now = 0;
    for (Done each : all) {
      if (each.at() != null && each.at() > now) {
        acts.add(new Trial.Pause(within(each.at() - now)));
        now = each.at();
      }
      if (each.part() != null && each.position() != null) {
        rig.rig().position(each.part(), each.position());
        acts.add(new Trial.Turned(each.part(), each.position()));
      } else if (each.seconds() != null) {
        acts.add(new Trial.Pause(within(each.seconds())));
      } else {
        throw new Refusal(Says.AN_ACT_TURNS_OR_WAITS.with());
      }
    }
    return acts;
  }

  private static double within(double seconds) {
    if (!(seconds >= 0 && seconds <= LONGEST)) {
      throw new Refusal(Says.A_WAIT_IS_WITHIN_A_DAY.with());
    }
    return seconds;
  }
}
