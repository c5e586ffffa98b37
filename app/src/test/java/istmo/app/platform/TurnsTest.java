package istmo.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** As many compute at once as there are processors; the others wait, and not without a bound. */
class TurnsTest {
  private static final int PROCESSORS = Runtime.getRuntime().availableProcessors();
  private static final int WAITING = 60;

  @Test
  void fewComputeAtOnceAndWhoIsOneTooManyIsToldSo() throws Exception {
    Turns turns = new Turns();
    AtomicInteger most = new AtomicInteger();
    AtomicInteger now = new AtomicInteger();
    CountDownLatch go = new CountDownLatch(1);
    CountDownLatch computing = new CountDownLatch(PROCESSORS);
    ExecutorService threads = Executors.newCachedThreadPool();
    try {
      List<Future<Integer>> asked = new ArrayList<>();
      for (int k = 0; k < PROCESSORS + WAITING; k++) {
        asked.add(
            threads.submit(
                () ->
                    turns.take(
                        () -> {
                          most.accumulateAndGet(now.incrementAndGet(), Math::max);
                          computing.countDown();
                          await(go);
                          now.decrementAndGet();
                          return Thread.currentThread().getPriority();
                        })));
      }
      assertThat(computing.await(1, TimeUnit.MINUTES)).isTrue();
      while (turns.waiting() < WAITING) {
        Thread.onSpinWait();
      }
      Future<Integer> oneTooMany = threads.submit(() -> turns.take(() -> 1));
      assertThatThrownBy(oneTooMany::get)
          .isInstanceOf(ExecutionException.class)
          .hasCauseInstanceOf(Busy.class);
      go.countDown();
      for (Future<Integer> one : asked) {
        assertThat(one.get(1, TimeUnit.MINUTES)).isEqualTo(Thread.MIN_PRIORITY);
      }
      assertThat(most).hasValue(PROCESSORS);
    } finally {
      threads.shutdownNow();
    }
  }

  /** A computation within a computation must not wait for the turn that it has itself. */
  @Test
  void aTurnWithinATurnIsTheSame() {
    Turns turns = new Turns();
    int before = Thread.currentThread().getPriority();
    assertThat(turns.<Integer>take(() -> turns.<Integer>take(() -> turns.take(() -> 3))))
        .isEqualTo(3);
    assertThat(Thread.currentThread().getPriority()).isEqualTo(before);
  }

  private static void await(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
