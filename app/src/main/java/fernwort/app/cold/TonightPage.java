package fernwort.app.cold;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Marked;
import fernwort.app.questions.NightAir;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.services.Forecast;
import fernwort.app.units.Measure;
import fernwort.core.drain.Wintering;
import fernwort.core.frost.ColdWater;
import fernwort.core.frost.Curve;
import fernwort.core.frost.FreezeForecast;
import fernwort.core.frost.FrostValve;
import fernwort.core.frost.Shelter;
import fernwort.core.id.ElementId;
import fernwort.core.network.Network;
import fernwort.core.rig.Place;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.util.UriComponentsBuilder;

/** Tonight's frost: what freezes first, and what holds it. */
final class TonightPage {

  private static final double HOUR = 3600;
  private static final double WATT_HOUR = 3600;
  private static final double GRAMS = 1000;
  private static final double FOAM = 0.013;
  private static final int FIRST = 3;

  /** Within so many hours of the first it freezes as good as with it (h). */
  private static final double SOON = 1;

  private static final double LATE = 4;

  /** With less between inside and outside a thermometer's error is the answer (K). */
  private static final double LEAST_DIFFERENCE = 5;

  private static final int MOST_ROWS = 12;

  private final Trip trip;
  private final Wintering now;
  private final Optional<Forecast.Night> forecast;

  private TonightPage(Trip trip, Wintering now, Optional<Forecast.Night> forecast) {
    this.forecast = forecast;
    this.trip = trip;
    this.now = now;
  }

  static List<Question> of(Trip trip, Wintering now, Optional<Forecast.Night> forecast) {
    TonightPage page = new TonightPage(trip, now, forecast);
    return List.of(page.tonight(), page.share());
  }

  private Question tonight() {
    Form form = trip.form();
    FreezeForecast.Asked asked = NightAir.asked(form, forecast);
    double stored =
        form.number(
            "night-battery",
            Says.USABLE_BATTERY_IN_THE_COLD.text(),
            600,
            "Wh",
            Says.ABOUT_HALF_ITS_RATING.text());
    double gas =
        form.number(
            "night-gas",
            Says.THE_HEATER_INSIDE_TAKES.text(),
            110,
            Says.G_OF_GAS_AN_HOUR.text(),
            Says.ITS_PLATE.text());
    double bottle =
        form.number(
            "night-bottle",
            Says.GAS_IN_THE_BOTTLE.text(),
            4,
            "kg",
            Says.WEIGHED_LESS_ITS_TARE.text());
    return Question.of(
        "tonight",
        Says.WHICH_PART_FREEZES_FIRST_TONIGHT.text(),
        form,
        Says.WORKED_OUT_FROM_THE_WARMTH_EACH.text(),
        () -> answer(asked, new Stores(stored, gas, bottle)));
  }

  /** Two thermometers, one night: the share of the warmth that a place keeps. */
  private Question share() {
    Form form = trip.form();
    double outside = temperature(form, "share-outside", "Outside", 268.15);
    double inside = temperature(form, "share-inside", "Inside", 288.15);
    double place = temperature(form, "share-place", Says.IN_THE_PLACE.text(), 278.15);
    return Question.of(
        "share",
        Says.HOW_WARM_A_PLACE_STAYS.text(),
        form,
        Says.READ_ALL_THREE_AT_THE_COLDEST.text(),
        () -> {
          if (inside - outside < LEAST_DIFFERENCE) {
            throw new Refusal(Says.INSIDE_AND_OUTSIDE_ARE_TOO_CLOSE.with());
          }
          double share = Math.clamp((place - outside) / (inside - outside), 0, 1);
          return new Question.Answer(
              List.of(
                  new Question.Row(
                      Says.IT_KEEPS.text(),
                      String.format(Locale.ROOT, "%.0f %%", 100 * share),
                      Says.PLACE_OUTSIDE_INSIDE_OUTSIDE.text())),
              List.of(),
              List.of(),
              List.of());
        });
  }

