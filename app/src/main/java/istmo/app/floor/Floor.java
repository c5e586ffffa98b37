package istmo.app.floor;

import istmo.app.accounts.CoachDays;
import istmo.app.catalogue.Trainables;
import istmo.app.orders.SessionOffers;
import istmo.app.record.Answers;
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
import istmo.core.ranking.brief.Aim;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.Series;
import istmo.core.record.SideGap;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * A session as a telephone takes it to the floor: everything that is needed until the network is
 * back.
 */
@Service
public class Floor {
  private static final Duration LOOKED_BACK = Duration.ofDays(365);

  private final SessionReader reader;
  private final History history;
  private final SessionOffers offered;
  private final Trainables trainables;
  private final Answers answers;
  private final Marks marks;
  private final CoachDays days;

  Floor(
      SessionReader reader,
      History history,
      SessionOffers offered,
      Trainables trainables,
      Answers answers,
      Marks marks,
      CoachDays days) {
    this.reader = reader;
    this.history = history;
    this.offered = offered;
    this.trainables = trainables;
    this.answers = answers;
    this.marks = marks;
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
    Offers offers = offered.of(session, session.brief().stiffDay());
    List<UUID> own = session.items().stream().map(Session.Item::id).toList();
    List<Series> record =
        List.copyOf(
            history.since(session.client().id(), days.now().minus(LOOKED_BACK), own).values());
    SideGap.First weaker = SideGap.first(record, session.client().profile().strongerSide());
    FloorExercises maker =
        new FloorExercises(
            session,
            session.client(),
            session.gym().equipment(),
            aim,
            offers,
            record,
            weaker.side(),
            marks.words(session.client().id(), session.gym().id()),
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
}
