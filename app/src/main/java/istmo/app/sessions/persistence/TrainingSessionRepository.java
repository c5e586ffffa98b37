package istmo.app.sessions.persistence;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Sessions, always through their coach. */
public interface TrainingSessionRepository extends JpaRepository<SessionEntity, UUID> {
  List<SessionEntity> findTop100ByCoachIdAndClientIdAndRemovedAtIsNullOrderByCreatedAtDesc(
      UUID coachId, UUID clientId);

  Optional<SessionEntity> findFirstByCoachIdAndClientIdAndRemovedAtIsNullOrderByCreatedAtDesc(
      UUID coachId, UUID clientId);

  List<SessionEntity> findTop100ByCoachIdAndRemovedAtIsNullOrderByCreatedAtDesc(UUID coachId);

  List<SessionEntity> findByCoachIdAndClientIdOrderByCreatedAtAsc(UUID coachId, UUID clientId);

  List<SessionEntity> findByCoachIdAndIdIn(UUID coachId, Collection<UUID> ids);

  Optional<SessionEntity> findByIdAndCoachId(UUID id, UUID coachId);
}
