package istmo.app.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp;
import istmo.app.accounts.persistence.SignInFailureRepository;
import istmo.app.platform.Transactions;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningApp.class)
class GuessesTest {
  /**
   * Guesses at the same moment are counted one by one: five are tried, the others wait. The clock
   * stands still, because a slow machine would serve the waits of the sixth and seventh meanwhile.
   */
  @Test
  void guessesAtTheSameMomentShareNoCount() throws InterruptedException {
    SignInFailureRepository failures = RunningApp.bean(SignInFailureRepository.class);
    Clock still = Clock.fixed(Instant.now(), ZoneOffset.UTC);
    Guesses guesses = new Guesses(failures, RunningApp.bean(Transactions.class), still);
    AtomicInteger tried = new AtomicInteger();
    AtomicInteger waiting = new AtomicInteger();
    List<Thread> all = new ArrayList<>();
    for (int k = 0; k < 30; k++) {
      Thread guess =
          new Thread(
              () -> {
                try {
                  guesses.count("many.guesses");
                  tried.incrementAndGet();
                } catch (TooManyTries wait) {
                  waiting.incrementAndGet();
                }
              });
      all.add(guess);
      guess.start();
    }
    for (Thread guess : all) {
      guess.join();
    }
    assertThat(tried).hasValue(5);
    assertThat(waiting).hasValue(25);
    assertThat(failures.findById("many.guesses"))
        .get()
        .satisfies(entity -> assertThat(entity.getFailures()).isEqualTo(5));
  }
}
