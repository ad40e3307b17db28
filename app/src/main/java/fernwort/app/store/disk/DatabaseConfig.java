package fernwort.app.store.disk;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import fernwort.app.store.DataFolder;
import org.jooq.ExecuteListenerProvider;
import org.jooq.impl.DefaultExecuteListenerProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.PlatformTransactionManager;

/** The database as the application sees it. */
@Configuration
class DatabaseConfig {

  private static final int CONNECTIONS = 24;

  @Bean
  FolderWatch folderWatch(DataFolder folder) {
    return new FolderWatch(folder);
  }

  @Bean
  HouseDatabase houseDatabase(DataFolder folder, FolderWatch watch) {
    return new HouseDatabase(folder, watch);
  }

  @Bean
  @org.springframework.context.annotation.Primary
  HikariDataSource pool(HouseDatabase house) {
    HikariConfig config = new HikariConfig();
    config.setPoolName("fernwort");
    config.setDataSource(house);
    config.setMaximumPoolSize(CONNECTIONS);
    config.setMinimumIdle(2);
    config.setConnectionTimeout(10_000);
    return new HikariDataSource(config);
  }

  @Bean
  ExecuteListenerProvider onlyInTransactions() {
    return new DefaultExecuteListenerProvider(new OnlyInTransactions());
  }

  @Bean
  PlatformTransactionManager transactionManager(
      HikariDataSource pool, HouseDatabase house, FolderWatch watch) {
    return new DurableTransactions(
        pool, watch, house, () -> pool.getHikariPoolMXBean().softEvictConnections());
  }
}
