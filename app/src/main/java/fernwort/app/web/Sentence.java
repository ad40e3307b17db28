package fernwort.app.web;

import fernwort.app.store.TooLongText;
import fernwort.app.store.disk.FolderWatch;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.TypeMismatchException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** What is said of errors that are nobody's sentence yet; pages and programs read the same. */
public final class Sentence {

  /** Said of a file that is refused by its length. */
  public static final String TOO_LARGE = Says.THE_FILE_IS_LARGER_THAN_FERNWORT.text();

  /** Said when a computation was ended. */
  public static final String TOO_LONG = Says.THIS_TAKES_LONGER_THAN_ANYBODY.text();

  private Sentence() {}

  /** Returns a sentence with its full stop. */
  public static String ended(@Nullable String message) {
    String sentence = message == null ? Says.THAT_DID_NOT_WORK.text() : message.strip();
    return sentence.endsWith(".") || sentence.endsWith("?") ? sentence : sentence + ".";
  }

  /** Said of input that made something go wrong that nobody foresaw. */
  public static String notUnderstood(HttpServletRequest request, Throwable fault) {
    return Says.SOMETHING_IN_WHAT_WAS_SENT.filled(ServerFaults.log(request, fault));
  }

  /** Said of a fault of ours. */
  public static String fault(HttpServletRequest request, Throwable fault) {
    return Says.SOMETHING_WENT_WRONG_HERE.filled(ServerFaults.log(request, fault));
  }

  /** Said when the database did not answer. */
  public static String database(FolderWatch watch, HttpServletRequest request, Throwable fault) {
    return watch
        .trouble()
        .orElseGet(() -> Says.THE_DATABASE_DID_NOT_ANSWER.filled(ServerFaults.log(request, fault)));
  }

  /** Said where a text is longer than what is kept of it; nothing where it is something else. */
  public static Optional<String> tooLong(Throwable fault) {
    OptionalInt most = TooLongText.most(fault);
    if (most.isPresent()) {
      return Optional.of(Says.ONE_OF_THE_TEXTS_IS_LONGER_THAN.filled(most.getAsInt()));
    }
    return TooLongText.is(fault)
        ? Optional.of(Says.ONE_OF_THE_TEXTS_IS_TOO_LONG.text())
        : Optional.empty();
  }

  /** Names a field that is missing or of another kind. */
  public static String field(Exception e) {
    return switch (e) {
      case MissingServletRequestParameterException missing ->
          Says.THE_FIELD_IS_MISSING_FILL_IT_IN.filled(missing.getParameterName());
      case MethodArgumentTypeMismatchException wrong ->
          Says.THE_FIELD_NEEDS.filled(wrong.getName(), kind(wrong));
      default -> Says.A_FIELD_IS_OF_ANOTHER_KIND.text();
    };
  }

  private static String kind(TypeMismatchException wrong) {
    Class<?> type = wrong.getRequiredType();
    if (type == int.class || type == Integer.class || type == long.class) {
      return Says.A_WHOLE_NUMBER.text();
    }
    if (type == double.class || type == Double.class) {
      return Says.A_NUMBER.text();
    }
    return type == boolean.class || type == Boolean.class
        ? Says.TRUE_OR_FALSE.text()
        : Says.ANOTHER_VALUE.text();
  }
}