  private double temperature(Form form, String name, String label, double normal) {
    return form.amount(name, label, Measure.TEMPERATURE, normal, "");
  }

  /**
   * What there is for the night.
   *
   * @param stored what the battery gives (Wh)
   * @param gas what the heater inside takes (g/h)
   * @param bottle gas in the bottle (kg)
   */
  private record Stores(double stored, double gas, double bottle) {}

  private Question.Answer answer(FreezeForecast.Asked asked, Stores stores) {
    double stored = stores.stored();
    Network network = trip.network();
    FreezeForecast tonight = FreezeForecast.of(network, now, asked);
    List<Question.Row> rows = new ArrayList<>();
    List<FreezeForecast.Exposure> frozen =
        tonight.exposures().stream().filter(e -> e.zero().isPresent()).toList();
    rows.add(
        new Question.Row(
            Says.DOWN_TO.filled(trip.show(Measure.TEMPERATURE, asked.outside().lowest())),
            frozen.isEmpty()
                ? Says.NOTHING_FREEZES.text()
                : Says.FREEZES_FIRST_FROM.filled(
                    frozen.getFirst().label(), clock(frozen.getFirst().zero())),
            frozen.isEmpty()
                ? Says.ALL_OF_IT_STAYS_ABOVE_0_C.text()
                : Says.A_FIFTH_OF_IT_IS_ICE.filled(orNever(frozen.getFirst().stops()))));
    rows.add(
        new Question.Row(
            Says.SAFE_DOWN_TO_AS_IT_IS.text(),
            safeDownTo(tonight),
            tonight.coldest().isPresent()
                ? Says.OUTSIDE_AT_THE_LOWEST.text()
                : Says.NO_NIGHT_FREEZES_IT.text()));
    rows.add(
        new Question.Row(
            Says.HEAT_NEEDED_TO_KEEP_IT_AT_2.text(),
            String.format(Locale.ROOT, "%.0f W", tonight.watts()),
            String.format(
                Locale.ROOT,
                Says.AT_THE_COLDEST_HOUR_WH.text(),
                tonight.energy() / WATT_HOUR,
                stored)));
    FreezeForecast.battery(network, now, asked, stored * WATT_HOUR)
        .ifPresent(end ->
            rows.add(
                new Question.Row(
                    Says.HELD_BY_THE_BATTERY.text(),
                    "until " + clock(OptionalDouble.of(end.ends())),
                    end.zero().isPresent()
                        ? Says.THEN_THE_FIRST_PART_IS_AT_0.filled(clock(end.zero()))
                        : Says.WHAT_IS_LEFT_THEN_LASTS_TILL.text())));
    for (FrostValve valve : FrostValve.tonight(network, now, asked)) {
      rows.add(frostValve(valve));
    }
    rows.add(gas(asked, stores));
    Set<ElementId> first =
        frozen.stream().limit(FIRST).map(FreezeForecast.Exposure::id).collect(Collectors.toSet());
    compare(
        rows,
        Says.SAFE_WITH_CUPBOARD_DOORS_OPEN.text(),
        FreezeForecast.of(network, now, asked.withDoorsOpen()));
    compare(
        rows,
        Says.SAFE_WITH_INSULATION.filled(trip.show(Measure.LENGTH, FOAM)),
        FreezeForecast.of(network, now, asked.insulated(FOAM)));
    if (!first.isEmpty()) {
      compare(
          rows,
          Says.SAFE_WITH_THE_FIRST_DRAINED.text(),
          FreezeForecast.of(network, now, asked.draining(first)));
      double drip =
          frozen.stream().limit(FIRST).mapToDouble(FreezeForecast.Exposure::drip).max().orElse(0);
      rows.add(
          new Question.Row(
              Says.A_TAP_LEFT_DRIPPING.text(),
              Says.AN_HOUR.filled(trip.show(Measure.VOLUME, drip * HOUR)),
              Says.OVER_THE_NIGHT_GRAY_HAS_TO_TAKE.filled(
                  trip.show(Measure.VOLUME, drip * asked.outside().length()))));
    }
    return new Question.Answer(rows, List.of(table(tonight)), List.of(chart(asked)), List.of())
        .on(drawn(frozen));
  }

