package istmo.app.accounts;

import istmo.app.accounts.persistence.CoachEntity;
import istmo.app.accounts.persistence.CoachRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.Transactions;
import istmo.app.platform.Turns;
import istmo.core.quantity.InvalidInput;
import java.text.Normalizer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
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

  private final CoachRepository coaches;
  private final Guesses guesses;
  private final Clock clock;
  private final Transactions transactions;
  private final boolean demo;

  /**
   * Passwords are compared one after the other: it takes a quarter of a second of a processor, and
   * anybody may ask for it. Whoever is signed in does not wait for them.
   */
  private final Turns turns = new Turns(1);

  /** Checked when there is no such coach, so that the answer takes as long. */
  private final String nobody = Passwords.hash("nobody has this password");

  Accounts(
      CoachRepository coaches,
      Guesses guesses,
      Clock clock,
      Transactions transactions,
      @Value("${istmo.demo}") boolean demo) {
    this.transactions = transactions;
    this.coaches = coaches;
    this.guesses = guesses;
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
    return coaches.findById(id).map(entity -> new Coach(entity.getId(), entity.getName()));
  }

  /** The first account of a fresh installation; afterwards only a signed-in coach adds others. */
  public Coach createFirst(String name, String signInName, String password) {
    checkFirstRun();
    checkNew(FIRST, name, signInName, password);
    String hash = Passwords.hash(password);
    return transactions.write(
        () -> {
          checkFirstRun();
          CoachEntity entity =
              coaches.findById(FIRST).orElseGet(() -> new CoachEntity(FIRST, "", clock.instant()));
          return write(entity, name, signInName, hash);
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
    checkNew(id, name, signInName, password);
    String hash = Passwords.hash(password);
    return transactions.write(
        () -> write(new CoachEntity(id, "", clock.instant()), name, signInName, hash));
  }

  private void checkNew(UUID id, String name, String signInName, String password) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    InvalidInput.gather(faults, "", () -> Names.checked(name));
    String key = key(signInName);
    if (key.length() < 3
        || key.length() > Names.LONGEST
        || key.chars().anyMatch(Character::isISOControl)) {
      faults.add(
          new InvalidInput.Fault(
              "signInName", "needs 3 to " + Names.LONGEST + " visible characters"));
    } else if (coaches
        .findBySignInName(key)
        .filter(entity -> !entity.getId().equals(id))
        .isPresent()) {
      faults.add(new InvalidInput.Fault("signInName", "is in use"));
    }
    Passwords.fault("password", password).ifPresent(faults::add);
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  private Coach write(CoachEntity entity, String name, String signInName, String hash) {
    entity.setName(Names.checked(name));
    entity.setPassword(key(signInName), hash);
    coaches.saveAndFlush(entity);
    return new Coach(entity.getId(), entity.getName());
  }

  /**
   * The coach with this name and password, or empty; waits grow with failures in a row. Throws
   * {@link TooManyTries} while this name has to wait at this address, whatever the password: who
   * guesses from elsewhere keeps nobody out.
   *
   * @param address that the try comes from
   */
  public Optional<Coach> check(String signInName, String password, String address) {
    String key = key(signInName);
    if (key.length() > Names.LONGEST) {
      return Optional.empty();
    }
    return turns.take(() -> checked(key, password, key + " " + address));
  }

  private Optional<Coach> checked(String key, String password, String fromThere) {
    guesses.count(fromThere);
    Optional<CoachEntity> coach = coaches.findBySignInName(key);
    boolean right =
        Passwords.matches(password, coach.map(CoachEntity::getPasswordHash).orElse(nobody))
            && coach.isPresent();
    if (!right) {
      return Optional.empty();
    }
    guesses.right(fromThere);
    return coach.map(entity -> new Coach(entity.getId(), entity.getName()));
  }

  /**
   * Changes the password; the old one has to be right. Throws {@link TooManyTries} as {@link
   * #check} does.
   */
  public void changePassword(UUID coachId, String old, String next) {
    CoachEntity entity = withPassword(coachId);
    String counted = "change " + coachId;
    guesses.count(counted);
    List<InvalidInput.Fault> faults = new ArrayList<>();
    if (Passwords.matches(old, entity.getPasswordHash())) {
      guesses.right(counted);
    } else {
      faults.add(new InvalidInput.Fault("oldPassword", "is not right"));
    }
    Passwords.fault("newPassword", next).ifPresent(faults::add);
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    String hash = Passwords.hash(next);
    transactions.write(() -> withPassword(coachId).setPassword(entity.getSignInName(), hash));
  }

  private CoachEntity withPassword(UUID coachId) {
    return coaches
        .findById(coachId)
        .filter(entity -> entity.getPasswordHash() != null)
        .orElseThrow(() -> new Conflict("The demo's coach has no password."));
  }

  /** One name however it is typed: signs of one look, blanks and capitals make no other name. */
  static String key(String signInName) {
    return signInName == null
        ? ""
        : Normalizer.normalize(signInName, Normalizer.Form.NFKC)
            .strip()
            .replaceAll("\\s+", " ")
            .toLowerCase(Locale.ROOT);
  }
}
