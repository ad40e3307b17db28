package fernwort.app.security;

import java.math.BigInteger;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Date;
import java.util.stream.Stream;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.CertIOException;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * The authority of a house: it vouches for this machine's private addresses, and can vouch for
 * nothing else (RFC 5280, 4.2.1.10), so that a phone that trusts it risks nothing beyond.
 *
 * @param certificate what a phone trusts
 * @param key what it signs with
 */
record HouseAuthority(X509Certificate certificate, PrivateKey key) {

  private static final String SIGNED = "SHA256withECDSA";
  private static final Duration OF_THE_HOUSE = Duration.ofDays(3650);

  /** Phones take no certificate of a server that holds much longer than two years. */
  private static final Duration OF_A_SERVER = Duration.ofDays(800);

  private static final Duration CLOCKS_DIFFER = Duration.ofDays(1);
  private static final int SERIAL_BITS = 128;

  private static final String[] PRIVATE = {
    "127.0.0.0/255.0.0.0",
    "10.0.0.0/255.0.0.0",
    "172.16.0.0/255.240.0.0",
    "192.168.0.0/255.255.0.0",
    "169.254.0.0/255.255.0.0",
    "::1/128",
    "fe80::/10",
    "fc00::/7"
  };

  /** A certificate for a server, and its key. */
  record Issued(X509Certificate certificate, PrivateKey key) {}

  /** Founds an authority. */
  static HouseAuthority found(Instant now)
      throws GeneralSecurityException, CertIOException, OperatorCreationException {
    KeyPair pair = pair();
    X500Name name = new X500Name("CN=Fernwort of this house");
    JcaX509v3CertificateBuilder made = builder(name, name, pair, now, OF_THE_HOUSE);
    made.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
    made.addExtension(
        Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign));
    GeneralSubtree[] permitted =
        Stream.concat(
                Stream.of(new GeneralName(GeneralName.dNSName, "localhost")),
                Stream.of(PRIVATE).map(range -> new GeneralName(GeneralName.iPAddress, range)))
            .map(GeneralSubtree::new)
            .toArray(GeneralSubtree[]::new);
    made.addExtension(Extension.nameConstraints, true, new NameConstraints(permitted, null));
    return new HouseAuthority(signed(made, pair.getPrivate()), pair.getPrivate());
  }

  /** Issues a certificate for a server under some names and addresses. */
  Issued issue(Collection<String> names, Instant now)
      throws GeneralSecurityException, CertIOException, OperatorCreationException {
    KeyPair pair = pair();
    X500Name by = new X500Name(certificate.getSubjectX500Principal().getName());
    JcaX509v3CertificateBuilder made =
        builder(by, new X500Name("CN=Fernwort"), pair, now, OF_A_SERVER);
    made.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
    made.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
    made.addExtension(
        Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
    GeneralName[] all =
        names.stream()
            .map(
                n -> new GeneralName(isAddress(n) ? GeneralName.iPAddress : GeneralName.dNSName, n))
            .toArray(GeneralName[]::new);
    made.addExtension(Extension.subjectAlternativeName, false, new GeneralNames(all));
    return new Issued(signed(made, key), pair.getPrivate());
  }

  /** Returns an address in one way of writing it. */
  static String plain(String address) {
    String bare = address.replaceFirst("%.*", "");
    return bare.replaceAll("(^|:)0+(?=[0-9a-f])", "$1");
  }

  private static boolean isAddress(String name) {
    return name.contains(":") || name.matches("[0-9.]+");
  }

  private static KeyPair pair() throws GeneralSecurityException {
    KeyPairGenerator keys = KeyPairGenerator.getInstance("EC");
    keys.initialize(new ECGenParameterSpec("secp256r1"));
    return keys.generateKeyPair();
  }

  private static JcaX509v3CertificateBuilder builder(
      X500Name by, X500Name of, KeyPair pair, Instant now, Duration holds) {
    return new JcaX509v3CertificateBuilder(
        by,
        new BigInteger(SERIAL_BITS, new SecureRandom()),
        Date.from(now.minus(CLOCKS_DIFFER)),
        Date.from(now.plus(holds)),
        of,
        pair.getPublic());
  }

  private static X509Certificate signed(JcaX509v3CertificateBuilder made, PrivateKey key)
      throws GeneralSecurityException, OperatorCreationException {
    return new JcaX509CertificateConverter()
        .getCertificate(made.build(new JcaContentSignerBuilder(SIGNED).build(key)));
  }
}
