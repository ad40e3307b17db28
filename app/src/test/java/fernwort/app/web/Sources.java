package fernwort.app.web;

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
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/** What our sources say: the prose in them, and what each sentence of a package is given. */
final class Sources {

  private Sources() {}

  private static final List<Path> SOURCES =
      List.of(Path.of("../core/src/main/java"), Path.of("src/main/java"));

  private static final JavaCompiler COMPILER = ToolProvider.getSystemJavaCompiler();

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
  static final class Reading extends TreeScanner<Void, Void> {

    private final List<String> prose = new ArrayList<>();
    private final Map<String, List<List<String>>> given = new HashMap<>();

    /** Returns what is said in its place, in the order of the source. */
    List<String> prose() {
      return prose;
    }

    /** Returns what each sentence is given, as the source has it, each time it is said. */
    Map<String, List<List<String>>> given() {
      return given;
    }

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
            .computeIfAbsent(on.substring("Says.".length()), s -> new ArrayList<>())
            .add(call.getArguments().stream().map(Object::toString).toList());
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

  /** Returns what stands in each of our sources. */
  static Map<Path, Reading> readings() throws IOException {
    try (StandardJavaFileManager files = COMPILER.getStandardFileManager(null, null, null)) {
      // In one order on every machine, for a sentence takes its example from where it is said last.
      Map<Path, Reading> all = new TreeMap<>();
      readings(files.getJavaFileObjectsFromPaths(sources()))
          .forEach((at, reading) -> all.put(Path.of(at), reading));
      return all;
    }
  }

  /** Returns what stands in one of them. */
  static Reading reading(String source) {
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
}
