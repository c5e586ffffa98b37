package istmo.app.accounts.persistence;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Coaches by id and by the name with which they sign in. */
public interface CoachRepository extends JpaRepository<CoachEntity, UUID> {
  Optional<CoachEntity> findBySignInName(String signInName);

  boolean existsByPasswordHashNotNull();
}
