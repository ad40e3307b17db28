package fernwort.app.store.disk;

import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.configuration.FluentConfiguration;

/** The steps by which the database's tables came about. A step never changes once it is out. */
public final class Schema {

  /** A draft of step 5 that was out for some hours; step 6 takes away what it had more. */
  private static final int DRAFT_OF_5 = -1136491979;

  /** The newest step. */
  public static final int NEWEST = 13;

  private Schema() {}

  /** Brings a database to the newest step. */
  public static void bringUpToDate(String url) {
    Flyway flyway = steps(url).load();
    for (MigrationInfo step : flyway.info().applied()) {
      if (Integer.valueOf(DRAFT_OF_5).equals(step.getAppliedChecksum())) {
        flyway.repair();
      }
    }
    flyway.migrate();
  }

  /** Brings an empty database to some step. */
  public static void bringTo(String url, int step) {
    steps(url).target(MigrationVersion.fromVersion(Integer.toString(step))).load().migrate();
  }

  private static FluentConfiguration steps(String url) {
    return Flyway.configure().dataSource(url, "sa", "").locations("classpath:db/migration");
  }
}
