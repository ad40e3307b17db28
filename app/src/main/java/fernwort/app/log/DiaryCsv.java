package fernwort.app.log;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import fernwort.app.services.OpenRig;
import fernwort.app.store.DiaryStore;
import fernwort.app.web.CsvTable;
import fernwort.app.web.PlainCell;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;

/**
 * The diary as a table for other programs: one row an entry, units in the header, times in UTC.
 * docs/log.md says what each column holds.
 */
final class DiaryCsv {

  private static final List<String> COLUMNS =
      List.of(
          "id",
          "at",
          "kind",
          "part",
          Says.VOLUME_L.text(),
          "shown",
          "reckoned",
          "people",
          "pets",
          Says.PER_PERSON_AND_DAY_L.text(),
          "until",
          "trips",
          "price",
          "place",
          "treated",
          "doubtful",
          "note",
          "who",
          "made",
          Says.PITCH.text(),
          Says.ROLL.text(),
          "standing",
          "replaces");

  private static final List<String> NEEDED = List.of("at", "kind");
  private static final int MOST = 200_000;

  private DiaryCsv() {}

  /** Writes entries as a table. */
  static String write(List<DiaryStore.Kept> all) {
    return CsvTable.of(COLUMNS, all.stream().map(DiaryCsv::row).toList());
  }

  private static List<String> row(DiaryStore.Kept kept) {
    Entry.What what = kept.entry().what();
    Cells cells = new Cells();
    switch (what) {
      case Entry.Reading w -> {
        cells.volume = litres(w.volume());
        cells.shown = w.shown();
        cells.reckoned = yes(w.reckoned());
      }
      case Entry.Fill w -> {
        cells.volume = w.volume().map(DiaryCsv::litres).orElse("");
        cells.bought(w.bought());
        cells.doubtful = yes(w.doubtful());
      }
      case Entry.Dump w -> cells.volume = w.volume().map(DiaryCsv::litres).orElse("");
      case Entry.Haul w -> {
        cells.volume = litres(w.volume());
        cells.trips = Integer.toString(w.trips());
        cells.bought(w.bought());
      }
      case Entry.People w -> {
        cells.people = Integer.toString(w.people());
        cells.pets = Integer.toString(w.pets());
        cells.each = w.perPersonDay().map(DiaryCsv::litres).orElse("");
      }
      case Entry.Away w -> cells.until = w.until().toString();
      case Entry.Upkeep w -> cells.until = w.putOff().map(Instant::toString).orElse("");
      case Entry.Sanitize _, Entry.Note _ -> {}
    }
    return List.of(
        kept.entry().id(),
        kept.entry().at().toString(),
        what.kind().name().toLowerCase(Locale.ROOT),
        what.part().value(),
        cells.volume,
        cells.shown,
        cells.reckoned,
        cells.people,
        cells.pets,
        cells.each,
        cells.until,
        cells.trips,
        cells.price,
        cells.place,
        cells.treated,
        cells.doubtful,
        what.note(),
        kept.who(),
        kept.made().toString(),
        Double.toString(kept.slope().pitch()),
        Double.toString(kept.slope().roll()),
        kept.standing().kept(),
        kept.replaces());
  }

  /** The cells that only some kinds have. */
  private static final class Cells {
    private String volume = "";
    private String shown = "";
    private String reckoned = "";
    private String people = "";
    private String pets = "";
    private String each = "";
    private String until = "";
    private String trips = "";
    private String price = "";
    private String place = "";
    private String treated = "";
    private String doubtful = "";

    private void bought(Entry.Bought bought) {
      price = bought.price().map(BigDecimal::toPlainString).orElse("");
      place = bought.place();
      treated = bought.treated().map(DiaryCsv::yes).orElse("");
    }
  }

  private static String yes(boolean so) {
    return so ? "yes" : "no";
  }

  /** To the last digit, so that what comes back in is the same. */
  private static String litres(double volume) {
    return BigDecimal.valueOf(volume).movePointRight(3).toPlainString();
  }

