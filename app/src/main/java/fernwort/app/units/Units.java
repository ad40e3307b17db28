package fernwort.app.units;

import fernwort.core.build.joints.Region;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Quantity;
import fernwort.core.say.Refusal;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The units one person reads and writes. Immutable. */
public final class Units {

  /** Litres, millimetres, bar, kilograms, degrees Celsius. */
  public static final Units METRIC = of("");

  private static final Pattern HAS_UNIT = Pattern.compile("[a-z\"'″′]");

  /** How the sign of a currency begins among those of units. */
  private static final String MONEY = "money ";

  /** Signs that stand before the number, without a blank. */
  private static final Set<String> BEFORE = Set.of("$", "£", "A$", "C$", "NZ$");

  private static final Pattern CURRENCY = Pattern.compile("[\\p{L}\\p{Sc}]{0,4}");

  private final Map<Measure, Measure.Named> chosen;
  private final String currency;

  private Units(Map<Measure, Measure.Named> chosen, String currency) {
    this.chosen = chosen;
    this.currency = currency;
  }

  /**
   * Returns the units named by their signs, parted by commas; a measure of which none is named
   * keeps its first.
   */
  public static Units of(String signs) {
    List<String> wanted = Arrays.asList(signs.split(","));
    Map<Measure, Measure.Named> chosen = new EnumMap<>(Measure.class);
    for (Measure measure : Measure.values()) {
      chosen.put(
          measure,
          measure.choices().stream()
              .filter(c -> wanted.contains(c.sign()))
              .findFirst()
              .orElse(measure.choices().getFirst()));
    }
    // Flow follows volume, so that nobody reads litres beside gallons a minute.
    int volume = Measure.VOLUME.choices().indexOf(chosen.get(Measure.VOLUME));
    chosen.put(Measure.FLOW, Measure.FLOW.choices().get(volume));
    String currency =
        wanted.stream()
            .filter(sign -> sign.startsWith(MONEY))
            .map(sign -> sign.substring(MONEY.length()))
            .filter(sign -> CURRENCY.matcher(sign).matches())
            .findFirst()
            .orElse("");
    return new Units(chosen, currency);
  }

  /** Returns these units with prices in a currency; a sign that is none leaves them as they are. */
  public Units paidIn(String sign) {
    return CURRENCY.matcher(sign.strip()).matches() ? new Units(chosen, sign.strip()) : this;
  }

  /** Returns the sign that prices have; empty where nobody chose one. */
  public String currency() {
    return currency;
  }

  /** Tells whether the measures are the same, whatever prices are in. */
  public boolean measureAs(Units other) {
    return chosen.equals(other.chosen);
  }

  /** Returns a price as it is written, such as "12.50 €" or "$12.50". */
  public String price(BigDecimal amount) {
    return price(amount, 2);
  }

  private String price(BigDecimal amount, int places) {
    String number = amount.setScale(places, RoundingMode.HALF_UP).toPlainString();
    return BEFORE.contains(currency) ? currency + number : (number + " " + currency).strip();
  }

  /** Returns what the reader's unit of volume costs, given the price of a cubic metre. */
  public String priceOfUnit(BigDecimal cubicMetre) {
    return price(
        cubicMetre.divide(BigDecimal.valueOf(in(Measure.VOLUME, 1)), MathContext.DECIMAL64), 3);
  }

  /** Returns the signs of the units, for a cookie. */
  public String signs() {
    String signs =
        chosen.values().stream().map(Measure.Named::sign).collect(Collectors.joining(","));
    return currency.isEmpty() ? signs : signs + "," + MONEY + currency;
  }

  /** Returns the measures that a person chooses a unit for; flow follows volume. */
  public List<Measure> measures() {
    return Arrays.stream(Measure.values()).filter(m -> m != Measure.FLOW).toList();
  }

  /** Returns the unit of a measure. */
  public Measure.Named unit(Measure measure) {
    Measure.Named named = chosen.get(measure);
    if (named == null) {
      throw new IllegalStateException("no unit for " + measure);
    }
    return named;
  }

  /** Returns an SI value as a number and unit as people say it, such as "74 L". */
  public String show(Measure measure, double si) {
    return unit(measure).scale().show(measure.fromSi(si, unit(measure)));
  }

  /** Returns an SI value in its unit. */
  public double in(Measure measure, double si) {
    return measure.fromSi(si, unit(measure));
  }

  /**
   * Returns an SI value as a bare number for a field, rounded as somebody would type it, such as
   * "27 13/16". What comes back is read with {@link #parse(String, Measure, String, double)}, so
   * that a field that nobody touched changes nothing.
   */
  public String number(Measure measure, double si) {
    return FieldNumber.of(measure, unit(measure), measure.fromSi(si, unit(measure)));
  }

  /**
   * Understands a typed amount; one that stands as it was shown is what it was, to the last digit.
   */
  public double parse(String what, Measure measure, String text, double was) {
    return text.strip().equals(number(measure, was)) ? was : parse(what, measure, text);
  }

