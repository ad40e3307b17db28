package fernwort.app.web;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;

/** A table for other programs: the one writer of all that is given out, none of it worked out. */
public final class CsvTable {

  private CsvTable() {}

  /** Writes a table: its first line, and its rows as wide as that. */
  public static String of(List<String> columns, Iterable<List<String>> rows) {
    StringWriter out = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
      csv.writeRecord(columns);
      for (List<String> row : rows) {
        csv.writeRecord(row.stream().map(PlainCell::of).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }
}
