package istmo.app.plans.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Links to plans: by their coach, or by a token's hash for whoever has the link. */
public interface PlanShareRepository extends JpaRepository<PlanShareEntity, UUID> {
  List<PlanShareEntity> findByCoachIdAndPlanIdAndRevokedAtIsNull(UUID coachId, UUID planId);

  Optional<PlanShareEntity> findByTokenHashAndRevokedAtIsNull(String tokenHash);
}
