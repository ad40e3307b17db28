package fernwort.core.guide;

import fernwort.core.guide.Answers.Drain;
import fernwort.core.guide.Answers.Fill;
import fernwort.core.guide.Answers.Joins;
import fernwort.core.guide.Answers.Mains;
import fernwort.core.guide.Answers.Piece;
import fernwort.core.guide.Answers.Points;
import fernwort.core.guide.Answers.Position;
import fernwort.core.guide.Answers.Runs;
import fernwort.core.guide.Answers.Selector;
import fernwort.core.guide.Answers.Size;
import fernwort.core.guide.Answers.Spot;
import fernwort.core.guide.Answers.Tank;
import fernwort.core.guide.Answers.Tap;
import fernwort.core.guide.Answers.Third;
import fernwort.core.guide.Answers.Use;
import fernwort.core.rig.Contents;
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
  public static Optional<Answers> of(String layout, String name) {
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
      default -> Optional.empty();
    };
  }

  private static Answers oneTank(String name) {
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
    Answers none = Answers.of(name);
    return none.with(List.of(fresh, gray))
        .drawing(List.of(Piece.STRAINER), none.selector())
        .tapping(List.of(new Tap(Use.SINK, new Spot(3, 2), 1.55, Runs.TANK)))
        .low(new Answers.Lows(true, false), none.bores());
  }

  private static Answers filled(Answers answers, Set<Fill> fills) {
    return answers.with(
        answers.tanks().stream()
            .map(
                t -> t.contents() == Contents.FRESH ? t.filled(fills, t.neck(), t.neckHeight()) : t)
            .toList());
  }
}
