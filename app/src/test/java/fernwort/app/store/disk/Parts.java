package fernwort.app.store.disk;

import com.zaxxer.hikari.HikariDataSource;
import fernwort.app.store.DataFolder;
import javax.sql.DataSource;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The database of a folder as the application opens it, without the application.
 *
 * @param db for queries within a transaction
 * @param transactions which are on the disk when they return
 */
public record Parts(DSLContext db, TransactionTemplate transactions) {

  /** Opens the database of a folder that is ready. */
  public static Parts of(DataFolder folder) {
    DatabaseConfig config = new DatabaseConfig();
    FolderWatch watch = config.folderWatch(folder);
    HouseDatabase house = config.houseDatabase(folder, watch);
    HikariDataSource pool = config.pool(house);
    DataSource aware = new TransactionAwareDataSourceProxy(pool);
    return new Parts(
        DSL.using(aware, SQLDialect.H2),
        new TransactionTemplate(config.transactionManager(pool, house, watch)));
  }
}
