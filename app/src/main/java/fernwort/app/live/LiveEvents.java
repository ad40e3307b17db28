package fernwort.app.live;

import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells pages and programs what changes, each on a thread of its own: one that is slow holds up
 * nobody, and one that is too slow is told to look anew.
 */
@Component
class LiveEvents implements SmartLifecycle {

  /** What changed. */
  enum Topic {
    SIGNAL("signal"),
    ALARM("alarm"),
    COMMAND("command"),
    RULE("rule"),
    /** Handles or levels as the Board shows them. */
    BOARD("board"),
    /** Too much was missed: look anew. */
    ANEW("anew");

    private final String name;

    Topic(String name) {
      this.name = name;
    }
  }

  private record News(Topic topic, Object body) {}

  /** So much news waits for one who is slow; own choice. */
  private static final int MOST_WAITING = 500;

  /** So many may watch one rig; own choice. */
  private static final int MOST_WATCHING = 40;

  /** So often something is sent even if nothing changed, to notice one who has gone. */
  private static final long HEARTBEAT = 5;

  private static final long HOURS = Duration.ofHours(12).toMillis();

  private final Map<String, Set<Watcher>> watchers = new ConcurrentHashMap<>();
  private volatile boolean running;

  private static final class Watcher {
    final SseEmitter emitter = new SseEmitter(HOURS);
    final BlockingQueue<News> waiting = new LinkedBlockingQueue<>(MOST_WAITING);
    final UnaryOperator<Object> shown;
    volatile boolean over;

    Watcher(UnaryOperator<Object> shown) {
      this.shown = shown;
    }

    void tell(News news) {
      if (!waiting.offer(news)) {
        waiting.clear();
        waiting.offer(new News(Topic.ANEW, Map.of()));
      }
    }

    void run() {
      try {
        while (!over) {
          @Nullable News news = waiting.poll(HEARTBEAT, TimeUnit.SECONDS);
          if (news == null) {
            emitter.send(SseEmitter.event().comment("here"));
          } else if (!over) {
            emitter.send(
                SseEmitter.event()
                    .name(news.topic().name)
                    .data(shown.apply(news.body()), MediaType.APPLICATION_JSON));
          }
        }
        emitter.complete();
      } catch (IOException | IllegalStateException gone) {
        // Whoever watched has gone.
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  /**
   * Lets somebody watch a rig.
   *
   * @param shown how what changed is told to them
   * @throws fernwort.core.say.Refusal when too many do
   */
  SseEmitter watch(String rig, UnaryOperator<Object> shown) {
    Set<Watcher> here = watchers.computeIfAbsent(rig, r -> ConcurrentHashMap.newKeySet());
    if (here.size() >= MOST_WATCHING) {
      throw new fernwort.core.say.Refusal(Says.TOO_MANY_WATCH.with(MOST_WATCHING));
    }
    Watcher watcher = new Watcher(shown);
    here.add(watcher);
    watcher.emitter.onCompletion(() -> watcher.over = true);
    Thread.ofVirtual()
        .name("watching " + rig)
        .start(() -> {
          try {
            watcher.run();
          } finally {
            here.remove(watcher);
          }
        });
    return watcher.emitter;
  }

  /** Tells all who watch a rig; never waits. */
  void tell(String rig, Topic topic, Object body) {
    News news = new News(topic, body);
    watchers.getOrDefault(rig, Set.of()).forEach(w -> w.tell(news));
  }

  @Override
  public void start() {
    running = true;
  }

  /** Before the web server stops, so that it has no open stream to wait for. */
  @Override
  public void stop() {
    running = false;
    watchers
        .values()
        .forEach(all ->
            all.forEach(w -> {
              w.over = true;
              w.tell(new News(Topic.ANEW, Map.of()));
            }));
  }

  @Override
  public boolean isRunning() {
    return running;
  }
}
