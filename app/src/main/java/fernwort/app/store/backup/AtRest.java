package fernwort.app.store.backup;

import fernwort.app.store.DataFolder;
import fernwort.app.store.disk.DatabaseFile;
import fernwort.app.store.disk.FolderOpening;
import fernwort.core.say.Refusal;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.util.zip.GZIPOutputStream;

/** Backs up and restores a data folder on which no copy runs. */
public final class AtRest {

  private AtRest() {}

  /** Writes some bytes to a file that is not there yet; a name that ends with .gz is packed. */
  public static void toNewFile(Path file, Writing content) {
    try (OutputStream plain = Files.newOutputStream(file, StandardOpenOption.CREATE_NEW)) {
      OutputStream out = new BufferedOutputStream(plain);
      try (OutputStream last = file.toString().endsWith(".gz") ? new GZIPOutputStream(out) : out) {
        content.to(last);
      }
    } catch (FileAlreadyExistsException e) {
      throw new Refusal(Says.IS_THERE_ALREADY_AND_STAYS.with(file));
    } catch (IOException e) {
      throw new Refusal(
          Says.THE_BACKUP_COULD_NOT_BE_WRITTEN.with(file, String.valueOf(e.getMessage())));
    }
  }

  /** Something that is written to a stream. */
  public interface Writing {
    void to(OutputStream out) throws IOException;
  }

  /** Backs a folder up into a new file. */
  public static void backUp(DataFolder folder, Path file, Clock clock) {
    FolderOpening.prepare(folder, clock);
    toNewFile(
        file,
        out -> {
          try (Connection connection = DatabaseFile.reading(folder)) {
            BackupFile.write(connection, clock.instant(), out);
          } catch (SQLException e) {
            throw new IOException("the database cannot be read", e);
          }
        });
  }

  /**
   * Returns how much a backup holds.
   *
   * @throws Refusal when it is no whole backup
   */
  public static BackupCounts counts(Path file) {
    try (InputStream in = Files.newInputStream(file)) {
      return BackupCounts.read(in);
    } catch (IOException e) {
      throw new Refusal(Says.THE_BACKUP_CANNOT_BE_READ.with(file, String.valueOf(e.getMessage())));
    }
  }

  /**
   * Puts a backup in the place of what a folder holds, whatever that is; it is kept as a copy.
   *
   * @return what was done, in a sentence
   * @throws Refusal when it is no whole and sound backup; nothing is changed
   */
  public static String restore(DataFolder folder, Path file, Clock clock, Look look) {
    try (InputStream in = Files.newInputStream(file);
        Staging staging = Staging.read(in, folder.database(), look)) {
      staging.expectWhole();
      return DatabaseFile.exchange(folder, clock, staging.database())
          .map(copy -> Says.RESTORED_FROM_WHAT_WAS.filled(file, copy))
          .orElse(Says.RESTORED_FROM.filled(file));
    } catch (IOException e) {
      throw new Refusal(
          Says.THE_BACKUP_CANNOT_BE_READ.with(
              file, e.getClass().getSimpleName().replace("Exception", "")));
    }
  }
}
