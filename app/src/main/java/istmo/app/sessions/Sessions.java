package istmo.app.sessions;

import istmo.app.accounts.CurrentCoach;
import istmo.app.bench.Bench;
import istmo.app.catalogue.Variants;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Conflict;
import istmo.app.platform.NotFound;
import istmo.app.platform.Transactions;
import istmo.app.schools.Schools;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.ItemRepository;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.PerformedSetRepository;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.app.sessions.persistence.TrainingSessionRepository;
import istmo.core.body.Cautions;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
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
public class Sessions {
  private final TrainingSessionRepository sessions;
  private final ItemRepository items;

  /** As which device corrections at the desk count. */
  private static final String DESK = "desk";

  private final PerformedSetRepository sets;
  private final SeriesBook series;
  private final Clients clients;
  private final Gyms gyms;
  private final Bench bench;
  private final Schools schools;
  private final Variants variants;
  private final CurrentCoach coach;
  private final Clock clock;
  private final Transactions transactions;

  Sessions(
      TrainingSessionRepository sessions,
      ItemRepository items,
      PerformedSetRepository sets,
      SeriesBook series,
      Clients clients,
      Gyms gyms,
      Bench bench,
      Variants variants,
      CurrentCoach coach,
      Clock clock,
      Schools schools,
      Transactions transactions) {
    this.transactions = transactions;
    this.schools = schools;
    this.sessions = sessions;
    this.items = items;
    this.sets = sets;
    this.series = series;
    this.clients = clients;
    this.gyms = gyms;
    this.bench = bench;
    this.variants = variants;
    this.coach = coach;
    this.clock = clock;
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
            .map(id -> sessions.findTop100ByCoachIdAndClientIdOrderByCreatedAtDesc(coach.id(), id))
            .orElseGet(() -> sessions.findTop100ByCoachIdOrderByCreatedAtDesc(coach.id()));
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

  /**
   * Every session of a client with its sets, oldest first, without looking back to last times; four
   * queries however many there are.
   */
  public List<Session> history(UUID clientId) {
    List<SessionEntity> found =
        sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId);
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
                    places.get(s.getGymId()),
                    s.getBrief(),
                    s.getCreatedAt(),
                    Optional.ofNullable(s.getFinishedAt()),
                    bySession.getOrDefault(s.getId(), List.of())))
        .toList();
  }

  /** The newest session of a client, without its exercises: where it was, and what it was for. */
  public Optional<Session> newest(UUID clientId) {
    return sessions
        .findFirstByCoachIdAndClientIdOrderByCreatedAtDesc(coach.id(), clientId)
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

  /**
   * Erases every session of a client with its exercises and sets (they go with it in the database).
   */
  @Transactional
  public void erase(UUID clientId) {
    sessions.deleteAllInBatch(
        sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId));
  }

  /** A session of this coach; throws {@link NotFound} for any other. */
  public Session get(UUID id) {
    return view(transactions.read(() -> rows(entity(id))));
  }

  /** Begins a session now. */
  public Session start(UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday) {
    return start(clientId, gymId, aim, school, stiffToday, clock.instant());
  }

  /** A session that began at a given moment, for records that are brought in. */
  public Session start(
      UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday, Instant at) {
    return view(
        transactions.write(() -> rows(begun(clientId, gymId, aim, school, stiffToday, at))));
  }

  private SessionEntity begun(
      UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday, Instant at) {
    clients.check(clientId);
    gyms.get(gymId);
    SessionBrief brief =
        new SessionBrief(aim.weights(), List.copyOf(aim.keepOut()), school.id(), stiffToday);
    return sessions.save(
        new SessionEntity(UUID.randomUUID(), coach.id(), clientId, gymId, brief, at));
  }

  /**
   * Pins a candidate; without a set-up, in the usual one on this gym's machines as far as this
   * client takes it. What the client's cautions leave out is not pinned.
   */
  public Session pin(UUID sessionId, String candidateId, Optional<Map<String, Double>> wished) {
    return pin(sessionId, candidateId, wished, Asked.NOTHING);
  }

  /** The same, with what a plan asks for. */
  public Session pin(
      UUID sessionId, String candidateId, Optional<Map<String, Double>> wished, Asked asked) {
    SessionEntity session = entity(sessionId);
    Map<String, Double> setup = admitted(session, candidateId, wished);
    return view(
        transactions.write(
            () -> {
              List<ItemEntity> there = itemsOf(session);
              add(
                  session,
                  new Addition(UUID.randomUUID(), candidateId, setup, asked, next(there)),
                  there);
              return rows(session);
            }));
  }

  /** The position after the last exercise. */
  private static int next(List<ItemEntity> there) {
    return there.stream().mapToInt(ItemEntity::getPosition).max().orElse(0) + 1;
  }

  /**
   * Puts an exercise in the place of another, or at the end, under the id that the device made: the
   * same message again changes nothing. What was logged of the one replaced stays.
   *
   * @param replaced the item whose place it takes, if it takes one's
   */
  public void place(
      UUID sessionId,
      UUID itemId,
      String candidateId,
      Optional<Map<String, Double>> wished,
      Optional<PrescriptionDocument> prescription,
      Optional<UUID> replaced) {
    SessionEntity session = entity(sessionId);
    if (isPlaced(session, itemId)) {
      return;
    }
    prescription.ifPresent(PrescriptionDocument::prescription);
    Map<String, Double> setup = admitted(session, candidateId, wished);
    transactions.write(
        () -> {
          if (isPlaced(session, itemId)) { // by the same message, a moment before
            return;
          }
          Optional<ItemEntity> before = replaced.map(id -> item(session, id));
          List<ItemEntity> there = itemsOf(session);
          int position = before.map(ItemEntity::getPosition).orElseGet(() -> next(there));
          Asked asked =
              new Asked(
                  List.of(),
                  prescription,
                  before.flatMap(b -> b.getAsked().bout()),
                  before.map(b -> b.getAsked().loadShare()).orElse(1.0));
          before.ifPresent(ItemEntity::end);
          add(session, new Addition(itemId, candidateId, setup, asked, position), there);
        });
  }

  /** Whether this session has the exercise; one of another coach or another session is refused. */
  private boolean isPlaced(SessionEntity session, UUID itemId) {
    boolean known = items.existsById(itemId);
    if (known) {
      item(session, itemId);
    }
    return known;
  }

  /** An exercise that a client can do and may do. */
  private record Addition(
      UUID itemId, String candidateId, Map<String, Double> setup, Asked asked, int position) {}

  private void add(SessionEntity session, Addition a, List<ItemEntity> there) {
    if (there.stream().anyMatch(i -> i.getCandidateId().equals(a.candidateId()) && !i.isEnded())) {
      throw new Conflict(
          variants.candidate(a.candidateId()).name() + " is in this session already.");
    }
    UUID seriesId = series.of(session.getClientId(), a.candidateId(), a.setup());
    items.saveAndFlush(
        new ItemEntity(
            a.itemId(),
            coach.id(),
            session.getId(),
            a.position(),
            a.candidateId(),
            a.setup(),
            seriesId,
            a.asked(),
            clock.instant()));
  }

  /** Changes the set-up of an item that has no sets yet; with sets it would falsify the record. */
  public Session changeSetup(UUID sessionId, UUID itemId, Map<String, Double> wished) {
    SessionEntity session = entity(sessionId);
    Map<String, Double> setup =
        admitted(session, item(session, itemId).getCandidateId(), Optional.of(wished));
    return view(
        transactions.write(
            () -> {
              ItemEntity item = item(session, itemId);
              if (hasSets(item)) {
                throw new Conflict(
                    "Sets are logged with this set-up; another set-up is another record.");
              }
              item.setSetup(setup, series.of(session.getClientId(), item.getCandidateId(), setup));
              items.saveAndFlush(item);
              return rows(session);
            }));
  }

  /** Takes an exercise out of a session; one with sets stays. */
  public Session unpin(UUID sessionId, UUID itemId) {
    return view(
        transactions.write(
            () -> {
              SessionEntity session = entity(sessionId);
              ItemEntity item = item(session, itemId);
              if (hasSets(item)) {
                throw new Conflict("Sets are logged here. Remove them first.");
              }
              items.delete(item);
              items.flush();
              return rows(session);
            }));
  }

  private boolean hasSets(ItemEntity item) {
    return sets.existsByCoachIdAndItemIdAndRemovedFalse(coach.id(), item.getId());
  }

  /** Stores a set from the desk that was done now. */
  public Session log(UUID sessionId, UUID itemId, UUID setId, PerformedSet set) {
    return log(sessionId, itemId, setId, set, clock.instant());
  }

  /**
   * Stores a set from the desk: the same set sent again changes nothing, or corrects its figures;
   * one that was taken out is back.
   */
  public Session log(UUID sessionId, UUID itemId, UUID setId, PerformedSet set, Instant at) {
    return log(sessionId, itemId, setId, SetRecord.plain(set), at);
  }

  /**
   * The same with everything that was written down of it. What a plain correction does not speak of
   * stays.
   */
  public Session log(UUID sessionId, UUID itemId, UUID setId, SetRecord set, Instant at) {
    return view(
        transactions.write(
            () -> {
              Optional<SetRecord> known =
                  sets.findByIdAndCoachId(setId, coach.id()).map(PerformedSetEntity::record);
              SetRecord record =
                  known
                      .filter(k -> set.equals(SetRecord.plain(set.done())))
                      .map(
                          k ->
                              new SetRecord(
                                  set.done(),
                                  k.kind(),
                                  k.number(),
                                  k.side(),
                                  k.range(),
                                  k.tempoKept(),
                                  k.felt(),
                                  k.pain()))
                      .orElse(set);
              atDesk(sessionId, itemId, setId, record, false, at);
              return rows(entity(sessionId));
            }));
  }

  /** Takes a set out of the record. */
  public Session removeSet(UUID sessionId, UUID itemId, UUID setId) {
    return view(
        transactions.write(
            () -> {
              PerformedSetEntity set =
                  sets.findByIdAndCoachId(setId, coach.id())
                      .filter(s -> s.getItemId().equals(itemId) && !s.state().now().removed())
                      .orElseThrow(() -> new NotFound("set"));
              atDesk(sessionId, itemId, setId, set.record(), true, set.getPerformedAt());
              return rows(entity(sessionId));
            }));
  }

  /** The desk has the newest state before its eyes: its word comes next. */
  private void atDesk(
      UUID sessionId, UUID itemId, UUID setId, SetRecord record, boolean removed, Instant at) {
    int now =
        sets.findByIdAndCoachId(setId, coach.id()).map(s -> s.state().now().revision()).orElse(0);
    take(
        new SetMessage(
            sessionId,
            itemId,
            setId,
            new SetRegister.State<>(now + 1, now, DESK, removed, record),
            at));
  }

  /** What a device says of a set. */
  public record SetMessage(
      UUID sessionId,
      UUID itemId,
      UUID setId,
      SetRegister.State<SetRecord> state,
      Instant performedAt) {}

  /** What became of it, and what is stored now. */
  public record Taken(
      SetRegister.Outcome outcome, SetRegister.State<SetRecord> now, Instant performedAt) {}

  /** Takes a message about a set, whenever and however often it comes ({@link SetRegister}). */
  @Transactional
  public Taken take(SetMessage m) {
    SessionEntity session = entity(m.sessionId());
    ItemEntity item = item(session, m.itemId());
    Optional<PerformedSetEntity> known = known(m.setId());
    if (known.isPresent() && !known.get().getItemId().equals(m.itemId())) {
      throw new InvalidInput("setId", "belongs to another exercise");
    }
    SetRegister.Outcome outcome =
        SetRegister.judge(known.map(PerformedSetEntity::state), m.state());
    if (outcome == SetRegister.Outcome.STORED) {
      known.ifPresent(k -> k.write(k.state().taking(m.state()), item));
      sets.saveAndFlush(
          known.orElseGet(
              () ->
                  new PerformedSetEntity(
                      m.setId(),
                      coach.id(),
                      session.getClientId(),
                      item,
                      SetRegister.Stored.first(m.state()),
                      m.performedAt())));
      return new Taken(
          outcome,
          m.state(),
          known.map(PerformedSetEntity::getPerformedAt).orElse(m.performedAt()));
    }
    return new Taken(outcome, known.orElseThrow().state().now(), known.get().getPerformedAt());
  }

  /**
   * The set, locked. An id that another coach used is refused; one that a message at the same
   * moment stores later is the database's to refuse, and then that message comes again.
   */
  private Optional<PerformedSetEntity> known(UUID setId) {
    Optional<PerformedSetEntity> found = sets.findByIdAndCoachId(setId, coach.id());
    if (found.isPresent() || !sets.existsById(setId)) {
      return found;
    }
    return Optional.of(
        sets.findByIdAndCoachId(setId, coach.id())
            .orElseThrow(() -> new Conflict("This set's id is in use. Send it under a new one.")));
  }

  /** Ends a session; the next one shows it as last time. */
  public Session finish(UUID sessionId) {
    Instant now = clock.instant();
    transactions.write(() -> finish(sessionId, now));
    return get(sessionId);
  }

  /** Ended once, it stays ended then: the same message again moves nothing. */
  @Transactional
  public void finish(UUID sessionId, Instant at) {
    SessionEntity session = entity(sessionId);
    if (session.getFinishedAt() == null) {
      session.finish(at);
    }
    sessions.save(session);
  }

  /**
   * The set-up that an exercise gets in a session; throws {@link Conflict} where the client cannot
   * take it, or should not.
   */
  private Map<String, Double> admitted(
      SessionEntity session, String candidateId, Optional<Map<String, Double>> wished) {
    Bench.SetupRequest wish =
        new Bench.SetupRequest(
            session.getClientId(),
            Optional.of(session.getGymId()),
            candidateId,
            wished,
            session.getBrief().stiffDay());
    Bench.Side side = bench.side(wish, schools.get(session.getBrief().school()));
    admit(side);
    return side.setup().values();
  }

  /** Throws where the client cannot take the set-up, or should not. */
  private static void admit(Bench.Side side) {
    if (Bench.obstacle(side).isPresent()) {
      throw new Conflict(
          side.candidate().name()
              + " is not possible for "
              + side.client().name()
              + " in this set-up. "
              + Bench.obstacle(side).get().reason());
    }
    if (side.refusal().isPresent()) {
      throw new Conflict(
          side.candidate().name()
              + " is left out for "
              + side.client().name()
              + ". "
              + side.refusal().get().reason());
    }
  }

  private SessionEntity entity(UUID id) {
    return sessions.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("session"));
  }

  private ItemEntity item(SessionEntity session, UUID itemId) {
    return items
        .findByIdAndSessionIdAndCoachId(itemId, session.getId(), coach.id())
        .orElseThrow(() -> new NotFound("exercise in this session"));
  }

  private List<ItemEntity> itemsOf(SessionEntity s) {
    return items.findByCoachIdAndSessionIdInOrderByPosition(coach.id(), Set.of(s.getId()));
  }

  /** What is stored of a session; loads and refusals are computed after the transaction. */
  private record Rows(
      SessionEntity session,
      List<ItemEntity> items,
      Map<String, Session.LastTime> lastTimes,
      Map<UUID, List<Session.LoggedSet>> sets) {}

  private Rows rows(SessionEntity s) {
    List<ItemEntity> own = itemsOf(s);
    return new Rows(
        s, own, lastTimes(s, own), setsOf(own.stream().map(ItemEntity::getId).toList()));
  }

  private Session view(Rows rows) {
    SessionEntity s = rows.session();
    List<ItemEntity> own = rows.items();
    Map<String, Session.LastTime> last = rows.lastTimes();
    Map<UUID, List<Session.LoggedSet>> done = rows.sets();
    List<Session.Item> views = new ArrayList<>();
    Client client = clients.get(s.getClientId());
    Gym gym = gyms.get(s.getGymId());
    School school = schools.get(s.getBrief().school());
    for (ItemEntity i : own) {
      Bench.Side side =
          bench.side(
              client,
              gym.equipment(),
              new Bench.SetupRequest(
                  client.id(),
                  Optional.of(gym.id()),
                  i.getCandidateId(),
                  Optional.of(i.getSetup()),
                  s.getBrief().stiffDay()),
              school);
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
              side.refusal().map(Cautions.Refusal::reason),
              side.load()));
    }
    return new Session(
        s.getId(),
        client,
        gym,
        s.getBrief(),
        s.getCreatedAt(),
        Optional.ofNullable(s.getFinishedAt()),
        views);
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
                        done.get(i.getId()).stream()
                            .map(Session.LoggedSet::performedAt)
                            .max(Comparator.naturalOrder())
                            .orElseThrow(),
                        i.getSetup(),
                        false,
                        done.get(i.getId()))))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }
}
