package istmo.app.sessions.persistence;

import istmo.core.catalogue.CandidateId;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/**
 * One exercise in one set-up of one client: what is compared over time. Made by {@link
 * SeriesRepository#add}, never changed.
 */
@Entity
@Table(name = "series")
public class SeriesEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private String candidateId;

  @JdbcTypeCode(SqlTypes.JSON)
  private Map<String, Double> setup;

  protected SeriesEntity() {}

  public UUID getId() {
    return id;
  }

  public UUID getClientId() {
    return clientId;
  }

  public CandidateId getCandidateId() {
    return new CandidateId(candidateId);
  }

  public Map<String, Double> getSetup() {
    return setup;
  }
}
