package fernwort.app.live;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.rule.Rule;
import fernwort.core.network.Turn;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A rule as programs and the database write it.
 *
 * @param when what has to hold, all of it
 * @param onlyIf what has to hold besides
 * @param acts what it does, one after another
 * @param atMost how long all of it may take (s)
 * @param then what it puts back at the end
 * @param onFailure what it puts safe when anything goes wrong
 * @param state off, tells or live
 * @param title what people call it; left out where its name says it
 * @param triedWith with which rig and signals it held, as Fernwort keeps it; nobody else sets it
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record RuleText(
    @Nullable List<Test> when,
    @Nullable List<Test> onlyIf,
    @Nullable @JsonProperty("do") List<Act> acts,
    @Nullable Double atMost,
    @Nullable List<Move> then,
    @Nullable List<Move> onFailure,
    @Nullable String state,
    @Nullable String title,
    @Nullable String triedWith) {

  /**
   * Something that holds or does not: a signal above or below an amount, a contact that is on or
   * off, a part in a position, the rule's button pressed, or any of several such.
   *
   * @param margin how far it has to come back until it holds no more
   * @param lasting for how long it has to hold (s)
   * @param pressed true for the rule's button
   * @param any one of these is enough
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record Test(
      @Nullable String signal,
      @Nullable Double above,
      @Nullable Double below,
      @Nullable Boolean is,
      @Nullable Double margin,
      @Nullable @JsonProperty("for") Double lasting,
      @Nullable String part,
      @Nullable String position,
      @Nullable Boolean pressed,
      @Nullable List<Test> any) {

    private static final Test NOTHING =
        new Test(null, null, null, null, null, null, null, null, null, null);

    private static Test handle(String part, String position) {
      return new Test(null, null, null, null, null, null, part, position, null, null);
    }

    private static Test contact(Rule.Contact c) {
      return new Test(c.signal(), null, null, c.on(), null, c.lasting(), null, null, null, null);
    }

    private static Test amount(Rule.Amount a) {
      return new Test(
          a.signal(),
          a.above() ? a.amount() : null,
          a.above() ? null : a.amount(),
          null,
          a.margin(),
          a.lasting(),
          null,
          null,
          null,
          null);
    }

    private Test withPressed() {
      return new Test(signal, above, below, is, margin, lasting, part, position, true, any);
    }

    private Test withAny(List<Test> several) {
      return new Test(signal, above, below, is, margin, lasting, part, position, pressed, several);
    }

    Rule.Test test() {
      if (Boolean.TRUE.equals(pressed)) {
        return new Rule.Pressed();
      }
      if (any != null) {
        return new Rule.Any(tests(any));
      }
      double lasts = lasting == null ? 0 : lasting;
      if (part != null && position != null) {
        return new Rule.Handle(PartId.of(part), PositionId.of(position));
      }
      if (signal == null) {
        throw new Refusal(Says.A_TEST_IS_OF.with());
      }
      if (is != null) {
        return new Rule.Contact(signal, is, lasts);
      }
      Double amount = above == null ? below : above;
      if (amount == null) {
        throw new Refusal(Says.A_TEST_IS_OF.with());
      }
      return new Rule.Amount(signal, above != null, amount, margin == null ? 0 : margin, lasts);
    }

    static Test of(Rule.Test test) {
      return switch (test) {
        case Rule.Handle h -> handle(h.part().value(), h.position().value());
        case Rule.Contact c -> contact(c);
        case Rule.Amount a -> amount(a);
        case Rule.Pressed p -> NOTHING.withPressed();
        case Rule.Any several -> NOTHING.withAny(several.of().stream().map(Test::of).toList());
      };
    }
  }

  /**
   * What a rule turns.
   *
   * @param turn the part
   * @param to the position
   */
  public record Move(@Nullable String turn, @Nullable String to) {
    Turn turned() {
      if (turn == null || to == null) {
        throw new Refusal(Says.A_MOVE_IS.with());
      }
      return new Turn(PartId.of(turn), PositionId.of(to));
    }

    static Move of(Turn turn) {
      return new Move(turn.part().value(), turn.position().value());
    }
  }

  /**
   * A step: it turns a part to a position, waits until one of these holds or for a while, or says
   * something.
   *
   * @param turn the part
   * @param to the position
   * @param pause how long it waits (s)
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record Act(
      @Nullable String turn,
      @Nullable String to,
      @Nullable List<Test> until,
      @Nullable String say,
      @Nullable Double pause) {

    Rule.Act act() {
      if (until != null) {
        return new Rule.Until(tests(until));
      }
      if (pause != null) {
        return new Rule.Pause(pause);
      }
      if (say != null) {
        return new Rule.Say(say.length() > LONGEST ? say.substring(0, LONGEST) : say);
      }
      return new Rule.Move(new Move(turn, to).turned());
    }

    static Act of(Rule.Act act) {
      return switch (act) {
        case Rule.Move m ->
            new Act(m.turn().part().value(), m.turn().position().value(), null, null, null);
        case Rule.Until u ->
            new Act(null, null, u.any().stream().map(Test::of).toList(), null, null);
        case Rule.Say s -> new Act(null, null, null, s.words(), null);
        case Rule.Pause p -> new Act(null, null, null, null, p.seconds());
      };
    }
  }

  private static final int LONGEST = 200;
  private static final double AN_HOUR = 3600;

  /** Returns the rule. */
  public Rule rule(String name) {
    return new Rule(
        name,
        tests(when),
        tests(onlyIf),
        all(acts).map(Act::act).toList(),
        atMost == null ? AN_HOUR : atMost,
        moves(then),
        moves(onFailure));
  }

  /** Returns what is in a list, if anything; a hole in it is nothing to be guessed at. */
  private static <T> Stream<T> all(@Nullable List<T> list) {
    if (list == null) {
      return Stream.empty();
    }
    if (list.contains(null)) {
      throw new Refusal(Says.A_LIST_HAS_A_HOLE.with());
    }
    return list.stream();
  }

  private static List<Rule.Test> tests(@Nullable List<Test> tests) {
    return all(tests).map(Test::test).toList();
  }

  private static List<Turn> moves(@Nullable List<Move> moves) {
    return all(moves).map(Move::turned).toList();
  }

  /** Writes a rule. */
  static RuleText of(Rule rule, String state) {
    return new RuleText(
        rule.when().stream().map(Test::of).toList(),
        rule.onlyIf().stream().map(Test::of).toList(),
        rule.acts().stream().map(Act::of).toList(),
        rule.atMost(),
        rule.then().stream().map(Move::of).toList(),
        rule.onFailure().stream().map(Move::of).toList(),
        state,
        null,
        null);
  }

  /** Returns it as people call it. */
  RuleText titled(String words) {
    String clipped = words.length() > LONGEST ? words.substring(0, LONGEST) : words;
    return new RuleText(when, onlyIf, acts, atMost, then, onFailure, state, clipped, triedWith);
  }

  /** Returns it in another state. */
  public RuleText in(String other) {
    return new RuleText(when, onlyIf, acts, atMost, then, onFailure, other, title, triedWith);
  }

  /** Returns it as one that held with this rig and these signals. */
  RuleText triedWith(String what) {
    return new RuleText(when, onlyIf, acts, atMost, then, onFailure, state, title, what);
  }
}
