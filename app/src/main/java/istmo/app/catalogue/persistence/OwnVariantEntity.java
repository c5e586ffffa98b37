package istmo.app.catalogue.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One coach's own variant of an exercise. */
@Entity
@Table(name = "own_variant")
public class OwnVariantEntity extends OwnEntity {
  private String exerciseId;

  @JdbcTypeCode(SqlTypes.JSON)
  private Map<String, Double> setup;

  protected OwnVariantEntity() {}

  /** A coach's own variant of an exercise; its set-up by parameter id. */
  public OwnVariantEntity(
      UUID id,
      UUID coachId,
      String exerciseId,
      String name,
      Map<String, Double> setup,
      Instant createdAt) {
    super(id, coachId, name, createdAt);
    this.exerciseId = exerciseId;
    this.setup = setup;
  }

  public String getExerciseId() {
    return exerciseId;
  }

  public Map<String, Double> getSetup() {
    return setup;
  }
}
