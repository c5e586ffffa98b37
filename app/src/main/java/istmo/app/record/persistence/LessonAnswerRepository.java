package istmo.app.record.persistence;

import istmo.core.record.Lesson;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Answers, always through their coach. */
public interface LessonAnswerRepository extends JpaRepository<LessonAnswerEntity, UUID> {
  List<LessonAnswerEntity> findByCoachIdAndClientIdInOrderByAnsweredAtDesc(
      UUID coachId, Collection<UUID> clientIds);

  Optional<LessonAnswerEntity> findByCoachIdAndClientIdAndKindAndSubject(
      UUID coachId, UUID clientId, Lesson.Kind kind, String subject);

  Optional<LessonAnswerEntity> findByIdAndCoachIdAndClientId(UUID id, UUID coachId, UUID clientId);
}
