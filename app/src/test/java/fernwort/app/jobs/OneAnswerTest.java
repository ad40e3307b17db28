package fernwort.app.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import fernwort.core.format.RigFormat;
import fernwort.core.kind.Position;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The list of jobs, the page of each and the interface for programs give one answer: on rigs that
 * nobody drew, with their handles anyhow and their tanks anywhere. The list does not run a job:
 * what only its run shows is told by its plan.
 */
class OneAnswerTest {

  private static final int RIGS = Integer.getInteger("sweep.answers", 2);

  /** How a plan begins to say what only its run shows. */
  private static final String RUN = "It does not work as things are now";

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private final Client copy = COPY.client();

  @Test
  void pagesAndProgramsSayTheSameOfEveryJob() throws IOException {
    long seed = Long.getLong("sweep.seed", 23);
    List<String> apart = new ArrayList<>();
    int asked = 0;
    for (int i = 0; i < RIGS; i++) {
      Random random = new Random(seed + i);
      String at = found(DrawnRigs.draw(random), random);
      String list = shown(at + "/jobs");
      JsonNode jobs = copy.json("/api/v1" + at + "/jobs");
      if (!jobs.isArray()) {
        // On a machine that does much else a large rig's list may take longer than is waited.
        System.out.printf("ANSWERS seed %d: no list but %s%n", seed + i, jobs);
        continue;
      }
      for (JsonNode job : jobs) {
        asked++;
        String rig = "seed " + (seed + i) + ", ";
        for (String one : apart(at, list, job)) {
          System.out.println("ANSWERS " + rig + one);
          apart.add(rig + one);
        }
      }
      copy.change("DELETE", "/api/v1" + at, "");
    }
    System.out.printf("ANSWERS seed %d: %d jobs of %d rigs%n", seed, asked, RIGS);
    assertThat(apart).isEmpty();
    assertThat(asked).isGreaterThan(RIGS);
  }

  /** A rig as somebody may find it; returns its address. */
  private String found(Rig rig, Random random) throws IOException {
    String made = copy.change("POST", "/api/v1/rigs", new RigFormat().write(rig)).body();
    String at = "/rigs/" + new JsonMapper().readTree(made).get("id").asString();
    Network network = Network.of(rig);
    for (Part tank : network.tanks()) {
      double litres = 1000 * random.nextDouble() * network.room(tank.id()).capacity();
      copy.change(
          "PUT",
          "/api/v1" + at + "/tanks/" + tank.id() + "/reading",
          "{\"amount\":%s,\"unit\":\"litres\"}".formatted(litres));
    }
    for (Part handle : rig.handles().toList()) {
      List<Position> all = handle.kind().positions();
      if (random.nextInt(4) == 0) {
        copy.change(
            "PUT",
            "/api/v1" + at + "/handles/" + handle.id(),
            "{\"position\":\"%s\"}".formatted(all.get(random.nextInt(all.size())).id()));
      }
    }
    return at;
  }

  /** What of a job is said in one place and not in another. */
  private List<String> apart(String at, String list, JsonNode job) throws IOException {
    List<String> apart = new ArrayList<>();
    String id = job.get("id").asString();
    String listed = job.get("trouble").asString();
    JsonNode plan = copy.json("/api/v1" + at + "/jobs/" + id + "/plan");
    if (!plan.has("trouble")) {
      return plan.toString().contains("longer than anybody should wait")
          ? List.of()
          : List.of(id + " has no plan but " + plan);
    }
    String planned = plan.get("trouble").asString();
    if (copy.get(at + "/jobs/" + id).statusCode() == 503) {
      // So is its page.
      return List.of();
    }
    String page = shown(at + "/jobs/" + id);
    if (listed.isEmpty() != planned.isEmpty() && !planned.startsWith(RUN)) {
      apart.add("%s: listed “%s”, planned “%s”".formatted(id, listed, planned));
    }
    if (!list.contains(job.get("title").asString())) {
      apart.add(id + " is not on the list's page");
    }
    if (!planned.isEmpty() && !page.contains(planned)) {
      apart.add(id + ": its page says nothing of “" + planned + "”");
    }
    int from = 0;
    for (JsonNode step : plan.get("steps")) {
      String words = step.get("words").asString();
      from = page.indexOf(words, from);
      if (from < 0) {
        apart.add("%s: its page has no “%s” there".formatted(id, words));
        break;
      }
    }
    return apart;
  }

  private String shown(String path) throws IOException {
    return Client.words(copy.get(path).body());
  }
}
