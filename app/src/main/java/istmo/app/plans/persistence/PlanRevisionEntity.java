package istmo.app.plans.persistence;

import istmo.app.plans.PlanDocument;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A week as it was after one edit. Never changed. */
@Entity
@Table(name = "week_revision")
public class PlanRevisionEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID planId;
  private int number;
  private String what;

  @JdbcTypeCode(SqlTypes.JSON)
  private PlanDocument document;

  private Instant madeAt;

  protected PlanRevisionEntity() {}

  /** A plan as it was after one change. */
  public PlanRevisionEntity(
      UUID id,
      UUID coachId,
      UUID planId,
      int number,
      String what,
      PlanDocument document,
      Instant madeAt) {
    this.id = id;
    this.coachId = coachId;
    this.planId = planId;
    this.number = number;
    this.what = what;
    this.document = document;
    this.madeAt = madeAt;
  }

  public int getNumber() {
    return number;
  }

  public UUID getPlanId() {
    return planId;
  }

  public String getWhat() {
    return what;
  }

  public PlanDocument getDocument() {
    return document;
  }
}
