package istmo.app.gyms.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Gyms, always through their coach. */
public interface GymRepository extends JpaRepository<GymEntity, UUID> {
  List<GymEntity> findByCoachIdOrderByName(UUID coachId);

  Optional<GymEntity> findByIdAndCoachId(UUID id, UUID coachId);

  boolean existsByCoachIdAndName(UUID coachId, String name);

  boolean existsByCoachIdAndNameAndIdNot(UUID coachId, String name, UUID id);
}
