package istmo.app.accounts.persistence;

import java.time.Instant;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Failures by name. */
public interface SignInFailureRepository extends JpaRepository<SignInFailureEntity, String> {
  void deleteByLastAtBefore(Instant old);

  /**
   * Counts one more failure of a name in one statement, so that none is lost when several come at
   * the same moment.
   */
  @Modifying
  @Query(
      nativeQuery = true,
      value =
          "insert into sign_in_failure (sign_in_name, failures, last_at) values (?1, 1, ?2) on"
              + " conflict (sign_in_name) do update set failures = sign_in_failure.failures + 1,"
              + " last_at = excluded.last_at")
  void count(String signInName, Instant at);
}
