package fernwort.core.frost;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Motor;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A valve that opens by itself in the cold or without power, and what it lets out then.
 *
 * @param valve its part
 * @param opensBelow temperature of its place below which it opens (K); none for one that minds only
 *     its power
 * @param opens when it does tonight (s), if ever
 * @param loses what runs out of tanks, lines and bodies once it is open (m³)
 */
public record FrostValve(
    Part valve, Optional<Double> opensBelow, OptionalDouble opens, double loses) {

  /** After so long a tank has run out, or does not (s). */
  private static final double LONGEST = 12 * 3600.0;

  /** A run is looked at so often (s). */
  private static final double SLICE = 600;

  /** A tank that changes less in that has settled (m³). */
  private static final double STEADY = 1e-4;

  /** A place's temperature is looked at so often (s). */
  private static final double OFTEN = 60;

  /** Returns the valves of a rig that open by themselves and are shut now, tonight. */
  public static List<FrostValve> tonight(
      Network network, Wintering now, FreezeForecast.Asked asked) {
    List<FrostValve> found = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      Optional<Motor> motor = part.kind().motor();
      motor
          .flatMap(Motor::unpowered)
          .filter(open -> !open.equals(now.state().setting().of(part.id())))
          .ifPresent(open -> {
            Place place = network.rig().place(part.place());
            Curve air = FreezeForecast.place(network, place, asked);
            Optional<Double> below = motor.flatMap(Motor::opensBelow);
            found.add(
                new FrostValve(
                    part,
                    below,
                    below.map(t -> first(air, t)).orElse(OptionalDouble.empty()),
                    loses(network, now, part.id(), open)));
          });
    }
    return found;
  }

  /**
   * Returns what runs out of a rig when one valve opens, nothing else being touched (m³). The tanks
   * are run through in time, for air may come to them by ways that only a run knows; then the lines
   * run dry.
   */
  public static double loses(Network network, Wintering now, PartId valve, PositionId open) {
    Simulation run = Simulation.start(network, now.state().with(valve, open));
    boolean moves = true;
    while (moves && run.time() < LONGEST) {
      Moment before = run.moment();
      run.runTo(run.time() + SLICE);
      moves = !run.moment().isSettledSince(before, STEADY);
    }
    Wintering opened = now.with(network.rig(), valve, open);
    for (Part tank : network.tanks()) {
      opened = opened.withVolume(tank.id(), run.moment().state().volume(tank.id()));
    }
    Wintering after = Draining.of(network, opened);
    return held(network.rig(), now) - held(network.rig(), after);
  }

  private static double held(Rig rig, Wintering now) {
    double held = 0;
    for (Part tank : rig.tanks().toList()) {
      held += now.state().volume(tank.id());
    }
    for (Line line : rig.lines()) {
      held += now.wetness().volume(line);
    }
    for (Part part : rig.parts()) {
      held += now.wetness().body(part.id());
    }
    return held;
  }

  private static OptionalDouble first(Curve air, double below) {
    double begin = air.times().getFirst();
    for (double t = 0; t <= air.length(); t += OFTEN) {
      if (air.at(begin + t) < below) {
        return OptionalDouble.of(t);
      }
    }
    return OptionalDouble.empty();
  }
}
