package istmo.app.accounts;

import istmo.app.accounts.persistence.SignInFailureEntity;
import istmo.app.accounts.persistence.SignInFailureRepository;
import istmo.app.platform.Transactions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Counts guesses of passwords. A try is counted as a failure before the password is compared, and
 * taken back when it was right: so guesses at the same moment do not share a count.
 */
@Component
class Guesses {
  /** So often a count is tried again when others count at the same moment. */
  private static final int MOST_CLASHES = 20;

  private final SignInFailureRepository failures;
  private final Transactions transactions;
  private final Clock clock;

  Guesses(SignInFailureRepository failures, Transactions transactions, Clock clock) {
    this.failures = failures;
    this.transactions = transactions;
    this.clock = clock;
  }

  /**
   * Counts a try; throws {@link TooManyTries} while what is counted has to wait ({@link BackOff}).
   *
   * @param counted a name from an address, or a coach's change of password
   */
  void count(String counted) {
    transactions.write(
        () -> failures.deleteByLastAtBefore(clock.instant().minus(BackOff.FORGOTTEN)));
    for (int k = 0; k < MOST_CLASHES; k++) {
      if (transactions.write(() -> counts(counted))) {
        return;
      }
    }
    throw new TooManyTries(1);
  }

  private boolean counts(String counted) {
    Instant now = clock.instant();
    Optional<SignInFailureEntity> before = failures.findById(counted);
    if (before.isEmpty()) {
      return failures.first(counted, now) == 1;
    }
    int seen = before.get().getFailures();
    Duration wait = BackOff.after(seen);
    Duration left = Duration.between(now, before.get().getLastAt().plus(wait));
    if (!wait.isZero() && !left.isNegative() && !left.isZero()) {
      throw new TooManyTries(left.toSeconds() + 1);
    }
    return failures.oneMore(counted, seen, now) == 1;
  }

  /** The try was right: everything that was counted is forgotten. */
  void right(String counted) {
    transactions.write(() -> failures.deleteById(counted));
  }
}
