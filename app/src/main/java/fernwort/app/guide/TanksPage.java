package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Drain;
import fernwort.core.guide.answers.TankAnswers.Size;
import fernwort.core.kind.tank.Contents;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The tanks: litres or sizes, where each stands, what it is emptied by. */
final class TanksPage implements GuidePage {

  private static final int MOST = 8;
  private static final double HIGHEST = 4;

  /** A new tank inside stands so high over a floor that was measured (m). */
  private static final double BENCH = 0.05;

  /** Where nobody measured the floor: so high over the ground (m). */
  private static final double USUAL_BOTTOM = 0.7;

  /** A new tank underneath hangs so far below the floor, but no lower than that (m). */
  private static final double HANGING = 0.3;

  private static final double LOW = 0.25;

  @Override
  public String id() {
    return "tanks";
  }

  @Override
  public String title() {
    return "Tanks";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Card> cards = new ArrayList<>();
    for (TankAnswers tank : answers.tanks()) {
      cards.add(card(tank, units));
    }
    cards.add(
        new Card(
            "more",
            answers.tanks().isEmpty()
                ? Says.WHICH_TANKS_DOES_IT_HAVE.text()
                : Says.ANOTHER_TANK.text(),
            Says.A_CAN_THAT_IS_CARRIED.text(),
            List.of(),
            List.of(
                new Button("add-fresh", Says.A_FRESH_TANK.text()),
                new Button("add-gray", Says.A_GRAY_TANK.text()))));
    return cards;
  }

  private static Card card(TankAnswers tank, Units units) {
    String t = tank.id() + "-";
    List<Field> fields = new ArrayList<>();
    fields.add(Field.text(t + "label", Says.ITS_NAME.text(), tank.label(), ""));
    fields.add(
        Field.number(
            t + "litres",
            Says.CAPACITY_ON_THE_LABEL.text(),
            tank.litresOnLabel().map(v -> units.number(Measure.VOLUME, v)).orElse(""),
            units.unit(Measure.VOLUME).sign(),
            Says.ENOUGH_TO_GO_ON_ITS_SIZES.text()));
    fields.add(
        Field.number(
            t + "size",
            Says.ITS_DIMENSIONS_IF_YOU_HAVE.text(),
            tank.size().map(s -> size(s, units)).orElse(""),
            units.unit(Measure.LENGTH).sign(),
            Says.ALONG_THE_VEHICLE_X_ACROSS_X.filled(size(new Size(0.9, 0.4, 0.29), units))));
    fields.add(Field.tick(t + "inside", Says.MEASURED_INSIDE.text(), tank.inside(), ""));
    fields.add(
        Field.choice(
            t + "form",
            Says.ITS_FORM.text(),
            tank.form().name(),
            List.of(
                new Field.Option("BOX", Says.A_BOX.text()),
                new Field.Option("LYING", Says.A_CYLINDER_ALONG_THE_VEHICLE.text()),
                new Field.Option("LYING_ACROSS", Says.A_CYLINDER_ACROSS_IT.text()),
                new Field.Option("UPRIGHT", Says.A_BARREL_THAT_STANDS.text()))));
    fields.add(
        Field.choice(
            t + "stands",
            Says.INSIDE_OR_UNDERNEATH.text(),
            tank.stands().map(Enum::name).orElse(""),
            stands(tank)));
    fields.add(Field.spot(t + "spot", Says.WHERE_IT_STANDS.text(), FilledPage.spot(tank.spot())));
    fields.add(
        GuidePage.amount(
            t + "bottom",
            Says.ITS_BOTTOM_ABOVE_THE_GROUND.text(),
            units,
            Measure.LENGTH,
            tank.bottom(),
            Says.THE_VEHICLE_ON_LEVEL_GROUND.text()));
    if (tank.contents() == Contents.FRESH) {
      fields.add(
          Field.choice(
              t + "drain",
              Says.HOW_IT_IS_EMPTIED.text(),
              tank.drain().name(),
              List.of(
                  new Field.Option("NONE", Says.NOTHING_OF_ITS_OWN.text()),
                  new Field.Option("CAP", Says.A_CAP_AT_ITS_BOTTOM.text()),
                  new Field.Option("VALVE", Says.A_VALVE_AT_ITS_BOTTOM.text()),
                  new Field.Option("HOSE", Says.A_VALVE_WITH_A_HOSE.text()))));
    } else {
      fields.add(
          Field.choice(
              t + "drain",
              Says.HOW_IT_IS_EMPTIED.text(),
              tank.drain() == Drain.CARRIED ? "CARRIED" : "NONE",
              List.of(
                  new Field.Option("NONE", Says.THROUGH_AN_OUTLET.text()),
                  new Field.Option("CARRIED", Says.IT_IS_CARRIED_OUT.text()))));
    }
    return new Card(
        tank.id(),
        tank.label(),
        tank.contents() == Contents.FRESH ? Says.FRESH_WATER.text() : Says.GRAY_WATER.text(),
        fields,
        List.of(new Button("remove-" + tank.id(), Says.REMOVE_THIS_TANK.text())));
  }

