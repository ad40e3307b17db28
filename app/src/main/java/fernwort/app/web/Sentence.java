package fernwort.app.web;

import fernwort.app.store.disk.FolderWatch;
import jakarta.servlet.http.HttpServletRequest;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.TypeMismatchException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** What is said of errors that are nobody's sentence yet; pages and programs read the same. */
public final class Sentence {

  /** Said of a file that is refused by its length. */
  public static final String TOO_LARGE =
      "The file is larger than Fernwort takes: 2 MB for a rig, 64 MB for a backup. Check that it is the right file; larger backups go in with ./fernwort restore.";

  /** Said when a computation was ended. */
  public static final String TOO_LONG =
      "This takes longer than anybody should wait, for the rig has very many parts or handles. Nothing was changed; ask for less at once, or leave out parts that hang on nothing.";

  private Sentence() {}

  /** Returns a sentence with its full stop. */
  public static String ended(@Nullable String message) {
    String sentence = message == null ? "That did not work" : message.strip();
    return sentence.endsWith(".") || sentence.endsWith("?") ? sentence : sentence + ".";
  }

  /** Said of input that made something go wrong that nobody foresaw. */
  public static String notUnderstood(HttpServletRequest request, Throwable fault) {
    return "Something in what was sent cannot be worked with; nothing was changed. If it looks right to you, report %s, which is in the log of the data folder."
        .formatted(ServerFaults.log(request, fault));
  }

  /** Said of a fault of ours. */
  public static String fault(HttpServletRequest request, Throwable fault) {
    return "Something went wrong here, which is Fernwort's fault. Nothing of what was kept is lost. Report %s, which is in the log of the data folder."
        .formatted(ServerFaults.log(request, fault));
  }

  /** Said when the database did not answer. */
  public static String database(FolderWatch watch, HttpServletRequest request, Throwable fault) {
    return watch
        .trouble()
        .orElseGet(() ->
            "The database did not answer. Nothing of what was confirmed is lost; try again. (%s in the log)"
                .formatted(ServerFaults.log(request, fault)));
  }

  /** Names a field that is missing or of another kind. */
  public static String field(Exception e) {
    return switch (e) {
      case MissingServletRequestParameterException missing ->
          "The field “%s” is missing; fill it in.".formatted(missing.getParameterName());
      case MethodArgumentTypeMismatchException wrong ->
          "The field “%s” needs %s.".formatted(wrong.getName(), kind(wrong));
      default -> "A field is of another kind than asked for; check what was sent.";
    };
  }

  private static String kind(TypeMismatchException wrong) {
    Class<?> type = wrong.getRequiredType();
    if (type == int.class || type == Integer.class || type == long.class) {
      return "a whole number";
    }
    if (type == double.class || type == Double.class) {
      return "a number";
    }
    return type == boolean.class || type == Boolean.class ? "true or false" : "another value";
  }
}
