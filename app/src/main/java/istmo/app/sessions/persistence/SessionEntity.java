package istmo.app.sessions.persistence;

import istmo.app.sessions.SessionBrief;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A session of one client in one gym, with the brief it was made for. */
@Entity
@Table(name = "training_session")
public class SessionEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private UUID gymId;

  @JdbcTypeCode(SqlTypes.JSON)
  private SessionBrief brief;

  private Instant createdAt;
  private Instant finishedAt;
  private Instant removedAt;

  protected SessionEntity() {}

  /** A session that has begun. */
  public SessionEntity(
      UUID id, UUID coachId, UUID clientId, UUID gymId, SessionBrief brief, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.gymId = gymId;
    this.brief = brief;
    this.createdAt = createdAt;
  }

  /** It ended then. */
  public void finish(Instant at) {
    finishedAt = at;
  }

  /** It goes on: nothing more is said of its end. */
  public void reopen() {
    finishedAt = null;
  }

  /** Takes it out of lists. */
  public void takeOut(Instant at) {
    removedAt = at;
  }

  /** Puts it back into lists. */
  public void putBack() {
    removedAt = null;
  }

  public boolean isTakenOut() {
    return removedAt != null;
  }

  public UUID getId() {
    return id;
  }

  public UUID getCoachId() {
    return coachId;
  }

  public UUID getClientId() {
    return clientId;
  }

  public UUID getGymId() {
    return gymId;
  }

  public SessionBrief getBrief() {
    return brief;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }

  public Instant getFinishedAt() {
    return finishedAt;
  }
}
