package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonAlias;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.core.frost.ColdWater;
import fernwort.core.frost.Cooling;
import fernwort.core.frost.Curve;
import fernwort.core.frost.Night;
import fernwort.core.frost.PipeWall;
import fernwort.core.glycol.Chain;
import fernwort.core.glycol.Element;
import fernwort.core.glycol.FreezingPoint;
import fernwort.core.hygiene.Dose;
import fernwort.core.say.Refusal;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums of winter without a rig: antifreeze, frost, doses. Units stand in the names. */
@RestController
@RequestMapping(value = "/api/v1/cold", produces = MediaType.APPLICATION_JSON_VALUE)
class ColdSumsController {

  private static final double LITRE = 1e-3;
  private static final double MILLILITRE = 1e-6;
  private static final double HOUR = 3600;
  private static final double PERCENT = 0.01;
  private static final int MOST = 500;

  /** Of polyethylene and PEX (W/(m K)). */
  private static final double PEX = 0.40;

  /** A line or a body of the chain. */
  record Link(String is, double litres) {}

  record ChainAsked(
      @JsonProperty("chain_litres") @Nullable List<Link> chain,
      @JsonProperty("strength_percent") double strength,
      @JsonProperty("pushed_litres") double pushed) {}

  record ChainAnswer(
      @JsonProperty("strength_in_each") List<Double> each,
      @JsonProperty("strength_at_outlet") double outlet,
      @JsonProperty("freezing_point_in_each") List<Double> freezing) {}

  @PostMapping("/chain")
  @Operation(summary = "Antifreeze pushed through lines and bodies that are full of water")
  ChainAnswer chain(@RequestBody ChainAsked asked) {
    if (asked.chain() == null || asked.chain().isEmpty() || asked.chain().size() > MOST) {
      throw new Refusal(Says.THE_FIELD_CHAIN_LITRES_NEEDS.with());
    }
    within("strength_percent", asked.strength(), 0, 100);
    within("pushed_litres", asked.pushed(), 0, 1e4);
    Chain chain = new Chain(asked.chain().stream().map(ColdSumsController::element).toList());
    chain.push(asked.pushed() * LITRE, asked.strength() * PERCENT);
    return new ChainAnswer(
        chain.elements().stream().map(e -> e.strength() / PERCENT).toList(),
        chain.atOutlet() / PERCENT,
        chain.elements().stream()
            .map(e -> FreezingPoint.of(e.strength()) - ColdWater.ZERO)
            .toList());
  }

  private static Element element(Link link) {
    within("litres", link.litres(), 0, 1e4);
    return switch (link.is()) {
      case "line" -> new Element.Pipe(link.litres() * LITRE, 0);
      case "body" -> new Element.Vessel(link.litres() * LITRE, 0);
      default -> throw new Refusal(Says.AN_ELEMENT_IS_A_LINE.with(link.is()));
    };
  }

  record PipeAsked(
      @JsonProperty("inside_diameter_m") @JsonAlias("bore_m") double bore,
      @JsonProperty("wall_m") double wall,
      @JsonProperty("insulation_m") double insulation,
      @JsonProperty("film_w_m2k") double film,
      @JsonProperty("start_c") double start,
      @JsonProperty("air_c") double air,
      @JsonProperty("wall_w_mk") Optional<Double> conductivity) {}

  @JsonInclude(JsonInclude.Include.ALWAYS)
  record PipeAnswer(
      @JsonProperty("hours_to_zero") @Nullable Double zero,
      @JsonProperty("hours_to_fifth_ice") @Nullable Double ice) {}

  @PostMapping("/pipe")
  @Operation(summary = "When a full, still line is at 0 °C, and a fifth of it ice")
  PipeAnswer pipe(@RequestBody PipeAsked asked) {
    within("inside_diameter_m", asked.bore(), 1e-4, 1);
    within("wall_m", asked.wall(), 0, 1);
    within("insulation_m", asked.insulation(), 0, 1);
    within("film_w_m2k", asked.film(), 0.01, 1e4);
    within("start_c", asked.start(), 0, 100);
    within("air_c", asked.air(), -90, 100);
    double wall = asked.conductivity().orElse(PEX);
    within("wall_w_mk", wall, 1e-3, 1e3);
    Cooling metre =
        Cooling.pipe(
            new PipeWall(asked.bore(), asked.wall(), wall, asked.insulation()), asked.film());
    double air = asked.air() + ColdWater.ZERO;
    OptionalDouble zero = metre.until(asked.start() + ColdWater.ZERO, air, ColdWater.ZERO);
    OptionalDouble more = metre.untilIce(air, ColdWater.STOPS);
    boolean ices = zero.isPresent() && more.isPresent();
    return new PipeAnswer(
        hours(zero), ices ? (zero.getAsDouble() + more.getAsDouble()) / HOUR : null);
  }

