package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Programs read everything under the names that people read, and under those of before. */
class OldNamesTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  @ParameterizedTest
  @CsvSource({
    "winter/methods, cold/plans",
    "winter/shorter/gravity, cold/shorter/fall",
    "build/mount/tank, build/hang/tank",
    "build/shopping, build/buy",
    "drain?tanks=tank, empty?tanks=tank",
    "changes, journal",
  })
  void bothNamesAnswerTheSame(String now, String before) throws IOException {
    Client client = COPY.client();
    String rig = "/api/v1/rigs/samphire/";
    HttpResponse<String> answer = client.get(rig + now);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    assertThat(answer.body()).isEqualTo(client.get(rig + before).body());
  }

  @ParameterizedTest
  @CsvSource({
    "winter/residual, cold/left, '{\"steps\":[]}'",
    "build/remove, build/apart, '{\"out\":[\"foot-pump\"]}'",
  })
  void bothNamesTakeTheSame(String now, String before, String body) throws IOException {
    Client client = COPY.client();
    String rig = "/api/v1/rigs/samphire/";
    HttpResponse<String> answer = client.change("POST", rig + now, body);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    assertThat(answer.body()).isEqualTo(client.change("POST", rig + before, body).body());
  }

  @ParameterizedTest
  @CsvSource({"gravity, fall", "blow-out, air", "combined, mix"})
  void aMethodHasItsPageUnderBothNames(String now, String before) throws IOException {
    String page = COPY.client().get("/rigs/samphire/cold/school/" + now).body();
    String older = COPY.client().get("/rigs/samphire/cold/school/" + before).body();
    assertThat(page).contains("id=\"begin\"").hasSameSizeAs(older);
  }

  @ParameterizedTest
  @CsvSource({"flows, taps, fixtures", "warnings, fix, mend"})
  void aFieldIsReadUnderBothNames(String address, String now, String before) throws IOException {
    JsonNode answer =
        JsonMapper.shared()
            .readTree(COPY.client().get("/api/v1/rigs/marginalia/" + address).body());
    assertThat(answer.findValues(now)).isNotEmpty().isEqualTo(answer.findValues(before));
  }

  @Test
  void aPipeIsAskedUnderBothNames() throws IOException {
    String rest =
        "0.01,\"wall_m\":0.002,\"insulation_m\":0,\"film_w_m2k\":8,\"start_c\":10,\"air_c\":-5}";
    HttpResponse<String> now =
        COPY.client().change("POST", "/api/v1/cold/pipe", "{\"inside_diameter_m\":" + rest);
    HttpResponse<String> before =
        COPY.client().change("POST", "/api/v1/cold/pipe", "{\"bore_m\":" + rest);
    assertThat(now.body()).contains("hours_to_zero").isEqualTo(before.body());
  }
}
