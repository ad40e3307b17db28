package fernwort.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.hazard.Warning.Code;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.run.water.Totals;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The run, the steady flow and the warnings of one state never contradict each other: on rigs that
 * nobody drew, with every handle anywhere and tanks from empty to the brim. Another seed each time.
 */
class AgreementTest {

  private static final int STATES = Integer.getInteger("sweep.states", 80);
  private static final double LONG = 3 * 3600;
  private static final int MOST_EVENTS = 1500;

  /** What no reader would see as another flow (m³/s): a twentieth of a litre in a minute. */
  private static final double SLIGHT = 0.05e-3 / 60;

  /** Moments of a run (s): before air that is shut in answers, and a little later. */
  private static final double AT_ONCE = 0.01;

  private static final double SOON = 0.5;

  /** Air under so much pressure has answered (Pa). */
  private static final double ANSWERS = 60;

  private static final long SEED = Long.getLong("sweep.seed", System.nanoTime());

  /** The state that is looked at, which a failure names. */
  private long looked;

  @AfterEach
  void name() {
    System.out.printf("LAST %d%n", looked);
  }

  private record Drawn(Network network, State state) {
    static Drawn from(long seed) {
      Random random = new Random(seed);
      Rig rig = TankHouses.draw(random);
      Network network = Network.of(rig);
      return new Drawn(network, TankHouses.state(network, random));
    }
  }

  /**
   * A pump at its switch, and behind it a tap that hardly opens: the pressure is not told exactly.
   */
  @ParameterizedTest
  @ValueSource(longs = {11781, 14160})
  void whatOnceDidNotSettleDoes(long seed) {
    Drawn drawn = Drawn.from(seed);
    Flows steady = Hydraulics.of(drawn.network()).solve(drawn.state());
    assertThat(steady.pumps()).isNotEmpty();
    assertThat(Simulation.start(drawn.network(), drawn.state()).moment().flows().pumps())
        .containsOnlyKeys(steady.pumps().keySet());
  }

  @Test
  void theFirstMomentsOfARunMoveWhatTheSteadyFlowSays() {
    System.out.printf("AGREE seed %d%n", SEED);
    List<String> apart = new ArrayList<>();
    for (long s = SEED; s < SEED + STATES; s++) {
      Drawn drawn = Drawn.from(s);
      looked = s;
      Flows steady = Hydraulics.of(drawn.network()).solve(drawn.state());
      Simulation run = Simulation.start(drawn.network(), drawn.state());
      Flows first = run.moment().flows();
      apart.addAll(differing(s, "tap", 1, steady.fixtures(), Map.of(), first.fixtures()));
      apart.addAll(differing(s, "end", 1, steady.ends(), Map.of(), first.ends()));
      apart.addAll(differing(s, "supply", 1, steady.supplies(), Map.of(), first.supplies()));
      boolean calm = true;
      for (double until : new double[] {AT_ONCE, SOON}) {
        calm &= run.runToNext(until).isEmpty();
        boolean free = run.moment().air().values().stream().allMatch(p -> Math.abs(p) < ANSWERS);
        if (calm && free) {
          Totals moved = run.moment().totals();
          Flows then = run.moment().flows();
          apart.addAll(
              differing(s, "tap", until, steady.fixtures(), then.fixtures(), moved.drawn()));
          apart.addAll(differing(s, "end", until, steady.ends(), then.ends(), out(drawn, moved)));
          apart.addAll(
              differing(s, "supply", until, steady.supplies(), then.supplies(), moved.supplied()));
        }
      }
    }
    apart.forEach(System.out::println);
    assertThat(apart).isEmpty();
  }

  /** What left at open ends, without what taps let onto the ground (m³). */
  private static Map<PartId, Double> out(Drawn drawn, Totals moved) {
    Map<PartId, Double> out = new HashMap<>(moved.out());
    out.keySet().removeIf(id -> drawn.network().rig().part(id).kind() instanceof Fixture);
    return out;
  }