  record TankAsked(
      double litres,
      @JsonProperty("area_m2") double area,
      @JsonProperty("u_w_m2k") double u,
      @JsonProperty("start_c") double start,
      @JsonProperty("air_c") double air,
      @JsonProperty("heating_w") Optional<Double> heating) {}

  @JsonInclude(JsonInclude.Include.ALWAYS)
  record TankAnswer(
      @JsonProperty("hours_to_zero") @Nullable Double zero,
      @JsonProperty("watts_to_hold_2c") double holds) {}

  @PostMapping("/tank")
  @Operation(summary = "When a well-mixed tank is at 0 °C, and what holds it at 2 °C")
  TankAnswer tank(@RequestBody TankAsked asked) {
    within("litres", asked.litres(), 0.01, 1e5);
    within("area_m2", asked.area(), 1e-4, 1e4);
    within("u_w_m2k", asked.u(), 1e-3, 1e4);
    double heating = asked.heating().orElse(0.0);
    within("heating_w", heating, 0, 1e6);
    Cooling tank = new Cooling(asked.litres() * LITRE, asked.area() * asked.u(), heating);
    double air = asked.air() + ColdWater.ZERO;
    return new TankAnswer(
        hours(tank.until(asked.start() + ColdWater.ZERO, air, ColdWater.ZERO)),
        tank.holds(ColdWater.ZERO + 2, air));
  }

  record NightAsked(
      List<Double> hours,
      @JsonProperty("outside_c") List<Double> outside,
      double share,
      @JsonProperty("inside_c") double inside,
      double litres,
      @JsonProperty("ua_w_k") double conductance,
      @JsonProperty("start_c") double start,
      @JsonProperty("heating_w") Optional<Double> heating) {}

  @JsonInclude(JsonInclude.Include.ALWAYS)
  record NightAnswer(
      @JsonProperty("lowest_c") double lowest,
      @JsonProperty("hours_to_zero") @Nullable Double zero,
      @JsonProperty("hours_to_fifth_ice") @Nullable Double ice) {}

  @PostMapping("/night")
  @Operation(summary = "A well-mixed body through a night, in a place that keeps some warmth")
  NightAnswer night(@RequestBody NightAsked asked) {
    if (asked.hours() == null || asked.outside() == null || asked.hours().size() > MOST) {
      throw new Refusal(Says.THE_FIELDS_HOURS_AND_OUTSIDE_C.with());
    }
    within("share", asked.share(), 0, 1);
    within("litres", asked.litres(), 1e-3, 1e5);
    within("ua_w_k", asked.conductance(), 1e-6, 1e6);
    Curve outside =
        new Curve(
            asked.hours().stream().map(h -> h * HOUR).toList(),
            asked.outside().stream().map(t -> t + ColdWater.ZERO).toList());
    Night night =
        Night.of(
            new Cooling(asked.litres() * LITRE, asked.conductance(), asked.heating().orElse(0.0)),
            outside.sheltered(asked.share(), asked.inside() + ColdWater.ZERO),
            asked.start() + ColdWater.ZERO);
    return new NightAnswer(
        night.lowest() - ColdWater.ZERO, hours(night.zero()), hours(night.stops()));
  }

  record DoseAsked(
      double litres,
      @JsonProperty("mg_per_l") double concentration,
      @JsonProperty("g_per_100ml") double strength,
      @JsonProperty("left_litres") double left) {}

  record DoseAnswer(double millilitres, int changes) {}

  @PostMapping("/dose")
  @Operation(summary = "Bleach for a tank, and how often to change its water afterwards")
  DoseAnswer dose(@RequestBody DoseAsked asked) {
    within("litres", asked.litres(), 0.01, 1e5);
    within("mg_per_l", asked.concentration(), 0, 1e4);
    within("g_per_100ml", asked.strength(), 0.01, 100);
    within("left_litres", asked.left(), 0, asked.litres());
    // mg/L is g/m³; g per 100 mL is 10 kg/m³.
    Dose dose =
        Dose.of(
            asked.litres() * LITRE,
            asked.concentration() * LITRE,
            10 * asked.strength(),
            asked.left() * LITRE);
    return new DoseAnswer(dose.bleach() / MILLILITRE, dose.changes());
  }

  private static @Nullable Double hours(OptionalDouble seconds) {
    return seconds.isPresent() ? seconds.getAsDouble() / HOUR : null;
  }

  private static void within(String field, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new Refusal(Says.THE_FIELD_LIES_BETWEEN_AND.with(field, plain(low), plain(high)));
    }
  }

  private static String plain(double number) {
    return number == Math.rint(number) ? Long.toString(Math.round(number)) : "" + number;
  }
}
