package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Prose stands in the words of its package, and each sentence is given what it has places for. */
class ProseTest {

  private static final List<Path> SOURCES =
      List.of(Path.of("../core/src/main/java"), Path.of("src/main/java"));

  private static final String WORDS = "Says.java";

  private static final JavaCompiler COMPILER = ToolProvider.getSystemJavaCompiler();

  /** What is data or a language of its own, by file. */
  private static final Set<String> NO_PROSE =
      Set.of(
          // Names and notes of the demo rigs, and how their lines run.
          "DemoLog.java",
          "LongCoach.java",
          // Letters to be measured, and a header of HTTP.
          "Lettering.java",
          "SecurityConfig.java",
          // Words of units, of what is typed, and of two dialects: tables themselves.
          "Measure.java",
          "TypedAmount.java",
          "RegionWords.java",
          // Keys of figures as a rig file names them, and patterns of times.
          "RigFaults.java",
          "Times.java",
          // What says the line that is never shown.
          "EffortExceededException.java");

  /** What asks a text, or asks the database or the machine in one. */
  private static final Set<String> ASKS =
      Set.of(
          "compile",
          "contains",
          "endsWith",
          "equals",
          "execute",
          "executeQuery",
          "executeUpdate",
          "getConnection",
          "ofPattern",
          "prepareStatement",
          "println",
          "replace",
          "replaceAll",
          "split",
          "startsWith");

  /** What only programmers read: faults, names of threads, and the log of the program. */
  private static final Pattern PROGRAMMERS =
      Pattern.compile("(Illegal\\w+|\\w*IO|SQL)Exception|\\w*Error|Thread|SimpleModule");

  private static final Pattern LOG = Pattern.compile("(?i)log(ger)?");

  private static final Pattern SQL =
      Pattern.compile("(?i)\\s*(select|insert|update|delete|alter|drop|merge|create) .*");

  private static final Set<String> VALUES =
      // An outcome as the database keeps it, threads and causes.
      Set.of("taken back", "trying slips broke off", "who waits for slips", " caused by ");

  private static boolean isProse(String text) {
    String words = text.replace("{}", "").replaceAll("%[-+.0-9,]*[sdf]", "");
    return words.strip().contains(" ")
        && words.matches(".*[a-z]{3}.*")
        && !words.matches(".*([<{]|://|style=|charset=|; filename).*")
        && !words.startsWith("CN=")
        && !SQL.matcher(words).matches()
        && !VALUES.contains(text);
  }

  /** A source text with the prose found in it, and the arguments its sentences are given. */
  private static final class Reading extends TreeScanner<Void, Void> {

    private final List<String> prose = new ArrayList<>();
    private final Map<String, Set<Integer>> given = new HashMap<>();

    @Override
    public Void visitAnnotation(AnnotationTree annotation, Void none) {
      return null;
    }

    @Override
    public Void visitNewClass(NewClassTree made, Void none) {
      return PROGRAMMERS.matcher(made.getIdentifier().toString()).matches()
          ? null
          : super.visitNewClass(made, none);
    }

    @Override
    public Void visitMethodInvocation(MethodInvocationTree call, Void none) {
      if (!(call.getMethodSelect() instanceof MemberSelectTree method)) {
        return super.visitMethodInvocation(call, none);
      }
      String name = method.getIdentifier().toString();
      String on = method.getExpression().toString();
      if (on.startsWith("Says.") && Set.of("with", "filled").contains(name)) {
        given
            .computeIfAbsent(on.substring("Says.".length()), s -> new HashSet<>())
            .add(call.getArguments().size());
      }
      if (ASKS.contains(name) || LOG.matcher(on).matches()) {
        scan(method.getExpression(), none);
        call.getArguments().stream()
            .filter(
                argument -> !(argument instanceof LiteralTree || argument instanceof BinaryTree))
            .forEach(argument -> scan(argument, none));
        return null;
      }
      return super.visitMethodInvocation(call, none);
    }

    @Override
    public Void visitBinary(BinaryTree sum, Void none) {
      if (sum.getKind() != Tree.Kind.PLUS) {
        return super.visitBinary(sum, none);
      }
      StringBuilder joined = new StringBuilder();
      for (ExpressionTree operand : operands(sum)) {
        if (operand instanceof LiteralTree literal) {
          joined.append(literal.getValue());
        } else {
          joined.append("{}");
          scan(operand, none);
        }
      }
      note(joined.toString());
      return null;
    }

    private static List<ExpressionTree> operands(ExpressionTree sum) {
      if (sum instanceof BinaryTree both && both.getKind() == Tree.Kind.PLUS) {
        List<ExpressionTree> all = new ArrayList<>(operands(both.getLeftOperand()));
        all.addAll(operands(both.getRightOperand()));
        return all;
      }
      return List.of(sum);
    }

