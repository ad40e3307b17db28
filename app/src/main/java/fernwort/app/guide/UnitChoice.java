package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.app.web.Visitor;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;

/** The units in one choice: metric, US, imperial, or a mix of one's own, measure by measure. */
enum UnitChoice {
  METRIC(Says.LITRES_MILLIMETRES_BAR_C.text(), ""),
  US(Says.US_GALLONS_INCHES_PSI_F.text(), Says.US_GAL_IN_PSI_LB_F.text()),
  IMPERIAL(Says.IMPERIAL_GALLONS_INCHES_PSI_C.text(), Says.IMP_GAL_IN_PSI_LB_C.text()),
  OWN(Says.A_MIX_OF_MY_OWN.text(), "");

  static final String NAME = "units";

  private final String words;
  private final String signs;

  UnitChoice(String words, String signs) {
    this.words = words;
    this.signs = signs;
  }

  /**
   * Returns the units of where a browser's language is spoken, for somebody who has chosen none
   * yet: gallons and inches in the United States. Litres and millimetres are what everybody reads
   * until they choose.
   */
  static Optional<Units> byLanguage(HttpServletRequest request) {
    boolean american =
        request.getHeader(HttpHeaders.ACCEPT_LANGUAGE) != null
            && Locale.US.getCountry().equals(request.getLocale().getCountry());
    return american && !Visitor.hasChosenUnits(request)
        ? Optional.of(Units.of(US.signs))
        : Optional.empty();
  }

  private static UnitChoice of(Units units) {
    return Arrays.stream(values())
        .filter(c -> c != OWN && Units.of(c.signs).measureAs(units))
        .findFirst()
        .orElse(OWN);
  }

  static Field field(Units now) {
    return Field.choice(
        NAME,
        Says.UNITS_ON_ALL_PAGES.text(),
        of(now).name(),
        Arrays.stream(values()).map(c -> new Field.Option(c.name(), c.words)).toList());
  }

  /** The measures one by one, for a mix of one's own. */
  static List<Field> own(Units now) {
    List<Field> fields = new ArrayList<>();
    for (Measure measure : now.measures()) {
      fields.add(
          Field.choice(
              name(measure),
              measure.name().charAt(0) + measure.name().substring(1).toLowerCase(Locale.ROOT),
              now.unit(measure).sign(),
              measure.choices().stream().map(c -> new Field.Option(c.sign(), c.sign())).toList()));
    }
    return fields;
  }

  private static String name(Measure measure) {
    return "unit-" + measure.name();
  }

  /** Returns the units that a page asks for, where they are others than those it was shown in. */
  static Optional<Units> chosen(FilledPage sheet) {
    Units now = sheet.units();
    return sheet
        .choice(NAME, UnitChoice.class)
        .map(c ->
            c == OWN
                ? Units.of(
                    now.measures().stream()
                        .map(m -> sheet.text(name(m)))
                        .collect(Collectors.joining(",")))
                : Units.of(c.signs))
        .map(u -> u.paidIn(now.currency()))
        .filter(u -> !u.measureAs(now));
  }
}
