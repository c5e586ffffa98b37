package istmo.app.sessions;

import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.NotFound;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.ItemRepository;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.PerformedSetRepository;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.app.sessions.persistence.TrainingSessionRepository;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Required;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Rows of sessions, their exercises and sets, of the coach who is signed in. */
@Component
class SessionRows {
  /** Rows that go to the database at once. */
  private static final int CHUNK = 2000;

  /** As which device what is brought in counts. */
  private static final String FROM_ELSEWHERE = "brought in";

  private final TrainingSessionRepository sessions;
  private final ItemRepository items;
  private final PerformedSetRepository sets;
  private final EntityManager entities;
  private final CurrentCoach coach;

  SessionRows(
      TrainingSessionRepository sessions,
      ItemRepository items,
      PerformedSetRepository sets,
      EntityManager entities,
      CurrentCoach coach) {
    this.sessions = sessions;
    this.items = items;
    this.sets = sets;
    this.entities = entities;
    this.coach = coach;
  }

  /** A session; throws {@link NotFound} for any other coach's. */
  SessionEntity session(UUID id) {
    return find(id).orElseThrow(() -> new NotFound("session"));
  }

  Optional<SessionEntity> find(UUID id) {
    return sessions.findByIdAndCoachId(id, coach.id());
  }

  List<SessionEntity> find(List<UUID> ids) {
    return all(sessions::findByCoachIdAndIdIn, ids);
  }

  /** The newest hundred of a client, or of all clients; none that was taken out. */
  List<SessionEntity> newestHundred(Optional<UUID> clientId) {
    return clientId
        .map(
            id ->
                sessions.findTop100ByCoachIdAndClientIdAndRemovedAtIsNullOrderByCreatedAtDesc(
                    coach.id(), id))
        .orElseGet(
            () -> sessions.findTop100ByCoachIdAndRemovedAtIsNullOrderByCreatedAtDesc(coach.id()));
  }

  Optional<SessionEntity> newest(UUID clientId) {
    return sessions.findFirstByCoachIdAndClientIdAndRemovedAtIsNullOrderByCreatedAtDesc(
        coach.id(), clientId);
  }

