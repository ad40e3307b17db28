/**
 * Rules that watch signals and turn motors: what one is, how it goes on step by step, and the proof
 * in the simulation without which none may act. The one thing to call is {@link
 * fernwort.core.live.rule.RuleProof}.
 *
 * <pre>{@code
 * RuleProof.Verdict verdict = RuleProof.of(network, signals).verdict(rule, state);
 * }</pre>
 *
 * <p>A new test or act is a record in {@link fernwort.core.live.rule.Rule}; a new fault is a
 * constant of {@link fernwort.core.live.rule.RuleFault}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.live.rule;
