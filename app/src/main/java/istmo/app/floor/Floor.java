package istmo.app.floor;

import istmo.app.accounts.CoachDays;
import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.Trainables;
import istmo.app.clients.Clients;
import istmo.app.floor.persistence.MarkEntity;
import istmo.app.floor.persistence.MarkRepository;
import istmo.app.gyms.Gyms;
import istmo.app.orders.OrderBook;
import istmo.app.record.Answers;
import istmo.app.schools.Schools;
import istmo.app.sessions.History;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionReader;
import istmo.core.catalogue.Trainable;
import istmo.core.equipment.Loading;
import istmo.core.plan.Flow;
import istmo.core.plan.Offer;
import istmo.core.plan.Offers;
import istmo.core.plan.Prescription;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.Series;
import istmo.core.record.SideGap;
import istmo.core.stimulus.School;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A session as a telephone takes it to the floor: everything that is needed until the network is
 * back.
 */
@Service
public class Floor {
  private static final Duration LOOKED_BACK = Duration.ofDays(365);
  private static final int LONGEST_MARK = 200;

  private final Clients clients;
  private final Gyms gyms;
  private final SessionReader reader;
  private final History history;
  private final OrderBook orders;
  private final Schools schools;
  private final Trainables trainables;
  private final Answers answers;
  private final MarkRepository marks;
  private final CurrentCoach coach;
  private final Clock clock;
  private final CoachDays days;

  Floor(
      Clients clients,
      Gyms gyms,
      SessionReader reader,
      History history,
      OrderBook orders,
      Schools schools,
      Trainables trainables,
      Answers answers,
      MarkRepository marks,
      CurrentCoach coach,
      Clock clock,
      CoachDays days) {
    this.clients = clients;
    this.gyms = gyms;
    this.reader = reader;
    this.history = history;
    this.orders = orders;
    this.schools = schools;
    this.trainables = trainables;
    this.answers = answers;
    this.marks = marks;
    this.coach = coach;
    this.clock = clock;
    this.days = days;
  }

  /**
   * One exercise on the floor.
   *
   * @param item as the session has it; for a swap the one whose place it would take
   * @param trainable the exercise with its cues, computed or by word
   * @param offer empty where it is left out for this client, with the reason in {@code refusal}
   * @param next what the record asks for now
   * @param last the outing before this session, in this set-up
   * @param loads to choose from, lightest first
   * @param mark settings of this machine for this client; empty words where none were kept
   * @param agreed proposals of the record that the coach accepted
   * @param swaps for a machine that is taken
   */
  public record Exercise(
      Session.Item item,
      Trainable trainable,
      Optional<Offer> offer,
      String refusal,
      Prescription prescription,
      Progression.Next next,
      Optional<WorkingLoad> load,
      Optional<Outing> last,
      List<Loading> loads,
      String mark,
      List<String> agreed,
      List<Flow.Step> steps,
      List<Exercise> swaps) {}

  /**
   * A session as a telephone needs it.
   *
   * @param weaker side that goes first in one-leg work, and why
   */
  public record Walk(Session session, SideGap.First weaker, List<Exercise> exercises) {}

  /** A session with everything that a telephone needs for it. */
  public Walk walk(UUID sessionId) {
    Session session = reader.get(sessionId);
    Aim aim = session.brief().aimed();
    School school = schools.get(session.brief().school());
    Offers offers =
        orders.offers(
            new OrderBook.OrderRequest(
                session.client().id(),
                session.gym().id(),
                aim,
                school,
                Weights.USUAL,
                session.brief().stiffDay()));
    Instant now = clock.instant();
    List<UUID> own = session.items().stream().map(Session.Item::id).toList();
    List<Series> record =
        List.copyOf(history.since(session.client().id(), now.minus(LOOKED_BACK), own).values());
    SideGap.First weaker = SideGap.first(record, session.client().profile().strongerSide());
    Map<String, String> words = new HashMap<>();
    marks
        .findByCoachIdAndClientIdAndGymId(coach.id(), session.client().id(), session.gym().id())
        .forEach(entity -> words.put(entity.getCandidateId(), entity.getWords()));
    FloorExercises maker =
        new FloorExercises(
            session,
            session.client(),
            session.gym().equipment(),
            aim,
            offers,
            record,
            weaker.side(),
            words,
            agreed(session.client().id()),
            trainables.all(),
            days.today());
    return new Walk(session, weaker, maker.all());
  }

  /** What the coach accepted of what the record teaches, by candidate id. */
  private Map<String, List<String>> agreed(UUID clientId) {
    return answers.of(clientId).stream()
        .filter(answer -> answer.taken().isPresent())
        .collect(
            Collectors.groupingBy(
                Answers.Answer::subject,
                Collectors.mapping(
                    answer -> answer.taken().orElseThrow().words(), Collectors.toList())));
  }

  /** Keeps the settings of a machine for a client; an older message does not undo a newer one. */
  @Transactional
  public void mark(UUID clientId, UUID gymId, String candidateId, String words, Instant at) {
    String trimmed = checkedMark(words);
    clients.check(clientId);
    gyms.get(gymId);
    trainables.get(candidateId);
    marks.keep(UUID.randomUUID(), coach.id(), clientId, gymId, candidateId, trimmed, at);
  }

  /** The words without blanks around them; throws what is too long. */
  public static String checkedMark(String words) {
    String trimmed = words == null ? "" : words.strip();
    if (trimmed.length() > LONGEST_MARK) {
      throw new InvalidInput("words", "takes at most " + LONGEST_MARK + " characters");
    }
    return trimmed;
  }

  /** Every mark of a client. */
  @Transactional(readOnly = true)
  public List<Mark> marks(UUID clientId) {
    return marks.findByCoachIdAndClientId(coach.id(), clientId).stream()
        .sorted(Comparator.comparing(MarkEntity::getCandidateId))
        .map(
            entity ->
                new Mark(
                    entity.getGymId(),
                    entity.getCandidateId(),
                    entity.getWords(),
                    entity.getChangedAt()))
        .toList();
  }

  /** Settings of a machine for a client, in the coach's words. */
  public record Mark(UUID gymId, String candidateId, String words, Instant changedAt) {}
}
