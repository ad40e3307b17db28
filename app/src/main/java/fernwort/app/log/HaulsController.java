package fernwort.app.log;

import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.budget.Budget;
import fernwort.core.budget.Shortfall;
import fernwort.core.diary.Entry;
import fernwort.core.diary.Paid;
import fernwort.core.hygiene.Upkeep;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Water;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Hauling;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Water runs: how many cans it takes, what they cost, and what water cost before. */
@Controller
@RequestMapping("/rigs/{id}/log")
class HaulsController {

  private static final Map<String, String> USUAL =
      Map.of("days", "3", "can", "20 L", "cans", "2", "carry", "60 kg", "litre", "0", "trip", "0");

  private final Descriptions rigs;
  private final States states;
  private final Diary diary;
  private final JobDesk desk;
  private final Clock clock;

  HaulsController(Descriptions rigs, States states, Diary diary, JobDesk desk, Clock clock) {
    this.rigs = rigs;
    this.states = states;
    this.diary = diary;
    this.desk = desk;
    this.clock = clock;
  }

  /**
   * What water cost at one place.
   *
   * @param each what the reader's unit of it cost
   * @param share that price against the dearest, from 0 to 1
   */
  record Place(String place, String litres, String paid, String each, double share, int times) {}

  @GetMapping("/hauls")
  String hauls(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    Map<String, String> typed = new TreeMap<>(USUAL);
    form.forEach((k, v) -> typed.computeIfPresent(k, (key, was) -> v.strip()));
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("f", typed);
    model.addAttribute("tanks", rig.rig().tanks(Contents.FRESH).toList());
    List<Entry> entries = diary.recent(rig, clock.instant().minus(Upkeep.MEMORY));
    model.addAttribute("places", places(entries, units));
    BudgetView.paid(Paid.byTime(entries), clock.instant().getEpochSecond())
        .ifPresent(chart -> model.addAttribute("cost", chart));
    try {
      model.addAttribute("plan", plan(rig, typed, units));
      model.addAttribute("problem", "");
    } catch (Refusal e) {
      model.addAttribute("plan", List.of());
      model.addAttribute("problem", units.say(e.saying()));
    }
    return "log/hauls";
  }

  private List<String> plan(OpenRig rig, Map<String, String> typed, Units units) {
    Budget budget = diary.budget(rig, clock.instant());
    Shortfall need =
        Shortfall.of(
            budget, Budget.fresh(rig.network(), states.parked(rig)), number(typed, "days", "Days"));
    List<String> rows = new ArrayList<>();
    rows.add(
        Says.TO_FETCH_DAYS_TAKE.filled(
            need.missing() > 0 ? units.show(Measure.VOLUME, need.missing()) : "Nothing",
            typed.getOrDefault("days", ""),
            units.show(Measure.VOLUME, need.used()),
            units.show(Measure.VOLUME, need.there())));
    if (need.missing() <= 0) {
      return rows;
    }
    double can = units.parse(Says.A_CAN.text(), Measure.VOLUME, typed.getOrDefault("can", ""));
    Hauling hauling =
        Hauling.of(
            need.missing(),
            new Hauling.Container(
                can, 0.05 * can * Water.DENSITY, (int) number(typed, "cans", "Cans")),
            units.parse(
                Says.WHAT_YOU_CAN_CARRY.text(), Measure.MASS, typed.getOrDefault("carry", "")),
            number(typed, "litre", Says.THE_PRICE_PER.filled(units.volumeSign()))
                * units.in(Measure.VOLUME, 1),
            number(typed, "trip", Says.THE_PRICE_OF_A_TRIP.text()));
    rows.add(
        Says.CANS_IN_AT_A_TIME.filled(
            hauling.containers(),
            hauling.trips() == 1 ? Says.ONE_TRIP.text() : hauling.trips() + " trips",
            hauling.perTrip(),
            units.show(Measure.MASS, hauling.load())));
    if (hauling.price() > 0) {
      rows.add(Says.IT_COSTS.filled(units.price(BigDecimal.valueOf(hauling.price()))));
    }
    pouring(rig, need.missing(), units).ifPresent(rows::add);
    rows.add(
        need.missing() > need.room()
            ? Says.THE_TANKS_HAVE_ROOM_FOR_NOW_KEEP.filled(units.show(Measure.VOLUME, need.room()))
            : Says.THE_TANKS_HAVE_ROOM_FOR_IT.text());
    return rows;
  }

  /** How long the tank takes to let it in, by the job that pours by hand, run through. */
  private Optional<String> pouring(OpenRig rig, double need, Units units) {
    return desk.book(rig)
        .offered(j -> j.kind().is(Job.Is.BY_HAND))
        .map(j -> desk.plan(rig, j.id(), states.of(rig).state()))
        .filter(p -> p.trouble().isEmpty())
        .flatMap(p -> p.steps().stream())
        .filter(Step.Wait.class::isInstance)
        .map(Step.Wait.class::cast)
        .filter(w -> w.moved() > 0 && w.seconds().isKnown())
        .findFirst()
        .map(w -> w.moved() / w.seconds().expected())
        .map(flow ->
            Says.POURING_IT_IN_TAKES_IN_ALL_AT.filled(
                units.show(Amount.time(need / flow)), units.show(Measure.FLOW, flow)));
  }

  private static double number(Map<String, String> typed, String field, String what) {
    String text = typed.getOrDefault(field, "").replace(',', '.');
    if (!text.matches("[0-9]{1,6}(\\.[0-9]{1,4})?")) {
      throw new Refusal(Says.MUST_BE_A_NUMBER_SUCH_AS_3.with(what));
    }
    return Double.parseDouble(text);
  }

  private static List<Place> places(List<Entry> entries, Units units) {
    List<Paid> paid = Paid.of(entries);
    double dearest =
        paid.stream()
            .flatMap(p -> p.perCubicMetre().stream())
            .mapToDouble(BigDecimal::doubleValue)
            .filter(price -> price > 0)
            .max()
            .orElse(1);
    return paid.stream()
        .map(p ->
            new Place(
                p.place().isEmpty() ? Says.NOT_NOTED.text() : p.place(),
                units.show(Measure.VOLUME, p.volume()),
                units.price(p.price()),
                p.perCubicMetre().map(units::priceOfUnit).orElse("–"),
                p.perCubicMetre().map(BigDecimal::doubleValue).orElse(0.0) / dearest,
                p.times()))
        .toList();
  }
}
