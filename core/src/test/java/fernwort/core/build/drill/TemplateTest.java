package fernwort.core.build.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.id.PortId;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Face;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A face of 400 by 300 mm with one hole, on A4 with 12 mm of margin and 18 of head. */
class TemplateTest {

  private static FaceSheet face(boolean there, String late) {
    return with(0.25, 0.1, 0.03, there, late);
  }

  private static FaceSheet with(
      double across, double up, double diameter, boolean there, String late) {
    return new FaceSheet(
        Face.RIGHT,
        0.4,
        0.3,
        Face.REAR,
        Face.BOTTOM,
        List.of(
            new Hole(
                PortId.of("feed"),
                TankPort.Use.FEED,
                across,
                up,
                Optional.of(diameter),
                true,
                "bulkhead",
                0.05,
                there,
                late,
                List.of())));
  }

  private static Template template(boolean all) {
    return Template.of("Tank, right", face(false, ""), Template.Paper.A4, all);
  }

  private static <T extends Template.Mark> List<T> marks(Template.Page page, Class<T> type) {
    return page.marks().stream().filter(type::isInstance).map(type::cast).toList();
  }

  @Test
  void sheetsCoverTheFaceAndBlankOnesAreLeftOut() {
    // 186 by 255 mm of face on a sheet: three by two of them.
    assertThat(template(true).pages()).hasSize(6);
    assertThat(template(true).pages().getLast().title())
        .isEqualTo("Tank, right, row 2 of 2, sheet 3 of 3");
    assertThat(template(false).pages()).hasSize(1);
    assertThat(template(false).pages().getFirst().title())
        .isEqualTo("Tank, right, row 1 of 2, sheet 2 of 3");
    assertThat(Template.of("t", face(false, ""), Template.Paper.LETTER, true).pages()).hasSize(6);
  }

  @Test
  void theHoleIsWhereItBelongsOnItsSheet() {
    Template.Page page = template(false).pages().getFirst();
    Template.Ring ring = marks(page, Template.Ring.class).getFirst();
    // 250 mm across is 64 on the second sheet, 200 mm down on the first row.
    assertThat(ring.x()).isCloseTo(12 + 250 - 186, within(1e-9));
    assertThat(ring.y()).isCloseTo(12 + 18 + 200, within(1e-9));
    assertThat(ring.radius()).isCloseTo(15, within(1e-9));
    assertThat(ring.dashed()).isFalse();
    assertThat(marks(page, Template.Segment.class))
        .contains(
            new Template.Segment(ring.x() - 6, ring.y(), ring.x() + 6, ring.y(), false),
            new Template.Segment(ring.x(), ring.y() - 6, ring.x(), ring.y() + 6, false));
    assertThat(marks(page, Template.Words.class))
        .extracting(Template.Words::text)
        .contains("feed, 30 mm", "250 from rear, 100 from bottom");
    assertThat(marks(page, Template.Words.class)).anyMatch(w -> w.x() == ring.x() + 17);
  }

  @Test
  void edgesAndJoiningMarksLieOnThoseOfTheNextSheet() {
    List<Template.Page> pages = template(true).pages();
    // The left edge on the first sheet, from its top to the lower end of the sheet.
    assertThat(marks(pages.getFirst(), Template.Segment.class))
        .contains(new Template.Segment(12, 30, 12, 285, true))
        .contains(new Template.Segment(12, 30, 198, 30, true));
    // The lower edge, 45 mm down on the second row; the right edge 28 mm across on the third.
    assertThat(marks(pages.get(3), Template.Segment.class))
        .contains(new Template.Segment(12, 75, 198, 75, true));
    assertThat(marks(pages.get(5), Template.Segment.class))
        .contains(new Template.Segment(40, 30, 40, 75, true))
        .contains(new Template.Segment(12, 75, 40, 75, true));
    for (Template.Page page : pages) {
      assertThat(marks(page, Template.Segment.class))
          .contains(
              new Template.Segment(9, 30, 15, 30, false),
              new Template.Segment(198, 27, 198, 33, false),
              new Template.Segment(195, 285, 201, 285, false));
      assertThat(marks(page, Template.Segment.class))
          .contains(
              new Template.Segment(12, 20, 112, 20, false),
              new Template.Segment(12, 18, 12, 22, false),
              new Template.Segment(112, 18, 112, 22, false));
    }
  }

