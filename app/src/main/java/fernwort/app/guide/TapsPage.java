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
          usual(Use.SINK, "A sink", "In the kitchen.", 3, 2, 1.5, Runs.TANK),
          usual(Use.BASIN, "A basin", "To wash hands and face.", 2, 2, 1.4, Runs.TANK),
          usual(Use.SHOWER, "A shower", "Inside, with a tray.", 2, 0, 1.9, Runs.TANK),
          usual(Use.TOILET, "A toilet that is flushed", "", 2, 0, 1.2, Runs.TANK),
          usual(Use.DRINKING, "A tap for drinking only", "", 3, 2, 1.5, Runs.TANK),
          usual(
              Use.OUTSIDE,
              "Outside shower or tap",
              "A tap or shower outside.",
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
      fields.add(Field.tick(u + "there", "There is one", there, ""));
      fields.add(Field.spot(u + "spot", "Where it is", FilledPage.spot(tap.spot())));
      fields.add(
          GuidePage.amount(
              u + "height", "Its spout above the ground", units, Measure.LENGTH, tap.height(), ""));
      if (usual.use() != Use.TOILET && usual.use() != Use.OUTSIDE) {
        fields.add(
            Field.choice(
                u + "runs",
                "Its waste runs",
                tap.runs().name(),
                List.of(
                    new Field.Option("TANK", "into the gray tank"),
                    new Field.Option("GROUND", "onto the ground"))));
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
                    usual.words() + ", height",
                    Measure.LENGTH,
                    was.height(),
                    0.1,
                    4.5),
                sheet.choice(u + "runs", was.runs())));
      }
    }
    return before.tapping(taps);
  }
}
