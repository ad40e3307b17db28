package fernwort.app.store;

import java.sql.SQLException;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.h2.api.ErrorCode;

/** A text that is longer than what is kept of it. */
public final class TooLongText {

  private static final Pattern LENGTH = Pattern.compile("VARYING\\(([0-9]+)\\)");

  private TooLongText() {}

  /** Tells whether something went wrong for such a text. */
  public static boolean is(Throwable fault) {
    return !said(fault).isEmpty();
  }

  /** Returns how many characters are kept, where that is known. */
  public static OptionalInt most(Throwable fault) {
    Matcher most = LENGTH.matcher(said(fault));
    return most.find() ? OptionalInt.of(Integer.parseInt(most.group(1))) : OptionalInt.empty();
  }

  private static String said(Throwable fault) {
    for (Throwable at = fault; at != null; at = at.getCause()) {
      if (at instanceof SQLException sql && sql.getErrorCode() == ErrorCode.VALUE_TOO_LONG_2) {
        return String.valueOf(sql.getMessage());
      }
    }
    return "";
  }
}
