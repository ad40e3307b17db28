package fernwort.core.diary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.say.Refusal;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What may be noted, and what was paid. */
class EntryTest {

  private static final Instant NOON = Instant.parse("2026-07-01T12:00:00Z");

  private static List<ThrowingCallable> noting(double volume) {
    return List.of(
        () -> new Entry.Reading("main", volume, "all", false, ""),
        () -> new Entry.Fill("main", Optional.of(volume), Entry.Bought.UNKNOWN, false, ""),
        () -> new Entry.Dump("gray", Optional.of(volume), ""),
        () -> new Entry.Haul("main", volume, 1, Entry.Bought.UNKNOWN, ""));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 0.05, 1000})
  void whatARigHoldsMayBeNoted(double volume) {
    noting(volume).forEach(note -> assertThatCode(note).doesNotThrowAnyException());
  }

  @ParameterizedTest
  @ValueSource(doubles = {-1e-9, 1000.1, Double.NaN, Double.POSITIVE_INFINITY})
  void whatNoRigHoldsIsRefused(double volume) {
    noting(volume)
        .forEach(note ->
            assertThatThrownBy(note)
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("check the number and its unit"));
  }

  @Test
  void nobodyIsAwayBackwards() {
    assertThatThrownBy(() -> new Entry("1", NOON, new Entry.Away(NOON, "")))
        .hasMessageContaining("Away ends before it begins");
    assertThatCode(() -> new Entry("1", NOON, new Entry.Away(NOON.plusSeconds(1), "")))
        .doesNotThrowAnyException();
  }

  private static Entry fill(String id, int hours, double volume, String price, String place) {
    Entry.Bought bought =
        new Entry.Bought(Optional.of(new BigDecimal(price)), place, Optional.empty());
    return new Entry(
        id,
        NOON.plusSeconds(3600L * hours),
        new Entry.Fill("main", Optional.of(volume), bought, false, ""));
  }

  @Test
  void whatWasPaidIsSummedByPlaceAndInOrderOfTime() {
    List<Entry> entries =
        List.of(
            fill("1", 5, 0.1, "4.50", "Weir"),
            fill("2", 1, 0.05, "2.00", "Ford"),
            fill("3", 3, 0.1, "1.50", "Weir"),
            new Entry("4", NOON, new Entry.Note("rain")));
    List<Paid> paid = Paid.of(entries);
    assertThat(paid).extracting(Paid::place).containsExactly("Ford", "Weir");
    assertThat(paid.getLast().times()).isEqualTo(2);
    assertThat(paid.getLast().price()).isEqualByComparingTo("6.00");
    assertThat(paid.getLast().perLitre().orElseThrow()).isEqualByComparingTo("0.03");
    assertThat(new Paid("Weir", 0, BigDecimal.ONE, 1).perLitre()).isEmpty();
    assertThat(Paid.byTime(entries))
        .extracting(Paid.Step::sum)
        .usingElementComparator(BigDecimal::compareTo)
        .containsExactly(new BigDecimal("2.00"), new BigDecimal("3.50"), new BigDecimal("8.00"));
  }
}
