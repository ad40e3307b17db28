package fernwort.app.jobs;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * What other pages of this copy say, to be read where there is none of it: without what can be
 * pressed or followed.
 */
final class OtherPages {

  /** What can be pressed, or is not to be read. */
  private static final String[] PRESSED = {
    "form", "button", "input", "select", "textarea", "nav", "script", ".screen-only", "[hidden]"
  };

  private final HttpServletRequest request;
  private final HttpServletResponse response;

  OtherPages(HttpServletRequest request, HttpServletResponse response) {
    this.request = request;
    this.response = response;
  }

  /** Returns what a page says; empty where it says nothing now. */
  String main(String path) throws ServletException, IOException {
    Document page = Jsoup.parse(answer(path));
    Element main = page.selectFirst("main");
    if (main == null) {
      return "";
    }
    main.select(String.join(",", PRESSED)).remove();
    for (Element link : main.select("a")) {
      Element around = link.parent();
      if (around != null && around.ownText().isBlank() && !around.is("li, td, h1, h2")) {
        link.remove();
      } else {
        link.unwrap();
      }
    }
    main.select("details").attr("open", "");
    main.select("h2").tagName("h3");
    main.select("h1").tagName("h2");
    main.select("*")
        .forEach(e -> {
          e.removeAttr("id");
          e.attributes().asList().stream()
              .map(a -> a.getKey())
              .filter(a -> a.startsWith("hx-") || a.startsWith("data-"))
              .toList()
              .forEach(e::removeAttr);
        });
    return main.html();
  }

  /** Returns a drawing. */
  String drawing(String path) throws ServletException, IOException {
    String svg = answer(path);
    return svg.substring(Math.max(0, svg.indexOf("<svg")));
  }

  private String answer(String path) throws ServletException, IOException {
    Kept kept = new Kept(response);
    RequestDispatcher way = Objects.requireNonNull(request.getRequestDispatcher(path), path);
    way.include(request, kept);
    return kept.text();
  }

  /** An answer that goes nowhere. */
  private static final class Kept extends HttpServletResponseWrapper {

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final PrintWriter writer = new PrintWriter(bytes, false, StandardCharsets.UTF_8);

    Kept(HttpServletResponse response) {
      super(response);
    }

    @Override
    public PrintWriter getWriter() {
      return writer;
    }

    @Override
    public ServletOutputStream getOutputStream() {
      return new ServletOutputStream() {
        @Override
        public void write(int b) {
          bytes.write(b);
        }

        @Override
        public boolean isReady() {
          return true;
        }

        @Override
        public void setWriteListener(WriteListener listener) {
          throw new UnsupportedOperationException();
        }
      };
    }

    private String text() {
      writer.flush();
      return bytes.toString(StandardCharsets.UTF_8);
    }
  }
}
