package istmo.app.plans;

import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gyms;
import istmo.app.plans.persistence.PlanEntity;
import istmo.app.plans.persistence.PlanRepository;
import istmo.app.plans.persistence.PlanRevisionEntity;
import istmo.app.plans.persistence.PlanRevisionRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.NotFound;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import istmo.core.ranking.brief.Weights;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Sessions as rows of revisions. Every method is one transaction and computes nothing; {@link
 * Plans} says what a plan means.
 */
@Service
public class PlanStore {
  private static final int LONGEST_WHAT = 200;

  private final PlanRepository plans;
  private final PlanRevisionRepository revisions;
  private final Clients clients;
  private final Gyms gyms;
  private final CurrentCoach coach;
  private final Clock clock;

  PlanStore(
      PlanRepository plans,
      PlanRevisionRepository revisions,
      Clients clients,
      Gyms gyms,
      CurrentCoach coach,
      Clock clock) {
    this.plans = plans;
    this.revisions = revisions;
    this.clients = clients;
    this.gyms = gyms;
    this.coach = coach;
    this.clock = clock;
  }

  /**
   * A plan at one of its revisions.
   *
   * @param version changes with every edit; an edit says which one it saw
   * @param undo what going back would take back; empty at the first revision
   * @param redo what going on would do again; empty at the newest revision
   */
  record Stored(
      UUID id,
      int version,
      UUID clientId,
      UUID gymId,
      PlanBrief brief,
      Instant changedAt,
      PlanDocument document,
      Optional<String> undo,
      Optional<String> redo) {}

  /** One line of the list. */
  public record Line(
      UUID id, UUID clientId, UUID gymId, PlanDocument document, Instant changedAt) {}

  /** The newest hundred plans of a client, or of all clients. */
  @Transactional(readOnly = true)
  public List<Line> list(Optional<UUID> clientId) {
    List<PlanEntity> found =
        clientId
            .map(
                id ->
                    plans.findTop100ByCoachIdAndClientIdAndRemovedAtIsNullOrderByChangedAtDesc(
                        coach.id(), id))
            .orElseGet(
                () -> plans.findTop100ByCoachIdAndRemovedAtIsNullOrderByChangedAtDesc(coach.id()));
    Map<UUID, PlanDocument> heads = heads(found);
    return found.stream()
        .map(
            entity ->
                new Line(
                    entity.getId(),
                    entity.getClientId(),
                    entity.getGymId(),
                    Required.entry(heads, entity.getId()),
                    entity.getChangedAt()))
        .toList();
  }

  /** A new plan whose first revision is the document. */
  @Transactional
  Stored add(UUID clientId, UUID gymId, PlanBrief brief, PlanDocument document) {
    PlanEntity entity =
        plans.save(
            new PlanEntity(UUID.randomUUID(), coach.id(), clientId, gymId, brief, clock.instant()));
    revisions.saveAndFlush(
        new PlanRevisionEntity(
            UUID.randomUUID(), coach.id(), entity.getId(), 0, "begun", document, clock.instant()));
    return stored(entity);
  }

  @Transactional(readOnly = true)
  Stored get(UUID id) {
    return stored(entity(id));
  }

  /**
   * The plan, as long as nobody changed it since this version; throws {@link Conflict} otherwise.
   */
  @Transactional(readOnly = true)
  Stored seen(UUID id, int version) {
    return stored(unchanged(id, version));
  }

  /** Throws {@link NotFound} where this plan is not the coach's. */
  @Transactional(readOnly = true)
  void check(UUID id) {
    entity(id);
  }

  /** Adds a revision after the one that counts; what had been undone is gone then. */
  @Transactional
  Stored keep(UUID id, int version, String what, PlanDocument document) {
    if (what == null || what.isBlank() || what.length() > LONGEST_WHAT) {
      throw new InvalidInput(
          "what", "needs what was changed, in at most " + LONGEST_WHAT + " characters");
    }
    PlanEntity entity = unchanged(id, version);
    revisions.deleteByCoachIdAndPlanIdAndNumberGreaterThan(
        coach.id(), entity.getId(), entity.getHead());
    revisions.flush();
    revisions.save(
        new PlanRevisionEntity(
            UUID.randomUUID(),
            coach.id(),
            entity.getId(),
            entity.getHead() + 1,
            what,
            document,
            clock.instant()));
    return moved(entity, entity.getHead() + 1);
  }

  @Transactional
  Stored undo(UUID id, int version) {
    PlanEntity entity = unchanged(id, version);
    if (entity.getHead() == 0) {
      throw new Conflict("There is nothing to undo.");
    }
    return moved(entity, entity.getHead() - 1);
  }

  @Transactional
  Stored redo(UUID id, int version) {
    PlanEntity entity = unchanged(id, version);
    if (revision(entity, entity.getHead() + 1).isEmpty()) {
      throw new Conflict("There is nothing to do again.");
    }
    return moved(entity, entity.getHead() + 1);
  }

  /** Takes a plan out of the list; its links end. */
  @Transactional
  public void remove(UUID id) {
    entity(id).remove(clock.instant());
  }

