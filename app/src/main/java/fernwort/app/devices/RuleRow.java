package fernwort.app.devices;

import fernwort.app.live.LiveAnswers.SignalNow;
import fernwort.app.live.RuleDesk;
import fernwort.app.live.RuleText;
import fernwort.app.units.Units;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.SignalKind;
import fernwort.core.live.rule.RuleProof;
import fernwort.core.rig.Rig;
import fernwort.core.run.HappeningWords;
import fernwort.core.say.Times;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A rule as its card shows it.
 *
 * @param title what people call it
 * @param state off, tells or live
 * @param hasButton whether it begins at a button
 * @param when what has to hold, in words
 * @param acts what it does then, in words
 * @param tried what came of trying it, in a sentence
 * @param held whether it may act
 * @param stories the runs that ended in harm
 */
record RuleRow(
    String name,
    String title,
    String state,
    boolean acting,
    boolean hasButton,
    String told,
    List<String> when,
    List<String> acts,
    String tried,
    boolean held,
    List<Story> stories) {

  /** A run that ended in harm: what came of it, and how. */
  record Story(String words, List<String> lines) {}

  static RuleRow of(RuleDesk.RuleNow rule, Map<String, SignalNow> signals, Rig rig, Units units) {
    RuleText text = rule.rule();
    return new RuleRow(
        rule.name(),
        Objects.requireNonNullElse(text.title(), rule.name()),
        rule.state(),
        rule.acting(),
        stream(text.when()).anyMatch(t -> Boolean.TRUE.equals(t.pressed())),
        rule.told(),
        Stream.concat(stream(text.when()), stream(text.onlyIf()))
            .map(t -> test(t, signals, rig, units))
            .toList(),
        stream(text.acts()).map(a -> act(a, signals, rig, units)).toList(),
        tried(rule.proof()) + (rule.proof().held() && leansOnOneSensor(text) ? ALONE : ""),
        rule.proof().held(),
        rule.proof().stories().stream().map(RuleRow::story).toList());
  }

  private static final String ALONE = " " + Says.ITS_SENSOR_ALONE.text();

  /** Tells whether a level sensor alone ends a filling. */
  private static boolean leansOnOneSensor(RuleText text) {
    return stream(text.acts())
        .filter(a -> a.until() != null)
        .anyMatch(a ->
            stream(a.until()).anyMatch(t -> t.above() != null)
                && stream(a.until()).noneMatch(t -> t.is() != null));
  }

  private static <T> Stream<T> stream(@Nullable List<T> list) {
    return list == null ? Stream.empty() : list.stream();
  }

  private static String test(
      RuleText.Test test, Map<String, SignalNow> signals, Rig rig, Units units) {
    if (Boolean.TRUE.equals(test.pressed())) {
      return Says.YOU_PRESS_ITS_BUTTON.text();
    }
    if (test.any() != null) {
      return String.join(
          Says.OR.text(), test.any().stream().map(t -> test(t, signals, rig, units)).toList());
    }
    if (test.part() != null && test.position() != null) {
      return Says.STANDS_AT.filled(
          rig.part(PartId.of(test.part())).label(),
          rig.position(PartId.of(test.part()), PositionId.of(test.position())).words());
    }
    Optional<SignalNow> signal = Optional.ofNullable(signals.get(String.valueOf(test.signal())));
    String what =
        signal
            .map(s -> SignalRow.of(s, rig, false, units).what())
            .orElse(String.valueOf(test.signal()));
    if (test.is() != null) {
      boolean wet = signal.filter(s -> !s.is(SignalKind.PUMP)).isPresent();
      Says on = wet ? Says.WET : Says.RUNS;
      Says off = wet ? Says.DRY : Says.OFF;
      return what + ": " + (test.is() ? on : off).text();
    }
    Double amount = test.above() == null ? test.below() : test.above();
    String shown =
        signal
            .map(s -> SignalRow.amount(SignalKind.of(s.kind()), amount == null ? 0 : amount, units))
            .orElse(String.valueOf(amount));
    return (test.above() == null ? Says.IS_BELOW : Says.IS_ABOVE).filled(what, shown);
  }

  private static String act(
      RuleText.Act act, Map<String, SignalNow> signals, Rig rig, Units units) {
    if (act.until() != null) {
      return Says.WAIT_UNTIL.filled(
          String.join(
              Says.OR.text(),
              act.until().stream().map(t -> test(t, signals, rig, units)).toList()));
    }
    if (act.pause() != null) {
      return Says.WAIT_FOR.filled(Times.of(act.pause()));
    }
    if (act.say() != null) {
      return Says.SAY.filled(act.say());
    }
    String part = String.valueOf(act.turn());
    String position = String.valueOf(act.to());
    return Says.TURN.filled(
        rig.part(PartId.of(part)).label(),
        rig.position(PartId.of(part), PositionId.of(position)).words());
  }

  private static String tried(RuleDesk.Proof proof) {
    if (!proof.done()) {
      return Says.IS_BEING_TRIED.text();
    }
    if (proof.held()) {
      return Says.HELD_IN.filled(proof.runs());
    }
    return proof.stories().isEmpty() ? Says.NEVER_ENDED.text() : Says.ENDED_IN_HARM.text();
  }

  private static Story story(RuleProof.Story story) {
    return new Story(
        Says.WHEN.filled(story.fault().words(), story.harm()),
        story.story().stream().map(l -> HappeningWords.time(l.at()) + ": " + l.words()).toList());
  }
}