  /**
   * Reads a table.
   *
   * @param who who brings it in, where a row does not say who noted it
   * @param now when, where a row does not say
   * @throws Refusal naming the line that cannot be read; nothing is taken then
   */
  static List<DiaryStore.Kept> read(OpenRig rig, String text, String who, Instant now) {
    List<DiaryStore.Kept> all = new ArrayList<>();
    String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
    try (CsvReader<NamedCsvRecord> csv = CsvReader.builder().ofNamedCsvRecord(plain)) {
      boolean first = true;
      for (NamedCsvRecord line : csv) {
        if (first) {
          check(new HashSet<>(line.getHeader()));
          first = false;
        }
        if (all.size() >= MOST) {
          throw new Refusal(Says.THE_FILE_HAS_MORE_THAN_ROWS.with(MOST));
        }
        all.add(entry(rig, new Row(line), who, now));
      }
    } catch (CsvParseException e) {
      throw new Refusal(Says.THE_FILE_IS_NO_CSV.with(String.valueOf(e.getMessage())));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (all.isEmpty()) {
      throw new Refusal(Says.THE_FILE_HAS_NO_ROWS_UNDER.with());
    }
    return all;
  }

  private static void check(Set<String> header) {
    for (String needed : NEEDED) {
      if (!header.contains(needed)) {
        throw new Refusal(
            Says.THE_FIRST_LINE_HAS_NO_COLUMN.with(needed, String.join(" and ", NEEDED)));
      }
    }
  }

  /** A line of the file. */
  private record Row(NamedCsvRecord line) {

    String text(String column) {
      return line.findField(column).orElse("").strip();
    }

    /** Words, without the mark that keeps a spreadsheet from working them out. */
    String words(String column) {
      return PlainCell.read(text(column));
    }

    Refusal refused(String column, String why) {
      return new Refusal(
          Says.LINE_NOTHING_WAS_IMPORTED.with(line.getStartingLineNumber(), column, why));
    }

    <T> Optional<T> read(String column, Function<String, T> reader, String kind) {
      String text = text(column);
      if (text.isEmpty()) {
        return Optional.empty();
      }
      try {
        return Optional.of(reader.apply(text));
      } catch (NumberFormatException | DateTimeParseException e) {
        throw refused(column, "“%s” is no %s".formatted(text, kind));
      }
    }

    <T> T needed(String column, Function<String, T> reader, String kind) {
      return read(column, reader, kind)
          .orElseThrow(() -> refused(column, Says.IT_IS_EMPTY_AND_THIS_KIND_NEEDS.filled(kind)));
    }

    Optional<Double> volume(String column) {
      return read(
          column,
          t -> new BigDecimal(t).movePointLeft(3).doubleValue(),
          Says.NUMBER_OF_LITRES.text());
    }

    boolean yes(String column) {
      return text(column).equals("yes");
    }

    Entry.Bought bought() {
      return new Entry.Bought(
          read("price", BigDecimal::new, "price"),
          words("place"),
          text("treated").isEmpty() ? Optional.empty() : Optional.of(yes("treated")));
    }
  }

  private static DiaryStore.Kept entry(OpenRig rig, Row row, String who, Instant now) {
    Instant at = row.needed("at", Instant::parse, Says.TIME_IN_UTC_SUCH_AS_2026_05.text());
    try {
      Entry.What what = what(row);
      String part = what.part().value();
      boolean tank = what.kind() != Entry.Kind.UPKEEP;
      if (!part.isEmpty() && tank) {
        rig.rig().part(PartId.of(part));
      }
      String given = row.words("id");
      byte[] content = (rig.id() + row.line().getFields()).getBytes(StandardCharsets.UTF_8);
      String id = given.isEmpty() ? UUID.nameUUIDFromBytes(content).toString() : given;
      String author = row.words("who");
      String standing = row.text("standing");
      return new DiaryStore.Kept(
          new Entry(id, at.truncatedTo(ChronoUnit.MICROS), what),
          author.isEmpty() ? who : author,
          row.read("made", Instant::parse, "time").orElse(now).truncatedTo(ChronoUnit.MICROS),
          new Slope(
              row.read(Says.PITCH.text(), Double::parseDouble, "number").orElse(0.0),
              row.read(Says.ROLL.text(), Double::parseDouble, "number").orElse(0.0)),
          standing.isEmpty() ? DiaryStore.Standing.STANDS : DiaryStore.standing(standing),
          row.words("replaces"));
    } catch (Refusal e) {
      String line = "Line " + row.line().getStartingLineNumber();
      throw e.getMessage().startsWith("Line ")
          ? e
          : new Refusal(Says.NOTHING_WAS_IMPORTED.with(line, String.valueOf(e.getMessage())));
    }
  }

  private static Entry.What what(Row row) {
    String name = row.text("kind");
    Entry.Kind kind =
        Arrays.stream(Entry.Kind.values())
            .filter(k -> k.name().equalsIgnoreCase(name))
            .findFirst()
            .orElseThrow(() -> row.refused("kind", Says.IS_NOT_A_KIND_OF_ENTRY.filled(name)));
    String part = row.words("part");
    String note = row.words("note");
    Optional<Double> volume = row.volume(Says.VOLUME_L.text());
    return switch (kind) {
      case READING ->
          new Entry.Reading(
              PartId.of(part),
              volume.orElseThrow(
                  () -> row.refused(Says.VOLUME_L.text(), Says.A_READING_NEEDS_ONE.text())),
              row.words("shown"),
              row.yes("reckoned"),
              note);
      case FILL -> new Entry.Fill(PartId.of(part), volume, row.bought(), row.yes("doubtful"), note);
      case DUMP -> new Entry.Dump(PartId.of(part), volume, note);
      case HAUL ->
          new Entry.Haul(
              PartId.of(part),
              volume.orElseThrow(
                  () -> row.refused(Says.VOLUME_L.text(), Says.A_HAUL_NEEDS_ONE.text())),
              row.read("trips", Integer::valueOf, Says.WHOLE_NUMBER.text()).orElse(1),
              row.bought(),
              note);
      case PEOPLE ->
          new Entry.People(
              row.needed("people", Integer::valueOf, Says.WHOLE_NUMBER.text()),
              row.read("pets", Integer::valueOf, Says.WHOLE_NUMBER.text()).orElse(0),
              row.volume(Says.PER_PERSON_AND_DAY_L.text()),
              note);
      case AWAY -> new Entry.Away(row.needed("until", Instant::parse, "time"), note);
      case SANITIZE -> new Entry.Sanitize(PartId.of(part), note);
      case UPKEEP ->
          new Entry.Upkeep(PartId.of(part), row.read("until", Instant::parse, "time"), note);
      case NOTE -> new Entry.Note(note);
    };
  }
}
