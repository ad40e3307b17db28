package fernwort.app.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.LookAhead;
import fernwort.core.run.Simulation;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * What breaks a tank if nobody touches anything was warned of from the beginning, on rigs that
 * nobody drew, with every handle anywhere. The same seed each time but in a sweep.
 */
class WarningsForetellTest {

  private static final int RUNS = Integer.getInteger("sweep.runs", 12);

  private static final double LONG = 3 * 3600;
  private static final int MOST_EVENTS = 400;

  /** The strongest mains that are drawn, and a column of water (Pa). */
  private static final double STRONGEST = 5.3e5;

  @Test
  void whatBreaksATankWasWarnedOfBefore() {
    long seed = Long.getLong("sweep.seed", 24);
    Random random = new Random(seed);
    List<String> silent = new ArrayList<>();
    int broke = 0;
    for (int i = 0; i < RUNS; i++) {
      Rig rig = DrawnRigs.draw(random);
      Network network = Network.of(rig);
      State from = state(network, random);
      double ahead = LookAhead.of(Simulation.start(network, from), LONG).until();
      Optional<Event> harm = harm(Simulation.start(network, from), ahead);
      if (harm.isPresent()) {
        broke++;
        String tank = harm.get().subject().value();
        Warning.Is is =
            harm.get().kind() == Event.Kind.BULGES ? Warning.Is.BULGES : Warning.Is.SUCKS_IN;
        List<String> told = told(network, from);
        if (Arrays.stream(Warning.Code.values())
            .filter(code -> code.is(is))
            .noneMatch(code -> told.contains(code + " " + tank))) {
          silent.add("%s, told %s from %s".formatted(harm.get(), told, from));
        }
      }
    }
    System.out.printf("FORETOLD seed %d: %d of %d runs break a tank%n", seed, broke, RUNS);
    silent.forEach(s -> System.out.println("SILENT " + s));
    assertThat(silent).as("seed %d", seed).isEmpty();
    assertThat(broke).as("runs that break a tank").isPositive();
  }

  /** The first thing that breaks a tank, if anything does. */
  private static Optional<Event> harm(Simulation run, double until) {
    for (int events = 0; run.isBefore(until) && events < MOST_EVENTS; events++) {
      List<Event> found = run.runToNext(until);
      assertThat(run.moment().air().values())
          .as("no air is pressed harder than mains and pumps can")
          .allMatch(p -> p < STRONGEST);
      for (Event h : found) {
        if (h.begins() && (h.kind() == Event.Kind.BULGES || h.kind() == Event.Kind.SUCKED_IN)) {
          return Optional.of(h);
        }
      }
    }
    return Optional.empty();
  }

  /** Every warning with each of the parts that it names. */
  private static List<String> told(Network network, State state) {
    Levels levels = Levels.of(network, state);
    return Hazards.of(network)
        .warnings(state.setting(), levels, OpenWays.find(network, state.setting(), levels))
        .stream()
        .flatMap(w -> w.parts().stream().map(part -> w.code() + " " + part))
        .toList();
  }

  /** Handles anyhow, with vents shut now and then, and the hose on more often than not. */
  private static State state(Network network, Random random) {
    Map<PartId, PositionId> positions = new HashMap<>();
    for (Part part : network.rig().handles().toList()) {
      List<Position> all = part.kind().positions();
      positions.put(part.id(), all.get(random.nextInt(all.size())).id());
      if (part.kind() instanceof HoseInlet && random.nextBoolean()) {
        positions.put(part.id(), HoseInlet.MAINS.id());
      }
    }
    Map<PartId, Double> volumes = new HashMap<>();
    for (Part tank : network.tanks()) {
      double share = random.nextInt(6) == 0 ? random.nextInt(2) : random.nextDouble();
      volumes.put(tank.id(), share * network.room(tank.id()).capacity());
    }
    return new State(new Setting(positions), volumes, Slope.LEVEL);
  }
}
