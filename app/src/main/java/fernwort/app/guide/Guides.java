package fernwort.app.guide;

import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.AnswerStore;
import fernwort.app.store.StaleVersion;
import fernwort.core.describe.Alteration;
import fernwort.core.format.AnswersFormat;
import fernwort.core.guide.Guided;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The answers about each rig, and the rig that they make. */
@Service
class Guides {

  private static final int MOST_ATTEMPTS = 3;

  private static final AnswersFormat FORMAT = new AnswersFormat();

  private final Descriptions rigs;
  private final AnswerStore store;
  private final States states;
  private final TransactionTemplate transaction;

  Guides(
      Descriptions rigs,
      States states,
      AnswerStore store,
      PlatformTransactionManager transactions) {
    this.states = states;
    transaction = new TransactionTemplate(transactions);
    this.rigs = rigs;
    this.store = store;
  }

  /**
   * What was answered about a rig.
   *
   * @param answers the answers
   * @param parted whether the rig was changed otherwise since, so that it is not theirs any more
   */
  record Given(RigAnswers answers, boolean parted) {}

  /** Begins a rig from some answers; returns its address. */
  @Transactional
  public String begin(RigAnswers answers, String who) {
    String id = rigs.add(Guided.of(answers).rig(), who, Says.BEGUN_WITH_QUESTIONS.text());
    store.keep(id, FORMAT.write(answers), rigs.open(id).version());
    return id;
  }

  /**
   * Returns what was answered about a rig: the newest answers that make it as it is, for steps of
   * its description may have been taken back.
   *
   * @throws Refusal when it was not described by questions
   */
  Given given(OpenRig rig) {
    Optional<RigAnswers> newest = Optional.empty();
    Optional<AnswerStore.Kept> kept = store.newest(rig.id());
    while (kept.isPresent()) {
      AnswerStore.Kept one = kept.orElseThrow();
      Optional<RigAnswers> answers = FORMAT.read(one.given());
      if (answers.filter(a -> made(rig, one, a)).isPresent()) {
        return new Given(answers.orElseThrow(), false);
      }
      newest = newest.or(() -> answers);
      kept = store.before(rig.id(), kept.orElseThrow().seq());
    }
    return newest
        .map(a -> new Given(a, true))
        .orElseThrow(() -> new Refusal(Says.THIS_RIG_WAS_NOT_DESCRIBED.with()));
  }

  /** Tells whether answers made a rig as it is. */
  private boolean made(OpenRig rig, AnswerStore.Kept kept, RigAnswers answers) {
    return kept.made().isPresent()
        ? rigs.is(rig, kept.made().orElseThrow())
        : Guided.of(answers).rig().equals(rig.rig());
  }

  /**
   * Reads a page, keeps the answers, and makes the rig anew from them where they change it. It
   * starts from the newest answers, not from those that the page was shown with: what is answered
   * on two pages at once, or typed while an earlier answer is on its way, is all kept.
   *
   * @return the answers after it
   */
  RigAnswers answer(String id, String who, GuidePage page, FilledPage sheet) {
    for (int attempt = 1; ; attempt++) {
      try {
        return once(rigs.open(id), who, page, sheet);
      } catch (StaleVersion stale) {
        if (attempt == MOST_ATTEMPTS) {
          throw stale;
        }
      }
    }
  }

  private RigAnswers once(OpenRig rig, String who, GuidePage page, FilledPage sheet) {
    Given given = given(rig);
    RigAnswers answers = page.read(given.answers(), sheet);
    if (answers.equals(given.answers())) {
      return answers;
    }
    Rig before = Guided.of(given.answers()).rig();
    Alteration step =
        new Alteration.Answered(
            before, Guided.of(answers).rig(), page.title().toLowerCase(Locale.ROOT));
    boolean changes = !fitting(step, rig.rig()).equals(rig.rig());
    transaction.executeWithoutResult(status -> {
      if (changes) {
        rigs.change(rig, rig.version(), who, step);
      }
      int version = rigs.open(rig.id()).version();
      store.keep(rig.id(), FORMAT.write(answers), version);
    });
    if (answers.people() != given.answers().people()
        || !answers.taps().equals(given.answers().taps())) {
      live(rigs.open(rig.id()), answers);
    }
    return answers;
  }

  private static Rig fitting(Alteration step, Rig rig) {
    try {
      return step.on(rig);
    } catch (InvalidRigException unfit) {
      throw new Refusal(Says.DOES_NOT_FIT_WHAT_WAS_DRAWN.with(unfit.problems().getFirst()));
    }
  }

  /** Who travels, and what there is to use water for. */
  private void live(OpenRig rig, RigAnswers answers) {
    Habits was = states.habits(rig);
    Habits now = new Habits(answers.people(), was.pets(), was.season(), was.habits());
    states.setHabits(rig, answers.taps().isEmpty() ? now : now.fitting(uses(answers)));
  }

  private static Map<String, Boolean> uses(RigAnswers answers) {
    Set<RigAnswers.Use> there =
        answers.taps().stream().map(RigAnswers.Tap::use).collect(Collectors.toSet());
    return Map.of(
        "shower", there.contains(RigAnswers.Use.SHOWER),
        "toilet", there.contains(RigAnswers.Use.TOILET),
        "rinse", there.contains(RigAnswers.Use.OUTSIDE));
  }
}
