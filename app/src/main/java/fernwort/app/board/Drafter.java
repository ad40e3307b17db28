package fernwort.app.board;

import fernwort.app.board.Drawing.Figure;
import fernwort.app.board.Drawing.Pipe;
import fernwort.app.board.Drawing.Room;
import fernwort.app.board.Drawing.Text;
import fernwort.app.board.layout.BoardLayout;
import fernwort.app.board.layout.Grid;
import fernwort.app.board.layout.Item;
import fernwort.app.board.layout.Wire;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.Standing;
import fernwort.app.store.Logbook;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.streams.LineService;
import fernwort.core.ways.Source;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Draws one state of a rig onto its layout. */
final class Drafter {

  /** How far a line is drawn into a tap, whose figure is smaller than its room (px). */
  private static final double INTO_A_TAP = 5;

  private final OpenRig rig;
  private final Standing standing;
  private final Outlook outlook;
  private final Instant now;
  private final Map<String, Severity> alarms = new HashMap<>();
  private final Set<LineId> outside = new HashSet<>();
  private final Map<String, Line> lines = new HashMap<>();
  private final Map<PartId, Part> parts;

  Drafter(OpenRig rig, Standing standing, Outlook outlook, Instant now) {
    this.rig = rig;
    this.standing = standing;
    this.outlook = outlook;
    this.now = now;
    parts = rig.rig().partsById();
    rig.rig().lines().forEach(l -> lines.put(l.id().value(), l));
    for (Warning warning : outlook.warnings()) {
      if (!warning.parts().isEmpty() && warning.severity() != Severity.NOTE) {
        alarms.merge(
            warning.parts().getFirst().value(),
            warning.severity(),
            (a, b) -> a.compareTo(b) < 0 ? a : b);
      }
    }
    outlook.ways().ways().stream()
        .filter(w -> w.source().kind() == Source.Kind.OUTSIDE)
        .forEach(w -> outside.addAll(w.lines()));
  }

  /** Draws the whole vehicle. */
  Drawing whole(BoardLayout layout) {
    return draw(layout, "", Silhouette.of(rig.rig().vehicle(), layout));
  }

  /** Draws one place for a narrow screen. */
  Drawing place(BoardLayout layout) {
    return draw(layout, "n-", Silhouette.NONE);
  }

  private Drawing draw(BoardLayout layout, String prefix, Silhouette vehicle) {
    List<Room> rooms = new ArrayList<>();
    for (Place place : rig.rig().places()) {
      Optional.ofNullable(layout.rooms().get(place.id().value()))
          .map(box -> box.pixels())
          .ifPresent(b ->
              rooms.add(
                  new Room(
                      place.id().value(),
                      place.label(),
                      place.reach(),
                      b[0] + 3,
                      b[1] + 3,
                      b[2] - 6,
                      b[3] - 6)));
    }
    List<Pipe> pipes = layout.wires().stream().map(w -> pipe(w, prefix)).toList();
    List<Figure> figures = new ArrayList<>();
    for (Part part : rig.rig().parts()) {
      Optional.ofNullable(layout.items().get(part.id().value()))
          .ifPresent(item -> figures.add(figure(part, item, prefix)));
    }
    layout
        .tags()
        .keySet()
        .forEach(tag ->
            Optional.ofNullable(layout.items().get(tag))
                .ifPresent(item -> figures.add(tag(PartId.of(tag), item, prefix))));
    return new Drawing(
        layout.width() * Grid.CELL,
        layout.height() * Grid.CELL,
        vehicle.equals(Silhouette.NONE) ? 0 : Silhouette.ROOF,
        vehicle,
        layout.floor() * (double) Grid.CELL,
        layout.ground() * (double) Grid.CELL,
        rooms,
        pipes,
        figures);
  }

  private Pipe pipe(Wire wire, String prefix) {
    Line line = lines.get(wire.line());
    String label = line == null ? "" : line.label();
    double intoFirst = line == null ? 0 : inset(line.from().part());
    double intoLast = line == null ? 0 : inset(line.to().part());
    LineService.Stream stream =
        outside.contains(LineId.of(wire.line()))
            ? LineService.Stream.OUTSIDE
            : rig.streams().getOrDefault(LineId.of(wire.line()), LineService.Stream.FRESH);
    Boolean forward = outlook.ways().moving().get(LineId.of(wire.line()));
    String moving = forward == null ? "" : forward ? "forward" : "back";
    return new Pipe(
        prefix + wire.line(),
        wire.line(),
        label,
        wire.path(intoFirst, intoLast),
        lower(stream),
        moving);
  }

