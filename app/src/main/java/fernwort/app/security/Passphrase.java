package fernwort.app.security;

import static fernwort.app.store.db.Tables.PASSPHRASE;

import org.jooq.DSLContext;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Repository;

/** The passphrase of this copy, kept only as a salted hash. */
@Repository
class Passphrase {

  private final DSLContext db;
  private final PasswordEncoder encoder =
      PasswordEncoderFactories.createDelegatingPasswordEncoder();

  Passphrase(DSLContext db) {
    this.db = db;
  }

  /** Tells whether this is the passphrase, blanks around it not counted. */
  boolean matches(String typed) {
    return db.select(PASSPHRASE.HASH)
        .from(PASSPHRASE)
        .where(PASSPHRASE.ID.eq(1))
        .fetchOptional(PASSPHRASE.HASH)
        .map(hash -> encoder.matches(typed.strip(), hash) || encoder.matches(typed, hash))
        .orElse(false);
  }
}
