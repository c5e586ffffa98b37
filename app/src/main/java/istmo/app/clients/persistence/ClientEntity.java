package istmo.app.clients.persistence;

import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A client of one coach, as the intake left it. */
@Entity
@Table(name = "client")
public class ClientEntity {
  @Id private UUID id;
  private UUID coachId;
  @Version private int version;
  private String name;

  @Column(name = "stature_m")
  private double statureM;

  private double massKg;

  @Enumerated(EnumType.STRING)
  private Sex sex;

  @Enumerated(EnumType.STRING)
  private Intake.Thigh thigh;

  @Enumerated(EnumType.STRING)
  private Intake.Ankle ankle;

  @JdbcTypeCode(SqlTypes.JSON)
  private List<StoredSoreness> pain;

  @JdbcTypeCode(SqlTypes.JSON)
  private List<StoredCaution> cautions;

  @JdbcTypeCode(SqlTypes.JSON)
  private List<StoredRestriction> restrictions;

  @JdbcTypeCode(SqlTypes.JSON)
  private StoredProfile profile;

  /** Whether what was felt and what hurt counts in this client's order. */
  private boolean learns = true;

  private Instant createdAt;

  protected ClientEntity() {}

  /** A client of whom nothing is written yet. */
  public ClientEntity(UUID id, UUID coachId, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.createdAt = createdAt;
  }

  /** Writes everything that an intake says. */
  public void write(String newName, Intake intake, Profile newProfile, Cautions newCautions) {
    name = newName;
    statureM = intake.statureM();
    massKg = intake.massKg();
    sex = intake.sex();
    thigh = intake.thigh();
    ankle = intake.ankle();
    profile = StoredProfile.of(newProfile);
    pain = newCautions.sores().stream().map(StoredSoreness::of).toList();
    cautions = newCautions.entries().stream().map(StoredCaution::of).toList();
    restrictions = newCautions.restrictions().stream().map(StoredRestriction::of).toList();
  }

  public UUID getId() {
    return id;
  }

  public UUID getCoachId() {
    return coachId;
  }

  public int getVersion() {
    return version;
  }

  public String getName() {
    return name;
  }

  /** Stature, mass, sex and proportions. */
  public Intake intake() {
    return new Intake(statureM, massKg, sex, thigh, ankle);
  }

  /** How the client trains, and what they like. */
  public Profile profile() {
    return profile.profile();
  }

  /** What asks for caution. */
  public Cautions cautions() {
    return new Cautions(
        pain.stream().map(StoredSoreness::soreness).toList(),
        cautions.stream().map(StoredCaution::entry).toList(),
        restrictions.stream().map(StoredRestriction::restriction).toList());
  }

  public boolean isLearns() {
    return learns;
  }

  public void setLearns(boolean on) {
    learns = on;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }
}
