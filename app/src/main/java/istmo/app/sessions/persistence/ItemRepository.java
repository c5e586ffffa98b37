package istmo.app.sessions.persistence;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Items of sessions, always through their coach. */
public interface ItemRepository extends JpaRepository<ItemEntity, UUID> {
  List<ItemEntity> findByCoachIdAndSessionIdInOrderByPosition(
      UUID coachId, Collection<UUID> sessionIds);

  Optional<ItemEntity> findByIdAndSessionIdAndCoachId(UUID id, UUID sessionId, UUID coachId);

  List<ItemEntity> findByCoachIdAndIdIn(UUID coachId, Collection<UUID> ids);
}
