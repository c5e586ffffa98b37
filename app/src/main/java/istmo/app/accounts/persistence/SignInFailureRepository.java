package istmo.app.accounts.persistence;

import java.time.Instant;
import org.springframework.data.jpa.repository.JpaRepository;

/** Failures by name. */
public interface SignInFailureRepository extends JpaRepository<SignInFailureEntity, String> {
  void deleteByLastAtBefore(Instant old);
}
