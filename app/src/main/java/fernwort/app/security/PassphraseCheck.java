package fernwort.app.security;

import java.util.List;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Checks the one passphrase; there are no user names. */
@Component
class PassphraseCheck implements AuthenticationProvider {

  private final Passphrase passphrase;
  private final LoginLimit limit;
  private final AccessRecord record;

  PassphraseCheck(Passphrase passphrase, LoginLimit limit, AccessRecord record) {
    this.passphrase = passphrase;
    this.limit = limit;
    this.record = record;
  }

  @Override
  public Authentication authenticate(Authentication asked) {
    String address =
        asked.getDetails() instanceof WebAuthenticationDetails d ? d.getRemoteAddress() : "";
    int tries = limit.take(address);
    if (tries > LoginLimit.MOST) {
      if (tries == LoginLimit.MOST + 1) {
        // Said once: whoever goes on trying does not push all else out of the record.
        record.add(AccessRecord.What.LOCKED_OUT, address);
      }
      throw new LockedException(Says.TOO_MANY_TRIES.text());
    }
    Object credentials = asked.getCredentials();
    if (credentials == null || !passphrase.matches(credentials.toString())) {
      record.add(AccessRecord.What.WRONG, address);
      throw new BadCredentialsException(Says.WRONG_PASSPHRASE.text());
    }
    limit.succeeded(address);
    record.add(AccessRecord.What.LOGGED_IN, address);
    return UsernamePasswordAuthenticationToken.authenticated("owner", "", List.of());
  }

  @Override
  public boolean supports(Class<?> type) {
    return UsernamePasswordAuthenticationToken.class.isAssignableFrom(type);
  }
}