  /** Every session of a client, also those that were taken out, oldest first. */
  List<SessionEntity> ofClient(UUID clientId) {
    return sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId);
  }

  SessionEntity newSession(
      UUID id, UUID clientId, UUID gymId, SessionBrief brief, Instant createdAt) {
    return new SessionEntity(id, coach.id(), clientId, gymId, brief, createdAt);
  }

  SessionEntity save(SessionEntity session) {
    return sessions.save(session);
  }

  /** Writes a session that must be new: saving would overwrite one that has its id. */
  void insert(SessionEntity session) {
    entities.persist(session);
    sessions.flush();
  }

  /** Erases sessions; their exercises and sets go with them in the database. */
  void erase(List<SessionEntity> all) {
    sessions.deleteAllInBatch(all);
  }

  ItemEntity item(SessionEntity session, UUID itemId) {
    return items
        .findByIdAndSessionIdAndCoachId(itemId, session.getId(), coach.id())
        .orElseThrow(() -> new NotFound("exercise in this session"));
  }

  List<ItemEntity> itemsOf(SessionEntity session) {
    return itemsOf(List.of(session));
  }

  /** Exercises of some sessions, by their position. */
  List<ItemEntity> itemsOf(Collection<SessionEntity> of) {
    return all(
        items::findByCoachIdAndSessionIdInOrderByPosition,
        of.stream().map(SessionEntity::getId).toList());
  }

  /** Whether anybody's session has an exercise of this id. */
  boolean hasItem(UUID itemId) {
    return items.existsById(itemId);
  }

  ItemEntity newItem(
      UUID id, SessionEntity session, int position, ItemEntity.Work work, Instant createdAt) {
    return new ItemEntity(id, coach.id(), session.getId(), position, work, createdAt);
  }

  void save(ItemEntity item) {
    items.saveAndFlush(item);
  }

  void delete(ItemEntity item) {
    items.delete(item);
    items.flush();
  }

  boolean hasSets(ItemEntity item) {
    return sets.existsByCoachIdAndItemIdAndRemovedFalse(coach.id(), item.getId());
  }

  /** How many sets each of these sessions has; those without any are left out. */
  Map<UUID, Integer> setCounts(List<UUID> sessionIds) {
    return sessionIds.isEmpty()
        ? Map.of()
        : items.setCounts(coach.id(), sessionIds).stream()
            .collect(
                Collectors.toMap(
                    ItemRepository.SetCount::getSessionId, count -> (int) count.getSets()));
  }

  /** Sets of exercises by the exercise's id, oldest first. */
  Map<UUID, List<Session.LoggedSet>> setsOf(List<UUID> itemIds) {
    if (itemIds.isEmpty()) {
      return Map.of();
    }
    return sets
        .findByCoachIdAndItemIdInAndRemovedFalseOrderByPerformedAtAscIdAsc(coach.id(), itemIds)
        .stream()
        .collect(
            Collectors.groupingBy(
                PerformedSetEntity::getItemId,
                Collectors.mapping(
                    entity ->
                        new Session.LoggedSet(
                            entity.getId(),
                            entity.record(),
                            entity.state().now().revision(),
                            entity.getPerformedAt()),
                    Collectors.toList())));
  }

  /** For each candidate, when a client did it last before a moment, but in some exercises. */
  Map<CandidateId, Session.LastTime> lastTimes(
      UUID clientId,
      Collection<CandidateId> candidateIds,
      Instant before,
      Collection<UUID> without) {
    List<UUID> lastItems =
        sets.lastItems(
            coach.id(),
            clientId,
            candidateIds.stream().map(CandidateId::text).toList(),
            before,
            without);
    if (lastItems.isEmpty()) {
      return Map.of();
    }
    Map<UUID, List<Session.LoggedSet>> done = setsOf(lastItems);
    return items.findByCoachIdAndIdIn(coach.id(), lastItems).stream()
        .map(
            entity ->
                Map.entry(
                    entity.getCandidateId(),
                    new Session.LastTime(
                        Required.entry(done, entity.getId()).stream()
                            .map(Session.LoggedSet::performedAt)
                            .max(Comparator.naturalOrder())
                            .orElseThrow(),
                        entity.getSetup(),
                        false,
                        Required.entry(done, entity.getId()))))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  /** Which of these ids of sets a client has already. */
  List<UUID> knownSets(UUID clientId, List<UUID> ids) {
    return all((coachId, some) -> sets.known(coachId, clientId, some), ids);
  }

  /** Which of these ids of sets are in use, whosesoever. */
  List<UUID> setsInUse(List<UUID> ids) {
    return all((coachId, some) -> sets.inUse(some), ids);
  }

  /** A set from elsewhere, as no device wrote it. */
  PerformedSetEntity newSet(UUID id, UUID clientId, ItemEntity item, SetRecord set, Instant at) {
    return new PerformedSetEntity(
        id,
        coach.id(),
        clientId,
        item,
        SetRegister.Stored.first(new SetRegister.State<>(1, 0, FROM_ELSEWHERE, false, set)),
        at);
  }

  /** Writes sessions before any of their exercises. */
  void saveSessions(Collection<SessionEntity> all) {
    sessions.saveAllAndFlush(all);
  }

  /** Writes exercises and their sets, some thousand at a time. */
  void save(List<ItemEntity> exercises, List<PerformedSetEntity> rows) {
    items.saveAllAndFlush(exercises);
    for (int from = 0; from < rows.size(); from += CHUNK) {
      sets.saveAllAndFlush(rows.subList(from, Math.min(rows.size(), from + CHUNK)));
      entities.clear();
    }
  }

  /** Rows by their ids, some thousand at a time. */
  private <T> List<T> all(BiFunction<UUID, Collection<UUID>, List<T>> query, List<UUID> ids) {
    List<T> found = new ArrayList<>();
    for (int from = 0; from < ids.size(); from += CHUNK) {
      found.addAll(query.apply(coach.id(), ids.subList(from, Math.min(ids.size(), from + CHUNK))));
    }
    return found;
  }
}
