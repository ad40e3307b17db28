package fernwort.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.store.DataFolder;
import fernwort.app.store.SettingStore;
import java.nio.file.Files;
import java.nio.file.Path;
import org.h2.jdbcx.JdbcDataSource;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The broker's password goes to the broker it was given for, whatever a restore says of brokers.
 */
class BrokerPasswordTest {

  @TempDir Path home;
  private DataFolder folder;
  private SettingStore store;
  private BrokerSettings settings;

  @BeforeEach
  void open() {
    folder = DataFolder.claim(home.resolve("data"));
    JdbcDataSource source = new JdbcDataSource();
    source.setUrl("jdbc:h2:mem:broker;DATABASE_TO_LOWER=TRUE;DB_CLOSE_DELAY=-1");
    DSLContext db = DSL.using(source, SQLDialect.H2);
    db.execute("create table if not exists setting (name varchar(64), entry varchar(400))");
    db.execute("delete from setting");
    store = new SettingStore(db);
    settings = new BrokerSettings(store, folder);
  }

  @AfterEach
  void close() throws Exception {
    folder.release();
  }

  @Test
  void aRestoredAddressGetsNoPasswordOfAnother() {
    settings.set(BrokerAddress.of("mqtt://192.168.1.20"), "ada", "salt and fern");
    assertThat(settings.guest().password()).isEqualTo("salt and fern");
    store.set(SettingStore.BROKER, BrokerAddress.of("mqtt://192.168.1.66").url());
    assertThat(settings.guest().password()).isEmpty();
    store.set(SettingStore.BROKER, BrokerAddress.of("mqtt://192.168.1.20").url());
    assertThat(settings.guest().password()).as("its own again").isEqualTo("salt and fern");
  }

  /** An earlier Fernwort kept the password alone: it belongs to the broker that is set now. */
  @Test
  void aPasswordFromBeforeIsBoundToTheBrokerThatWasSetThen() throws Exception {
    store.set(SettingStore.BROKER, BrokerAddress.of("mqtt://192.168.1.20").url());
    Files.writeString(folder.path().resolve("live-password"), "salt and fern");
    assertThat(settings.guest().password()).isEqualTo("salt and fern");
    store.set(SettingStore.BROKER, BrokerAddress.of("mqtt://192.168.1.66").url());
    assertThat(settings.guest().password()).isEmpty();
  }
}
