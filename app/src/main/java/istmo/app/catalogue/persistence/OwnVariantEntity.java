package istmo.app.catalogue.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One coach's own variant of an exercise. */
@Entity
@Table(name = "own_variant")
public class OwnVariantEntity {
  @Id private UUID id;
  private UUID coachId;
  private String exerciseId;
  private String name;

  @JdbcTypeCode(SqlTypes.JSON)
  private Map<String, Double> setup;

  private Instant createdAt;
  private Instant retiredAt;

  protected OwnVariantEntity() {}

  public OwnVariantEntity(
      UUID id,
      UUID coachId,
      String exerciseId,
      String name,
      Map<String, Double> setup,
      Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.exerciseId = exerciseId;
    this.name = name;
    this.setup = setup;
    this.createdAt = createdAt;
  }

  public void retire(Instant at) {
    retiredAt = at;
  }

  public void putBack() {
    retiredAt = null;
  }

  public boolean isRetired() {
    return retiredAt != null;
  }

  public UUID getId() {
    return id;
  }

  public String getExerciseId() {
    return exerciseId;
  }

  public String getName() {
    return name;
  }

  public Map<String, Double> getSetup() {
    return setup;
  }
}
