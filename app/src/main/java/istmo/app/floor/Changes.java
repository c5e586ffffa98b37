package istmo.app.floor;

import istmo.app.platform.Conflict;
import istmo.app.platform.NotFound;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.SessionItems;
import istmo.app.sessions.Sessions;
import istmo.app.sessions.SetLog;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/**
 * Takes what a device has to say, one message after the other, each in a transaction of its own:
 * what was taken stays taken when a later one fails, and the device sends the rest again. Every
 * message may come late, twice, or after the ones that followed it.
 */
@Service
public class Changes {
  /** A device's clock that is off by less is taken as right. */
  private static final Duration CLOCKS_AGREE = Duration.ofMinutes(1);

  private final Sessions sessions;
  private final SessionItems items;
  private final SetLog log;
  private final Marks marks;
  private final Clock clock;

  Changes(Sessions sessions, SessionItems items, SetLog log, Marks marks, Clock clock) {
    this.sessions = sessions;
    this.items = items;
    this.log = log;
    this.marks = marks;
    this.clock = clock;
  }

  /** One message. */
  public sealed interface Message {
    /** A set that was done, changed or taken back. */
    record OfSet(
        UUID sessionId,
        UUID itemId,
        UUID setId,
        SetRegister.State<SetRecord> state,
        Instant performedAt)
        implements Message {}

    /** An exercise in the place of another, or at the end; without a set-up, in the usual one. */
    record OfItem(
        UUID sessionId,
        UUID itemId,
        CandidateId candidateId,
        Optional<Map<String, Double>> setup,
        Optional<PrescriptionDocument> prescription,
        Optional<UUID> replaces)
        implements Message {}

    /** Settings of a machine for a client. */
    record OfMark(UUID clientId, UUID gymId, CandidateId candidateId, String words, Instant at)
        implements Message {}

    /** The end of a session. */
    record OfFinish(UUID sessionId, Instant at) implements Message {}
  }

  /** What became of a message. */
  public enum Outcome {
    STORED,
    SAME,
    STALE,
    CONFLICT,
    /** it cannot be taken, for the reason given; sending it again changes nothing */
    REFUSED,
    /**
     * another message about the same came at the same moment, or the set's exercise has to be sent
     * again: send it again
     */
    AGAIN
  }

  /**
   * What became of one message.
   *
   * @param stored the set as it stands now, for messages about sets that were judged
   * @param detail why, where it was refused
   */
  public record Result(Outcome outcome, Optional<SetLog.Taken> stored, String detail) {
    static Result again() {
      return new Result(Outcome.AGAIN, Optional.empty(), "");
    }

    static Result refused(String why) {
      return new Result(Outcome.REFUSED, Optional.empty(), why);
    }
  }

  /**
   * Takes messages of a telephone in, in their order.
   *
   * @param sentAt by the device's clock, so that one that is wrong does no harm to the order of
   *     things
   */
  public List<Result> take(Instant sentAt, List<Message> messages) {
    Duration off = Duration.between(sentAt, clock.instant());
    Duration shift = off.abs().compareTo(CLOCKS_AGREE) > 0 ? off : Duration.ZERO;
    Set<UUID> unsettled = new HashSet<>(); // exercises that the device has to send again
    List<Result> results = new ArrayList<>();
    for (Message message : messages) {
      boolean tooEarly = message instanceof Message.OfSet set && unsettled.contains(set.itemId());
      Result result = tooEarly ? Result.again() : taken(message, shift);
      if (result.outcome() == Outcome.AGAIN && message instanceof Message.OfItem item) {
        unsettled.add(item.itemId());
      }
      results.add(result);
    }
    return results;
  }

  private Result taken(Message message, Duration shift) {
    try {
      if (message instanceof Message.OfSet set) {
        SetLog.Taken taken =
            log.take(
                new SetLog.SetMessage(
                    set.sessionId(),
                    set.itemId(),
                    set.setId(),
                    set.state(),
                    set.performedAt().plus(shift)));
        return new Result(Outcome.valueOf(taken.outcome().name()), Optional.of(taken), "");
      }
      if (message instanceof Message.OfItem item) {
        items.place(
            item.sessionId(),
            item.itemId(),
            item.candidateId(),
            item.setup(),
            item.prescription(),
            item.replaces());
      } else if (message instanceof Message.OfMark mark) {
        marks.keep(
            mark.clientId(), mark.gymId(), mark.candidateId(), mark.words(), mark.at().plus(shift));
      } else if (message instanceof Message.OfFinish finish) {
        sessions.finish(finish.sessionId(), finish.at().plus(shift));
      }
      return new Result(Outcome.STORED, Optional.empty(), "");
    } catch (InvalidInput | Conflict | NotFound e) {
      return Result.refused(String.valueOf(e.getMessage()));
    } catch (DataIntegrityViolationException | ConcurrencyFailureException e) {
      return Result.again();
    }
  }
}
