package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A pump and a heater on one switch: turned together, and taken back together. */
class OneSwitchTest {

  private static final Path TRAILER =
      Path.of("..", "core", "src", "test", "resources", "practised", "food-trailer.json");

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static String made(Client copy) throws IOException {
    String made = copy.change("POST", "/api/v1/rigs", Files.readString(TRAILER)).body();
    return new JsonMapper().readTree(made).get("id").asString();
  }

  private static String standing(Client copy, String rig) throws IOException {
    JsonNode positions = copy.json(rig + "/state").get("positions");
    return positions.get("pump").asString() + " " + positions.get("heater").asString();
  }

  @Test
  void whatHangsOnOneSwitchIsTurnedAndTakenBackTogether() throws IOException {
    Client copy = COPY.client();
    String rig = "/api/v1/rigs/" + made(copy);
    assertThat(standing(copy, rig)).isEqualTo("off off");

    copy.change("PUT", rig + "/handles/pump", "{\"position\":\"on\"}");
    assertThat(standing(copy, rig)).isEqualTo("on on");
    copy.change("POST", rig + "/undo", "");
    assertThat(standing(copy, rig)).isEqualTo("off off");
    copy.change("POST", rig + "/redo", "");
    assertThat(standing(copy, rig)).isEqualTo("on on");
    copy.change("PUT", rig + "/handles/heater", "{\"position\":\"off\"}");
    assertThat(standing(copy, rig)).isEqualTo("off off");

    // What is on no switch goes by itself, and comes back by itself.
    copy.change("PUT", rig + "/handles/fill-valve", "{\"position\":\"open\"}");
    copy.change("POST", rig + "/undo", "");
    assertThat(standing(copy, rig)).isEqualTo("off off");
    copy.change("POST", rig + "/undo", "");
    assertThat(standing(copy, rig)).isEqualTo("on on");
  }

  /** Tries a whole sheet: nothing that it has one do stands elsewhere than it says. */
  @Test
  void aSheetTellsOneSwitchOnceAndFindsItWhereItLeftIt() throws IOException {
    Client copy = COPY.client();
    String id = made(copy);
    copy.change(
        "PUT", "/api/v1/rigs/" + id + "/tanks/tank/reading", "{\"amount\":60,\"unit\":\"litres\"}");
    String run = Client.where(copy.post("/rigs/" + id + "/jobs/run-tank/begin", ""));
    assertThat(copy.get(run).body()).containsOnlyOnce("Turn on Galley switch: Pump, Heater.");
    copy.post(run + "/steps/1/done", "");
    assertThat(standing(copy, "/api/v1/rigs/" + id)).isEqualTo("on on");
    assertThat(copy.get(run).body()).doesNotContain("not where this sheet has them");
  }
}
