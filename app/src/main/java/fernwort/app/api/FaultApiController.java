package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.app.services.Descriptions;
import fernwort.app.services.FaultDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.core.fault.BeforeUndoing;
import fernwort.core.fault.FaultFinder;
import fernwort.core.fault.FaultWords;
import fernwort.core.fault.Observation;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is wrong with a rig, from what was seen; nothing of it is kept. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
class FaultApiController {

  /** Nobody looks at more. */
  private static final int MOST_SEEN = 60;

  private static final double LONGEST = 86_400;

  private final Descriptions rigs;
  private final States states;
  private final FaultDesk desk;

  FaultApiController(Descriptions rigs, States states, FaultDesk desk) {
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
  }

  /**
   * What was seen.
   *
   * @param kind water, warmth, pump, level, drain, wet, bucket, dip, handle, power or inspect
   * @param part the part, line or place that was looked at
   * @param value what was seen there; unsure tells nothing
   * @param positions the handles that stood otherwise
   * @param seconds after how long it was seen
   */
  record Seen(
      @Nullable String kind,
      @Nullable String part,
      @Nullable String value,
      @Nullable Map<PartId, PositionId> positions,
      @Nullable Double seconds) {

    private Observation observation(OpenRig rig) {
      if (kind == null || part == null || value == null) {
        throw new Refusal(Says.AN_OBSERVATION_NEEDS.with());
      }
      if (seconds != null && !(seconds >= 0 && seconds <= LONGEST)) {
        throw new Refusal(Says.SEEN_WITHIN_A_DAY.with());
      }
      return new Observation(
              Observation.look(kind),
              rig.rig().element(part),
              value,
              positions == null ? Map.of() : positions,
              Optional.ofNullable(seconds))
          .checked(rig.rig());
    }
  }

  /**
   * What is asked.
   *
   * @param positions positions of handles as far as anybody knows, by part id
   * @param litres what gauges show, by tank (L)
   */
  record Asked(
      @Nullable Map<String, String> positions,
      @JsonProperty("volumes_l") @Nullable Map<String, Double> litres,
      @Nullable List<Seen> observations) {}

  /** A fault and how likely it is. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Likely(String part, String fault, @Nullable String position, double share, String words) {}

  /** One thing that can be seen, and what it would mean. */
  record Answer(String value, String words) {}

  /** What to look at next. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Next(
      String kind,
      String part,
      @Nullable Map<PartId, PositionId> positions,
      @Nullable Double seconds,
      String words,
      List<Answer> answers) {}

  /**
   * What is likely, and what to look at next.
   *
   * @param first what to do before anything, where a sound rig would show the same as it is noted
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Found(
      @Nullable String first,
      List<Likely> likely,
      @JsonInclude(JsonInclude.Include.ALWAYS) @Nullable Next next) {}

  @PostMapping("/fault")
  @Operation(summary = "What is likely wrong by what was seen, and what to look at next")
  Found fault(@PathVariable String id, @RequestBody Asked asked) {
    OpenRig rig = rigs.open(id);
    List<Seen> seen = asked.observations() == null ? List.of() : asked.observations();
    if (seen.size() > MOST_SEEN) {
      throw new Refusal(Says.SO_MANY_OBSERVATIONS.with(MOST_SEEN));
    }
    State noted =
        new Overlay(
                Optional.ofNullable(asked.positions()),
                Optional.ofNullable(asked.litres()),
                Optional.empty())
            .on(rig, states.of(rig).state());
    List<Observation> observations = new ArrayList<>();
    seen.forEach(s -> observations.add(s.observation(rig)));
    FaultFinder.Finding found =
        desk.of(rig).find(noted, observations, FaultFinder.Feeling.ONE_BY_ONE);
    FaultWords words = new FaultWords(rig.rig());
    return new Found(
        found.asNoted() ? words.asNoted(noted, observations).toString() : null,
        found.likely().stream()
            .map(l ->
                new Likely(
                    l.fault().on().value(),
                    l.fault().kind().written(),
                    l.fault().position().map(PositionId::value).orElse(null),
                    l.share(),
                    words.wrong(l.fault()).toString()))
            .toList(),
        found
            .next()
            .map(n -> next(n, observations, words, BeforeUndoing.of(rig.network(), noted)))
            .orElse(null));
  }

  private static Next next(
      FaultFinder.Next next, List<Observation> seen, FaultWords words, BeforeUndoing before) {
    Observation look = next.look();
    List<Answer> answers = new ArrayList<>();
    new TreeMap<>(next.means())
        .forEach((value, faults) -> answers.add(new Answer(value, words.seen(look, value))));
    answers.add(new Answer(Observation.UNSURE, Says.NOT_SURE.text()));
    return new Next(
        look.kind().written(),
        look.on().value(),
        look.positions().isEmpty() ? null : look.positions(),
        look.seconds().orElse(null),
        String.join(
                " ",
                words.stop(seen, before),
                words.before(look, before),
                words.ask(look).toString())
            .strip()
            .replaceAll(" +", " "),
        answers);
  }
}
