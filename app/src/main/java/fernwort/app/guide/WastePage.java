package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Runs;
import fernwort.core.guide.answers.RigAnswers.Tap;
import fernwort.core.guide.answers.RigAnswers.Use;
import fernwort.core.guide.answers.RigAnswers.Waste;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Drain;
import fernwort.core.guide.answers.WasteParts;
import fernwort.core.kind.tank.Contents;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** How waste runs off: shared traps, the dump valve and its outlet. */
final class WastePage implements GuidePage {

  /** Outlets of gray tanks, the usual one and that of a large hose (m). */
  private static final double OUTLET = 0.038;

  private static final double WIDE_OUTLET = 0.076;

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
    Optional<TankAnswers> first = answers.tanks(Contents.GRAY).stream().findFirst();
    boolean carried = first.filter(t -> t.drain() == Drain.CARRIED).isPresent();
    boolean gray = !answers.tanks(Contents.GRAY).isEmpty();
    cards.add(
        new Card(
            "dump",
            gray ? Says.EMPTYING_THE_GRAY_TANK.text() : Says.THERE_IS_NO_GRAY_TANK.text(),
            !gray
                ? Says.EVERY_WASTE_RUNS_ONTO_THE_GROUND.text()
                : carried
                    ? Says.IT_IS_CARRIED_OUT_AND_TIPPED.text()
                    : Says.ITS_OUTLET_HAS_A_CAP_AND_TAKES.text(),
            gray && !carried ? List.of(valve(answers), outlet(answers, units)) : List.of()));
    if (gray) {
      cards.add(new Card("more", Says.WHAT_RUNS_INTO_IT.text(), "", into(answers)));
    }
    return cards;
  }

  private static Field valve(RigAnswers answers) {
    return Field.tick(
        "dump-valve", Says.A_VALVE_BEFORE_THE_OUTLET.text(), answers.waste().dumpValve(), "");
  }

  private static Field outlet(RigAnswers answers, Units units) {
    return GuidePage.amount(
        "outlet",
        Says.HOW_WIDE_ITS_OUTLET_IS.text(),
        units,
        Measure.LENGTH,
        answers.waste().parts().outlet().orElse(OUTLET),
        Says.INSIDE_MANY_ARE_OF.filled(
            units.show(Measure.LENGTH, OUTLET), units.show(Measure.LENGTH, WIDE_OUTLET)));
  }

  private static List<Field> into(RigAnswers answers) {
    WasteParts parts = answers.waste().parts();
    return List.of(
        Field.choice(
            "meet",
            Says.HOW_WASTES_REACH_THE_TANK.text(),
            parts.meet() ? "ONE" : "EACH",
            List.of(
                new Field.Option("EACH", Says.EACH_BY_A_LINE_OF_ITS_OWN.text()),
                new Field.Option("ONE", Says.THEY_MEET_IN_ONE_LINE.text()))),
        Field.tick("separator", Says.A_URINE_SEPARATOR.text(), parts.separator(), ""),
        Field.tick(
            "rinse",
            Says.A_HOSE_INLET_RINSES_IT.text(),
            parts.rinse(),
            Says.NEVER_FOR_DRINKING_WATER.text()));
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
    return before.running(new Waste(shared, valve, parts(before.waste().parts(), sheet)));
  }

  private static WasteParts parts(WasteParts was, FilledPage sheet) {
    if (!sheet.has("meet")) {
      return was;
    }
    double before = was.outlet().orElse(OUTLET);
    double outlet =
        sheet.amount("outlet", Says.ITS_OUTLET.text(), Measure.LENGTH, before, 0.01, 0.15);
    return new WasteParts(
        sheet.text("meet").equals("ONE"),
        sheet.tick("separator"),
        sheet.tick("rinse"),
        outlet == OUTLET ? was.outlet() : Optional.of(outlet));
  }
}
