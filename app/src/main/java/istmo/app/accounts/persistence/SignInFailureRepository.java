package istmo.app.accounts.persistence;

import java.time.Instant;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Failures by what is counted: a name, or a name from an address. */
public interface SignInFailureRepository extends JpaRepository<SignInFailureEntity, String> {
  void deleteByLastAtBefore(Instant old);

  /** The first failure; 0 where there is one already. */
  @Modifying
  @Query(
      nativeQuery = true,
      value =
          "insert into sign_in_failure (sign_in_name, failures, last_at) values (?1, 1, ?2) on"
              + " conflict (sign_in_name) do nothing")
  int first(String counted, Instant at);

  /** One more failure than was seen; 0 where somebody else has counted since. */
  @Modifying
  @Query(
      nativeQuery = true,
      value =
          "update sign_in_failure set failures = failures + 1, last_at = ?3 where sign_in_name = ?1"
              + " and failures = ?2")
  int oneMore(String counted, int seen, Instant at);
}
