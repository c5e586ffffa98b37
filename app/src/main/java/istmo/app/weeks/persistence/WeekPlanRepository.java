package istmo.app.weeks.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Planned weeks, always through their coach. */
public interface WeekPlanRepository extends JpaRepository<WeekPlanEntity, UUID> {
  List<WeekPlanEntity> findTop100ByCoachIdAndRemovedAtIsNullOrderByChangedAtDesc(UUID coachId);

  List<WeekPlanEntity> findTop100ByCoachIdAndClientIdAndRemovedAtIsNullOrderByChangedAtDesc(
      UUID coachId, UUID clientId);

  List<WeekPlanEntity> findByCoachIdAndClientIdOrderByCreatedAt(UUID coachId, UUID clientId);

  Optional<WeekPlanEntity> findByIdAndCoachId(UUID id, UUID coachId);
}
