package istmo.app.catalogue.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Own exercises, always through their coach. */
public interface OwnExerciseRepository extends JpaRepository<OwnExerciseEntity, UUID> {
  List<OwnExerciseEntity> findByCoachIdOrderByCreatedAt(UUID coachId);

  Optional<OwnExerciseEntity> findByIdAndCoachId(UUID id, UUID coachId);
}
