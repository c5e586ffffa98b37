package istmo.core.computing;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;

/**
 * Spreads independent parts of a computation over several threads.
 *
 * <p>The thread that asks computes parts itself, and workers help it as far as they are free. So a
 * small computation never waits behind a large one that somebody else has begun. There is one
 * worker for each processor; they are Istmo's own threads. The common pool of the Java runtime is
 * not used, because libraries run their housekeeping there.
 *
 * <p>A worker never waits for other work: a computation that is started inside a part runs on the
 * thread of that part, and {@link Kept} lets a worker compute instead of wait. A thread that asks
 * waits only for parts that a worker has begun, and for results that another such thread is
 * computing. So threads cannot block one another.
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
      setPriority(MIN_PRIORITY); // what is only read and written goes first
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
    Parts shared = new Parts(parts, part);
    for (int helper = 1; helper < Math.min(parts, THREADS + 1); helper++) {
      POOL.execute(shared);
    }
    shared.run();
    shared.awaitAll();
  }

  /** Parts that several threads take one after the other until none is left. */
  private static final class Parts implements Runnable {
    private final int count;
    private final IntConsumer part;
    private final AtomicInteger next = new AtomicInteger();
    private final CountDownLatch running;
    private final AtomicReference<@Nullable Throwable> firstFailure = new AtomicReference<>();

    Parts(int count, IntConsumer part) {
      this.count = count;
      this.part = part;
      this.running = new CountDownLatch(count);
    }

    @Override
    public void run() {
      for (int k = next.getAndIncrement(); k < count; k = next.getAndIncrement()) {
        try {
          part.accept(k);
        } catch (RuntimeException | Error e) {
          firstFailure.compareAndSet(null, e);
        } finally {
          running.countDown();
        }
      }
    }

    /**
     * Waits for the parts that others have begun, even when this thread is interrupted: parts share
     * the caller's arrays and must have ended when it goes on.
     */
    void awaitAll() {
      boolean interrupted = false;
      while (running.getCount() > 0) {
        try {
          running.await();
        } catch (InterruptedException e) {
          interrupted = true;
        }
      }
      if (interrupted) {
        Thread.currentThread().interrupt();
      }
      Throwable failure = firstFailure.get();
      if (failure != null) {
        throw unchecked(failure);
      }
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
