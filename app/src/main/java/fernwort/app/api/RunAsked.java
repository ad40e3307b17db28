package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.run.Actor;
import fernwort.core.run.WorkList;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A run in time that a program asks for: an overlay, with how long and what hands do meanwhile.
 *
 * @param seconds how long (s)
 * @param acts what hands do
 * @param every how long from sample to sample (s); without it there is one at the end
 * @param dry whether supply lines and bodies begin empty; without it they are as recorded
 */
record RunAsked(
    Optional<Map<String, String>> positions,
    @JsonProperty("volumes_l") Optional<Map<String, Double>> litres,
    Optional<Overlay.Lean> slope,
    double seconds,
    Optional<List<Act>> acts,
    Optional<Double> every,
    Optional<Boolean> dry) {

  private static final double LONGEST = 14 * 86_400.0;
  private static final int MOST_SAMPLES = 5000;
  private static final int MOST_ACTS = 1000;

  /** A hand sets something at a time (s). */
  record Act(double at, String part, String position) {
    Act {
      if (part == null || position == null) {
        throw new Refusal(Says.AN_ACT_LACKS_ITS_PART.with());
      }
    }
  }

  RunAsked {
    if (!(seconds > 0 && seconds <= LONGEST)) {
      throw new Refusal(
          String.format(Locale.ROOT, Says.THE_FIELD_SECONDS_IS_MISSING.text(), LONGEST));
    }
    double last = seconds;
    if (acts.orElse(List.of()).size() > MOST_ACTS) {
      throw new Refusal(Says.TOO_MANY_ACTS_GIVE_UP_TO.with(MOST_ACTS));
    }
    if (acts.orElse(List.of()).stream().anyMatch(a -> !(a.at() >= 0 && a.at() <= last))) {
      throw new Refusal(Says.AN_ACT_IS_OUTSIDE_THE_RUN.with());
    }
    if (every.isPresent() && !(seconds / every.get() <= MOST_SAMPLES && every.get() > 0)) {
      throw new Refusal(Says.EVERY_MAKES_MORE_THAN_SAMPLES.filled(MOST_SAMPLES));
    }
  }

  WorkList hands() {
    return new WorkList(
        acts.orElse(List.of()).stream()
            .map(a ->
                new WorkList.Due(
                    a.at(), new Actor.Act(PartId.of(a.part()), PositionId.of(a.position()))))
            .toList());
  }

  Overlay overlay() {
    return new Overlay(positions, litres, slope);
  }
}
