package fernwort.app.api;

import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.store.DiaryStore;
import fernwort.core.budget.Anomaly;
import fernwort.core.budget.Budget;
import fernwort.core.budget.ConsumptionFilter;
import fernwort.core.budget.Range;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import io.swagger.v3.oas.annotations.Operation;
import java.math.BigDecimal;
import java.net.URI;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The log of water, and what is learnt from it. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
class LogApiController {

  private static final String WHO = "program";
  private static final int MOST = 1000;

  private final Descriptions rigs;
  private final Diary diary;
  private final Clock clock;

  LogApiController(Descriptions rigs, Diary diary, Clock clock) {
    this.rigs = rigs;
    this.diary = diary;
    this.clock = clock;
  }

  /**
   * Something to note: a kind (reading, fill, dump, haul, people, away, sanitize, upkeep, note),
   * when, and what the kind needs.
   *
   * @param tank id of the tank; may be left out where only one comes into question
   * @param litres how much; a fill or dump without is all of it
   * @param litresEach a new estimate of what a person uses in a day, with people
   * @param until when away ends, or until when upkeep is put off
   */
  record Noted(
      Optional<String> kind,
      Optional<Instant> at,
      Optional<String> tank,
      Optional<String> part,
      Optional<Double> litres,
      Optional<Integer> people,
      Optional<Integer> pets,
      @JsonProperty("litres_per_person_day") Optional<Double> litresEach,
      Optional<Instant> until,
      Optional<Integer> trips,
      Optional<BigDecimal> price,
      Optional<String> place,
      Optional<Boolean> treated,
      Optional<Boolean> doubtful,
      Optional<String> note) {

    private Entry.Kind named() {
      String name = kind.orElse("").toUpperCase(Locale.ROOT);
      return Arrays.stream(Entry.Kind.values())
          .filter(k -> k.name().equals(name))
          .findFirst()
          .orElseThrow(() ->
              new Refusal(
                  Says.THE_FIELD_KIND_IS_MISSING.with(
                      Arrays.stream(Entry.Kind.values())
                          .map(k -> k.name().toLowerCase(Locale.ROOT))
                          .collect(Collectors.joining(", ")))));
    }

    Entry.What what(OpenRig rig) {
      String words = note.orElse("");
      Entry.Bought bought = new Entry.Bought(price, place.orElse(""), treated);
      Optional<Double> volume = litres.map(l -> l / 1000);
      return switch (named()) {
        case READING -> {
          double seen = volume.orElseThrow(() -> missing("litres"));
          String shown =
              String.format(
                  Locale.ROOT,
                  "%s L",
                  BigDecimal.valueOf(seen * 1000).stripTrailingZeros().toPlainString());
          yield new Entry.Reading(PartId.of(tank(rig, Contents.FRESH)), seen, shown, false, words);
        }
        case FILL ->
            new Entry.Fill(
                PartId.of(tank(rig, Contents.FRESH)),
                volume,
                bought,
                doubtful.orElse(false),
                words);
        case DUMP -> new Entry.Dump(PartId.of(tank(rig, Contents.GRAY)), volume, words);
        case HAUL ->
            new Entry.Haul(
                PartId.of(tank(rig, Contents.FRESH)),
                volume.orElseThrow(() -> missing("litres")),
                trips.orElse(1),
                bought,
                words);
        case PEOPLE ->
            new Entry.People(
                people.orElseThrow(() -> missing("people")),
                pets.orElse(0),
                litresEach.map(l -> l / 1000),
                words);
        case AWAY -> new Entry.Away(until.orElseThrow(() -> missing("until")), words);
        case SANITIZE -> new Entry.Sanitize(PartId.of(tank(rig, Contents.FRESH)), words);
        case UPKEEP ->
            new Entry.Upkeep(PartId.of(part.orElseThrow(() -> missing("part"))), until, words);
        case NOTE -> new Entry.Note(note.orElseThrow(() -> missing("note")));
      };
    }

    private String tank(OpenRig rig, Contents contents) {
      List<PartId> all = rig.rig().tanks(contents).map(Part::id).toList();
      return tank.orElseGet(() -> {
        if (all.size() != 1) {
          throw new Refusal(
              Says.THE_FIELD_TANK_IS_MISSING_NAME.with(
                  rig.rig().tanks().map(t -> t.id().value()).collect(Collectors.joining(", "))));
        }
        return all.getFirst().value();
      });
    }

    private static Refusal missing(String field) {
      return new Refusal(Says.THE_FIELD_IS_MISSING_THIS_KIND.with(field));
    }
  }

