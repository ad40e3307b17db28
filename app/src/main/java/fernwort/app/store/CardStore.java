package fernwort.app.store;

import static fernwort.app.store.db.Tables.CARD;

import fernwort.app.store.db.tables.records.CardRecord;
import fernwort.core.say.Refusal;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Cards for people who borrow a rig: what each shows, and whether it still holds. */
@Repository
public class CardStore {

  private static final int TOKEN_BYTES = 24;
  private static final int LONGEST_NAME = 60;

  private final DSLContext db;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  CardStore(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /**
   * A card.
   *
   * @param token what its link ends with; whoever knows it may look
   * @param name who it is for
   * @param shows ids of the jobs it shows, and "levels" for today's state
   * @param withdrawn whether it was withdrawn
   * @param expires until when it holds; empty for until it is withdrawn
   */
  public record Card(
      String token,
      String rig,
      String name,
      List<String> shows,
      boolean withdrawn,
      Optional<Instant> expires) {}

  /**
   * Makes a card and returns its token.
   *
   * @param expires until when it holds; empty for until it is withdrawn
   * @throws Refusal when it has no name, shows nothing, or would be over already
   */
  @Transactional
  public String make(String rig, String name, List<String> shows, Optional<Instant> expires) {
    if (expires.filter(e -> e.isBefore(clock.instant())).isPresent()) {
      throw new Refusal(Says.THE_CARD_WOULD_BE_OVER_ALREADY.with());
    }
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      throw new Refusal(Says.SAY_WHO_THE_CARD.filled(LONGEST_NAME));
    }
    String joined = String.join(" ", shows);
    if (joined.isBlank() || joined.length() > 1000) {
      throw new Refusal(Says.CHOOSE_WHAT_THE_CARD_SHOWS_A_FEW.with());
    }
    byte[] bytes = new byte[TOKEN_BYTES];
    random.nextBytes(bytes);
    String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    db.insertInto(CARD)
        .set(CARD.TOKEN, token)
        .set(CARD.RIG, rig)
        .set(CARD.NAME, name.strip())
        .set(CARD.SHOWS, joined)
        .set(CARD.MADE_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .set(CARD.EXPIRES_AT, expires.map(e -> e.atOffset(ZoneOffset.UTC)).orElse(null))
        .execute();
    return token;
  }

  /** Returns the cards of a rig, the newest first. */
  public List<Card> all(String rig) {
    return db.selectFrom(CARD)
        .where(CARD.RIG.eq(rig))
        .orderBy(CARD.MADE_AT.desc())
        .fetch(CardStore::card);
  }

  /** Returns a card that still holds. */
  public Optional<Card> holding(String token) {
    return db.selectFrom(CARD)
        .where(CARD.TOKEN.eq(token).and(CARD.WITHDRAWN_AT.isNull()))
        .and(
            CARD.EXPIRES_AT
                .isNull()
                .or(CARD.EXPIRES_AT.gt(clock.instant().atOffset(ZoneOffset.UTC))))
        .fetchOptional(CardStore::card);
  }

  /** Withdraws a card: its link shows nothing from now on. */
  @Transactional
  public void withdraw(String rig, String token) {
    db.update(CARD)
        .set(CARD.WITHDRAWN_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .where(CARD.TOKEN.eq(token).and(CARD.RIG.eq(rig)).and(CARD.WITHDRAWN_AT.isNull()))
        .execute();
  }

  static Card card(CardRecord r) {
    return new Card(
        r.getToken(),
        r.getRig(),
        r.getName(),
        Arrays.asList(r.getShows().split(" ")),
        r.getWithdrawnAt() != null,
        Optional.ofNullable(r.getExpiresAt()).map(e -> e.toInstant()));
  }
}