    @Override
    public Void visitLiteral(LiteralTree literal, Void none) {
      if (literal.getValue() instanceof String text) {
        note(text);
      }
      return null;
    }

    private void note(String text) {
      if (isProse(text)) {
        prose.add(text);
      }
    }
  }

  private static Map<URI, Reading> readings(Iterable<? extends JavaFileObject> files) {
    JavacTask task =
        (JavacTask) COMPILER.getTask(null, null, null, List.of("-proc:none"), null, files);
    Map<URI, Reading> all = new HashMap<>();
    try {
      for (CompilationUnitTree unit : task.parse()) {
        Reading reading = new Reading();
        reading.scan(unit, null);
        all.put(unit.getSourceFile().toUri(), reading);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return all;
  }

  /** What stands in each of our sources. */
  private static Map<Path, Reading> ours;

  @BeforeAll
  static void readOurs() throws IOException {
    ours = readings();
  }

  private static Map<Path, Reading> readings() throws IOException {
    try (StandardJavaFileManager files = COMPILER.getStandardFileManager(null, null, null)) {
      Map<Path, Reading> all = new HashMap<>();
      readings(files.getJavaFileObjectsFromPaths(sources()))
          .forEach((at, reading) -> all.put(Path.of(at), reading));
      return all;
    }
  }

  private static Reading reading(String source) {
    JavaFileObject file =
        new SimpleJavaFileObject(URI.create("string:///A.java"), JavaFileObject.Kind.SOURCE) {
          @Override
          public CharSequence getCharContent(boolean ignoreErrors) {
            return source;
          }
        };
    return readings(List.of(file)).values().iterator().next();
  }

  private static List<Path> sources() throws IOException {
    List<Path> all = new ArrayList<>();
    for (Path root : SOURCES) {
      try (Stream<Path> files = Files.walk(root)) {
        files.filter(f -> f.toString().endsWith(".java")).sorted().forEach(all::add);
      }
    }
    return all;
  }

  @Test
  void proseStandsInTheWordsOfItsPackage() {
    List<String> outside = new ArrayList<>();
    ours.forEach((source, reading) -> {
      String name = source.getFileName().toString();
      if (!name.equals(WORDS) && !NO_PROSE.contains(name)) {
        reading.prose.forEach(text -> outside.add(name + ": " + text));
      }
    });
    assertThat(outside).as("goes into Says, under what says it and when").isEmpty();
    assertThat(ours.keySet()).filteredOn(source -> source.endsWith(WORDS)).hasSizeGreaterThan(50);
  }

  @Test
  void everySentenceIsSaidWithWhatItHasPlacesFor() throws IOException {
    Map<Path, Map<String, Set<Integer>>> given = new HashMap<>();
    ours.forEach((source, reading) -> {
      Map<String, Set<Integer>> here =
          given.computeIfAbsent(source.getParent(), p -> new HashMap<>());
      reading.given.forEach(
          (name, counts) -> here.computeIfAbsent(name, n -> new HashSet<>()).addAll(counts));
    });
    Map<Path, Map<String, Integer>> places = new HashMap<>();
    for (Path room : given.keySet()) {
      Path words = room.resolve(WORDS);
      places.put(room, Files.exists(words) ? places(Files.readString(words)) : Map.of());
    }
    List<String> wrong = new ArrayList<>();
    given.forEach((room, said) ->
        said.forEach((name, counts) -> {
          if (!counts.equals(Set.of(places.get(room).get(name)))) {
            wrong.add("%s in %s is given %s".formatted(name, room, counts));
          }
        }));
    assertThat(wrong).isEmpty();
  }

  private static final Pattern CONSTANT =
      Pattern.compile("(?m)^  ([A-Z][A-Z0-9_]+)\\(((?:[^\"]|\"(?:[^\"\\\\]|\\\\.)*\")*?)\\)[,;]$");

  private static Map<String, Integer> places(String words) {
    Map<String, Integer> places = new HashMap<>();
    CONSTANT
        .matcher(words)
        .results()
        .forEach(constant -> {
          int count = constant.group(2).split("\\{}", -1).length - 1;
          places.put(constant.group(1), count);
        });
    return places;
  }

  @Test
  void proseOutsideIsFoundAndWhatIsNoneIsLeft() {
    Reading reading =
        reading(
            """
            class A {
              @Operation(summary = "not for people") String a(int n, String x) {
                LOG.info("not this line either");
                if (x.equals("nor what is asked")) {
                  throw new IllegalStateException("nor a fault of ours");
                }
                return n > 1 ? "Close " + x + " first" : Says.OPEN_IT.filled(x, n);
              }
            }
            """);
    assertThat(reading.prose).containsExactly("Close {} first");
    assertThat(reading.given).isEqualTo(Map.of("OPEN_IT", Set.of(2)));
  }
}
