package istmo.app.plans;

import istmo.app.accounts.CurrentCoach;
import istmo.app.bench.Bench;
import istmo.app.catalogue.Variants;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Conflict;
import istmo.app.platform.NotFound;
import istmo.app.plans.persistence.ItemEntity;
import istmo.app.plans.persistence.ItemRepository;
import istmo.app.plans.persistence.PerformedSetEntity;
import istmo.app.plans.persistence.PerformedSetRepository;
import istmo.app.plans.persistence.SessionEntity;
import istmo.app.plans.persistence.TrainingSessionRepository;
import istmo.app.schools.Schools;
import istmo.core.body.Cautions;
import istmo.core.catalogue.Candidate;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.criterion.Aim;
import istmo.core.stimulus.School;
import istmo.core.training.PerformedSet;
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

/** Sessions: what was chosen, in which set-up, and what was done. */
@Service
public class Plans {
  private final TrainingSessionRepository sessions;
  private final ItemRepository items;
  private final PerformedSetRepository sets;
  private final Clients clients;
  private final Gyms gyms;
  private final Bench bench;
  private final Schools schools;
  private final Variants variants;
  private final CurrentCoach coach;
  private final Clock clock;

  Plans(TrainingSessionRepository sessions, ItemRepository items, PerformedSetRepository sets, Clients clients, Gyms gyms, Bench bench, Variants variants, CurrentCoach coach, Clock clock, Schools schools) {
    this.schools = schools;
    this.sessions = sessions;
    this.items = items;
    this.sets = sets;
    this.clients = clients;
    this.gyms = gyms;
    this.bench = bench;
    this.variants = variants;
    this.coach = coach;
    this.clock = clock;
  }

  /** One line of the list of sessions. */
  public record Line(UUID id, UUID clientId, UUID gymId, Instant createdAt, Optional<Instant> finishedAt, List<String> candidateIds) {}

  /** The newest hundred sessions of a client, or of all clients. */
  @Transactional(readOnly = true)
  public List<Line> list(Optional<UUID> clientId) {
    List<SessionEntity> found = clientId.map(id -> sessions.findTop100ByCoachIdAndClientIdOrderByCreatedAtDesc(coach.id(), id)).orElseGet(() -> sessions.findTop100ByCoachIdOrderByCreatedAtDesc(coach.id()));
    Map<UUID, List<ItemEntity>> bySession = found.isEmpty() ? Map.of() : items.findByCoachIdAndSessionIdInOrderByPosition(coach.id(), found.stream().map(SessionEntity::getId).toList()).stream().collect(Collectors.groupingBy(ItemEntity::getSessionId));
    return found.stream().map(s -> new Line(s.getId(), s.getClientId(), s.getGymId(), s.getCreatedAt(), Optional.ofNullable(s.getFinishedAt()), bySession.getOrDefault(s.getId(), List.of()).stream().map(ItemEntity::getCandidateId).toList())).toList();
  }

