package fernwort.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/** Counts tries of the passphrase per address; too many wrong ones and that address must wait. */
@Component
class LoginLimit {

  static final int MOST = 5;
  static final Duration WAIT = Duration.ofMinutes(5);

  private final Cache<String, AtomicInteger> wrong =
      Caffeine.newBuilder().expireAfterWrite(WAIT).maximumSize(10_000).build();

  /**
   * Takes a try before anything is looked at, so that many at once are no more than one after
   * another; returns which it is, from 1. Those after {@link #MOST} are not looked at.
   */
  int take(String address) {
    return wrong.get(address, a -> new AtomicInteger()).incrementAndGet();
  }

  void succeeded(String address) {
    wrong.invalidate(address);
  }
}