  /**
   * What moved by a time has to be what the steady flow says. Where a level leaves a port
   * meanwhile, it may be anything up to what flows then.
   */
  private static List<String> differing(
      long seed,
      String what,
      double time,
      Map<PartId, Double> steady,
      Map<PartId, Double> then,
      Map<PartId, Double> moved) {
    Set<PartId> all = new HashSet<>(steady.keySet());
    all.addAll(moved.keySet());
    List<String> apart = new ArrayList<>();
    for (PartId id : all) {
      double says = steady.getOrDefault(id, 0.0);
      double does = moved.getOrDefault(id, 0.0) / time;
      double later = then.getOrDefault(id, says);
      double off = Math.max(Math.min(says, later) - does, does - Math.max(says, later));
      if (off > SLIGHT + 0.15 * Math.max(Math.abs(says), Math.abs(does))) {
        apart.add(
            "APART %d %s %s: steady %.3f, run %.3f L/min"
                .formatted(seed, what, id, says * 6e4, does * 6e4));
      }
    }
    return apart;
  }

  @Test
  void whateverGoesWrongWithinThreeHoursWasWarnedOfAtTheStart() {
    List<String> silent = new ArrayList<>();
    int harms = 0;
    int cut = 0;
    for (long s = SEED; s < SEED + STATES; s++) {
      Drawn drawn = Drawn.from(s);
      looked = s;
      List<Warning> told = told(drawn);
      double ahead = LookAhead.of(Simulation.start(drawn.network(), drawn.state()), LONG).until();
      cut += ahead < LONG - 1 ? 1 : 0;
      Simulation run = Simulation.start(drawn.network(), drawn.state());
      int events = 0;
      while (run.isBefore(ahead)) {
        for (Event h : run.runToNext(ahead)) {
          events++;
          if (h.begins() && !foretelling(h.kind()).isEmpty()) {
            harms++;
            if (told.stream().noneMatch(w -> foretells(drawn, w, h))) {
              silent.add(
                  "SILENT %d %s of %s".formatted(s, h, told.stream().map(Warning::key).toList()));
            }
          }
        }
        if (events > MOST_EVENTS) {
          silent.add("CHATTERS %d after %.0f s".formatted(s, run.time()));
          break;
        }
      }
    }
    System.out.printf(
        "FORETOLD seed %d: %d harms in %d states, %d looked at in part%n",
        SEED, harms, STATES, cut);
    silent.stream().limit(30).forEach(System.out::println);
    assertThat(silent).isEmpty();
    assertThat(harms).isPositive();
    // One in twenty is usual: more than one in five comes by chance once in ten million seeds.
    assertThat(cut).as("states that take too many steps").isLessThan(2 + STATES / 5);
  }

  private static Set<Code> foretelling(Event.Kind kind) {
    return switch (kind) {
      case BULGES, BURSTS -> EnumSet.of(Code.NO_AIR_OUT, Code.NO_ROOM, Code.VENT_NARROW);
      case SUCKED_IN -> EnumSet.of(Code.NO_AIR_IN);
      case DRAWS_AIR -> EnumSet.of(Code.PUMP_DRY, Code.PUMP_SUCKS_AIR, Code.PUMP_DRY_SOON);
      case RUNS_OUT ->
          EnumSet.of(
              Code.RUNS_OVER_SOON,
              Code.OVERFLOWING,
              Code.OPEN_TO_GROUND,
              Code.TANK_RUNS_OUT,
              Code.FILLING,
              Code.FILLING_UNWATCHED);
      case BACKS_UP -> EnumSet.of(Code.GRAY_FULL, Code.GRAY_NEARLY_FULL);
      case FULL, DRY, SIPHONS, CYCLES, RESTS, POURED_OUT, FLOAT_SHUTS, HOT, AWAITED, HAND ->
          EnumSet.noneOf(Code.class);
    };
  }

  private static boolean foretells(Drawn drawn, Warning w, Event h) {
    String label = drawn.network().rig().part(h.subject().part()).label();
    return foretelling(h.kind()).contains(w.code())
        && (w.parts().contains(h.subject()) || w.what().toString().contains(label));
  }

  private static List<Warning> told(Drawn drawn) {
    State state = drawn.state();
    Levels levels = Levels.of(drawn.network(), state);
    return Hazards.of(drawn.network())
        .warnings(state.setting(), levels, OpenWays.find(drawn.network(), state.setting(), levels));
  }
}
