package fernwort.app.web;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.unbescape.html.HtmlEscape;

/** Words that are others in the United States, and names that stay as somebody typed them. */
final class RegionWords {

  private static final Map<String, String> US =
      Map.ofEntries(
          Map.entry("tap", "faucet"),
          Map.entry("taps", "faucets"),
          Map.entry("Tap", "Faucet"),
          Map.entry("Taps", "Faucets"),
          Map.entry("mains water", "city water"),
          Map.entry("Mains water", "City water"),
          Map.entry("mains pressure", "city water pressure"),
          Map.entry("Mains pressure", "City water pressure"),
          Map.entry("tyre", "tire"),
          Map.entry("Tyre", "Tire"),
          Map.entry("kerb", "curb"));

  /** What is said the same everywhere, though one of the words is in it. */
  private static final List<String> SAME = List.of("Tap water", "tap water");

  private static final Pattern ANY = Pattern.compile(oneOf(US.keySet()));

  private final Pattern words;

  /**
   * Words for pages on which these names may stand.
   *
   * @param names as they were typed
   */
  RegionWords(Collection<String> names) {
    Set<String> kept =
        Stream.concat(SAME.stream(), names.stream().map(HtmlEscape::escapeHtml4Xml))
            .filter(name -> ANY.matcher(name).find())
            .collect(Collectors.toSet());
    words = Pattern.compile(oneOf(kept) + "|(?<ours>" + oneOf(US.keySet()) + ")");
  }

  /** Matches one of them as a whole word, the longest that fits. */
  private static String oneOf(Collection<String> words) {
    return words.stream()
        .sorted((a, b) -> b.length() - a.length())
        .map(Pattern::quote)
        .collect(Collectors.joining("|", "(?<![\\p{L}\\p{N}])(?:", ")(?![\\p{L}\\p{N}])"));
  }

  /** Returns a text as it is said in the United States; escaped text stays escaped. */
  String american(String text) {
    return words
        .matcher(text)
        .replaceAll(found -> {
          String ours = found.group("ours");
          return Matcher.quoteReplacement(
              ours == null ? found.group() : US.getOrDefault(ours, ours));
        });
  }
}
