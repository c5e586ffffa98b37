package istmo.app.clients.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Known lifts, always through their coach. */
public interface KnownLiftRepository extends JpaRepository<KnownLiftEntity, UUID> {
  List<KnownLiftEntity> findByCoachIdOrderByDoneOnAscCreatedAtAsc(UUID coachId);

  List<KnownLiftEntity> findByCoachIdAndClientIdOrderByDoneOnAscCreatedAtAsc(
      UUID coachId, UUID clientId);

  Optional<KnownLiftEntity> findByIdAndClientIdAndCoachId(UUID id, UUID clientId, UUID coachId);
}
