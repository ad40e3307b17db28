package fernwort.core.build;

import fernwort.core.kind.Accumulator;
import fernwort.core.kind.AirAdmittanceValve;
import fernwort.core.kind.CheckValve;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Contents;
import fernwort.core.kind.DrainTrap;
import fernwort.core.kind.Filter;
import fernwort.core.kind.Fixture;
import fernwort.core.kind.GravityFiller;
import fernwort.core.kind.Heater;
import fernwort.core.kind.HoseInlet;
import fernwort.core.kind.LeakTray;
import fernwort.core.kind.Macerator;
import fernwort.core.kind.Manifold;
import fernwort.core.kind.OpenEnd;
import fernwort.core.kind.Plug;
import fernwort.core.kind.PortableContainer;
import fernwort.core.kind.Position;
import fernwort.core.kind.Pump;
import fernwort.core.kind.Regulator;
import fernwort.core.kind.Strainer;
import fernwort.core.kind.Tank;
import fernwort.core.kind.Tee;
import fernwort.core.kind.Valve;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is said to somebody who takes parts out: what to mind, what to renew, which way round. */
final class ApartWords {

  private ApartWords() {}

  /** Returns what to renew when a joint goes together again. */
  static String seal(Connection.Form port, Connection.Form end) {
    if (end instanceof Connection.HoseEnd) {
      return "a clamp; cut the hose's end fresh";
    }
    if (end instanceof Connection.TubeEnd) {
      return "the O-ring of the push-fit; the tube's end smooth and square";
    }
    if (end instanceof Connection.Spigot && port instanceof Connection.Socket) {
      return "cemented: it is cut, and joined with a new socket";
    }
    return "its washer or tape";
  }

  /**
   * Returns what to mind.
   *
   * @param tap the one that stays open, if there is one
   */
  static List<Saying> heed(List<Part> out, State state, Optional<Part> tap) {
    List<Saying> heed = new ArrayList<>();
    tap.ifPresent(t ->
        heed.add(
            Saying.of(
                "{} stays open: no joint spits, and air comes in above what runs out", t.label())));
    for (Part part : out) {
      switch (part.kind()) {
        case Heater _ ->
            heed.add(
                Saying.of(
                    "{}: off since yesterday or run cold first, it scalds. Gas and mains"
                        + " electricity are for licensed hands.",
                    part.label()));
        case Pump _, Macerator _ ->
            heed.add(Saying.of("{}: its fuse out before its wires", part.label()));
        case Tank tank -> {
          double left = state.volume(part.id());
          heed.add(
              Saying.of(
                  "{}: {} in it as it stands. Two people or a jack under it; never under a"
                      + " vehicle on a jack alone.",
                  part.label(),
                  Amount.mass(1000 * left)));
          if (tank.contents() == Contents.GRAY) {
            heed.add(Saying.of("{}: gloves, and wash after", part.label()));
          }
        }
        case Filter _, Strainer _ ->
            heed.add(Saying.of("{}: its bowl is full; a bucket under it", part.label()));
        case DrainTrap _ -> heed.add(Saying.of("{}: gloves, and wash after", part.label()));
        case HoseInlet _,
            GravityFiller _,
            OpenEnd _,
            Valve _,
            CheckValve _,
            AirAdmittanceValve _,
            Regulator _,
            Accumulator _,
            Tee _,
            LeakTray _,
            Manifold _,
            Fixture _,
            PortableContainer _,
            Plug _ -> {}
      }
    }
    heed.add(
        Saying.words(
            "Edges of cut tube and clamps are sharp: gloves. Ends capped at once, against dirt as"
                + " much as against drips."));
    return heed;
  }

  /** Returns which way round each goes back, where it matters. */
  static List<Saying> wayRound(List<Part> out) {
    List<Saying> ways = new ArrayList<>();
    for (Part part : out) {
      switch (part.kind()) {
        case CheckValve _, Regulator _, Filter _, Strainer _ ->
            ways.add(Saying.of("{}: its arrow, or IN, the way the water goes", part.label()));
        case Pump _, Macerator _ ->
            ways.add(Saying.of("{}: IN to the tank, OUT to the taps", part.label()));
        case Valve v ->
            ways.add(
                Saying.of(
                    "{}: its handle as it is at rest, {}",
                    part.label(),
                    v.rest().map(Position::words).orElse("shut")));
        case Heater _ -> ways.add(Saying.of("{}: cold in, hot out", part.label()));
        case Tank _,
            HoseInlet _,
            GravityFiller _,
            OpenEnd _,
            AirAdmittanceValve _,
            Accumulator _,
            LeakTray _,
            Tee _,
            Manifold _,
            Fixture _,
            PortableContainer _,
            DrainTrap _,
            Plug _ -> {}
      }
    }
    return ways;
  }
}
