package istmo.app.sessions.persistence;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Items of sessions, always through their coach. */
public interface ItemRepository extends JpaRepository<ItemEntity, UUID> {
  List<ItemEntity> findByCoachIdAndSessionIdInOrderByPosition(
      UUID coachId, Collection<UUID> sessionIds);

  Optional<ItemEntity> findByIdAndSessionIdAndCoachId(UUID id, UUID sessionId, UUID coachId);

  List<ItemEntity> findByCoachIdAndIdIn(UUID coachId, Collection<UUID> ids);

  /** Sets of a session. */
  interface SetCount {
    UUID getSessionId();

    long getSets();
  }

  /** How many sets these sessions have, each that has any. */
  @Query(
      "select i.sessionId as sessionId, count(p) as sets from ItemEntity i, PerformedSetEntity p"
          + " where p.itemId = i.id and p.removed = false and p.coachId = :coachId"
          + " and i.coachId = :coachId and i.sessionId in :sessionIds group by i.sessionId")
  List<SetCount> setCounts(UUID coachId, Collection<UUID> sessionIds);
}
