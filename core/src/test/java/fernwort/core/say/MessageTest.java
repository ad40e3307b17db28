package fernwort.core.say;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Locale;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sentences with amounts in them. */
class MessageTest {

  @Test
  void whatIsPutIntoASentenceIsSaidInItsPlace() {
    Message holds = Message.of("{} holds {}", "Low fresh", Amount.volume(0.0742));
    assertThat(holds).hasToString("Low fresh holds 74 L");
    assertThat(Message.of("{}, {} of it", holds, Amount.share(0.4)))
        .hasToString("Low fresh holds 74 L, 40 % of it");
  }

  @Test
  void anAmountIsReadInEachReadersUnits() {
    Message said = Message.of("{} run out", Amount.volume(0.00378541));
    assertThat(said.in(a -> Math.round(a.si() / 0.00378541) + " US gal"))
        .isEqualTo("1 US gal run out");
  }

  @Test
  void aLabelOfAUsersIsNeverTakenForAPlaceOrAnAmount() {
    Message said = Message.of("{} and {}", "The {} tank", "100 %s");
    assertThat(said).hasToString("The {} tank and 100 %s");
    for (String label : List.of("{volume 5}", "{{volume 5}", "{", "}{", "{volume x}", "{{}}")) {
      Message named = Message.of("{} holds {}", label, Amount.volume(0.005));
      assertThat(Message.kept(named.keep())).as(label).isEqualTo(named);
    }
  }

  @Test
  void whatWasKeptBeforeSentencesHadAmountsIsReadAsItsWords() {
    assertThat(Message.kept("Fill Main to 74.0 L: done in 5 min"))
        .isEqualTo(Message.words("Fill Main to 74.0 L: done in 5 min"));
    assertThat(Message.kept("My {litres 3} {tank")).hasToString("My {litres 3} {tank");
  }

  @Test
  void aPatternAndItsArgumentsHaveToGoTogether() {
    assertThatThrownBy(() -> Message.of("{} and {}", "one")).hasMessageContaining("fewer");
    assertThatThrownBy(() -> Message.of("{}", "one", "two")).hasMessageContaining("more");
  }

  @Test
  void aSentenceBeginsWithACapital() {
    assertThat(Message.of("waste of {} comes back", "Sink").capitalised())
        .hasToString("Waste of Sink comes back");
    assertThat(Message.NOTHING.capitalised()).isEqualTo(Message.NOTHING);
  }

  @Test
  void severalThingsAreSaidWithSomethingBetween() {
    List<Message> all = List.of(Message.words("a"), Message.of("b {}", Amount.mass(3)));
    assertThat(Message.joined("; ", all)).hasToString("a; b 3 kg");
    assertThat(Message.joined("; ", List.of()).isEmpty()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "LENGTH, 0.07, 70 mm",
    "VOLUME, 0.0742, 74 L",
    "VOLUME, 0.0194, 19.4 L",
    "LENGTH, 9.99, 9990 mm",
    "LENGTH, 11.33, 11.3 m",
    "VOLUME, 0.074, 74 L",
    "VOLUME, 0.00034, 340 mL",
    "VOLUME, 0, 0 L",
    "VOLUME, -0.0000001, 0 L",
    "FLOW, 0.0001, 6 L/min",
    "PRESSURE, 240000, 2.4 bar",
    "PRESSURE, 350, 3.5 mbar",
    "MASS, 42.4, 42 kg",
    "MASS, 4.24, 4.2 kg",
    "TEMPERATURE, 278.15, 5 °C",
    "TIME, 45, 45 s",
    "TIME, 840, 14 min",
    "TIME, 7260, 2 h 01 min",
    "SHARE, 0.295, 30 %"
  })
  void amountsAreRoundedAsAPersonWould(Quantity quantity, double si, String said) {
    Locale before = Locale.getDefault();
    try {
      Locale.setDefault(Locale.GERMANY);
      assertThat(new Amount(quantity, si).metric()).isEqualTo(said);
    } finally {
      Locale.setDefault(before);
    }
  }

  @Provide
  Arbitrary<Message> sayings() {
    Arbitrary<Object> pieces =
        Arbitraries.oneOf(
            Arbitraries.strings().withChars("a {}0.volumE-").ofMaxLength(14),
            Combinators.combine(
                    Arbitraries.of(Quantity.values()), Arbitraries.doubles().between(-1e6, 1e6))
                .as(Amount::new));
    return pieces
        .list()
        .ofMaxSize(5)
        .map(all -> Message.of("{}".repeat(all.size()), all.toArray()));
  }

  @Property
  void whatIsKeptSaysTheSameWhenItIsRead(@ForAll("sayings") Message said) {
    assertThat(Message.kept(said.keep())).isEqualTo(said);
  }

  @Property
  void twoThingsSaidAfterEachOtherReadAsOne(
      @ForAll("sayings") Message one, @ForAll("sayings") Message other) {
    assertThat(Message.of("{}{}", one, other)).hasToString(one.toString() + other);
  }
}
