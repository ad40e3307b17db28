package fernwort.app.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Rig files at random: refused in words, or taken in and then shown by every page and call. */
@Tag("sweep")
class RigFileFuzzTest {

  private static final long SEED = Long.getLong("sweep.seed", 20_261_125);
  private static final long SECONDS = Long.getLong("sweep.seconds", 3);

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  @Test
  void everyFileIsRefusedInWordsOrShownByEveryPage() throws IOException {
    Mutant mutants = new Mutant(SEED);
    List<String> wrong = new ArrayList<>();
    int files = 0;
    int taken = 0;
    Client copy = COPY.client();
    Pages pages = Pages.within(COPY.mvc());
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
    while (System.nanoTime() < end) {
      files++;
      String file = mutants.next();
      HttpResponse<String> answer = copy.change("POST", "/api/v1/rigs", file);
      if (answer.statusCode() == 201) {
        taken++;
        String where = answer.headers().firstValue("Location").orElseThrow();
        pages
            .look(where.substring(where.lastIndexOf('/') + 1))
            .forEach(w -> wrong.add(w + " (file " + file.substring(0, 30) + ")"));
      } else {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(answer.body()).contains("\"fix\"").doesNotContain("Exception");
      }
    }
    wrong.forEach(w -> System.out.println("FUZZ " + w));
    assertThat(taken).as("taken in of %d", files).isPositive();
    assertThat(wrong).as("of %d files, %d taken in, seed %d", files, taken, SEED).isEmpty();
  }
}
