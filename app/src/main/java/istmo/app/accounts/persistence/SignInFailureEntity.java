package istmo.app.accounts.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** Failures in a row of one name, whether there is such a coach or not. */
@Entity
@Table(name = "sign_in_failure")
public class SignInFailureEntity {
  @Id private String signInName;
  private int failures;
  private Instant lastAt;

  protected SignInFailureEntity() {}

  public int getFailures() {
    return failures;
  }

  public Instant getLastAt() {
    return lastAt;
  }
}