  /** Every session of a client with its sets, oldest first, without looking back to last times; four queries however many there are. */
  @Transactional(readOnly = true)
  public List<Session> history(UUID clientId) {
    List<SessionEntity> found = sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId);
    if (found.isEmpty()) {
      return List.of();
    }
    Client client = clients.get(clientId);
    Map<UUID, Gym> places = gyms.all().stream().collect(Collectors.toMap(Gym::id, g -> g));
    List<ItemEntity> own = items.findByCoachIdAndSessionIdInOrderByPosition(coach.id(), found.stream().map(SessionEntity::getId).toList());
    Map<UUID, List<Session.LoggedSet>> done = setsOf(own.stream().map(ItemEntity::getId).toList());
    Map<UUID, List<Session.Item>> bySession = own.stream().collect(Collectors.groupingBy(ItemEntity::getSessionId, Collectors.mapping(i -> new Session.Item(i.getId(), i.getPosition(), i.getCandidateId(), i.getSetup(), i.getPrescribed(), done.getOrDefault(i.getId(), List.of()), Optional.empty(), Optional.empty(), Optional.empty()), Collectors.toList())));
    return found.stream().map(s -> new Session(s.getId(), client, places.get(s.getGymId()), s.getBrief(), s.getCreatedAt(), Optional.ofNullable(s.getFinishedAt()), bySession.getOrDefault(s.getId(), List.of()))).toList();
  }

  /** Erases every session of a client with its exercises and sets (they go with it in the database). */
  @Transactional
  public void erase(UUID clientId) {
    sessions.deleteAllInBatch(sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId));
  }

  @Transactional(readOnly = true)
  public Session get(UUID id) {
    return view(entity(id));
  }

  @Transactional
  public Session start(UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday) {
    return start(clientId, gymId, aim, school, stiffToday, clock.instant());
  }

  /** A session that began at a given moment, for records that are brought in. */
  @Transactional
  public Session start(UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday, Instant at) {
    Client client = clients.get(clientId);
    Gym gym = gyms.get(gymId);
    SessionBrief brief = new SessionBrief(aim.weights(), List.copyOf(aim.keepOut()), school.id(), stiffToday);
    return view(sessions.save(new SessionEntity(UUID.randomUUID(), coach.id(), client.id(), gym.id(), brief, at)));
  }

  /** Pins a candidate; without a set-up, in the usual one on this gym's machines as far as this client takes it. What the client's cautions leave out is not pinned. */
  @Transactional
  public Session pin(UUID sessionId, String candidateId, Optional<Map<String, Double>> wished) {
    return pin(sessionId, candidateId, wished, List.of());
  }

  /** The same, with what a plan asks for, in lines of words. */
  @Transactional
  public Session pin(UUID sessionId, String candidateId, Optional<Map<String, Double>> wished, List<String> prescribed) {
    SessionEntity session = entity(sessionId);
    Candidate candidate = variants.candidate(candidateId);
    List<ItemEntity> there = itemsOf(session);
    if (there.stream().anyMatch(i -> i.getCandidateId().equals(candidateId))) {
      throw new Conflict(candidate.name() + " is in this session already.");
    }
    int position = there.stream().mapToInt(ItemEntity::getPosition).max().orElse(0) + 1;
    Bench.Side side = side(session, candidate.id(), wished);
    admit(side);
    Setup setup = side.setup();
    items.save(new ItemEntity(UUID.randomUUID(), coach.id(), session.getId(), position, candidateId, setup.values(), prescribed, clock.instant()));
    return view(session);
  }

  /** Changes the set-up of an item that has no sets yet; with sets it would falsify the record. */
  @Transactional
  public Session changeSetup(UUID sessionId, UUID itemId, Map<String, Double> wished) {
    SessionEntity session = entity(sessionId);
    ItemEntity item = item(session, itemId);
    if (sets.existsByCoachIdAndItemId(coach.id(), item.getId())) {
      throw new Conflict("Sets are logged with this set-up; another set-up is another record.");
    }
    Bench.Side side = side(session, item.getCandidateId(), Optional.of(wished));
    admit(side);
    item.setSetup(side.setup().values());
    items.save(item);
    return view(session);
  }

  @Transactional
  public Session unpin(UUID sessionId, UUID itemId) {
    SessionEntity session = entity(sessionId);
    ItemEntity item = item(session, itemId);
    if (sets.existsByCoachIdAndItemId(coach.id(), item.getId())) {
      throw new Conflict("Sets are logged here. Remove them first.");
    }
    items.delete(item);
    items.flush();
    return view(session);
  }

  @Transactional
  public Session log(UUID sessionId, UUID itemId, UUID setId, PerformedSet set) {
    return log(sessionId, itemId, setId, set, clock.instant());
  }

  /** Stores a set under the id that the device made: the same set sent again changes nothing, or corrects its figures. */
  @Transactional
  public Session log(UUID sessionId, UUID itemId, UUID setId, PerformedSet set, Instant at) {
    SessionEntity session = entity(sessionId);
    ItemEntity item = item(session, itemId);
    Optional<PerformedSetEntity> known = sets.findByIdAndCoachId(setId, coach.id());
    if (known.isPresent()) {
      if (!known.get().getItemId().equals(itemId)) {
        throw new InvalidInput("setId", "belongs to another exercise");
      }
      known.get().write(set);
    } else {
      if (sets.existsById(setId)) {
        throw new Conflict("This set's id is in use. Send it under a new one.");
      }
      sets.save(new PerformedSetEntity(setId, coach.id(), session.getClientId(), itemId, item.getCandidateId(), set, at));
    }
    sets.flush();
    return view(session);
  }

  @Transactional
  public Session removeSet(UUID sessionId, UUID itemId, UUID setId) {
    SessionEntity session = entity(sessionId);
    ItemEntity item = item(session, itemId);
    PerformedSetEntity set = sets.findByIdAndCoachId(setId, coach.id()).filter(s -> s.getItemId().equals(item.getId())).orElseThrow(() -> new NotFound("set"));
    sets.delete(set);
    sets.flush();
    return view(session);
  }

  /** Ends a session; the next one shows it as last time. */
  @Transactional
  public Session finish(UUID sessionId) {
    return finish(sessionId, clock.instant());
  }

  @Transactional
  public Session finish(UUID sessionId, Instant at) {
    SessionEntity session = entity(sessionId);
    session.finish(at);
    return view(sessions.save(session));
  }

  private Bench.Side side(SessionEntity session, String candidateId, Optional<Map<String, Double>> wished) {
    return bench.side(new Bench.Wish(session.getClientId(), Optional.of(session.getGymId()), candidateId, wished, session.getBrief().stiffDay()), schools.get(session.getBrief().school()));
  }

  /** Throws where the client cannot take the set-up, or should not. */
  private static void admit(Bench.Side side) {
    if (Bench.obstacle(side).isPresent()) {
      throw new Conflict(side.candidate().name() + " is not possible for " + side.client().name() + " in this set-up. " + Bench.obstacle(side).get().reason());
    }
    if (side.refusal().isPresent()) {
      throw new Conflict(side.candidate().name() + " is left out for " + side.client().name() + ". " + side.refusal().get().reason());
    }
  }

  private SessionEntity entity(UUID id) {
    return sessions.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("session"));
  }

  private ItemEntity item(SessionEntity session, UUID itemId) {
    return items.findByIdAndSessionIdAndCoachId(itemId, session.getId(), coach.id()).orElseThrow(() -> new NotFound("exercise in this session"));
  }

  private List<ItemEntity> itemsOf(SessionEntity s) {
    return items.findByCoachIdAndSessionIdInOrderByPosition(coach.id(), Set.of(s.getId()));
  }

  private Session view(SessionEntity s) {
    List<ItemEntity> own = itemsOf(s);
    Map<String, Session.LastTime> last = lastTimes(s, own);
    Map<UUID, List<Session.LoggedSet>> done = setsOf(own.stream().map(ItemEntity::getId).toList());
    List<Session.Item> views = new ArrayList<>();
    Client client = clients.get(s.getClientId());
    Gym gym = gyms.get(s.getGymId());
    School school = schools.get(s.getBrief().school());
    for (ItemEntity i : own) {
      Bench.Side side = bench.side(client, gym.place(), new Bench.Wish(client.id(), Optional.of(gym.id()), i.getCandidateId(), Optional.of(i.getSetup()), s.getBrief().stiffDay()), school);
      views.add(new Session.Item(i.getId(), i.getPosition(), i.getCandidateId(), i.getSetup(), i.getPrescribed(), done.getOrDefault(i.getId(), List.of()), Optional.ofNullable(last.get(i.getCandidateId())).map(l -> new Session.LastTime(l.performedAt(), l.setup(), l.setup().equals(i.getSetup()), l.sets())), side.refusal().map(Cautions.Refusal::reason), side.load()));
    }
    return new Session(s.getId(), client, gym, s.getBrief(), s.getCreatedAt(), Optional.ofNullable(s.getFinishedAt()), views);
  }

  private Map<UUID, List<Session.LoggedSet>> setsOf(List<UUID> itemIds) {
    if (itemIds.isEmpty()) {
      return Map.of();
    }
    return sets.findByCoachIdAndItemIdInOrderByPerformedAtAscIdAsc(coach.id(), itemIds).stream().collect(Collectors.groupingBy(PerformedSetEntity::getItemId, Collectors.mapping(p -> new Session.LoggedSet(p.getId(), p.set(), p.getPerformedAt()), Collectors.toList())));
  }

  private Map<String, Session.LastTime> lastTimes(SessionEntity s, List<ItemEntity> own) {
    if (own.isEmpty()) {
      return Map.of();
    }
    return lastTimes(s.getClientId(), own.stream().map(ItemEntity::getCandidateId).toList(), s.getCreatedAt(), own.stream().map(ItemEntity::getId).toList());
  }

  /** When a client did each of these candidates last. */
  @Transactional(readOnly = true)
  public Map<String, Session.LastTime> lastTimes(UUID clientId, Collection<String> candidateIds) {
    return candidateIds.isEmpty() ? Map.of() : lastTimes(clients.get(clientId).id(), candidateIds, clock.instant(), List.of(clientId)); // no item has a client's id
  }

  private Map<String, Session.LastTime> lastTimes(UUID clientId, Collection<String> candidateIds, Instant before, Collection<UUID> without) {
    List<UUID> lastItems = sets.lastItems(coach.id(), clientId, candidateIds, before, without);
    if (lastItems.isEmpty()) {
      return Map.of();
    }
    Map<UUID, List<Session.LoggedSet>> done = setsOf(lastItems);
    return items.findByCoachIdAndIdIn(coach.id(), lastItems).stream()
        .map(i -> Map.entry(i.getCandidateId(), new Session.LastTime(done.get(i.getId()).stream().map(Session.LoggedSet::performedAt).max(Comparator.naturalOrder()).orElseThrow(), i.getSetup(), false, done.get(i.getId()))))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }
}
