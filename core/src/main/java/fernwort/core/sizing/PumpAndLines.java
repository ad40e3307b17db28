package fernwort.core.sizing;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

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
 * @param weakest the way of the water to the tap of these that gets least of its rated flow
 */
public record PumpAndLines(
    List<AtFixture> fixtures,
    List<PartId> together,
    Need need,
    List<Taken> lines,
    List<Trial> wider,
    List<Trial> bores,
    List<Trial> pumps,
    List<Suction> suction,
    PressureAlong weakest) {

  /** Bores that are sold everywhere (m). */
  public static final List<Double> BORES = List.of(0.008, 0.010, 0.013, 0.016, 0.019, 0.025);

  /** A fixture at less than this share of its rated flow is found wanting; our own mark. */
  public static final double ENOUGH = 0.6;

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
      PartId fixture,
      double rated,
      double alone,
      double pressure,
      double together,
      double needs,
      LineId worst,
      double takes) {}

  /**
   * What these fixtures at their rated flow would need.
   *
   * @param flow of the pump (m³/s)
   * @param pressure it would have to add (Pa)
   * @param given what the supply pump adds at that flow (Pa); negative beyond its free flow
   */
  public record Need(double flow, double pressure, double given) {}

  /**
   * What a line takes (Pa) of the pressure, at its flow (m³/s).
   *
   * @param flow what it takes (m³/s)
   * @param pressure at this pressure (Pa)
   */
  public record Taken(LineId line, double flow, double pressure) {}

  /**
   * Something tried.
   *
   * @param what the bore (m), or the free flow of the pump (m³/s)
   * @param subject id of the line that was changed; empty for the whole house or a pump
   * @param pressure cut-out pressure of the pump (Pa); 0 for lines
   * @param total what the fixtures together pass (m³/s)
   * @param worst smallest share of its rated flow that one passes
   */
  public record Trial(double what, LineId subject, double pressure, double total, double worst) {}

  /**
   * A pump's suction side.
   *
   * @param pump id of the pump
   * @param tank id of the tank with the lowest outlet it may draw from
   * @param lift height of the pump above that outlet (m)
   * @param primes height to which it lifts water dry (m)
   */
  public record Suction(PartId pump, PartId tank, double lift, double primes) {
    /** Tells whether the pump draws water up by itself from the lowest level. */
    public boolean works() {
      return lift <= primes;
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
  public static PumpAndLines of(Network network, State now, Collection<PartId> together) {
    TapBench every = TapBench.of(network, now);
    Map<PartId, Flows> alone = new HashMap<>();
    for (Part fixture : every.fixtures()) {
      Flows flows = every.open(List.of(fixture));
      if (flows.fixture(fixture.id()) > TapBench.CARRIES) {
        alone.put(fixture.id(), flows);
      }
    }
    if (alone.isEmpty()) {
      throw new Refusal(Says.WITH_THE_HANDLES.with());
    }
    TapBench bench = every.only(alone.keySet());
    TapBench chosen = bench.choose(together);
    Flows all = chosen.open(chosen.fixtures());
    List<Taken> lines = taken(chosen, all);
    return new PumpAndLines(
        bench.fixtures().stream()
            .map(f -> atFixture(bench, f, alone.getOrDefault(f.id(), all), all))
            .toList(),
        chosen.fixtures().stream().map(Part::id).toList(),
        PumpNeed.need(chosen, alone),
        lines,
        PipeTrials.wider(chosen, lines),
        PipeTrials.bores(chosen, all),
        PipeTrials.pumps(chosen),
        suction(network),
        PressureAlong.to(chosen, all, weakest(chosen, all)));
  }

  private static Part weakest(TapBench chosen, Flows all) {
    return chosen.fixtures().stream()
        .min(Comparator.comparingDouble(f -> all.fixture(f.id()) / TapBench.rated(f)))
        .orElseThrow();
  }

  private static AtFixture atFixture(TapBench bench, Part part, Flows alone, Flows all) {
    List<Taken> taken = taken(bench, alone);
    Taken worst = taken.isEmpty() ? new Taken(LineId.NONE, 0, 0) : taken.getFirst();
    return new AtFixture(
        part.id(),
        TapBench.rated(part),
        alone.fixture(part.id()),
        alone.pressure(part.id(), PortId.COLD).orElse(0.0),
        all.fixture(part.id()),
        PumpNeed.pumpPressure(bench, part, alone, Map.of()),
        worst.line(),
        worst.pressure());
  }

  private static List<Taken> taken(TapBench bench, Flows flows) {
    return bench.network().rig().lines().stream()
        .filter(l -> Math.abs(flows.line(l.id())) > TapBench.CARRIES)
        .map(l ->
            new Taken(
                l.id(),
                Math.abs(flows.line(l.id())),
                bench.hydraulics().pressureLost(l.id(), flows)))
        .sorted(Comparator.comparingDouble(Taken::pressure).reversed())
        .toList();
  }

  private static List<Suction> suction(Network network) {
    List<Suction> found = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.SUPPLIES)) {
        network
            .rig()
            .tanks(Contents.FRESH)
            .min(Comparator.comparingDouble(PumpAndLines::outlet))
            .ifPresent(t ->
                found.add(
                    new Suction(
                        part.id(), t.id(), part.height() - outlet(t), part.kind().suctionLift())));
      }
    }
    return found;
  }

  private static double outlet(Part part) {
    Tank tank = (Tank) part.kind();
    return part.height()
        + tank.tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.FEED)
            .mapToDouble(p -> p.at().z())
            .min()
            .orElse(0);
  }
}
