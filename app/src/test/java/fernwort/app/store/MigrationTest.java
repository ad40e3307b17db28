package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.Client;
import fernwort.app.OwnCopy;
import fernwort.app.store.disk.Schema;
import fernwort.core.demo.DemoRig;
import fernwort.core.format.RigFormat;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** A data folder as each earlier step of the tables left it, opened by this Fernwort. */
@Order(1)
class MigrationTest {

  private static final Rig RIG = DemoRig.all().getFirst().rig();
  private static final Instant THEN = Instant.parse("2025-05-04T08:30:00Z");

  /** Habits as they were kept before sources, and since. */
  private static final String FIRST_HABITS =
      """
      [{"id":"shower","label":"Shower","litresPerPersonDay":12.5,"grayShare":1.0}]\
      """;

  private static final String HABITS =
      """
      {"people":3,"pets":0,"season":"MILD","habits":[{"id":"shower","label":"Shower",\
      "per":"PERSON","times":1,"heat":1,"source":"Counted","litres":12.5,"grayShare":1.0}]}\
      """;

  @TempDir Path home;
  private Connection connection;

  private void insert(String table, String columns, Object... values) throws SQLException {
    String marks = "?, ".repeat(values.length - 1) + "?";
    String sql = "insert into %s (%s) values (%s)".formatted(table, columns, marks);
    try (PreparedStatement statement = connection.prepareStatement(sql)) {
      for (int i = 0; i < values.length; i++) {
        statement.setObject(i + 1, values[i]);
      }
      statement.executeUpdate();
    }
  }

  /** Makes the database as a step left it, with something in every table that it has. */
  private void make(int step) throws SQLException {
    String url = "jdbc:h2:file:" + home.resolve("fernwort") + ";DATABASE_TO_LOWER=TRUE";
    Schema.bringTo(url, step);
    connection = DriverManager.getConnection(url, "sa", "");
    Object then = THEN.atOffset(ZoneOffset.UTC);
    String file = new RigFormat().write(RIG);
    insert(
        "rig",
        "id, name, version, description, people, habits, created_at",
        "old",
        RIG.name(),
        1,
        file,
        3,
        step < 3 ? FIRST_HABITS : HABITS,
        then);
    insert("handle", "rig, part, position_id", "old", "bypass", "open");
    insert("level", "rig, tank, volume, read_at, shown", "old", "main", 0.061, then, "61 L");
    insert(
        "journal",
        "rig, seq, made_at, who, kind, subject, before_value, after_value, standing",
        "old",
        1L,
        then,
        "ada",
        "TURN",
        "bypass",
        "shut",
        "open",
        "stands");
    insert(
        "journal",
        "rig, seq, made_at, who, kind, subject, before_value, after_value, standing",
        "old",
        2L,
        then,
        "ada",
        "READING",
        "main",
        "",
        "0.061|" + THEN + "|61 L",
        "stands");
    if (step >= 2) {
      insert(
          "rig_version",
          "rig, version, description, made_at, who, what",
          "old",
          1,
          file,
          then,
          "ada",
          "Taken in by ada");
    }
    if (step >= 6) {
      // Since then a version says which step it shows.
      connection.createStatement().execute("update rig_version set shows = version");
    }
    if (step >= 3) {
      insert("sizing_entry", "rig, field, entry, units", "old", "trip-days", "9", "L");
    }
    if (step >= 4) {
      try (PreparedStatement park =
          connection.prepareStatement("update rig set pitch = 2, roll = -1")) {
        park.executeUpdate();
      }
    }
    if (step >= 5) {
      insert(
          "job_run",
          "id, rig, job, title, who, started_at, ended_at, outcome, moved",
          "run-1",
          "old",
          "fill:main",
          "Filled for the fair",
          "ada",
          then,
          then,
          "DONE",
          0.05);
      insert(
          "card",
          "token, rig, name, shows, made_at",
          "abcdefghijklmnopqrstuvwxyz0123456789ABCDEF",
          "old",
          "For the neighbours",
          "state",
          then);
    }
    if (step >= 7) {
      insert("answers", "rig, seq, given", "old", 1, "{}");
    }
    if (step >= 8) {
      connection.createStatement().execute("update answers set made = 1");
    }
    if (step >= 10) {
      // Since then a reading is an entry of the diary as well.
      insert(
          "diary",
          "id, rig, happened_at, made_at, who, kind, part, volume, shown, reckoned, place, doubtful,"
              + " note, pitch, roll, standing",
          "entry-1",
          "old",
          then,
          then,
          "ada",
          "READING",
          "main",
          0.061,
          "61 L",
          false,
          "",
          false,
          "",
          0.0,
          0.0,
          "stands");
    }
    connection.close();
  }

  @Test
  void whatTheFirstFernwortKeptIsThereStill() throws Exception {
    assertThatItIsThereStill(1);
  }

  @ParameterizedTest
  @Tag("sweep")
  @ValueSource(ints = {2, 3, 4, 5, 6, 7, 8, 9, 10, 11})
  void whatAnyEarlierFernwortKeptIsThereStill(int step) throws Exception {
    assertThatItIsThereStill(step);
  }

  private void assertThatItIsThereStill(int step) throws Exception {
    make(step);
    try (OwnCopy copy = OwnCopy.start(home)) {
      JsonNode state = json(copy, "/state");
      assertThat(state.at("/positions/bypass").asString()).isEqualTo("open");
      assertThat(state.at("/levels/main/volume").asDouble()).isCloseTo(0.061, within(1e-9));
      assertThat(copy.get("/rigs/old/log").body()).contains("ada").contains("Bypass");
      // A reading that stood in the journal is an entry of the diary since.
      assertThat(json(copy, "/log").toString()).contains(THEN.toString()).contains("61 L");
      assertThat(copy.get("/rigs/old/board").statusCode()).isEqualTo(200);
      JsonNode habits = json(copy, "/habits");
      assertThat(habits.at("/people").asInt()).isEqualTo(3);
      assertThat(habits.at("/habits/0/litres").asDouble()).isEqualTo(12.5);
      assertThat(json(copy, "/lasts").at("/freshPerDay").asDouble())
          .isCloseTo(0.0375, within(1e-9));
      if (step >= 3) {
        assertThat(copy.get("/rigs/old/sizing").body()).contains("value=\"9\"");
      }
      if (step >= 5) {
        assertThat(copy.get("/rigs/old/runs/run-1").body()).contains("Filled for the fair");
        assertThat(copy.get("/rigs/old/cards").body()).contains("For the neighbours");
      }
      if (step >= 7) {
        // Answers in a form of another Fernwort are none; the rig stays what it is.
        assertThat(copy.get("/rigs/old/rig").body()).contains("By questions");
      }
      aStepIsTakenBack(copy, step);
    }
  }

  /** A step is taken back to the description that was kept then. */
  private static void aStepIsTakenBack(Client copy, int step) throws IOException {
    String before = copy.get("/api/v1/rigs/old").body();
    copy.post("/rigs/old/rig/rename", "version=1&name=Renamed");
    assertThat(copy.get("/api/v1/rigs/old").body()).contains("Renamed");
    assertThat(copy.get("/rigs/old/compare").body())
        .contains(step < 2 ? "Taken in" : "Taken in by ada");
    copy.post("/rigs/old/rig/undo", "");
    assertThat(copy.get("/api/v1/rigs/old").body()).isEqualTo(before);
  }

  private static JsonNode json(Client copy, String path) throws Exception {
    return copy.json("/api/v1/rigs/old" + path);
  }
}
