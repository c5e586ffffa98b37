package istmo.app.sessions;

import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.Trainables;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Conflict;
import istmo.app.platform.Transactions;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.ItemRepository;
import istmo.app.sessions.persistence.PerformedSetRepository;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.app.sessions.persistence.TrainingSessionRepository;
import istmo.core.anatomy.BodyArea;
import istmo.core.ranking.brief.Aim;
import istmo.core.stimulus.School;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sessions as they are made: begun, filled with exercises, ended. */
@Service
public class Sessions {
  private final TrainingSessionRepository sessions;
  private final ItemRepository items;

  private final PerformedSetRepository sets;
  private final SeriesBook series;
  private final SessionReader reader;
  private final Clients clients;
  private final Gyms gyms;
  private final Admittance admittance;
  private final Trainables trainables;
  private final CurrentCoach coach;
  private final Clock clock;
  private final Transactions transactions;
  private final EntityManager entities;

  Sessions(
      TrainingSessionRepository sessions,
      ItemRepository items,
      PerformedSetRepository sets,
      SeriesBook series,
      SessionReader reader,
      Clients clients,
      Gyms gyms,
      Admittance admittance,
      Trainables trainables,
      CurrentCoach coach,
      Clock clock,
      Transactions transactions,
      EntityManager entities) {
    this.entities = entities;
    this.transactions = transactions;
    this.sessions = sessions;
    this.items = items;
    this.sets = sets;
    this.series = series;
    this.reader = reader;
    this.clients = clients;
    this.gyms = gyms;
    this.admittance = admittance;
    this.trainables = trainables;
    this.coach = coach;
    this.clock = clock;
  }

  /**
   * Erases every session of a client with its exercises and sets (they go with it in the database).
   */
  @Transactional
  public void erase(UUID clientId) {
    sessions.deleteAllInBatch(
        sessions.findByCoachIdAndClientIdOrderByCreatedAtAsc(coach.id(), clientId));
  }

  /** Begins a session now. */
  public Session start(UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday) {
    return start(clientId, gymId, aim, school, stiffToday, clock.instant());
  }

  /** A session that began at a given moment, for records that are brought in. */
  public Session start(
      UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday, Instant at) {
    return reader.view(
        transactions.write(() -> reader.rows(begun(clientId, gymId, aim, school, stiffToday, at))));
  }

  /** An exercise that a session begins with, in its set-up. */
  public record Wanted(String candidateId, Map<String, Double> setup, Asked asked) {}

  /**
   * Begins a session with its exercises: all of it or nothing, and once. The id is made by who
   * asks, so that a second message with it finds the session that the first one began. What the
   * client's cautions leave out is not begun.
   */
  public void begin(
      UUID sessionId, UUID clientId, UUID gymId, Aim aim, School school, List<Wanted> wanted) {
    if (isBegun(sessionId)) {
      return;
    }
    Admittance.Place place =
        new Admittance.Place(clients.get(clientId), gyms.inUse(gymId), school, false);
    List<Map<String, Double>> setups =
        wanted.stream()
            .map(
                asked ->
                    admittance.admitted(place, asked.candidateId(), Optional.of(asked.setup())))
            .toList();
    try {
      transactions.write(
          () -> {
            SessionEntity session =
                row(sessionId, clientId, gymId, aim, school, false, clock.instant());
            entities.persist(session); // saving would overwrite the one that is there
            sessions.flush(); // before its exercises are looked for: the key is taken now, or never
            for (int k = 0; k < wanted.size(); k++) {
              Wanted asked = wanted.get(k);
              add(
                  session,
                  new Addition(
                      UUID.randomUUID(), asked.candidateId(), setups.get(k), asked.asked(), k + 1),
                  reader.itemsOf(session));
            }
          });
    } catch (DataIntegrityViolationException e) {
      if (!isBegun(sessionId)) { // by the same message, a moment before
        throw new Conflict("Another session has this id.");
      }
    }
  }

  private boolean isBegun(UUID sessionId) {
    return sessions.findByIdAndCoachId(sessionId, coach.id()).isPresent();
  }

  private SessionEntity begun(
      UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday, Instant at) {
    clients.check(clientId);
    gyms.inUse(gymId);
    return sessions.save(row(UUID.randomUUID(), clientId, gymId, aim, school, stiffToday, at));
  }

  private SessionEntity row(
      UUID id, UUID clientId, UUID gymId, Aim aim, School school, boolean stiff, Instant at) {
    SessionBrief brief =
        new SessionBrief(aim.weightsById(), BodyArea.ids(aim.keepOut()), school.id(), stiff);
    return new SessionEntity(id, coach.id(), clientId, gymId, brief, at);
  }

