package fernwort.app.jobs;

import fernwort.app.board.Symbol;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.jobs.goal.Step;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Times;
import java.util.List;
import java.util.Optional;

/**
 * A step in words and a drawing.
 *
 * @param what what to do
 * @param place where, empty for a wait
 * @param reach how to get at it
 * @param symbol how the handle looks afterwards
 * @param looks the same in words
 * @param why what it is for
 * @param notice what to see, hear or feel
 * @param time how long it takes, empty when that is not known or nothing to wait for
 * @param seconds the same for a timer, 0 for none
 * @param amount what is moved meanwhile
 * @param then what happens if one lets it go on
 * @param levels levels that can be recorded at its end
 */
record StepView(
    String what,
    String place,
    String reach,
    Optional<Symbol> symbol,
    String looks,
    String why,
    String notice,
    String time,
    long seconds,
    String amount,
    List<String> then,
    String levels) {

  static StepView of(Rig rig, Step step, Units units) {
    return switch (step) {
      case Step.Move move -> move(rig, move, units);
      case Step.Wait wait -> wait(rig, wait, units);
    };
  }

  /** A move of a part that was taken out since, as it was; or by its id, if no version has it. */
  static StepView gone(Optional<Rig> before, Step.Move move, Units units) {
    String since = Says.THE_RIG_HAS_NO_SUCH_PART.text();
    return before
        .map(rig -> {
          StepView as = of(rig, move, units);
          return new StepView(
              as.what, as.place, as.reach, as.symbol, as.looks, since, "", "", 0, "", List.of(),
              "");
        })
        .orElseGet(() ->
            new StepView(
                move.part() + ": " + move.to(),
                "",
                "",
                Optional.empty(),
                move.to().value(),
                since,
                "",
                "",
                0,
                "",
                List.of(),
                ""));
  }

  private static StepView move(Rig rig, Step.Move move, Units units) {
    Part part = rig.part(move.part());
    Place place = rig.place(part.place());
    String looks = rig.position(move.part(), move.to()).words();
    return new StepView(
        move.words().isEmpty()
            ? part.kind().act(part.label(), move.from(), move.to())
            : move.words(),
        place.label(),
        place.reach(),
        Optional.of(Symbol.of(part, move.to())),
        looks,
        units.say(move.why()),
        move.notice(),
        "",
        0,
        "",
        List.of(),
        "");
  }

  private static String time(Step.Span span) {
    return Times.of(span.low(), span.expected(), span.high());
  }

  private static StepView wait(Rig rig, Step.Wait wait, Units units) {
    boolean timed = wait.seconds().isKnown();
    return new StepView(
        units.say(wait.words()),
        "",
        "",
        Optional.empty(),
        "",
        "",
        wait.notice(),
        timed ? time(wait.seconds()) : "",
        timed ? Math.round(wait.seconds().expected()) : 0,
        wait.moved() > 0 ? units.show(Measure.VOLUME, wait.moved()) : "",
        wait.then().stream()
            .map(t -> units.say(Message.of("After {} {}", Amount.time(t.seconds()), t.words())))
            .toList(),
        String.join(
            ", ",
            wait.levels().keySet().stream()
                .filter(tank -> rig.partsById().containsKey(tank))
                .sorted()
                .map(tank ->
                    rig.part(tank).label()
                        + " "
                        + units.show(Measure.VOLUME, wait.levels().getOrDefault(tank, 0.0)))
                .toList()));
  }
}
