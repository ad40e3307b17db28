package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.answers.InletBranches;
import fernwort.core.guide.answers.InletBranches.SecondInlet;
import fernwort.core.guide.answers.Passages;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Mains;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.kind.tank.Contents;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** How the fresh tanks are filled: neck, jug, mains, float; and the hose inlet. */
final class FillPage implements GuidePage {

  /** What fills few tanks. */
  private static final Set<Fill> FEW = EnumSet.of(Fill.LOW_FLOAT, Fill.BARREL, Fill.OUTLET);

  @Override
  public String id() {
    return "fill";
  }

  @Override
  public String title() {
    return "Filling";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Card> cards = new ArrayList<>();
    for (TankAnswers tank : answers.tanks(Contents.FRESH)) {
      String t = tank.id() + "-";
      List<Field> fields = new ArrayList<>();
      fields.add(tick(tank, Fill.NECK, Says.THROUGH_A_FILLER_WITH_A_CAP.text()));
      fields.add(tick(tank, Fill.JUG, Says.FROM_A_JUG_POURED.text()));
      fields.add(tick(tank, Fill.MAINS, Says.FROM_THE_HOSE_INLET_UNDER.text()));
      fields.add(tick(tank, Fill.FLOAT, Says.FROM_THE_HOSE_INLET_WITH_A_FLOAT.text()));
      List<Field.Option> others = others(answers, tank);
      if (others.size() > 1) {
        fields.add(
            Field.choice(
                t + "from", Says.FROM_ANOTHER_TANK_AS_WELL.text(), tank.from().orElse(""), others));
        fields.add(
            Field.choice(
                t + "by",
                Says.WHAT_BRINGS_IT_OVER.text(),
                tank.passages().by().name(),
                List.of(
                    new Field.Option("PUMP", Says.A_PUMP_OF_ITS_OWN.text()),
                    new Field.Option("OVERFLOW", Says.THE_OTHER_RUNS_OVER_INTO_IT.text()),
                    new Field.Option("LINK", Says.A_LINE_BETWEEN_THEIR_BOTTOMS.text()))));
      }
      fields.add(
          Field.spot(t + "neck", Says.WHERE_ITS_FILLER_IS.text(), FilledPage.spot(tank.neck())));
      fields.add(
          GuidePage.amount(
              t + "neck-height",
              Says.THE_FILLER_ABOVE_THE_GROUND.text(),
              units,
              Measure.LENGTH,
              tank.neckHeight(),
              Says.LEFT_AS.text()));
      cards.add(
          new Card(
                  tank.id(),
                  Says.IS_FILLED.filled(tank.label()),
                  Says.TICK_ALL_THAT_APPLY.text(),
                  fields)
              .with(more(tank, others.size() > 1)));
    }
    Mains mains = answers.mains();
    cards.add(
        new Card(
                "mains",
                Says.THE_HOSE_INLET.text(),
                Says.WHERE_A_HOSE_FROM_A_TAP.text(),
                List.of(
                    Field.tick(
                        "taps", Says.IT_LEADS_TO_THE_TAPS_AS_WELL.text(), mains.toTaps(), ""),
                    Field.spot("inlet", Says.WHERE_IT_IS.text(), FilledPage.spot(mains.spot())),
                    GuidePage.amount(
                        "inlet-height",
                        Says.THE_INLET_ABOVE_THE_GROUND.text(),
                        units,
                        Measure.LENGTH,
                        mains.height(),
                        ""),
                    Field.tick(
                        "regulator",
                        Says.A_PRESSURE_REGULATOR_FOLLOWS_IT.text(),
                        mains.regulator(),
                        Says.A_ROUND_OR_BELL_SHAPED_FITTING.text()),
                    Field.tick(
                        "check",
                        Says.A_CHECK_VALVE_FOLLOWS_IT.text(),
                        mains.check(),
                        Says.A_SHORT_FITTING_WITH_AN_ARROW.text()),
                    Field.tick("shut-off", Says.A_VALVE_CLOSES_IT.text(), mains.shutOff(), "")))
            .with(more(mains, units)));
    return cards;
  }

  /** What fills few tanks. */
  private static More more(TankAnswers tank, boolean others) {
    String t = tank.id() + "-";
    Passages passages = tank.passages();
    List<Field> fields = new ArrayList<>();
    fields.add(tick(tank, Fill.LOW_FLOAT, Says.BY_A_SECOND_FLOAT_LOWER_DOWN.text()));
    fields.add(tick(tank, Fill.BARREL, Says.FROM_A_BARREL_BESIDE_THE_VEHICLE.text()));
    fields.add(tick(tank, Fill.OUTLET, Says.FROM_BELOW_THROUGH_ITS_OUTLET.text()));
    if (others) {
      fields.add(
          Field.tick(
              t + "from-outlet",
              Says.IT_LEAVES_FROM_THE_OTHERS_OUTLET.text(),
              passages.fromOutlet(),
              ""));
      fields.add(
          Field.tick(t + "motor", Says.THE_VALVE_BETWEEN_HAS_A_MOTOR.text(), passages.motor(), ""));
      fields.add(
          Field.tick(
              t + "into-filler",
              Says.IT_COMES_INTO_THE_FILLERS_HOSE.text(),
              passages.intoFiller(),
              ""));
    }
    boolean seldom =
        FEW.stream().anyMatch(tank.fills()::contains)
            || passages.motor()
            || passages.intoFiller()
            || passages.fromOutlet();
    return new More(Says.OTHER_WAYS_TO_FILL_IT.text(), fields, seldom);
  }

