package istmo.app.catalogue.persistence;

import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something of a coach's own that has a name. It is never deleted but retired, so that what was
 * done with it keeps its name.
 */
@MappedSuperclass
public abstract class OwnEntity {
  @Id private UUID id;
  private UUID coachId;
  private String name;
  private Instant createdAt;
  private @Nullable Instant retiredAt;

  protected OwnEntity() {}

  protected OwnEntity(UUID id, UUID coachId, String name, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.name = name;
    this.createdAt = createdAt;
  }

  /** Takes it out of lists; what has it keeps it. */
  public void retire(Instant at) {
    retiredAt = at;
  }

  /** Puts it back into lists. */
  public void putBack() {
    retiredAt = null;
  }

  public boolean isRetired() {
    return retiredAt != null;
  }

  public UUID getId() {
    return id;
  }

  public String getName() {
    return name;
  }

  void rename(String newName) {
    name = newName;
  }
}
