package fernwort.app.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.Client;
import fernwort.app.OwnCopy;
import fernwort.app.RunningCopy;
import fernwort.app.SharedCopy;
import fernwort.core.say.Refusal;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.cert.CertPath;
import java.security.cert.CertPathValidator;
import java.security.cert.CertPathValidatorException;
import java.security.cert.CertificateFactory;
import java.security.cert.PKIXParameters;
import java.security.cert.TrustAnchor;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SecurityTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  @Test
  void pagesMayLoadNothingFromElsewhereAndHaveNothingInline() throws IOException {
    HttpResponse<String> page = copy.get("/rigs/marginalia/board");
    assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
        .contains("default-src 'none'")
        .doesNotContain("unsafe");
    assertThat(page.body())
        .doesNotContain(" style=")
        .doesNotContain(" onclick")
        .doesNotContain("<style");
  }

  @Test
  void aChangeWithoutItsTokenIsRefused() throws IOException {
    HttpRequest.Builder turn =
        HttpRequest.newBuilder(URI.create(copy.address() + "/rigs/marginalia/handles/bypass"))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString("position=open"));
    assertThat(copy.send(turn).statusCode()).isEqualTo(403);
    assertThat(copy.json("/api/v1/rigs/marginalia/state").at("/positions/bypass").asString())
        .isEqualTo("shut");
  }

  /** A change with the right token and cookie, as the browser sends it for some page. */
  private static int changed(String path, String header, String from) throws IOException {
    String sent = copy.token();
    return copy.send(
            HttpRequest.newBuilder(URI.create(copy.address() + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", sent)
                .header(header, from)
                .POST(HttpRequest.BodyPublishers.ofString("position=open&name=Taken+over")))
        .statusCode();
  }

  /** Another port of this machine is sent the same cookies; it is not ours for that. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "/rigs/marginalia/handles/bypass",
        "/rigs/marginalia/rename",
        "/rigs/marginalia/archive",
        "/restore",
        "/api/v1/rigs",
        "/no/such/page"
      })
  void aChangeFromAPageElsewhereIsRefusedThoughItHasTheToken(String path) throws IOException {
    String state = copy.get("/api/v1/rigs/marginalia/state").body();
    for (String from :
        List.of("http://127.0.0.1:1", "http://localhost:1", "https://elsewhere.example", "null")) {
      assertThat(changed(path, "Origin", from)).as(from).isEqualTo(403);
    }
    for (String from : List.of("same-site", "cross-site")) {
      assertThat(changed(path, "Sec-Fetch-Site", from)).as(from).isEqualTo(403);
    }
    assertThat(copy.get("/api/v1/rigs/marginalia/state").body()).isEqualTo(state);
    assertThat(copy.get("/api/v1/rigs").body()).doesNotContain("Taken over");
  }

  @Test
  void aChangeFromAPageOfOursIsMade() throws IOException {
    String path = "/rigs/marginalia/handles/bypass";
    assertThat(changed(path, "Origin", copy.address())).isLessThan(400);
    assertThat(changed(path, "Sec-Fetch-Site", "same-origin")).isLessThan(400);
    assertThat(changed(path, "Sec-Fetch-Site", "none")).isLessThan(400);
    copy.change("PUT", "/api/v1/rigs/marginalia/handles/bypass", "{\"position\":\"shut\"}");
  }

  @Test
  void anotherHostNameForThisMachineIsRefused() throws IOException {
    URI address = URI.create(copy.address());
    try (Socket socket = new Socket(address.getHost(), address.getPort())) {
      socket
          .getOutputStream()
          .write(
              "GET /rigs HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"
                  .getBytes(StandardCharsets.US_ASCII));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(answer).startsWith("HTTP/1.1 421");
    }
  }

  @Test
  void errorsSaySomethingToPeopleAndShowNoStackTrace() throws IOException {
    HttpResponse<String> missing = copy.get("/rigs/nowhere/board");
    assertThat(missing.statusCode()).isEqualTo(404);
    assertThat(missing.body()).contains("There is no rig").doesNotContain("Exception");
    HttpResponse<String> unknown = copy.get("/no/such/page");
    assertThat(unknown.statusCode()).isEqualTo(404);
    assertThat(unknown.body()).doesNotContain("Exception").doesNotContain("at fernwort");
    HttpResponse<String> wrong =
        copy.change("PUT", "/api/v1/rigs/marginalia/handles/bypass", "{\"position\":\"ajar\"}");
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Bypass").contains("open").doesNotContain("Exception");
  }

  @Test
  void aFileThatIsNoRigIsRefusedWithEveryFaultAndNothingIsStored() throws IOException {
    String file = "{\"format\":\"other\",\"name\":\"Refused\"}";
    HttpResponse<String> refused = copy.change("POST", "/api/v1/rigs", file);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("\"problems\"").contains("fix");
    assertThat(copy.get("/api/v1/rigs").body()).doesNotContain("Refused");
  }

  @Test
  void aRigGoesOutAndInAgainUnchangedThroughTheInterfaceForPrograms() throws IOException {
    String file = copy.get("/api/v1/rigs/tern").body();
    HttpResponse<String> added = copy.change("POST", "/api/v1/rigs", file);
    assertThat(added.statusCode()).isEqualTo(201);
    String where = added.headers().firstValue("Location").orElseThrow();
    assertThat(copy.get(where).body()).isEqualTo(file);
  }

  @Test
  void thereIsNoConsoleOfTheDatabase() throws IOException {
    assertThat(copy.get("/h2-console").statusCode()).isEqualTo(404);
  }

  @Test
  void theInterfaceForProgramsIsDescribedByOpenApi() throws IOException {
    assertThat(copy.json("/api/v1/openapi").at("/openapi").asString()).startsWith("3.1");
    assertThat(copy.json("/api/v1/openapi").at("/paths").propertyNames())
        .contains("/api/v1/rigs/{id}/ways", "/api/v1/rigs/{id}/handles/{part}");
    assertThat(copy.get("/api").body()).contains("/api/v1/rigs/{id}/ways");
  }

  @Test
  void everyAnswerCarriesItsHeadersAlsoOneToARequestThatCannotBeRead() throws IOException {
    for (String request :
        List.of(
            "GET /ri<gs HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n",
            "NONSENSE\r\n\r\n",
            "GET / HTTP/1.1\r\n\r\n",
            "GET /rigs//x;y HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n",
            "GET /api/v1/rigs/%ff%00 HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n")) {
      String answer = raw(request);
      assertThat(answer).as(request).startsWith("HTTP/1.1 400");
      assertThat(answer)
          .contains("Content-Security-Policy: default-src 'none'")
          .contains("X-Content-Type-Options: nosniff")
          .contains("Cross-Origin-Opener-Policy: same-origin")
          .contains("Cross-Origin-Resource-Policy: same-origin")
          .contains("Permissions-Policy: camera=()")
          .doesNotContain("Tomcat")
          .doesNotContain("Exception");
    }
  }

  private static String raw(String request) throws IOException {
    URI address = URI.create(copy.address());
    try (Socket socket = new Socket(address.getHost(), address.getPort())) {
      socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
      socket.setSoTimeout(5000);
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @Test
  void aBodyIsRefusedByItsLengthBeforeItIsRead() throws IOException {
    String head = "POST %s HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\n";
    for (String path : List.of("/api/v1/rigs", "/rigs/import", "/restore", "/rigs/tern/people")) {
      String answer =
          raw(head.formatted(path) + "Content-Length: 400000000\r\n\r\n" + "x".repeat(2_200_000));
      assertThat(answer).as(path).startsWith("HTTP/1.1 413").contains("larger than");
    }
    assertThat(
            raw(
                head.formatted("/api/v1/rigs")
                    + "Transfer-Encoding: chunked\r\n\r\n1\r\n{\r\n0\r\n\r\n"))
        .startsWith("HTTP/1.1 411");
  }

  @Test
  void scriptsAndStylesCarryTheirVersionInTheirName() throws IOException {
    String page = copy.get("/rigs").body();
    Matcher named = Pattern.compile("(?:src|href)=\"(/[^\"]+\\.(?:js|css))\"").matcher(page);
    int seen = 0;
    while (named.find()) {
      seen++;
      assertThat(named.group(1)).matches(".*-[0-9a-f]{32}\\.(js|css)");
      HttpResponse<String> file = copy.get(named.group(1));
      assertThat(file.statusCode()).isEqualTo(200);
      if (named.group(1).endsWith(".css")) {
        assertThat(file.body()).containsPattern("url\\(\"?/vendor/[^)]*-[0-9a-f]{32}\\.woff2");
      }
    }
    assertThat(seen).isGreaterThan(4);
  }

  @Test
  void onlyTheLaunchersOwnWordsSayWhereItListens(@TempDir Path own) throws Exception {
    // As variables and properties of the surroundings are meant for other programs.
    Map<String, String> surroundings =
        Map.of(
            "server.address", "0.0.0.0",
            "server.port", "9",
            "spring.datasource.url", "jdbc:h2:mem:elsewhere");
    surroundings.forEach(System::setProperty);
    try (OwnCopy alone = OwnCopy.start(own)) {
      assertThat(bound(alone)).isNotEmpty().allMatch(a -> a.equals("127.0.0.1"));
      assertThat(own.resolve("fernwort.mv.db")).exists();
    } finally {
      surroundings.keySet().forEach(System::clearProperty);
    }
  }

  /** The addresses on which a copy really listens, as the system has them. */
  private static Set<String> bound(Client running) throws IOException {
    String port = String.format(Locale.ROOT, "%04X", URI.create(running.address()).getPort());
    Set<String> addresses = new HashSet<>();
    for (String table : List.of("tcp", "tcp6")) {
      for (String line : Files.readAllLines(Path.of("/proc/net/" + table))) {
        String[] columns = line.strip().split("\\s+");
        String[] local = columns[1].split(":");
        if (columns[3].equals("0A") && local.length == 2 && local[1].equals(port)) {
          addresses.add(readable(local[0]));
        }
      }
    }
    return addresses;
  }

  private static String readable(String hex) throws IOException {
    String last = hex.substring(hex.length() - 8);
    byte[] four = new byte[4];
    for (int i = 0; i < 4; i++) {
      four[3 - i] = (byte) Integer.parseInt(last.substring(2 * i, 2 * i + 2), 16);
    }
    boolean mapped = hex.length() == 8 || hex.startsWith("0000000000000000FFFF0000");
    return mapped ? InetAddress.getByAddress(four).getHostAddress() : hex;
  }

  private static String setPassphrase(Path data, String passphrase) throws IOException {
    Process setting = RunningCopy.launch(data, "--set-passphrase");
    setting.getOutputStream().write((passphrase + "\n").getBytes(StandardCharsets.UTF_8));
    setting.getOutputStream().close();
    return new String(setting.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  @Test
  void listeningWiderNeedsAPassphraseAndThenAsksForIt(@TempDir Path own)
      throws IOException, InterruptedException {
    assertThatThrownBy(() -> OwnCopy.start(own.resolve("without"), "--listen", "0.0.0.0"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("set a passphrase first");
    assertThat(setPassphrase(own, "long wet fern")).contains("The passphrase is set");

    assertThatThrownBy(() -> OwnCopy.start(own, "--listen", "0.0.0.0"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("--https");
    try (OwnCopy wide = OwnCopy.start(own, "--listen", "0.0.0.0", "--plain-http")) {
      assertThat(wide.get("/login").body()).contains("This connection is not encrypted");
      assertThat(bound(wide)).as("on all addresses").allMatch(a -> a.matches("[0.]+")).isNotEmpty();
      assertThat(wide.get("/rigs").headers().firstValue("Location").orElse("")).endsWith("/login");
      assertThat(wide.get("/api/v1/rigs").statusCode()).isEqualTo(401);
      assertThat(login(wide, "long wet fern")).doesNotContain("login");
      assertThat(wide.get("/rigs").body()).contains("Log out");
      HttpRequest.Builder forged =
          HttpRequest.newBuilder(URI.create(wide.address() + "/rigs/tern/handles/pump"))
              .header("Content-Type", "application/x-www-form-urlencoded")
              .header("Cookie", "XSRF-TOKEN=mine")
              .header("X-XSRF-TOKEN", "mine")
              .POST(HttpRequest.BodyPublishers.ofString("position=on"));
      assertThat(wide.send(forged).statusCode())
          .as("a cookie of somebody else's is no token")
          .isIn(302, 401, 403);
      assertThat(
              wide.send(
                      HttpRequest.newBuilder(URI.create(wide.address() + "/logout"))
                          .header("X-XSRF-TOKEN", wide.token())
                          .POST(HttpRequest.BodyPublishers.noBody()))
                  .headers()
                  .firstValue("Location")
                  .orElse(""))
          .endsWith("/login?out");
      assertThat(wide.get("/rigs").statusCode()).as("logged out").isEqualTo(302);
      HttpRequest.Builder byScript =
          HttpRequest.newBuilder(URI.create(wide.address() + "/rigs/tern/board"))
              .header("HX-Request", "true");
      HttpResponse<String> told = wide.send(byScript);
      assertThat(told.statusCode()).as("no login form inside the Board").isEqualTo(401);
      assertThat(told.headers().firstValue("X-Problem").orElse("")).contains("passphrase");
      for (int i = 0; i < 6; i++) {
        login(wide, "guess " + i);
      }
      assertThat(login(wide, "long wet fern")).as("must wait after five guesses").endsWith("?wait");
      assertThat(Files.readString(own.resolve("access.log")))
          .contains("passphrase given", "wrong passphrase", "logged out")
          .doesNotContain("guess");
    }
  }

  /** A phone that was lost is shut out from another device, and too many devices give way. */
  @Test
  void devicesAreListedAndAllOthersCanBeEnded(@TempDir Path own) throws Exception {
    QuickHash.set(own, "long wet fern");
    try (OwnCopy wide = OwnCopy.start(own, "--listen", "0.0.0.0", "--plain-http");
        Client lost = new Client(wide.address())) {
      login(wide, "long wet fern");
      login(lost, "long wet fern");
      assertThat(lost.get("/rigs").statusCode()).isEqualTo(200);
      assertThat(wide.get("/devices").body()).contains("(this device)", "End all others");
      send(wide, "/devices/end-others");
      assertThat(lost.get("/rigs").headers().firstValue("Location").orElse("")).endsWith("/login");
      assertThat(wide.get("/devices").body()).contains("(this device)").doesNotContain("End all");
      for (int device = 0; device < LoggedIn.MOST; device++) {
        try (Client another = new Client(wide.address())) {
          login(another, "long wet fern");
        }
      }
      assertThat(wide.get("/rigs").statusCode()).as("the longest unused gave way").isEqualTo(302);
    }
  }

  private static void send(Client client, String path) throws IOException {
    assertThat(
            client
                .send(
                    HttpRequest.newBuilder(URI.create(client.address() + path))
                        .header("X-XSRF-TOKEN", client.token())
                        .POST(HttpRequest.BodyPublishers.noBody()))
                .statusCode())
        .isEqualTo(302);
  }

  @Test
  void withACertificateOfTheHouseItSpeaksHttps(@TempDir Path own) throws Exception {
    try (OwnCopy house = OwnCopy.start(own, "--https")) {
      assertThat(house.address()).startsWith("https://127.0.0.1");
      HttpResponse<String> page = house.trusting().get("/rigs");
      assertThat(page.statusCode()).isEqualTo(200);
      assertThat(page.headers().firstValue("Strict-Transport-Security").orElse(""))
          .contains("max-age");
      assertThat(page.headers().allValues("Set-Cookie")).allMatch(c -> c.contains("Secure"));
      assertThat(Files.getPosixFilePermissions(own.resolve("fernwort.p12"))).hasSize(2);
      assertThat(Files.getPosixFilePermissions(own.resolve("fernwort-root.p12"))).hasSize(2);
      String steps = house.get("/devices/trust").body();
      assertThat(steps).contains("Save the certificate");
      byte[] root = house.bytes("/devices/fernwort-root.crt").body();
      X509Certificate certificate =
          (X509Certificate)
              CertificateFactory.getInstance("X.509")
                  .generateCertificate(new ByteArrayInputStream(root));
      String print =
          HexFormat.ofDelimiter(" ")
              .withUpperCase()
              .formatHex(MessageDigest.getInstance("SHA-256").digest(root));
      assertThat(steps).as("what the phone is to show").contains(print);
      try (Client phone = new Client(house.address())) {
        assertThat(phone.trusting(certificate).get("/rigs").statusCode())
            .as("a phone that trusts the house's certificate alone")
            .isEqualTo(200);
      }
    }
    byte[] before = Files.readAllBytes(own.resolve("fernwort-root.p12"));
    Files.delete(own.resolve("fernwort.p12"));
    try (OwnCopy again = OwnCopy.start(own, "--https")) {
      assertThat(again.trusting().get("/rigs").statusCode()).isEqualTo(200);
    }
    assertThat(Files.readAllBytes(own.resolve("fernwort-root.p12")))
        .as("the authority stays, whatever address the machine has")
        .isEqualTo(before);
  }

  /** Whoever steals the key of the house can still be no other site to a phone that trusts it. */
  @Test
  void theHouseVouchesForPrivateAddressesAndNothingElse() throws Exception {
    Instant now = Instant.now();
    HouseAuthority house = HouseAuthority.found(now);
    assertThat(isTaken(house, List.of("192.168.1.20", "localhost", "fd12::7"), now)).isTrue();
    assertThat(isTaken(house, List.of("93.184.216.34"), now)).isFalse();
    assertThat(isTaken(house, List.of("bank.example"), now)).isFalse();
    assertThat(isTaken(house, List.of("localhost"), now.plus(Duration.ofDays(900)))).isFalse();
  }

  private static boolean isTaken(HouseAuthority house, List<String> names, Instant when)
      throws Exception {
    HouseAuthority.Issued issued = house.issue(names, Instant.now());
    // The limits of a trust anchor are not looked at here, as a phone does; those on the way are.
    CertPath path =
        CertificateFactory.getInstance("X.509")
            .generateCertPath(List.of(issued.certificate(), house.certificate()));
    PKIXParameters trusted = new PKIXParameters(Set.of(new TrustAnchor(house.certificate(), null)));
    trusted.setRevocationEnabled(false);
    trusted.setDate(Date.from(when));
    try {
      CertPathValidator.getInstance("PKIX").validate(path, trusted);
      return true;
    } catch (CertPathValidatorException refused) {
      return false;
    }
  }

  /** Logs in as the page does and returns where it leads. */
  private static String login(Client copy, String passphrase) throws IOException {
    String page = copy.get("/login").body();
    String token = page.replaceAll("(?s).*name=\"_csrf\" value=\"([^\"]+)\".*", "$1");
    HttpResponse<String> answer =
        copy.send(
            HttpRequest.newBuilder(URI.create(copy.address() + "/login"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(
                    HttpRequest.BodyPublishers.ofString(
                        "who=owner&_csrf="
                            + token
                            + "&passphrase="
                            + passphrase.replace(' ', '+'))));
    return answer.headers().firstValue("Location").orElse("");
  }
}
