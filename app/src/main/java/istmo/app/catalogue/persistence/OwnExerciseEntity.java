package istmo.app.catalogue.persistence;

import istmo.app.catalogue.OwnExerciseDocument;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One coach's own exercise, used by word. */
@Entity
@Table(name = "own_exercise")
public class OwnExerciseEntity extends OwnEntity {
  @JdbcTypeCode(SqlTypes.JSON)
  private OwnExerciseDocument said;

  @Version private int version;

  protected OwnExerciseEntity() {}

  /** A coach's own exercise by word. */
  public OwnExerciseEntity(
      UUID id, UUID coachId, String name, OwnExerciseDocument said, Instant createdAt) {
    super(id, coachId, name, createdAt);
    this.said = said;
  }

  /** Changes its name and what is said of it. */
  public void say(String newName, OwnExerciseDocument newSaid) {
    rename(newName);
    said = newSaid;
  }

  public OwnExerciseDocument getSaid() {
    return said;
  }

  public int getVersion() {
    return version;
  }
}
