package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.bench.Obstacle;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.rig.Line;
import fernwort.core.say.Scale;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** A line as people see it: bore, length, what it is made of, what stands in it, how it runs. */
final class LineForm {

  private static final String INSULATION = Says.HOW_THICK_IT_IS_ROUND_THE_PIPE.text();
  private static final int SPARE = 2;
  private static final int MOST = 20;
  private static final double LONGEST = 15;

  private final Units units;

  LineForm(Units units) {
    this.units = units;
  }

  List<Field> fields(Line line) {
    return List.of(
        Field.text("label", "Tag", line.label(), Says.WHAT_YOU_WRITE.text()),
        Describing.length(
            units, "bore", "Bore", line.bore(), Says.INSIDE_PRINTED_ON_THE_PIPE.text()),
        Describing.length(units, "length", "Length", line.length(), Says.ALONG_THE_RUN.text()),
        Field.choice(
            "material",
            "Material",
            Values.key(line.material()),
            Values.options(Line.Material.class)),
        line.insulation()
            .map(i -> Describing.length(units, "insulation", "Insulation", i, INSULATION))
            .orElseGet(() ->
                Field.number(
                    "insulation", "Insulation", "", units.unit(Measure.LENGTH).sign(), INSULATION)),
        counts(line),
        profile(line));
  }

  /** What stands in it, counted; empty boxes leave its losses as they are. */
  private static Field counts(Line line) {
    List<Field> row =
        Arrays.stream(Obstacle.values())
            .map(o -> Field.number(id(o), o.words(), "", "", ""))
            .toList();
    return Field.table(
        "fittings",
        Says.FITTINGS_IN_IT.text(),
        Says.COUNT_THE_FITTINGS.filled(
            Scale.rounded(line.minorLoss() / Obstacle.ELBOW.coefficient(), 1)),
        new Field.Table(
            Arrays.stream(Obstacle.values()).map(o -> new Field.Head(o.words(), id(o))).toList(),
            List.of(row),
            false));
  }

  private static String id(Obstacle obstacle) {
    return obstacle.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private Field profile(Line line) {
    List<List<Field>> rows = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST, line.profile().size() + SPARE); i++) {
      boolean there = i < line.profile().size();
      rows.add(
          List.of(
              there
                  ? Describing.length(
                      units, along(i), Says.ALONG_IT.text(), line.profile().get(i).along(), "")
                  : Field.number(along(i), Says.ALONG_IT.text(), "", "", ""),
              there
                  ? Describing.length(units, up(i), "Height", line.profile().get(i).height(), "")
                  : Field.number(up(i), "Height", "", "", "")));
    }
    return Field.table(
        "profile",
        Says.RISES_AND_SAGS.filled(units.unit(Measure.LENGTH).sign()),
        Says.A_ROW_FOR_EACH_LOW_OR_HIGH_SPOT.text(),
        new Field.Table(
            List.of(
                new Field.Head(Says.ALONG_IT_INSIDE.text(), ""),
                new Field.Head(Says.OVER_THE_GROUND.text(), "")),
            rows,
            false));
  }

  private static String along(int row) {
    return "along-" + row;
  }

  private static String up(int row) {
    return "up-" + row;
  }

  /** Reads the form of a line. */
  Line read(Line old, Map<String, String> form) {
    Values v = new Values(form, units, fields(old));
    double bore = v.amount("bore", "Bore", Measure.LENGTH, 0.004, 0.16);
    double length = v.amount("length", "Length", Measure.LENGTH, 0.03, LONGEST);
    Line changed =
        new Line(
            old.id(),
            v.text("label"),
            old.from(),
            old.to(),
            bore,
            length,
            v.choice("material", "Material", Line.Material.class),
            losses(old, v),
            spots(v),
            v.optional("insulation", "Insulation", Measure.LENGTH, 0.002, 0.1));
    v.settle();
    return changed;
  }

  private static double losses(Line old, Values v) {
    boolean counted = Arrays.stream(Obstacle.values()).anyMatch(o -> !v.text(id(o)).isEmpty());
    return counted
        ? Arrays.stream(Obstacle.values())
            .filter(o -> !v.text(id(o)).isEmpty())
            .mapToDouble(o -> o.coefficient() * v.plain(id(o), Says.HOW_MANY.filled(o.words())))
            .sum()
        : old.minorLoss();
  }

  private static List<ProfilePoint> spots(Values v) {
    List<ProfilePoint> spots = new ArrayList<>();
    for (int i = 0; i < MOST; i++) {
      if (!v.text(along(i)).isEmpty() || !v.text(up(i)).isEmpty()) {
        spots.add(
            new ProfilePoint(
                v.amount(along(i), Says.RISES_AND_SAGS_ALONG_THE_LINE.text(), Measure.LENGTH),
                v.amount(up(i), Says.RISES_AND_SAGS_HEIGHT.text(), Measure.LENGTH)));
      }
    }
    return spots;
  }
}
