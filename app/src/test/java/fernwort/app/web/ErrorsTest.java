package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.RequestDispatcher;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.ResponseEntity;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.ui.ConcurrentModel;

/** What is said where no page answered. */
class ErrorsTest {

  private static MockHttpServletRequest failed(int status, String path, String message) {
    MockHttpServletRequest request = new MockHttpServletRequest();
    request.setAttribute(RequestDispatcher.ERROR_STATUS_CODE, status);
    request.setAttribute(RequestDispatcher.ERROR_REQUEST_URI, path);
    request.setAttribute(RequestDispatcher.ERROR_MESSAGE, message);
    return request;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "-",
      value = {
        "503 | Fernwort is still computing. | Fernwort is still computing.",
        "503 | - | Fernwort cannot answer this now; nothing is lost. Ask again in a moment.",
        "404 | Not found by whom? | There is nothing at this address.",
        "400 | - | The request is not readable.",
        "418 | - | The request cannot be answered (418)."
      })
  void peopleGetASentence(int status, String message, String sentence) {
    ConcurrentModel model = new ConcurrentModel();
    MockHttpServletResponse response = new MockHttpServletResponse();
    assertThat(new Errors().error(failed(status, "/rigs/tern/empty", message), response, model))
        .isEqualTo("error");
    assertThat(model.getAttribute("sentence")).isEqualTo(sentence);
    assertThat(response.getHeader("X-Problem")).startsWith(sentence.split(" ")[0]);
  }

  @Test
  void programsGetTheSameAsJson() {
    Object answer =
        new Errors()
            .error(
                failed(503, "/api/v1/rigs/tern/slips", "Not now."),
                new MockHttpServletResponse(),
                new ConcurrentModel());
    assertThat(answer)
        .isInstanceOfSatisfying(
            ResponseEntity.class,
            response -> {
              assertThat(response.getStatusCode().value()).isEqualTo(503);
              assertThat(response.getBody())
                  .isEqualTo(Map.of("sentence", "Not now.", "problems", List.of()));
            });
  }
}
