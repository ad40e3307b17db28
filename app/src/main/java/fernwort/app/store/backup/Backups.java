package fernwort.app.store.backup;

import fernwort.app.store.DataFolder;
import fernwort.app.store.Restored;
import fernwort.app.store.disk.FolderOpening;
import fernwort.app.store.disk.FolderWatch;
import fernwort.app.store.disk.Keeping;
import fernwort.core.say.Refusal;
import jakarta.annotation.PreDestroy;
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
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Backs up and restores a copy that is running. */
@Service
public class Backups {

  private static final int KEPT_BEFORE_RESTORE = 3;
  private static final Duration LONGEST_WAIT = Duration.ofHours(1);
  private static final String RESTORING = "restoring.mv.db";
  private static final String PACKED = ".json.gz";

  /** In the name of a backup that holds more than the next one. */
  private static final String MORE = "-more";

  private static final Pattern DAILY = Pattern.compile("[-0-9]{10}[.]json[.]gz");

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEEE, d MMMM", Locale.ENGLISH);

  private final DataSource source;
  private final PlatformTransactionManager transactions;
  private final DataFolder folder;
  private final FolderWatch watch;
  private final Clock clock;
  private final ApplicationEventPublisher events;
  private final String secondPlace;
  private volatile Optional<String> missing = Optional.empty();
  private Optional<Waiting> waiting = Optional.empty();
  private volatile Optional<String> notCopied = Optional.empty();
  private volatile Optional<String> late = Optional.empty();
  private Optional<LocalDate> firstTried = Optional.empty();
  private boolean lookedBack;

  Backups(
      DataSource source,
      PlatformTransactionManager transactions,
      DataFolder folder,
      FolderWatch watch,
      Clock clock,
      ApplicationEventPublisher events,
      @Value("${fernwort.backups-to:}") String secondPlace) {
    this.source = source;
    this.transactions = transactions;
    this.folder = folder;
    this.watch = watch;
    this.clock = clock;
    this.events = events;
    this.secondPlace = secondPlace;
  }

  /** Returns what is missing since the last backup, in a sentence; nothing where all is there. */
  public Optional<String> missing() {
    return missing.or(() -> late).or(() -> notCopied);
  }

  /** Returns that no daily backup was made for two days, in a sentence; nothing where one was. */
  public Optional<String> late() {
    return late;
  }

  /** Writes everything that is kept. */
  public void write(OutputStream out) throws IOException {
    written(out);
  }

  private BackupCounts written(OutputStream out) throws IOException {
    try (Connection connection = source.getConnection()) {
      return BackupFile.write(connection, clock.instant(), out);
    } catch (SQLException e) {
      throw new IOException("the database cannot be read", e);
    }
  }

  /**
   * A backup that was read in and is sound, before it replaces anything.
   *
   * @param token names it when it is to go in
   * @param made when it was made, if it says so
   * @param file how many rows of each table it has
   * @param here how many are here now
   * @param leftOut what nobody could show and is left out, a sentence each
   * @param broker where the broker is by it, if it says so
   */
  public record Preview(
      String token,
      Optional<Instant> made,
      BackupCounts file,
      BackupCounts here,
      List<String> leftOut,
      Optional<String> broker) {}

  private record Waiting(String token, Staging staging, Instant since) {}

  /**
   * Reads a backup in and looks whether it is sound; it waits until it is restored, or another is
   * read in.
   *
   * @param look looks at each rig and throws when it cannot be read
   * @throws Refusal when it is no whole and sound backup
   */
  public synchronized Preview prepare(InputStream file, Look look) {
    letGo();
    Staging staging = read(file, look);
    String token = UUID.randomUUID().toString();
    waiting = Optional.of(new Waiting(token, staging, clock.instant()));
    try (Connection connection = source.getConnection()) {
      return new Preview(
          token,
          staging.made(),
          staging.counts(),
          BackupCounts.of(connection),
          staging.leftOut(),
          staging.broker());
    } catch (SQLException e) {
      letGo();
      throw new IllegalStateException("what is here cannot be counted", e);
    }
  }

