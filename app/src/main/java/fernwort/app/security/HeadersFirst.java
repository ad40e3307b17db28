package fernwort.app.security;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.apache.catalina.valves.ValveBase;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Puts the headers on every answer before anything else sees the request, so that one which is
 * refused before it reaches a page, as a malformed one is, carries them too.
 */
@Component
class HeadersFirst implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    factory.addEngineValves(new OnEveryAnswer());
    factory.addContextCustomizers(context -> {
      if (context.getParent() instanceof StandardHost host) {
        host.setErrorReportValveClass(InWords.class.getName());
      }
    });
  }

  /** The headers of all answers that get into the pipeline. */
  private static final class OnEveryAnswer extends ValveBase {

    OnEveryAnswer() {
      super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
      SafeHeaders.put(response::setHeader);
      getNext().invoke(request, response);
    }
  }

  /** The answer where no page could be made: a sentence, and nothing about the server. */
  public static final class InWords extends ErrorReportValve {

    @Override
    protected void report(Request request, Response response, Throwable fault) {
      if (response.getStatus() < 400 || response.getContentWritten() > 0) {
        return;
      }
      try {
        SafeHeaders.put(response::setHeader);
        response.setContentType("text/plain;charset=UTF-8");
        if (response.getReporter() != null) {
          response
              .getReporter()
              .write(
                  response.getStatus() < 500
                      ? "The request is not readable.\n"
                      : "Fernwort could not answer this. Ask again in a moment.\n");
          response.finishResponse();
        }
      } catch (IOException | IllegalStateException gone) {
        // Nobody is there to read it.
      }
    }
  }
}
