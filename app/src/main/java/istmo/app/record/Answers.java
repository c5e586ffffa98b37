package istmo.app.record;

import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.Clients;
import istmo.app.platform.NotFound;
import istmo.app.record.persistence.LessonAnswerEntity;
import istmo.app.record.persistence.LessonAnswerRepository;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.Lesson;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What coaches made of lessons. */
@Service
public class Answers {
  /** An answer holds for so long; then the record is looked at anew (judgement: about a block). */
  public static final Duration HOLDS = Duration.ofDays(28);

  private static final int LONGEST = 300;

  private final LessonAnswerRepository answers;
  private final Clients clients;
  private final CurrentCoach coach;
  private final Clock clock;

  Answers(LessonAnswerRepository answers, Clients clients, CurrentCoach coach, Clock clock) {
    this.answers = answers;
    this.clients = clients;
    this.coach = coach;
    this.clock = clock;
  }

  /**
   * An answer to a lesson.
   *
   * @param taken the proposal that was accepted; empty where the lesson was dismissed
   */
  public record Answer(
      UUID id, Lesson.Kind kind, String subject, Optional<Taken> taken, Instant at) {}

  /** Answers that still hold, newest first. */
  @Transactional(readOnly = true)
  public List<Answer> of(UUID clientId) {
    return of(List.of(clientId)).getOrDefault(clientId, List.of());
  }

  /** The same of several clients, by client; those without any are left out. */
  @Transactional(readOnly = true)
  public Map<UUID, List<Answer>> of(Collection<UUID> clientIds) {
    Instant from = clock.instant().minus(HOLDS);
    return answers.findByCoachIdAndClientIdInOrderByAnsweredAtDesc(coach.id(), clientIds).stream()
        .filter(entity -> entity.getAnsweredAt().isAfter(from))
        .collect(
            Collectors.groupingBy(
                LessonAnswerEntity::getClientId,
                Collectors.mapping(Answers::answer, Collectors.toList())));
  }

  /** Throws what is too long, or says nothing. */
  public static void check(String subject, Optional<Taken> taken) {
    if (subject.length() > LONGEST
        || taken
            .filter(proposal -> proposal.words().isBlank() || proposal.words().length() > LONGEST)
            .isPresent()) {
      throw new InvalidInput("words", "needs 1 to " + LONGEST + " characters");
    }
  }

  /** Keeps an answer to a lesson. */
  @Transactional
  public Answer answer(UUID clientId, Lesson.Kind kind, String subject, Optional<Taken> taken) {
    return answer(clientId, kind, subject, taken, clock.instant());
  }

  /** The same, given at another moment. */
  @Transactional
  public Answer answer(
      UUID clientId, Lesson.Kind kind, String subject, Optional<Taken> taken, Instant at) {
    clients.check(clientId);
    check(subject, taken);
    LessonAnswerEntity entity =
        answers
            .findByCoachIdAndClientIdAndKindAndSubject(coach.id(), clientId, kind, subject)
            .orElseGet(
                () ->
                    new LessonAnswerEntity(UUID.randomUUID(), coach.id(), clientId, kind, subject));
    entity.write(taken, at);
    return answer(answers.saveAndFlush(entity));
  }

  /** Takes an answer back: the lesson stands open again. */
  @Transactional
  public void takeBack(UUID clientId, UUID answerId) {
    answers.delete(
        answers
            .findByIdAndCoachIdAndClientId(answerId, coach.id(), clientId)
            .orElseThrow(() -> new NotFound("answer")));
  }

  private static Answer answer(LessonAnswerEntity entity) {
    return new Answer(
        entity.getId(),
        entity.getKind(),
        entity.getSubject(),
        entity.taken(),
        entity.getAnsweredAt());
  }
}
