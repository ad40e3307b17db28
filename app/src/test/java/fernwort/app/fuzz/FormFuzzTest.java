package fernwort.app.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Every form of every page filled in at random: kept or refused in words, and then shown. */
@Tag("sweep")
class FormFuzzTest {

  private static final long SEED = Long.getLong("sweep.seed", 20_261_125);
  private static final long SECONDS = Long.getLong("sweep.seconds", 4);

  /** How many forms are sent at least, on however slow a machine. */
  private static final int LEAST = 11;

  private static final List<String> PAGES =
      List.of(
          "board",
          "rig",
          "rig?part=main",
          "rig?part=pump",
          "rig?part=bypass",
          "rig?line=p5",
          "sizing",
          "sizing/space",
          "sizing/weight",
          "sizing/pump",
          "sizing/supply",
          "workbench",
          "build/drill",
          "build/hang",
          "build/buy",
          "build/commission",
          "build/ends/pump/out",
          "workbench/slope",
          "cards",
          "automations",
          "tanks/main/reading");

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final Pattern FORM =
      Pattern.compile("(?s)<form[^>]*action=\"([^\"]+)\"[^>]*>(.*?)</form>");
  private static final Pattern FIELD =
      Pattern.compile("<(?:input|select|textarea)[^>]*name=\"([^\"]+)\"[^>]*");
  private static final Pattern VALUE = Pattern.compile("value=\"([^\"]*)\"");

  /** Fields for what people call things. */
  private static final Pattern NAMES = Pattern.compile("name|.*label");

  private static final String[] WORDS = {
    "",
    " ",
    "0",
    "-1",
    "7.5",
    "33.333333333333336",
    "1e9",
    "NaN",
    "Infinity",
    "1/0",
    "1/2 in",
    "99999999",
    "0,001",
    "20 gal",
    "12 furlongs",
    "x".repeat(500),
    "<script>",
    "\u0000",
    "ÄÖ水",
    "2026-11-25",
    "9999-99-99T99:99",
    "-9999-01-01T00:00",
    "; ; ;",
    "300 s; climb 8 %",
    "true",
    "%"
  };

  @Test
  void everyFormIsKeptOrRefusedInWordsAndEveryPageIsShownAfterwards() throws IOException {
    Random random = new Random(SEED);
    List<String> wrong = new ArrayList<>();
    int sent = 0;
    Client copy = COPY.client();
    String rig = COPY.rig("marginalia");
    Pages pages = Pages.over(copy);
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
    while (System.nanoTime() < end || sent < LEAST) {
      String page = "/rigs/" + rig + "/" + PAGES.get(random.nextInt(PAGES.size()));
      Matcher form = FORM.matcher(copy.get(page).body());
      List<String> actions = new ArrayList<>();
      List<Map<String, String>> fields = new ArrayList<>();
      while (form.find()) {
        if (!form.group(1).matches("/(theme|units|name|restore|logout).*|.*archive.*")) {
          actions.add(form.group(1));
          fields.add(fields(form.group(2)));
        }
      }
      if (actions.isEmpty()) {
        continue;
      }
      int chosen = random.nextInt(actions.size());
      Map<String, String> filled = fields.get(chosen);
      filled.replaceAll((name, value) ->
          name.startsWith("_csrf") || random.nextInt(3) > 0 ? value : word(random, name));
      HttpResponse<String> answer = post(copy, actions.get(chosen), filled);
      sent++;
      if (answer.statusCode() >= 500 || answer.body().contains("java.lang")) {
        wrong.add(actions.get(chosen) + " " + filled + " answers " + answer.statusCode());
      }
      String said = answer.headers().firstValue("X-Problem").orElse("");
      if (said.contains("cannot+be+worked+with") || said.contains("Exception")) {
        wrong.add(actions.get(chosen) + " " + filled + " is answered with " + said);
      }
    }
    wrong.addAll(pages.look(rig));
    wrong.forEach(w -> System.out.println("FUZZ " + w));
    assertThat(sent).isGreaterThanOrEqualTo(LEAST);
    assertThat(wrong).as("of %d forms, seed %d", sent, SEED).isEmpty();
  }

  private static String word(Random random, String field) {
    if (random.nextInt(4) == 0) {
      return Double.toString(Math.exp(random.nextDouble() * 30 - 12));
    }
    String word = WORDS[random.nextInt(WORDS.length)];
    // A thing may be called so. In quotes, its name on a page is not taken for a failed sum.
    return NAMES.matcher(field).matches() ? word.replaceAll("NaN|Infinity", "“$0”") : word;
  }

  private static Map<String, String> fields(String form) {
    Map<String, String> fields = new LinkedHashMap<>();
    Matcher field = FIELD.matcher(form);
    while (field.find()) {
      Matcher value = VALUE.matcher(field.group());
      fields.put(field.group(1), value.find() ? value.group(1) : "");
    }
    return fields;
  }

  private static HttpResponse<String> post(Client copy, String action, Map<String, String> fields)
      throws IOException {
    String body =
        fields.entrySet().stream()
            .map(e ->
                URLEncoder.encode(e.getKey(), StandardCharsets.UTF_8)
                    + "="
                    + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
            .collect(Collectors.joining("&"));
    return copy.send(
        HttpRequest.newBuilder(URI.create(copy.address() + action.replace(" ", "%20")))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .header("X-XSRF-TOKEN", copy.token())
            .header("X-Screen", "wide")
            .POST(HttpRequest.BodyPublishers.ofString(body)));
  }
}
