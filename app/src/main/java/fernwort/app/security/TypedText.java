package fernwort.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Text as a person typed it: a line break is one character, as a browser counts it, though it sends
 * two; and what no keyboard types is left out.
 */
@Component
class TypedText extends OncePerRequestFilter {

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(new Typed(request), response);
  }

  static String plain(String sent) {
    return sent.replace("\r\n", "\n").replace("\0", "");
  }

  private static final class Typed extends HttpServletRequestWrapper {

    Typed(HttpServletRequest request) {
      super(request);
    }

    @Override
    public @Nullable String getParameter(String name) {
      String sent = super.getParameter(name);
      return sent == null ? null : plain(sent);
    }

    @Override
    public String @Nullable [] getParameterValues(String name) {
      String[] sent = super.getParameterValues(name);
      return sent == null ? null : typed(sent);
    }

    @Override
    public Map<String, String[]> getParameterMap() {
      Map<String, String[]> all = new LinkedHashMap<>();
      super.getParameterMap().forEach((name, sent) -> all.put(name, typed(sent)));
      return all;
    }

    private static String[] typed(String[] sent) {
      return Arrays.stream(sent).map(TypedText::plain).toArray(String[]::new);
    }
  }
}
