package fernwort.core.say;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A sentence, or a part of one, in which amounts are still amounts.
 *
 * @param pieces words and amounts in order
 */
public record Message(List<Piece> pieces) {

  /** Says nothing. */
  public static final Message NOTHING = new Message(List.of());

  private static final String HERE = "{}";

  /**
   * How an amount is written where a sentence is kept: {volume 0.0755}. A brace among the words is
   * written twice.
   */
  private static final Pattern KEPT =
      Pattern.compile(
          "\\{\\{|\\{(?<quantity>"
              + Arrays.stream(Quantity.values())
                  .map(Message::written)
                  .collect(Collectors.joining("|"))
              + ") (?<si>-?[0-9][0-9.E-]*)}");

  /** A part of a sentence. */
  public sealed interface Piece permits Words, Amount {}

  /**
   * Words, which read the same in every unit.
   *
   * @param text the words
   */
  public record Words(String text) implements Piece {
    @Override
    public String toString() {
      return text;
    }
  }

  public Message {
    pieces = merged(pieces);
  }

  /** What is said in one breath is one piece, so that the same words are the same saying. */
  private static List<Piece> merged(List<Piece> pieces) {
    List<Piece> merged = new ArrayList<>();
    for (Piece piece : pieces) {
      if (piece instanceof Words words
          && !merged.isEmpty()
          && merged.getLast() instanceof Words before) {
        merged.set(merged.size() - 1, new Words(before.text() + words.text()));
      } else {
        merged.add(piece);
      }
    }
    return List.copyOf(merged);
  }

  /**
   * Says a pattern with arguments in the place of each {@code {}}.
   *
   * @param pattern words of ours, never of a user's
   * @param arguments amounts, sayings, or what is said by its words
   * @throws IllegalArgumentException when there are more or fewer arguments than places
   */
  public static Message of(String pattern, Object... arguments) {
    List<Piece> pieces = new ArrayList<>();
    int from = 0;
    for (Object argument : arguments) {
      int here = pattern.indexOf(HERE, from);
      if (here < 0) {
        throw new IllegalArgumentException("more arguments than places in: " + pattern);
      }
      add(pieces, pattern.substring(from, here));
      switch (argument) {
        case Message saying -> pieces.addAll(saying.pieces);
        case Amount amount -> pieces.add(amount);
        default -> add(pieces, argument.toString());
      }
      from = here + HERE.length();
    }
    String rest = pattern.substring(from);
    if (rest.contains(HERE)) {
      throw new IllegalArgumentException("fewer arguments than places in: " + pattern);
    }
    add(pieces, rest);
    return new Message(pieces);
  }

  private static void add(List<Piece> pieces, String text) {
    if (!text.isEmpty()) {
      pieces.add(new Words(text));
    }
  }

  /** Says words as they are. */
  public static Message words(String text) {
    return text.isEmpty() ? NOTHING : new Message(List.of(new Words(text)));
  }

  /** Says several things with a separator between them. */
  public static Message joined(String separator, List<Message> sayings) {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < sayings.size(); i++) {
      if (i > 0) {
        add(pieces, separator);
      }
      pieces.addAll(sayings.get(i).pieces);
    }
    return new Message(pieces);
  }

  /** Says it as the beginning of a sentence. */
  public Message capitalised() {
    if (pieces.isEmpty() || !(pieces.getFirst() instanceof Words first)) {
      return this;
    }
    List<Piece> capital = new ArrayList<>(pieces);
    String text = first.text();
    capital.set(0, new Words(text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1)));
    return new Message(capital);
  }

  /** Tells whether nothing is said. */
  public boolean isEmpty() {
    return pieces.isEmpty();
  }

  /** Returns it with each amount as a reader wants it. */
  public String in(Function<Amount, String> units) {
    return pieces.stream()
        .map(piece ->
            switch (piece) {
              case Words words -> words.text();
              case Amount amount -> units.apply(amount);
            })
        .collect(Collectors.joining());
  }

  /** Returns it in metric units, for programs and the log. */
  @Override
  public String toString() {
    return in(Amount::metric);
  }

  /** Returns it as it is kept, to be {@link #kept read} again in any units. */
  public String keep() {
    return pieces.stream()
        .map(piece ->
            switch (piece) {
              case Words words -> words.text().replace("{", "{{");
              case Amount a -> "{" + written(a.quantity()) + " " + a.si() + "}";
            })
        .collect(Collectors.joining());
  }

  private static String written(Quantity quantity) {
    return quantity.name().toLowerCase(Locale.ROOT);
  }

  /** Reads what was kept; text without amounts is words. */
  public static Message kept(String text) {
    List<Piece> pieces = new ArrayList<>();
    Matcher kept = KEPT.matcher(text);
    int from = 0;
    while (kept.find()) {
      add(pieces, text.substring(from, kept.start()));
      String quantity = kept.group("quantity");
      if (quantity == null) {
        add(pieces, "{");
      } else {
        double si = Double.parseDouble(kept.group("si"));
        pieces.add(new Amount(Quantity.valueOf(quantity.toUpperCase(Locale.ROOT)), si));
      }
      from = kept.end();
    }
    add(pieces, text.substring(from));
    return new Message(pieces);
  }
}
