package istmo.app.clients.persistence;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Clients, always through their coach. */
public interface ClientRepository extends JpaRepository<ClientEntity, UUID> {
  List<ClientEntity> findByCoachIdOrderByName(UUID coachId);

  Optional<ClientEntity> findByIdAndCoachId(UUID id, UUID coachId);

  boolean existsByCoachIdAndName(UUID coachId, String name);

  boolean existsByCoachIdAndNameAndIdNot(UUID coachId, String name, UUID id);
}