  /** Returns a sentence with its amounts in these units. */
  public String say(Message saying) {
    return saying.in(this::show);
  }

  /** Returns an amount in its unit, as people say it. */
  public String show(Amount amount) {
    boolean inches = amount.quantity() == Quantity.LIFT && !unit(Measure.LENGTH).isMetric();
    Optional<Measure> chosen = inches ? Optional.of(Measure.LENGTH) : Measure.of(amount.quantity());
    return chosen.map(measure -> show(measure, amount.si())).orElseGet(amount::metric);
  }

  /** Returns the sign of the unit for volumes. */
  public String volumeSign() {
    return unit(Measure.VOLUME).sign();
  }

  /** Tells whether the reader thinks in US gallons, and so in the words of the United States. */
  public boolean american() {
    return volumeSign().equals("US gal");
  }

  /** Returns whose trade sizes the reader finds in shops. */
  public Region region() {
    return american() ? Region.US : Region.METRIC;
  }

  /** Returns the sign of the unit for lengths. */
  public String lengthSign() {
    return unit(Measure.LENGTH).sign();
  }

  /**
   * Understands a typed amount: decimal comma or point, a fraction in digits or as it is said, a
   * unit typed behind it. A fraction of a length without a unit is in inches, for nobody measures
   * in fractions of a millimetre.
   *
   * @param what the name of the field, for the error
   * @param measure what is measured
   * @param text such as "620", "1 1/2 in", "20 gal", "1,5 bar"
   * @return the amount in SI
   * @throws Refusal in one sentence naming field and fix
   */
  public double parse(String what, Measure measure, String text) {
    TypedAmount typed = TypedAmount.of(what, text);
    Measure.Named unit =
        typed.unit().isEmpty()
            ? bare(measure, typed)
            : TypedAmount.unit(measure, typed.unit(), unit(measure))
                .orElseThrow(() ->
                    new Refusal(
                        Says.IS_NOT_A_UNIT_FOR_IT_LEAVE.with(
                            what,
                            typed.unit(),
                            measure.choices().stream()
                                .map(Measure.Named::sign)
                                .collect(Collectors.joining(", ")))));
    return measure.toSi(typed.number(), unit);
  }

  /**
   * Understands sizes in one box, parted by x or commas; a unit at the end holds for all.
   *
   * @param what the name of the field, for the error
   * @param text such as "900 x 400 x 290" or "35 1/2 x 16 x 11 1/2 in"
   * @return the sizes (m), as many as there are
   * @throws Refusal as {@link #parse} does
   */
  public List<Double> sizes(String what, String text) {
    String[] cells =
        text.strip()
            .toLowerCase(Locale.ROOT)
            .split("\\s*(?:[x×*;]|\\bby\\b|,(?=\\s|\\d{1,4}\\s*,))\\s*");
    String unit = forAll(cells);
    return Arrays.stream(cells)
        .map(c -> HAS_UNIT.matcher(c).find() ? c : (c + " " + unit).strip())
        .map(c -> parse(what, Measure.LENGTH, c))
        .toList();
  }

  /** The unit of sizes that have none of their own: that of the last, or inches for fractions. */
  private static String forAll(String... cells) {
    List<String> units =
        Arrays.stream(cells)
            .map(c -> HAS_UNIT.matcher(c).find() ? c.replaceAll("^[-−0-9.,/ ]+", "") : "")
            .toList();
    boolean onlyLast = units.subList(0, units.size() - 1).stream().allMatch(String::isEmpty);
    boolean fractions =
        Arrays.stream(cells).anyMatch(c -> c.contains("/") && !HAS_UNIT.matcher(c).find());
    String last = onlyLast ? units.getLast() : "";
    return last.isEmpty() && fractions ? "in" : last;
  }

  /**
   * Understands a typed share of a whole: in percent, or a fraction in digits or as it is said.
   *
   * @param what the name of the field, for the error
   * @param text such as "62 %", "3/4", "half full"
   * @return the share in percent
   * @throws Refusal in one sentence naming field and fix
   */
  public static double percent(String what, String text) {
    String plain = text.strip().toLowerCase(Locale.ROOT);
    if (plain.equals("full") || plain.equals("empty")) {
      return plain.equals("full") ? 100 : 0;
    }
    TypedAmount typed = TypedAmount.of(what, text);
    if (!Set.of("", "%", "full").contains(typed.unit()) || typed.number() < 0) {
      throw new Refusal(Says.IS_NOT_A_SHARE_TYPE_PERCENT.with(what, text.strip()));
    }
    boolean percent = typed.unit().equals("%") || !typed.fraction();
    return percent ? typed.number() : 100 * typed.number();
  }

  private Measure.Named bare(Measure measure, TypedAmount typed) {
    boolean inches = measure == Measure.LENGTH && typed.fraction();
    return inches ? TypedAmount.unit(measure, "in", unit(measure)).orElseThrow() : unit(measure);
  }
}
