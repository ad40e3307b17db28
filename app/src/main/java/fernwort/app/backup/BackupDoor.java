package fernwort.app.backup;

import fernwort.app.security.AccessRecord;
import fernwort.app.store.DataFolder;
import fernwort.app.store.StoreTrouble;
import fernwort.app.store.backup.Backups;
import fernwort.core.say.Refusal;
import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.StandardProtocolFamily;
import java.net.UnixDomainSocketAddress;
import java.nio.channels.Channels;
import java.nio.channels.ServerSocketChannel;
import java.nio.channels.SocketChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Lets the launcher ask a running copy for a backup: a socket in the data folder, which only the
 * folder's owner can reach. One word in, then the answer: "ok" or a sentence, and the file.
 */
@Component
public final class BackupDoor implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(BackupDoor.class);
  private static final String NAME = "fernwort.door";
  private static final String BACK_UP = "backup";
  private static final String RESTORE = "restore";
  private static final String OK = "ok";

  private final Backups backups;
  private final AccessRecord record;
  private final DataFolder folder;
  private final Path path;
  private volatile Optional<ServerSocketChannel> door = Optional.empty();

  BackupDoor(Backups backups, DataFolder folder, AccessRecord record) {
    this.backups = backups;
    this.record = record;
    this.folder = folder;
    this.path = folder.path().resolve(NAME);
  }

  @Override
  public void start() {
    try {
      Files.deleteIfExists(path);
      ServerSocketChannel server = ServerSocketChannel.open(StandardProtocolFamily.UNIX);
      server.bind(UnixDomainSocketAddress.of(path));
      folder.tighten();
      door = Optional.of(server);
      Thread.ofVirtual().name(Says.BACKUP_DOOR.text()).start(() -> serve(server));
    } catch (IOException | UnsupportedOperationException e) {
      // Such as a path that is too long for a socket; the Rigs page still backs up.
      LOG.warn("backups from the launcher while running are not possible: {}", e.getMessage());
    }
  }

  private void serve(ServerSocketChannel server) {
    while (server.isOpen()) {
      try {
        SocketChannel visitor = server.accept();
        Thread.ofVirtual().start(() -> answer(visitor));
      } catch (IOException closed) {
        return;
      }
    }
  }

  private void answer(SocketChannel visitor) {
    try (visitor;
        InputStream in = Channels.newInputStream(visitor);
        OutputStream out = Channels.newOutputStream(visitor)) {
      switch (line(in)) {
        case BACK_UP -> {
          say(out, OK);
          backups.write(out);
        }
        case RESTORE -> {
          say(out, restored(in));
        }
        case String other -> say(out, Says.IS_NOT_ASKED_HERE.filled(other));
      }
    } catch (IOException e) {
      LOG.warn("the launcher went away", e);
    }
  }

  private String restored(InputStream in) {
    try {
      backups.restore(new LeftOpen(in), StoredRows.look());
      record.add(AccessRecord.What.RESTORED, "");
      return OK;
    } catch (Refusal | StoreTrouble e) {
      return String.valueOf(e.getMessage());
    } catch (RuntimeException e) {
      LOG.warn("a restore broke off", e);
      return Says.THE_BACKUP_WAS_NOT_RESTORED.text();
    }
  }

  /** What reads a backup closes it, and with it would go the way back to the launcher. */
  private static final class LeftOpen extends FilterInputStream {

    LeftOpen(InputStream in) {
      super(in);
    }

    @Override
    public void close() {
      // Left to whoever opened it.
    }
  }

  private static String line(InputStream in) throws IOException {
    StringBuilder line = new StringBuilder();
    for (int c = in.read(); c >= 0 && c != '\n' && line.length() < 40; c = in.read()) {
      line.append((char) c);
    }
    return line.toString();
  }

  private static void say(OutputStream out, String line) throws IOException {
    out.write((line + "\n").getBytes(StandardCharsets.UTF_8));
    out.flush();
  }

  @Override
  public void stop() {
    door.ifPresent(server -> {
      try {
        server.close();
        Files.deleteIfExists(path);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    });
    door = Optional.empty();
  }

  @Override
  public boolean isRunning() {
    return door.isPresent();
  }

  /** Returns the door of the copy that runs on a folder, if one does. */
  public static Optional<Visitor> of(Path folder) {
    Path path = folder.resolve(NAME);
    try (SocketChannel knock = SocketChannel.open(StandardProtocolFamily.UNIX)) {
      knock.connect(UnixDomainSocketAddress.of(path));
      return Optional.of(new Visitor(path));
    } catch (IOException | IllegalArgumentException | UnsupportedOperationException nobody) {
      return Optional.empty();
    }
  }

  /** The launcher at the door. */
  public static final class Visitor {

    private final Path path;

    private Visitor(Path path) {
      this.path = path;
    }

    /** Writes the backup of the running copy. */
    public void backUp(OutputStream out) throws IOException {
      try (SocketChannel door = open(BACK_UP);
          InputStream in = Channels.newInputStream(door)) {
        String said = BackupDoor.line(in);
        if (!said.equals(OK)) {
          throw new IOException(said);
        }
        in.transferTo(out);
      }
    }

    /**
     * Restores a backup into the running copy.
     *
     * @return what was done, in a sentence
     * @throws Refusal with the running copy's sentence, when it was not taken
     */
    public String restore(Path file) {
      try (SocketChannel door = open(RESTORE);
          InputStream backup = Files.newInputStream(file)) {
        try {
          backup.transferTo(Channels.newOutputStream(door));
          door.shutdownOutput();
        } catch (IOException refusedEarly) {
          // It says why below.
        }
        String said =
            new BufferedReader(
                    new InputStreamReader(Channels.newInputStream(door), StandardCharsets.UTF_8))
                .readLine();
        if (!OK.equals(said)) {
          throw new Refusal(said == null ? Says.THE_RUNNING_COPY_DID_NOT_ANSWER.text() : said);
        }
        return Says.RESTORED_FROM_WHAT_WAS.filled(file);
      } catch (IOException e) {
        throw new Refusal(Says.THE_BACKUP_COULD_NOT_BE_HANDED.with(String.valueOf(e.getMessage())));
      }
    }

    private SocketChannel open(String word) throws IOException {
      SocketChannel door = SocketChannel.open(UnixDomainSocketAddress.of(path));
      say(Channels.newOutputStream(door), word);
      return door;
    }
  }
}
