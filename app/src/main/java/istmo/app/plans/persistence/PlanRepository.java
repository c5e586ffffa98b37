package istmo.app.plans.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Planned weeks, always through their coach. */
public interface PlanRepository extends JpaRepository<PlanEntity, UUID> {
  List<PlanEntity> findTop100ByCoachIdAndRemovedAtIsNullOrderByChangedAtDesc(UUID coachId);

  List<PlanEntity> findTop100ByCoachIdAndClientIdAndRemovedAtIsNullOrderByChangedAtDesc(
      UUID coachId, UUID clientId);

  List<PlanEntity> findByCoachIdAndClientIdOrderByCreatedAt(UUID coachId, UUID clientId);

  Optional<PlanEntity> findByIdAndCoachId(UUID id, UUID coachId);
}
