package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Reference;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Made-up trips of which it is known when fresh water ended. */
class TripsTest {

  private static final DayShape DAYS = DayShape.in(ZoneOffset.UTC);

  /** How one trip was foretold: the error of what is left, and whether the range held the truth. */
  private record Foretold(double error, boolean held) {}

  private static double seconds(JsonNode at) {
    return Instant.parse(at.asString()).getEpochSecond();
  }

  private static Foretold foretell(JsonNode trip) {
    JsonNode tank = trip.get("tank");
    double area = tank.get("length_m").asDouble() * tank.get("width_m").asDouble();
    double all = area * tank.get("height_m").asDouble();
    double full = area * tank.get("vent_height_m").asDouble();
    int steps = tank.get("sender_steps").asInt();
    List<Fact> facts = new ArrayList<>();
    for (JsonNode event : trip.get("events")) {
      facts.add(
          event.get("what").asString().equals("fill")
              ? new Fact.Set(seconds(event.get("at")), full, GaugeDoubt.FULL * all)
              : new Fact.People(seconds(event.get("at")), event.get("people").asInt()));
    }
    for (JsonNode reading : trip.get("readings")) {
      boolean coarse = steps > 0;
      facts.add(
          new Fact.Seen(
              seconds(reading.get("at")),
              reading.get("litres").asDouble() / 1000,
              coarse ? GaugeDoubt.step(all / steps) : GaugeDoubt.STICK * area,
              coarse));
    }
    double asked = seconds(trip.get("asked_at"));
    double truth = seconds(trip.get("truth_fresh_ends"));
    Store store = new Store(full, area * tank.get("feed_height_m").asDouble(), false);
    Range ends =
        ConsumptionFilter.leaning(
                store,
                Crew.of(DAYS, 1, facts),
                facts,
                trip.get("assumed_litres_per_person_day").asDouble() / 1000,
                asked)
            .ends();
    return new Foretold(
        Math.abs(ends.expected() - truth) / (truth - asked),
        ends.low() <= truth && truth <= ends.high());
  }

  @Test
  void theEndOfFreshWaterIsForetoldOnTripsThatWereReallyMade() {
    List<Foretold> all = Reference.all("trips.json").stream().map(TripsTest::foretell).toList();
    double[] errors = all.stream().mapToDouble(Foretold::error).sorted().toArray();
    double held = 100.0 * all.stream().filter(Foretold::held).count() / all.size();
    assertThat(errors[errors.length / 2]).isLessThanOrEqualTo(0.16);
    assertThat(errors[errors.length * 9 / 10 - 1]).isLessThan(0.45);
    assertThat(held).isBetween(76.0, 90.0);
  }
}
