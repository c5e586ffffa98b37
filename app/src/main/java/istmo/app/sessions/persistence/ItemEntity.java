package istmo.app.sessions.persistence;

import istmo.app.sessions.Asked;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.catalogue.CandidateId;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  /** Which exercises are done in turn; null for one by itself. */
  private Integer bout;

  @JdbcTypeCode(SqlTypes.JSON)
  private PrescriptionDocument prescription;

  private double loadShare;
  private boolean ended;
  private UUID seriesId;
  private Instant createdAt;

  protected ItemEntity() {}

  /** What is to be done: an exercise in a set-up, the series it belongs to, and what is asked. */
  public record Work(
      CandidateId candidateId, Map<String, Double> setup, UUID seriesId, Asked asked) {}

  /** An exercise at a place of a session. */
  public ItemEntity(
      UUID id, UUID coachId, UUID sessionId, int position, Work work, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.sessionId = sessionId;
    this.position = position;
    this.candidateId = work.candidateId().text();
    this.setup = work.setup();
    this.seriesId = work.seriesId();
    Asked asked = work.asked();
    this.prescribed = asked.words().isEmpty() ? null : asked.words();
    this.prescription = asked.prescription().orElse(null);
    this.bout = asked.bout().orElse(null);
    this.loadShare = asked.loadShare();
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

  public CandidateId getCandidateId() {
    return new CandidateId(candidateId);
  }

  public Map<String, Double> getSetup() {
    return setup;
  }

  /** Another set-up, and the series that it belongs to. */
  public void setSetup(Map<String, Double> newSetup, UUID newSeriesId) {
    setup = newSetup;
    seriesId = newSeriesId;
  }

  /** Another exercise took its place, or it was left: nothing more is asked of it. */
  public void end() {
    ended = true;
  }

  public boolean isEnded() {
    return ended;
  }

  public UUID getSeriesId() {
    return seriesId;
  }

  /** What was asked of it when it was pinned. */
  public Asked getAsked() {
    return new Asked(
        getPrescribed(), Optional.ofNullable(prescription), Optional.ofNullable(bout), loadShare);
  }

  public List<String> getPrescribed() {
    return prescribed == null ? List.of() : prescribed;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }
}
