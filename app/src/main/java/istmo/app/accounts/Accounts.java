package istmo.app.accounts;

import istmo.app.accounts.persistence.CoachEntity;
import istmo.app.accounts.persistence.CoachRepository;
import istmo.app.accounts.persistence.SignInFailureEntity;
import istmo.app.accounts.persistence.SignInFailureRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.Transactions;
import istmo.core.quantity.InvalidInput;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Coaches' accounts and their passwords. */
@Service
public class Accounts {
  /**
   * The first coach on this machine, and the demo's. What was kept before there was a sign-in
   * belongs to it.
   */
  public static final UUID FIRST = UUID.fromString("0f3e3a52-9d0b-4c1c-8a58-5b7c3f1d2e01");

  private static final int SHORTEST = 10;

  /** bcrypt takes no more bytes. */
  private static final int LONGEST_BYTES = 72;

  private static final int STRENGTH = 12;

  private final CoachRepository coaches;
  private final SignInFailureRepository failures;
  private final Clock clock;
  private final Transactions transactions;
  private final boolean demo;
  private final PasswordEncoder passwords = new BCryptPasswordEncoder(STRENGTH);

  /** Checked when there is no such coach, so that the answer takes as long. */
  private final String nobody = passwords.encode("nobody has this password");

  Accounts(
      CoachRepository coaches,
      SignInFailureRepository failures,
      Clock clock,
      Transactions transactions,
      @Value("${istmo.demo}") boolean demo) {
    this.transactions = transactions;
    this.coaches = coaches;
    this.failures = failures;
    this.clock = clock;
    this.demo = demo;
  }

  /** Makes the demo's coach, where this is the demo and there is none yet. */
  @EventListener(ApplicationStartedEvent.class)
  @Order(1)
  @Transactional
  public void ensureDemoCoach() {
    if (demo && !coaches.existsById(FIRST)) {
      coaches.save(new CoachEntity(FIRST, "Demo coach", clock.instant()));
    }
  }

  /** Whether this is the demo. */
  public boolean isDemo() {
    return demo;
  }

  /** Whether nobody can sign in yet. */
  @Transactional(readOnly = true)
  public boolean isFirstRun() {
    return !demo && !coaches.existsByPasswordHashNotNull();
  }

  /** The coach with this id; empty when there is none. */
  @Transactional(readOnly = true)
  public Optional<Coach> coach(UUID id) {
    return coaches.findById(id).map(c -> new Coach(c.getId(), c.getName()));
  }

  /** The first account of a fresh installation; afterwards only a signed-in coach adds others. */
  public Coach createFirst(String name, String signInName, String password) {
    checkFirstRun();
    checkNew(FIRST, signInName, password);
    String hash = passwords.encode(password);
    return transactions.write(
        () -> {
          checkFirstRun();
          CoachEntity e =
              coaches.findById(FIRST).orElseGet(() -> new CoachEntity(FIRST, "", clock.instant()));
          return write(e, name, signInName, hash);
        });
  }

  private void checkFirstRun() {
    if (!isFirstRun()) {
      throw new Conflict("There is an account already. Sign in, or let its coach add you.");
    }
  }

  /** Adds a coach; throws {@link InvalidInput} that names every field at fault. */
  public Coach add(String name, String signInName, String password) {
    if (demo) {
      throw new Conflict("The demo has one coach. Nothing was added.");
    }
    UUID id = UUID.randomUUID();
    checkNew(id, signInName, password);
    String hash = passwords.encode(password);
    return transactions.write(
        () -> write(new CoachEntity(id, "", clock.instant()), name, signInName, hash));
  }

  private void checkNew(UUID id, String signInName, String password) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    String key = key(signInName);
    if (key.length() < 3 || key.length() > Names.LONGEST) {
      faults.add(
          new InvalidInput.Fault("signInName", "needs 3 to " + Names.LONGEST + " characters"));
    } else if (coaches.findBySignInName(key).filter(c -> !c.getId().equals(id)).isPresent()) {
      faults.add(new InvalidInput.Fault("signInName", "is in use"));
    }
    checkPassword(faults, "password", password);
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  private Coach write(CoachEntity e, String name, String signInName, String hash) {
    e.setName(Names.checked(name));
    e.setPassword(key(signInName), hash);
    coaches.saveAndFlush(e);
    return new Coach(e.getId(), e.getName());
  }

  /**
   * The coach with this name and password, or empty; waits grow with failures in a row. Throws
   * {@link TooManyTries} while a name has to wait, whatever the password.
   */
  public Optional<Coach> check(String signInName, String password) {
    String key = key(signInName);
    if (key.length() > Names.LONGEST) {
      return Optional.empty();
    }
    Optional<CoachEntity> coach = transactions.write(() -> asking(key));
    boolean right =
        matches(password, coach.map(CoachEntity::getPasswordHash).orElse(nobody))
            && coach.isPresent();
    if (!right) {
      transactions.write(() -> failures.count(key, clock.instant()));
      return Optional.empty();
    }
    transactions.write(() -> failures.deleteById(key));
    return coach.map(c -> new Coach(c.getId(), c.getName()));
  }

  /** Whose password is to be compared; throws {@link TooManyTries} while the name has to wait. */
  private Optional<CoachEntity> asking(String key) {
    failures.deleteByLastAtBefore(clock.instant().minus(BackOff.FORGOTTEN));
    failures.findById(key).ifPresent(this::checkWaited);
    return coaches.findBySignInName(key);
  }

  private void checkWaited(SignInFailureEntity failed) {
    Duration left =
        Duration.between(
            clock.instant(), failed.getLastAt().plus(BackOff.after(failed.getFailures())));
    if (!left.isNegative() && !left.isZero()) {
      throw new TooManyTries(left.toSeconds() + 1);
    }
  }

  /** Changes the password; the old one has to be right. */
  public void changePassword(UUID coachId, String old, String next) {
    CoachEntity e = withPassword(coachId);
    List<InvalidInput.Fault> faults = new ArrayList<>();
    if (!matches(old, e.getPasswordHash())) {
      faults.add(new InvalidInput.Fault("oldPassword", "is not right"));
    }
    checkPassword(faults, "newPassword", next);
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    String hash = passwords.encode(next);
    transactions.write(() -> withPassword(coachId).setPassword(e.getSignInName(), hash));
  }

  private CoachEntity withPassword(UUID coachId) {
    return coaches
        .findById(coachId)
        .filter(c -> c.getPasswordHash() != null)
        .orElseThrow(() -> new Conflict("The demo's coach has no password."));
  }

  private boolean matches(String password, String hash) {
    return password != null
        && password.getBytes(StandardCharsets.UTF_8).length <= LONGEST_BYTES
        && passwords.matches(password, hash);
  }

  private static void checkPassword(
      List<InvalidInput.Fault> faults, String field, String password) {
    if (password == null
        || password.length() < SHORTEST
        || password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
      faults.add(
          new InvalidInput.Fault(
              field,
              "needs at least "
                  + SHORTEST
                  + " characters, and at most "
                  + LONGEST_BYTES
                  + " bytes"));
    }
  }

  private static String key(String signInName) {
    return signInName == null ? "" : signInName.trim().toLowerCase(Locale.ROOT);
  }
}
