package fernwort.app.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.say.Refusal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where a copy may listen, and with which passphrase. */
class ListenRuleTest {

  @ParameterizedTest
  @CsvSource({
    "127.0.0.1, 127.0.0.1, 127.0.0.1",
    "localhost, 127.0.0.1, 127.0.0.1",
    "127.8.8.8, 127.8.8.8, 127.8.8.8",
    "::1, 0:0:0:0:0:0:0:1, [0:0:0:0:0:0:0:1]",
    "[::1], 0:0:0:0:0:0:0:1, [0:0:0:0:0:0:0:1]"
  })
  void thisMachineAloneNeedsNoPassphrase(String wanted, String address, String shown) {
    ListenRule.Listen listen = ListenRule.check(wanted, false, false);
    assertThat(listen).isEqualTo(new ListenRule.Listen(address, shown, true));
  }

  @ParameterizedTest
  @ValueSource(strings = {"0.0.0.0", "::", "192.168.7.7", "[fe80::1]"})
  void anyWiderNeedsOneFirst(String wanted) {
    assertThatThrownBy(() -> ListenRule.check(wanted, false, true))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("set a passphrase first");
    assertThatThrownBy(() -> ListenRule.check(wanted, true, false))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("--https")
        .hasMessageContaining("--plain-http");
    assertThat(ListenRule.check(wanted, true, true).loopback()).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"some-host", "127.0.0.1.evil.example", "1.2.3", "999.1.1.1", "", "0"})
  void aNameThatMayLeadAnywhereIsRefusedAlsoWithOne(String wanted) {
    assertThatThrownBy(() -> ListenRule.check(wanted, true, true))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("needs an address of this machine in digits");
  }

  @ParameterizedTest
  @CsvSource({
    "'          ', at least 10 letters",
    "short, at least 10 letters",
    "'   nine let   ', at least 10 letters",
    "aaaaaaaaaaaa, different letters",
    "'a b a b a b a b', different letters"
  })
  void aPassphraseThatIsEasilyGuessedIsRefused(String typed, String sentence) {
    assertThatThrownBy(() -> PassphraseRule.checked(typed))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(sentence);
  }

  @Test
  void blanksAroundAPassphraseDoNotCountAndItHasABound() {
    assertThat(PassphraseRule.checked("  long wet fern ")).isEqualTo("long wet fern");
    assertThat(PassphraseRule.checked("水管水箱阀门泵滤网芯")).hasSize(10);
    assertThatThrownBy(() -> PassphraseRule.checked("ferns by the brook ".repeat(4)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("room for 72");
  }
}
