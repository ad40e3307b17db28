package fernwort.app.cold;

import fernwort.app.questions.Marked;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.rig.Line;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.FrostVerdict;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The water that is still in a rig, in words.
 *
 * @param rows one for each line, body or tank, most dangerous first
 * @param total all of it
 * @param calm whether nothing breaks, and nothing may
 * @param verdict what frost does to it, naming the parts
 * @param dangers how many break something
 */
record LeftView(List<Row> rows, String total, boolean calm, String verdict, long dangers) {

  /**
   * One of them.
   *
   * @param place where it is; a line where it begins
   * @param harm danger, warning or none
   * @param mark the same as a sign
   * @param turn what to try, as an address keeps it; empty for nothing
   * @param turnWords the same in words
   */
  record Row(
      String id,
      String label,
      String place,
      String amount,
      String harm,
      String mark,
      String harmWords,
      String how,
      String fix,
      String turn,
      String turnWords) {

    /** Returns it as it is marked on the drawing. */
    Marked.Mark onDrawing() {
      Marked.Weight weight = Marked.Weight.valueOf(harm.toUpperCase(Locale.ROOT));
      return new Marked.Mark(weight, mark, amount + ", " + harmWords);
    }
  }

  /**
   * What one place holds.
   *
   * @param place what it is called
   * @param rows what is there, most dangerous first
   */
  record Group(String place, List<Row> rows) {

    /** Returns how many things there hold water, and how many of them break or may. */
    public String inShort() {
      return Stream.of(
              Says.WITH_WATER.filled(rows.size()),
              count("danger", "breaks", "break"),
              count("warning", Says.AT_RISK.text(), Says.AT_RISK.text()))
          .filter(words -> !words.isEmpty())
          .collect(Collectors.joining(" · "));
    }

    /** Tells whether something there breaks. */
    public boolean breaks() {
      return rows.stream().anyMatch(r -> r.harm().equals("danger"));
    }

    private String count(String harm, String one, String more) {
      long count = rows.stream().filter(r -> r.harm().equals(harm)).count();
      return count == 0 ? "" : count + " " + (count == 1 ? one : more);
    }
  }

  /** Returns what holds water place by place, the place with the greatest danger first. */
  public List<Group> groups() {
    return rows.stream()
        .collect(Collectors.groupingBy(Row::place, LinkedHashMap::new, Collectors.toList()))
        .entrySet()
        .stream()
        .map(e -> new Group(e.getKey(), e.getValue()))
        .toList();
  }

  static LeftView of(OpenRig rig, List<FrostRisk> left, Units units) {
    double total = left.stream().mapToDouble(FrostRisk::volume).sum();
    FrostVerdict verdict = FrostVerdict.of(left);
    return new LeftView(
        left.stream().map(r -> row(rig, r, units)).toList(),
        units.show(Measure.VOLUME, total),
        verdict.isCalm(),
        units.say(verdict.words(rig.rig()).capitalised()),
        left.stream().filter(r -> r.harm() == FrostHarm.DANGER).count());
  }

  /** Returns it in one line: what frost does to it, and how much is left. */
  public String inShort() {
    return Says.LEFT_IN_IT.filled(verdict, total);
  }

  /** Returns what frost does to it, as a cell of a table says it. */
  public String breaks() {
    return calm ? "nothing" : verdict;
  }

  private static Row row(OpenRig rig, FrostRisk one, Units units) {
    return new Row(
        one.id().value(),
        label(rig, one.id()),
        place(rig, one.id()),
        units.show(Measure.VOLUME, one.volume()),
        one.harm().name().toLowerCase(Locale.ROOT),
        switch (one.harm()) {
          case DANGER -> "✕";
          case WARNING -> "!";
          case NONE -> "○";
        },
        one.harm().words(),
        units.say(one.how()),
        units.say(one.fix()),
        one.help().map(Tries::write).orElse(""),
        one.help().map(act -> Tries.words(rig, act, units)).orElse(""));
  }

  /** A part with a position of it in words. */
  static String turned(OpenRig rig, PartId part, PositionId position) {
    Kind kind = rig.rig().part(part).kind();
    return rig.rig().part(part).label()
        + ": "
        + Stream.concat(kind.positions().stream(), kind.service().stream())
            .filter(p -> p.id().equals(position))
            .findFirst()
            .map(Position::words)
            .orElse(position.value());
  }

  private static String place(OpenRig rig, ElementId id) {
    PartId part = line(rig, id).map(l -> l.from().part()).orElseGet(id::part);
    return rig.rig().place(rig.rig().part(part).place()).label();
  }

  /** What a line or part is called. */
  static String label(OpenRig rig, ElementId id) {
    return line(rig, id)
        .map(Line::label)
        .map(Says.LINE.text()::formatted)
        .orElseGet(() -> rig.rig().part(id.part()).label());
  }

  private static Optional<Line> line(OpenRig rig, ElementId id) {
    return rig.rig().lines().stream().filter(l -> l.id().equals(id)).findFirst();
  }
}
