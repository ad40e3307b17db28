package fernwort.app.security;

import static fernwort.app.store.db.Tables.PASSPHRASE;

import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The passphrase of this copy, kept only as a salted hash. */
@Repository
public class Passphrase {

  private static final int SHORTEST = 10;

  private final DSLContext db;
  private final PasswordEncoder encoder =
      PasswordEncoderFactories.createDelegatingPasswordEncoder();

  Passphrase(DSLContext db) {
    this.db = db;
  }

  /** Returns the hash, when a passphrase was set. */
  public Optional<String> hash() {
    return db.select(PASSPHRASE.HASH)
        .from(PASSPHRASE)
        .where(PASSPHRASE.ID.eq(1))
        .fetchOptional(PASSPHRASE.HASH);
  }

  /**
   * Sets the passphrase.
   *
   * @throws IllegalArgumentException when it is too short
   */
  @Transactional
  public void set(String passphrase) {
    if (passphrase.length() < SHORTEST
        || passphrase.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > 72) {
      throw new IllegalArgumentException(
          "The passphrase must have at least " + SHORTEST + " letters and at most 72 bytes");
    }
    String hash = encoder.encode(passphrase);
    db.insertInto(PASSPHRASE)
        .set(PASSPHRASE.ID, 1)
        .set(PASSPHRASE.HASH, hash)
        .onDuplicateKeyUpdate()
        .set(PASSPHRASE.HASH, hash)
        .execute();
  }

  /** Tells whether this is the passphrase. */
  public boolean matches(String passphrase) {
    return hash().map(h -> encoder.matches(passphrase, h)).orElse(false);
  }
}
