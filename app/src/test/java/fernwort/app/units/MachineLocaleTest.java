package fernwort.app.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Amounts on machines of other languages; alone, for it changes the locale of the process. */
@Isolated("it changes the locale of the process")
class MachineLocaleTest {

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
}
