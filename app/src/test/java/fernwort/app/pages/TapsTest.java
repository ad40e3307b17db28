package fernwort.app.pages;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import fernwort.app.InBrowser;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** How many taps on a phone it takes from Today to what people come for. */
class TapsTest {

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  private Page page;
  private int taps;

  @BeforeEach
  void open() {
    page = COPY.phone();
    COPY.visit("/rigs/marginalia/board");
    taps = 0;
  }

  private void tap(String what) {
    page.locator(what).first().tap();
    taps++;
  }

  private void assertTaps(int most) {
    Assertions.assertThat(taps).isLessThanOrEqualTo(most);
  }

  @Test
  void aFillIsNotedInTwo() {
    tap(".rail a:has-text('Log')");
    tap("#full-main");
    assertTaps(2);
    assertThat(page.locator("main")).containsText("Main fresh");
    assertThat(page.locator("#was-done, main table").first()).isVisible();
  }

  @Test
  void howLongItLastsTakesTwo() {
    tap(".rail a:has-text('Log')");
    tap(".tabs a:has-text('How long')");
    assertTaps(2);
    assertThat(page.locator("[data-answer]").first()).containsText("ends");
  }

  @Test
  void whatFreezesTonightTakesTwo() {
    tap(".rail a:has-text('Winter')");
    tap(".tabs a:has-text('Tonight')");
    assertTaps(2);
    assertThat(page.locator("[data-answer]").first())
        .containsText(Pattern.compile("nothing freezes|freezes first"));
  }

  @Test
  void aFillIsPlannedAndBegunInFour() {
    tap(".rail a:has-text('Jobs')");
    tap(".job-link:has-text('Fill Main fresh')");
    tap("#begin");
    assertTaps(4);
    assertThat(page.locator(".run-step").first()).isVisible();
  }

  @Test
  void aBorrowersCardTakesFive() {
    tap(".rail a:has-text('Jobs')");
    tap("#more-jobs summary");
    tap("#more-jobs a:has-text('Cards for borrowers')");
    tap("label:has-text('Fill Main fresh')");
    tap("button:has-text('Make the card')");
    assertTaps(5);
    assertThat(page.locator("svg.qr")).isVisible();
  }

  @Test
  void theFirstStepOfTheWinterTakesFour() {
    tap(".rail a:has-text('Winter')");
    tap(".school a.button");
    tap("#begin");
    assertTaps(4);
    assertThat(page.locator(".winter-step").first()).isVisible();
  }
}
