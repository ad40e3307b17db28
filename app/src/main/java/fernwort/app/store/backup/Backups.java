package fernwort.app.store.backup;

import fernwort.app.store.DataFolder;
import fernwort.app.store.disk.FolderOpening;
import fernwort.app.store.disk.Keeping;
import fernwort.core.say.Refusal;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import javax.sql.DataSource;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Backs up and restores a copy that is running. */
@Service
public class Backups {

  private static final int KEPT_DAYS = 7;
  private static final int KEPT_BEFORE_RESTORE = 3;
  private static final String PACKED = ".json.gz";

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

  private final DataSource source;
  private final PlatformTransactionManager transactions;
  private final DataFolder folder;
  private final Clock clock;
  private final ApplicationEventPublisher events;

  Backups(
      DataSource source,
      PlatformTransactionManager transactions,
      DataFolder folder,
      Clock clock,
      ApplicationEventPublisher events) {
    this.source = source;
    this.transactions = transactions;
    this.folder = folder;
    this.clock = clock;
    this.events = events;
  }

  /** Said when everything that is kept was replaced, so that nothing goes on from before. */
  public record Restored() {}

  /** Writes everything that is kept. */
  public void write(OutputStream out) throws IOException {
    try (Connection connection = source.getConnection()) {
      BackupFile.write(connection, clock.instant(), out);
    } catch (SQLException e) {
      throw new IOException("the database cannot be read", e);
    }
  }

  /**
   * Puts a backup in the place of everything that is kept, all or nothing. What is replaced is
   * backed up first.
   *
   * @param rigs looks at each description of a rig and throws when it cannot be read
   * @throws Refusal when it is no whole and sound backup; nothing is changed
   */
  public void restore(InputStream file, Consumer<String> rigs) {
    try (Staging staging = Staging.read(file, rigs)) {
      keep(STAMP.format(clock.instant()) + "-before-restore" + PACKED);
      Keeping.newest(folder(), ".*-before-restore.*", KEPT_BEFORE_RESTORE);
      new TransactionTemplate(transactions)
          .executeWithoutResult(status -> {
            try {
              staging.replace(DataSourceUtils.getConnection(source));
            } catch (SQLException e) {
              throw new IllegalStateException("the backup did not go in", e);
            }
          });
    } catch (IOException e) {
      throw new Refusal(
          Says.WHAT_IS_HERE_COULD_NOT_BE_BACKED.with(
              String.valueOf(e.getMessage()), folder.path()));
    }
    events.publishEvent(new Restored());
  }

  /** Makes the backup of today, unless it is there, and keeps those of a week. */
  public void today() {
    LocalDate day = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    try {
      if (!Files.exists(folder().resolve(day + PACKED))) {
        keep(day + PACKED);
        Keeping.newest(folder(), "[-0-9]{10}[.]json[.]gz", KEPT_DAYS);
      }
    } catch (IOException e) {
      throw new UncheckedIOException("the backup of " + day + " could not be made", e);
    }
  }

  /** Returns the backups in the folder, the newest first. */
  public List<Path> kept() {
    Path backups = folder();
    if (!Files.isDirectory(backups)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(backups)) {
      return files
          .filter(f -> f.toString().endsWith(PACKED))
          .sorted(Comparator.comparing((Path f) -> f.getFileName().toString()).reversed())
          .toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  private Path folder() {
    return folder.path().resolve(FolderOpening.BACKUPS);
  }

  /** Writes a file of that name whole or not at all. */
  private void keep(String name) throws IOException {
    Path backups = Files.createDirectories(folder());
    Path half = backups.resolve("half." + name);
    try {
      try (OutputStream out =
          new GZIPOutputStream(new BufferedOutputStream(Files.newOutputStream(half)))) {
        write(out);
      }
      try (FileChannel file = FileChannel.open(half, StandardOpenOption.WRITE)) {
        file.force(true);
      }
      Files.move(half, backups.resolve(name), StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(half);
    }
  }
}