  /** What freezes on the drawing, each with its hour; the earliest hours stand out. */
  private Marked drawn(List<FreezeForecast.Exposure> frozen) {
    Map<String, Marked.Mark> marks = new HashMap<>();
    double first = frozen.stream().mapToDouble(e -> e.zero().orElseThrow()).min().orElse(0);
    for (FreezeForecast.Exposure e : frozen) {
      double later = (e.zero().orElseThrow() - first) / HOUR;
      Marked.Weight weight =
          later < SOON
              ? Marked.Weight.DANGER
              : later < LATE ? Marked.Weight.WARNING : Marked.Weight.NONE;
      String at = clock(e.zero());
      marks.put(e.id().value(), new Marked.Mark(weight, at, Says.AT_0_C_FROM.filled(at)));
    }
    return new Marked(
        Says.WHAT_FREEZES_TONIGHT_EACH.text(),
        marks,
        Optional.of(new Marked.Act(Says.DRAIN_WHAT_FREEZES.text(), draining(frozen))));
  }

  /** Where what freezes is drained, with its tanks ticked, and the lines where any of them does. */
  private String draining(List<FreezeForecast.Exposure> frozen) {
    Set<ElementId> cold =
        frozen.stream().map(FreezeForecast.Exposure::id).collect(Collectors.toSet());
    UriComponentsBuilder drain = UriComponentsBuilder.fromPath("/empty");
    trip.rig()
        .tanks()
        .filter(tank -> cold.remove(tank.id()))
        .forEach(tank -> drain.queryParam("tanks", tank.id().value()));
    return (cold.isEmpty() ? drain : drain.queryParam("lines", true)).toUriString();
  }

  /** The gas that keeps the inside warm through the night, against what is in the bottle. */
  private static Question.Row gas(FreezeForecast.Asked asked, Stores stores) {
    double hours = asked.outside().length() / HOUR;
    double needs = stores.gas() * hours / GRAMS;
    double lasts = stores.gas() > 0 ? stores.bottle() * GRAMS / stores.gas() : hours;
    return new Question.Row(
        Says.GAS_FOR_THE_NIGHT.text(),
        String.format(Locale.ROOT, "%.1f kg", needs),
        String.format(
            Locale.ROOT,
            lasts < hours ? Says.AT_G_AN_HOUR_THE_KG.text() : Says.AT_G_AN_HOUR_OF_KG.text(),
            stores.gas(),
            stores.bottle(),
            lasts));
  }

  /** A valve that opens by itself, with what it lets out. */
  private Question.Row frostValve(FrostValve valve) {
    String when =
        valve.opens().isPresent()
            ? Says.OPENS_AT.filled(clock(valve.opens()))
            : valve.opensBelow().isPresent()
                ? Says.STAYS_CLOSED_TONIGHT.text()
                : Says.OPENS_WITHOUT_POWER.text();
    String below =
        valve
            .opensBelow()
            .map(t -> Says.OPENS_BELOW_OR_WITHOUT_POWER.filled(trip.show(Measure.TEMPERATURE, t)))
            .orElse(Says.OPENS_WITHOUT_POWER.text());
    return new Question.Row(
        valve.valve().label(),
        when,
        Says.AND_LETS_OUT_FROM_TANKS_HEATER.filled(
            below, trip.show(Measure.VOLUME, valve.loses())));
  }

  private String safeDownTo(FreezeForecast night) {
    return night.coldest().isPresent()
        ? trip.show(Measure.TEMPERATURE, night.coldest().getAsDouble())
        : Says.ANY_NIGHT.text();
  }

