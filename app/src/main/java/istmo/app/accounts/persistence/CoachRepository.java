package istmo.app.accounts.persistence;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Coaches by id. */
public interface CoachRepository extends JpaRepository<CoachEntity, UUID> {}
