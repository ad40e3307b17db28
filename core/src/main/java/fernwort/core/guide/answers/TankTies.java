package fernwort.core.guide.answers;

import fernwort.core.guide.answers.Passages.By;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Contents;
import java.util.List;
import java.util.Optional;

/** What the tanks of some answers have to do with each other and with the pump. */
public final class TankTies {

  private TankTies() {}

  /** Tells whether a tank has a filler. */
  public static boolean hasNeck(TankAnswers tank) {
    return tank.fills().contains(Fill.NECK) || tank.fills().contains(Fill.JUG);
  }

  /** Tells whether water from another tank comes into the hose of a filler; a link is too low. */
  public static boolean comesIntoFiller(RigAnswers answers, TankAnswers tank) {
    return tank.passages().intoFiller()
        && tank.passages().by() != By.LINK
        && hasNeck(tank)
        && source(answers, tank).isPresent();
  }

  /** Tells whether the pump sends water back into a tank: the first that it draws from. */
  public static boolean returns(RigAnswers answers, TankAnswers tank) {
    return answers.pump().parts().back() != PumpParts.Back.NONE
        && answers.pump().mover() != PumpParts.Mover.NONE
        && answers.tanks(Contents.FRESH).stream()
            .filter(t -> isDrawnFrom(answers, t))
            .findFirst()
            .filter(tank::equals)
            .isPresent();
  }

  /** Returns the fresh tank that another is filled from, where there is one. */
  public static Optional<TankAnswers> source(RigAnswers answers, TankAnswers tank) {
    return answers.tanks(Contents.FRESH).stream()
        .filter(t -> tank.contents() == Contents.FRESH)
        .filter(t -> tank.from().filter(t.id()::equals).isPresent() && !t.id().equals(tank.id()))
        .findFirst();
  }

  /** Returns the tanks that are filled from a tank. */
  public static List<TankAnswers> fedBy(RigAnswers answers, TankAnswers tank) {
    return answers.tanks(Contents.FRESH).stream()
        .filter(t -> source(answers, t).filter(tank::equals).isPresent())
        .toList();
  }

  /** Returns the tanks that a tank gives to by the line through which the supply draws from it. */
  public static List<TankAnswers> givesByOutlet(RigAnswers answers, TankAnswers tank) {
    return isDrawnFrom(answers, tank)
        ? fedBy(answers, tank).stream()
            .filter(fed -> fed.passages().fromOutlet() && fed.passages().by() != By.OVERFLOW)
            .toList()
        : List.of();
  }

  /**
   * Tells whether the supply draws from a tank, as somebody said, else as is usual: one that gives
   * its water to another by a pump is not drawn from, nor one that is linked to another, unless
   * nothing would be left.
   */
  public static boolean isDrawnFrom(RigAnswers answers, TankAnswers tank) {
    boolean nothingLeft =
        answers.tanks(Contents.FRESH).stream().noneMatch(t -> isUsuallyDrawn(answers, t));
    return drawsAtAll(answers)
        && tank.passages().drawn().orElse(nothingLeft || isUsuallyDrawn(answers, tank));
  }

  private static boolean isUsuallyDrawn(RigAnswers answers, TankAnswers tank) {
    boolean linked = source(answers, tank).isPresent() && tank.passages().by() == By.LINK;
    return !linked
        && fedBy(answers, tank).stream().noneMatch(fed -> fed.passages().by() == By.PUMP);
  }

  /** Tells whether there is anything that draws: a pump, or taps that water runs down to. */
  private static boolean drawsAtAll(RigAnswers answers) {
    return answers.pump().mover() != PumpParts.Mover.NONE || !answers.taps().isEmpty();
  }

  /** The opening by which a tank gives to another. */
  public static PortId toward(TankAnswers fed) {
    return PortId.of("to-" + fed.id());
  }
}
