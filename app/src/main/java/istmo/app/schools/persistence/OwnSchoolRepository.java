package istmo.app.schools.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Own schools, always through their coach. */
public interface OwnSchoolRepository extends JpaRepository<OwnSchoolEntity, UUID> {
  List<OwnSchoolEntity> findByCoachIdOrderByCreatedAt(UUID coachId);

  Optional<OwnSchoolEntity> findByIdAndCoachId(UUID id, UUID coachId);
}
