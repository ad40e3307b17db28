package fernwort.app;

import java.io.IOException;
import java.net.CookieManager;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.security.cert.X509Certificate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to a copy of Fernwort over HTTP, with the cookies and the token of one visitor. */
public class Client implements AutoCloseable {

  private static final JsonMapper JSON = new JsonMapper();

  private final String address;
  private HttpClient client = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
  private JsonNode token = JSON.nullNode();

  /** Speaks to the copy at an address, such as http://127.0.0.1:8080. */
  public Client(String address) {
    this.address = address;
  }

  /** Returns the address. */
  public String address() {
    return address;
  }

  /** Asks and returns the answer. */
  public HttpResponse<String> get(String path) throws IOException {
    return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
  }

  /** Asks for a file. */
  public HttpResponse<byte[]> bytes(String path) throws IOException {
    try {
      return client.send(
          HttpRequest.newBuilder(URI.create(address + path)).GET().build(),
          HttpResponse.BodyHandlers.ofByteArray());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  /** Returns the token that changes need. */
  public String token() throws IOException {
    if (token.isNull()) {
      token = json("/api/v1/token");
    }
    return token.get("token").asString();
  }

  /** Asks for JSON. */
  public JsonNode json(String path) throws IOException {
    return JSON.readTree(get(path).body());
  }

  /** Makes a change with the token that changes need. */
  public HttpResponse<String> change(String verb, String path, String body) throws IOException {
    String sent = token();
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .header(token.get("header").asString(), sent)
            .method(verb, HttpRequest.BodyPublishers.ofString(body)));
  }

  /** Sends any request. */
  public HttpResponse<String> send(HttpRequest.Builder request) throws IOException {
    try {
      return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  /** Returns what a person reads of a page: its words without its marks. */
  public static String words(String html) {
    return html.replaceAll("(?s)<(script|style|textarea)\\b.*?</\\1>|<[^>]*>", " ")
        .replace("&#39;", "'")
        .replace("&quot;", "\"")
        .replace("&amp;", "&")
        .replaceAll("\\s+", " ");
  }

  /** Sends a form, as a page does. */
  public HttpResponse<String> post(String path, String form) throws IOException {
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .header("X-XSRF-TOKEN", token())
            .POST(HttpRequest.BodyPublishers.ofString(form)));
  }

  /** Returns the path that an answer leads to. */
  public static String where(HttpResponse<String> answer) {
    return URI.create(answer.headers().firstValue("Location").orElseThrow()).getPath();
  }

  /** Trusts whatever certificate it shows, as somebody does who made it. */
  public Client trusting() throws java.security.GeneralSecurityException {
    javax.net.ssl.SSLContext context = javax.net.ssl.SSLContext.getInstance("TLS");
    context.init(null, new javax.net.ssl.TrustManager[] {new Trusting()}, null);
    client = HttpClient.newBuilder().cookieHandler(new CookieManager()).sslContext(context).build();
    return this;
  }

  /** Trusts one certificate and what it vouches for, as a phone does that was told to. */
  public Client trusting(X509Certificate root)
      throws java.security.GeneralSecurityException, IOException {
    java.security.KeyStore known = java.security.KeyStore.getInstance("PKCS12");
    known.load(null, null);
    known.setCertificateEntry("house", root);
    javax.net.ssl.TrustManagerFactory trust = javax.net.ssl.TrustManagerFactory.getInstance("PKIX");
    trust.init(known);
    javax.net.ssl.SSLContext context = javax.net.ssl.SSLContext.getInstance("TLS");
    context.init(null, trust.getTrustManagers(), null);
    client = HttpClient.newBuilder().cookieHandler(new CookieManager()).sslContext(context).build();
    return this;
  }

  private static final class Trusting extends javax.net.ssl.X509ExtendedTrustManager {
    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type) {}

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type) {}

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type, Socket socket) {}

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type, Socket socket) {}

    @Override
    public void checkClientTrusted(
        X509Certificate[] chain, String type, javax.net.ssl.SSLEngine engine) {}

    @Override
    public void checkServerTrusted(
        X509Certificate[] chain, String type, javax.net.ssl.SSLEngine engine) {}

    @Override
    public X509Certificate[] getAcceptedIssuers() {
      return new X509Certificate[0];
    }
  }

  @Override
  public void close() {
    client.close();
  }
}
