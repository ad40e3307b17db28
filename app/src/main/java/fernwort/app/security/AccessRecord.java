package fernwort.app.security;

import fernwort.app.store.DataFolder;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Who came in or did not, and what was changed for the whole copy: a text file in the data folder
 * that its owner reads, the newest thousand lines of it. Nothing that was typed stands in it.
 */
@Component
public class AccessRecord {

  /** What the file is called. */
  static final String NAME = "access.log";

  private static final Logger LOG = LoggerFactory.getLogger(AccessRecord.class);
  private static final int MOST = 1_000;

  private final DataFolder folder;
  private final Path file;
  private final Clock clock;
  private int lines = -1;

  /** What is kept of. */
  public enum What {
    LOGGED_IN(Says.LOGGED_IN.text()),
    WRONG(Says.WRONG_TRY.text()),
    LOCKED_OUT(Says.LOCKED_OUT.text()),
    LOGGED_OUT(Says.LOGGED_OUT.text()),
    OTHERS_ENDED(Says.OTHERS_ENDED.text()),
    RESTORED(Says.RESTORED.text()),
    BROKER(Says.BROKER_CHANGED.text());

    private final String words;

    What(String words) {
      this.words = words;
    }
  }

  AccessRecord(DataFolder folder, Clock clock) {
    this.folder = folder;
    file = folder.path().resolve(NAME);
    this.clock = clock;
  }

  /**
   * Adds a line. What cannot be written is left out: nobody is kept out by a full disk.
   *
   * @param from the address that it came from; empty for this machine itself
   */
  public synchronized void add(What what, String from) {
    String at = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    String line = from.isEmpty() ? at + " " + what.words : at + " " + what.words + ", " + from;
    try {
      lines = lines < 0 ? newestFirst().size() : lines;
      if (lines >= 2 * MOST) {
        List<String> kept = newestFirst().reversed();
        Files.write(file, kept.subList(kept.size() - MOST, kept.size()));
        lines = MOST;
      }
      boolean first = !Files.exists(file);
      Files.writeString(
          file,
          line + "\n",
          StandardCharsets.UTF_8,
          StandardOpenOption.CREATE,
          StandardOpenOption.APPEND);
      lines++;
      if (first) {
        folder.tighten();
      }
    } catch (IOException e) {
      LOG.warn("the record of access cannot be written: {}", String.valueOf(e.getMessage()));
    }
  }

  /** Returns the lines, the newest first. */
  public synchronized List<String> newestFirst() {
    try {
      return Files.exists(file) ? Files.readAllLines(file).reversed() : List.of();
    } catch (IOException unreadable) {
      return List.of();
    }
  }
}