  /** An entry with its trace; fields as they are noted. */
  record Shown(
      String id,
      String kind,
      Instant at,
      String part,
      Optional<Double> litres,
      Optional<String> shown,
      Optional<Boolean> calculated,
      Optional<Integer> people,
      Optional<Integer> pets,
      @JsonProperty("litres_per_person_day") Optional<Double> litresEach,
      Optional<Instant> until,
      Optional<Integer> trips,
      Optional<BigDecimal> price,
      Optional<String> place,
      Optional<Boolean> treated,
      Optional<Boolean> doubtful,
      String note,
      String who,
      Instant made,
      String standing,
      String replaces) {

    static Shown of(DiaryStore.Kept kept) {
      Entry.What what = kept.entry().what();
      Optional<Entry.Bought> bought = as(what, Entry.Supply.class).map(Entry.Supply::bought);
      Optional<Entry.Reading> reading = as(what, Entry.Reading.class);
      Optional<Entry.People> people = as(what, Entry.People.class);
      return new Shown(
          kept.entry().id(),
          what.kind().name().toLowerCase(Locale.ROOT),
          kept.entry().at(),
          what.part().value(),
          volume(what).map(v -> v * 1000),
          reading.map(Entry.Reading::shown),
          reading.map(Entry.Reading::reckoned),
          people.map(Entry.People::people),
          people.map(Entry.People::pets),
          people.flatMap(Entry.People::perPersonDay).map(v -> v * 1000),
          as(what, Entry.Away.class)
              .map(Entry.Away::until)
              .or(() -> as(what, Entry.Upkeep.class).flatMap(Entry.Upkeep::putOff)),
          as(what, Entry.Haul.class).map(Entry.Haul::trips),
          bought.flatMap(Entry.Bought::price),
          bought.map(Entry.Bought::place),
          bought.flatMap(Entry.Bought::treated),
          as(what, Entry.Fill.class).map(Entry.Fill::doubtful),
          what.note(),
          kept.who(),
          kept.made(),
          kept.standing().kept(),
          kept.replaces());
    }

    private static <T extends Entry.What> Optional<T> as(Entry.What what, Class<T> kind) {
      return Optional.of(what).filter(kind::isInstance).map(kind::cast);
    }

    private static Optional<Double> volume(Entry.What what) {
      return switch (what) {
        case Entry.Reading w -> Optional.of(w.volume());
        case Entry.Fill w -> w.volume();
        case Entry.Dump w -> w.volume();
        case Entry.Haul w -> Optional.of(w.volume());
        case Entry.People _, Entry.Away _, Entry.Sanitize _, Entry.Upkeep _, Entry.Note _ ->
            Optional.empty();
      };
    }
  }

  @PostMapping("/log")
  @Operation(summary = "Note a fill, dump, haul, reading, who is on board, or anything else")
  ResponseEntity<Shown> note(@PathVariable String id, @RequestBody Noted noted) {
    OpenRig rig = rigs.open(id);
    Entry entry = diary.add(rig, noted.what(rig), noted.at().orElseGet(clock::instant), WHO);
    return ResponseEntity.created(URI.create("/api/v1/rigs/%s/log/%s".formatted(id, entry.id())))
        .body(Shown.of(diary.get(rig, entry.id())));
  }

