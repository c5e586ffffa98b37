package istmo.app.sessions;

import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.NotFound;
import istmo.app.platform.Transactions;
import istmo.app.schools.Schools;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.ItemRepository;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.PerformedSetRepository;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.app.sessions.persistence.TrainingSessionRepository;
import istmo.core.quantity.Required;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sessions as they are read: lists, one session with everything on its sheet, last times. */
@Service
public class SessionReader {
  private final TrainingSessionRepository sessions;
  private final ItemRepository items;
  private final PerformedSetRepository sets;
  private final Clients clients;
  private final Gyms gyms;
  private final Admittance admittance;
  private final Schools schools;
  private final CurrentCoach coach;
  private final Clock clock;
  private final Transactions transactions;

  SessionReader(
      TrainingSessionRepository sessions,
      ItemRepository items,
      PerformedSetRepository sets,
      Clients clients,
      Gyms gyms,
      Admittance admittance,
      Schools schools,
      CurrentCoach coach,
      Clock clock,
      Transactions transactions) {
    this.sessions = sessions;
    this.items = items;
    this.sets = sets;
    this.clients = clients;
    this.gyms = gyms;
    this.admittance = admittance;
    this.schools = schools;
    this.coach = coach;
    this.clock = clock;
    this.transactions = transactions;
  }

  /** One line of the list of sessions. */
  public record Line(
      UUID id,
      UUID clientId,
      UUID gymId,
      Instant createdAt,
      Optional<Instant> finishedAt,
      List<String> candidateIds) {}

  /** The newest hundred sessions of a client, or of all clients. */
  @Transactional(readOnly = true)
  public List<Line> list(Optional<UUID> clientId) {
    List<SessionEntity> found =
        clientId
            .map(
                id ->
                    sessions.findTop100ByCoachIdAndClientIdAndRemovedAtIsNullOrderByCreatedAtDesc(
                        coach.id(), id))
            .orElseGet(
                () ->
                    sessions.findTop100ByCoachIdAndRemovedAtIsNullOrderByCreatedAtDesc(coach.id()));
    Map<UUID, List<ItemEntity>> bySession =
        found.isEmpty()
            ? Map.of()
            : items
                .findByCoachIdAndSessionIdInOrderByPosition(
                    coach.id(), found.stream().map(SessionEntity::getId).toList())
                .stream()
                .collect(Collectors.groupingBy(ItemEntity::getSessionId));
    return found.stream()
        .map(
            entity ->
                new Line(
                    entity.getId(),
                    entity.getClientId(),
                    entity.getGymId(),
                    entity.getCreatedAt(),
                    Optional.ofNullable(entity.getFinishedAt()),
                    bySession.getOrDefault(entity.getId(), List.of()).stream()
                        .map(ItemEntity::getCandidateId)
                        .toList()))
        .toList();
  }

  /** How many sets each of these sessions has; those without any are left out. */
  @Transactional(readOnly = true)
  public Map<UUID, Integer> setCounts(List<UUID> sessionIds) {
    return sessionIds.isEmpty()
        ? Map.of()
        : items.setCounts(coach.id(), sessionIds).stream()
            .collect(
                Collectors.toMap(
                    ItemRepository.SetCount::getSessionId, count -> (int) count.getSets()));
  }

