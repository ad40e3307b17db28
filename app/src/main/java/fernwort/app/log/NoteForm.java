package fernwort.app.log;

import fernwort.app.board.ReadingText;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;

/** What somebody typed to note something. */
record NoteForm(Map<String, String> typed, Units units) {

  /** As fields for a time hold it. */
  static final DateTimeFormatter FIELD =
      DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm", Locale.ROOT);

  /** An id that a page gave to what it sends, so that it is kept once though it may come twice. */
  private static final Pattern ONCE = Pattern.compile("[0-9a-fA-F-]{36}");

  NoteForm {
    typed = Map.copyOf(typed);
  }

  private String text(String field) {
    return typed.getOrDefault(field, "").strip();
  }

  /** Returns a time as its field holds it. */
  static String field(Instant at) {
    return at.atZone(ZoneId.systemDefault()).format(FIELD);
  }

  /**
   * Returns when it was so.
   *
   * @param now what an empty field stands for
   * @throws Refusal when it is no time
   */
  Instant at(Instant now) {
    return time("at").orElse(now);
  }

  private Optional<Instant> time(String field) {
    String text = text(field);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          LocalDateTime.parse(text.length() == 10 ? text + "T12:00" : text)
              .atZone(ZoneId.systemDefault())
              .toInstant());
    } catch (DateTimeParseException e) {
      throw new Refusal(Says.IS_NOT_A_TIME_GIVE_DAY.with(text));
    }
  }

  /**
   * Returns what was noted as an entry. One that came before, of which the answer was lost on the
   * way, has the same id; one that waited for a network is of when it was noted.
   */
  Entry entry(Entry.What what, Instant now) {
    String once = text("once");
    String id = ONCE.matcher(once).matches() ? once : UUID.randomUUID().toString();
    return new Entry(id, at(noted(now)).truncatedTo(ChronoUnit.MICROS), what);
  }

  private Instant noted(Instant now) {
    try {
      Instant noted = has("queued-at") ? Instant.parse(text("queued-at")) : now;
      return noted.isAfter(now) ? now : noted;
    } catch (DateTimeParseException unreadable) {
      return now;
    }
  }

  /** Returns the kind that was chosen. */
  Entry.Kind kind() {
    return Arrays.stream(Entry.Kind.values())
        .filter(k -> k.name().equalsIgnoreCase(text("kind")))
        .findFirst()
        .orElseThrow(() -> new Refusal(Says.CHOOSE_WHAT_TO_NOTE_READ_FILLED.with()));
  }

  /**
   * Returns what was noted.
   *
   * @param states knows what a reading stands for
   * @param slope how the vehicle stood, for what was read
   * @throws Refusal naming the field that cannot be read
   */
  Entry.What what(OpenRig rig, States states, Slope slope) {
    String note = text("note");
    return switch (kind()) {
      case READING -> reading(rig, states, slope, note);
      case FILL ->
          new Entry.Fill(PartId.of(tank(rig)), volume("amount"), bought(), has("doubtful"), note);
      case DUMP -> new Entry.Dump(PartId.of(tank(rig)), volume("amount"), note);
      case HAUL ->
          new Entry.Haul(
              PartId.of(tank(rig)),
              volume("amount")
                  .orElseThrow(() -> new Refusal(Says.HOW_MUCH_WAS_HAULED_GIVE_LITRES.with())),
              number("trips", "Trips").orElse(1),
              bought(),
              note);
      case PEOPLE ->
          new Entry.People(
              number("people", "People")
                  .orElseThrow(() -> new Refusal(Says.HOW_MANY_ARE_ON_BOARD.with())),
              number("pets", "Pets").orElse(0),
              volume("each"),
              note);
      case AWAY ->
          new Entry.Away(
              time("until")
                  .orElseThrow(() -> new Refusal(Says.UNTIL_WHEN_IS_NOBODY_ON_BOARD.with())),
              note);
      case SANITIZE -> new Entry.Sanitize(PartId.of(tank(rig)), note);
      case UPKEEP -> new Entry.Upkeep(PartId.of(text("part")), time("until"), note);
      case NOTE -> {
        if (note.isEmpty()) {
          throw new Refusal(Says.NOTHING_TO_NOTE_WAS_WRITTEN.with());
        }
        yield new Entry.Note(note);
      }
    };
  }

  private Entry.Reading reading(OpenRig rig, States states, Slope slope, String note) {
    ReadingText.Typed reading = ReadingText.of(text("amount"), text("unit"), units);
    String tank = tank(rig);
    double volume = states.volume(rig, PartId.of(tank), reading.reading(), slope);
    return new Entry.Reading(PartId.of(tank), volume, reading.shown(), false, note);
  }

  private String tank(OpenRig rig) {
    String tank = text("tank");
    return rig.rig().part(PartId.of(tank)).id().value();
  }

  private boolean has(String field) {
    return !text(field).isEmpty();
  }

  private Optional<Double> volume(String field) {
    return has(field)
        ? Optional.of(units.parse(Says.THE_AMOUNT.text(), Measure.VOLUME, text(field)))
        : Optional.empty();
  }

  private Optional<Integer> number(String field, String what) {
    String text = text(field);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    if (!text.matches("[0-9]{1,4}")) {
      throw new Refusal(Says.MUST_BE_A_WHOLE_NUMBER.with(what));
    }
    return Optional.of(Integer.parseInt(text));
  }

  private Entry.Bought bought() {
    String price = text("price").replace(',', '.');
    if (!price.isEmpty() && !price.matches("[0-9]{1,7}(\\.[0-9]{1,2})?")) {
      throw new Refusal(Says.IS_NOT_A_PRICE_TYPE.with(price));
    }
    return new Entry.Bought(
        price.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(price)),
        text("place"),
        has("treated") ? Optional.of(text("treated").equals("yes")) : Optional.empty());
  }
}