  /** How far a line is drawn into a part whose figure is smaller than its room (px). */
  private double inset(PartId part) {
    Kind kind = Objects.requireNonNull(parts.get(part)).kind();
    if (kind.figure().equals("tee")) {
      return Grid.CELL;
    }
    return kind.is(Purpose.USE) ? INTO_A_TAP : 0;
  }

  private Figure figure(Part part, Item item, String prefix) {
    List<Position> positions = part.kind().positions();
    PositionId position =
        positions.isEmpty() ? PositionId.NONE : standing.state().setting().of(part.id());
    int at = positions.stream().map(Position::id).toList().indexOf(position);
    Position next = positions.isEmpty() ? null : positions.get((at + 1) % positions.size());
    String words = at < 0 ? "" : positions.get(at).words();
    String spoken =
        next == null ? part.label() : Says.TURN_TO.filled(part.label(), words, next.words());
    return new Figure(
        prefix + part.id(),
        part.id().value(),
        part.kind().figure(),
        item.centreX(),
        item.centreY(),
        item.halfWidth(),
        item.halfHeight(),
        part.label(),
        texts(item),
        item.labelBeside() ? "start" : "middle",
        part.kind().is(Purpose.HOLDS)
            ? Says.RECORD.with(part.label(), amount(part))
            : Message.words(spoken),
        next == null ? "" : next.id().value(),
        position.value(),
        Symbol.angle(part.kind(), position),
        !outlook.ways().dead().contains(part.id()),
        Optional.ofNullable(alarms.get(part.id().value())).map(Drafter::lower).orElse(""),
        fill(part, item),
        amount(part),
        age(part),
        water(part));
  }

  private static String water(Part part) {
    return switch (part.kind().contained().orElse(Contents.FRESH)) {
      case FRESH -> "fresh";
      case GRAY -> "gray";
      case OTHER -> "other";
    };
  }

  private Figure tag(PartId id, Item item, String prefix) {
    return new Figure(
        prefix + id,
        id.value(),
        "tag",
        item.centreX(),
        item.centreY(),
        item.halfWidth(),
        item.halfHeight(),
        "",
        texts(item),
        "middle",
        Message.NOTHING,
        "",
        "",
        0,
        true,
        "",
        0,
        Message.NOTHING,
        Message.NOTHING,
        "fresh");
  }

  private static List<Text> texts(Item item) {
    double[] at = item.labelAt();
    List<Text> texts = new ArrayList<>();
    for (int i = 0; i < item.label().size(); i++) {
      texts.add(new Text(item.label().get(i), at[0], at[i + 1]));
    }
    return texts;
  }

  private double fill(Part part, Item item) {
    if (!part.kind().is(Purpose.HOLDS)) {
      return 0;
    }
    double share = standing.state().volume(part.id()) / rig.network().room(part.id()).capacity();
    return Math.round(Math.clamp(share, 0, 1) * (2 * item.halfHeight() - 4));
  }

  private Message amount(Part part) {
    if (!part.kind().is(Purpose.HOLDS)) {
      return Message.NOTHING;
    }
    if (!standing.readings().containsKey(part.id().value())) {
      return Says.NOT_READ.with();
    }
    double volume = standing.state().volume(part.id());
    return Message.of(
        ((Tank) part.kind()).contents() == Contents.OTHER ? Says.NOT_TO_DRINK.text() : "{} · {}",
        Amount.volume(volume),
        Amount.share(volume / rig.network().room(part.id()).capacity()));
  }

  private Message age(Part part) {
    if (standing.sensed().contains(part.id().value())) {
      double room = rig.network().room(part.id()).capacity() - standing.state().volume(part.id());
      return Says.LIVE.with(Amount.volume(Math.max(0, room)));
    }
    Logbook.Level level = standing.readings().get(part.id().value());
    return Message.words(
        level == null ? Says.RECORD_IT.text() : "read " + Ages.ago(level.at(), now));
  }

  static String lower(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT);
  }
}
