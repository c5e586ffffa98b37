package istmo.app.schools.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** One coach's own school. */
@Entity
@Table(name = "own_school")
public class OwnSchoolEntity {
  @Id private UUID id;
  private UUID coachId;
  private String label;
  private String reason;
  private double lengthBias;
  private double passiveWeight;
  private double activityTrust;
  private double practiceTrust;
  private double basics;
  private Instant createdAt;
  private Instant retiredAt;

  protected OwnSchoolEntity() {}

  /** A school of which nothing is set yet. */
  public OwnSchoolEntity(UUID id, UUID coachId, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.createdAt = createdAt;
  }

  /** Writes what it trusts, shares of 0 to 1. */
  public void set(
      String label,
      String reason,
      double lengthBias,
      double passiveWeight,
      double activityTrust,
      double practiceTrust,
      double basics) {
    this.label = label;
    this.reason = reason;
    this.lengthBias = lengthBias;
    this.passiveWeight = passiveWeight;
    this.activityTrust = activityTrust;
    this.practiceTrust = practiceTrust;
    this.basics = basics;
    this.retiredAt = null;
  }

  /** Takes it out of lists; plans and sessions keep it. */
  public void retire(Instant at) {
    retiredAt = at;
  }

  public boolean isRetired() {
    return retiredAt != null;
  }

  public UUID getId() {
    return id;
  }

  public String getLabel() {
    return label;
  }

  public String getReason() {
    return reason;
  }

  public double getLengthBias() {
    return lengthBias;
  }

  public double getPassiveWeight() {
    return passiveWeight;
  }

  public double getActivityTrust() {
    return activityTrust;
  }

  public double getPracticeTrust() {
    return practiceTrust;
  }

  public double getBasics() {
    return basics;
  }
}