  /** Answers of before this was asked stay unanswered until somebody does. */
  private static List<Field.Option> stands(TankAnswers tank) {
    List<Field.Option> options = new ArrayList<>();
    if (tank.stands().isEmpty()) {
      options.add(new Field.Option("", Says.NOT_SAID_YET.text()));
    }
    options.add(new Field.Option("INSIDE", Says.INSIDE_ON_THE_FLOOR_OR_A_BENCH.text()));
    options.add(new Field.Option("UNDERNEATH", Says.UNDERNEATH_BELOW_THE_FLOOR.text()));
    return options;
  }

  private static String size(Size size, Units units) {
    return "%s x %s x %s"
        .formatted(
            units.number(Measure.LENGTH, size.length()),
            units.number(Measure.LENGTH, size.width()),
            units.number(Measure.LENGTH, size.height()));
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    String action = sheet.text("do");
    List<TankAnswers> tanks = new ArrayList<>();
    for (TankAnswers tank : before.tanks()) {
      if (!action.equals("remove-" + tank.id())) {
        tanks.add(
            sheet.has(tank.id() + "-label") ? agreeing(tank(tank, sheet), before, sheet) : tank);
      }
    }
    if (action.startsWith("add-") && tanks.size() >= MOST) {
      sheet.error("do", Says.THERE_IS_ROOM_FOR_TANKS_REMOVE.filled(MOST));
    } else if (action.equals("add-fresh")) {
      tanks.add(anew(tanks, Contents.FRESH, before.vehicle()));
    } else if (action.equals("add-gray")) {
      tanks.add(anew(tanks, Contents.GRAY, before.vehicle()));
    }
    return before.with(tanks);
  }

  /** A tank that cannot be where it is said to be under or over a floor that was measured. */
  private static TankAnswers agreeing(TankAnswers tank, RigAnswers answers, FilledPage sheet) {
    Optional<Double> floor = answers.vehicle().floor();
    boolean inside = tank.stands().filter(s -> s == TankAnswers.Stands.INSIDE).isPresent();
    boolean under = tank.stands().filter(s -> s == TankAnswers.Stands.UNDERNEATH).isPresent();
    Units units = sheet.units();
    floor
        .filter(f -> inside && tank.bottom() < f || under && tank.bottom() >= f)
        .ifPresent(f ->
            sheet.error(
                tank.id() + "-bottom",
                Says.ITS_BOTTOM_AND_THE_FLOOR_DISAGREE.filled(
                    units.show(Measure.LENGTH, tank.bottom()), units.show(Measure.LENGTH, f))));
    return tank;
  }

