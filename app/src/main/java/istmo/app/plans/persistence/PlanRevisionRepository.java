package istmo.app.plans.persistence;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Revisions of planned weeks, always through their coach. */
public interface PlanRevisionRepository extends JpaRepository<PlanRevisionEntity, UUID> {
  Optional<PlanRevisionEntity> findByCoachIdAndPlanIdAndNumber(
      UUID coachId, UUID planId, int number);

  void deleteByCoachIdAndPlanIdAndNumberGreaterThan(UUID coachId, UUID planId, int number);

  /** The revisions that count, of several plans. */
  @Query(
      "select r from PlanRevisionEntity r, PlanEntity p where p.id = r.planId and p.head ="
          + " r.number and r.coachId = :coachId and r.planId in :planIds")
  List<PlanRevisionEntity> heads(UUID coachId, Collection<UUID> planIds);
}
