package fernwort.app.live;

import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.mqtt.HiveLink;
import fernwort.app.mqtt.HouseBroker;
import fernwort.app.store.DataFolder;
import fernwort.app.store.SettingStore;
import fernwort.core.say.Refusal;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import java.util.Optional;
import java.util.UUID;
import javax.net.ssl.TrustManagerFactory;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Where the broker is, and who may connect. The password lies in a file of its own in the data
 * folder, which only its owner can read: it is in no database and in no backup, and is never shown.
 */
@Component
class BrokerSettings {

  private static final String URL = SettingStore.BROKER;
  private static final String USER = "live:user";
  private static final String CLIENT = "live:client";
  private static final String PASSWORD = "live-password";

  /** Names the broker that the password was given for. */
  private static final String GIVEN_FOR = "live-password-for";

  private static final String TRUSTED = "live-ca.pem";
  private static final int LONGEST = 200;
  private static final int LARGEST_CA = 100_000;

  private final SettingStore settings;
  private final DataFolder folder;

  BrokerSettings(SettingStore settings, DataFolder folder) {
    this.settings = settings;
    this.folder = folder;
  }

  /** Returns where the broker is, if somebody said so. */
  Optional<BrokerAddress> address() {
    return settings.get(URL).map(BrokerAddress::of);
  }

  /** Returns who connects; empty for nobody. */
  String user() {
    return settings.get(USER).orElse("");
  }

  /** Tells whether there is a CA file of one's own. */
  boolean hasOwnCa() {
    return Files.exists(trusted());
  }

  /** Returns what a connection needs. */
  HiveLink.Access access(OwnDevice own) {
    return new HiveLink.Access(
        user(), password(), clientId(), new HiveLink.Will(own.state(), OwnDevice.LOST), trust());
  }

  /** Returns whom the broker inside Fernwort lets in. */
  HouseBroker.Guest guest() {
    return new HouseBroker.Guest(user(), password());
  }

  /** Returns what this copy is called at the broker; made once. */
  String clientId() {
    return settings
        .get(CLIENT)
        .orElseGet(() -> {
          String made = "fernwort-" + UUID.randomUUID().toString().substring(0, 8);
          settings.set(CLIENT, made);
          return made;
        });
  }

  /**
   * Sets where the broker is.
   *
   * @param user empty for nobody
   * @param password empty for none; null to leave it as it is
   * @throws Refusal naming what is wrong
   */
  void set(BrokerAddress address, String user, @Nullable String password) {
    if (user.length() > LONGEST || password != null && password.length() > LONGEST) {
      throw new Refusal(Says.A_PASSWORD_IS_NO_LONGER.with(LONGEST));
    }
    settings.set(URL, address.url());
    settings.set(USER, user);
    if (password != null) {
      write(folder.path().resolve(PASSWORD), password.getBytes(StandardCharsets.UTF_8));
      write(givenFor(), address.url().getBytes(StandardCharsets.UTF_8));
    }
  }

  /** Connects to none any more. */
  void clear() {
    settings.set(URL, "");
    settings.set(USER, "");
    write(folder.path().resolve(PASSWORD), new byte[0]);
    write(givenFor(), new byte[0]);
    write(trusted(), new byte[0]);
  }

  /**
   * Trusts whoever has a certificate of this authority.
   *
   * @param pem its certificate; empty for those that the machine knows
   * @throws Refusal when it is none
   */
  void trust(byte[] pem) {
    if (pem.length > 0) {
      if (pem.length > LARGEST_CA || certificate(pem).isEmpty()) {
        throw new Refusal(Says.THE_CA_CANNOT_BE_READ.with());
      }
    }
    write(trusted(), pem);
  }

  private Path trusted() {
    return folder.path().resolve(TRUSTED);
  }

  private static void write(Path file, byte[] bytes) {
    try {
      Files.deleteIfExists(file);
      if (bytes.length > 0) {
        boolean posix = file.getFileSystem().supportedFileAttributeViews().contains("posix");
        if (posix) {
          Files.createFile(
              file,
              PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
        Files.write(file, bytes);
      }
    } catch (IOException e) {
      throw new Refusal(Says.THE_PASSWORD_CANNOT_BE_KEPT.text(), e);
    }
  }

  private Path givenFor() {
    return folder.path().resolve(GIVEN_FOR);
  }

  /**
   * Returns the password, if it was given for the broker that is set: a restored address never gets
   * the one that was kept for another.
   */
  private String password() {
    try {
      Path file = folder.path().resolve(PASSWORD);
      if (!Files.exists(file)) {
        return "";
      }
      String url = settings.get(URL).orElse("");
      if (!Files.exists(givenFor())) {
        // An earlier Fernwort kept it, for the broker that was set then.
        write(givenFor(), url.getBytes(StandardCharsets.UTF_8));
      }
      return Files.readString(givenFor()).equals(url) ? Files.readString(file) : "";
    } catch (IOException e) {
      return "";
    }
  }

  private @Nullable TrustManagerFactory trust() {
    try {
      if (!Files.exists(trusted())) {
        return null;
      }
      KeyStore store = KeyStore.getInstance(KeyStore.getDefaultType());
      store.load(null, null);
      Optional<Certificate> ca = certificate(Files.readAllBytes(trusted()));
      if (ca.isPresent()) {
        store.setCertificateEntry("broker", ca.get());
      }
      TrustManagerFactory factory =
          TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
      factory.init(store);
      return factory;
    } catch (IOException | GeneralSecurityException e) {
      throw new Refusal(Says.THE_CA_CANNOT_BE_READ.text(), e);
    }
  }

  private static Optional<Certificate> certificate(byte[] pem) {
    try {
      return Optional.of(
          CertificateFactory.getInstance("X.509")
              .generateCertificate(new ByteArrayInputStream(pem)));
    } catch (GeneralSecurityException e) {
      return Optional.empty();
    }
  }
}
