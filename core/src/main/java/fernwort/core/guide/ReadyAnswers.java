package fernwort.core.guide;

import fernwort.core.guide.RigAnswers.Drain;
import fernwort.core.guide.RigAnswers.Fill;
import fernwort.core.guide.RigAnswers.Hot;
import fernwort.core.guide.RigAnswers.Joins;
import fernwort.core.guide.RigAnswers.Mains;
import fernwort.core.guide.RigAnswers.Piece;
import fernwort.core.guide.RigAnswers.Points;
import fernwort.core.guide.RigAnswers.Position;
import fernwort.core.guide.RigAnswers.Runs;
import fernwort.core.guide.RigAnswers.Selector;
import fernwort.core.guide.RigAnswers.Size;
import fernwort.core.guide.RigAnswers.Spot;
import fernwort.core.guide.RigAnswers.Tank;
import fernwort.core.guide.RigAnswers.Tap;
import fernwort.core.guide.RigAnswers.Third;
import fernwort.core.guide.RigAnswers.Use;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Answers to begin with, for the ready layouts that the questions can tell. */
public final class ReadyAnswers {

  private static final Selector PUMP_OR_DRAIN =
      new Selector(
          Third.DRAIN,
          List.of(
              new Position(Points.RIGHT, Joins.TANK_AND_PUMP),
              new Position(Points.UP, Joins.NOTHING),
              new Position(Points.DOWN, Joins.TANK_AND_THIRD)));

  private ReadyAnswers() {}

  /**
   * Returns the answers that come nearest to a ready layout.
   *
   * @param layout its short name
   * @param name what the rig is called
   * @return empty for a layout that the questions cannot tell
   */
  public static Optional<RigAnswers> of(String layout, String name) {
    return switch (layout) {
      case "one-tank" -> Optional.of(oneTank(name));
      case "pump-or-drain" ->
          Optional.of(
              oneTank(name).drawing(List.of(Piece.THREE_WAY, Piece.STRAINER), PUMP_OR_DRAIN));
      case "shore-and-bucket" ->
          Optional.of(
              filled(oneTank(name), Set.of(Fill.NECK, Fill.MAINS))
                  .filledBy(new Mains(new Spot(0, 0), 0.9, true, true, true, true))
                  .drawing(List.of(Piece.THREE_WAY, Piece.STRAINER), Selector.USUAL));
      case "jug" -> Optional.of(cans(name));
      case "main-and-low" -> Optional.of(mainAndLow(name));
      case "long-stay" -> Optional.of(longStay(name));
      default -> Optional.empty();
    };
  }

  /** A can in and a can out, with a foot pump between. */
  private static RigAnswers cans(String name) {
    Size can = new Size(0.34, 0.18, 0.4);
    Tank fresh =
        tank("t1", "Fresh can", Contents.FRESH, can, new Spot(1, 0), 0.68, Set.of(Fill.NECK), 1.1);
    Tank gray = tank("t2", "Gray can", Contents.GRAY, can, new Spot(1, 1), 0.66, Set.of(), 1.1);
    RigAnswers none = RigAnswers.of(name);
    return none.with(List.of(fresh, gray))
        .pumping(pump(none, Pump.Type.FOOT, 0.66, 4e-3 / 60, 1.2e5, List.of(), Hot.NONE, false))
        .tapping(List.of(new Tap(Use.SINK, new Spot(1, 1), 1.25, Runs.TANK)))
        .running(new RigAnswers.Waste(Set.of(), false));
  }

  /** More water under the floor, moved up by a pump of its own. */
  private static RigAnswers mainAndLow(String name) {
    RigAnswers one = oneTank(name);
    Tank low =
        tank(
            "t3",
            "Low fresh",
            Contents.FRESH,
            new Size(0.85, 0.5, 0.2),
            new Spot(1, 1),
            0.33,
            Set.of(Fill.NECK),
            0.75);
    List<Tank> tanks = new ArrayList<>();
    for (Tank tank : one.tanks()) {
      tanks.add(tank.id().equals("t1") ? tank.filledFrom(Optional.of("t3")) : tank);
    }
    tanks.add(low);
    return one.with(tanks);
  }

