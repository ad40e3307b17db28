package fernwort.app.cold;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Marked;
import fernwort.app.questions.NightAir;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.core.drain.Wintering;
import fernwort.core.frost.ColdWater;
import fernwort.core.frost.Curve;
import fernwort.core.frost.FreezeForecast;
import fernwort.core.frost.FrostValve;
import fernwort.core.frost.Shelter;
import fernwort.core.network.Network;
import fernwort.core.rig.Place;
import fernwort.core.say.Refusal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

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
  private final LocalDate date;

  private TonightPage(Trip trip, Wintering now, LocalDate date) {
    this.date = date;
    this.trip = trip;
    this.now = now;
  }

  static List<Question> of(Trip trip, Wintering now, LocalDate date) {
    TonightPage page = new TonightPage(trip, now, date);
    return List.of(page.tonight(), page.share());
  }

  private Question tonight() {
    Form form = trip.form();
    FreezeForecast.Asked asked = NightAir.asked(form, date);
    double stored =
        form.number(
            "night-battery", "Usable battery in the cold", 600, "Wh", "About half its rating.");
    double gas =
        form.number("night-gas", "The heater inside takes", 110, "g of gas an hour", "Its plate.");
    double bottle =
        form.number("night-bottle", "Gas in the bottle", 4, "kg", "Weighed, less its tare.");
    return Question.of(
        "tonight",
        "Which part freezes first tonight",
        form,
        "Worked out from the warmth each place keeps. Until you enter yours under Rig that is a"
            + " guess: 60 % inside, none under the floor. Two thermometers measure it: share = (place −"
            + " outside) ÷ (inside − outside). Leave the gray valve open in frost only where local"
            + " rules permit it. Gas heaters need air, and licensed hands.",
        () -> answer(asked, new Stores(stored, gas, bottle)));
  }

  /** Two thermometers, one night: the share of the warmth that a place keeps. */
  private Question share() {
    Form form = trip.form();
    double outside = temperature(form, "share-outside", "Outside", 268.15);
    double inside = temperature(form, "share-inside", "Inside", 288.15);
    double place = temperature(form, "share-place", "In the place", 278.15);
    return Question.of(
        "share",
        "How warm a place stays, by thermometers",
        form,
        "Read all three at the coldest hour, doors as they are at night. Enter the share in the"
            + " place's form under Rig.",
        () -> {
          if (inside - outside < LEAST_DIFFERENCE) {
            throw new Refusal(
                "Inside and outside are too close to each other; read them on a colder night");
          }
          double share = Math.clamp((place - outside) / (inside - outside), 0, 1);
          return new Question.Answer(
              List.of(
                  new Question.Row(
                      "It keeps",
                      String.format(Locale.ROOT, "%.0f %%", 100 * share),
                      "(place − outside) ÷ (inside − outside)")),
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
            "Down to %s:".formatted(trip.show(Measure.TEMPERATURE, asked.outside().lowest())),
            frozen.isEmpty()
                ? "nothing freezes"
                : "%s freezes first, about %s"
                    .formatted(frozen.getFirst().label(), clock(frozen.getFirst().zero())),
            frozen.isEmpty()
                ? "all of it stays above 0 °C"
                : "a fifth of it is ice %s".formatted(orNever(frozen.getFirst().stops()))));
    rows.add(
        new Question.Row(
            "Safe down to, as it is",
            trip.show(Measure.TEMPERATURE, tonight.coldest()),
            "outside at the lowest, for a night like this one"));
    rows.add(
        new Question.Row(
            "Heat needed to keep it at 2 °C",
            String.format(Locale.ROOT, "%.0f W", tonight.watts()),
            String.format(
                Locale.ROOT,
                "at the coldest hour; %.0f Wh over the night, against %.0f Wh of the battery",
                tonight.energy() / WATT_HOUR,
                stored)));
    FreezeForecast.battery(network, now, asked, stored * WATT_HOUR)
        .ifPresent(end ->
            rows.add(
                new Question.Row(
                    "Held by the battery",
                    "until " + clock(OptionalDouble.of(end.ends())),
                    end.zero().isPresent()
                        ? "then the first part is at 0 °C at " + clock(end.zero())
                        : "what is left then lasts till morning")));
    for (FrostValve valve : FrostValve.tonight(network, now, asked)) {
      rows.add(frostValve(valve));
    }
    rows.add(gas(asked, stores));
    Set<String> first =
        frozen.stream().limit(FIRST).map(FreezeForecast.Exposure::id).collect(Collectors.toSet());
    compare(rows, "Cupboard doors open", FreezeForecast.of(network, now, asked.withDoorsOpen()));
    compare(
        rows,
        "Insulation of %s round every line".formatted(trip.show(Measure.LENGTH, FOAM)),
        FreezeForecast.of(network, now, asked.insulated(FOAM)));
    if (!first.isEmpty()) {
      compare(
          rows, "The first three drained", FreezeForecast.of(network, now, asked.draining(first)));
      double drip =
          frozen.stream().limit(FIRST).mapToDouble(FreezeForecast.Exposure::drip).max().orElse(0);
      rows.add(
          new Question.Row(
              "A tap left dripping through the first three",
              trip.show(Measure.VOLUME, drip * HOUR) + " an hour",
              trip.show(Measure.VOLUME, drip * asked.outside().length())
                  + " over the night; gray has to take it"));
    }
    return new Question.Answer(rows, List.of(table(tonight)), List.of(chart(asked)), List.of())
        .on(drawn(frozen));
  }

  /** What freezes on the drawing, each with its hour; the earliest hours stand out. */
  private static Marked drawn(List<FreezeForecast.Exposure> frozen) {
    Map<String, Marked.Mark> marks = new HashMap<>();
    double first = frozen.stream().mapToDouble(e -> e.zero().orElseThrow()).min().orElse(0);
    for (FreezeForecast.Exposure e : frozen) {
      double later = (e.zero().orElseThrow() - first) / HOUR;
      Marked.Weight weight =
          later < SOON
              ? Marked.Weight.DANGER
              : later < LATE ? Marked.Weight.WARNING : Marked.Weight.NONE;
      String at = clock(e.zero());
      marks.put(e.id(), new Marked.Mark(weight, at, "at 0 °C about " + at));
    }
    return new Marked("what freezes tonight, each with its hour", marks);
  }

  /** The gas that keeps the inside warm through the night, against what is in the bottle. */
  private static Question.Row gas(FreezeForecast.Asked asked, Stores stores) {
    double hours = asked.outside().length() / HOUR;
    double needs = stores.gas() * hours / GRAMS;
    double lasts = stores.gas() > 0 ? stores.bottle() * GRAMS / stores.gas() : hours;
    return new Question.Row(
        "Gas for the night",
        String.format(Locale.ROOT, "%.1f kg", needs),
        String.format(
            Locale.ROOT,
            lasts < hours
                ? "at %.0f g an hour; the %.1f kg there end after %.0f h: then it is as cold as it gets"
                : "at %.0f g an hour, of %.1f kg there, which last %.0f h; a bottle out in frost gives"
                    + " less",
            stores.gas(),
            stores.bottle(),
            lasts));
  }

  /** A valve that opens by itself, with what it lets out. */
  private Question.Row frostValve(FrostValve valve) {
    String when =
        valve.opens().isPresent()
            ? "opens at " + clock(valve.opens())
            : valve.opensBelow().isPresent() ? "stays closed tonight" : "opens without power";
    String below =
        valve
            .opensBelow()
            .map(
                t -> "opens below %s or without power".formatted(trip.show(Measure.TEMPERATURE, t)))
            .orElse("opens without power");
    return new Question.Row(
        valve.valve().label(),
        when,
        "%s, and lets out %s from tanks, heater and lines"
            .formatted(below, trip.show(Measure.VOLUME, valve.loses())));
  }

  private void compare(List<Question.Row> rows, String what, FreezeForecast other) {
    long frozen = other.exposures().stream().filter(e -> e.zero().isPresent()).count();
    rows.add(
        new Question.Row(
            what,
            trip.show(Measure.TEMPERATURE, other.coldest()),
            frozen == 0
                ? "the coldest it then gets; nothing freezes tonight"
                : "safe down to this then; tonight %s parts still reach freezing"
                    .formatted(frozen)));
  }

  private Question.Table table(FreezeForecast tonight) {
    return new Question.Table(
        "In the order in which they freeze",
        List.of("what", "where", "lowest", "at 0 °C", "a fifth ice", "held by"),
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
        String guess = place.warmth().isEmpty() ? ", guessed" : "";
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
        "Temperature of each place through the night",
        Chart.Axis.clock("time"),
        trip.axis("temperature", Measure.TEMPERATURE),
        hours.stream().map(h -> h + NightAir.BEGINS).toList(),
        courses);
  }

  /** The first of some places, and how many more. */
  private static String named(List<String> names) {
    return names.size() < 3
        ? String.join(", ", names)
        : names.getFirst() + " and " + (names.size() - 1) + " more places";
  }

  private Chart.Course course(String name, Chart.Style style, Curve curve, List<Double> hours) {
    return new Chart.Course(
        name,
        style,
        hours.stream().map(h -> trip.units().in(Measure.TEMPERATURE, curve.at(h * HOUR))).toList());
  }

  private static String orNever(OptionalDouble seconds) {
    return seconds.isPresent() ? "at " + clock(seconds) : "not tonight";
  }

  private static String clock(OptionalDouble seconds) {
    return NightAir.clock(seconds.orElse(0));
  }
}
