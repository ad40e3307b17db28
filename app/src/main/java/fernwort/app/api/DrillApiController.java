package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.PracticeDesk;
import fernwort.core.fault.Fault;
import fernwort.core.fault.Observation;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.mistake.Attempts;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.network.Turn;
import fernwort.core.practice.Drill;
import fernwort.core.practice.Emergency;
import fernwort.core.practice.Exercise;
import fernwort.core.practice.FindIt;
import fernwort.core.practice.WhatIf;
import fernwort.core.say.Refusal;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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

  private static final int MOST_ACTS = 300;
  private static final double LONGEST = 86_400;
  private static final double LITRES = 1000;

  private final Descriptions rigs;
  private final PracticeDesk desk;

  DrillApiController(Descriptions rigs, PracticeDesk desk) {
    this.rigs = rigs;
    this.desk = desk;
  }

  /**
   * What is asked for.
   *
   * @param kind job, what-if, find or emergency; left out for job
   * @param person who practises
   * @param hard how many handles stand otherwise than at rest; left out for more as somebody gets
   *     better
   */
  record Asked(@Nullable String kind, @Nullable String person, @Nullable Integer hard) {}

  /**
   * An exercise. Of a job its name and best turns; of what-if the places to choose from; of find
   * what is seen first; of an emergency the line that is off or leaks, or the tank that runs over.
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Given(
      String id,
      String kind,
      String person,
      @Nullable String job,
      @Nullable String words,
      Map<PartId, PositionId> positions,
      @JsonProperty("volumes_l") Map<String, Double> litres,
      @Nullable Integer best,
      @Nullable List<PartId> places,
      @Nullable Sign sign,
      @Nullable String line,
      @Nullable String tank) {}

  /** Something that is seen, as the call that finds faults takes it. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Sign(
      String kind,
      String part,
      Map<PartId, PositionId> positions,
      @Nullable Double seconds,
      @Nullable String value) {
    static Sign of(Observation o) {
      return new Sign(
          o.kind().written(),
          o.on().value(),
          o.positions(),
          o.seconds().orElse(null),
          o.value().isEmpty() ? null : o.value());
    }
  }

  /** What is named as wrong. */
  record Named(@Nullable String part, @Nullable String fault, @Nullable String position) {}

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

  /**
   * What the learner did or says.
   *
   * @param acts of a job, in order; of an emergency the one turn
   * @param places of what-if: where the water goes
   * @param fault of find: what is wrong
   * @param looks of find: how many looks it took
   */
  record Acts(
      @Nullable List<Done> acts,
      @Nullable List<PartId> places,
      @Nullable Named fault,
      @Nullable Integer looks) {}

  /** What came of an exercise. */
  sealed interface Outcome permits Judged, WhatIfJudged, FindJudged, EmergencyJudged {}

  /** What came of a job. */
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
      List<Done> right)
      implements Outcome {}

  /**
   * What came of what-if.
   *
   * @param missed places to which water goes, and that were not named
   * @param wrong places that were named, and to which none goes
   */
  record WhatIfJudged(boolean passed, List<PartId> missed, List<PartId> wrong) implements Outcome {}

  /**
   * What came of find.
   *
   * @param was what was wrong
   * @param looks how many looks it took
   * @param best how many the finder takes; left out where it is still at it
   */
  record FindJudged(boolean passed, Named was, int looks, @Nullable Integer best)
      implements Outcome {}

  /**
   * What came of an emergency.
   *
   * @param right each single turn that stops it
   * @param taken how long it took (s)
   */
  record EmergencyJudged(boolean passed, List<Done> right, double taken) implements Outcome {}

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "An exercise: a job, what-if, find or an emergency, on a copy of the rig")
  Given draw(@PathVariable String id, @RequestBody Asked asked) {
    OpenRig rig = rigs.open(id);
    PracticeDesk.Kind kind =
        asked.kind() == null ? PracticeDesk.Kind.JOB : PracticeDesk.Kind.of(asked.kind());
    PracticeDesk.Open made =
        desk.draw(
            rig,
            asked.person() == null ? "" : asked.person(),
            kind,
            Optional.ofNullable(asked.hard()));
    Map<String, Double> litres = new TreeMap<>();
    made.exercise().from().volumes().forEach((tank, v) -> litres.put(tank.value(), v * LITRES));
    Exercise exercise = made.exercise();
    return new Given(
        made.id(),
        kind.written(),
        made.person(),
        exercise instanceof Drill d ? d.job().id() : null,
        exercise instanceof Drill d ? d.job().title().toString() : null,
        exercise.from().setting().positions(),
        litres,
        exercise instanceof Drill d ? d.best() : null,
        exercise instanceof WhatIf w ? w.choices() : null,
        exercise instanceof FindIt f ? Sign.of(f.sign()) : null,
        exercise instanceof Emergency e && !isOver(e) ? e.on().value() : null,
        exercise instanceof Emergency e && isOver(e) ? e.on().value() : null);
  }

  private static boolean isOver(Emergency emergency) {
    return emergency.mishap() == Emergency.Mishap.RUNS_OVER;
  }

  @PostMapping("/{drill}/done")
  @Operation(summary = "What came of an exercise: passed or not, and the right way")
  Outcome done(@PathVariable String id, @PathVariable String drill, @RequestBody Acts acts) {
    OpenRig rig = rigs.open(id);
    PracticeDesk.Open made = desk.exercise(rig, drill);
    return switch (made.exercise()) {
      case Drill d -> job(desk.judge(rig, made, acts(rig, acts.acts())));
      case WhatIf w -> {
        WhatIf.Verdict verdict =
            w.judge(new HashSet<>(acts.places() == null ? List.of() : acts.places()));
        desk.remember(made, verdict.passed());
        yield new WhatIfJudged(verdict.passed(), verdict.missed(), verdict.wrong());
      }
      case FindIt f -> found(rig, made, f, acts);
      case Emergency e -> {
        List<Trial.Act> turned = acts(rig, acts.acts());
        boolean right =
            turned.size() == 1
                && turned.getFirst() instanceof Trial.Turned t
                && e.isRight(new Turn(t.part(), t.position()));
        double taken = desk.taken(made);
        boolean passed = right && taken <= Emergency.IN_TIME;
        desk.remember(made, passed);
        yield new EmergencyJudged(
            passed,
            e.right().stream()
                .map(t -> new Done(null, t.part().value(), t.position().value(), null))
                .toList(),
            taken);
      }
    };
  }

  private Outcome found(OpenRig rig, PracticeDesk.Open made, FindIt hidden, Acts acts) {
    Named named = acts.fault();
    if (named == null || named.part() == null || named.fault() == null) {
      throw new Refusal(Says.NAME_THE_FAULT.with());
    }
    String on = named.part();
    boolean passed =
        FaultKind.of(named.fault())
            .map(k ->
                new Fault(
                    rig.rig().element(on),
                    k,
                    Optional.ofNullable(named.position()).map(PositionId::of)))
            .filter(f -> desk.isFound(rig, hidden, f))
            .isPresent();
    desk.remember(made, passed);
    Fault was = hidden.fault();
    return new FindJudged(
        passed,
        new Named(
            was.on().value(),
            was.kind().written(),
            was.position().map(PositionId::value).orElse(null)),
        acts.looks() == null ? 0 : acts.looks(),
        desk.best(made).orElse(null));
  }

  /**
   * What is looked at in find.
   *
   * @param kind what is looked at
   * @param part the part, line or place
   * @param positions what is turned for it
   * @param seconds after how long (s)
   */
  record Looked(
      @Nullable String kind,
      @Nullable String part,
      @Nullable Map<PartId, PositionId> positions,
      @Nullable Double seconds) {}

  @PostMapping("/{drill}/look")
  @Operation(summary = "What is seen in find when something is looked at")
  Sign look(@PathVariable String id, @PathVariable String drill, @RequestBody Looked looked) {
    OpenRig rig = rigs.open(id);
    PracticeDesk.Open made = desk.exercise(rig, drill);
    if (!(made.exercise() instanceof FindIt hidden)) {
      throw new Refusal(Says.NOTHING_IS_HIDDEN.with());
    }
    if (looked.kind() == null || looked.part() == null) {
      throw new Refusal(Says.NOTHING_IS_HIDDEN.with());
    }
    Observation asked =
        new Observation(
                Observation.look(looked.kind()),
                rig.rig().element(looked.part()),
                Observation.UNSURE,
                looked.positions() == null ? Map.of() : looked.positions(),
                Optional.ofNullable(looked.seconds()))
            .checked(rig.rig());
    return Sign.of(asked.seen(desk.see(rig, hidden, asked.seen(""))));
  }

  private static Judged job(Attempts.Verdict verdict) {
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
      case Trial.Turned t -> new Done(null, t.part().value(), t.position().value(), null);
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
        rig.rig().position(PartId.of(each.part()), PositionId.of(each.position()));
        acts.add(new Trial.Turned(PartId.of(each.part()), PositionId.of(each.position())));
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