  /** Filters, manifolds and hot water; its loop for hot water at once is for the editor. */
  private static RigAnswers longStay(String name) {
    Tank fresh =
        tank(
            "t1",
            "Fresh",
            Contents.FRESH,
            new Size(1.6, 0.6, 0.4),
            new Spot(1, 1),
            1,
            Set.of(Fill.MAINS),
            1.9);
    Tank gray =
        tank(
            "t2",
            "Gray",
            Contents.GRAY,
            new Size(1.2, 0.7, 0.3),
            new Spot(3, 1),
            0.45,
            Set.of(),
            1.6);
    RigAnswers none = RigAnswers.of(name);
    return none.on(name, 4, new RigAnswers.Van(Vehicle.Body.TRUCK, 9))
        .with(List.of(fresh, gray))
        .filledBy(new Mains(new Spot(0, 0), 1.1, true, true, true, true))
        .drawing(List.of(Piece.SHUT_OFF, Piece.STRAINER), none.selector())
        .pumping(
            pump(
                none,
                Pump.Type.DIAPHRAGM,
                1.2,
                15e-3 / 60,
                3.2e5,
                List.of(Filter.Grade.SEDIMENT, Filter.Grade.CARBON),
                Hot.STORAGE,
                true))
        .tapping(
            List.of(
                new Tap(Use.SINK, new Spot(3, 2), 1.9, Runs.TANK),
                new Tap(Use.BASIN, new Spot(2, 2), 1.9, Runs.TANK),
                new Tap(Use.SHOWER, new Spot(2, 0), 2.3, Runs.TANK),
                new Tap(Use.TOILET, new Spot(2, 0), 1.6, Runs.TANK)))
        .low(new RigAnswers.Lows(true, true), none.bores());
  }

  private static RigAnswers.Pump pump(
      RigAnswers none,
      Pump.Type type,
      double height,
      double flow,
      double cutOut,
      List<Filter.Grade> filters,
      Hot hot,
      boolean manifolds) {
    return new RigAnswers.Pump(
        type,
        none.pump().spot(),
        height,
        flow,
        cutOut,
        manifolds,
        filters,
        hot,
        none.pump().heaterVolume(),
        manifolds);
  }

  /** A tank of some outside size, its vent over its neck. */
  private static Tank tank(
      String id,
      String label,
      Contents contents,
      Size size,
      Spot spot,
      double bottom,
      Set<Fill> fills,
      double neckHeight) {
    boolean fresh = contents == Contents.FRESH;
    return new Tank(
        id,
        label,
        contents,
        Optional.empty(),
        Optional.of(size),
        false,
        spot,
        bottom,
        fills,
        spot,
        neckHeight,
        neckHeight + 0.05,
        false,
        fresh ? Drain.CAP : Drain.NONE);
  }

  private static RigAnswers oneTank(String name) {
    Tank fresh =
        new Tank(
            "t1",
            "Fresh",
            Contents.FRESH,
            Optional.empty(),
            Optional.of(new Size(0.9, 0.4, 0.26)),
            false,
            new Spot(1, 0),
            0.66,
            Set.of(Fill.NECK),
            new Spot(2, 0),
            1.35,
            1.3,
            false,
            Drain.CAP);
    Tank gray =
        new Tank(
            "t2",
            "Gray",
            Contents.GRAY,
            Optional.empty(),
            Optional.of(new Size(0.7, 0.45, 0.2)),
            false,
            new Spot(3, 2),
            0.3,
            Set.of(),
            new Spot(2, 0),
            1.3,
            0.95,
            false,
            Drain.NONE);
    RigAnswers none = RigAnswers.of(name);
    return none.with(List.of(fresh, gray))
        .drawing(List.of(Piece.STRAINER), none.selector())
        .tapping(List.of(new Tap(Use.SINK, new Spot(3, 2), 1.55, Runs.TANK)))
        .low(new RigAnswers.Lows(true, false), none.bores());
  }

  private static RigAnswers filled(RigAnswers answers, Set<Fill> fills) {
    return answers.with(
        answers.tanks().stream()
            .map(
                t -> t.contents() == Contents.FRESH ? t.filled(fills, t.neck(), t.neckHeight()) : t)
            .toList());
  }
}
