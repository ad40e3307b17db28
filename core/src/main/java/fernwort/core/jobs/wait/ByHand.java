package fernwort.core.jobs.wait;

import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.machine.Driven;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** What hands do beside the handles of a rig: hose, jug, priming. No run shows it. */
final class ByHand {

  /** What a drinking-water hose gives at a tap that is opened a little (m³/s); own choice. */
  private static final double GENTLE_HOSE = 0.01 / 60;

  /** What a hose is timed with (m³). */
  private static final double JUG = 0.01;

  /** A timed hose is as far off as that, either way (1). */
  private static final double DOUBT = 2;

  /** A litre of water weighs this (kg/m³). */
  private static final double DENSITY = 1000;

  /** Nobody starts an engine and judges it in less (s). */
  private static final double SHORTEST = 10;

  private final Network network;

  ByHand(Network network) {
    this.network = network;
  }

  /** Puts the hose into an open filler. */
  Step.Wait hoseIn(Job.Until until) {
    return done(
        until,
        Says.PUT_THE_DRINKING_WATER_HOSE.with(label(until.part())),
        Says.WATER_RUNS_INTO_THE_FILLER.text());
  }

  /** Takes it out again. */
  Step.Wait hoseOut(Job.Until until) {
    return done(
        until,
        Says.CLOSE_THE_TAP_OUTSIDE_TAKE.with(label(until.part())),
        Says.BOTH_ENDS_OF_THE_HOSE_ARE_JOINED.text());
  }

  /**
   * Lets the hose run until tanks are full, as it was timed.
   *
   * @param tanks ids of all that it fills
   */
  Step.Wait pour(Job.Until until, Set<PartId> tanks, State state) {
    Map<PartId, Double> levels = new TreeMap<>();
    double room = 0;
    for (PartId id : alike(tanks, until.part())) {
      double full = network.figures(network.rig().part(id), state.slope()).full();
      if (full > state.volume(id)) {
        room += full - state.volume(id);
        levels.put(id, full);
      }
    }
    double seconds = room / GENTLE_HOSE;
    return new Step.Wait(
        until,
        Says.FILL_SLOWLY_MORE_ABOUT_IF_A_JUG.with(
            Amount.volume(room),
            Amount.time(seconds),
            Amount.volume(JUG),
            Amount.time(JUG / GENTLE_HOSE)),
        Says.STOP_AT_FULL_ON_THE_GAUGE.text(),
        new Step.Span(seconds / DOUBT, seconds, DOUBT * seconds),
        room,
        levels,
        List.of());
  }

  /** What is poured into one tank goes on only into those that hold the same. */
  private List<PartId> alike(Set<PartId> tanks, PartId first) {
    Contents contents = ((Tank) network.rig().part(first).kind()).contents();
    return tanks.stream().filter(t -> network.rig().part(t).kind().holds(contents)).toList();
  }

  /** Carries a can out; what it weighs is said, or that it is nearly empty already. */
  Step.Wait carryOut(Job.Until until, State state) {
    double volume = state.volume(until.part());
    if (volume < Waits.WORTHWHILE) {
      return done(until, Says.IS_NEARLY_EMPTY_ALREADY_CHECK.with(label(until.part())), "");
    }
    return new Step.Wait(
        until,
        Says.UNHOOK_AND_CARRY_IT_OUT_EMPTY.with(
            label(until.part()), Amount.volume(volume), Amount.mass(DENSITY * volume)),
        Says.THE_WASTE_HOSE_IS_BACK.text(),
        Step.Span.UNKNOWN,
        volume,
        Map.of(until.part(), 0.0),
        List.of());
  }

  /** How many jugs a tank takes, and what each weighs. */
  Message jugs(Part jug, Set<PartId> tanks, State state) {
    double capacity = ((PortableContainer) jug.kind()).capacity();
    double room =
        tanks.stream()
            .filter(t -> !network.rig().part(t).kind().holds(Contents.GRAY))
            .mapToDouble(
                t -> network.figures(network.rig().part(t), state.slope()).full() - state.volume(t))
            .filter(r -> r > 0)
            .sum();
    long whole = (long) Math.floor(room / capacity + Waits.NOTICEABLE);
    Message each =
        Says.POUR_IN_SLOWLY.with(
            jug.label(), Amount.volume(capacity), Amount.mass(DENSITY * capacity));
    return whole < 2 ? each : Says.THERE_IS_ROOM_FOR_OF_THESE.with(each, whole);
  }

  /**
   * Fills a pump that does not draw water up by itself, and its suction hose.
   *
   * @param inlet where the suction hose begins
   */
  Step.Wait prime(Job.Until until, PartId inlet) {
    Part pump = network.rig().part(until.part());
    double hose = suction(inlet, pump);
    double seconds = Math.max(SHORTEST, hose / ((Driven) pump.kind()).freeFlow());
    return done(
        until,
        Says.PRIME_POUR_IN_WATER.with(
            pump.label(), Amount.volume(pump.volume() + hose), Amount.time(seconds)),
        Says.NO_BUBBLES_COME.text());
  }

  /** What the lines from an inlet to a pump hold (m³). */
  private double suction(PartId inlet, Part pump) {
    List<PartId> way =
        Connections.withHandlesFree(network)
            .route(inlet, p -> p.kind().is(Purpose.HOLDS), pump::equals)
            .orElse(List.of());
    return network.rig().lines().stream()
        .filter(l -> way.contains(l.from().part()) && way.contains(l.to().part()))
        .mapToDouble(Line::volume)
        .sum();
  }

  private static Step.Wait done(Job.Until until, Message words, String notice) {
    return new Step.Wait(until, words, notice, Step.Span.UNKNOWN, 0, Map.of(), List.of());
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }
}
