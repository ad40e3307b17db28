package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Runs;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.RigAnswers.Tap;
import fernwort.core.guide.answers.RigAnswers.Use;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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

  /** So many of a use are possible. */
  private static final int MOST = 4;

  private static final String ADD = "add-";

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
    List<Button> more = new ArrayList<>();
    for (Usual usual : ALL) {
      List<Tap> there = there(answers, usual);
      cards.add(card(usual, "", there.stream().findFirst(), answers, units));
      for (int n = 2; n <= there.size(); n++) {
        cards.add(card(usual, Integer.toString(n), Optional.of(there.get(n - 1)), answers, units));
      }
      if (there.size() < MOST) {
        more.add(new Button(ADD + usual.use().name(), another(usual.use())));
      }
    }
    cards.add(new Card("more", Says.MORE_TAPS.text(), "", List.of(), more));
    return cards;
  }

  private static Card card(
      Usual usual, String number, Optional<Tap> there, RigAnswers answers, Units units) {
    Tap tap = there.orElse(usual.tap());
    String u = usual.use().name() + number + "-";
    List<Field> fields = new ArrayList<>();
    fields.add(Field.tick(u + "there", Says.THERE_IS_ONE.text(), there.isPresent(), ""));
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
                  new Field.Option("STRAIGHT", Says.STRAIGHT_INTO_THE_GRAY_TANK.text()),
                  new Field.Option("GROUND", Says.ONTO_THE_GROUND.text()))));
    }
    if (usual.use() != Use.TOILET && answers.pump().hot() != PumpAnswers.Hot.NONE) {
      fields.add(
          Field.choice(
              u + "water",
              Says.WHAT_COMES_TO_IT.text(),
              tap.gives().name(),
              List.of(
                  new Field.Option("COLD", Says.COLD_WATER_ONLY.text()),
                  new Field.Option("COLD_AND_HOT", Says.COLD_AND_HOT_WATER.text()))));
    }
    String title = number.isEmpty() ? usual.words() : usual.words() + " " + number;
    return new Card(usual.use().name() + number, title, usual.what(), fields);
  }

  private static String another(Use use) {
    return switch (use) {
      case SINK -> Says.ANOTHER_SINK.text();
      case BASIN -> Says.ANOTHER_BASIN.text();
      case SHOWER -> Says.ANOTHER_SHOWER.text();
      case TOILET -> Says.ANOTHER_TOILET.text();
      case DRINKING -> Says.ANOTHER_DRINKING_TAP.text();
      case OUTSIDE -> Says.ANOTHER_TAP_OUTSIDE.text();
    };
  }

  private static List<Tap> there(RigAnswers answers, Usual usual) {
    return answers.taps().stream().filter(t -> t.use() == usual.use()).toList();
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    List<Tap> taps = new ArrayList<>();
    for (Usual usual : ALL) {
      List<Tap> there = there(before, usual);
      for (int n = 1; n <= Math.max(1, there.size()); n++) {
        String u = usual.use().name() + (n == 1 ? "" : n) + "-";
        Tap was = n <= there.size() ? there.get(n - 1) : usual.tap();
        if (sheet.tick(u + "there")) {
          taps.add(tap(u, usual, was, sheet));
        }
      }
      if (sheet.text("do").equals(ADD + usual.use().name()) && there.size() < MOST) {
        taps.add(usual.tap());
      }
    }
    return before.tapping(taps);
  }

  private static Tap tap(String u, Usual usual, Tap was, FilledPage sheet) {
    return new Tap(
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
        sheet.choice(u + "water", RigAnswers.Water.class).or(was::water));
  }
}
