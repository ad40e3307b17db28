package fernwort.app.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

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

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "LENGTH | in | 0.706 | 27 13/16",
        "LENGTH | in | 0.0127 | 1/2",
        "LENGTH | in | 0.013 | 0.51",
        "LENGTH | in | -0.4 | -15 3/4",
        "LENGTH | in | 0 | 0",
        "LENGTH | mm | 0.7060001 | 706",
        "LENGTH | mm | 0.0127 | 12.7",
        "LENGTH | mm | 0.8269 | 827",
        "VOLUME | US gal | 0.095 | 25.1",
        "VOLUME | US gal | 3e-5 | 0.00793",
        "VOLUME | L | 0.0949996 | 95",
        "PRESSURE | psi | 275790 | 40",
        "MASS | lb | 1250 | 2756",
        "TEMPERATURE | °F | 333.15 | 140"
      })
  void offersNumbersAsPeopleWouldTypeThem(Measure measure, String sign, double si, String shown) {
    assertThat(Units.of(sign).number(measure, si)).isEqualTo(shown);
  }

  @Test
  void whatIsOfferedCanBeTypedBackAndStaysWhatItIs() {
    Random random = new Random(7);
    for (String signs : List.of("", "US gal,in,psi,lb,°F", "imp gal,in,kPa,lb")) {
      Units units = Units.of(signs);
      for (Measure measure : Measure.values()) {
        for (int i = 0; i < 300; i++) {
          double si =
              Math.pow(10, -4 + 5 * random.nextDouble()) + measure.toSi(0, units.unit(measure));
          String shown = units.number(measure, si);
          double back = units.parse("Field", measure, shown);
          // A sixteenth of an inch at most, or three digits; a millionth of the unit is nothing.
          double nothing =
              measure.toSi(1e-6, units.unit(measure)) - measure.toSi(0, units.unit(measure));
          double near = measure == Measure.LENGTH ? 8e-4 : 5.1e-3 * si + nothing;
          assertThat(back).as("%s as %s", measure, shown).isCloseTo(si, within(near));
          assertThat(units.parse("Field", measure, shown, si)).isEqualTo(si);
        }
      }
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "900 x 400 x 290 | 0.9 | 0.4 | 0.29",
        "900, 400, 290 | 0.9 | 0.4 | 0.29",
        "90 cm, 400, 1/4 m | 0.9 | 0.4 | 0.25",
        "35 1/2 x 16 x 11 in | 0.9017 | 0.4064 | 0.2794",
        "35 1/2 × 16 × 11 | 0.9017 | 0.4064 | 0.2794",
        "0,9 by 0,4 by 0,29 m | 0.9 | 0.4 | 0.29"
      })
  void understandsSizesInOneBox(String text, double length, double width, double height) {
    assertThat(Units.METRIC.sizes("Sizes", text))
        .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : Double.compare(a, b))
        .containsExactly(length, width, height);
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
        .hasMessageContaining("“bar” is not a unit for it")
        .hasMessageContaining("mm, in");
  }

  @Test
  void showsNumbersAsPeopleWriteThem() {
    assertThat(Units.METRIC.show(Measure.VOLUME, 0.0745)).isEqualTo("75 L");
    assertThat(Units.METRIC.show(Measure.LENGTH, 0.62)).isEqualTo("620 mm");
    assertThat(AMERICAN.show(Measure.VOLUME, 0.0757082)).isEqualTo("20 US gal");
    assertThat(AMERICAN.show(Measure.FLOW, 1e-4)).isEqualTo("1.59 US gal/min");
    assertThat(AMERICAN.show(Measure.MASS, 100)).isEqualTo("220 lb");
  }

  @Test
  void sentencesOfTheCoreAreTurnedIntoThePersonsUnits() {
    Message said =
        Message.of(
            "{} more, {} below, at {}, after {}, named {}",
            Amount.volume(0.0719),
            Amount.length(0.07),
            Amount.pressure(2.4e5),
            Amount.time(840),
            "The 70 mm tank");
    assertThat(AMERICAN.say(said))
        .isEqualTo("19 US gal more, 2.8 in below, at 35 psi, after 14 min, named The 70 mm tank");
    assertThat(Units.METRIC.say(said))
        .isEqualTo("72 L more, 70 mm below, at 2.4 bar, after 14 min, named The 70 mm tank");
  }

  @Test
  void unknownSignsLeaveTheUsualUnitsAndFlowFollowsVolume() {
    Units odd = Units.of("cubits,US gal");
    assertThat(odd.lengthSign()).isEqualTo("mm");
    assertThat(odd.unit(Measure.FLOW).sign()).isEqualTo("US gal/min");
    assertThat(Units.of(odd.signs()).signs()).isEqualTo(odd.signs());
  }
}