  /**
   * Every session of a client with its sets, oldest first, without looking back to last times; four
   * queries however many there are.
   */
  public List<Session> history(UUID clientId) {
    List<SessionEntity> found =
        sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId).stream()
            .filter(entity -> !entity.isTakenOut())
            .toList();
    if (found.isEmpty()) {
      return List.of();
    }
    Client client = clients.get(clientId);
    Map<UUID, Gym> places = gyms.all().stream().collect(Collectors.toMap(Gym::id, gym -> gym));
    List<ItemEntity> own =
        items.findByCoachIdAndSessionIdInOrderByPosition(
            coach.id(), found.stream().map(SessionEntity::getId).toList());
    Map<UUID, List<Session.LoggedSet>> done = setsOf(own.stream().map(ItemEntity::getId).toList());
    Map<UUID, List<Session.Item>> bySession =
        own.stream()
            .collect(
                Collectors.groupingBy(
                    ItemEntity::getSessionId,
                    Collectors.mapping(
                        entity ->
                            new Session.Item(
                                entity.getId(),
                                entity.getPosition(),
                                entity.getCandidateId(),
                                entity.getSeriesId(),
                                entity.getSetup(),
                                entity.getAsked(),
                                entity.isEnded(),
                                done.getOrDefault(entity.getId(), List.of()),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty()),
                        Collectors.toList())));
    return found.stream()
        .map(
            entity ->
                new Session(
                    entity.getId(),
                    client,
                    Required.entry(places, entity.getGymId()),
                    entity.getBrief(),
                    entity.getCreatedAt(),
                    Optional.ofNullable(entity.getFinishedAt()),
                    bySession.getOrDefault(entity.getId(), List.of())))
        .toList();
  }

  /** The newest session of a client, without its exercises: where it was, and what it was for. */
  public Optional<Session> newest(UUID clientId) {
    return sessions
        .findFirstByCoachIdAndClientIdAndRemovedAtIsNullOrderByCreatedAtDesc(coach.id(), clientId)
        .map(
            entity ->
                new Session(
                    entity.getId(),
                    clients.get(clientId),
                    gyms.get(entity.getGymId()),
                    entity.getBrief(),
                    entity.getCreatedAt(),
                    Optional.ofNullable(entity.getFinishedAt()),
                    List.of()));
  }

  /** A session of this coach; throws {@link NotFound} for any other. */
  public Session get(UUID id) {
    return view(transactions.read(() -> rows(entity(id))));
  }

  SessionEntity entity(UUID id) {
    return sessions.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("session"));
  }

  ItemEntity item(SessionEntity session, UUID itemId) {
    return items
        .findByIdAndSessionIdAndCoachId(itemId, session.getId(), coach.id())
        .orElseThrow(() -> new NotFound("exercise in this session"));
  }

  List<ItemEntity> itemsOf(SessionEntity entity) {
    return items.findByCoachIdAndSessionIdInOrderByPosition(coach.id(), Set.of(entity.getId()));
  }

  /** What is stored of a session; loads and refusals are computed after the transaction. */
  record Rows(
      SessionEntity session,
      List<ItemEntity> items,
      Map<String, Session.LastTime> lastTimes,
      Map<UUID, List<Session.LoggedSet>> sets) {}

  Rows rows(SessionEntity entity) {
    List<ItemEntity> own = itemsOf(entity);
    return new Rows(
        entity, own, lastTimes(entity, own), setsOf(own.stream().map(ItemEntity::getId).toList()));
  }

  Session view(Rows rows) {
    SessionEntity entity = rows.session();
    List<ItemEntity> own = rows.items();
    Map<String, Session.LastTime> last = rows.lastTimes();
    Map<UUID, List<Session.LoggedSet>> done = rows.sets();
    List<Session.Item> views = new ArrayList<>();
    Admittance.Place place = place(entity);
    for (ItemEntity itemEntity : own) {
      Admittance.Standing standing =
          admittance.of(place, itemEntity.getCandidateId(), Optional.of(itemEntity.getSetup()));
      views.add(
          new Session.Item(
              itemEntity.getId(),
              itemEntity.getPosition(),
              itemEntity.getCandidateId(),
              itemEntity.getSeriesId(),
              itemEntity.getSetup(),
              itemEntity.getAsked(),
              itemEntity.isEnded(),
              done.getOrDefault(itemEntity.getId(), List.of()),
              Optional.ofNullable(last.get(itemEntity.getCandidateId()))
                  .map(
                      time ->
                          new Session.LastTime(
                              time.performedAt(),
                              time.setup(),
                              time.setup().equals(itemEntity.getSetup()),
                              time.sets())),
              standing.refusal(),
              standing.load()));
    }
    return new Session(
        entity.getId(),
        place.client(),
        place.gym(),
        entity.getBrief(),
        entity.getCreatedAt(),
        Optional.ofNullable(entity.getFinishedAt()),
        views);
  }

  Admittance.Place place(SessionEntity entity) {
    return new Admittance.Place(
        clients.get(entity.getClientId()),
        gyms.get(entity.getGymId()),
        schools.get(entity.getBrief().school()),
        entity.getBrief().stiffDay());
  }

  private Map<UUID, List<Session.LoggedSet>> setsOf(List<UUID> itemIds) {
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

  private Map<String, Session.LastTime> lastTimes(SessionEntity entity, List<ItemEntity> own) {
    if (own.isEmpty()) {
      return Map.of();
    }
    return lastTimes(
        entity.getClientId(),
        own.stream().map(ItemEntity::getCandidateId).toList(),
        entity.getCreatedAt(),
        own.stream().map(ItemEntity::getId).toList());
  }

  /** When a client did each of these candidates last. */
  @Transactional(readOnly = true)
  public Map<String, Session.LastTime> lastTimes(UUID clientId, Collection<String> candidateIds) {
    return candidateIds.isEmpty()
        ? Map.of()
        : lastTimes(
            clientId,
            candidateIds,
            clock.instant(),
            List.of(clientId)); // no item has a client's id
  }

  private Map<String, Session.LastTime> lastTimes(
      UUID clientId, Collection<String> candidateIds, Instant before, Collection<UUID> without) {
    List<UUID> lastItems = sets.lastItems(coach.id(), clientId, candidateIds, before, without);
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
}
