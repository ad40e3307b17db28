package fernwort.app.security;

import fernwort.app.store.DataFolder;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.bouncycastle.operator.OperatorCreationException;

/**
 * The certificate that HTTPS needs: one that the user brings, or one of the house. The house has an
 * authority of its own, made once, which vouches for private addresses and nothing else; a phone
 * that trusts it does not have to be asked again when the address of this machine changes.
 */
public final class HouseCertificate {

  /** The authority and its key. */
  private static final String ROOT = "fernwort-root.p12";

  /** The certificate of this copy at its addresses, and its key. */
  private static final String STORE = "fernwort.p12";

  private static final String ALIAS = "fernwort";

  /** It guards nothing beyond the file's own permissions, and the tools insist on one. */
  private static final String PASSWORD = "fernwort";

  private static final Duration RENEWED_BEFORE = Duration.ofDays(60);
  private static final int MOST_ADDRESSES = 20;

  private HouseCertificate() {}

  /** Returns the settings for HTTPS. */
  public static List<String> settings(
      DataFolder folder, Optional<Path> chain, Optional<Path> key, Clock clock) {
    String cookie = "--server.servlet.session.cookie.secure=true";
    if (chain.isPresent() && key.isPresent()) {
      return List.of(
          cookie,
          "--server.ssl.certificate=" + chain.get().toUri(),
          "--server.ssl.certificate-private-key=" + key.get().toUri());
    }
    Path store = folder.path().resolve(STORE);
    try {
      Set<String> names = names();
      if (!serves(folder, store, names, clock.instant())) {
        make(folder, store, names, clock.instant());
      }
    } catch (IOException | GeneralSecurityException | OperatorCreationException e) {
      throw new Refusal(Says.NO_CERTIFICATE_COULD_BE_MADE.with(String.valueOf(e.getMessage())));
    }
    return List.of(
        cookie,
        "--server.ssl.key-store=" + store.toUri(),
        "--server.ssl.key-store-type=PKCS12",
        "--server.ssl.key-store-password=" + PASSWORD);
  }

  /** Returns the authority of the house, if there is one. */
  static Optional<X509Certificate> root(DataFolder folder) {
    Path root = folder.path().resolve(ROOT);
    if (!Files.exists(root)) {
      return Optional.empty();
    }
    try {
      return Optional.of((X509Certificate) read(root).getCertificate(ALIAS));
    } catch (IOException | GeneralSecurityException e) {
      return Optional.empty();
    }
  }

  /** Tells whether what is there was issued by the authority, and for all addresses of now. */
  private static boolean serves(
      DataFolder folder, Path store, Collection<String> names, Instant now)
      throws IOException, GeneralSecurityException {
    if (!Files.exists(store) || root(folder).isEmpty()) {
      return false;
    }
    X509Certificate certificate = (X509Certificate) read(store).getCertificate(ALIAS);
    try {
      certificate.verify(root(folder).orElseThrow().getPublicKey());
    } catch (GeneralSecurityException fromBefore) {
      return false;
    }
    Collection<List<?>> known = certificate.getSubjectAlternativeNames();
    Set<String> has =
        known == null
            ? Set.of()
            : known.stream()
                .map(pair -> HouseAuthority.plain(String.valueOf(pair.get(1))))
                .collect(Collectors.toSet());
    return has.containsAll(names)
        && certificate.getNotAfter().toInstant().minus(RENEWED_BEFORE).isAfter(now);
  }

  private static void make(DataFolder folder, Path store, Collection<String> names, Instant now)
      throws IOException, GeneralSecurityException, OperatorCreationException {
    Path root = folder.path().resolve(ROOT);
    HouseAuthority authority;
    if (Files.exists(root)) {
      KeyStore kept = read(root);
      authority =
          new HouseAuthority(
              (X509Certificate) kept.getCertificate(ALIAS),
              (PrivateKey) kept.getKey(ALIAS, PASSWORD.toCharArray()));
    } else {
      authority = HouseAuthority.found(now);
      write(root, authority.key(), authority.certificate());
    }
    HouseAuthority.Issued issued = authority.issue(names, now);
    write(store, issued.key(), issued.certificate(), authority.certificate());
    folder.tighten();
  }

  private static KeyStore read(Path file) throws IOException, GeneralSecurityException {
    KeyStore store = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(file)) {
      store.load(in, PASSWORD.toCharArray());
    }
    return store;
  }

  private static void write(Path file, PrivateKey key, Certificate... chain)
      throws IOException, GeneralSecurityException {
    KeyStore store = KeyStore.getInstance("PKCS12");
    store.load(null, null);
    store.setKeyEntry(ALIAS, key, PASSWORD.toCharArray(), chain);
    try (OutputStream out = Files.newOutputStream(file)) {
      store.store(out, PASSWORD.toCharArray());
    }
  }

  /** The names and addresses of this machine now, as far as the authority vouches for such. */
  private static Set<String> names() {
    Set<String> names = new TreeSet<>(Set.of("localhost", "127.0.0.1"));
    try {
      NetworkInterface.networkInterfaces()
          .flatMap(NetworkInterface::inetAddresses)
          .filter(HouseCertificate::isPrivate)
          .map(a -> HouseAuthority.plain(a.getHostAddress()))
          .limit(MOST_ADDRESSES)
          .forEach(names::add);
    } catch (SocketException noNetwork) {
      // This machine alone, then.
    }
    return names;
  }

  private static boolean isPrivate(InetAddress address) {
    byte first = address.getAddress()[0];
    boolean uniqueLocal = address.getAddress().length > 4 && (first & 0xfe) == 0xfc;
    return address.isLoopbackAddress()
        || address.isSiteLocalAddress()
        || address.isLinkLocalAddress()
        || uniqueLocal;
  }
}
