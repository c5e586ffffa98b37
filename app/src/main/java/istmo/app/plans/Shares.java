package istmo.app.plans;

import istmo.app.accounts.CurrentCoach;
import istmo.app.plans.persistence.PlanShareEntity;
import istmo.app.plans.persistence.PlanShareRepository;
import istmo.app.platform.NotFound;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Links by which a client reads a plan: read-only, until they are revoked. Whoever has the link
 * reads it, so it holds no health notes; only a hash of it is kept.
 */
@Service
public class Shares {
  private static final int TOKEN_BYTES = 32;

  private final PlanShareRepository shares;
  private final Plans plans;
  private final PlanStore store;
  private final CurrentCoach coach;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  Shares(
      PlanShareRepository shares, Plans plans, PlanStore store, CurrentCoach coach, Clock clock) {
    this.shares = shares;
    this.plans = plans;
    this.store = store;
    this.coach = coach;
    this.clock = clock;
  }

  /** A new link's token; it is shown this once. */
  @Transactional
  public String share(UUID planId) {
    store.check(planId);
    byte[] bytes = new byte[TOKEN_BYTES];
    random.nextBytes(bytes);
    String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    shares.save(
        new PlanShareEntity(UUID.randomUUID(), coach.id(), planId, hash(token), clock.instant()));
    return token;
  }

  /** When the links that are out were made. */
  @Transactional(readOnly = true)
  public List<Instant> out(UUID planId) {
    store.check(planId);
    return shares.findByCoachIdAndPlanIdAndRevokedAtIsNull(coach.id(), planId).stream()
        .map(PlanShareEntity::getCreatedAt)
        .sorted()
        .toList();
  }

  /** Revokes every link of a plan. */
  @Transactional
  public void revoke(UUID planId) {
    store.check(planId);
    shares
        .findByCoachIdAndPlanIdAndRevokedAtIsNull(coach.id(), planId)
        .forEach(entity -> entity.revoke(clock.instant()));
  }

  /** The plan behind a link; {@link NotFound} where it is revoked or never was. */
  public Plan read(String token) {
    PlanShareEntity entity =
        shares
            .findByTokenHashAndRevokedAtIsNull(hash(token))
            .orElseThrow(() -> new NotFound("plan behind this link"));
    return coach.as(entity.getCoachId(), () -> plans.get(entity.getPlanId()));
  }

  private static String hash(String token) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
