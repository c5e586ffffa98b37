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
            s ->
                new Line(
                    s.getId(),
                    s.getClientId(),
                    s.getGymId(),
                    s.getCreatedAt(),
                    Optional.ofNullable(s.getFinishedAt()),
                    bySession.getOrDefault(s.getId(), List.of()).stream()
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
                Collectors.toMap(ItemRepository.SetCount::getSessionId, c -> (int) c.getSets()));
  }

  /**
   * Every session of a client with its sets, oldest first, without looking back to last times; four
   * queries however many there are.
   */
  public List<Session> history(UUID clientId) {
    List<SessionEntity> found =
        sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId).stream()
            .filter(s -> !s.isTakenOut())
            .toList();
    if (found.isEmpty()) {
      return List.of();
    }
    Client client = clients.get(clientId);
    Map<UUID, Gym> places = gyms.all().stream().collect(Collectors.toMap(Gym::id, g -> g));
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
                        i ->
                            new Session.Item(
                                i.getId(),
                                i.getPosition(),
                                i.getCandidateId(),
                                i.getSeriesId(),
                                i.getSetup(),
                                i.getAsked(),
                                i.isEnded(),
                                done.getOrDefault(i.getId(), List.of()),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty()),
                        Collectors.toList())));
    return found.stream()
        .map(
            s ->
                new Session(
                    s.getId(),
                    client,
                    Required.entry(places, s.getGymId()),
                    s.getBrief(),
                    s.getCreatedAt(),
                    Optional.ofNullable(s.getFinishedAt()),
                    bySession.getOrDefault(s.getId(), List.of())))
        .toList();
  }

  /** The newest session of a client, without its exercises: where it was, and what it was for. */
  public Optional<Session> newest(UUID clientId) {
    return sessions
        .findFirstByCoachIdAndClientIdAndRemovedAtIsNullOrderByCreatedAtDesc(coach.id(), clientId)
        .map(
            s ->
                new Session(
                    s.getId(),
                    clients.get(clientId),
                    gyms.get(s.getGymId()),
                    s.getBrief(),
                    s.getCreatedAt(),
                    Optional.ofNullable(s.getFinishedAt()),
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

  List<ItemEntity> itemsOf(SessionEntity s) {
    return items.findByCoachIdAndSessionIdInOrderByPosition(coach.id(), Set.of(s.getId()));
  }

  /** What is stored of a session; loads and refusals are computed after the transaction. */
  record Rows(
      SessionEntity session,
      List<ItemEntity> items,
      Map<String, Session.LastTime> lastTimes,
      Map<UUID, List<Session.LoggedSet>> sets) {}

  Rows rows(SessionEntity s) {
    List<ItemEntity> own = itemsOf(s);
    return new Rows(
        s, own, lastTimes(s, own), setsOf(own.stream().map(ItemEntity::getId).toList()));
  }

  Session view(Rows rows) {
    SessionEntity s = rows.session();
    List<ItemEntity> own = rows.items();
    Map<String, Session.LastTime> last = rows.lastTimes();
    Map<UUID, List<Session.LoggedSet>> done = rows.sets();
    List<Session.Item> views = new ArrayList<>();
    Admittance.Place place = place(s);
    for (ItemEntity i : own) {
      Admittance.Standing standing =
          admittance.of(place, i.getCandidateId(), Optional.of(i.getSetup()));
      views.add(
          new Session.Item(
              i.getId(),
              i.getPosition(),
              i.getCandidateId(),
              i.getSeriesId(),
              i.getSetup(),
              i.getAsked(),
              i.isEnded(),
              done.getOrDefault(i.getId(), List.of()),
              Optional.ofNullable(last.get(i.getCandidateId()))
                  .map(
                      l ->
                          new Session.LastTime(
                              l.performedAt(),
                              l.setup(),
                              l.setup().equals(i.getSetup()),
                              l.sets())),
              standing.refusal(),
              standing.load()));
    }
    return new Session(
        s.getId(),
        place.client(),
        place.gym(),
        s.getBrief(),
        s.getCreatedAt(),
        Optional.ofNullable(s.getFinishedAt()),
        views);
  }

  Admittance.Place place(SessionEntity s) {
    return new Admittance.Place(
        clients.get(s.getClientId()),
        gyms.get(s.getGymId()),
        schools.get(s.getBrief().school()),
        s.getBrief().stiffDay());
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
                    p ->
                        new Session.LoggedSet(
                            p.getId(), p.record(), p.state().now().revision(), p.getPerformedAt()),
                    Collectors.toList())));
  }

  private Map<String, Session.LastTime> lastTimes(SessionEntity s, List<ItemEntity> own) {
    if (own.isEmpty()) {
      return Map.of();
    }
    return lastTimes(
        s.getClientId(),
        own.stream().map(ItemEntity::getCandidateId).toList(),
        s.getCreatedAt(),
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
            i ->
                Map.entry(
                    i.getCandidateId(),
                    new Session.LastTime(
                        Required.entry(done, i.getId()).stream()
                            .map(Session.LoggedSet::performedAt)
                            .max(Comparator.naturalOrder())
                            .orElseThrow(),
                        i.getSetup(),
                        false,
                        Required.entry(done, i.getId()))))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }
}
