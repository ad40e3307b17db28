package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import org.springframework.mock.web.MockHttpServletRequest;

class ServerFaultsTest {

  private final ListAppender<ILoggingEvent> log = new ListAppender<>();

  private static Logger logger() {
    return (Logger) LoggerFactory.getLogger(ServerFaults.class);
  }

  @BeforeEach
  void listen() {
    log.start();
    logger().addAppender(log);
  }

  @AfterEach
  void leave() {
    logger().detachAppender(log);
  }

  @Test
  void theLogHasTheIdAndThePlaceAndNothingThatWasTyped() {
    MockHttpServletRequest request =
        new MockHttpServletRequest("POST", "/rigs/tern/tanks/fore/reading");
    request.setQueryString("amount=secret");
    request.addParameter("amount", "secret");
    IllegalStateException fault =
        new IllegalStateException("secret", new NumberFormatException("secret 62"));
    String said = Sentence.fault(request, fault);
    assertThat(log.list).hasSize(1);
    String line = log.list.getFirst().getFormattedMessage();
    String id = said.replaceAll(".*Report ([A-Z0-9]{6}),.*", "$1");
    assertThat(line)
        .contains("fault " + id)
        .contains("IllegalStateException")
        .contains("caused by java.lang.NumberFormatException")
        .contains("ServerFaultsTest")
        .doesNotContain("secret");
    assertThat(log.list.getFirst().getThrowableProxy()).as("its message would be logged").isNull();
    assertThat(line.lines().count()).as("lines for one fault").isLessThan(40);
  }
}
