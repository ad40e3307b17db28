package fernwort.core.cold;

import fernwort.core.drain.Flood;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/** What stays in a rig that has run out by fall alone, its handles as they are left. */
public final class Remains {

  /** Less than this is nothing worth a word (m³). */
  private static final double WORTHWHILE = 5e-6;

  private static final double CENTIMETRE = 0.01;

  private final Plumbing plumbing;
  private final State state;
  private final Levels levels;

  private Remains(Plumbing plumbing, State state) {
    this.plumbing = plumbing;
    this.state = state;
    levels = Levels.of(plumbing, state);
  }

  /**
   * Returns what stays, the most first.
   *
   * @param plumbing the prepared rig
   * @param state how it is left
   * @param tanks ids of the tanks that were to be emptied
   * @param lines whether the lines were, too
   */
  public static List<Leftover> of(
      Plumbing plumbing, State state, Set<String> tanks, boolean lines) {
    List<Part> chosen = plumbing.tanks().stream().filter(t -> tanks.contains(t.id())).toList();
    return new Remains(plumbing, state).leftovers(chosen, lines);
  }

  private List<Leftover> leftovers(List<Part> tanks, boolean lines) {
    List<Leftover> left = new ArrayList<>();
    for (Part tank : tanks) {
      add(left, tank.id(), Leftover.Kind.TANK, state.volume(tank.id()));
    }
    if (lines) {
      Flood flood = Flood.of(plumbing, state.setting(), levels);
      for (Line line : plumbing.rig().lines()) {
        add(left, line.id(), Leftover.Kind.LINE, flood.stays(line));
      }
      for (Part part : plumbing.rig().parts()) {
        add(left, part.id(), Leftover.Kind.BODY, held(flood, part));
      }
    }
    left.sort(Comparator.comparingDouble(Leftover::volume).reversed());
    return left;
  }

  private static void add(List<Leftover> left, String id, Leftover.Kind kind, double volume) {
    if (volume > WORTHWHILE) {
      left.add(new Leftover(id, kind, volume));
    }
  }

  /** What a body keeps by its kind when everything that can run out has run out. */
  private double held(Flood flood, Part part) {
    return switch (part.kind()) {
      case Kind.DrainTrap k -> part.volume();
      case Kind.Pump k -> part.volume();
      case Kind.Macerator k -> part.volume();
      case Kind.Filter k -> part.volume();
      case Kind.Strainer k -> part.volume();
      case Kind.CheckValve k -> part.volume();
      case Kind.Regulator k -> part.volume();
      case Kind.TwoWayValve k -> part.volume();
      case Kind.ThreeWayValve k -> part.volume();
      case Kind.Heater k ->
          Math.min(flood.level(part, "cold"), flood.level(part, "hot"))
                  <= levels.height(part) + CENTIMETRE
              ? 0
              : part.volume();
      case Kind.Accumulator k ->
          flood.level(part, "in") <= levels.height(part) + CENTIMETRE ? 0 : part.volume();
      case Kind.Manifold k ->
          flood.level(part, "in") <= levels.height(part) + CENTIMETRE ? 0 : part.volume();
      case Kind.Tank k -> 0;
      case Kind.HoseInlet k -> 0;
      case Kind.GravityFiller k -> 0;
      case Kind.OpenEnd k -> 0;
      case Kind.AirAdmittanceValve k -> 0;
      case Kind.Tee k -> 0;
      case Kind.Fixture k -> 0;
      case Kind.PortableContainer k -> 0;
      case Kind.Plug k -> 0;
    };
  }
}
