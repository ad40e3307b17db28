package fernwort.app.fuzz;

import fernwort.app.Client;
import fernwort.core.id.ElementId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every page and call of a rig that only looks: over HTTP, or within the process by MockMvc. */
final class Pages {

  private static final List<String> OF_A_RIG =
      List.of(
          "/rigs/%s/board",
          "/rigs/%s/jobs",
          "/rigs/%s/jobs/bumps",
          "/rigs/%s/slips",
          "/rigs/%s/log",
          "/rigs/%s/log/budget",
          "/rigs/%s/log/hauls",
          "/rigs/%s/log/upkeep",
          "/rigs/%s/log/gauges",
          "/rigs/%s/sizing",
          "/rigs/%s/sizing/space",
          "/rigs/%s/sizing/weight",
          "/rigs/%s/sizing/pump",
          "/rigs/%s/sizing/supply",
          "/rigs/%s/workbench",
          "/rigs/%s/build",
          "/rigs/%s/build/drill",
          "/rigs/%s/build/hang",
          "/rigs/%s/build/buy",
          "/rigs/%s/build/buy/cut.csv",
          "/rigs/%s/build/apart",
          "/rigs/%s/build/commission",
          "/api/v1/rigs/%s/build/ends",
          "/rigs/%s/workbench/slope",
          "/rigs/%s/rig",
          "/rigs/%s/compare",
          "/rigs/%s/labels",
          "/rigs/%s/labels.svg",
          "/rigs/%s/cards",
          "/rigs/%s/automations",
          "/rigs/%s/devices",
          "/rigs/%s/devices/simulated",
          "/rigs/%s/fault",
          "/rigs/%s/practise",
          "/rigs/%s/practise/hand-over",
          "/rigs/%s/rules",
          "/rigs/%s/export",
          "/rigs/%s/empty?go=true&lines=true",
          "/rigs/%s/cold",
          "/rigs/%s/cold/schools",
          "/rigs/%s/cold/left",
          "/rigs/%s/cold/tonight",
          "/rigs/%s/cold/spring",
          "/rigs/%s/rehearse/answers",
          "/api/v1/rigs/%s/state",
          "/api/v1/rigs/%s/ways",
          "/api/v1/rigs/%s/warnings",
          "/api/v1/rigs/%s/flows",
          "/api/v1/rigs/%s/lasts",
          "/api/v1/rigs/%s/empty?lines=true",
          "/api/v1/rigs/%s/jobs",
          "/api/v1/rigs/%s/journal",
          "/api/v1/rigs/%s/habits",
          "/api/v1/rigs/%s");

  /** The bound on a request, and something for writing its answer (s). */
  private static final double LONGEST = 15;

  private static final int JOBS = 3;
  private static final int HANDLES = 3;

  private static final JsonMapper JSON = new JsonMapper();

  private final Visitor visitor;

  private Pages(Visitor visitor) {
    this.visitor = visitor;
  }

  /**
   * What is answered.
   *
   * @param ids what the page was filled with that is an id: a template finds it different from a
   *     text that reads the same
   */
  private record Answer(int status, String body, List<String> ids) {}

  /** Somebody who looks. */
  private interface Visitor {
    Answer get(String path) throws IOException;
  }

  /** Looks as a browser does. */
  static Pages over(Client copy) {
    return new Pages(path -> {
      HttpResponse<String> answer = copy.get(path);
      return new Answer(answer.statusCode(), answer.body(), List.of());
    });
  }

  /** Looks without a socket. */
  static Pages within(MockMvc copy) {
    return new Pages(path -> {
      try {
        MvcResult result = copy.perform(MockMvcRequestBuilders.get(URI.create(path))).andReturn();
        MockHttpServletResponse answer = result.getResponse();
        return new Answer(
            answer.getStatus(),
            answer.getContentAsString(StandardCharsets.UTF_8),
            ids(result.getModelAndView()));
      } catch (IOException e) {
        throw e;
      } catch (Exception e) {
        throw new IOException(path, e);
      }
    });
  }

