package fernwort.app.questions;

import fernwort.app.web.Field;
import fernwort.core.effort.Effort;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.say.Refusal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * One question of the Sizing screen with its answer, in one person's units.
 *
 * @param id where on the page it is
 * @param title the question
 * @param fields what it asks
 * @param problem what is wrong with what was entered, or why there is no answer; empty for none
 * @param rows figures with their working
 * @param tables answers that are tables
 * @param charts answers to look at
 * @param sketches answers drawn to scale
 * @param marked the answer on the rig's drawing, where it has places
 * @param note sources, limits and cautions
 */
public record Question(
    String id,
    String title,
    List<Field> fields,
    String problem,
    List<Row> rows,
    List<Table> tables,
    List<Chart> charts,
    List<Sketch> sketches,
    Optional<Marked> marked,
    String note) {

  /** So many of the entries are said in a sentence; the others stand in their fields. */
  private static final int MOST_SAID = 4;

  /** One question of a page that takes long leaves time for the others. */
  private static final Duration LIMIT = Duration.ofSeconds(4);

  private static final String TOO_LONG = Says.THIS_TAKES_TOO_LONG_TO_WORK.text();

  /**
   * A figure.
   *
   * @param what what it is
   * @param figure the figure
   * @param working how it came about, or what it means
   */
  public record Row(String what, String figure, String working) {}

  /**
   * A table whose first column names the rows.
   *
   * @param title what it shows
   * @param heads heads of its columns
   * @param rows its rows
   */
  public record Table(String title, List<String> heads, List<List<String>> rows) {}

  /** Tells whether something is told of how a figure came about. */
  public boolean worked() {
    return rows.stream().anyMatch(r -> !r.working().isEmpty());
  }

  /** Tells whether there is something to do: its figures come before the curves behind them. */
  public boolean acts() {
    return marked.flatMap(Marked::act).isPresent();
  }

  /** Returns what the answer goes by, in a sentence; empty where nothing is entered or asked. */
  public String assumed() {
    String said =
        fields.stream()
            .map(Question::entered)
            .filter(e -> !e.isEmpty())
            .limit(MOST_SAID)
            .collect(Collectors.joining(", "));
    return said.isEmpty() || !problem.isEmpty() ? "" : Says.WORKED_OUT_FOR.filled(said);
  }

  private static String entered(Field field) {
    return switch (field.type()) {
      case NUMBER ->
          field.value().isBlank()
              ? ""
              : "%s %s %s".formatted(field.label(), field.value(), field.unit()).strip();
      case CHOICE ->
          field.options().stream()
              .filter(o -> o.value().equals(field.value()))
              .map(o -> field.label() + " " + o.label())
              .findFirst()
              .orElse("");
      case TEXT, TICK, ROWS, TABLE, SPOT, TURN -> "";
    };
  }

  /**
   * Tells whether it is asked at once: what was entered is wrong, or there is no answer before
   * something is.
   */
  public boolean asksFirst() {
    boolean answered = !rows.isEmpty() || !tables.isEmpty() || !charts.isEmpty();
    return !problem.isEmpty() || !answered && assumed().isEmpty();
  }

  /** What a question answers, without what it asks. */
  public record Answer(
      List<Row> rows,
      List<Table> tables,
      List<Chart> charts,
      List<Sketch> sketches,
      Optional<Marked> marked) {

    public Answer(List<Row> rows, List<Table> tables, List<Chart> charts, List<Sketch> sketches) {
      this(rows, tables, charts, sketches, Optional.empty());
    }

    public Answer(List<Row> rows, List<Table> tables, List<Chart> charts) {
      this(rows, tables, charts, List.of());
    }

    /** Returns this answer with a drawing; one without marks is left out. */
    public Answer on(Marked drawing) {
      Optional<Marked> shown = Optional.of(drawing).filter(d -> !d.marks().isEmpty());
      return new Answer(rows, tables, charts, sketches, shown);
    }

    public static Answer rows(List<Row> rows) {
      return new Answer(rows, List.of(), List.of());
    }

    public static Answer tables(List<Row> rows, List<Table> tables) {
      return new Answer(rows, tables, List.of());
    }
  }

  /** Works an answer out. */
  public interface Reckoning {
    /**
     * Returns the answer.
     *
     * @throws Refusal with what is wrong or missing
     */
    Answer answer();
  }

  /**
   * Makes a question; what cannot be reckoned is said on it, and nothing that was entered is lost.
   */
  public static Question of(String id, String title, Form form, String note, Reckoning reckoning) {
    Answer none = Answer.rows(List.of());
    if (!form.problem().isEmpty()) {
      return of(id, title, form.fields(), form.problem(), none, note);
    }
    try {
      Answer answer = Effort.of(LIMIT).on(reckoning::answer);
      return of(id, title, form.fields(), "", answer, note);
    } catch (EffortExceededException e) {
      return of(id, title, form.fields(), TOO_LONG, none, note);
    } catch (Refusal e) {
      return of(id, title, form.fields(), form.units().say(e.saying()), none, note);
    }
  }

  private static Question of(
      String id, String title, List<Field> fields, String problem, Answer answer, String note) {
    return new Question(
        id,
        title,
        fields,
        problem,
        answer.rows(),
        answer.tables(),
        answer.charts(),
        answer.sketches(),
        answer.marked(),
        note);
  }
}
