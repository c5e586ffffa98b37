package istmo.core.computing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

class KeptTest {
  private static final int CALLERS = 24;

  @Test
  @Timeout(60)
  void many_results_at_once_in_a_small_cache_whose_computations_use_the_workers_all_come()
      throws Exception {
    Kept<Integer, Integer> inner = Kept.atMost(5);
    Kept<Integer, Integer> outer = Kept.atMost(5);
    List<Integer> found =
        inParallel(
            400,
            n ->
                outer.get(
                    n,
                    k ->
                        inner.get(
                            k % 200,
                            j ->
                                Workers.map(IntStream.range(0, 50).boxed().toList(), i -> i + j)
                                    .stream()
                                    .mapToInt(i -> i)
                                    .sum())));
    for (int n = 0; n < 400; n++) {
      assertThat(found.get(n)).isEqualTo(49 * 50 / 2 + 50 * (n % 200));
    }
  }

  @Test
  @Timeout(60)
  void a_worker_computes_for_itself_what_another_thread_is_computing_with_the_help_of_the_workers()
      throws Exception {
    Kept<String, Integer> shared = Kept.atMost(10);
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch asked = new CountDownLatch(1);
    ExecutorService threads = Executors.newFixedThreadPool(1);
    try {
      Future<Integer> outside =
          threads.submit(
              () ->
                  shared.get(
                      "key",
                      key -> {
                        begun.countDown();
                        await(asked);
                        return Workers.map(List.of(1, 2, 3), i -> i).size();
                      }));
      await(begun);
      List<Integer> inside = new CopyOnWriteArrayList<>();
      CountDownLatch workersDone = new CountDownLatch(3);
      Workers.run(
          4,
          part -> {
            if (Workers.isWorker()) {
              inside.add(shared.get("key", key -> -1));
              workersDone.countDown();
            } else {
              await(workersDone); // the thread that asks keeps one part, so workers take the others
            }
          });
      asked.countDown();
      assertThat(inside).isNotEmpty().containsOnly(-1);
      assertThat(outside.get(30, TimeUnit.SECONDS)).isEqualTo(3);
    } finally {
      threads.shutdownNow();
    }
  }

  @Test
  void one_key_is_computed_once_however_many_ask_for_it_at_once() throws Exception {
    Kept<String, Integer> kept = Kept.atMost(10);
    AtomicInteger computed = new AtomicInteger();
    List<Integer> found =
        inParallel(CALLERS, n -> kept.get("same", key -> computed.incrementAndGet()));
    assertThat(found).containsOnly(1);
    assertThat(computed).hasValue(1);
  }

  @Test
  void what_failed_is_not_kept_and_its_exception_is_the_callers() {
    Kept<String, Integer> kept = Kept.atMost(10);
    assertThatThrownBy(() -> kept.get("a", key -> failing("first")))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("first");
    assertThat(kept.get("a", key -> 7)).isEqualTo(7);
  }

  @Test
  @Timeout(60)
  void a_small_computation_does_not_wait_for_workers_that_are_busy_with_a_large_one()
      throws Exception {
    CountDownLatch busy = new CountDownLatch(Workers.count() + 1);
    CountDownLatch over = new CountDownLatch(1);
    ExecutorService threads = Executors.newFixedThreadPool(1);
    try {
      Future<?> large =
          threads.submit(
              () ->
                  Workers.run(
                      10 * Workers.count(),
                      part -> {
                        busy.countDown();
                        await(over);
                      }));
      await(busy);
      assertThat(Workers.map(List.of(1, 2, 3), i -> i + 1)).containsExactly(2, 3, 4);
      over.countDown();
      large.get(30, TimeUnit.SECONDS);
    } finally {
      threads.shutdownNow();
    }
  }

  @Test
  void a_part_that_fails_is_reported_after_the_others_have_ended() {
    AtomicInteger ended = new AtomicInteger();
    assertThatThrownBy(
            () ->
                Workers.run(
                    5,
                    part -> {
                      if (part == 0) {
                        failing("part 0");
                      }
                      sleep(Duration.ofMillis(20));
                      ended.incrementAndGet();
                    }))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("part 0");
    assertThat(ended).hasValue(4);
  }

  private interface Call {
    Integer of(int number) throws Exception;
  }

  private static List<Integer> inParallel(int calls, Call call) throws Exception {
    ExecutorService threads = Executors.newFixedThreadPool(CALLERS);
    try {
      List<Future<Integer>> running = new ArrayList<>();
      for (int n = 0; n < calls; n++) {
        int number = n;
        running.add(threads.submit(() -> call.of(number)));
      }
      List<Integer> results = new ArrayList<>();
      for (Future<Integer> f : running) {
        results.add(f.get(30, TimeUnit.SECONDS));
      }
      return results;
    } finally {
      threads.shutdownNow();
    }
  }

  private static int failing(String message) {
    throw new IllegalArgumentException(message);
  }

  private static void await(CountDownLatch latch) {
    try {
      assertThat(latch.await(30, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void sleep(Duration time) {
    try {
      Thread.sleep(time.toMillis());
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
