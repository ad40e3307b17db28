package fernwort.app.guide;

import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.app.web.ValvePicture;
import fernwort.core.guide.answers.PumpParts;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Joins;
import fernwort.core.guide.answers.RigAnswers.Piece;
import fernwort.core.guide.answers.RigAnswers.Points;
import fernwort.core.guide.answers.RigAnswers.Position;
import fernwort.core.guide.answers.RigAnswers.Selector;
import fernwort.core.guide.answers.RigAnswers.Third;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Contents;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the water passes between tank and pump, and what a three-way valve joins. */
final class SuctionPage implements GuidePage {

  /** So many pieces can follow each other. */
  private static final int MOST = 4;

  @Override
  public String id() {
    return "suction";
  }

  @Override
  public String title() {
    return Says.TANK_TO_PUMP.text();
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Field> pieces = new ArrayList<>();
    String[] labels = {
      Says.FIRST_AFTER_THE_TANK.text(), "Then", "Then", Says.THEN_BEFORE_THE_PUMP.text()
    };
    for (int i = 0; i < MOST; i++) {
      String now = i < answers.suction().size() ? answers.suction().get(i).name() : "";
      pieces.add(
          Field.choice(
              "piece-" + i,
              labels[i],
              now,
              List.of(
                  new Field.Option("", Says.NOTHING_MORE.text()),
                  new Field.Option("SHUT_OFF", Says.A_SHUT_OFF_VALVE.text()),
                  new Field.Option("THREE_WAY", Says.A_THREE_WAY_VALVE.text()),
                  new Field.Option("TWO_VALVES", Says.TWO_VALVES.text()),
                  new Field.Option("STRAINER", Says.A_STRAINER.text()),
                  new Field.Option("FILTER", Says.A_FILTER_WITH_A_BOWL.text()),
                  new Field.Option("ANTIFREEZE_PORT", Says.A_PORT_FOR_ANTIFREEZE.text()))));
    }
    List<Card> cards = new ArrayList<>();
    from(answers).ifPresent(cards::add);
    cards.add(
        new Card(
            "pieces",
            Says.ON_THE_WAY_FROM_THE_TANK.text(),
            Says.FOLLOW_THE_HOSE_WITH_A_FINGER.text(),
            pieces));
    // It is seen once a three-way valve is chosen.
    cards.add(valve(answers.selector(), answers.pump().parts()));
    return cards;
  }

  /** What the pump draws from, where that is not plain. */
  private static Optional<Card> from(RigAnswers answers) {
    List<TankAnswers> fresh = answers.tanks(Contents.FRESH);
    if (fresh.size() == 1) {
      return Optional.empty();
    }
    List<Field> fields =
        fresh.isEmpty()
            ? List.of(
                Field.choice(
                    "source",
                    Says.THERE_IS_NO_FRESH_TANK.text(),
                    answers.pump().parts().source().name(),
                    List.of(
                        new Field.Option("NOTHING", Says.NOTHING_YET.text()),
                        new Field.Option("CAN", Says.A_CAN_THAT_STANDS_THERE.text()),
                        new Field.Option("HOSE", Says.A_HOSE_THAT_DRAWS_FROM_OUTSIDE.text()))))
            : fresh.stream()
                .map(t -> Field.tick(t.id() + "-drawn", t.label(), answers.draws(t), ""))
                .toList();
    return Optional.of(new Card("from", Says.WHAT_THE_PUMP_DRAWS_FROM.text(), "", fields));
  }

