package istmo.app.plans.persistence;

import istmo.core.training.PerformedSet;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A set as it was done. Its id is made by the device, so that sending it twice stores it once. */
@Entity
@Table(name = "performed_set")
public class PerformedSetEntity implements Persistable<UUID> {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private UUID itemId;
  private String candidateId;
  private double loadKg;
  private int repetitions;
  private double reserve;
  private Instant performedAt;
  /** A new set is inserted, never merged over a row that has its id already. */
  @Transient private boolean stored;

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

  @Override
  public UUID getId() {
    return id;
  }

  @Override
  public boolean isNew() {
    return !stored;
  }

  @PostLoad
  @PostPersist
  void markStored() {
    stored = true;
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
