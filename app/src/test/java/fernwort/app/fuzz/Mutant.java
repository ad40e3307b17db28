package fernwort.app.fuzz;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.format.RigFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Rig files that nobody meant: sound ones with something in them changed at random. */
final class Mutant {

  private static final JsonMapper JSON = new JsonMapper();
  private static final double[] NUMBERS = {
    0, -1, 1e-9, 1e-6, 0.001, 0.0333333333333, 0.5, 1, 2, 9.99, 10, 20, 99.9, 100, 1e5, 2e6, 1e308
  };
  private static final String[] WORDS = {
    "",
    " ",
    "a\u0000b",
    "\u0007",
    "<b>&amp;\"'",
    "ÄÖ 水 🚐",
    "x".repeat(60),
    "x".repeat(70),
    "../..",
    "${7*7}",
    "none",
    "open"
  };

  private final Random random;
  private final List<String> sound;

  Mutant(long seed) {
    random = new Random(seed);
    RigFormat format = new RigFormat();
    sound =
        Stream.concat(
                DemoRig.all().stream().map(DemoRig::rig),
                ReadyRig.all().stream().map(ReadyRig::rig))
            .map(format::write)
            .toList();
  }

  /** Returns a file. */
  String next() {
    ObjectNode rig = (ObjectNode) JSON.readTree(sound.get(random.nextInt(sound.size())));
    rig.put("name", "Mutant " + random.nextInt(1_000_000));
    int changes = 1 + random.nextInt(4);
    for (int i = 0; i < changes; i++) {
      change(rig);
    }
    return rig.toString();
  }

  private void change(ObjectNode rig) {
    List<JsonNode> homes = new ArrayList<>();
    collect(rig, homes);
    JsonNode home = homes.get(random.nextInt(homes.size()));
    if (home instanceof ArrayNode list && !list.isEmpty()) {
      int at = random.nextInt(list.size());
      switch (random.nextInt(4)) {
        case 0 -> list.remove(at);
        case 1 -> list.insert(at, list.get(random.nextInt(list.size())).deepCopy());
        case 2 -> list.set(at, list.get(random.nextInt(list.size())).deepCopy());
        default -> list.set(at, value(list.get(at)));
      }
    } else if (home instanceof ObjectNode object && !object.isEmpty()) {
      List<String> names = new ArrayList<>(object.propertyNames());
      String name = names.get(random.nextInt(names.size()));
      if (random.nextInt(12) == 0) {
        object.remove(name);
      } else {
        object.set(name, value(object.get(name)));
      }
    }
  }

  private JsonNode value(JsonNode before) {
    if (before.isNumber()) {
      double number =
          switch (random.nextInt(3)) {
            case 0 -> NUMBERS[random.nextInt(NUMBERS.length)];
            case 1 -> before.asDouble() * Math.pow(10, random.nextInt(5) - 2);
            default -> before.asDouble() * random.nextDouble() * 2;
          };
      return JSON.getNodeFactory().numberNode(number);
    }
    if (before.isString()) {
      return JSON.getNodeFactory().stringNode(WORDS[random.nextInt(WORDS.length)]);
    }
    if (before.isBoolean()) {
      return JSON.getNodeFactory().booleanNode(!before.asBoolean());
    }
    return before;
  }

  private static void collect(JsonNode node, List<JsonNode> into) {
    if (node.isContainer()) {
      into.add(node);
      node.forEach(child -> collect(child, into));
    }
  }
}
