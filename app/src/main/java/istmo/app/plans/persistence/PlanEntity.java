package istmo.app.plans.persistence;

import istmo.app.plans.PlanBrief;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A planned week: for whom, where, what for, and which of its revisions counts. */
@Entity
@Table(name = "week_plan")
public class PlanEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private UUID gymId;

  @JdbcTypeCode(SqlTypes.JSON)
  private PlanBrief brief;

  private int head;
  @Version private int version;
  private Instant createdAt;
  private Instant changedAt;

  /** Taken out of the list; it can be put back. */
  private Instant removedAt;

  protected PlanEntity() {}

  /** A plan at its first revision. */
  public PlanEntity(
      UUID id, UUID coachId, UUID clientId, UUID gymId, PlanBrief brief, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.gymId = gymId;
    this.brief = brief;
    this.createdAt = createdAt;
    this.changedAt = createdAt;
  }

  /** Another of its revisions is the one that counts. */
  public void moveTo(int revision, Instant at) {
    head = revision;
    changedAt = at;
  }

  /** Takes it out of lists. */
  public void remove(Instant at) {
    removedAt = at;
  }

  /** Puts it back into lists. */
  public void putBack() {
    removedAt = null;
  }

  public boolean isRemoved() {
    return removedAt != null;
  }

  public UUID getId() {
    return id;
  }

  public UUID getClientId() {
    return clientId;
  }

  public UUID getGymId() {
    return gymId;
  }

  public PlanBrief getBrief() {
    return brief;
  }

  public int getHead() {
    return head;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }

  public Instant getRemovedAt() {
    return removedAt;
  }

  public int getVersion() {
    return version;
  }

  public Instant getChangedAt() {
    return changedAt;
  }
}