  /** What follows the inlet in few rigs. */
  private static More more(Mains mains, Units units) {
    InletBranches branches = mains.branches();
    SecondInlet second = second(mains);
    List<Field> fields = new ArrayList<>();
    fields.add(
        Field.choice(
            "chosen-by",
            Says.WHAT_DECIDES_WHERE_ITS_WATER_GOES.text(),
            branches.chosenBy().name(),
            List.of(
                new Field.Option("VALVES", Says.A_VALVE_ON_EACH_BRANCH.text()),
                new Field.Option("TANK_VALVES", Says.A_VALVE_TO_THE_TANK_ONLY.text()),
                new Field.Option("DIVERTER", Says.A_THREE_WAY_VALVE_ONE_OR_THE_OTHER.text()),
                new Field.Option("DIVERTER_WITH_OFF", Says.THE_SAME_WITH_CLOSED.text()))));
    fields.add(Field.tick("inlet-motor", Says.IT_HAS_A_MOTOR.text(), branches.motor(), ""));
    fields.add(
        Field.tick("inlet-filter", Says.A_FILTER_FOLLOWS_THE_INLET.text(), branches.filter(), ""));
    fields.add(
        Field.tick(
            "check-at-tank",
            Says.THE_CHECK_VALVE_IS_AT_THE_TANK.text(),
            branches.checkAtTank(),
            ""));
    fields.add(
        Field.tick(
            "second-inlet",
            Says.THERE_IS_A_SECOND_INLET.text(),
            branches.second().isPresent(),
            Says.A_THREE_WAY_VALVE_CHOOSES.text()));
    fields.add(
        Field.spot("second-spot", Says.WHERE_THE_SECOND_IS.text(), FilledPage.spot(second.spot())));
    fields.add(
        GuidePage.amount(
            "second-height",
            Says.THE_SECOND_ABOVE_THE_GROUND.text(),
            units,
            Measure.LENGTH,
            second.height(),
            ""));
    return new More(
        Says.A_SECOND_INLET_A_FILTER_A_DIVERTER.text(),
        fields,
        !branches.equals(InletBranches.USUAL));
  }

  /** The second inlet as it is, else on the other side. */
  private static SecondInlet second(Mains mains) {
    Spot spot = mains.spot();
    return mains
        .branches()
        .second()
        .orElse(new SecondInlet(new Spot(spot.along(), 2 - spot.side()), mains.height()));
  }

  private static InletBranches branches(Mains was, FilledPage sheet) {
    if (!sheet.has("chosen-by")) {
      return was.branches();
    }
    SecondInlet before = second(was);
    SecondInlet second =
        new SecondInlet(
            sheet.spot("second-spot", before.spot()),
            sheet.amount(
                "second-height",
                Says.THE_SECOND_INLET.text(),
                Measure.LENGTH,
                before.height(),
                0.05,
                4));
    return new InletBranches(
        sheet.choice("chosen-by", was.branches().chosenBy()),
        sheet.tick("inlet-motor"),
        sheet.tick("inlet-filter"),
        sheet.tick("check-at-tank"),
        sheet.tick("second-inlet") ? Optional.of(second) : Optional.empty());
  }

  private static List<Field.Option> others(RigAnswers answers, TankAnswers tank) {
    List<Field.Option> others = new ArrayList<>();
    others.add(new Field.Option("", "no"));
    answers.tanks(Contents.FRESH).stream()
        .filter(t -> !t.id().equals(tank.id()))
        .forEach(t -> others.add(new Field.Option(t.id(), t.label())));
    return others;
  }

  private static Field tick(TankAnswers tank, Fill fill, String label) {
    return Field.tick(tank.id() + "-" + fill.name(), label, tank.fills().contains(fill), "");
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    List<TankAnswers> tanks = new ArrayList<>();
    for (TankAnswers tank : before.tanks()) {
      tanks.add(sheet.has(tank.id() + "-neck-height") ? tank(tank, sheet) : tank);
    }
    Mains was = before.mains();
    Mains mains =
        new Mains(
            sheet.spot("inlet", was.spot()),
            sheet.amount(
                "inlet-height", Says.THE_INLET.text(), Measure.LENGTH, was.height(), 0.05, 4),
            sheet.tick("check"),
            sheet.tick("regulator"),
            sheet.tick("shut-off"),
            sheet.tick("taps"),
            branches(was, sheet));
    return before.with(tanks).filledBy(mains);
  }

  private static Passages passages(TankAnswers was, FilledPage sheet) {
    String t = was.id() + "-";
    return sheet.has(t + "by")
        ? new Passages(
            sheet.choice(t + "by", was.passages().by()),
            sheet.tick(t + "motor"),
            sheet.tick(t + "into-filler"),
            sheet.tick(t + "from-outlet"),
            was.passages().drawn())
        : was.passages();
  }

  private static TankAnswers tank(TankAnswers was, FilledPage sheet) {
    String t = was.id() + "-";
    Set<Fill> fills = EnumSet.noneOf(Fill.class);
    for (Fill fill : Fill.values()) {
      if (sheet.tick(t + fill.name())) {
        fills.add(fill);
      }
    }
    Optional<String> from =
        sheet.has(t + "from")
            ? Optional.of(sheet.text(t + "from")).filter(id -> !id.isEmpty())
            : was.from();
    return was.filled(
            fills,
            sheet.spot(t + "neck", was.neck()),
            sheet.amount(
                t + "neck-height",
                Says.FILLER.filled(was.label()),
                Measure.LENGTH,
                was.neckHeight(),
                0.1,
                4))
        .filledFrom(from, passages(was, sheet));
  }
}
