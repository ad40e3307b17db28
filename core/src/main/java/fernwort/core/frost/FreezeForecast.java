package fernwort.core.frost;

import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What a night does to the water in a rig: which part is at 0 °C first, which a fifth ice, and what
 * holds them.
 *
 * @param exposures everything that holds water, the first to freeze first
 * @param watts what holds all of it at 2 °C at the coldest hour (W)
 * @param energy what that takes over the night (J)
 * @param coldest the lowest outside temperature of a night like this in which nothing comes to 0 °C
 *     (K); empty where no night brings anything to it
 */
public record FreezeForecast(
    List<Exposure> exposures, double watts, double energy, OptionalDouble coldest) {

  /** What water that is held is held at (K). */
  public static final double HELD = ColdWater.ZERO + 2;

  private static final double HOUR = 3600;

  /** The outside is not looked at further than this from the night's own (K). */
  private static final double FAR = 60;

  private static final double CLOSE = 0.05;

  /**
   * What is asked.
   *
   * @param outside the air's temperature outside
   * @param inside the temperature inside (K)
   * @param wind speed (m/s)
   * @param start temperature of the water at the start (K); as warm as its place and what heats it
   *     make it at most
   * @param doorsOpen whether cupboard doors stand open, so that inside places come near the inside
   * @param moreInsulation put round every line (m)
   * @param drained ids of what is drained for the night
   */
  public record Asked(
      Curve outside,
      double inside,
      double wind,
      double start,
      boolean doorsOpen,
      double moreInsulation,
      Set<ElementId> drained) {
    public Asked {
      drained = Set.copyOf(drained);
    }

    /** Returns the part of the night between two times of its curve (s). */
    Asked during(double from, double to) {
      return new Asked(
          outside.during(from, to), inside, wind, start, doorsOpen, moreInsulation, drained);
    }

    Asked startingAt(double temperature) {
      return new Asked(outside, inside, wind, temperature, doorsOpen, moreInsulation, drained);
    }

    Asked shifted(double by) {
      return new Asked(outside.warmer(by), inside, wind, start, doorsOpen, moreInsulation, drained);
    }

    /** Returns this with the cupboard doors open. */
    public Asked withDoorsOpen() {
      return new Asked(outside, inside, wind, start, true, moreInsulation, drained);
    }

    /** Returns this with more insulation round every line (m). */
    public Asked insulated(double thickness) {
      return new Asked(outside, inside, wind, start, doorsOpen, thickness, drained);
    }

    /** Returns this with some things drained. */
    public Asked draining(Set<ElementId> ids) {
      Set<ElementId> all = new HashSet<>(drained);
      all.addAll(ids);
      return new Asked(outside, inside, wind, start, doorsOpen, moreInsulation, all);
    }
  }

  /**
   * Something that holds water, through the night.
   *
   * @param id id of the line or part
   * @param label what people call it
   * @param place id of its place
   * @param lowest lowest temperature, were there no ice (K)
   * @param zero when it is at 0 °C first (s), if ever
   * @param stops when a fifth of it is ice (s), if ever
   * @param watts what holds it at 2 °C at the coldest hour (W)
   * @param drip water that a tap must let through it to keep it from 0 °C then (m³/s)
   */
  public record Exposure(
      ElementId id,
      String label,
      PlaceId place,
      double lowest,
      OptionalDouble zero,
      OptionalDouble stops,
      double watts,
      double drip) {}

  /** Reckons a night. O(parts · hours). */
  public static FreezeForecast of(Network network, Wintering now, Asked asked) {
    return new Reckoning(network, now, false).night(asked);
  }

  /**
   * A battery that ends in the night.
   *
   * @param ends when (s)
   * @param zero when the first thing is at 0 °C after that (s), if any is
   */
  public record BatteryEnd(double ends, OptionalDouble zero) {}

  /**
   * Returns when a battery that holds everything at 2 °C ends, if it does not last the night.
   *
   * @param stored what it gives in the cold (J)
   */
  public static Optional<BatteryEnd> battery(
      Network network, Wintering now, Asked asked, double stored) {
    return new Reckoning(network, now, false).battery(asked, stored);
  }

  /** The temperature of a place through the night (K). */
  public static Curve place(Network network, Place place, Asked asked) {
    return asked.outside().sheltered(Shelter.share(network.rig(), place, asked), asked.inside());
  }

  /**
   * Reckons a night.
   *
   * @param held whether the water is held at its start's temperature, however cold its place is by
   *     then
   */
  private record Reckoning(Network network, Wintering now, boolean held) {

    FreezeForecast night(Asked asked) {
      List<Exposure> exposures = exposures(asked);
      double watts = exposures.stream().mapToDouble(Exposure::watts).sum();
      return new FreezeForecast(exposures, watts, energy(asked), coldest(asked));
    }

    private List<Exposure> exposures(Asked asked) {
      List<Exposure> all = new ArrayList<>();
      for (Line line : network.rig().lines()) {
        if (now.wetness().volume(line) > 0 && !asked.drained().contains(line.id())) {
          all.add(line(line, asked));
        }
      }
      List<Body> bodies = new ArrayList<>();
      Map<PlaceId, Double> losses = new HashMap<>();
      for (Part part : network.rig().parts()) {
        if (cools(part, asked)) {
          Place place = network.rig().place(part.place());
          Body body = new Body(part, place, Shelter.conductance(network, part, place, asked));
          bodies.add(body);
          losses.merge(place.id(), body.loss(), Double::sum);
        }
      }
      for (Body body : bodies) {
        all.add(body(body, losses.getOrDefault(body.place().id(), 0.0), asked));
      }
      all.sort(
          Comparator.comparingDouble((Exposure e) -> e.zero().orElse(Double.MAX_VALUE))
              .thenComparingDouble(Exposure::lowest));
      return all;
    }

    private Exposure line(Line line, Asked asked) {
      // The colder of the places at its ends: a line freezes where it is coldest.
      Place a = place(line.from().part());
      Place b = place(line.to().part());
      Place place =
          Shelter.share(network.rig(), a, asked) <= Shelter.share(network.rig(), b, asked) ? a : b;
      Cooling metre = Shelter.line(network.rig(), line, place, asked);
      return exposure(line.id(), line.label(), place, metre, line.length(), asked);
    }

    private double held(Part part) {
      return part.kind().is(Purpose.HOLDS)
          ? now.state().volume(part.id())
          : now.wetness().body(part.id());
    }

    /** Tells whether a part holds water that nothing warms. */
    private boolean cools(Part part, Asked asked) {
      boolean heats =
          part.kind().is(Purpose.HEATS)
              && now.state().setting().has(part.id(), PositionId.of("on"));
      return held(part) > 0 && !heats && !asked.drained().contains(part.id());
    }

    /** A part's own water: what it loses per kelvin (W/K). */
    private record Body(Part part, Place place, double loss) {}

    /** The pad or duct of a place warms all bodies in it, each by what it loses. */
    private Exposure body(Body body, double all, Asked asked) {
      double heating = body.place().heating().orElse(0.0) * body.loss() / all;
      return exposure(
          body.part().id(),
          body.part().label(),
          body.place(),
          new Cooling(held(body.part()), body.loss(), heating),
          1,
          asked);
    }

    private Exposure exposure(
        ElementId id, String label, Place place, Cooling cooling, double times, Asked asked) {
      Curve air = FreezeForecast.place(network, place, asked);
      double cooled =
          Math.max(
              ColdWater.ZERO,
              Math.min(asked.start(), cooling.settles(air.temperatures().getFirst())));
      double start = held ? asked.start() : cooled;
      Night night = Night.of(cooling, air, start);
      double watts = times * cooling.holds(HELD, air.lowest());
      // Water that comes in at its start's warmth has to give up what is lost.
      double loss = times * cooling.holds(ColdWater.ZERO, air.lowest());
      double warmth = Math.max(1, asked.start() - ColdWater.ZERO);
      double drip = loss / (ColdWater.heat(1) * warmth);
      return new Exposure(
          id, label, place.id(), night.lowest(), night.zero(), night.stops(), watts, drip);
    }

    private Place place(PartId part) {
      return network.rig().place(network.rig().part(part).place());
    }

    private double energy(Asked asked) {
      double energy = 0;
      for (double t = 0; t < asked.outside().length(); t += HOUR) {
        energy += Math.min(HOUR, asked.outside().length() - t) * watts(asked, t);
      }
      return energy;
    }

    /** What holds all at 2 °C in the hour after a time (W). */
    private double watts(Asked asked, double time) {
      double at = asked.outside().times().getFirst() + time;
      return exposures(asked.during(at, at + HOUR)).stream().mapToDouble(Exposure::watts).sum();
    }

    private Optional<BatteryEnd> battery(Asked asked, double stored) {
      double left = stored;
      double begin = asked.outside().times().getFirst();
      for (double t = 0; t < asked.outside().length(); t += HOUR) {
        double needs = HOUR * watts(asked, t);
        if (needs > left) {
          double ends = t + HOUR * left / needs;
          if (ends >= asked.outside().length() - 1) {
            return Optional.empty();
          }
          Asked rest =
              asked.during(begin + ends, asked.outside().times().getLast()).startingAt(HELD);
          return Optional.of(
              new BatteryEnd(
                  ends,
                  new Reckoning(network, now, true)
                      .exposures(rest).stream()
                          .filter(e -> e.zero().isPresent())
                          .findFirst()
                          .map(e -> OptionalDouble.of(ends + e.zero().getAsDouble()))
                          .orElse(OptionalDouble.empty())));
        }
        left -= needs;
      }
      return Optional.empty();
    }

    /** By halving: nothing comes to 0 °C in a night so much warmer or colder than this one. */
    private OptionalDouble coldest(Asked asked) {
      double low = -FAR;
      double high = FAR;
      if (stands(asked.shifted(low))) {
        return OptionalDouble.empty();
      }
      while (high - low > CLOSE) {
        double middle = (low + high) / 2;
        if (stands(asked.shifted(middle))) {
          high = middle;
        } else {
          low = middle;
        }
      }
      return OptionalDouble.of(asked.outside().lowest() + high);
    }

    private boolean stands(Asked asked) {
      return exposures(asked).stream().allMatch(e -> e.zero().isEmpty());
    }
  }

  /** Returns how many things come to 0 °C in each place, by place id. */
  public Map<PlaceId, Long> byPlace() {
    return exposures.stream()
        .filter(e -> e.zero().isPresent())
        .collect(
            java.util.stream.Collectors.groupingBy(
                Exposure::place, java.util.stream.Collectors.counting()));
  }
}
