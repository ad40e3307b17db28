package fernwort.core.guide;

import fernwort.core.guide.answers.HeaterParts;
import fernwort.core.guide.answers.InletBranches;
import fernwort.core.guide.answers.Passages;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.PumpParts;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Piece;
import fernwort.core.guide.answers.RigAnswers.Runs;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.RigAnswers.Tap;
import fernwort.core.guide.answers.RigAnswers.Use;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Drain;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.guide.answers.TankAnswers.Size;
import fernwort.core.guide.answers.Venting;
import fernwort.core.guide.answers.WasteParts;
import fernwort.core.id.PortId;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Face;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** Answers that nobody gave: every kind of vehicle, tank, piece and tap, anywhere. */
final class AnyAnswers {

  private AnyAnswers() {}

  private static <E extends Enum<E>> E any(Class<E> of, Random random) {
    E[] all = of.getEnumConstants();
    return all[random.nextInt(all.length)];
  }

  private static RigAnswers.Van anyVan(Random random) {
    RigAnswers.StandsOn stands = any(RigAnswers.StandsOn.class, random);
    return new RigAnswers.Van(
        stands.body(),
        3 + 6 * random.nextDouble(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.of(stands));
  }

  private static Spot spot(Random random) {
    return new Spot(random.nextInt(5), random.nextInt(3));
  }

  private static TankAnswers anyTank(int n, Contents contents, Random random) {
    TankAnswers tank = plain(n, contents, random);
    List<TankAnswers.Opening> openings = new ArrayList<>();
    for (PortId port :
        List.of(
            PortId.of("vent"),
            PortId.of("neck"),
            PortId.of("mains"),
            PortId.of("feed"),
            PortId.of("drain"),
            PortId.WASTE,
            PortId.of("transfer"))) {
      if (random.nextInt(4) == 0) {
        openings.add(
            new TankAnswers.Opening(
                port, any(Face.class, random), random.nextDouble(), random.nextDouble()));
      }
    }
    Optional<String> from =
        random.nextInt(3) == 0 ? Optional.of("t" + random.nextInt(4)) : Optional.empty();
    Optional<Boolean> drawn =
        random.nextInt(3) == 0 ? Optional.of(random.nextBoolean()) : Optional.empty();
    return tank.filledFrom(
            from,
            new Passages(
                any(Passages.By.class, random),
                random.nextBoolean(),
                random.nextBoolean(),
                random.nextBoolean(),
                drawn))
        .breathing(
            new Venting(
                random.nextInt(4) == 0,
                random.nextInt(4) == 0,
                any(Venting.Second.class, random),
                random.nextInt(4) == 0 ? Optional.of("t" + random.nextInt(4)) : Optional.empty()))
        .formed(random.nextInt(3) == 0 ? any(TankAnswers.Form.class, random) : TankAnswers.Form.BOX)
        .opened(openings);
  }

  private static TankAnswers plain(int n, Contents contents, Random random) {
    boolean under = random.nextBoolean();
    Set<Fill> fills = EnumSet.noneOf(Fill.class);
    if (contents == Contents.FRESH) {
      for (Fill fill : Fill.values()) {
        if (random.nextInt(3) == 0) {
          fills.add(fill);
        }
      }
    }
    double bottom = under ? 0.3 + 0.1 * random.nextDouble() : 0.7 + 0.4 * random.nextDouble();
    return new TankAnswers(
        "t" + n,
        (contents == Contents.FRESH ? "Fresh " : "Gray ") + n,
        contents,
        random.nextInt(4) == 0 ? Optional.empty() : Optional.of(0.02 + 0.2 * random.nextDouble()),
        random.nextBoolean()
            ? Optional.empty()
            : Optional.of(
                new Size(0.3 + random.nextDouble(), 0.3 + 0.4 * random.nextDouble(), 0.25)),
        random.nextBoolean(),
        spot(random),
        bottom,
        fills,
        spot(random),
        bottom + 0.4 + 0.4 * random.nextDouble(),
        bottom + 0.45 + 0.8 * random.nextDouble(),
        random.nextBoolean(),
        any(Drain.class, random));
  }

  private static PumpAnswers.Heat anyHeater(Random random) {
    return new PumpAnswers.Heat(
        spot(random),
        0.7 + 0.4 * random.nextDouble(),
        any(PumpAnswers.HeaterDrain.class, random),
        random.nextBoolean(),
        new HeaterParts(
            any(HeaterParts.Bypass.class, random),
            random.nextInt(3) == 0,
            random.nextInt(3) == 0,
            random.nextInt(3) == 0,
            random.nextInt(3) == 0));
  }

  private static PumpParts anyParts(Random random) {
    return new PumpParts(
        random.nextBoolean() ? Optional.empty() : Optional.of(any(PumpParts.Mover.class, random)),
        random.nextBoolean() ? Optional.empty() : Optional.of(1.2e-4),
        any(PumpParts.Source.class, random),
        random.nextBoolean(),
        random.nextInt(3) == 0,
        random.nextInt(4) == 0,
        any(PumpParts.Back.class, random),
        random.nextInt(4) == 0);
  }

  /** Returns the answers of a seed. */
  static RigAnswers of(long seed) {
    Random random = new Random(seed);
    RigAnswers none = RigAnswers.of("Drawn " + seed);
    List<TankAnswers> tanks = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      tanks.add(anyTank(tanks.size(), Contents.FRESH, random));
    }
    for (int i = random.nextInt(3); i > 0; i--) {
      tanks.add(anyTank(tanks.size(), Contents.GRAY, random));
    }
    List<Piece> suction = new ArrayList<>();
    List<Tap> taps = new ArrayList<>();
    for (Piece piece : Piece.values()) {
      if (random.nextBoolean()) {
        suction.add(random.nextInt(suction.size() + 1), piece);
      }
    }
    Set<Use> shared = EnumSet.noneOf(Use.class);
    for (Use use : Use.values()) {
      if (random.nextBoolean()) {
        taps.add(
            new Tap(use, spot(random), 1 + 0.6 * random.nextDouble(), any(Runs.class, random)));
      }
      if (random.nextInt(3) == 0) {
        shared.add(use);
      }
    }
    return new RigAnswers(
        none.name(),
        2,
        anyVan(random),
        tanks,
        new RigAnswers.Mains(
            spot(random),
            0.6 + 0.6 * random.nextDouble(),
            random.nextBoolean(),
            random.nextBoolean(),
            random.nextBoolean(),
            random.nextBoolean(),
            new InletBranches(
                any(InletBranches.ChosenBy.class, random),
                random.nextBoolean(),
                random.nextBoolean(),
                random.nextBoolean(),
                random.nextInt(3) == 0
                    ? Optional.of(new InletBranches.SecondInlet(spot(random), 0.8))
                    : Optional.empty())),
        suction,
        new RigAnswers.Selector(any(RigAnswers.Third.class, random), none.selector().positions()),
        new PumpAnswers(
            any(Pump.Type.class, random),
            spot(random),
            0.7 + 0.4 * random.nextDouble(),
            (6 + 10 * random.nextDouble()) * 1e-3 / 60,
            (1.5 + 2 * random.nextDouble()) * 1e5,
            random.nextBoolean(),
            random.nextBoolean() ? List.of() : List.of(any(Filter.Grade.class, random)),
            any(PumpAnswers.Hot.class, random),
            0.01,
            random.nextBoolean(),
            random.nextBoolean() ? Optional.empty() : Optional.of(anyHeater(random)),
            anyParts(random)),
        taps,
        new RigAnswers.Waste(
            shared,
            random.nextBoolean(),
            new WasteParts(
                random.nextBoolean(),
                random.nextInt(4) == 0,
                random.nextInt(4) == 0,
                random.nextInt(4) == 0 ? Optional.of(0.076) : Optional.empty())),
        new RigAnswers.Lows(random.nextBoolean(), random.nextBoolean(), any(Drain.class, random)),
        none.bores());
  }
}
