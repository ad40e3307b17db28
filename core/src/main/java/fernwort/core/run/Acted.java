package fernwort.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** A run in which somebody acts: it goes on to when the first of them wants to be asked. */
public final class Acted {

  private final Simulation run;
  private final List<Actor> actors;
  private final Consumer<Event> water;
  private final BiConsumer<Double, Actor.Act> acts;

  /**
   * Prepares it.
   *
   * @param run the run, from where it stands
   * @param actors who acts
   * @param water told what begins and ends in the water
   * @param acts told what was set, and when (s)
   */
  public Acted(
      Simulation run,
      List<Actor> actors,
      Consumer<Event> water,
      BiConsumer<Double, Actor.Act> acts) {
    this.run = run;
    this.actors = List.copyOf(actors);
    this.water = water;
    this.acts = acts;
  }

  /**
   * Runs on to a time (s), with what is done on the way. What is due at that very time is done when
   * it runs on from there, or is asked for.
   */
  public void runTo(double until) {
    while (run.isBefore(until)) {
      ask();
      double next = until;
      for (Actor actor : actors) {
        next = Math.min(next, actor.next(run.moment()));
      }
      run.runTo(Math.max(next, run.time())).forEach(water);
    }
  }

  /** Asks all who want to be asked now. */
  public void ask() {
    for (Actor actor : actors) {
      while (Actor.isDue(actor.next(run.moment()), run.moment())) {
        for (Actor.Act act : actor.act(run.moment())) {
          List<Event> followed = new ArrayList<>(run.set(act.part(), act.position()));
          followed.removeIf(h -> h.kind() == Event.Kind.HAND);
          acts.accept(run.time(), act);
          followed.forEach(water);
        }
      }
    }
  }
}
