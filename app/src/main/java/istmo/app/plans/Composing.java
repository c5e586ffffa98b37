package istmo.app.plans;

import istmo.app.platform.NotFound;
import istmo.core.plan.Composer;
import istmo.core.plan.Composition;
import istmo.core.plan.Planned;
import istmo.core.plan.Shortfall;
import istmo.core.plan.Task;
import istmo.core.quantity.Allowed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/**
 * Searches for weeks. Those that are running in this instance can be followed and stopped; each
 * belongs to a plan, which belongs to a coach.
 */
@Service
public class Composing {
  private static final Allowed SECONDS = new Allowed(0.5, Composer.MOST_S, "s");

  private final Map<UUID, Run> runs = new ConcurrentHashMap<>();
  private final Plans plans;
  private final PlanStore store;

  Composing(Plans plans, PlanStore store) {
    this.store = store;
    this.plans = plans;
  }

  private static final class Run {
    private final UUID planId;
    private final Composer composer;
    private volatile Composer.Progress progress = new Composer.Progress(0, -1, -1);

    Run(UUID planId, Composer composer) {
      this.planId = planId;
      this.composer = composer;
    }
  }

  /**
   * What a search found.
   *
   * @param answer empty where what is pinned leaves no week, or it was stopped too early
   * @param obstacles why there is none, in words
   */
  public record Composed(Plan plan, Optional<Composer.Answer> answer, List<String> obstacles) {}

  /**
   * Fills the week beside what is pinned. Not in one transaction: a search takes seconds, and the
   * week may be changed elsewhere meanwhile; then nothing is kept.
   *
   * @param run an id made by the asker, by which the search is followed and stopped
   */
  public Composed compose(UUID planId, int version, UUID run, double seconds) {
    SECONDS.check("seconds", seconds);
    Plan plan = plans.get(planId);
    if (plan.version() != version) {
      throw PlanStore.changedElsewhere();
    }
    Task task = plan.task();
    Run search = new Run(planId, new Composer(task).from(plan.week()));
    runs.put(run, search);
    Optional<Composer.Answer> answer;
    try {
      answer = search.composer.compose(seconds, progress -> search.progress = progress);
    } finally {
      runs.remove(run);
    }
    if (answer.isEmpty()) {
      return new Composed(plan, answer, Shortfall.obstacles(task));
    }
    Planned.Week week =
        Composition.week(
            task, answer.get(), plan.arrangement()::of, () -> UUID.randomUUID().toString());
    return new Composed(
        plans.change(planId, version, "composed", plan.document().with(week)), answer, List.of());
  }

  /** How far a running search has come; throws {@code NotFound} when it does not run here. */
  public Composer.Progress progress(UUID planId, UUID run) {
    return get(planId, run).progress;
  }

  /** Ends a running search with the best that it has found. */
  public void stop(UUID planId, UUID run) {
    get(planId, run).composer.stop();
  }

  private Run get(UUID planId, UUID run) {
    store.check(planId);
    Run found = runs.get(run);
    if (found == null || !found.planId.equals(planId)) {
      throw new NotFound("search");
    }
    return found;
  }
}
