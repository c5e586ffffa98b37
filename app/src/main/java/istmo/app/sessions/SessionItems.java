package istmo.app.sessions;

import istmo.app.catalogue.Trainables;
import istmo.app.platform.Conflict;
import istmo.app.platform.Transactions;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.core.catalogue.CandidateId;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The exercises of a session: put in, put in the place of another, set up anew, taken out. */
@Service
public class SessionItems {
  private final SessionRows rows;
  private final SessionReader reader;
  private final SeriesBook series;
  private final Admittance admittance;
  private final Trainables trainables;
  private final Clock clock;
  private final Transactions transactions;

  SessionItems(
      SessionRows rows,
      SessionReader reader,
      SeriesBook series,
      Admittance admittance,
      Trainables trainables,
      Clock clock,
      Transactions transactions) {
    this.rows = rows;
    this.reader = reader;
    this.series = series;
    this.admittance = admittance;
    this.trainables = trainables;
    this.clock = clock;
    this.transactions = transactions;
  }

  /** An exercise that a session begins with, in its set-up. */
  public record Wanted(CandidateId candidateId, Map<String, Double> setup, Asked asked) {}

  /** What is wanted, as the client can do it and may do it. */
  Addition admitted(Admittance.Place place, Wanted wanted, int position) {
    Map<String, Double> setup =
        admittance.admitted(place, wanted.candidateId(), Optional.of(wanted.setup()));
    return new Addition(UUID.randomUUID(), wanted.candidateId(), setup, wanted.asked(), position);
  }

  /**
   * Pins a candidate; without a set-up, in the usual one on this gym's machines as far as this
   * client takes it. What the client's cautions leave out is not pinned.
   */
  public Session pin(
      UUID sessionId, CandidateId candidateId, Optional<Map<String, Double>> wished) {
    SessionEntity session = rows.session(sessionId);
    Map<String, Double> setup = admitted(session, candidateId, wished);
    return reader.view(
        transactions.write(
            () -> {
              List<ItemEntity> there = rows.itemsOf(session);
              add(
                  session,
                  new Addition(UUID.randomUUID(), candidateId, setup, Asked.NOTHING, next(there)),
                  there);
              return reader.stored(session);
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
      CandidateId candidateId,
      Optional<Map<String, Double>> wished,
      Optional<PrescriptionDocument> prescription,
      Optional<UUID> replaced) {
    SessionEntity session = rows.session(sessionId);
    if (isPlaced(session, itemId)) {
      return;
    }
    prescription.ifPresent(PrescriptionDocument::prescription);
    Map<String, Double> setup = admitted(session, candidateId, wished);
    transactions.write(
        () -> {
          List<ItemEntity> there = rows.itemsOf(session);
          // The same message may have placed it a moment ago. Asked after the session's exercises
          // were read: the other way round the exercise would stand in its own way.
          if (isPlaced(session, itemId)) {
            return;
          }
          Optional<ItemEntity> before = replaced.map(id -> rows.item(session, id));
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
    boolean known = rows.hasItem(itemId);
    if (known) {
      rows.item(session, itemId);
    }
    return known;
  }

  /** An exercise that a client can do and may do. */
  record Addition(
      UUID itemId, CandidateId candidateId, Map<String, Double> setup, Asked asked, int position) {}

  void add(SessionEntity session, Addition addition, List<ItemEntity> there) {
    if (there.stream()
        .anyMatch(
            entity ->
                entity.getCandidateId().equals(addition.candidateId()) && !entity.isEnded())) {
      throw new Conflict(
          trainables.get(addition.candidateId()).name() + " is in this session already.");
    }
    UUID seriesId = series.of(session.getClientId(), addition.candidateId(), addition.setup());
    rows.save(
        rows.newItem(
            addition.itemId(),
            session,
            addition.position(),
            new ItemEntity.Work(
                addition.candidateId(), addition.setup(), seriesId, addition.asked()),
            clock.instant()));
  }

  /** Changes the set-up of an item that has no sets yet; with sets it would falsify the record. */
  public Session changeSetup(UUID sessionId, UUID itemId, Map<String, Double> wished) {
    SessionEntity session = rows.session(sessionId);
    Map<String, Double> setup =
        admitted(session, rows.item(session, itemId).getCandidateId(), Optional.of(wished));
    return reader.view(
        transactions.write(
            () -> {
              ItemEntity item = rows.item(session, itemId);
              if (rows.hasSets(item)) {
                throw new Conflict(
                    "Sets are logged with this set-up; another set-up is another record.");
              }
              item.setSetup(setup, series.of(session.getClientId(), item.getCandidateId(), setup));
              rows.save(item);
              return reader.stored(session);
            }));
  }

  /** Takes an exercise out of a session; one with sets stays. */
  public Session unpin(UUID sessionId, UUID itemId) {
    return reader.view(
        transactions.write(
            () -> {
              SessionEntity session = rows.session(sessionId);
              ItemEntity item = rows.item(session, itemId);
              if (rows.hasSets(item)) {
                throw new Conflict("Sets are logged here. Remove them first.");
              }
              rows.delete(item);
              return reader.stored(session);
            }));
  }

  /**
   * The set-up that an exercise gets in a session; throws {@link Conflict} where the client cannot
   * take it, or should not.
   */
  private Map<String, Double> admitted(
      SessionEntity session, CandidateId candidateId, Optional<Map<String, Double>> wished) {
    return admittance.admitted(reader.place(session), candidateId, wished);
  }
}
