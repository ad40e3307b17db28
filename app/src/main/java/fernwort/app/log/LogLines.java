package fernwort.app.log;

import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.DiaryStore;
import fernwort.app.store.Logbook;
import fernwort.app.units.Units;
import fernwort.app.web.When;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.rig.Part;
import fernwort.core.say.Message;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The log as a list: what was noted, handles and jobs, steps of the description, in one order. */
@Component
class LogLines {

  private static final int PAGE = 50;

  private final Descriptions rigs;
  private final States states;
  private final Diary diary;

  LogLines(Descriptions rigs, States states, Diary diary) {
    this.rigs = rigs;
    this.states = states;
    this.diary = diary;
  }

  /** An entry that is not in the log yet, in one line. */
  static String preview(OpenRig rig, DiaryStore.Kept kept, Units units) {
    String at = When.full(kept.entry().at());
    String what = EntryWords.of(rig.rig(), kept.entry(), units);
    return "%s, %s: %s".formatted(at, kept.who(), what);
  }

  /** Groups of kinds to filter by. */
  enum Group {
    WATER("Water"),
    PEOPLE(Says.ON_BOARD_FIRST.text()),
    CARE(Says.CARE_AND_NOTES.text()),
    HANDLES(Says.HANDLES_AND_JOBS.text()),
    RIG(Says.THE_RIG.text());

    private final String words;

    Group(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }

    private Set<Entry.Kind> kinds() {
      return switch (this) {
        case WATER -> Set.of(Entry.Kind.READING, Entry.Kind.FILL, Entry.Kind.DUMP, Entry.Kind.HAUL);
        case PEOPLE -> Set.of(Entry.Kind.PEOPLE, Entry.Kind.AWAY);
        case CARE -> Set.of(Entry.Kind.SANITIZE, Entry.Kind.UPKEEP, Entry.Kind.NOTE);
        case HANDLES, RIG -> Set.of();
      };
    }
  }

  /**
   * What is asked for.
   *
   * @param groups ids of groups; empty for all
   * @param words a part of the words; empty for any
   * @param before only what was before
   */
  record Asked(Set<String> groups, String words, Optional<Instant> before) {
    Asked {
      groups = Set.copyOf(groups);
    }

    boolean wants(Group group) {
      return groups.isEmpty() || groups.contains(group.id());
    }
  }

  /**
   * A line.
   *
   * @param entry id of its entry; empty where nothing can be corrected
   * @param standing whether it counts, was corrected or taken back; empty where it counts
   */
  record Line(Instant at, String when, String who, String what, String entry, String standing) {}

  /** A page of lines, and where the next begins, if there is one. */
  record Page(List<Line> lines, Optional<Instant> next) {}

  Page page(OpenRig rig, Asked asked, Units units) {
    List<Line> lines = new ArrayList<>();
    lines.addAll(noted(rig, asked, units));
    if (asked.wants(Group.HANDLES)) {
      lines.addAll(journal(rig, asked, units));
    }
    if (asked.wants(Group.RIG)) {
      rigs.versions(rig.id()).stream()
          .map(v -> new Line(v.at(), When.full(v.at()), v.who(), "Rig: " + v.what(), "", ""))
          .filter(l -> isAsked(l, asked))
          .forEach(lines::add);
    }
    lines.sort(Comparator.comparing(Line::at).reversed());
    if (lines.size() <= PAGE) {
      return new Page(lines, Optional.empty());
    }
    int end = PAGE;
    // Lines of one moment stay on one page, so that the next begins with an earlier one.
    while (end > 1 && lines.get(end).at().equals(lines.get(end - 1).at())) {
      end--;
    }
    return new Page(List.copyOf(lines.subList(0, end)), Optional.of(lines.get(end - 1).at()));
  }

  private static boolean isAsked(Line line, Asked asked) {
    boolean early = asked.before().isEmpty() || line.at().isBefore(asked.before().get());
    return early
        && (line.what() + " " + line.who())
            .toLowerCase(Locale.ROOT)
            .contains(asked.words().strip().toLowerCase(Locale.ROOT));
  }

  private List<Line> noted(OpenRig rig, Asked asked, Units units) {
    Set<Entry.Kind> kinds =
        Arrays.stream(Group.values())
            .filter(asked::wants)
            .flatMap(g -> g.kinds().stream())
            .collect(Collectors.toSet());
    if (kinds.isEmpty()) {
      return List.of();
    }
    DiaryStore.Filter filter =
        new DiaryStore.Filter(
            kinds, parts(rig, asked.words()), asked.words(), false, asked.before());
    return diary.page(rig, filter, 0, 2 * PAGE).stream()
        .map(k ->
            new Line(
                k.entry().at(),
                When.full(k.entry().at()),
                k.who(),
                EntryWords.of(rig.rig(), k.entry(), units),
                k.entry().id(),
                k.standing() == DiaryStore.Standing.STANDS ? "" : k.standing().words()))
        .toList();
  }

  /** The parts whose label has the words in it: entries know their ids only. */
  private static Set<String> parts(OpenRig rig, String words) {
    String part = words.strip().toLowerCase(Locale.ROOT);
    return part.isEmpty()
        ? Set.of()
        : rig.rig().parts().stream()
            .filter(p -> p.label().toLowerCase(Locale.ROOT).contains(part))
            .map(x -> x.id().value())
            .collect(Collectors.toSet());
  }

  private List<Line> journal(OpenRig rig, Asked asked, Units units) {
    Map<PartId, Part> parts = rig.rig().partsById();
    int most = asked.words().isBlank() ? 2 * PAGE : 40 * PAGE;
    return states.journal(rig, most, asked.before()).stream()
        .filter(e -> e.kind() != Logbook.Kind.READING)
        .map(e ->
            new Line(
                e.at(),
                When.full(e.at()),
                e.who(),
                JournalWords.of(parts, e, units),
                "",
                e.undone() ? "undone" : ""))
        .filter(l -> isAsked(l, asked))
        .toList();
  }

  /** What a line of the journal says. */
  private static final class JournalWords {

    private JournalWords() {}

    static String of(Map<PartId, Part> parts, Logbook.Entry entry, Units units) {
      Optional<Part> part = Optional.ofNullable(parts.get(PartId.of(entry.subject())));
      String label = part.map(Part::label).orElse(entry.subject());
      return switch (entry.kind()) {
        case TURN ->
            Says.FROM_TO.filled(label, words(part, entry.before()), words(part, entry.after()));
        case READING -> label + " read";
        case UNDO -> Says.UNDID_A_CHANGE_OF.filled(label);
        case JOB -> units.say(Message.kept(entry.after()));
        case REDO -> Says.REDID_A_CHANGE_OF.filled(label);
      };
    }

    private static String words(Optional<Part> part, String position) {
      return part.flatMap(p ->
              p.kind().positions().stream()
                  .filter(q -> q.id().value().equals(position))
                  .findFirst())
          .map(q -> q.words())
          .orElse(position);
    }
  }
}
