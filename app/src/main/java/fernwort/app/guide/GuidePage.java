package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.FaceSketch;
import fernwort.app.web.Field;
import fernwort.core.guide.answers.RigAnswers;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** One page of questions about a rig. */
interface GuidePage {

  /** Returns its short name, as in its address. */
  String id();

  /** Returns its title. */
  String title();

  /** Returns its questions, with what was answered so far. */
  List<Card> cards(RigAnswers answers, Units units);

  /** Reads it; what cannot be read stays as it was and is noted in the sheet. */
  RigAnswers read(RigAnswers before, FilledPage sheet);

  /**
   * Questions about one thing.
   *
   * @param id short name, unique on the page
   * @param title the thing
   * @param hint what to look at; empty for nothing
   * @param fields the questions
   * @param buttons what else can be done with it
   * @param sketch a sketch to tap on, where there is one
   * @param more what few have, folded away until somebody looks for it
   */
  record Card(
      String id,
      String title,
      String hint,
      List<Field> fields,
      List<Button> buttons,
      Optional<FaceSketch> sketch,
      More more) {
    Card(String id, String title, String hint, List<Field> fields) {
      this(id, title, hint, fields, List.of());
    }

    Card(String id, String title, String hint, List<Field> fields, List<Button> buttons) {
      this(id, title, hint, fields, buttons, Optional.empty(), More.NOTHING);
    }

    /** Returns this card with questions that few have an answer to. */
    Card with(More folded) {
      return new Card(id, title, hint, fields, buttons, sketch, folded);
    }

    /** Returns this card with fields that hold something else. */
    Card holding(UnaryOperator<Field> other) {
      return new Card(
          id,
          title,
          hint,
          fields.stream().map(other).toList(),
          buttons,
          sketch,
          new More(more.title(), more.fields().stream().map(other).toList(), more.open()));
    }
  }

  /**
   * Questions that few have an answer to.
   *
   * @param title what they are about
   * @param fields the questions; none for nothing to fold away
   * @param open whether one of them was answered, so that all are shown
   */
  record More(String title, List<Field> fields, boolean open) {
    static final More NOTHING = new More("", List.of(), false);
  }

  /** Something to press: what it does, and what it says. */
  record Button(String action, String label) {}

  /** Returns an amount in a person's units as it can be typed back. */
  static Field amount(
      String name, String label, Units units, Measure measure, double si, String hint) {
    return Field.number(name, label, units.number(measure, si), units.unit(measure).sign(), hint);
  }
}
