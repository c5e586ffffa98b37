package istmo.app.floor.persistence;

import istmo.core.catalogue.CandidateId;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/**
 * Settings of a machine for a client, as they are read off it. Written by {@link
 * MarkRepository#keep}.
 */
@Entity
@Table(name = "machine_mark")
public class MarkEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private UUID gymId;
  private String candidateId;
  private String words;
  private Instant changedAt;

  protected MarkEntity() {}

  public UUID getGymId() {
    return gymId;
  }

  public CandidateId getCandidateId() {
    return new CandidateId(candidateId);
  }

  public String getWords() {
    return words;
  }

  public Instant getChangedAt() {
    return changedAt;
  }
}
