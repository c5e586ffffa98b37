package istmo.app.sessions.persistence;

import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.record.Pain;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import istmo.core.training.PerformedSet;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;

/**
 * A set as it was done. Its id is made by the device, so that sending it twice stores it once; its
 * revisions say whose word is the newest.
 */
@Entity
@Table(name = "performed_set")
public class PerformedSetEntity implements Persistable<UUID> {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;
  private UUID itemId;
  private UUID seriesId;
  private String candidateId;
  private double loadKg;
  private int repetitions;
  private double reserve;

  @Enumerated(EnumType.STRING)
  private SetRecord.Kind kind;

  private Integer number;

  @Enumerated(EnumType.STRING)
  private Side side;

  @Enumerated(EnumType.STRING)
  private SetRecord.Range range;

  private Boolean tempoKept;

  @JdbcTypeCode(SqlTypes.JSON)
  private List<String> felt;

  @Enumerated(EnumType.STRING)
  private PainFlag painJoint;

  private Integer pain;
  private Instant performedAt;
  private int revision;
  private int base;
  private String device;

  @JdbcTypeCode(SqlTypes.JSON)
  private Map<String, Integer> seen;

  private boolean removed;

  /** A new set is inserted, never merged over a row that has its id already. */
  @Transient private boolean stored;

  protected PerformedSetEntity() {}

  /** A set of an exercise of a session. */
  public PerformedSetEntity(
      UUID id,
      UUID coachId,
      UUID clientId,
      ItemEntity item,
      SetRegister.Stored<SetRecord> first,
      Instant performedAt) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.itemId = item.getId();
    this.candidateId = item.getCandidateId().text();
    this.performedAt = performedAt;
    write(first, item);
  }

  /** Makes this what is stored of the set, in the series that its exercise belongs to now. */
  public void write(SetRegister.Stored<SetRecord> state, ItemEntity item) {
    SetRecord record = state.now().figures();
    seriesId = item.getSeriesId();
    loadKg = record.done().loadKg();
    repetitions = record.done().repetitions();
    reserve = record.done().reserve();
    kind = record.kind();
    number = record.number().orElse(null);
    side = record.side();
    range = record.range().orElse(null);
    tempoKept = record.tempoKept().orElse(null);
    felt = record.felt().isEmpty() ? null : Region.ids(record.felt());
    painJoint = record.pain().map(Pain::joint).orElse(null);
    pain = record.pain().map(Pain::level).orElse(null);
    revision = state.now().revision();
    base = state.now().base();
    device = state.now().device();
    removed = state.now().removed();
    seen = state.seen();
  }

  @Override
  public UUID getId() {
    return id;
  }

  @Override
  public boolean isNew() {
    return !stored;
  }

  @PostLoad
  @PostPersist
  void markStored() {
    stored = true;
  }

  public UUID getCoachId() {
    return coachId;
  }

  public UUID getClientId() {
    return clientId;
  }

  public UUID getItemId() {
    return itemId;
  }

  public UUID getSeriesId() {
    return seriesId;
  }

  public CandidateId getCandidateId() {
    return new CandidateId(candidateId);
  }

  /** The set as the core takes it. */
  public SetRecord record() {
    Optional<Pain> hurt =
        painJoint == null ? Optional.empty() : Optional.of(new Pain(painJoint, pain));
    return new SetRecord(
        new PerformedSet(loadKg, repetitions, reserve),
        kind,
        Optional.ofNullable(number),
        side,
        Optional.ofNullable(range),
        Optional.ofNullable(tempoKept),
        felt == null ? Set.of() : Region.all("felt", felt),
        hurt);
  }

  /** What devices have said of it so far. */
  public SetRegister.Stored<SetRecord> state() {
    return new SetRegister.Stored<>(
        new SetRegister.State<>(revision, base, device, removed, record()), seen);
  }

  public Instant getPerformedAt() {
    return performedAt;
  }
}
