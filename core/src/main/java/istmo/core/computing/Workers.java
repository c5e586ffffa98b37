package istmo.core.computing;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;

/**
 * Spreads independent parts of a computation over a fixed number of threads, one for each
 * processor.
 *
 * <p>The threads are Istmo's own. The common pool of the Java runtime is not used, because
 * libraries run their housekeeping there.
 *
 * <p>A worker thread never waits for other work: a computation that is started inside a part runs
 * on the thread of that part, and {@link Kept} lets a worker compute instead of wait. So workers
 * cannot block one another.
 */
public final class Workers {
  private static final int THREADS = Runtime.getRuntime().availableProcessors();

  private static final ExecutorService POOL = Executors.newFixedThreadPool(THREADS, threads());

  private Workers() {}

  /** A thread of the pool; its type says that it must not wait. */
  private static final class Worker extends Thread {
    Worker(Runnable task, String name) {
      super(task, name);
      setDaemon(true);
    }
  }

  private static ThreadFactory threads() {
    AtomicInteger number = new AtomicInteger();
    return task -> new Worker(task, "istmo-worker-" + number.incrementAndGet());
  }

  /** How many parts can run at the same time; at least 1. */
  public static int count() {
    return THREADS;
  }

  /** Whether the calling thread is a worker. */
  static boolean isWorker() {
    return Thread.currentThread() instanceof Worker;
  }

  /**
   * Runs the parts 0 to {@code parts - 1} and returns when all are done.
   *
   * @throws RuntimeException or Error the first one that a part threw; the other parts have ended
   *     by then
   */
  public static void run(int parts, IntConsumer part) {
    if (parts <= 1 || isWorker()) {
      for (int k = 0; k < parts; k++) {
        part.accept(k);
      }
      return;
    }
    List<Future<?>> running = new ArrayList<>(parts);
    for (int k = 0; k < parts; k++) {
      int number = k;
      running.add(POOL.submit(() -> part.accept(number)));
    }
    @Nullable Throwable first = null;
    for (Future<?> f : running) {
      Throwable failure = failureOf(f);
      if (first == null) {
        first = failure;
      }
    }
    if (first != null) {
      throw unchecked(first);
    }
  }

  /**
   * Applies a function to every item, in parts that are spread over the workers. The results stand
   * in the order of the items.
   */
  public static <T, R> List<R> map(List<T> items, Function<? super T, ? extends R> function) {
    List<R> results = new ArrayList<>(items.size());
    for (int k = 0; k < items.size(); k++) {
      results.add(null);
    }
    int parts = Math.min(items.size(), THREADS);
    run(
        parts,
        part -> {
          for (int k = part; k < items.size(); k += parts) {
            results.set(k, function.apply(items.get(k)));
          }
        });
    return List.copyOf(results);
  }

  /**
   * Waits for a part, even when the waiting thread is interrupted: parts share the caller's arrays
   * and must have ended when it goes on.
   */
  private static @Nullable Throwable failureOf(Future<?> part) {
    boolean interrupted = false;
    try {
      while (true) {
        try {
          part.get();
          return null;
        } catch (ExecutionException e) {
          return e.getCause() == null ? e : e.getCause();
        } catch (InterruptedException e) {
          interrupted = true;
        }
      }
    } finally {
      if (interrupted) {
        Thread.currentThread().interrupt();
      }
    }
  }

  static RuntimeException unchecked(Throwable failure) {
    if (failure instanceof RuntimeException e) {
      return e;
    }
    if (failure instanceof Error e) {
      throw e;
    }
    return new IllegalStateException(failure);
  }
}
