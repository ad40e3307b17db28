package fernwort.app.store;

import fernwort.app.store.disk.FolderOpening;
import fernwort.app.store.disk.Parts;
import java.nio.file.Path;
import java.time.Clock;
import org.springframework.boot.logging.LoggingSystem;

/** A process that only stores: turns one handle on and on, and says each turn once it is kept. */
final class StoreProcess {

  private static final String RIG = "tern";
  private static final String HANDLE = "draw";

  private StoreProcess() {}

  public static void main(String[] args) {
    LoggingSystem.get(StoreProcess.class.getClassLoader()).beforeInitialize();
    Clock clock = Clock.systemUTC();
    DataFolder folder = DataFolder.claim(Path.of(args[0]));
    FolderOpening.prepare(folder, clock);
    Parts parts = Parts.of(folder);
    RigStore rigs = new RigStore(parts.db(), clock);
    Logbook logbook = new Logbook(parts.db(), clock);
    if (rigs.find(RIG).isEmpty()) {
      parts.transactions().execute(s -> rigs.add("Tern", "{}", 2, "[]", "ada", "x"));
    }
    String at = logbook.handles(RIG).getOrDefault(HANDLE, "0");
    System.out.println("has " + at);
    for (int turn = Integer.parseInt(at) + 1; ; turn++) {
      String to = Integer.toString(turn);
      parts.transactions().executeWithoutResult(s -> logbook.turn(RIG, HANDLE, "0", to, "ada"));
      System.out.println("kept " + turn);
      if (args.length > 1) {
        return;
      }
    }
  }
}