  private Staging read(InputStream file, Look look) {
    return Staging.read(file, folder.path().resolve(RESTORING), look);
  }

  /** Lets go of a backup that was looked at and then left. */
  public synchronized void letGoOfOld() {
    if (waiting.filter(w -> w.since().plus(LONGEST_WAIT).isBefore(clock.instant())).isPresent()) {
      letGo();
    }
  }

  /** Lets go of a backup that waits. */
  @PreDestroy
  synchronized void letGo() {
    waiting.ifPresent(w -> w.staging().close());
    waiting = Optional.empty();
  }

  /**
   * Puts a backup that waits in the place of everything that is kept, all or nothing. What is
   * replaced is backed up first.
   *
   * @param token the backup's name from its preview
   * @throws Refusal when it waits no longer
   */
  public synchronized void restore(String token) {
    Waiting found =
        waiting
            .filter(w -> w.token().equals(token))
            .orElseThrow(() -> new Refusal(Says.THAT_BACKUP_WAITS_NO_LONGER.with()));
    replaceWith(found.staging());
    letGo();
  }

  /**
   * Reads a backup in and puts it in the place of everything at once, for whoever was asked before.
   *
   * @param look looks at each rig and throws when it cannot be read
   * @throws Refusal when it is no whole and sound backup; nothing is changed
   */
  public synchronized void restore(InputStream file, Look look) {
    letGo();
    try (Staging staging = read(file, look)) {
      staging.expectWhole();
      replaceWith(staging);
    }
  }

  private void replaceWith(Staging staging) {
    try {
      keep(STAMP.format(clock.instant()) + "-before-restore" + PACKED);
      Keeping.newest(folder(), ".*-before-restore.*", KEPT_BEFORE_RESTORE);
    } catch (IOException e) {
      throw new Refusal(
          Says.WHAT_IS_HERE_COULD_NOT_BE_BACKED.with(
              String.valueOf(e.getMessage()), folder.path()));
    }
    new TransactionTemplate(transactions)
        .executeWithoutResult(status -> {
          try {
            staging.replace(DataSourceUtils.getConnection(source));
          } catch (SQLException e) {
            throw new IllegalStateException("the backup did not go in", e);
          }
        });
    missing = Optional.empty();
    events.publishEvent(new Restored());
  }

  /**
   * Makes the backup of today, unless it is there or the database is damaged, and deletes what has
   * had its time. Where less is here than in the newest one, that one is kept for good and a
   * sentence says so.
   */
  public Optional<String> today() {
    LocalDate day = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    firstTried = firstTried.or(() -> Optional.of(day));
    try {
      return made(day);
    } finally {
      late =
          daily(folder()).stream()
              .findFirst()
              .map(Backups::dayOf)
              .or(() -> firstTried)
              .filter(last -> last.isBefore(day.minusDays(1)))
              .map(last -> Says.NO_BACKUP_SINCE.filled(DAY.format(last), folder()));
    }
  }

  private Optional<String> made(LocalDate day) {
    try {
      lookBack();
      Optional<String> damage = watch.lookThrough();
      if (damage.isPresent() || Files.exists(folder().resolve(day + PACKED))) {
        return damage;
      }
      Optional<Path> before = daily(folder()).stream().findFirst();
      BackupCounts now = keep(day + PACKED);
      notCopied = copied(day + PACKED);
      Optional<String> less = before.flatMap(b -> counts(b).flatMap(now::lessThan));
      if (less.isPresent()) {
        missing = Optional.of(keptForGood(before.orElseThrow(), less.get()));
        return missing;
      }
      deleteOld(folder());
      if (!secondPlace.isBlank()) {
        deleteOld(Path.of(secondPlace));
      }
      return missing();
    } catch (IOException e) {
      throw new UncheckedIOException("the backup of " + day + " could not be made", e);
    }
  }

  private static Optional<BackupCounts> counts(Path backup) {
    try (InputStream in = Files.newInputStream(backup)) {
      return Optional.of(BackupCounts.read(in));
    } catch (IOException e) {
      // It is damaged: nothing can be told from it, and the next one is sound again.
      return Optional.empty();
    }
  }