  private static TankAnswers tank(TankAnswers was, FilledPage sheet) {
    String t = was.id() + "-";
    return new TankAnswers(
        was.id(),
        sheet.words(t + "label", was.label()),
        was.contents(),
        litres(was, sheet),
        size(was, sheet),
        sheet.tick(t + "inside"),
        sheet.choice(t + "stands", TankAnswers.Stands.class).or(was::stands),
        sheet.spot(t + "spot", was.spot()),
        sheet.amount(
            t + "bottom",
            Says.BOTTOM.filled(was.label()),
            Measure.LENGTH,
            was.bottom(),
            0.05,
            HIGHEST),
        was.fills(),
        was.neck(),
        was.neckHeight(),
        was.ventEnd(),
        was.ventRises(),
        sheet.choice(t + "drain", was.drain()),
        was.from(),
        was.openings(),
        was.venting(),
        was.passages(),
        sheet.choice(t + "form", was.form()));
  }

  /** The sizes in one box. */
  private static Optional<Size> size(TankAnswers was, FilledPage sheet) {
    String field = was.id() + "-size";
    String text = sheet.text(field);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    if (was.size().filter(z -> size(z, sheet.units()).equals(text)).isPresent()) {
      return was.size();
    }
    try {
      return Optional.of(
          size(was, sheet, sheet.units().sizes(Says.SIZES.filled(was.label()), text)));
    } catch (Refusal refusal) {
      sheet.error(field, String.valueOf(refusal.getMessage()));
      return was.size();
    }
  }

  /** Three sizes, or length and width where the litres tell the height. */
  private static Size size(TankAnswers was, FilledPage sheet, List<Double> si) {
    si.forEach(s -> possible(was, sheet, s));
    if (si.size() == 3) {
      return new Size(si.get(0), si.get(1), si.get(2));
    }
    Optional<Double> litres = litres(was, sheet);
    if (si.size() == 2 && litres.isPresent()) {
      Size size =
          Size.holding(
              si.get(0), si.get(1), litres.orElseThrow(), sheet.tick(was.id() + "-inside"));
      possible(was, sheet, size.height());
      return size;
    }
    throw new Refusal(Says.GIVE_THREE_SIZES_SUCH_AS_900_X.with(was.label()));
  }

  private static void possible(TankAnswers was, FilledPage sheet, double side) {
    if (side < 0.04 || side > HIGHEST) {
      throw new Refusal(
          Says.A_SIDE_OF_IS_NOT_POSSIBLE.with(
              was.label(), sheet.units().show(Measure.LENGTH, side)));
    }
  }

  private static Optional<Double> litres(TankAnswers was, FilledPage sheet) {
    return sheet.optional(
        was.id() + "-litres",
        Says.LITRES.filled(was.label()),
        Measure.VOLUME,
        was.litres(),
        0.002,
        5);
  }

  private static TankAnswers anew(
      List<TankAnswers> others, Contents contents, RigAnswers.Van vehicle) {
    boolean fresh = contents == Contents.FRESH;
    long same = others.stream().filter(t -> t.contents() == contents).count();
    int number = 1;
    while (has(others, "t" + number)) {
      number++;
    }
    double over = vehicle.floor().map(f -> f + BENCH).orElse(USUAL_BOTTOM);
    double under = vehicle.floor().map(f -> Math.max(LOW, f - HANGING)).orElse(0.35);
    double bottom = fresh ? over : under;
    return new TankAnswers(
            "t" + number,
            (fresh ? "Fresh" : "Gray") + (same == 0 ? "" : " " + (same + 1)),
            contents,
            Optional.of(TankAnswers.start(contents)),
            Optional.empty(),
            false,
            new Spot(1, fresh ? 0 : 1),
            bottom,
            fresh ? Set.of(TankAnswers.Fill.NECK) : Set.of(),
            new Spot(1, 0),
            bottom + 0.6,
            bottom + 0.65,
            false,
            fresh ? Drain.CAP : Drain.NONE)
        .standing(fresh ? TankAnswers.Stands.INSIDE : TankAnswers.Stands.UNDERNEATH);
  }

  private static boolean has(List<TankAnswers> tanks, String id) {
    return tanks.stream().anyMatch(t -> t.id().equals(id));
  }
}
