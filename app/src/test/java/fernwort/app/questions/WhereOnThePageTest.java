package fernwort.app.questions;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever a form says it was sent from, its answers are kept and the page is shown again. */
class WhereOnThePageTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  @ParameterizedTest
  @ValueSource(
      strings = {"pump", "", "a b", "x\r\nSet-Cookie: y=1", "\u0000", "%zz", "Füllung", "#", "<b>"})
  void anyCardLeadsBackToThePage(String card) throws IOException {
    Client copy = COPY.client();
    HttpResponse<String> answer =
        copy.send(
            HttpRequest.newBuilder(URI.create(copy.address() + "/rigs/tern/log/gauges/gauges"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", copy.token())
                .POST(
                    HttpRequest.BodyPublishers.ofString(
                        "card=" + URLEncoder.encode(card, StandardCharsets.UTF_8))));
    assertThat(answer.statusCode()).isEqualTo(302);
    assertThat(answer.headers().firstValue("Location").orElse(""))
        .matches(".*/rigs/tern/log/gauges#[A-Za-z0-9_-]+");
    assertThat(answer.headers().firstValue("Set-Cookie")).isEmpty();
  }
}