  private void compare(List<Question.Row> rows, String what, FreezeForecast other) {
    long frozen = other.exposures().stream().filter(e -> e.zero().isPresent()).count();
    rows.add(
        new Question.Row(
            what,
            safeDownTo(other),
            frozen == 0
                ? Says.NOTHING_FREEZES_TONIGHT_THEN.text()
                : Says.STILL_FREEZING_TONIGHT_THEN.filled(frozen)));
  }

  private Question.Table table(FreezeForecast tonight) {
    return new Question.Table(
        Says.IN_THE_ORDER.text(),
        List.of("what", "where", "lowest", "at 0 °C", Says.A_FIFTH_ICE.text(), Says.HELD_BY.text()),
        tonight.exposures().stream()
            .limit(MOST_ROWS)
            .map(e ->
                List.of(
                    e.label(),
                    trip.rig().place(e.place()).label(),
                    trip.show(Measure.TEMPERATURE, Math.max(e.lowest(), 213.15)),
                    orNever(e.zero()),
                    orNever(e.stops()),
                    String.format(Locale.ROOT, "%.1f W", e.watts())))
            .toList());
  }

  private static final List<Chart.Style> PLACES =
      List.of(Chart.Style.EXPECTED, Chart.Style.HIGH, Chart.Style.DASHED, Chart.Style.BROKEN);

  private Chart chart(FreezeForecast.Asked asked) {
    List<Double> hours = new ArrayList<>();
    for (double t = 0; t <= asked.outside().length(); t += HOUR) {
      hours.add(t / HOUR);
    }
    List<Chart.Course> courses = new ArrayList<>();
    courses.add(course("outside", Chart.Style.LOW, asked.outside(), hours));
    courses.add(
        Chart.Course.level(
            "freezing",
            Chart.Style.LIMIT,
            trip.units().in(Measure.TEMPERATURE, ColdWater.ZERO),
            hours.size()));
    // Places that share the warmth share a course.
    Map<String, List<Place>> alike = new LinkedHashMap<>();
    for (Place place : trip.rig().places()) {
      if (trip.rig().parts().stream().anyMatch(p -> p.place().equals(place.id()))) {
        String guess = place.warmth().isEmpty() ? Says.GUESSED.text() : "";
        double share = 100 * Shelter.share(trip.rig(), place);
        alike
            .computeIfAbsent(
                String.format(Locale.ROOT, "%.0f %%%s", share, guess), k -> new ArrayList<>())
            .add(place);
      }
    }
    int drawn = 0;
    for (Map.Entry<String, List<Place>> group : alike.entrySet()) {
      List<String> names = group.getValue().stream().map(Place::label).toList();
      courses.add(
          course(
              "%s (%s)".formatted(named(names), group.getKey()),
              PLACES.get(drawn++ % PLACES.size()),
              FreezeForecast.place(trip.network(), group.getValue().getFirst(), asked),
              hours));
    }
    return new Chart(
        Says.TEMPERATURE_OF_EACH_PLACE.text(),
        Chart.Axis.clock("time"),
        trip.axis("temperature", Measure.TEMPERATURE),
        hours.stream().map(h -> h + NightAir.BEGINS).toList(),
        courses);
  }

  /** The first of some places, and how many more. */
  private static String named(List<String> names) {
    return names.size() < 3
        ? String.join(", ", names)
        : Says.AND_MORE_PLACES.filled(names.getFirst(), (names.size() - 1));
  }

  private Chart.Course course(String name, Chart.Style style, Curve curve, List<Double> hours) {
    return new Chart.Course(
        name,
        style,
        hours.stream().map(h -> trip.units().in(Measure.TEMPERATURE, curve.at(h * HOUR))).toList());
  }

  private static String orNever(OptionalDouble seconds) {
    return seconds.isPresent() ? "at " + clock(seconds) : Says.NOT_TONIGHT.text();
  }

  private static String clock(OptionalDouble seconds) {
    return NightAir.clock(seconds.orElse(0));
  }
}
