package istmo.app.clients.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Readings, always through their coach. */
public interface MeasurementRepository extends JpaRepository<MeasurementEntity, UUID> {
  List<MeasurementEntity> findByCoachIdOrderByTakenOnAscCreatedAtAsc(UUID coachId);

  List<MeasurementEntity> findByCoachIdAndClientIdOrderByTakenOnAscCreatedAtAsc(
      UUID coachId, UUID clientId);

  Optional<MeasurementEntity> findByIdAndClientIdAndCoachId(UUID id, UUID clientId, UUID coachId);
}
