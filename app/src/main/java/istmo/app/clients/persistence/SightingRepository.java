package istmo.app.clients.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What pictures told, always through their coach. */
public interface SightingRepository extends JpaRepository<SightingEntity, UUID> {
  List<SightingEntity> findByCoachIdOrderBySeenOnAscCreatedAtAsc(UUID coachId);

  List<SightingEntity> findByCoachIdAndClientIdOrderBySeenOnAscCreatedAtAsc(
      UUID coachId, UUID clientId);

  Optional<SightingEntity> findByIdAndClientIdAndCoachId(UUID id, UUID clientId, UUID coachId);

  void deleteByCoachIdAndClientId(UUID coachId, UUID clientId);
}
