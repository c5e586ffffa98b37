package istmo.app.weeks.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Links to plans: by their coach, or by a token's hash for whoever has the link. */
public interface WeekShareRepository extends JpaRepository<WeekShareEntity, UUID> {
  List<WeekShareEntity> findByCoachIdAndPlanIdAndRevokedAtIsNull(UUID coachId, UUID planId);

  Optional<WeekShareEntity> findByTokenHashAndRevokedAtIsNull(String tokenHash);
}