  private static LocalDate dayOf(Path daily) {
    return LocalDate.parse(String.valueOf(daily.getFileName()).substring(0, 10));
  }

  private static boolean isOfADay(Path file) {
    try {
      dayOf(file);
      return true;
    } catch (DateTimeException e) {
      return false;
    }
  }

  /** The daily backups, the newest first. */
  private List<Path> daily(Path place) {
    return kept(place).stream()
        .filter(f -> DAILY.matcher(f.getFileName().toString()).matches() && isOfADay(f))
        .toList();
  }

  /** Once after a start: what the newest backups hold is here, or a sentence says what is not. */
  private void lookBack() throws IOException {
    if (lookedBack) {
      return;
    }
    lookedBack = true;
    try (Connection connection = source.getConnection()) {
      BackupCounts here = BackupCounts.of(connection);
      List<Path> before =
          Stream.concat(
                  daily(folder()).stream().limit(1),
                  kept().stream().filter(Backups::isFuller).limit(1))
              .toList();
      for (Path backup : before) {
        Optional<String> less = counts(backup).flatMap(here::lessThan);
        if (less.isPresent()) {
          missing = Optional.of(keptForGood(backup, less.get()));
          return;
        }
      }
    } catch (SQLException e) {
      throw new IOException("what is here cannot be counted", e);
    }
  }

  private static boolean isFuller(Path backup) {
    return backup.getFileName().toString().endsWith(MORE + PACKED);
  }

  /** Keeps a backup that holds more than is here, and returns the sentence that says so. */
  private static String keptForGood(Path backup, String less) throws IOException {
    Path name = backup;
    if (!isFuller(backup)) {
      name = backup.resolveSibling(dayOf(backup) + MORE + PACKED);
      Files.move(backup, name, StandardCopyOption.REPLACE_EXISTING);
    }
    return less + " " + Says.IT_IS_KEPT_AS.filled(name);
  }

  /** Copies a backup to the second place and reads it back there; says where that fails. */
  private Optional<String> copied(String name) {
    if (secondPlace.isBlank()) {
      return Optional.empty();
    }
    Path there = Path.of(secondPlace);
    Path half = there.resolve("half." + name);
    try {
      Path from = folder().resolve(name);
      Files.copy(from, half, StandardCopyOption.REPLACE_EXISTING);
      if (Files.mismatch(from, half) >= 0) {
        throw new IOException(Says.IT_CANNOT_BE_READ_BACK.text());
      }
      Files.move(half, there.resolve(name), StandardCopyOption.REPLACE_EXISTING);
      return Optional.empty();
    } catch (IOException e) {
      return Optional.of(Says.THE_SECOND_PLACE_COULD_NOT.filled(there));
    }
  }

  private void deleteOld(Path place) throws IOException {
    List<Path> daily = daily(place);
    Set<LocalDate> kept = BackupAges.kept(daily.stream().map(Backups::dayOf).toList());
    for (Path file : daily) {
      if (!kept.contains(dayOf(file))) {
        Files.deleteIfExists(file);
      }
    }
  }

  /** Returns the backups in the folder, the newest first. */
  public List<Path> kept() {
    return kept(folder());
  }

  private static List<Path> kept(Path backups) {
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

  /** Writes a file of that name whole or not at all, and reads it back before it counts. */
  private BackupCounts keep(String name) throws IOException {
    Path backups = Files.createDirectories(folder());
    Path half = backups.resolve("half." + name);
    BackupCounts written;
    try {
      try (OutputStream out =
          new GZIPOutputStream(new BufferedOutputStream(Files.newOutputStream(half)))) {
        written = written(out);
      }
      try (InputStream back = Files.newInputStream(half)) {
        if (!BackupCounts.read(back).equals(written)) {
          throw new IOException(Says.IT_CANNOT_BE_READ_BACK.text());
        }
      }
      try (FileChannel file = FileChannel.open(half, StandardOpenOption.WRITE)) {
        file.force(true);
      }
      Files.move(half, backups.resolve(name), StandardCopyOption.ATOMIC_MOVE);
      return written;
    } finally {
      Files.deleteIfExists(half);
    }
  }
}
