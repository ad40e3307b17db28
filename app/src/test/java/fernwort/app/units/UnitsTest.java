package fernwort.app.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.say.Saying;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

@Isolated("it changes the locale of the process")
class UnitsTest {

  private static final Units AMERICAN = Units.of("US gal,in,psi,lb,°F");

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "LENGTH | 620 | 0.62",
        "LENGTH | 62,5 cm | 0.625",
        "LENGTH | 1/2 in | 0.0127",
        "LENGTH | 1 1/2 in | 0.0381",
        "LENGTH | 3/4 | 0.01905",
        "LENGTH | half | 0.0127",
        "LENGTH | half an inch | 0.0127",
        "LENGTH | ¾ in | 0.01905",
        "LENGTH | 1 and a half in | 0.0381",
        "LENGTH | 27 13/16 | 0.7064375",
        "LENGTH | 1½ | 0.0381",
        "VOLUME | three quarters gal | 0.0028390588",
        "VOLUME | 0.007925162 | 7.925162e-6",
        "LENGTH | 2 ft | 0.6096",
        "LENGTH | -400 | -0.4",
        "VOLUME | 20 gal | 0.07570823568",
        "VOLUME | 20 imp gal | 0.0909218",
        "VOLUME | 1,5 | 0.0015",
        "PRESSURE | 1,5 bar | 150000",
        "PRESSURE | 40 psi | 275790.29",
        "PRESSURE | 280 kPa | 280000",
        "FLOW | 6 L/min | 0.0001",
        "FLOW | 3 gpm | 0.000189271",
        "MASS | 2 t | 2000",
        "TEMPERATURE | 15 | 288.15",
        "TEMPERATURE | 59 °F | 288.15"
      })
  void understandsWhatPeopleType(Measure measure, String text, double si) {
    assertThat(Units.METRIC.parse("Field", measure, text))
        .isCloseTo(si, within(Math.abs(si) * 1e-5));
  }

  @Test
  void aBareNumberIsInThePersonsOwnUnit() {
    assertThat(AMERICAN.parse("Length", Measure.LENGTH, "10")).isCloseTo(0.254, within(1e-9));
    assertThat(AMERICAN.parse("Tank", Measure.VOLUME, "20")).isCloseTo(0.0757, within(1e-4));
    assertThat(Units.of("imp gal").parse("Tank", Measure.VOLUME, "20 gal"))
        .isCloseTo(0.0909, within(1e-4));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "halves", "some", "1.2.3", "5/0", "12 34", "1e9", "4 parsec", "NaN"})
  void whatIsNoAmountIsRefusedNamingTheField(String text) {
    assertThatThrownBy(() -> Units.METRIC.parse("Wall thickness", Measure.LENGTH, text))
        .isInstanceOf(Refusal.class)
        .hasMessageStartingWith("Wall thickness");
  }

  @Test
  void aUnitOfAnotherMeasureIsRefusedWithThoseThatFit() {
    assertThatThrownBy(() -> Units.METRIC.parse("Bore", Measure.LENGTH, "5 bar"))
        .hasMessageContaining("“bar” is no unit for it")
        .hasMessageContaining("mm, in");
  }

  @Test
  void showsNumbersAsPeopleWriteThem() {
    assertThat(Units.METRIC.show(Measure.VOLUME, 0.0745)).isEqualTo("74.5 L");
    assertThat(Units.METRIC.show(Measure.LENGTH, 0.62)).isEqualTo("620 mm");
    assertThat(AMERICAN.show(Measure.VOLUME, 0.0757082)).isEqualTo("20 US gal");
    assertThat(AMERICAN.show(Measure.FLOW, 1e-4)).isEqualTo("1.59 US gal/min");
    assertThat(AMERICAN.show(Measure.MASS, 100)).isEqualTo("220 lb");
  }

  @Test
  void sentencesOfTheCoreAreTurnedIntoThePersonsUnits() {
    Saying said =
        Saying.of(
            "{} more, {} below, at {}, after {}, named {}",
            Amount.volume(0.0719),
            Amount.length(0.07),
            Amount.pressure(2.4e5),
            Amount.time(840),
            "The 70 mm tank");
    assertThat(AMERICAN.say(said))
        .isEqualTo("19 US gal more, 2.8 in below, at 35 psi, after 14 min, named The 70 mm tank");
    assertThat(Units.METRIC.say(said))
        .isEqualTo("71.9 L more, 70 mm below, at 2.4 bar, after 14 min, named The 70 mm tank");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "US gal,in,psi,lb,°F", "imp gal,kPa", "L,in,bar"})
  void amountsReadTheSameWhateverTheMachinesLocale(String signs) {
    Units units = Units.of(signs);
    Locale before = Locale.getDefault();
    try {
      for (Measure measure : Measure.values()) {
        Locale.setDefault(Locale.ROOT);
        String said = units.show(measure, 1234.5678);
        for (String tag : List.of("de-DE", "fr-FR", "ar-EG", "hi-IN", "tr-TR")) {
          Locale.setDefault(Locale.forLanguageTag(tag));
          assertThat(units.show(measure, 1234.5678)).as("%s, %s", measure, tag).isEqualTo(said);
        }
      }
    } finally {
      Locale.setDefault(before);
    }
  }

  @Test
  void unknownSignsLeaveTheUsualUnitsAndFlowFollowsVolume() {
    Units odd = Units.of("cubits,US gal");
    assertThat(odd.lengthSign()).isEqualTo("mm");
    assertThat(odd.unit(Measure.FLOW).sign()).isEqualTo("US gal/min");
    assertThat(Units.of(odd.signs()).signs()).isEqualTo(odd.signs());
  }
}
