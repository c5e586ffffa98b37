package istmo.app.plans.persistence;

import istmo.core.training.PerformedSet;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A set as it was done. Its id is made by the device, so that sending it twice stores it once. */
@Entity
@Table(name = "performed_set")
public class PerformedSetEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private UUID itemId;
  private String candidateId;
  private double loadKg;
  private int repetitions;
  private double reserve;
  private Instant performedAt;

  protected PerformedSetEntity() {}

  public PerformedSetEntity(UUID id, UUID coachId, UUID clientId, UUID itemId, String candidateId, PerformedSet set, Instant performedAt) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.itemId = itemId;
    this.candidateId = candidateId;
    this.performedAt = performedAt;
    write(set);
  }

  public void write(PerformedSet set) {
    loadKg = set.loadKg();
    repetitions = set.repetitions();
    reserve = set.reserve();
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

  public UUID getItemId() {
    return itemId;
  }

  public String getCandidateId() {
    return candidateId;
  }

  public PerformedSet set() {
    return new PerformedSet(loadKg, repetitions, reserve);
  }

  public Instant getPerformedAt() {
    return performedAt;
  }
}
