package fernwort.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/** Counts wrong passphrases per address; too many and that address must wait. */
@Component
class LoginLimit {

  static final int MOST = 5;
  static final Duration WAIT = Duration.ofMinutes(5);

  private final Cache<String, AtomicInteger> wrong =
      Caffeine.newBuilder().expireAfterWrite(WAIT).maximumSize(10_000).build();

  boolean blocked(String address) {
    AtomicInteger count = wrong.getIfPresent(address);
    return count != null && count.get() >= MOST;
  }

  void failed(String address) {
    wrong.get(address, a -> new AtomicInteger()).incrementAndGet();
  }

  void succeeded(String address) {
    wrong.invalidate(address);
  }
}
