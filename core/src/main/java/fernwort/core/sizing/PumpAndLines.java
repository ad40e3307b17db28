package fernwort.core.sizing;

import fernwort.core.flow.Fluid;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.rig.TankPort;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankFigures;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What pump and lines give at the fixtures, what the fixtures need, and what a wider line or
 * another pump would change.
 *
 * @param fixtures each fixture alone and beside the others
 * @param together ids of the fixtures that are open at once in what follows
 * @param need what the pump would have to give for these at their rated flow
 * @param lines what each line takes with these open, the worst first
 * @param wider the three worst lines, each with one bore more
 * @param bores the whole house at each bore
 * @param pumps other pumps by their plates
 * @param suction each supply pump's lift
 */
public record PumpAndLines(
    List<AtFixture> fixtures,
    List<String> together,
    Need need,
    List<Taken> lines,
    List<Trial> wider,
    List<Trial> bores,
    List<Trial> pumps,
    List<Suction> suction) {

  /** Bores that are sold everywhere (m). */
  public static final List<Double> BORES = List.of(0.008, 0.010, 0.013, 0.016, 0.019, 0.025);

  /** A fixture at less than this share of its rated flow is found wanting; our own mark. */
  public static final double ENOUGH = 0.6;

  /** Plates to try: free flow (L/min), pressure at no flow and cut-out (bar). None is a product. */
  private static final double[][] PLATES = {
    {6, 1.8, 1.4}, {8, 2.4, 2.0}, {11, 3.0, 2.6}, {15, 3.5, 3.0}, {19, 4.2, 3.6}
  };

  private static final double LITRES_PER_MINUTE = 1e-3 / 60;
  private static final double LEAST_WATER = 5e-3;

  /** What carries no more than this is dry (m³/s): a drop in a second or so. */
  private static final double CARRIES = 1e-7;

  /**
   * A fixture.
   *
   * @param fixture its id
   * @param rated its rated flow (m³/s)
   * @param alone what it passes alone (m³/s)
   * @param pressure pressure at it then (Pa)
   * @param together what it passes while those are open that are to be open at once (m³/s)
   * @param needs pressure the pump must add for its rated flow, alone (Pa)
   * @param worst the line that takes most of it then
   * @param takes what that line takes (Pa)
   */
  public record AtFixture(
      String fixture,
      double rated,
      double alone,
      double pressure,
      double together,
      double needs,
      String worst,
      double takes) {}

  /**
   * What these fixtures at their rated flow would need.
   *
   * @param flow of the pump (m³/s)
   * @param pressure it would have to add (Pa)
   * @param given what the supply pump adds at that flow (Pa); negative beyond its free flow
   */
  public record Need(double flow, double pressure, double given) {}

  /** What a line takes (Pa) of the pressure, at its flow (m³/s). */
  public record Taken(String line, double flow, double pressure) {}

  /**
   * Something tried.
   *
   * @param what the bore (m), or the free flow of the pump (m³/s)
   * @param subject id of the line that was changed; empty for the whole house or a pump
   * @param pressure cut-out pressure of the pump (Pa); 0 for lines
   * @param total what the fixtures together pass (m³/s)
   * @param worst smallest share of its rated flow that one passes
   */
  public record Trial(double what, String subject, double pressure, double total, double worst) {}

  /**
   * A pump's suction side.
   *
   * @param pump id of the pump
   * @param tank id of the tank with the lowest outlet it may draw from
   * @param lift height of the pump above that outlet (m)
   * @param primes height to which it lifts water dry (m)
   */
  public record Suction(String pump, String tank, double lift, double primes) {
    /** Tells whether the pump draws water up by itself from the lowest level. */
    public boolean works() {
      return lift <= primes;
    }
  }

  /** The rig with its supply pumps on, mains off, and one or all fixtures open. */
  private record Bench(Plumbing plumbing, Hydraulics hydraulics, State shut, List<Part> fixtures) {

    Flows open(Collection<Part> some) {
      State state = shut;
      for (Part fixture : some) {
        state = state.with(fixture.id(), ((Kind.Fixture) fixture.kind()).cold().id());
      }
      return hydraulics.solve(state);
    }

    /** Returns the bench with only these fixtures, or with the two that take most in the house. */
    Bench choose(Collection<String> ids) {
      List<Part> chosen = fixtures.stream().filter(f -> ids.contains(f.id())).toList();
      if (chosen.isEmpty()) {
        chosen =
            fixtures.stream()
                .sorted(Comparator.comparing(Bench::outside).thenComparing(f -> -rated(f)))
                .limit(2)
                .toList();
      }
      return new Bench(plumbing, hydraulics, shut, chosen);
    }

    private static boolean outside(Part fixture) {
      return ((Kind.Fixture) fixture.kind()).use() == Kind.Fixture.Type.HOSE_POINT;
    }

    Bench with(Hydraulics other) {
      return new Bench(plumbing, other, shut, fixtures);
    }

    Trial trial(double what, String subject, double pressure) {
      Flows flows = open(fixtures);
      double total = fixtures.stream().mapToDouble(f -> flows.fixture(f.id())).sum();
      double worst =
          fixtures.stream().mapToDouble(f -> flows.fixture(f.id()) / rated(f)).min().orElse(0);
      return new Trial(what, subject, pressure, total, worst);
    }
  }

  /**
   * Works it out with the handles as they stand, the supply pumps switched on, the mains off, and
   * fresh tanks that are nearly empty taken to be half full.
   *
   * @param together ids of the fixtures to be open at once; empty for the two in the house that
   *     take most
   * @throws Refusal when nothing reaches any fixture like that
   */
  public static PumpAndLines of(Plumbing plumbing, State now, Collection<String> together) {
    Bench bench = bench(plumbing, now);
    Map<String, Flows> alone = new HashMap<>();
    for (Part fixture : List.copyOf(bench.fixtures())) {
      Flows flows = bench.open(List.of(fixture));
      if (flows.fixture(fixture.id()) > CARRIES) {
        alone.put(fixture.id(), flows);
      } else {
        bench.fixtures().remove(fixture);
      }
    }
    if (alone.isEmpty()) {
      throw new Refusal(
          "With the handles as they stand, no pump brings water to a fixture; set them for running"
              + " from a tank, then look again");
    }
    Bench chosen = bench.choose(together);
    Flows all = chosen.open(chosen.fixtures());
    List<Taken> lines = taken(chosen, all);
    return new PumpAndLines(
        bench.fixtures().stream()
            .map(f -> atFixture(bench, f, alone.getOrDefault(f.id(), all), all))
            .toList(),
        chosen.fixtures().stream().map(Part::id).toList(),
        need(chosen, alone),
        lines,
        wider(chosen, lines),
        bores(chosen, all),
        pumps(chosen),
        suction(plumbing));
  }

  private static Bench bench(Plumbing plumbing, State now) {
    State state = now;
    List<Part> fixtures = new ArrayList<>();
    for (Part part : plumbing.rig().parts()) {
      switch (part.kind()) {
        case Kind.Fixture k -> {
          state = state.with(part.id(), part.rest().id());
          fixtures.add(part);
        }
        case Kind.HoseInlet k -> state = state.with(part.id(), part.rest().id());
        case Kind.Pump k when k.duty() == Kind.Pump.Duty.SUPPLY ->
            state = state.with(part.id(), Kind.ON);
        case Kind.Tank k when k.contents() == Contents.FRESH -> {
          double stranded =
              TankFigures.of(plumbing.joined(part), plumbing.room(part.id()), now.slope())
                  .stranded();
          if (now.volume(part.id()) < stranded + LEAST_WATER) {
            state = state.withVolume(part.id(), plumbing.room(part.id()).capacity() / 2);
          }
        }
        case Kind.GravityFiller _,
            Kind.OpenEnd _,
            Kind.Tank _,
            Kind.Valve _,
            Kind.Pump _,
            Kind.Heater _,
            Kind.PortableContainer _,
            Kind.Macerator _,
            Kind.Plug _,
            Kind.Fitting _ -> {}
      }
    }
    return new Bench(plumbing, Hydraulics.of(plumbing), state, fixtures);
  }

  private static double rated(Part fixture) {
    return ((Kind.Fixture) fixture.kind()).ratedFlow();
  }

  private static AtFixture atFixture(Bench bench, Part part, Flows alone, Flows all) {
    List<Taken> taken = taken(bench, alone);
    Taken worst = taken.isEmpty() ? new Taken("", 0, 0) : taken.getFirst();
    return new AtFixture(
        part.id(),
        rated(part),
        alone.fixture(part.id()),
        alone.pressure(part.id(), "cold").orElse(0.0),
        all.fixture(part.id()),
        pumpPressure(bench, part, alone, Map.of()),
        worst.line(),
        worst.pressure());
  }

  private static List<Taken> taken(Bench bench, Flows flows) {
    return bench.plumbing().rig().lines().stream()
        .filter(l -> Math.abs(flows.line(l.id())) > CARRIES)
        .map(l ->
            new Taken(
                l.id(),
                Math.abs(flows.line(l.id())),
                bench.hydraulics().pressureLost(l.id(), flows)))
        .sorted(Comparator.comparingDouble(Taken::pressure).reversed())
        .toList();
  }

  /**
   * Returns what the pump must add so that a fixture passes its rated flow: its rated pressure, the
   * lift, and what the lines and filters on its way take.
   *
   * @param alone the flow with this fixture open alone, which shows its way
   * @param flows flow in each line, by id (m³/s); where none is given, the fixture's own
   */
  private static double pumpPressure(
      Bench bench, Part part, Flows alone, Map<String, Double> flows) {
    Kind.Fixture fixture = (Kind.Fixture) part.kind();
    double own = alone.fixture(part.id());
    double lost = 0;
    Set<String> passed = new HashSet<>();
    double surface = part.height();
    Map<String, Part> parts = bench.plumbing().rig().partsById();
    for (Line line : bench.plumbing().rig().lines()) {
      double share = Math.abs(alone.line(line.id())) / own;
      if (share > 1e-3) {
        double flow = flows.getOrDefault(line.id(), share * fixture.ratedFlow());
        lost += Fluid.WATER.pressure(Math.abs(bench.hydraulics().loss(line.id(), flow)));
        if (passed.add(line.from().part())) {
          lost += body(parts.getOrDefault(line.from().part(), part), flow);
        }
      }
    }
    for (Part tank : bench.plumbing().tanks()) {
      if (alone.tank(tank.id()) < -CARRIES) {
        surface =
            tank.height()
                + bench
                    .plumbing()
                    .room(tank.id())
                    .level(bench.shut().volume(tank.id()), bench.shut().slope());
      }
    }
    return fixture.ratedPressure() + Fluid.WATER.pressure(part.height() - surface) + lost;
  }

  private static double body(Part part, double flow) {
    return switch (part.kind()) {
      case Kind.Filter filter -> filter.ratedLoss() * flow / filter.ratedFlow();
      case Kind.CheckValve check -> check.crackingPressure();
      case Kind.HoseInlet _,
          Kind.GravityFiller _,
          Kind.OpenEnd _,
          Kind.Tank _,
          Kind.Valve _,
          Kind.Pump _,
          Kind.Heater _,
          Kind.Fixture _,
          Kind.PortableContainer _,
          Kind.Macerator _,
          Kind.Plug _,
          Kind.AirAdmittanceValve _,
          Kind.Regulator _,
          Kind.Strainer _,
          Kind.Accumulator _,
          Kind.Tee _,
          Kind.Manifold _,
          Kind.DrainTrap _,
          Kind.LeakTray _ ->
          0;
    };
  }

  private static Need need(Bench bench, Map<String, Flows> alone) {
    Map<String, Double> flows = new HashMap<>();
    double total = 0;
    for (Part part : bench.fixtures()) {
      Flows own = alone.getOrDefault(part.id(), bench.open(List.of(part)));
      double most = own.fixture(part.id());
      own.lines()
          .forEach((id, q) -> flows.merge(id, Math.abs(q) / most * rated(part), Double::sum));
      total += rated(part);
    }
    double pressure = 0;
    for (Part part : bench.fixtures()) {
      Flows own = alone.getOrDefault(part.id(), bench.open(List.of(part)));
      pressure = Math.max(pressure, pumpPressure(bench, part, own, flows));
    }
    double wanted = total;
    double given =
        supplyPumps(bench.plumbing())
            .mapToDouble(p -> p.shutOffPressure() * (1 - wanted / p.freeFlow()))
            .max()
            .orElse(0);
    return new Need(total, pressure, given);
  }

  private static Stream<Kind.Pump> supplyPumps(Plumbing plumbing) {
    return plumbing.rig().parts().stream()
        .map(Part::kind)
        .filter(Kind.Pump.class::isInstance)
        .map(Kind.Pump.class::cast)
        .filter(p -> p.duty() == Kind.Pump.Duty.SUPPLY);
  }

  private static List<Trial> wider(Bench bench, List<Taken> lines) {
    List<Trial> trials = new ArrayList<>();
    for (Taken taken : lines.stream().limit(3).toList()) {
      double bore =
          bench.plumbing().rig().lines().stream()
              .filter(l -> l.id().equals(taken.line()))
              .findFirst()
              .orElseThrow()
              .bore();
      Optional<Double> next = BORES.stream().filter(b -> b > bore + 5e-4).findFirst();
      next.ifPresent(b ->
          trials.add(
              bench
                  .with(bench.hydraulics().withBore(Set.of(taken.line()), b))
                  .trial(b, taken.line(), 0)));
    }
    return trials;
  }

  private static List<Trial> bores(Bench bench, Flows all) {
    List<String> carrying =
        all.lines().entrySet().stream()
            .filter(e -> Math.abs(e.getValue()) > CARRIES)
            .map(Map.Entry::getKey)
            .toList();
    return BORES.stream()
        .map(b -> bench.with(bench.hydraulics().withBore(carrying, b)).trial(b, "", 0))
        .toList();
  }

  private static List<Trial> pumps(Bench bench) {
    List<Trial> trials = new ArrayList<>();
    for (double[] plate : PLATES) {
      Rig rig = bench.plumbing().rig();
      List<Part> parts =
          rig.parts().stream()
              .map(p ->
                  p.kind() instanceof Kind.Pump pump && pump.duty() == Kind.Pump.Duty.SUPPLY
                      ? p.with(plate(pump, plate))
                      : p)
              .toList();
      Plumbing other =
          Plumbing.of(
              new Rig(
                  rig.name(),
                  rig.note(),
                  rig.vehicle(),
                  rig.places(),
                  parts,
                  rig.lines(),
                  rig.built()));
      trials.add(
          new Bench(other, Hydraulics.of(other), bench.shut(), bench.fixtures())
              .trial(plate[0] * LITRES_PER_MINUTE, "", plate[2] * 1e5));
    }
    return trials;
  }

  private static Kind.Pump plate(Kind.Pump pump, double[] plate) {
    return new Kind.Pump(
        pump.duty(),
        Kind.Pump.Type.DIAPHRAGM,
        plate[1] * 1e5,
        plate[0] * LITRES_PER_MINUTE,
        (plate[2] - 0.7) * 1e5,
        plate[2] * 1e5,
        pump.selfPriming());
  }

  private static List<Suction> suction(Plumbing plumbing) {
    List<Suction> found = new ArrayList<>();
    for (Part part : plumbing.rig().parts()) {
      if (part.kind() instanceof Kind.Pump pump && pump.duty() == Kind.Pump.Duty.SUPPLY) {
        plumbing
            .rig()
            .tanks(Contents.FRESH)
            .min(Comparator.comparingDouble(PumpAndLines::outlet))
            .ifPresent(t ->
                found.add(
                    new Suction(part.id(), t.id(), part.height() - outlet(t), pump.selfPriming())));
      }
    }
    return found;
  }

  private static double outlet(Part part) {
    Kind.Tank tank = (Kind.Tank) part.kind();
    return part.height()
        + tank.tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.FEED)
            .mapToDouble(p -> p.at().z())
            .min()
            .orElse(0);
  }
}