  /**
   * Pins a candidate; without a set-up, in the usual one on this gym's machines as far as this
   * client takes it. What the client's cautions leave out is not pinned.
   */
  public Session pin(UUID sessionId, String candidateId, Optional<Map<String, Double>> wished) {
    SessionEntity session = reader.entity(sessionId);
    Map<String, Double> setup = admitted(session, candidateId, wished);
    return reader.view(
        transactions.write(
            () -> {
              List<ItemEntity> there = reader.itemsOf(session);
              add(
                  session,
                  new Addition(UUID.randomUUID(), candidateId, setup, Asked.NOTHING, next(there)),
                  there);
              return reader.rows(session);
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
    SessionEntity session = reader.entity(sessionId);
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
          Optional<ItemEntity> before = replaced.map(id -> reader.item(session, id));
          List<ItemEntity> there = reader.itemsOf(session);
          int position = before.map(ItemEntity::getPosition).orElseGet(() -> next(there));
          Asked asked =
              new Asked(
                  List.of(),
                  prescription,
                  before.flatMap(entity -> entity.getAsked().bout()),
                  before.map(entity -> entity.getAsked().loadShare()).orElse(1.0));
          before.ifPresent(ItemEntity::end);
          add(session, new Addition(itemId, candidateId, setup, asked, position), there);
        });
  }

  /** Whether this session has the exercise; one of another coach or another session is refused. */
  private boolean isPlaced(SessionEntity session, UUID itemId) {
    boolean known = items.existsById(itemId);
    if (known) {
      reader.item(session, itemId);
    }
    return known;
  }

  /** An exercise that a client can do and may do. */
  private record Addition(
      UUID itemId, String candidateId, Map<String, Double> setup, Asked asked, int position) {}

  private void add(SessionEntity session, Addition addition, List<ItemEntity> there) {
    if (there.stream()
        .anyMatch(
            entity ->
                entity.getCandidateId().equals(addition.candidateId()) && !entity.isEnded())) {
      throw new Conflict(
          trainables.get(addition.candidateId()).name() + " is in this session already.");
    }
    UUID seriesId = series.of(session.getClientId(), addition.candidateId(), addition.setup());
    items.saveAndFlush(
        new ItemEntity(
            addition.itemId(),
            coach.id(),
            session.getId(),
            addition.position(),
            addition.candidateId(),
            addition.setup(),
            seriesId,
            addition.asked(),
            clock.instant()));
  }

  /** Changes the set-up of an item that has no sets yet; with sets it would falsify the record. */
  public Session changeSetup(UUID sessionId, UUID itemId, Map<String, Double> wished) {
    SessionEntity session = reader.entity(sessionId);
    Map<String, Double> setup =
        admitted(session, reader.item(session, itemId).getCandidateId(), Optional.of(wished));
    return reader.view(
        transactions.write(
            () -> {
              ItemEntity item = reader.item(session, itemId);
              if (hasSets(item)) {
                throw new Conflict(
                    "Sets are logged with this set-up; another set-up is another record.");
              }
              item.setSetup(setup, series.of(session.getClientId(), item.getCandidateId(), setup));
              items.saveAndFlush(item);
              return reader.rows(session);
            }));
  }

  /** Takes an exercise out of a session; one with sets stays. */
  public Session unpin(UUID sessionId, UUID itemId) {
    return reader.view(
        transactions.write(
            () -> {
              SessionEntity session = reader.entity(sessionId);
              ItemEntity item = reader.item(session, itemId);
              if (hasSets(item)) {
                throw new Conflict("Sets are logged here. Remove them first.");
              }
              items.delete(item);
              items.flush();
              return reader.rows(session);
            }));
  }

  private boolean hasSets(ItemEntity item) {
    return sets.existsByCoachIdAndItemIdAndRemovedFalse(coach.id(), item.getId());
  }

  /** Ends a session; the next one shows it as last time. */
  public Session finish(UUID sessionId) {
    Instant now = clock.instant();
    transactions.write(() -> finish(sessionId, now));
    return reader.get(sessionId);
  }

  /** Ended once, it stays ended then: the same message again moves nothing. */
  @Transactional
  public void finish(UUID sessionId, Instant at) {
    SessionEntity session = reader.entity(sessionId);
    if (session.getFinishedAt() == null) {
      session.finish(at);
    }
    sessions.save(session);
  }

  /** Goes on with a session that was ended. */
  public Session reopen(UUID sessionId) {
    transactions.write(() -> reader.entity(sessionId).reopen());
    return reader.get(sessionId);
  }

  /** Takes a session out of every list; one in which something was done is part of the record. */
  @Transactional
  public void takeOut(UUID sessionId) {
    SessionEntity session = reader.entity(sessionId);
    if (reader.itemsOf(session).stream().anyMatch(this::hasSets)) {
      throw new Conflict("Sets are logged in this session: it is part of the record.");
    }
    session.takeOut(clock.instant());
  }

  /** Puts a session back that was taken out. */
  public Session putBack(UUID sessionId) {
    transactions.write(() -> reader.entity(sessionId).putBack());
    return reader.get(sessionId);
  }

  /**
   * The set-up that an exercise gets in a session; throws {@link Conflict} where the client cannot
   * take it, or should not.
   */
  private Map<String, Double> admitted(
      SessionEntity session, String candidateId, Optional<Map<String, Double>> wished) {
    return admittance.admitted(reader.place(session), candidateId, wished);
  }
}
