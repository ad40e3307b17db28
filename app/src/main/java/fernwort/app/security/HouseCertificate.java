package fernwort.app.security;

import fernwort.app.store.DataFolder;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/**
 * The certificate that HTTPS needs: one that the user brings, or one made for the house by the
 * JDK's own keytool and kept in the data folder. A browser warns of the latter once.
 */
public final class HouseCertificate {

  private static final String STORE = "fernwort.p12";

  /** It guards nothing beyond the file's own permissions, and the tools insist on one. */
  private static final String PASSWORD = "fernwort";

  private HouseCertificate() {}

  /** Returns the settings for HTTPS. */
  public static List<String> settings(DataFolder folder, Optional<Path> chain, Optional<Path> key) {
    String cookie = "--server.servlet.session.cookie.secure=true";
    if (chain.isPresent() && key.isPresent()) {
      return List.of(
          cookie,
          "--server.ssl.certificate=" + chain.get().toUri(),
          "--server.ssl.certificate-private-key=" + key.get().toUri());
    }
    Path store = folder.path().resolve(STORE);
    if (!Files.exists(store)) {
      make(store);
    }
    return List.of(
        cookie,
        "--server.ssl.key-store=" + store.toUri(),
        "--server.ssl.key-store-type=PKCS12",
        "--server.ssl.key-store-password=" + PASSWORD);
  }

  private static void make(Path store) {
    List<String> command =
        List.of(
            Path.of(System.getProperty("java.home"), "bin", "keytool").toString(),
            "-genkeypair",
            "-alias",
            "fernwort",
            "-keyalg",
            "EC",
            "-groupname",
            "secp256r1",
            "-validity",
            "3650",
            "-dname",
            "CN=Fernwort of this house",
            "-ext",
            "SAN=" + names(),
            "-storetype",
            "PKCS12",
            "-keystore",
            store.toString(),
            "-storepass",
            PASSWORD);
    try {
      Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
      String said = new String(process.getInputStream().readAllBytes());
      if (!process.waitFor(60, TimeUnit.SECONDS) || process.exitValue() != 0) {
        throw new Refusal(
            Says.NO_CERTIFICATE_COULD_BE_MADE.with(
                said.lines().findFirst().orElse(Says.NO_REASON_GIVEN.text())));
      }
    } catch (IOException e) {
      throw new Refusal(Says.NO_CERTIFICATE_COULD_BE_MADE_FOR_THERE_IS_NO_KEYTOOL.with());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Refusal(Says.MAKING_THE_CERTIFICATE_WAS.with());
    }
  }

  /** The names and addresses of this machine now. */
  private static String names() {
    try {
      String addresses =
          NetworkInterface.networkInterfaces()
              .flatMap(NetworkInterface::inetAddresses)
              .map(InetAddress::getHostAddress)
              .map(a -> "ip:" + a.replaceFirst("%.*", ""))
              .distinct()
              .limit(20)
              .collect(Collectors.joining(","));
      return "dns:localhost," + addresses;
    } catch (SocketException e) {
      return "dns:localhost,ip:127.0.0.1";
    }
  }
}
