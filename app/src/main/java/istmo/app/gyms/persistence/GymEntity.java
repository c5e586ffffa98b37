package istmo.app.gyms.persistence;

import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.measuring.Pull;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A gym of one coach: what is there, and what is measured of it. */
@Entity
@Table(name = "gym")
public class GymEntity {
  @Id private UUID id;
  private UUID coachId;
  @Version private int version;
  private String name;

  @JdbcTypeCode(SqlTypes.JSON)
  private List<String> equipment;

  @JdbcTypeCode(SqlTypes.JSON)
  private Map<String, Map<String, Double>> measured = Map.of();

  @JdbcTypeCode(SqlTypes.JSON)
  private Map<String, List<Pull>> pulls = Map.of();

  @JdbcTypeCode(SqlTypes.JSON)
  private List<StoredPlates> plates = List.of();

  private Instant createdAt;
  private @Nullable Instant removedAt;

  protected GymEntity() {}

  /** A gym of which nothing is written yet. */
  public GymEntity(UUID id, UUID coachId, Instant createdAt) {
    this.id = id;
    this.coachId = coachId;
    this.createdAt = createdAt;
  }

  /** Changes its name and what it has. */
  public void write(String newName, Set<Equipment> newEquipment) {
    name = newName;
    equipment = Equipment.ids(newEquipment);
  }

  /** Keeps what is measured of its machines and plates, and the pulls behind it. */
  public void know(GymEquipment known, Map<Equipment, List<Pull>> newPulls) {
    measured = known.measuredById();
    plates = StoredPlates.of(known.plates());
    Map<String, List<Pull>> byId = new TreeMap<>();
    newPulls.forEach((item, all) -> byId.put(item.id(), all));
    pulls = byId;
  }

  /** Takes it out of lists; sessions that were there keep it. */
  public void takeOut(Instant at) {
    removedAt = at;
  }

  /** Puts it back into lists. */
  public void putBack() {
    removedAt = null;
  }

  public boolean isRemoved() {
    return removedAt != null;
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

  /** What it has, and what is measured of it. */
  public GymEquipment equipment() {
    return GymEquipment.of(equipment, measured, StoredPlates.plates(plates));
  }

  /** Pulls on levers, by machine. */
  public Map<Equipment, List<Pull>> pulls() {
    Map<Equipment, List<Pull>> byItem = new EnumMap<>(Equipment.class);
    pulls.forEach((id, all) -> byItem.put(Equipment.of(id), all));
    return byItem;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }
}
