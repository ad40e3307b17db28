package fernwort.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.store.DataFolder;
import jakarta.servlet.FilterChain;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;

/** Tries at once, sessions without an end, names of elsewhere, and what is kept of them. */
class WhoGetsInTest {

  private static final FilterChain ON = (request, response) -> {};

  @TempDir Path home;

  @Test
  void manyWrongTriesAtOnceAreLookedAtFiveTimes() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("data"));
    try {
      AtomicInteger looked = new AtomicInteger();
      Passphrase passphrase =
          new Passphrase(null) {
            @Override
            boolean matches(String typed) {
              looked.incrementAndGet();
              return false;
            }
          };
      AccessRecord record = new AccessRecord(folder, Clock.systemUTC());
      PassphraseCheck check = new PassphraseCheck(passphrase, new LoginLimit(), record);
      CountDownLatch together = new CountDownLatch(120);
      try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
        for (int i = 0; i < 120; i++) {
          threads.submit(() -> {
            together.countDown();
            together.await();
            try {
              return check.authenticate(
                  new UsernamePasswordAuthenticationToken("owner", "not this one"));
            } catch (AuthenticationException refused) {
              return refused;
            }
          });
        }
      }
      assertThat(looked.get()).isEqualTo(LoginLimit.MOST);
      assertThat(record.newestFirst())
          .as("and one line that no more are")
          .hasSize(LoginLimit.MOST + 1)
          .filteredOn(line -> line.endsWith("Z wrong passphrase"))
          .hasSize(LoginLimit.MOST);
      assertThat(Files.getPosixFilePermissions(folder.path().resolve("access.log")))
          .as("its owner's alone")
          .hasSize(2);
      assertThat(new AccessRecord(folder, Clock.systemUTC()).newestFirst())
          .as("read by the next start")
          .hasSize(LoginLimit.MOST + 1);
    } finally {
      folder.release();
    }
  }

  @Test
  void theRecordKeepsTheNewestThousand() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("data"));
    try {
      AccessRecord record = new AccessRecord(folder, Clock.systemUTC());
      for (int i = 0; i < 2_500; i++) {
        record.add(AccessRecord.What.WRONG, "10.0.0." + i);
      }
      List<String> kept = record.newestFirst();
      assertThat(kept).hasSizeBetween(1_000, 2_000);
      assertThat(kept.getFirst()).endsWith("10.0.0.2499");
    } finally {
      folder.release();
    }
  }

  @Test
  void aSessionEndsAfterThirtyDaysHoweverMuchItIsUsed() throws Exception {
    MockHttpServletRequest request = new MockHttpServletRequest();
    request.getSession();
    Clock soon = Clock.offset(Clock.systemUTC(), Duration.ofDays(29));
    new NotForEver(soon).doFilter(request, new MockHttpServletResponse(), ON);
    assertThat(request.getSession(false)).isNotNull();
    Clock late = Clock.offset(Clock.systemUTC(), Duration.ofDays(31));
    MockHttpServletRequest later = new MockHttpServletRequest();
    later.setSession(request.getSession());
    new NotForEver(late).doFilter(later, new MockHttpServletResponse(), ON);
    assertThat(later.getSession(false)).isNull();
  }

  @ParameterizedTest
  @CsvSource({
    "192.168.1.20, 200",
    "[fd00::20], 200",
    "van, 200",
    "van.local, 200",
    "van.fritz.box, 200",
    "water.example.org, 200",
    "elsewhere.example.org, 421",
    "127.0.0.1.elsewhere.org, 421",
    "localhost.elsewhere.org, 421"
  })
  void onlyNamesOfTheHouseAndThoseGivenAreAnswered(String name, int status) throws Exception {
    MockHttpServletRequest request = new MockHttpServletRequest();
    request.setServerName(name);
    MockHttpServletResponse response = new MockHttpServletResponse();
    KnownHosts.ofTheHouse(List.of("water.example.org")).doFilter(request, response, ON);
    assertThat(response.getStatus()).isEqualTo(status);
  }
}
