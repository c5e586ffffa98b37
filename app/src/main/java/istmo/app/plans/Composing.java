package istmo.app.plans;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.Busy;
import istmo.app.platform.Conflict;
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
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/**
 * Searches for weeks. Those that are running in this instance can be followed and stopped; each
 * belongs to a plan, which belongs to a coach. Few run at once, so that searches leave the machine
 * to the floor; others wait for their turn. A coach has one search at a time, so that nobody waits
 * for the many searches of somebody else.
 */
@Service
public class Composing implements MeterBinder {
  private static final Allowed SECONDS = new Allowed(0.5, Composer.MOST_S, "s");

  /** How many may wait: the last one waits for some minutes at most. */
  private static final int MOST_WAITING = 20;

  private final Map<UUID, Run> runs = new ConcurrentHashMap<>();
  private final Set<UUID> searching = ConcurrentHashMap.newKeySet();
  private final ThreadPoolExecutor searches;
  private final Plans plans;
  private final PlanStore store;
  private final CurrentCoach coach;

  /**
   * @param atOnce how many searches run at the same time
   */
  Composing(
      Plans plans,
      PlanStore store,
      CurrentCoach coach,
      @Value("${istmo.searches.at-once}") int atOnce) {
    this.store = store;
    this.plans = plans;
    this.coach = coach;
    this.searches =
        new ThreadPoolExecutor(
            atOnce,
            atOnce,
            1,
            TimeUnit.MINUTES,
            new ArrayBlockingQueue<>(MOST_WAITING),
            Composing::thread);
    this.searches.allowCoreThreadTimeOut(true);
  }

  private static Thread thread(Runnable search) {
    Thread thread = new Thread(search, "search");
    thread.setDaemon(true);
    thread.setPriority(Thread.MIN_PRIORITY);
    return thread;
  }

  private static final class Run {
    private final UUID planId;
    private final Composer composer;
    private final FutureTask<Optional<Composer.Answer>> search;
    private volatile Composer.Progress progress = new Composer.Progress(0, -1, -1);
    private volatile boolean begun;

    Run(UUID planId, Composer composer, double seconds) {
      this.planId = planId;
      this.composer = composer;
      this.search =
          new FutureTask<>(
              () -> {
                begun = true;
                return composer.compose(seconds, better -> progress = better);
              });
    }

    /** Ends it: with the best that was found, or with nothing while it waits for its turn. */
    void stop() {
      composer.stop();
      if (!begun) {
        search.cancel(false);
      }
    }
  }

  /**
   * What a search found.
   *
   * @param answer empty where what is pinned leaves no week, or it was stopped too early
   * @param obstacles why there is none
   */
  public record Composed(
      Plan plan, Optional<Composer.Answer> answer, List<Shortfall.Obstacle> obstacles) {}

  /**
   * Fills the week beside what is pinned. Not in one transaction: a search takes seconds, and the
   * week may be changed elsewhere meanwhile; then nothing is kept.
   *
   * @param run an id made by the asker, by which the search is followed and stopped; {@link
   *     Conflict} where a search has it already
   */
  public Composed compose(UUID planId, int version, UUID run, double seconds) {
    SECONDS.check("seconds", seconds);
    Plan plan = plans.get(planId);
    if (plan.version() != version) {
      throw PlanStore.changedElsewhere();
    }
    Task task = plan.task();
    UUID asker = coach.id();
    if (!searching.add(asker)) {
      throw new Conflict("A search of yours is running. Stop it, or wait until it has ended.");
    }
    Optional<Composer.Answer> answer;
    try {
      answer = searched(run, new Run(planId, new Composer(task).from(plan.week()), seconds));
    } finally {
      searching.remove(asker);
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

  /** Waits for a turn and for the search. */
  private Optional<Composer.Answer> searched(UUID id, Run run) {
    if (runs.putIfAbsent(id, run) != null) {
      throw new Conflict("There is a search of that id already.");
    }
    try {
      searches.execute(run.search);
      return run.search.get();
    } catch (CancellationException e) {
      return Optional.empty(); // stopped while it waited
    } catch (RejectedExecutionException e) {
      throw new Busy("Too many searches are waiting. Try again in a minute; nothing was changed.");
    } catch (InterruptedException e) {
      run.stop();
      Thread.currentThread().interrupt();
      return Optional.empty();
    } catch (ExecutionException e) {
      throw e.getCause() instanceof RuntimeException fault
          ? fault
          : new IllegalStateException("a search has failed", e.getCause());
    } finally {
      runs.remove(id, run);
    }
  }

  @Override
  public void bindTo(MeterRegistry figures) {
    figures.gauge("istmo.searches.running", searches, ThreadPoolExecutor::getActiveCount);
    figures.gauge("istmo.searches.waiting", searches, pool -> pool.getQueue().size());
  }

  /** How far a running search has come; throws {@code NotFound} when it does not run here. */
  public Composer.Progress progress(UUID planId, UUID run) {
    return get(planId, run).progress;
  }

  /** Ends a running search with the best that it has found. */
  public void stop(UUID planId, UUID run) {
    get(planId, run).stop();
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
