package fernwort.app.backup;

import fernwort.app.store.backup.Backups;
import java.io.UncheckedIOException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Makes a backup every day that Fernwort runs. */
@Component
final class DailyBackup implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(DailyBackup.class);
  private static final long FIRST_MINUTES = 2;
  private static final long EVERY_MINUTES = 30;

  private final Backups backups;
  private volatile boolean running;
  private ScheduledExecutorService clock = newClock();

  DailyBackup(Backups backups) {
    this.backups = backups;
  }

  private static ScheduledExecutorService newClock() {
    return Executors.newSingleThreadScheduledExecutor(
        work -> Thread.ofPlatform().daemon().name(Says.DAILY_BACKUP.text()).unstarted(work));
  }

  @Override
  public void start() {
    clock = newClock();
    clock.scheduleAtFixedRate(this::make, FIRST_MINUTES, EVERY_MINUTES, TimeUnit.MINUTES);
    running = true;
  }

  /** What goes wrong once must not end it: it is tried again half an hour later. */
  void make() {
    try {
      backups.letGoOfOld();
      backups.today().ifPresent(LOG::warn);
    } catch (UncheckedIOException e) {
      LOG.warn("{}: {}", e.getMessage(), String.valueOf(e.getCause()));
    } catch (RuntimeException e) {
      LOG.warn("no backup was made today", e);
    }
  }

  @Override
  public void stop() {
    clock.shutdown();
    running = false;
  }

  @Override
  public boolean isRunning() {
    return running;
  }
}