  private static Card valve(Selector valve, PumpParts parts) {
    List<Field> fields = new ArrayList<>();
    fields.add(
        Field.choice(
            "third",
            Says.ITS_THIRD_PORT_LEADS_TO.text(),
            valve.third().name(),
            List.of(
                new Field.Option("HOSE", Says.A_HOSE_THAT_DRAWS_FROM_OUTSIDE.text()),
                new Field.Option("OTHER_TANK", Says.THE_OTHER_TANK.text()),
                new Field.Option("INLET", Says.THE_HOSE_INLET_BY_ITS_DIVERTER.text()),
                new Field.Option("DRAIN", Says.A_DRAIN_UNDER_THE_VEHICLE.text()))));
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
              Says.WHEN_ITS_HANDLE.filled(points.words()),
              joins,
              List.of(
                  new Field.Option("", Says.IT_CANNOT_STAND_SO.text()),
                  new Field.Option("TANK_AND_PUMP", Says.TANK_AND_PUMP_ARE_JOINED.text()),
                  new Field.Option("THIRD_AND_PUMP", Says.THE_THIRD_PORT_AND_THE_PUMP.text()),
                  new Field.Option("TANK_AND_THIRD", Says.TANK_AND_THIRD_PORT_ARE_JOINED.text()),
                  new Field.Option("ALL", Says.ALL_THREE_ARE_JOINED.text()),
                  new Field.Option("NOTHING", Says.IT_IS_CLOSED.text()))));
    }
    List<Field> few =
        List.of(
            Field.tick("strained", Says.A_STRAINER_ON_THAT_HOSE.text(), parts.strained(), ""),
            Field.tick("motor", Says.MOTORS_TURN_THE_VALVES.text(), parts.motor(), ""));
    return new Card(
            "valve",
            Says.WHAT_DOES_THE_THREE_WAY_VALVE.text(),
            Says.TURN_IT_WITH_THE_PUMP_OFF.text(),
            fields)
        .with(new More(Says.A_STRAINER_OR_A_MOTOR.text(), few, parts.strained() || parts.motor()));
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
    List<TankAnswers> tanks = before.tanks().stream().map(t -> drawn(before, t, sheet)).toList();
    return before
        .with(tanks)
        .drawing(pieces, valve)
        .pumping(before.pump().with(parts(before.pump().parts(), sheet)));
  }

  /** A tank of which somebody says whether the pump draws from it; as is usual is not said. */
  private static TankAnswers drawn(RigAnswers before, TankAnswers tank, FilledPage sheet) {
    boolean asked = before.tanks(Contents.FRESH).size() > 1 && sheet.has("piece-0");
    if (!asked || tank.contents() != Contents.FRESH) {
      return tank;
    }
    boolean ticked = sheet.tick(tank.id() + "-drawn");
    return ticked == before.draws(tank) ? tank : tank.drawn(ticked);
  }

  private static PumpParts parts(PumpParts was, FilledPage sheet) {
    PumpParts from = was.from(sheet.choice("source", was.source()));
    return sheet.has("third") ? from.valves(sheet.tick("strained"), sheet.tick("motor")) : from;
  }

  private static Selector read(Selector before, FilledPage sheet) {
    List<Position> positions = new ArrayList<>();
    for (Points points : Points.values()) {
      sheet
          .choice("joins-" + points.name(), Joins.class)
          .ifPresent(joins -> positions.add(new Position(points, joins)));
    }
    if (positions.isEmpty()) {
      sheet.error("joins-" + Points.RIGHT.name(), Says.THE_THREE_WAY_VALVE_ITS_HANDLE.text());
      return before;
    }
    return new Selector(sheet.choice("third", Third.class).orElse(before.third()), positions);
  }

  /** The valve in each of its positions: the tank at the left, the pump at the right. */
  static List<ValvePicture> pictures(Selector valve) {
    Map<PortId, String> leads =
        Map.of(PortId.A, "pump", PortId.B, "tank", PortId.C, words(valve.third()));
    return valve.positions().stream()
        .map(p ->
            ValvePicture.of(
                p.points().words(),
                p.points().angle(),
                p.joins().groups(),
                port -> leads.getOrDefault(port, ""),
                said(p.joins(), words(valve.third()))))
        .toList();
  }

  private static String words(Third third) {
    return switch (third) {
      case OTHER_TANK -> Says.OTHER_TANK.text();
      case HOSE -> "hose";
      case INLET -> "inlet";
      case DRAIN -> "drain";
    };
  }

  private static String said(Joins joins, String third) {
    return switch (joins) {
      case NOTHING -> "closed";
      case TANK_AND_PUMP -> Says.TANK_TO_PUMP_INSIDE.text();
      case THIRD_AND_PUMP -> Says.TO_PUMP.filled(third);
      case TANK_AND_THIRD -> Says.TANK_TO.filled(third);
      case ALL -> Says.ALL_THREE.text();
    };
  }
}