  private static List<String> ids(@Nullable ModelAndView page) {
    return page == null
        ? List.of()
        : page.getModel().entrySet().stream()
            .filter(a -> holdsId(a.getValue()))
            .map(Map.Entry::getKey)
            .toList();
  }

  private static boolean holdsId(@Nullable Object value) {
    return switch (value) {
      case ElementId id -> true;
      case PortId port -> true;
      case PositionId position -> true;
      case Optional<?> one -> one.filter(Pages::holdsId).isPresent();
      case Collection<?> all -> all.stream().anyMatch(Pages::holdsId);
      case Map<?, ?> map -> holdsId(map.keySet()) || holdsId(map.values());
      case null, default -> false;
    };
  }

  private JsonNode json(String path) throws IOException {
    return JSON.readTree(visitor.get(path).body());
  }

  /** Visits all of them and returns what is wrong, in words. */
  List<String> look(String rig) throws IOException {
    List<String> paths = new ArrayList<>(OF_A_RIG.stream().map(p -> p.formatted(rig)).toList());
    JsonNode jobs = json("/api/v1/rigs/" + rig + "/jobs");
    for (int i = 0; i < Math.min(JOBS, jobs.size()) && jobs.isArray(); i++) {
      String job = jobs.get(i).get("id").asString();
      paths.add("/rigs/" + rig + "/jobs/" + job);
      paths.add("/rigs/" + rig + "/jobs/" + job + "/sheet");
      paths.add("/api/v1/rigs/" + rig + "/jobs/" + job + "/plan");
      paths.add("/api/v1/rigs/" + rig + "/jobs/" + job + "/slips");
    }
    int handles = 0;
    for (String part : json("/api/v1/rigs/" + rig + "/state").at("/positions").propertyNames()) {
      if (handles++ < HANDLES) {
        paths.add("/rigs/" + rig + "/handles/" + part + "/preview");
      }
    }
    List<String> wrong = new ArrayList<>();
    for (String path : paths) {
      look(path, wrong);
    }
    return wrong;
  }

  private void look(String path, List<String> wrong) throws IOException {
    long start = System.nanoTime();
    Answer answer = visitor.get(path);
    double seconds = (System.nanoTime() - start) / 1e9;
    // What somebody typed stands in its field as it was typed.
    String body = answer.body().replaceAll("value=\"[^\"]*\"|(?s)<textarea.*?</textarea>", "");
    if (answer.status() >= 500 || answer.status() == 404) {
      wrong.add(path + " answers " + answer.status() + ": " + brief(body));
    }
    answer.ids().forEach(id -> wrong.add(path + " is filled with an id: " + id));
    if (seconds > LONGEST) {
      wrong.add("%s takes %.1f s".formatted(path, seconds));
    }
    // What was typed is shown again: in its field, and in quotes in the sentence that refuses it.
    String ours = body.replaceAll("“[^”]*”|value=\"[^\"]*\"", "");
    if (ours.matches("(?s).*(\\bNaN\\b|Infinity|∞|fernwort\\.core\\.|java\\.lang\\.).*")) {
      wrong.add(path + " shows " + around(ours));
    }
    if (answer.status() == 422 && !path.contains("/jobs/")) {
      wrong.add(path + " is refused: " + brief(body));
    }
  }

  private static String around(String body) {
    java.util.regex.Matcher m =
        java.util.regex.Pattern.compile("NaN|Infinity|∞|fernwort\\.core\\.|java\\.lang\\.")
            .matcher(body);
    return m.find()
        ? body.substring(Math.max(0, m.start() - 80), Math.min(body.length(), m.end() + 40))
        : "";
  }

  private static String brief(String body) {
    String text =
        body.replaceAll("(?s)<head.*?</head>|<nav.*?</nav>|<[^>]*>", " ").replaceAll("\\s+", " ");
    return text.length() > 300 ? text.substring(0, 300) : text;
  }
}
