package fernwort.app.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Calls of programs with times, numbers and words at random: done or refused in JSON. */
@Tag("sweep")
class ApiFuzzTest {

  private static final long SEED = Long.getLong("sweep.seed", 20_261_125);
  private static final long SECONDS = Long.getLong("sweep.seconds", 3);

  private static final List<String> PARTS =
      List.of("bypass", "pump", "sink", "main", "low", "gray", "inlet", "nothing", "%20", "a'b");
  private static final List<String> NUMBERS =
      List.of("0", "-1", "62", "33.333333333333336", "1e400", "-0.0", "1e-320", "\"62\"", "null");
  private static final List<String> WORDS =
      List.of("percent", "litres", "stick", "steps", "open", "shut", "on", "", "\\u0000", "🚐");
  private static final List<String> TIMES =
      List.of(
          "1970-01-01T00:00:00Z",
          "1969-12-31T23:59:59.999Z",
          "-9999-01-01T00:00:00Z",
          "+999999999-12-31T23:59:59Z",
          "2026-02-30T00:00:00Z",
          "2026-11-25",
          "now",
          "0",
          "-1e99",
          "2026-06-01T12:00:00.123456789Z",
          "2026-06-01T12:00:00+18:00",
          "9999-12-31T23:59:59Z");

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private final Random random = new Random(SEED);

  private String any(List<String> of) {
    return of.get(random.nextInt(of.size()));
  }

  private HttpResponse<String> call(Client copy, String of) throws IOException {
    String rig = "/api/v1/rigs/" + of + "/";
    return switch (random.nextInt(6)) {
      case 0 ->
          copy.change(
              "PUT", rig + "handles/" + any(PARTS), "{\"position\":\"" + any(WORDS) + "\"}");
      case 1, 2 ->
          copy.change(
              "PUT",
              rig + "tanks/" + any(PARTS) + "/reading",
              "{\"amount\":%s,\"unit\":\"%s\",\"at\":\"%s\"}"
                  .formatted(any(NUMBERS), any(WORDS), any(TIMES)));
      case 3 ->
          copy.change(
              "PUT",
              rig + "habits",
              "{\"people\":%s,\"pets\":%s,\"season\":\"%s\",\"habits\":[{\"id\":\"x\",\"label\":\"%s\",\"per\":\"PERSON\",\"times\":%s,\"litres\":%s,\"grayShare\":%s,\"heat\":1,\"source\":\"\"}]}"
                  .formatted(
                      any(NUMBERS),
                      any(NUMBERS),
                      any(List.of("MILD", "HOT", "DAMP")),
                      any(WORDS),
                      any(NUMBERS),
                      any(NUMBERS),
                      any(NUMBERS)));
      case 4 -> copy.change("POST", rig + any(List.of("undo", "redo")), "");
      default ->
          copy.get(
              rig
                  + "handles/"
                  + any(PARTS)
                  + "/preview?position="
                  + any(List.of("open", "shut", "on", "", "%00")));
    };
  }

  @Test
  void everyCallIsDoneOrRefusedInJsonAndEveryPageIsShownAfterwards() throws IOException {
    List<String> wrong = new ArrayList<>();
    int calls = 0;
    Client copy = COPY.client();
    String rig = COPY.rig("marginalia");
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
    while (System.nanoTime() < end) {
      HttpResponse<String> answer = call(copy, rig);
      calls++;
      String said = answer.body();
      if (answer.statusCode() >= 500
          || said.contains("java.")
          || said.contains("Exception")
          || said.contains("cannot be worked with")) {
        wrong.add(answer.request().method() + " " + answer.uri() + " says " + said);
      }
    }
    wrong.addAll(Pages.over(copy).look(rig));
    wrong.stream().distinct().forEach(w -> System.out.println("FUZZ " + w));
    assertThat(calls).isGreaterThan(10);
    assertThat(wrong).as("of %d calls, seed %d", calls, SEED).isEmpty();
  }
}
