package istmo.app.clients.persistence;

import istmo.core.catalogue.Catalogue;
import istmo.core.training.KnownLift;
import istmo.core.training.PerformedSet;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A known lift of a client. */
@Entity
@Table(name = "known_lift")
public class KnownLiftEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private String candidateId;
  private double loadKg;
  private int repetitions;
  private double reserve;
  private LocalDate doneOn;
  private Instant createdAt;

  protected KnownLiftEntity() {}

  /** A lift of a client's. */
  public KnownLiftEntity(UUID id, UUID coachId, UUID clientId, KnownLift lift, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.candidateId = lift.candidateId().text();
    this.loadKg = lift.set().loadKg();
    this.repetitions = lift.set().repetitions();
    this.reserve = lift.set().reserve();
    this.doneOn = lift.on();
    this.createdAt = createdAt;
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

  public Instant getCreatedAt() {
    return createdAt;
  }

  /** The lift as the core takes it. */
  public KnownLift lift() {
    return new KnownLift(
        Catalogue.standard().candidate(candidateId),
        new PerformedSet(loadKg, repetitions, reserve),
        doneOn);
  }
}
