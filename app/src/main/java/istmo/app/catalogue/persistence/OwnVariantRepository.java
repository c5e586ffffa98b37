package istmo.app.catalogue.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Own variants, always through their coach. */
public interface OwnVariantRepository extends JpaRepository<OwnVariantEntity, UUID> {
  List<OwnVariantEntity> findByCoachIdOrderByCreatedAt(UUID coachId);

  Optional<OwnVariantEntity> findByIdAndCoachId(UUID id, UUID coachId);
}
