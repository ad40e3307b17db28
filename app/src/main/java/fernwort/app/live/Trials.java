package fernwort.app.live;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.core.live.Signal;
import fernwort.core.live.rule.Rule;
import fernwort.core.live.rule.RuleProof;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Tries rules in the simulation, one after another in the background, and remembers the verdicts.
 */
final class Trials {

  private static final Logger LOG = LoggerFactory.getLogger(Trials.class);

  /** So many verdicts are remembered. */
  private static final int MOST = 50;

  /** Nobody waits longer for one (s). */
  private static final long PATIENCE = 90;

  /** What a verdict depends on: the rig, what is bound, the rule, and how the handles are. */
  private record Key(String rig, int version, List<Signal> signals, Rule rule, Setting setting) {}

  private final States states;
  private final Cache<Key, CompletableFuture<Optional<RuleProof.Verdict>>> verdicts =
      Caffeine.newBuilder().maximumSize(MOST).build();
  private final ExecutorService bench =
      Executors.newSingleThreadExecutor(
          work -> Thread.ofPlatform().daemon().name("trials").unstarted(work));

  Trials(States states) {
    this.states = states;
  }

  private CompletableFuture<Optional<RuleProof.Verdict>> of(Room.AsBuilt built, Rule rule) {
    OpenRig rig = built.rig();
    List<Signal> signals = built.signals();
    State now = states.of(rig).state();
    Key key = new Key(rig.id(), rig.version(), signals, rule, now.setting());
    return verdicts.get(
        key,
        k ->
            CompletableFuture.supplyAsync(
                () -> {
                  RuleProof proof = RuleProof.of(rig.network(), signals);
                  return proof.canTry(rule)
                      ? Optional.of(proof.verdict(rule, now))
                      : Optional.empty();
                },
                bench));
  }

  /** Returns what is known by now; begins to try it where nothing is. */
  RuleDesk.Proof look(Room.AsBuilt built, Rule rule) {
    CompletableFuture<Optional<RuleProof.Verdict>> verdict = of(built, rule);
    if (!verdict.isDone() || verdict.isCompletedExceptionally()) {
      return new RuleDesk.Proof(false, false, 0, List.of());
    }
    return verdict
        .join()
        .map(v -> new RuleDesk.Proof(true, v.held(), v.runs(), v.stories()))
        .orElseGet(() -> new RuleDesk.Proof(true, false, 0, List.of()));
  }

  /** Waits for the verdict; empty where the rule cannot be tried, or it takes too long. */
  Optional<RuleProof.Verdict> wait(Room.AsBuilt built, Rule rule) {
    try {
      return of(built, rule).get(PATIENCE, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    } catch (ExecutionException e) {
      LOG.warn("a rule could not be tried", e);
      return Optional.empty();
    } catch (TimeoutException e) {
      return Optional.empty();
    }
  }

  /** Returns why a rule may not act, if it may not. */
  Optional<String> refusal(Optional<RuleProof.Verdict> verdict) {
    if (verdict.isEmpty()) {
      return Optional.of(Says.IT_CANNOT_BE_TRIED.text());
    }
    RuleProof.Verdict tried = verdict.get();
    if (tried.held()) {
      return Optional.empty();
    }
    return Optional.of(
        tried.stories().stream()
            .findFirst()
            .map(s -> Says.IT_ENDS_IN_HARM.filled(s.fault().words(), s.harm()))
            .orElseGet(Says.IT_NEVER_CAME_TO_ITS_END::text));
  }
}
