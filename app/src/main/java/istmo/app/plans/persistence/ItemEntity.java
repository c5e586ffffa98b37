package istmo.app.plans.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One exercise of a session, with its set-up. */
@Entity
@Table(name = "session_item")
public class ItemEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID sessionId;
  private int position;
  private String candidateId;

  @JdbcTypeCode(SqlTypes.JSON)
  private Map<String, Double> setup;

  /** What the plan asked for, in lines of words; null where none did. */
  @JdbcTypeCode(SqlTypes.JSON)
  private List<String> prescribed;

  private Instant createdAt;

  protected ItemEntity() {}

  public ItemEntity(UUID id, UUID coachId, UUID sessionId, int position, String candidateId, Map<String, Double> setup, List<String> prescribed, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.sessionId = sessionId;
    this.position = position;
    this.candidateId = candidateId;
    this.setup = setup;
    this.prescribed = prescribed.isEmpty() ? null : prescribed;
    this.createdAt = createdAt;
  }

  public UUID getId() {
    return id;
  }

  public UUID getCoachId() {
    return coachId;
  }

  public UUID getSessionId() {
    return sessionId;
  }

  public int getPosition() {
    return position;
  }

  public String getCandidateId() {
    return candidateId;
  }

  public Map<String, Double> getSetup() {
    return setup;
  }

  public void setSetup(Map<String, Double> newSetup) {
    setup = newSetup;
  }

  public List<String> getPrescribed() {
    return prescribed == null ? List.of() : prescribed;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }
}
