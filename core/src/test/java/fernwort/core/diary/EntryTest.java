package fernwort.core.diary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.say.Refusal;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
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
        () -> new Entry.Reading(PartId.of("main"), volume, "all", false, ""),
        () ->
            new Entry.Fill(PartId.of("main"), Optional.of(volume), Entry.Bought.UNKNOWN, false, ""),
        () -> new Entry.Dump(PartId.of("gray"), Optional.of(volume), ""),
        () -> new Entry.Haul(PartId.of("main"), volume, 1, Entry.Bought.UNKNOWN, ""));
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
  void eachSaysWhatItIsAndOfWhatPart() {
    Map<Entry.What, String> all =
        Map.of(
            new Entry.Reading(PartId.of("main"), 0.05, "half", false, ""), "Read main",
            new Entry.Fill(PartId.of("main"), Optional.empty(), Entry.Bought.UNKNOWN, false, ""),
                "Filled main",
            new Entry.Dump(PartId.of("gray"), Optional.empty(), ""), "Dumped gray",
            new Entry.Haul(PartId.of("main"), 0.02, 2, Entry.Bought.UNKNOWN, ""), "Hauled main",
            new Entry.People(2, 1, Optional.empty(), ""), "On board ",
            new Entry.Away(NOON, ""), "Away ",
            new Entry.Sanitize(PartId.of("main"), ""), "Sanitized main",
            new Entry.Upkeep(PartId.of("filter"), Optional.empty(), ""), "Upkeep filter",
            new Entry.Note("rain"), "Note ");
    all.forEach(
        (what, said) -> assertThat(what.kind().words() + " " + what.part()).isEqualTo(said));
    assertThat(all.keySet()).extracting(Entry.What::kind).hasSize(Entry.Kind.values().length);
  }

  @ParameterizedTest
  @ValueSource(strings = {"-0.01", "1000000.01"})
  void whatIsNoPriceOfWaterIsRefused(String price) {
    assertThatThrownBy(() -> fill("1", 0, 0.1, price, PlaceId.of("Weir")))
        .hasMessageContaining("The price cannot be right");
    assertThatCode(() -> fill("1", 0, 0.1, "0", PlaceId.of("Weir"))).doesNotThrowAnyException();
    assertThatCode(() -> fill("1", 0, 0.1, "1000000", PlaceId.of("Weir")))
        .doesNotThrowAnyException();
  }

  @Test
  void nobodyIsAwayBackwards() {
    assertThatThrownBy(() -> new Entry("1", NOON, new Entry.Away(NOON, "")))
        .hasMessageContaining("Away ends before it begins");
    assertThatCode(() -> new Entry("1", NOON, new Entry.Away(NOON.plusSeconds(1), "")))
        .doesNotThrowAnyException();
  }

  private static Entry fill(String id, int hours, double volume, String price, PlaceId place) {
    Entry.Bought bought =
        new Entry.Bought(Optional.of(new BigDecimal(price)), place.value(), Optional.empty());
    return new Entry(
        id,
        NOON.plusSeconds(3600L * hours),
        new Entry.Fill(PartId.of("main"), Optional.of(volume), bought, false, ""));
  }

  @Test
  void whatWasPaidIsSummedByPlaceAndInOrderOfTime() {
    List<Entry> entries =
        List.of(
            fill("1", 5, 0.1, "4.50", PlaceId.of("Weir")),
            fill("2", 1, 0.05, "2.00", PlaceId.of("Ford")),
            fill("3", 3, 0.1, "1.50", PlaceId.of("Weir")),
            new Entry(
                "4",
                NOON.plusSeconds(60),
                new Entry.Haul(
                    PartId.of("main"),
                    0.02,
                    1,
                    new Entry.Bought(Optional.of(BigDecimal.ONE), "Ford", Optional.empty()),
                    "")),
            new Entry("5", NOON, new Entry.Note("rain")));
    List<Paid> paid = Paid.of(entries);
    assertThat(paid.getFirst().times()).isEqualTo(2);
    assertThat(paid).extracting(Paid::place).containsExactly("Ford", "Weir");
    assertThat(paid.getLast().times()).isEqualTo(2);
    assertThat(paid.getLast().price()).isEqualByComparingTo("6.00");
    assertThat(paid.getLast().perCubicMetre().orElseThrow()).isEqualByComparingTo("30");
    assertThat(new Paid("Weir", 0, BigDecimal.ONE, 1).perCubicMetre()).isEmpty();
    assertThat(Paid.byTime(entries))
        .extracting(Paid.Step::sum)
        .usingElementComparator(BigDecimal::compareTo)
        .containsExactly(
            BigDecimal.ONE, new BigDecimal("3.00"), new BigDecimal("4.50"), new BigDecimal("9.00"));
  }
}
