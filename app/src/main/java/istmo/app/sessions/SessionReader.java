package istmo.app.sessions;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.NotFound;
import istmo.app.platform.Transactions;
import istmo.app.schools.Schools;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Required;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sessions as they are read: lists, one session with everything on its sheet, last times. */
@Service
public class SessionReader {
  private final SessionRows rows;
  private final Clients clients;
  private final Gyms gyms;
  private final Admittance admittance;
  private final Schools schools;
  private final Clock clock;
  private final Transactions transactions;

  SessionReader(
      SessionRows rows,
      Clients clients,
      Gyms gyms,
      Admittance admittance,
      Schools schools,
      Clock clock,
      Transactions transactions) {
    this.rows = rows;
    this.clients = clients;
    this.gyms = gyms;
    this.admittance = admittance;
    this.schools = schools;
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
      List<CandidateId> candidateIds) {}

  /** The newest hundred sessions of a client, or of all clients. */
  @Transactional(readOnly = true)
  public List<Line> list(Optional<UUID> clientId) {
    List<SessionEntity> found = rows.newestHundred(clientId);
    Map<UUID, List<ItemEntity>> bySession =
        rows.itemsOf(found).stream().collect(Collectors.groupingBy(ItemEntity::getSessionId));
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
    return rows.setCounts(sessionIds);
  }

  /**
   * Every session of a client with its sets, oldest first, without looking back to last times; four
   * queries however many there are.
   */
  public List<Session> history(UUID clientId) {
    List<SessionEntity> found =
        rows.ofClient(clientId).stream().filter(entity -> !entity.isTakenOut()).toList();
    if (found.isEmpty()) {
      return List.of();
    }
    Client client = clients.get(clientId);
    Map<UUID, Gym> places = gyms.all().stream().collect(Collectors.toMap(Gym::id, gym -> gym));
    List<ItemEntity> own = rows.itemsOf(found);
    Map<UUID, List<Session.LoggedSet>> done =
        rows.setsOf(own.stream().map(ItemEntity::getId).toList());
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
    return rows.newest(clientId)
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
    return view(transactions.read(() -> stored(rows.session(id))));
  }

  /** What is stored of a session; loads and refusals are computed after the transaction. */
  record Stored(
      SessionEntity session,
      List<ItemEntity> items,
      Map<CandidateId, Session.LastTime> lastTimes,
      Map<UUID, List<Session.LoggedSet>> sets) {}

  Stored stored(SessionEntity entity) {
    List<ItemEntity> own = rows.itemsOf(entity);
    return new Stored(
        entity,
        own,
        lastTimes(entity, own),
        rows.setsOf(own.stream().map(ItemEntity::getId).toList()));
  }

  Session view(Stored stored) {
    SessionEntity entity = stored.session();
    List<ItemEntity> own = stored.items();
    Map<CandidateId, Session.LastTime> last = stored.lastTimes();
    Map<UUID, List<Session.LoggedSet>> done = stored.sets();
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

  private Map<CandidateId, Session.LastTime> lastTimes(SessionEntity entity, List<ItemEntity> own) {
    if (own.isEmpty()) {
      return Map.of();
    }
    return rows.lastTimes(
        entity.getClientId(),
        own.stream().map(ItemEntity::getCandidateId).toList(),
        entity.getCreatedAt(),
        own.stream().map(ItemEntity::getId).toList());
  }

  /** When a client did each of these candidates last. */
  @Transactional(readOnly = true)
  public Map<CandidateId, Session.LastTime> lastTimes(
      UUID clientId, Collection<CandidateId> candidateIds) {
    return candidateIds.isEmpty()
        ? Map.of()
        : rows.lastTimes(
            clientId,
            candidateIds,
            clock.instant(),
            List.of(clientId)); // no item has a client's id
  }
}
