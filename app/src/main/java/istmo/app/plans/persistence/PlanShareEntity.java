package istmo.app.plans.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A link that lets a client read a plan until it is revoked. */
@Entity
@Table(name = "week_share")
public class PlanShareEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID planId;
  private String tokenHash;
  private Instant createdAt;
  private Instant revokedAt;

  protected PlanShareEntity() {}

  /** A link to a plan; of its token only the hash is kept. */
  public PlanShareEntity(UUID id, UUID coachId, UUID planId, String tokenHash, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.planId = planId;
    this.tokenHash = tokenHash;
    this.createdAt = createdAt;
  }

  /** The link leads nowhere from now on. */
  public void revoke(Instant at) {
    revokedAt = at;
  }

  public UUID getCoachId() {
    return coachId;
  }

  public UUID getPlanId() {
    return planId;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }
}
