package fernwort.app.guide;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Units;
import fernwort.core.guide.Guided;
import fernwort.core.guide.QuestionPage;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.review.Finding;
import fernwort.core.review.LayoutReview;
import java.util.List;

/**
 * What has come of the answers.
 *
 * @param ways one line for each way of the water
 * @param guesses what was guessed, and what it matters for
 * @param flow what a tap gives with shorter and longer lines than guessed; empty for none
 * @param findings what the review of the layout has found, the gravest first
 */
public record LookBack(List<String> ways, List<Guessed> guesses, String flow, List<Said> findings) {

  private static final int MOST_FINDINGS = 12;

  /** Two sentences that belong together. */
  public record Said(String what, String more) {}

  /**
   * Something that was guessed.
   *
   * @param what what is taken
   * @param matters what it matters for
   * @param page the page that settles it; empty where only a tape does
   */
  public record Guessed(String what, String matters, String page) {}

  static LookBack of(OpenRig rig, RigAnswers answers, Units units) {
    Guided guided = Guided.of(answers);
    return new LookBack(
        guided.ways().stream().map(units::say).toList(),
        guided.guesses().stream()
            .map(g ->
                new Guessed(
                    units.say(g.what()),
                    units.say(g.matters()),
                    g.about().page().map(QuestionPage::id).orElse("")))
            .toList(),
        guided.flow().map(units::say).orElse(""),
        LayoutReview.of(rig.network()).stream()
            .filter(f -> f.risk() != Finding.Risk.BOTHER)
            .limit(MOST_FINDINGS)
            .map(f -> new Said(units.say(f.title()), units.say(f.fix())))
            .toList());
  }
}
