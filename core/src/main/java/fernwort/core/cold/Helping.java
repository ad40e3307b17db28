package fernwort.core.cold;

import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Position;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Which one more thing to turn, take off or take out would let more water out: each is tried by
 * draining the rig with it.
 */
public final class Helping {

  /** What lets out less is not worth a hand (m³). */
  private static final double WORTHWHILE = 2e-6;

  private Helping() {}

  /** Returns for each line and part whose water one turn lets out the turn that lets most out. */
  public static Map<String, Procedure.Turn> turns(Plumbing plumbing, Wintering now) {
    Map<String, Procedure.Turn> best = new HashMap<>();
    Map<String, Double> most = new HashMap<>();
    Levels levels = Levels.of(plumbing, now.state());
    for (Procedure.Turn turn : candidates(plumbing, now)) {
      Wintering after = after(plumbing, now, levels, turn);
      for (Line line : plumbing.rig().lines()) {
        double less = now.wetness().volume(line) - after.wetness().volume(line);
        keep(line.id(), less, turn, most, best);
      }
      for (Part part : plumbing.rig().parts()) {
        double less =
            now.wetness().body(part.id())
                - after.wetness().body(part.id())
                + now.state().volume(part.id())
                - after.state().volume(part.id());
        keep(part.id(), less, turn, most, best);
      }
    }
    return best;
  }

  private static void keep(
      String id,
      double less,
      Procedure.Turn turn,
      Map<String, Double> most,
      Map<String, Procedure.Turn> best) {
    if (less > most.getOrDefault(id, WORTHWHILE)) {
      most.put(id, less);
      best.put(id, turn);
    }
  }

  /** A rig after one turn that moves no tank's water by itself, its levels known already. */
  static Wintering after(Plumbing plumbing, Wintering now, Levels levels, Procedure.Turn turn) {
    return Draining.of(plumbing, now.with(plumbing.rig(), turn.part(), turn.position()), levels);
  }

  /** Whatever opens something that is not open, and starts nothing. */
  static List<Procedure.Turn> candidates(Plumbing plumbing, Wintering now) {
    List<Procedure.Turn> turns = new ArrayList<>();
    for (Part part : plumbing.rig().parts()) {
      Stream.concat(part.kind().positions().stream(), part.kind().service().stream())
          .map(Position::id)
          .distinct()
          .filter(p -> opens(part.kind(), p) && !isSo(now, part, p))
          .forEach(p -> turns.add(new Procedure.Turn(part.id(), p)));
    }
    return turns;
  }

  private static boolean isSo(Wintering now, Part part, String position) {
    return now.has(part, position)
        || position.equals(now.state().setting().positions().get(part.id()));
  }

  private static boolean opens(Kind kind, String position) {
    return switch (kind) {
      case Kind.Valve k -> !position.equals("turned") && !position.equals("fitted");
      case Kind.Fixture k ->
          !position.equals(Kind.Fixture.SHUT.id()) && (!k.use().mixes() || position.equals("warm"));
      case Kind.Plug k -> position.equals(Kind.Plug.OUT.id());
      case Kind.OpenEnd k -> position.equals(Kind.OpenEnd.OPEN.id());
      case Kind.HoseInlet k -> position.equals(Kind.HoseInlet.OPEN.id());
      case Kind.GravityFiller k -> position.equals(Kind.GravityFiller.OPEN.id());
      case Kind.Heater k -> position.equals(Kind.Heater.DRAINED.id());
      case Kind.Fitting k -> position.equals(Kind.OFF) || position.equals(Kind.UNDONE);
      case Kind.Pump k -> position.equals(Kind.UNDONE);
      case Kind.Macerator k -> position.equals(Kind.UNDONE);
      case Kind.PortableContainer k -> false;
      case Kind.Tank k -> false;
    };
  }
}
