package fernwort.core;

import static fernwort.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.flow.FlowReferenceTest;
import fernwort.core.flow.Friction;
import fernwort.core.run.SimulationTest;
import fernwort.core.tank.TankReferenceTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * The table of all cases in docs/hydraulics.md. Run with {@code -Dfernwort.table=write} to write it
 * anew.
 */
class ReferenceTableTest {

  private static final Path PAGE = Path.of("..", "docs", "hydraulics.md");
  private static final String BEGIN = "<!-- table: written by ReferenceTableTest -->\n";
  private static final String END = "<!-- end of table -->";

  private record Answer(String id, String what, double expected, double ours, double tolerance) {
    double difference() {
      return expected == 0 ? Math.abs(ours) : Math.abs(ours / expected - 1);
    }

    String row() {
      return "| %s | %s | %.5g | %.5g | %.3f %% | %.1f %% |"
          .formatted(id, what, expected, ours, 100 * difference(), 100 * tolerance);
    }
  }

  private static List<Answer> answers() {
    List<Answer> all = new ArrayList<>();
    Reference.cases("open-").forEach(c -> add(all, c));
    return all;
  }

  private static void add(List<Answer> all, JsonNode c) {
    String id = c.get("id").asString();
    double tolerance = number(c, "relative_tolerance");
    if (id.equals("open-friction")) {
      for (JsonNode p : c.get("points")) {
        double ours = new Friction(number(p, "relative_roughness")).factor(number(p, "reynolds"));
        String what = "factor at Re %.0f".formatted(number(p, "reynolds"));
        all.add(new Answer(id, what, number(p, "friction_factor"), ours, tolerance));
      }
    } else if (id.startsWith("open-gravity")) {
      all.add(one(c, "L/min", "flow_l_per_min", FlowReferenceTest.gravity(c)));
    } else if (id.equals("open-drain-time")) {
      all.add(one(c, "min", "minutes", SimulationTest.drainMinutes(c)));
    } else if (id.equals("open-equalise")) {
      all.add(one(c, "min", "minutes", SimulationTest.equaliseMinutes(c)));
    } else if (id.startsWith("open-pump")) {
      double[] flows = FlowReferenceTest.pump(c);
      all.add(one(c, "L/min in all", "total_l_per_min", flows[0]));
      all.add(one(c, "L/min at fixture 1", "fixture_1_l_per_min", flows[1]));
      all.add(one(c, "L/min at fixture 2", "fixture_2_l_per_min", flows[2]));
    } else if (id.equals("open-hose-fill")) {
      all.add(one(c, "L/min", "flow_l_per_min", FlowReferenceTest.hose(c)));
    } else if (id.equals("open-sealed")) {
      double[] gauge = SimulationTest.sealedPressures(c);
      all.add(one(c, "Pa after taking", "gauge_after_taking_pa", gauge[0]));
      all.add(one(c, "Pa after adding", "gauge_after_adding_pa", gauge[1]));
    } else {
      all.add(one(c, "L", "litres", TankReferenceTest.litres(c)));
    }
  }

  private static Answer one(JsonNode c, String what, String field, double ours) {
    String id = c.get("id").asString();
    return new Answer(id, what, number(c, field), ours, number(c, "relative_tolerance"));
  }

  @Test
  void everyCaseIsMetAndStandsInTheTable() throws IOException {
    List<Answer> answers = answers();
    assertThat(answers).hasSizeGreaterThan(30).allMatch(a -> a.difference() <= a.tolerance());
    StringBuilder table = new StringBuilder(BEGIN);
    table.append("| case | quantity | worked out | ours | difference | allowed |\n");
    table.append("|---|---|---|---|---|---|\n");
    answers.forEach(a -> table.append(a.row()).append('\n'));
    String page = Files.readString(PAGE);
    int from = page.indexOf(BEGIN);
    int to = page.indexOf(END);
    if ("write".equals(System.getProperty("fernwort.table"))) {
      Files.writeString(PAGE, page.substring(0, from) + table + page.substring(to));
    } else {
      assertThat(page.substring(from, to))
          .as("docs/hydraulics.md; run this test with -Dfernwort.table=write")
          .isEqualTo(table.toString());
    }
  }
}
