package istmo.app.plans.persistence;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Performed sets, always through their coach. */
public interface PerformedSetRepository extends JpaRepository<PerformedSetEntity, UUID> {
  List<PerformedSetEntity> findByCoachIdAndItemIdInOrderByPerformedAtAscIdAsc(UUID coachId, Collection<UUID> itemIds);

  Optional<PerformedSetEntity> findByIdAndCoachId(UUID id, UUID coachId);

  boolean existsByCoachIdAndItemId(UUID coachId, UUID itemId);

  /** For each candidate, the item in which this client did it last before a moment. */
  @Query(
      nativeQuery = true,
      value =
          """
          select distinct on (candidate_id) item_id from performed_set
          where coach_id = :coachId and client_id = :clientId and candidate_id in (:candidateIds) and performed_at < :before and item_id not in (:without)
          order by candidate_id, performed_at desc
          """)
  List<UUID> lastItems(UUID coachId, UUID clientId, Collection<String> candidateIds, Instant before, Collection<UUID> without);
}
