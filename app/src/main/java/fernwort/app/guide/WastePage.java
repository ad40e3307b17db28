package fernwort.app.guide;

import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.RigAnswers;
import fernwort.core.guide.RigAnswers.Runs;
import fernwort.core.guide.RigAnswers.Tap;
import fernwort.core.guide.RigAnswers.Use;
import fernwort.core.guide.RigAnswers.Waste;
import fernwort.core.kind.tank.Contents;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** How waste runs off: shared traps, the dump valve and its outlet. */
final class WastePage implements GuidePage {

  @Override
  public String id() {
    return "waste";
  }

  @Override
  public String title() {
    return "Waste";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Card> cards = new ArrayList<>();
    List<Tap> drained = drained(answers);
    if (drained.size() > 1) {
      cards.add(
          new Card(
              "traps",
              Says.WHICH_SHARE_A_TRAP.text(),
              Says.THE_BEND_OR_BOTTLE_UNDER.text(),
              drained.stream()
                  .map(t ->
                      Field.tick(
                          "shares-" + t.use().name(),
                          t.use().name().charAt(0)
                              + t.use().name().substring(1).toLowerCase(Locale.ROOT),
                          answers.waste().sharedTrap().contains(t.use()),
                          ""))
                  .toList()));
    }
    boolean gray = !answers.tanks(Contents.GRAY).isEmpty();
    cards.add(
        new Card(
            "dump",
            gray ? Says.EMPTYING_THE_GRAY_TANK.text() : Says.THERE_IS_NO_GRAY_TANK.text(),
            gray
                ? Says.ITS_OUTLET_HAS_A_CAP_AND_TAKES.text()
                : Says.EVERY_WASTE_RUNS_ONTO_THE_GROUND.text(),
            gray
                ? List.of(
                    Field.tick(
                        "dump-valve",
                        Says.A_VALVE_BEFORE_THE_OUTLET.text(),
                        answers.waste().dumpValve(),
                        ""))
                : List.of()));
    return cards;
  }

  private static List<Tap> drained(RigAnswers answers) {
    return answers.taps().stream()
        .filter(t -> t.runs() == Runs.TANK && t.use() != Use.TOILET)
        .toList();
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    Set<Use> shared = EnumSet.noneOf(Use.class);
    for (Use use : Use.values()) {
      if (sheet.tick("shares-" + use.name())) {
        shared.add(use);
      }
    }
    boolean gray = !before.tanks(Contents.GRAY).isEmpty();
    boolean valve = gray ? sheet.tick("dump-valve") : before.waste().dumpValve();
    return before.running(new Waste(shared, valve));
  }
}