  @PutMapping("/log/{entry}")
  @Operation(summary = "Put another entry in the place of one; both keep their trace")
  Shown correct(@PathVariable String id, @PathVariable String entry, @RequestBody Noted noted) {
    OpenRig rig = rigs.open(id);
    Instant at = noted.at().orElseGet(() -> diary.get(rig, entry).entry().at());
    return Shown.of(diary.get(rig, diary.correct(rig, entry, noted.what(rig), at, WHO).id()));
  }

  @DeleteMapping("/log/{entry}")
  @Operation(summary = "Undo an entry; it stays readable as such")
  Shown takeBack(@PathVariable String id, @PathVariable String entry) {
    OpenRig rig = rigs.open(id);
    diary.takeBack(rig, entry, WHO);
    return Shown.of(diary.get(rig, entry));
  }

  @GetMapping("/log")
  @Operation(summary = "What was noted, newest first, by kind and words")
  List<Shown> log(
      @PathVariable String id,
      @RequestParam(defaultValue = "") List<String> kind,
      @RequestParam(name = "q", defaultValue = "") String words,
      @RequestParam(defaultValue = "0") int from,
      @RequestParam(defaultValue = "100") int most) {
    Set<Entry.Kind> kinds =
        kind.stream()
            .map(k ->
                Arrays.stream(Entry.Kind.values())
                    .filter(known -> known.name().equalsIgnoreCase(k))
                    .findFirst()
                    .orElseThrow(() -> new Refusal(Says.THE_LOG_HAS_NO_KIND.with(k))))
            .collect(Collectors.toSet());
    return diary
        .page(
            rigs.open(id),
            new DiaryStore.Filter(kinds, Set.of(), words, false, Optional.empty()),
            Math.max(0, from),
            Math.clamp(most, 1, MOST))
        .stream()
        .map(Shown::of)
        .toList();
  }

  /** A range that holds four in five. */
  record Litres(double low, double expected, double high) {
    static Litres of(Range range) {
      return new Litres(1000 * range.low(), 1000 * range.expected(), 1000 * range.high());
    }
  }

  /** The same of times. */
  record Times(Instant low, Instant expected, Instant high) {
    static Times of(Range range) {
      return new Times(instant(range.low()), instant(range.expected()), instant(range.high()));
    }
  }

  private static Instant instant(double seconds) {
    return Instant.ofEpochSecond(Math.round(seconds));
  }

  /** What is learnt of one store: use, what is in it, and when it ends. */
  record Store(
      @JsonProperty("litres_per_person_day") Litres litresEach, double litres, Times ends) {
    static Store of(ConsumptionFilter learnt) {
      return new Store(Litres.of(learnt.rate()), 1000 * learnt.volume(), Times.of(learnt.ends()));
    }
  }

  /** Something that does not fit. */
  record Odd(String kind, Instant from, Instant to, double litres, String words, String look) {
    static Odd of(Anomaly o) {
      return new Odd(
          o.kind().name().toLowerCase(Locale.ROOT),
          instant(o.from()),
          instant(o.to()),
          1000 * o.volume(),
          o.words().toString(),
          o.look().toString());
    }
  }

  /** The budget: ranges hold four in five; “enough” tells whether enough was read to go by it. */
  record BudgetAnswer(
      Instant at, boolean enough, Store fresh, Optional<Store> gray, List<Odd> oddities) {}

  @GetMapping("/budget")
  @Operation(summary = "What people use, when fresh water ends and gray is full, and what is odd")
  BudgetAnswer budget(@PathVariable String id, @RequestParam Optional<Instant> at) {
    Instant when = at.orElseGet(clock::instant);
    Budget budget = diary.budget(rigs.open(id), when);
    return new BudgetAnswer(
        when,
        budget.enough(),
        Store.of(budget.fresh()),
        budget.gray().map(Store::of),
        budget.oddities().stream().map(Odd::of).toList());
  }
}
