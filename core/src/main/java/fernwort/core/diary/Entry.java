package fernwort.core.diary;

import fernwort.core.id.PartId;
import fernwort.core.say.Refusal;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;

/**
 * Something that was noted about the water of a rig.
 *
 * @param id unique name
 * @param at when it was so
 * @param what what was noted
 */
public record Entry(String id, Instant at, What what) {

  private static final double MOST_VOLUME = 1000;
  private static final int MOST_PEOPLE = 50;
  private static final BigDecimal DEAREST = BigDecimal.valueOf(1_000_000);

  /** The kinds of what can be noted. */
  public enum Kind {
    READING("Read"),
    FILL("Filled"),
    DUMP("Dumped"),
    HAUL("Hauled"),
    PEOPLE(Says.ON_BOARD.text()),
    AWAY("Away"),
    SANITIZE("Sanitized"),
    UPKEEP("Upkeep"),
    NOTE("Note");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** Returns it as people say it. */
    public String words() {
      return words;
    }
  }

  /** What can be noted. */
  public sealed interface What {

    /** Returns its kind. */
    Kind kind();

    /** Returns the id of the tank or part it is about; empty for none. */
    default PartId part() {
      return PartId.NONE;
    }

    /** Returns what was written beside it; empty for nothing. */
    String note();
  }

  /** Water that came into a tank from somewhere. */
  public sealed interface Supply extends What permits Fill, Haul {

    /** Returns where from, and what it cost. */
    Bought bought();

    /** Returns how much (m³); empty for until full. */
    Optional<Double> supplied();
  }

  /**
   * Somebody looked into a tank.
   *
   * @param tank id of the tank
   * @param volume what it held (m³)
   * @param shown the reading as it was given, such as "62 %"
   * @param reckoned whether nobody looked, and it was reckoned
   */
  public record Reading(PartId tank, double volume, String shown, boolean reckoned, String note)
      implements What {
    public Reading {
      check(Says.THE_READING.text(), volume);
    }

    /** Returns how a reading is shown that a sensor took: it is told apart from one by a person. */
    public static String bySensor(String amount) {
      return Says.BY_SENSOR.filled(amount);
    }

    /** Tells whether a sensor took it, and nobody looked. */
    public boolean isBySensor() {
      return shown.endsWith(bySensor(""));
    }

    @Override
    public Kind kind() {
      return Kind.READING;
    }

    @Override
    public PartId part() {
      return tank;
    }
  }

  /** Where water came from, and what it cost. */
  public record Bought(Optional<BigDecimal> price, String place, Optional<Boolean> treated) {

    /** Nothing is known of it. */
    public static final Bought UNKNOWN = new Bought(Optional.empty(), "", Optional.empty());

    public Bought {
      if (price.isPresent() && (price.get().signum() < 0 || price.get().compareTo(DEAREST) > 0)) {
        throw new Refusal(Says.THE_PRICE_CANNOT_BE_RIGHT.with());
      }
    }
  }

  /**
   * A tank was filled.
   *
   * @param tank id of the tank
   * @param volume what went in (m³); empty for until full
   * @param bought where from
   * @param doubtful whether the water is not to be trusted
   */
  public record Fill(
      PartId tank, Optional<Double> volume, Bought bought, boolean doubtful, String note)
      implements Supply {
    public Fill {
      volume.ifPresent(v -> check(Says.THE_FILL.text(), v));
    }

    @Override
    public Kind kind() {
      return Kind.FILL;
    }

    @Override
    public Optional<Double> supplied() {
      return volume;
    }

    @Override
    public PartId part() {
      return tank;
    }
  }

  /** A tank was dumped: all that runs out, or so much (m³). */
  public record Dump(PartId tank, Optional<Double> volume, String note) implements What {
    public Dump {
      volume.ifPresent(v -> check(Says.THE_DUMP.text(), v));
    }

    @Override
    public Kind kind() {
      return Kind.DUMP;
    }

    @Override
    public PartId part() {
      return tank;
    }
  }

  /**
   * Water was hauled to a tank in cans or bladders.
   *
   * @param volume all of it (m³)
   * @param trips how many times somebody went
   */
  public record Haul(PartId tank, double volume, int trips, Bought bought, String note)
      implements Supply {
    public Haul {
      check(Says.THE_HAUL.text(), volume);
      if (trips < 1 || trips > 1000) {
        throw new Refusal(Says.TRIPS_MUST_BE_A_WHOLE_NUMBER.with());
      }
    }

    @Override
    public Kind kind() {
      return Kind.HAUL;
    }

    @Override
    public Optional<Double> supplied() {
      return Optional.of(volume);
    }

    @Override
    public PartId part() {
      return tank;
    }
  }

  /**
   * So many are on board from then on.
   *
   * @param perPersonDay a new estimate of what each uses in a day (m³), if one was made
   */
  public record People(int people, int pets, Optional<Double> perPersonDay, String note)
      implements What {
    public People {
      if (people < 0 || people > MOST_PEOPLE) {
        throw new Refusal(Says.PEOPLE_MUST_BE_A_WHOLE_NUMBER.with());
      }
      if (pets < 0 || pets > 20) {
        throw new Refusal(Says.PETS_MUST_BE_A_WHOLE_NUMBER.with());
      }
      if (perPersonDay.isPresent() && !(perPersonDay.get() > 0 && perPersonDay.get() <= 1)) {
        throw new Refusal(Says.WHAT_A_PERSON_USES_IN_A_DAY.with());
      }
    }

    @Override
    public Kind kind() {
      return Kind.PEOPLE;
    }
  }

  /** Nobody is on board until then. */
  public record Away(Instant until, String note) implements What {
    @Override
    public Kind kind() {
      return Kind.AWAY;
    }
  }

  /** A tank with its lines was sanitized. */
  public record Sanitize(PartId tank, String note) implements What {
    @Override
    public Kind kind() {
      return Kind.SANITIZE;
    }

    @Override
    public PartId part() {
      return tank;
    }
  }

  /**
   * Something that falls due was done, or put off with a reason.
   *
   * @param part id of the part
   * @param putOff until when it is put off; empty where it was done
   */
  public record Upkeep(PartId part, Optional<Instant> putOff, String note) implements What {
    @Override
    public Kind kind() {
      return Kind.UPKEEP;
    }
  }

  /** Words. */
  public record Note(String note) implements What {
    @Override
    public Kind kind() {
      return Kind.NOTE;
    }
  }

  public Entry {
    if (what instanceof Away away && !away.until().isAfter(at)) {
      throw new Refusal(Says.AWAY_ENDS_BEFORE_IT_BEGINS.with());
    }
  }

  private static void check(String what, double volume) {
    if (!(volume >= 0 && volume <= MOST_VOLUME)) {
      throw new Refusal(Says.IS_NOT_AN_AMOUNT_THAT_A_RIG.with(what));
    }
  }
}
