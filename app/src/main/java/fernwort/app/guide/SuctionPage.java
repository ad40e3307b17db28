package fernwort.app.guide;

import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.RigAnswers;
import fernwort.core.guide.RigAnswers.Joins;
import fernwort.core.guide.RigAnswers.Piece;
import fernwort.core.guide.RigAnswers.Points;
import fernwort.core.guide.RigAnswers.Position;
import fernwort.core.guide.RigAnswers.Selector;
import fernwort.core.guide.RigAnswers.Third;
import java.util.ArrayList;
import java.util.List;

/** What the water passes between tank and pump, and what a three-way valve joins. */
final class SuctionPage implements GuidePage {

  private static final int MOST = Piece.values().length;

  @Override
  public String id() {
    return "suction";
  }

  @Override
  public String title() {
    return "Tank to pump";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Field> pieces = new ArrayList<>();
    String[] labels = {"First after the tank", "Then", "Then, before the pump"};
    for (int i = 0; i < MOST; i++) {
      String now = i < answers.suction().size() ? answers.suction().get(i).name() : "";
      pieces.add(
          Field.choice(
              "piece-" + i,
              labels[i],
              now,
              List.of(
                  new Field.Option("", "nothing more"),
                  new Field.Option("SHUT_OFF", "a shut-off valve"),
                  new Field.Option("THREE_WAY", "a three-way valve"),
                  new Field.Option("STRAINER", "a strainer"))));
    }
    List<Card> cards = new ArrayList<>();
    cards.add(
        new Card(
            "pieces",
            "On the way from the tank to the pump",
            "Follow the hose with a finger.",
            pieces));
    // It is seen once a three-way valve is chosen.
    cards.add(valve(answers.selector()));
    return cards;
  }

  private static Card valve(Selector valve) {
    List<Field> fields = new ArrayList<>();
    fields.add(
        Field.choice(
            "third",
            "Its third port leads to",
            valve.third().name(),
            List.of(
                new Field.Option("HOSE", "a hose that draws from outside"),
                new Field.Option("OTHER_TANK", "the other tank"),
                new Field.Option("DRAIN", "a drain under the vehicle"))));
    for (Points points : Points.values()) {
      String joins =
          valve.positions().stream()
              .filter(p -> p.points() == points)
              .map(p -> p.joins().name())
              .findFirst()
              .orElse("");
      fields.add(
          Field.choice(
              "joins-" + points.name(),
              "When its handle " + points.words(),
              joins,
              List.of(
                  new Field.Option("", "it cannot stand so"),
                  new Field.Option("TANK_AND_PUMP", "tank and pump are joined"),
                  new Field.Option("THIRD_AND_PUMP", "the third port and the pump are joined"),
                  new Field.Option("TANK_AND_THIRD", "tank and third port are joined"),
                  new Field.Option("ALL", "all three are joined"),
                  new Field.Option("NOTHING", "it is closed"))));
    }
    return new Card(
        "valve",
        "What does the three-way valve join?",
        "Turn it with the pump off and look where its handle points; the picture shows what you say.",
        fields);
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < MOST; i++) {
      sheet
          .choice("piece-" + i, Piece.class)
          .filter(p -> !pieces.contains(p))
          .ifPresent(pieces::add);
    }
    Selector valve = sheet.has("third") ? read(before.selector(), sheet) : before.selector();
    return before.drawing(pieces, valve);
  }

  private static Selector read(Selector before, FilledPage sheet) {
    List<Position> positions = new ArrayList<>();
    for (Points points : Points.values()) {
      sheet
          .choice("joins-" + points.name(), Joins.class)
          .ifPresent(joins -> positions.add(new Position(points, joins)));
    }
    if (positions.isEmpty()) {
      sheet.error(
          "joins-" + Points.RIGHT.name(),
          "The three-way valve: its handle stands somewhere; say what it joins there");
      return before;
    }
    return new Selector(sheet.choice("third", Third.class).orElse(before.third()), positions);
  }
}
