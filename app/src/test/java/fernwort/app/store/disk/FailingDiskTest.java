package fernwort.app.store.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.h2.store.fs.FilePath;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceAccessMode;
import org.junit.jupiter.api.parallel.ResourceLock;

/** A disk that is full or fails in the middle of writing. */
@ResourceLock(value = UncertainFiles.SCHEME, mode = ResourceAccessMode.READ_WRITE)
class FailingDiskTest {

  @TempDir Path folder;
  private String url = "";
  private Reserve reserve;

  @BeforeEach
  void make() throws SQLException, IOException {
    OrderedFiles.register();
    UncertainFiles.register();
    url =
        "jdbc:h2:fernwort:uncertain:nio:%s;DATABASE_TO_LOWER=TRUE;DB_CLOSE_ON_EXIT=FALSE"
            .formatted(folder.resolve("kept"));
    reserve = Reserve.beside(FilePath.get("uncertain:nio:" + folder.resolve("kept.mv.db")));
    reserve.make();
    try (Connection connection = open()) {
      execute(connection, "create table change (number int, text clob)");
      GroupSync.sync(connection);
    }
  }

  @AfterEach
  void fix() {
    UncertainFiles.leaveRoom(Long.MAX_VALUE);
    UncertainFiles.breakWith("");
  }

  private Connection open() throws SQLException {
    return DriverManager.getConnection(url, "sa", "");
  }

  private static void execute(Connection connection, String sql) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute(sql);
    }
  }

  private static int count(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet found = statement.executeQuery("select count(*) from change")) {
      found.next();
      return found.getInt(1);
    }
  }

  private static void insert(Connection connection, int number) throws SQLException {
    execute(connection, "insert into change values (%d, repeat('x', 200000))".formatted(number));
    GroupSync.sync(connection);
  }

  /** One change that the disk takes and one that it does not, with which the database closes. */
  private void breaksOff(Runnable failure) throws SQLException {
    Connection connection = open();
    insert(connection, 1);
    failure.run();
    assertThatThrownBy(() -> insert(connection, 2)).isInstanceOf(SQLException.class);
    assertThatThrownBy(() -> count(connection)).as("closed").isInstanceOf(SQLException.class);
  }

  @Test
  void whatIsUnderWayWhenTheDiskIsFullIsWrittenIntoTheReserve() throws Exception {
    try (Connection connection = open()) {
      insert(connection, 1);
      UncertainFiles.leaveRoom(1000);
      insert(connection, 2);
      assertThat(reserve.isThere()).as("given up").isFalse();
      assertThat(count(connection)).isEqualTo(2);
    }
    try (Connection connection = open()) {
      assertThat(count(connection)).isEqualTo(2);
    }
  }

  @Test
  void withoutAnyRoomAChangeIsRefusedAndWhatWasConfirmedIsReadAgain() throws Exception {
    breaksOff(() -> {
      reserve.release();
      UncertainFiles.leaveRoom(1000);
    });
    try (Connection connection = open()) {
      assertThat(count(connection)).as("after it was opened anew").isEqualTo(1);
      UncertainFiles.leaveRoom(Long.MAX_VALUE);
      insert(connection, 3);
      assertThat(count(connection)).isEqualTo(2);
    }
  }

  @Test
  void aDiskThatTakesNothingAtAllCanStillBeReadFrom() throws Exception {
    breaksOff(() -> UncertainFiles.breakWith("Read-only file system"));
    try (Connection reading = DriverManager.getConnection(url + ";ACCESS_MODE_DATA=r", "sa", "")) {
      assertThat(count(reading)).isEqualTo(1);
    }
    assertThat(Files.size(folder.resolve("kept.mv.db"))).isPositive();
  }
}
