package istmo.app.clients.persistence;

import istmo.app.clients.SightingDocument;
import istmo.core.catalogue.CandidateId;
import istmo.core.picture.Sighting;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What one picture told of one client. Never the picture. */
@Entity
@Table(name = "sighting")
public class SightingEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private String candidateId;
  private LocalDate seenOn;
  private double loadKg;

  @JdbcTypeCode(SqlTypes.JSON)
  private SightingDocument told;

  private Instant createdAt;

  protected SightingEntity() {}

  /** What was seen of a client in one exercise. */
  public SightingEntity(
      UUID id, UUID coachId, UUID clientId, Sighting sighting, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.candidateId = sighting.candidateId().text();
    this.seenOn = sighting.on();
    this.loadKg = sighting.loadKg();
    this.told = SightingDocument.of(sighting);
    this.createdAt = createdAt;
  }

  public UUID getId() {
    return id;
  }

  public UUID getClientId() {
    return clientId;
  }

  /** The same as the core takes it. */
  public Sighting sighting() {
    return new Sighting(
        seenOn, new CandidateId(candidateId), loadKg, told.coreShifts(), told.corePosed());
  }
}