  @Test
  void whatIsThereIsDashedAndWhatWaitsSaysSo() {
    Template.Page there =
        Template.of("t", face(true, ""), Template.Paper.A4, false).pages().getFirst();
    assertThat(marks(there, Template.Ring.class).getFirst().dashed()).isTrue();
    assertThat(marks(there, Template.Words.class))
        .anyMatch(w -> w.text().endsWith("bottom, is there"));
    Template.Page later =
        Template.of("t", face(false, "it hangs first"), Template.Paper.A4, false)
            .pages()
            .getFirst();
    assertThat(marks(later, Template.Words.class)).anyMatch(w -> w.text().endsWith(", later"));
  }

  private static List<String> sheets(double across, double up, double diameter) {
    return Template.of("t", with(across, up, diameter, false, ""), Template.Paper.A4, false)
        .pages()
        .stream()
        .map(p -> p.title().replaceAll("[^0-9]+", " ").strip())
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    // Sheets meet at 186 and 372 mm across and at 255 mm down, 45 mm up; a hole reaches 15 mm.
    "200.9, 150, '1 2 1 3, 1 2 2 3'",
    "201.1, 150, '1 2 2 3'",
    "171.1, 150, '1 2 1 3, 1 2 2 3'",
    "170.9, 150, '1 2 1 3'",
    "100, 59.9, '1 2 1 3, 2 2 1 3'",
    "100, 60.1, '1 2 1 3'",
    "100, 30.1, '1 2 1 3, 2 2 1 3'",
    "100, 29.9, '2 2 1 3'",
    "186, 45, '1 2 1 3, 1 2 2 3, 2 2 1 3, 2 2 2 3'",
  })
  void aHoleOverAJointIsOnAllItsSheets(double across, double up, String sheets) {
    assertThat(String.join(", ", sheets(across / 1000, up / 1000, 0.03))).isEqualTo(sheets);
    // A small one reaches as far as its cross: 6 mm.
    assertThat(sheets(0.1915, 0.15, 0.004)).hasSize(2);
    assertThat(sheets(0.1925, 0.15, 0.004)).hasSize(1);
  }

  @Test
  void wordsStandWhereTheyDoNotHideWhatTheySay() {
    Template.Page page = template(false).pages().getFirst();
    // The hole's middle is at 76 and 230 mm, 15 mm to its rim.
    assertThat(marks(page, Template.Words.class))
        .extracting(w -> Math.round(w.x()) + " " + Math.round(w.y()) + " " + w.text())
        .containsExactly(
            "12 12 Tank, right, row 1 of 2, sheet 2 of 3",
            "115 21 100 mm: measure it; print at 100 %, no fitting",
            "93 229 feed, 30 mm",
            "93 234 250 from rear, 100 from bottom");
  }

  @Test
  void aFaceAsLargeAsASheetTakesOneAndAVeryLargeOneNoMoreThanSixty() {
    FaceSheet one = new FaceSheet(Face.RIGHT, 0.186, 0.255, Face.REAR, Face.BOTTOM, List.of());
    assertThat(Template.of("t", one, Template.Paper.A4, true).pages())
        .singleElement()
        .satisfies(p ->
            assertThat(marks(p, Template.Segment.class))
                // All four edges of the face are on it.
                .contains(
                    new Template.Segment(12, 30, 12, 285, true),
                    new Template.Segment(198, 30, 198, 285, true),
                    new Template.Segment(12, 30, 198, 30, true),
                    new Template.Segment(12, 285, 198, 285, true)));
    FaceSheet vast = new FaceSheet(Face.RIGHT, 4, 2, Face.REAR, Face.BOTTOM, List.of());
    assertThat(Template.of("t", vast, Template.Paper.A4, true).pages()).hasSize(60);
  }
}
