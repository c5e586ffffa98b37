package istmo.app.clients.persistence;

import istmo.core.body.Measurement;
import istmo.core.body.MeasurementKind;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** One reading of one client. */
@Entity
@Table(name = "measurement")
public class MeasurementEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;

  @Enumerated(EnumType.STRING)
  private MeasurementKind kind;

  @Enumerated(EnumType.STRING)
  private Measurement.Side side;

  private double value;
  private LocalDate takenOn;
  private Instant createdAt;

  protected MeasurementEntity() {}

  /** A reading of a client's. */
  public MeasurementEntity(
      UUID id, UUID coachId, UUID clientId, Measurement measurement, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.kind = measurement.kind();
    this.side = measurement.side();
    this.value = measurement.value();
    this.takenOn = measurement.on();
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

  /** The reading as the core takes it. */
  public Measurement measurement() {
    return new Measurement(kind, side, value, takenOn);
  }

  public Instant getCreatedAt() {
    return createdAt;
  }
}
