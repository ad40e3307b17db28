package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.RigAnswers;
import fernwort.core.guide.RigAnswers.Runs;
import fernwort.core.guide.RigAnswers.Spot;
import fernwort.core.guide.RigAnswers.Tap;
import fernwort.core.guide.RigAnswers.Use;
import java.util.ArrayList;
import java.util.List;

/** Where water is used. */
final class TapsPage implements GuidePage {

  @Override
  public String id() {
    return "taps";
  }

  @Override
  public String title() {
    return "Taps";
  }

  /** A use with the words for it, and where it usually is. */
  private record Usual(Use use, String words, String what, Tap tap) {}

  private static final List<Usual> ALL =
      List.of(
          usual(Use.SINK, Says.A_SINK.text(), Says.IN_THE_KITCHEN.text(), 3, 2, 1.5, Runs.TANK),
          usual(
              Use.BASIN,
              Says.A_BASIN.text(),
              Says.TO_WASH_HANDS_AND_FACE.text(),
              2,
              2,
              1.4,
              Runs.TANK),
          usual(
              Use.SHOWER,
              Says.A_SHOWER.text(),
              Says.INSIDE_WITH_A_TRAY.text(),
              2,
              0,
              1.9,
              Runs.TANK),
          usual(Use.TOILET, Says.A_TOILET_THAT_IS_FLUSHED.text(), "", 2, 0, 1.2, Runs.TANK),
          usual(Use.DRINKING, Says.A_TAP_FOR_DRINKING_ONLY.text(), "", 3, 2, 1.5, Runs.TANK),
          usual(
              Use.OUTSIDE,
              Says.OUTSIDE_SHOWER_OR_TAP.text(),
              Says.A_TAP_OR_SHOWER_OUTSIDE.text(),
              0,
              2,
              1,
              Runs.GROUND));

  private static Usual usual(
      Use use, String words, String what, int along, int side, double height, Runs runs) {
    return new Usual(use, words, what, new Tap(use, new Spot(along, side), height, runs));
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Card> cards = new ArrayList<>();
    for (Usual usual : ALL) {
      boolean there = answers.taps().stream().anyMatch(t -> t.use() == usual.use());
      Tap tap = now(answers, usual);
      String u = usual.use().name() + "-";
      List<Field> fields = new ArrayList<>();
      fields.add(Field.tick(u + "there", Says.THERE_IS_ONE.text(), there, ""));
      fields.add(Field.spot(u + "spot", Says.WHERE_IT_IS.text(), FilledPage.spot(tap.spot())));
      fields.add(
          GuidePage.amount(
              u + "height",
              Says.ITS_SPOUT_ABOVE_THE_GROUND.text(),
              units,
              Measure.LENGTH,
              tap.height(),
              ""));
      if (usual.use() != Use.TOILET && usual.use() != Use.OUTSIDE) {
        fields.add(
            Field.choice(
                u + "runs",
                Says.ITS_WASTE_RUNS.text(),
                tap.runs().name(),
                List.of(
                    new Field.Option("TANK", Says.INTO_THE_GRAY_TANK.text()),
                    new Field.Option("GROUND", Says.ONTO_THE_GROUND.text()))));
      }
      if (usual.use() != Use.TOILET && answers.pump().hot() != RigAnswers.Hot.NONE) {
        fields.add(
            Field.choice(
                u + "water",
                Says.WHAT_COMES_TO_IT.text(),
                tap.gives().name(),
                List.of(
                    new Field.Option("COLD", Says.COLD_WATER_ONLY.text()),
                    new Field.Option("COLD_AND_HOT", Says.COLD_AND_HOT_WATER.text()))));
      }
      cards.add(new Card(usual.use().name(), usual.words(), usual.what(), fields));
    }
    return cards;
  }

  private static Tap now(RigAnswers answers, Usual usual) {
    return answers.taps().stream()
        .filter(t -> t.use() == usual.use())
        .findFirst()
        .orElse(usual.tap());
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    List<Tap> taps = new ArrayList<>();
    for (Usual usual : ALL) {
      String u = usual.use().name() + "-";
      Tap was = now(before, usual);
      if (sheet.tick(u + "there")) {
        taps.add(
            new Tap(
                usual.use(),
                sheet.spot(u + "spot", was.spot()),
                sheet.amount(
                    u + "height",
                    Says.HEIGHT.filled(usual.words()),
                    Measure.LENGTH,
                    was.height(),
                    0.1,
                    4.5),
                sheet.choice(u + "runs", was.runs()),
                sheet.choice(u + "water", RigAnswers.Water.class).or(was::water)));
      }
    }
    return before.tapping(taps);
  }
}
