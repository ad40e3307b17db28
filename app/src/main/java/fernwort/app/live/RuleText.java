package fernwort.app.live;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import fernwort.core.live.rule.Rule;
import fernwort.core.network.Turn;
import fernwort.core.say.Refusal;
import java.util.List;
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
    @Nullable String triedWith) {

  /**
   * Something that holds or does not: a signal above or below an amount, a contact that is on or
   * off, or a part in a position.
   *
   * @param margin how far it has to come back until it holds no more
   * @param lasting for how long it has to hold (s)
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
      @Nullable String position) {

    Rule.Test test() {
      double lasts = lasting == null ? 0 : lasting;
      if (part != null && position != null) {
        return new Rule.Handle(part, position);
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
        case Rule.Handle h -> new Test(null, null, null, null, null, null, h.part(), h.position());
        case Rule.Contact c ->
            new Test(c.signal(), null, null, c.on(), null, c.lasting(), null, null);
        case Rule.Amount a ->
            new Test(
                a.signal(),
                a.above() ? a.amount() : null,
                a.above() ? null : a.amount(),
                null,
                a.margin(),
                a.lasting(),
                null,
                null);
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
      return new Turn(turn, to);
    }

    static Move of(Turn turn) {
      return new Move(turn.part(), turn.position());
    }
  }

  /**
   * A step: it turns a part to a position, waits until one of these holds, or says something.
   *
   * @param turn the part
   * @param to the position
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record Act(
      @Nullable String turn,
      @Nullable String to,
      @Nullable List<Test> until,
      @Nullable String say) {

    Rule.Act act() {
      if (until != null) {
        return new Rule.Until(until.stream().map(Test::test).toList());
      }
      if (say != null) {
        return new Rule.Say(say.length() > LONGEST ? say.substring(0, LONGEST) : say);
      }
      return new Rule.Move(new Move(turn, to).turned());
    }

    static Act of(Rule.Act act) {
      return switch (act) {
        case Rule.Move m -> new Act(m.turn().part(), m.turn().position(), null, null);
        case Rule.Until u -> new Act(null, null, u.any().stream().map(Test::of).toList(), null);
        case Rule.Say s -> new Act(null, null, null, s.words());
      };
    }
  }

  private static final int LONGEST = 200;
  private static final double AN_HOUR = 3600;

  /** Returns the rule. */
  Rule rule(String name) {
    return new Rule(
        name,
        tests(when),
        tests(onlyIf),
        acts == null ? List.of() : acts.stream().map(Act::act).toList(),
        atMost == null ? AN_HOUR : atMost,
        moves(then),
        moves(onFailure));
  }

  private static List<Rule.Test> tests(@Nullable List<Test> tests) {
    return tests == null ? List.of() : tests.stream().map(Test::test).toList();
  }

  private static List<Turn> moves(@Nullable List<Move> moves) {
    return moves == null ? List.of() : moves.stream().map(Move::turned).toList();
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
        null);
  }

  /** Returns it in another state. */
  public RuleText in(String other) {
    return new RuleText(when, onlyIf, acts, atMost, then, onFailure, other, triedWith);
  }

  /** Returns it as one that held with this rig and these signals. */
  RuleText triedWith(String what) {
    return new RuleText(when, onlyIf, acts, atMost, then, onFailure, state, what);
  }
}
