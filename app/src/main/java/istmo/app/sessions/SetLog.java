package istmo.app.sessions;

import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.Conflict;
import istmo.app.platform.NotFound;
import istmo.app.platform.Transactions;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.PerformedSetRepository;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import istmo.core.training.PerformedSet;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was done, set by set: from the desk, and from devices that send it whenever they can. */
@Service
public class SetLog {
  private final PerformedSetRepository sets;
  private final SessionRows rows;
  private final SessionReader reader;
  private final CurrentCoach coach;
  private final Clock clock;
  private final Transactions transactions;

  SetLog(
      PerformedSetRepository sets,
      SessionRows rows,
      SessionReader reader,
      CurrentCoach coach,
      Clock clock,
      Transactions transactions) {
    this.sets = sets;
    this.rows = rows;
    this.reader = reader;
    this.coach = coach;
    this.clock = clock;
    this.transactions = transactions;
  }

  /** As which device corrections at the desk count. */
  private static final String DESK = "desk";

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
    return reader.view(
        transactions.write(
            () -> {
              Optional<SetRecord> known =
                  sets.findByIdAndCoachId(setId, coach.id()).map(PerformedSetEntity::record);
              SetRecord record =
                  known
                      .filter(setRecord -> set.equals(SetRecord.plain(set.done())))
                      .map(
                          setRecord ->
                              new SetRecord(
                                  set.done(),
                                  setRecord.kind(),
                                  setRecord.number(),
                                  setRecord.side(),
                                  setRecord.range(),
                                  setRecord.tempoKept(),
                                  setRecord.felt(),
                                  setRecord.pain()))
                      .orElse(set);
              atDesk(sessionId, itemId, setId, record, false, at);
              return reader.stored(rows.session(sessionId));
            }));
  }

  /** Takes a set out of the record. */
  public Session removeSet(UUID sessionId, UUID itemId, UUID setId) {
    return reader.view(
        transactions.write(
            () -> {
              PerformedSetEntity set =
                  sets.findByIdAndCoachId(setId, coach.id())
                      .filter(
                          entity ->
                              entity.getItemId().equals(itemId) && !entity.state().now().removed())
                      .orElseThrow(() -> new NotFound("set"));
              atDesk(sessionId, itemId, setId, set.record(), true, set.getPerformedAt());
              return reader.stored(rows.session(sessionId));
            }));
  }

  /** The desk has the newest state before its eyes: its word comes next. */
  private void atDesk(
      UUID sessionId, UUID itemId, UUID setId, SetRecord record, boolean removed, Instant at) {
    int now =
        sets.findByIdAndCoachId(setId, coach.id())
            .map(entity -> entity.state().now().revision())
            .orElse(0);
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
  public Taken take(SetMessage message) {
    SessionEntity session = rows.session(message.sessionId());
    ItemEntity item = rows.item(session, message.itemId());
    Optional<PerformedSetEntity> known = known(message.setId());
    if (known.isPresent() && !known.get().getItemId().equals(message.itemId())) {
      throw new InvalidInput("setId", "belongs to another exercise");
    }
    SetRegister.Outcome outcome =
        SetRegister.judge(known.map(PerformedSetEntity::state), message.state());
    if (outcome == SetRegister.Outcome.STORED) {
      session.putBack(); // what was done belongs to the record, also where it was thought empty
      known.ifPresent(entity -> entity.write(entity.state().taking(message.state()), item));
      sets.saveAndFlush(
          known.orElseGet(
              () ->
                  new PerformedSetEntity(
                      message.setId(),
                      coach.id(),
                      session.getClientId(),
                      item,
                      SetRegister.Stored.first(message.state()),
                      message.performedAt())));
      return new Taken(
          outcome,
          message.state(),
          known.map(PerformedSetEntity::getPerformedAt).orElse(message.performedAt()));
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
}