  @Transactional
  Stored putBack(UUID id) {
    PlanEntity entity =
        plans.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("plan"));
    entity.putBack();
    return stored(plans.saveAndFlush(entity));
  }

  /** Erases every plan of a client. */
  @Transactional
  public void erase(UUID clientId) {
    plans.deleteAllInBatch(plans.findByCoachIdAndClientIdOrderByCreatedAt(coach.id(), clientId));
    plans.flush();
  }

  /**
   * A plan as it stands, for a client's file: its newest document, without the edits before it.
   *
   * @param removedAt when it was taken out of the list, if it was
   */
  public record ArchivedPlan(
      UUID gymId,
      Instant createdAt,
      Instant changedAt,
      Optional<Instant> removedAt,
      PlanBrief brief,
      PlanDocument document) {
    /**
     * The same with everything checked that can be without knowing whose it is; candidates are
     * checked by who knows them.
     */
    public ArchivedPlan checked() {
      List<InvalidInput.Fault> faults = new ArrayList<>();
      List<PlanDocument> plan = new ArrayList<>();
      InvalidInput.gather(faults, "brief.", () -> Plans.aim(brief));
      InvalidInput.gather(
          faults, "brief.", () -> new Weights(Weights.Preset.get(brief.preset()), brief.weights()));
      InvalidInput.gather(faults, "plan.", () -> plan.add(document.checked()));
      if (!faults.isEmpty()) {
        throw new InvalidInput(faults);
      }
      return new ArchivedPlan(gymId, createdAt, changedAt, removedAt, brief, plan.get(0));
    }
  }

  /** Every plan of a client, those taken out too, oldest first. */
  @Transactional(readOnly = true)
  public List<ArchivedPlan> archived(UUID clientId) {
    List<PlanEntity> found = plans.findByCoachIdAndClientIdOrderByCreatedAt(coach.id(), clientId);
    Map<UUID, PlanDocument> heads = heads(found);
    return found.stream()
        .map(
            entity ->
                new ArchivedPlan(
                    entity.getGymId(),
                    entity.getCreatedAt(),
                    entity.getChangedAt(),
                    Optional.ofNullable(entity.getRemovedAt()),
                    entity.getBrief(),
                    Required.entry(heads, entity.getId())))
        .toList();
  }

  /** Keeps a plan from elsewhere as it is. */
  @Transactional
  public void bringIn(UUID clientId, ArchivedPlan kept) {
    ArchivedPlan plan = kept.checked();
    clients.check(clientId);
    gyms.get(plan.gymId());
    PlanEntity entity =
        new PlanEntity(
            UUID.randomUUID(), coach.id(), clientId, plan.gymId(), plan.brief(), plan.createdAt());
    entity.moveTo(0, plan.changedAt());
    plan.removedAt().ifPresent(entity::remove);
    plans.saveAndFlush(entity);
    revisions.saveAndFlush(
        new PlanRevisionEntity(
            UUID.randomUUID(),
            coach.id(),
            entity.getId(),
            0,
            "brought in",
            plan.document(),
            clock.instant()));
  }

  private Stored moved(PlanEntity entity, int head) {
    entity.moveTo(head, clock.instant());
    return stored(plans.saveAndFlush(entity));
  }

  private Stored stored(PlanEntity entity) {
    PlanRevisionEntity head = revision(entity, entity.getHead()).orElseThrow();
    Optional<String> undo = entity.getHead() == 0 ? Optional.empty() : Optional.of(head.getWhat());
    Optional<String> redo = revision(entity, entity.getHead() + 1).map(PlanRevisionEntity::getWhat);
    return new Stored(
        entity.getId(),
        entity.getVersion(),
        entity.getClientId(),
        entity.getGymId(),
        entity.getBrief(),
        entity.getChangedAt(),
        head.getDocument(),
        undo,
        redo);
  }

  private PlanEntity entity(UUID id) {
    return plans
        .findByIdAndCoachId(id, coach.id())
        .filter(entity -> !entity.isRemoved())
        .orElseThrow(() -> new NotFound("plan"));
  }

  private PlanEntity unchanged(UUID id, int version) {
    PlanEntity entity = entity(id);
    if (entity.getVersion() != version) {
      throw changedElsewhere();
    }
    return entity;
  }

  static Conflict changedElsewhere() {
    return new Conflict(
        "This plan was changed elsewhere meanwhile. Load again; nothing was overwritten.");
  }

  private Optional<PlanRevisionEntity> revision(PlanEntity entity, int number) {
    return revisions.findByCoachIdAndPlanIdAndNumber(coach.id(), entity.getId(), number);
  }

  /** The newest document of each plan, in one query. */
  private Map<UUID, PlanDocument> heads(List<PlanEntity> of) {
    return of.isEmpty()
        ? Map.of()
        : revisions.heads(coach.id(), of.stream().map(PlanEntity::getId).toList()).stream()
            .collect(
                Collectors.toMap(PlanRevisionEntity::getPlanId, PlanRevisionEntity::getDocument));
  }
}
