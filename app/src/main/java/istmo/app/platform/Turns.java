package istmo.app.platform;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Lets only so many requests compute at a time, one for each processor; the others wait in the
 * order in which they came. Threads of requests are few, and without this some new clients' orders
 * would hold all of them, so that a set from the floor waited for seconds. Who has a turn computes
 * at the lowest priority, so that what is only read and written goes first (the starters tell Java
 * to mind priorities).
 *
 * <p>A turn is taken before any cache is asked: whoever has promised a result to others has a turn
 * already, so nobody who has one waits for somebody who has none.
 */
@Component
public final class Turns implements MeterBinder {
  /** Requests that may wait for a turn; the rest are told to come again. */
  private static final int MOST_WAITING = 60;

  private static final int LONGEST_WAIT_S = 60;

  private final Semaphore free;
  private final ThreadLocal<Boolean> hasOne = ThreadLocal.withInitial(() -> false);

  /** As many at a time as there are processors. */
  public Turns() {
    this(Runtime.getRuntime().availableProcessors());
  }

  /** So many at a time. */
  public Turns(int atOnce) {
    this.free = new Semaphore(atOnce, /* fair= */ true);
  }

  /**
   * Computes once it is this thread's turn; at once where the thread has one already.
   *
   * @throws Busy where too many wait, or the turn does not come within {@value #LONGEST_WAIT_S} s
   */
  public <T> T take(Supplier<T> computation) {
    if (hasOne.get()) {
      return computation.get();
    }
    awaitTurn();
    int usual = Thread.currentThread().getPriority();
    hasOne.set(true);
    Thread.currentThread().setPriority(Thread.MIN_PRIORITY);
    try {
      return computation.get();
    } finally {
      Thread.currentThread().setPriority(usual);
      hasOne.remove();
      free.release();
    }
  }

  @Override
  public void bindTo(MeterRegistry figures) {
    figures.gauge("istmo.turns.waiting", this, Turns::waiting);
  }

  /** How many wait for a turn. */
  int waiting() {
    return free.getQueueLength();
  }

  private void awaitTurn() {
    try {
      if (waiting() >= MOST_WAITING || !free.tryAcquire(LONGEST_WAIT_S, TimeUnit.SECONDS)) {
        throw new Busy(
            "Too much is being worked out at this moment. Try again in a minute; nothing was"
                + " changed.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Busy("The server is being stopped. Try again in a minute; nothing was changed.");
    }
  }
}
